import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openBench, PHONE, type Bench } from '../fixtures/browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
});

/** Pastes text where the cursor is, as the browser does. */
const paste = (bench: Bench, text: string) =>
  bench.page.evaluate((words) => {
    const data = new DataTransfer();
    data.setData('text/plain', words);
    const event = new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true });
    document.activeElement?.dispatchEvent(event);
  }, text);

describe('the slate as a working paper', () => {
  it('offers several pasted lines as lines, with how each was read, and totals them in one touch', async () => {
    const bench = await openBench(browser);
    await bench.page.focus('.hand [data-test=entry]');
    await paste(bench, `Stairs\n#3 riser: 7 1/4" × 12 = 7′ 3″\n#4 #3 + 1' = 8′ 3″, full\n  10"`);
    await bench.page.waitForSelector('[data-test=pasted] li');
    const read = await bench.page.$$eval('[data-test=pasted] .size', (all) => all.map((one) => one.textContent.trim()));
    expect(read).toEqual(['7′ 3″', '8′ 3″', '10″']);
    await bench.click('[data-test=land-pasted]');
    await bench.page.waitForSelector('[data-line="49"]');
    expect([await bench.result(47), await bench.result(48)]).toEqual(['7′ 3″', '8′ 3″']);
    await bench.click('[data-test=total]');
    expect(await bench.result(50)).toBe('16′ 4″');
    await bench.undo();
    await bench.undo();
    expect(await bench.lineNumbers()).not.toContain(47);
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });

  it('puts lines that are ticked by a touch under a heading, and moves them above another', async () => {
    const bench = await openBench(browser, PHONE);
    await bench.tap('[data-test=slate-tools]');
    await bench.tap('[data-test=select]');
    for (const number of [46, 45]) {
      await bench.show(number);
      await bench.tap(`[data-line="${number}"] .body`);
    }
    await bench.tap('[data-test=head-chosen]');
    await bench.page.waitForSelector('[data-test=words-form] input');
    await bench.page.keyboard.type('Offcuts');
    await bench.press('Enter');
    await bench.page.waitForFunction(() =>
      [...document.querySelectorAll('[data-words=heading]')].some((one) => one.textContent.includes('Offcuts')),
    );
    await bench.tap('[data-test=select]');
    await bench.show(46);
    await bench.tap('[data-line="46"] .body');
    await bench.tap('[data-test=move-chosen]');
    await bench.show(45);
    await bench.tap('[data-line="45"] .body');
    expect((await bench.lineNumbers()).slice(-2)).toEqual([46, 45]);
    await bench.undo();
    await bench.undo();
    expect((await bench.lineNumbers()).slice(-2)).toEqual([45, 46]);
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });
});
