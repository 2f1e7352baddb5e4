import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Bench } from '../fixtures/browser.ts';
import { DESKTOP, launchBrowser, openBench, PHONE } from '../fixtures/browser.ts';
import { Thumb } from '../fixtures/touches.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(() => browser.close());

/** From the help, as somebody gets there who looks for it. */
async function toSteps(bench: Bench): Promise<void> {
  await bench.room('/help');
  await bench.click('[data-test=first-steps]');
  await bench.page.waitForSelector('[data-test=step]');
  await bench.page.waitForSelector('[data-test=entry]');
}
const stepNow = (page: Page, words: string) =>
  page.waitForFunction(
    (wanted) =>
      document.querySelector('[data-test=step] b, [data-test=steps-done]')?.textContent.trim().startsWith(wanted),
    {},
    words,
  );

describe('first steps', () => {
  it('are gone through by touch on real keys, left, taken up again, and nothing of them is in the job', async () => {
    const bench = await openBench(browser, PHONE);
    const { page } = bench;
    const before = await page.evaluate(() => localStorage.getItem('sprell.entry'));
    await toSteps(bench);
    const thumb = new Thumb(page);
    expect(await bench.overflow()).toBe(0);

    await stepNow(page, 'A sum');
    await thumb.keys('4', '′', '7');
    await thumb.inch(3, 8);
    await thumb.keys('−', '2', '×');
    await thumb.inch(1, 8);
    await bench.says('[data-test=reading]', '4′ 7 1⁄8″');
    await thumb.keys('enter');

    await stepNow(page, 'Rounding');
    await thumb.keys('÷', '5');
    await thumb.touch('[data-test=finest]');
    await thumb.touch('[data-option="32"]');
    await thumb.keys('enter');

    await stepNow(page, 'Storing');
    // Somebody goes away, and comes back another day.
    await thumb.touch('[data-test=leave-steps]');
    await page.waitForSelector('[data-line="46"]');
    expect(await page.evaluate(() => localStorage.getItem('sprell.entry'))).toBe(before);
    await toSteps(bench);
    await stepNow(page, 'Storing');
    await thumb.touch('[data-test=keep]');
    await thumb.touch('[data-test=keep-as]');

    await stepNow(page, 'Using');
    await thumb.keys('4', '×');
    await thumb.touch('[data-mark]');
    await thumb.keys('enter');

    await stepNow(page, 'Correcting');
    await thumb.touch('[data-line="1"] .body');
    await thumb.text('[data-line="1"] [data-test=entry]', '3/8');
    await thumb.inch(1, 2);
    await thumb.keys('enter');
    await stepNow(page, 'That is how everything');

    // Back on the bench of the job: as it was, marks and lines and entry.
    await thumb.touch('[data-test=leave-steps]');
    await page.waitForSelector('[data-line="46"]');
    const jobs = await bench.ask<{ title: string; lines: number }[]>('/api/jobs');
    expect(jobs.map(({ title }) => title)).not.toContain('First steps');
    expect(bench.errors).toEqual([]);
  });

  it('say what a line came to that is not it, can be gone past, and are typed on a desk, in millimetres', async () => {
    const bench = await openBench(browser, DESKTOP);
    const { page } = bench;
    await page.goto(`${new URL(page.url()).origin}/first-steps?in=metres`);
    await page.waitForSelector('[data-test=entry]');
    await stepNow(page, 'A sum');
    expect(await bench.complaints()).toEqual([]);
    await bench.land('1410 - 3');
    await bench.says(
      '[data-test=missed]',
      '#1 comes to 1407 mm, which is not it yet. Touch its words to change it, or write another.',
    );
    await bench.undo();
    await bench.land('1410 - 2 * 3');
    await stepNow(page, 'Rounding');
    await bench.click('[data-test=skip-step]');
    await stepNow(page, 'Storing');
    expect(bench.errors).toEqual([]);
  });
});
