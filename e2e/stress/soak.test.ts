import type { Browser, CDPSession, Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { launchBrowser, openBench, type Bench } from '../fixtures/browser.ts';

/** SPRELL_SOAK says how many entries: a long day has 1,500. */
const ENTRIES = Number(process.env['SPRELL_SOAK'] ?? 1500);
const ENTRY = '.hand [data-test=entry]';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(() => browser.close());

/** What a page holds when nobody uses it for a moment. */
async function heldBy(page: Page): Promise<{ heap: number; listeners: number; nodes: number; workers: number }> {
  const cdp: CDPSession = await page.createCDPSession();
  await cdp.send('Performance.enable');
  await page.waitForNetworkIdle({ idleTime: 2000 });
  for (let n = 0; n < 3; n += 1) await cdp.send('HeapProfiler.collectGarbage');
  const { metrics } = await cdp.send('Performance.getMetrics');
  const of = (wanted: string) => metrics.find(({ name }) => name === wanted)?.value ?? NaN;
  return {
    heap: of('JSHeapUsedSize') / 1e6,
    listeners: of('JSEventListeners'),
    nodes: of('Nodes'),
    workers: page.workers().length,
  };
}

/** An entry as one writes them: sizes, what goes on from the last, postings, an edit now and then, something taken back. */
async function write(bench: Bench, n: number): Promise<void> {
  const { page } = bench;
  await page.focus(ENTRY);
  await page.keyboard.sendCharacter(
    n % 7 === 3 ? '* 2' : n % 11 === 5 ? `soak = ${n % 40}'` : `${n % 60}' ${n % 12} 3/8" + ${(n % 9) + 1}"`,
  );
  await bench.press('Enter');
  if (n % 50 === 49) {
    await bench.undo();
    await page.focus(ENTRY);
    await page.keyboard.sendCharacter(`${n}"`);
    await bench.press('Enter');
  }
}

it('a day of entries on one page leaves behind what its lines take, and nothing that grows with time', async () => {
  const bench = await openBench(browser);
  const third = Math.ceil(ENTRIES / 3);
  for (let n = 0; n < third; n += 1) await write(bench, n);
  await bench.kept();
  // By now everything is loaded and compiled.
  const early = await heldBy(bench.page);
  for (let n = third; n < ENTRIES; n += 1) await write(bench, n);
  await bench.kept();
  const late = await heldBy(bench.page);
  const grown = ((late.heap - early.heap) * 1e6) / (ENTRIES - third);
  console.log(`after ${third} entries`, early, `after ${ENTRIES}`, late, `bytes for each entry: ${grown.toFixed(0)}`);
  // A line on a page that was opened just now takes 1,200 bytes; its step back and the browser's own come to that.
  expect(grown).toBeLessThan(4000);
  expect(late.listeners).toBeLessThanOrEqual(early.listeners + 10);
  expect(late.workers).toBeLessThanOrEqual(1);
  expect(Number.parseInt(await bench.text('.count'))).toBeGreaterThan(ENTRIES);
  expect(bench.errors).toEqual([]);
});
