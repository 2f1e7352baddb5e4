/// <reference lib="dom" />
/**
 * A job of 20,000 lines, a third of which use earlier ones: until the last one is drawn when it is opened again, how long a
 * line that lands holds the page up and takes until it is drawn, and what the page holds in memory.
 */
import type { CDPSession, Page } from 'puppeteer-core';
import { anId, ask, launch, share, startApplication } from './application.ts';

const LINES = Number(process.argv.find((argument) => /^--lines=/.test(argument))?.slice(8) ?? 20_000);
const OPENED = 5;
const LANDED = 12;

async function makeJob(page: Page): Promise<void> {
  const jobId = anId();
  const reading = { length: 'ft-in', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
  const ids = Array.from({ length: LINES }, anId);
  const changes: object[] = [{ id: anId(), kind: 'job.add', title: 'A long job', reading }];
  for (const [n, lineId] of ids.entries()) {
    const source =
      n % 3 === 2 ? `#{${ids[Math.floor(n / 2)]}} + ${n % 11} 3/16"` : `${n % 40}' ${n % 12} 5/8" * ${(n % 4) + 1}`;
    const position = `b${n.toString(36).padStart(6, '0')}V`;
    const label = n % 5 === 0 ? `piece ${n}` : null;
    changes.push({ id: anId(), kind: 'line.add', lineId, number: n + 1, position, source, label, note: '' });
  }
  for (let at = 0; at < changes.length; at += 500)
    await ask(page, `/api/jobs/${jobId}/changes`, { changes: changes.slice(at, at + 500) });
  await page.evaluate((id) => localStorage.setItem('sprell.job', JSON.stringify(id)), jobId);
}

async function heap(cdp: CDPSession): Promise<number> {
  await cdp.send('HeapProfiler.collectGarbage');
  await cdp.send('HeapProfiler.collectGarbage');
  const { metrics } = await cdp.send('Performance.getMetrics');
  return (metrics.find(({ name }) => name === 'JSHeapUsedSize')?.value ?? 0) / 1e6;
}

/** Milliseconds from Enter to the frame that shows the line, and the longest that the page was held up meanwhile. */
function landing(page: Page, number: number): Promise<{ drawn: number; held: number }> {
  return page.evaluate(
    (line) =>
      new Promise<{ drawn: number; held: number }>((resolve) => {
        const begun = performance.now();
        let [last, held] = [begun, 0];
        const ticks = new MessageChannel();
        const look = () => {
          const now = performance.now();
          held = Math.max(held, now - last);
          last = now;
        };
        ticks.port1.onmessage = () => {
          look();
          if (document.querySelector(`[data-line="${line}"] [data-test=result]`) === null) ticks.port2.postMessage(0);
          else
            requestAnimationFrame(() =>
              setTimeout(() => {
                look();
                resolve({ drawn: performance.now() - begun, held });
              }),
            );
        };
        ticks.port2.postMessage(0);
        const entry = document.querySelector('.hand [data-test=entry]');
        entry?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', code: 'Enter', keyCode: 13, bubbles: true }));
      }),
    number,
  );
}

const running = await startApplication();
const browser = await launch();
try {
  let page = await browser.newPage();
  await page.goto(running.addresses[0] ?? '');
  await page.waitForSelector('[data-line]');
  await makeJob(page);
  const last = `[data-line="${LINES}"] [data-test=result]`;
  const first = Date.now();
  await page.reload();
  await page.waitForSelector(last);
  console.log(`\nA job of ${LINES} lines`);
  console.log(`  first opened, from the server: the last line drawn after ${Date.now() - first} ms`);
  await page.waitForFunction(() => document.querySelector('[data-test=keep-state]')?.textContent === 'saved');
  const opened: number[] = [];
  for (let time = 0; time < OPENED; time += 1) {
    await new Promise((resolve) => setTimeout(resolve, 1500));
    const before = page;
    page = await browser.newPage();
    await before.close();
    await new Promise((resolve) => setTimeout(resolve, 500));
    const begun = Date.now();
    await page.goto(running.addresses[0] ?? '', { waitUntil: 'domcontentloaded' });
    await page.waitForSelector(last);
    opened.push(Date.now() - begun);
  }
  opened.sort((a, b) => a - b);
  console.log(`  opened again: ${share(opened, 0.5).toFixed(0)} ms at the median of ${OPENED}`);
  await new Promise((resolve) => setTimeout(resolve, 3000));
  const cdp = await page.createCDPSession();
  await cdp.send('Performance.enable');
  console.log(`  heap of the page: ${(await heap(cdp)).toFixed(0)} MB`);
  const times: { drawn: number; held: number }[] = [];
  for (let n = 1; n <= LANDED; n += 1) {
    await page.focus('.hand [data-test=entry]');
    await page.keyboard.sendCharacter(`${n}' 3"`);
    await new Promise((resolve) => setTimeout(resolve, 1200));
    times.push(await landing(page, LINES + n));
  }
  const half = (of: (one: { drawn: number; held: number }) => number) =>
    share(
      times.map(of).sort((a, b) => a - b),
      0.5,
    );
  console.log(
    `  a line that lands: drawn after ${half(({ drawn }) => drawn).toFixed(0)} ms, held up ${half(({ held }) => held).toFixed(0)} ms at the longest (medians of ${LANDED})`,
  );
} finally {
  await browser.close();
  await running.stop();
}
