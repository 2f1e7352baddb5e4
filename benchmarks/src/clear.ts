/// <reference lib="dom" />
/**
 * A slate of 1,700 lines is cleared and brought back: how long the page is held up by each, how long until the server has it,
 * in how many requests, and what the step back takes of local storage.
 */
import type { Page } from 'puppeteer-core';
import { anId, ask, launch, startApplication } from './application.ts';

const LINES = 1700;

async function makeJob(page: Page): Promise<void> {
  const jobId = anId();
  const reading = { length: 'ft-in', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
  const changes: object[] = [{ id: anId(), kind: 'job.add', title: 'A long day', reading }];
  for (let number = 1; number <= LINES; number += 1) {
    const source = number % 10 === 0 ? `m${number} = ${number}'` : `${number}' 3 1/2" + 2`;
    const position = `b${number.toString(36).padStart(6, '0')}V`;
    changes.push({ id: anId(), kind: 'line.add', lineId: anId(), number, position, source, label: null, note: '' });
  }
  for (let at = 0; at < changes.length; at += 200)
    await ask(page, `/api/jobs/${jobId}/changes`, { changes: changes.slice(at, at + 200) });
  await page.evaluate((id) => localStorage.setItem('sprell.job', JSON.stringify(id)), jobId);
}

/** Milliseconds that the page's thread was held up in one go at the most, and from the touch to everything on the server. */
async function held(page: Page, selector: string, isDone: () => boolean): Promise<{ longest: number; all: number }> {
  return page.evaluate(
    async (button, done) => {
      let [last, longest] = [performance.now(), 0];
      const begun = last;
      const ticks = new MessageChannel();
      const look = () => {
        const now = performance.now();
        longest = Math.max(longest, now - last);
        last = now;
      };
      ticks.port1.onmessage = () => {
        look();
        ticks.port2.postMessage(0);
      };
      ticks.port2.postMessage(0);
      document.querySelector<HTMLElement>(button)?.click();
      look();
      const kept = () => document.querySelector('[data-test=keep-state]')?.textContent === 'saved';
      const isThere = new Function(`return (${done})()`) as () => boolean;
      while (!isThere() || !kept()) await new Promise((resolve) => setTimeout(resolve, 20));
      ticks.port1.close();
      return { longest, all: performance.now() - begun };
    },
    selector,
    isDone.toString(),
  );
}

const running = await startApplication();
const browser = await launch();
try {
  const page = await browser.newPage();
  // The function above is made from text, which the page's own policy forbids.
  await page.setBypassCSP(true);
  await page.goto(running.addresses[0] ?? '');
  await page.waitForSelector('[data-line]');
  await makeJob(page);
  await page.reload();
  await page.waitForSelector('[data-line="1700"]');
  await new Promise((resolve) => setTimeout(resolve, 2000));
  let requests = 0;
  page.on('request', (request) => (requests += Number(request.url().endsWith('/changes'))));
  const report = (what: string, { longest, all }: { longest: number; all: number }) => {
    console.log(
      `  ${what}: the page held up for ${longest.toFixed(0)} ms at the most, on the server after ${all.toFixed(0)} ms, ${requests} requests`,
    );
    requests = 0;
  };
  console.log(`\nA slate of ${LINES} lines`);
  await page.click('[data-test=clear-all]');
  await page.waitForSelector('[data-test=take-off]');
  report('cleared', await held(page, '[data-test=take-off]', () => document.querySelector('[data-line]') === null));
  const stored = await page.evaluate(() =>
    Object.keys(localStorage).reduce((sum, key) => sum + (key.includes('undo.') ? localStorage[key].length : 0), 0),
  );
  report('brought back', await held(page, '[data-test=undo]', () => document.querySelector('[data-line]') !== null));
  console.log(`  the step back took ${stored as number} characters of local storage`);
} finally {
  await browser.close();
  await running.stop();
}
