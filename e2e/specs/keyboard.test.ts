import type { Browser, KeyInput } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openBench, type Bench } from '../fixtures/browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
});

/** What has the focus: the entry, a line of the slate with the part of it, or whatever it is called. */
const focused = (bench: Bench): Promise<string> =>
  bench.page.evaluate(() => {
    const element = document.activeElement as HTMLElement;
    const { line, words } = element.closest<HTMLElement>('[data-row]')?.dataset ?? {};
    if (element.closest('.hand') !== null) return 'entry';
    return `${line ?? words ?? 'elsewhere'} ${element.className.split(' ')[0]}`;
  });
async function press(bench: Bench, ...keys: readonly KeyInput[]): Promise<void> {
  for (const key of keys) {
    await bench.page.keyboard.press(key);
    await bench.drawn();
  }
}
const isAt = (bench: Bench, where: string) => expect.poll(() => focused(bench)).toBe(where);

describe('the bench by keyboard', () => {
  it('has the slate for one stop, and goes along it by arrows, Home, End and pages', async () => {
    const bench = await openBench(browser);
    await press(bench, 'Escape');
    await bench.page.keyboard.down('Shift');
    for (let n = 0; n < 6 && (await focused(bench)) !== '46 body'; n += 1) await press(bench, 'Tab');
    await bench.page.keyboard.up('Shift');
    await isAt(bench, '46 body');
    await press(bench, 'ArrowUp', 'ArrowUp');
    await isAt(bench, '44 body');
    await press(bench, 'ArrowRight');
    await isAt(bench, '44 result');
    // The same part of the next line.
    await press(bench, 'ArrowUp');
    await isAt(bench, '43 result');
    await press(bench, 'Home');
    // The slate begins with a heading, which has no result.
    await isAt(bench, 'heading body');
    await press(bench, 'PageDown');
    expect(await focused(bench)).toMatch(/^\d+ body$/);
    await press(bench, 'PageUp', 'PageUp');
    await isAt(bench, 'heading body');
    await press(bench, 'End');
    await isAt(bench, '46 body');
    // One stop: the next one is out of the slate.
    await press(bench, 'Tab');
    expect(await focused(bench)).not.toMatch(/^\d/);
    expect(bench.errors).toEqual([]);
  });

  it('edits and deletes a line where it stands, and what is typed then is in the entry', async () => {
    const bench = await openBench(browser);
    const [first, second, third] = (await bench.land(`1'`, `2'`, `3'`)) as [number, number, number];
    await bench.page.focus(`[data-line="${second}"] .body`);
    await press(bench, 'Enter');
    await bench.page.waitForSelector(`[data-line="${second}"] [data-test=entry]`);
    await bench.page.keyboard.type(' + 6"');
    await press(bench, 'Enter');
    expect(await bench.result(second)).toBe('2′ 6″');
    await isAt(bench, 'entry');
    await bench.page.focus(`[data-line="${second}"] .body`);
    await press(bench, 'Delete');
    await isAt(bench, `${third} body`);
    expect(await bench.lineNumbers()).not.toContain(second);
    await bench.page.keyboard.type('7"');
    expect(await bench.text('.hand [data-test=entry]')).toBe('7"');
    await press(bench, 'Backspace', 'Backspace');
    await bench.page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await bench.page.keyboard.down('Control');
    await press(bench, 'z');
    await bench.page.keyboard.up('Control');
    expect((await bench.lineNumbers()).slice(-3)).toEqual([first, second, third]);
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });

  it('closes what was opened last with Escape, and goes on in the entry', async () => {
    const bench = await openBench(browser);
    await bench.click('[data-test=search]');
    await bench.page.waitForSelector('[data-test=sought]');
    await bench.page.keyboard.type('rail');
    await press(bench, 'Escape');
    await bench.page.waitForSelector('[data-test=sought]', { hidden: true });
    await isAt(bench, 'entry');
    await bench.show(46);
    await bench.click('[data-line="46"] [data-test=dots]');
    await bench.page.waitForSelector('[data-test=note]');
    await press(bench, 'Escape');
    await bench.page.waitForSelector('[data-test=note]', { hidden: true });
    await bench.page.keyboard.type('8"');
    await bench.page.keyboard.down('Alt');
    await press(bench, 'k');
    await bench.page.keyboard.up('Alt');
    await bench.page.waitForSelector('.naming input');
    await press(bench, 'Escape');
    await isAt(bench, 'entry');
    await bench.page.keyboard.down('Alt');
    await press(bench, 'k');
    await bench.page.keyboard.up('Alt');
    await bench.page.waitForSelector('.naming input');
    await bench.page.keyboard.type('sill');
    await press(bench, 'Enter');
    await isAt(bench, 'entry');
    expect(await bench.lineNumbers()).toContain(47);
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });
});
