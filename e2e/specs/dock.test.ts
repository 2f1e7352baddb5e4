import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openBench, PHONE } from '../fixtures/browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
});

describe('the keys for a field of another room', () => {
  it('come up for it on a touch screen, with its reading, the fields around it and what the bench has', async () => {
    const bench = await openBench(browser, PHONE);
    await bench.touchKeys('2', '×', '(');
    await bench.tap('[data-test=clear-entry]');
    await bench.touchKeys('9', '′', '+', '3', '″');
    await bench.room('/setting-out');
    await bench.tap('[data-shape=right-triangle]');
    await bench.tap('[data-field=rise] input');
    await bench.page.waitForSelector('[data-test=dock]');
    // The unfinished entry of the bench goes along in one touch.
    await bench.tap('[data-test=dock] .bench');
    await bench.says('[data-test=dock-reading]', '9′ 3″');
    await bench.tap('[data-test=field-after]');
    await bench.touchKeys('1', '″', '+', 'abc', 'p', 'o');
    await bench.tap('[data-offer=post]');
    await bench.says('[data-test=dock-reading]', '9′ 11 3⁄16″');
    // The field is not under the keys.
    const [field, dock] = await bench.page.evaluate(() => [
      document.activeElement?.getBoundingClientRect().bottom ?? 0,
      document.querySelector('[data-test=dock]')?.getBoundingClientRect().top ?? 0,
    ]);
    expect(field).toBeLessThan(dock as number);
    expect(await bench.page.$eval('[data-field=run] input', (input) => input.inputMode)).toBe('none');
    expect(await bench.overflow()).toBe(0);
    expect(await bench.complaints()).toEqual([]);
    // A touch beside the field puts them away.
    await bench.page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await bench.page.waitForSelector('[data-test=dock]', { hidden: true });
    expect(bench.errors).toEqual([]);
  });

  it('are not in the way of a real keyboard, which has the sizes of the bench beside its field', async () => {
    const bench = await openBench(browser);
    await bench.room('/scales');
    await bench.page.waitForSelector('[data-test=run] input');
    await bench.page.focus('[data-test=run] input');
    expect(await bench.page.$('[data-test=dock]')).toBeNull();
    await bench.click('[data-at-hand=post]');
    await bench.page.keyboard.type(' / 48');
    await bench.page.keyboard.press('Enter');
    await bench.says('[data-test=runs-paper]', '2 15⁄32″');
    expect(bench.errors).toEqual([]);
  });

  it('write labels and names on the bench, with the words that are known', async () => {
    const bench = await openBench(browser, PHONE);
    const height = () => bench.page.$eval('.keys', (keys) => keys.getBoundingClientRect().top);
    const before = await height();
    await bench.touchKeys('abc', 's', 'i', 'l', 'l');
    await bench.tap('[data-offer="sill:"]');
    expect(await height()).toBe(before);
    await bench.touchKeys('digits', '3', '′', '+', 'abc', 'r', 'a');
    await bench.tap('[data-offer=rail]');
    await bench.touchKeys('enter');
    await bench.says('[data-line="47"] .label', 'sill');
    expect(await bench.result(47)).toBe('13′ 5 1⁄8″');
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });
});
