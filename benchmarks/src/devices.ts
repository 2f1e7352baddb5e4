/// <reference lib="dom" />
/** From Enter on one device to the line on another, each at a server process of its own. */
import type { Page } from 'puppeteer-core';
import { ask, launch, spread, startApplication } from './application.ts';

const LINES = 30;

async function openBench(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await page.waitForSelector('[data-line]');
  await page.waitForSelector('.hand [data-test=entry]');
}

const running = await startApplication(2);
const browser = await launch();
try {
  const [here = '', there = ''] = running.addresses;
  const one = await (await browser.createBrowserContext()).newPage();
  const other = await (await browser.createBrowserContext()).newPage();
  await openBench(one, here);
  const { code } = (await ask(one, '/api/account/code', {})) as { code: string };
  await other.goto(`${there}/mark.svg`);
  await ask(other, '/api/account/code/use', { code });
  await openBench(other, there);
  const lines = await one.$$eval('[data-line]', (rows) =>
    rows.map((row) => Number((row as HTMLElement).dataset['line'])),
  );
  let next = Math.max(...lines) + 1;
  const times: number[] = [];
  for (let line = 0; line < LINES; line += 1, next += 1) {
    const shown = other.evaluate(
      (number) =>
        new Promise<number>((resolve) => {
          const look = () => {
            if (!document.querySelector(`[data-line="${number}"]`)) return;
            watching.disconnect();
            resolve(Date.now());
          };
          const watching = new MutationObserver(look);
          watching.observe(document, { childList: true, subtree: true, attributes: true });
        }),
      next,
    );
    await one.focus('.hand [data-test=entry]');
    await one.keyboard.type(`${line + 1}' 3 1/2"`);
    const pressed = Date.now();
    await one.keyboard.press('Enter');
    times.push((await shown) - pressed);
  }
  const [half, most] = spread(times);
  console.log(`\nFrom Enter to the line on another device, two server processes, ${LINES} lines`);
  console.log(`  half within ${half} ms, 95 % within ${most} ms, the longest ${Math.max(...times)} ms`);
} finally {
  await browser.close();
  await running.stop();
}
