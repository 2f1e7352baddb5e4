import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DESKTOP, launchBrowser, openBench, PHONE } from '../fixtures/browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
});

describe('a carpenter at the bench', () => {
  it('types an entry, reads it on the tape, finds it after a reload, edits it and undoes that', async () => {
    const bench = await openBench(browser);
    await bench.type(`9'-7 1/4" + 2' 9 3/8"`);
    expect(await bench.reading()).toBe('12′ 4 5⁄8″');
    expect(await bench.readBack()).toBe('9′ 7 1⁄4″ + 2′ 9 3⁄8″');
    await bench.press('Enter');
    const number = (await bench.lineNumbers()).at(-1) as number;
    expect(await bench.result(number)).toBe('12′ 4 5⁄8″');
    await bench.kept();

    await bench.goto();
    expect(await bench.result(number)).toBe('12′ 4 5⁄8″');
    await bench.write(number, `9'-7 1/4" + 3'`);
    expect(await bench.result(number)).toBe('12′ 7 1⁄4″');
    await bench.kept();
    await bench.undo();
    expect(await bench.result(number)).toBe('12′ 4 5⁄8″');
    await bench.kept();

    const other = await openBench(browser, DESKTOP, bench);
    expect(await other.result(number)).toBe('12′ 4 5⁄8″');
    expect([...bench.errors, ...other.errors]).toEqual([]);
  });

  it('sees every line that depends on a changed one follow, and a deleted one come back after a reload', async () => {
    const bench = await openBench(browser);
    expect(await bench.result(17)).toBe('7′ 4″');
    await bench.write(1, `across the flats: 28' 4"`);
    expect(await bench.result(17)).toBe('7′ 10″');
    await bench.undo();
    expect(await bench.result(17)).toBe('7′ 4″');
    await bench.more(33, 'remove');
    await bench.page.waitForSelector('[data-test=question] p');
    expect(await bench.text('[data-test=question] p')).toContain('#33 is used by #34.');
    await bench.click('[data-test=take-off]');
    expect(await bench.lineNumbers()).not.toContain(33);
    await bench.show(34);
    expect(await bench.text('[data-line="34"] .problem')).toContain('#33');
    await bench.kept();
    await bench.goto();
    expect(await bench.lineNumbers()).not.toContain(33);
    await bench.undo();
    expect(await bench.result(34)).toBe('1⁄8″');
    await bench.kept();
  });

  it('keeps the reading going while brackets are open, and keeps what was typed when it is wrong', async () => {
    const bench = await openBench(browser);
    await bench.type(`2 * (4' + `);
    expect(await bench.reading()).toBe('8′');
    await bench.type(`3"`);
    expect(await bench.reading()).toBe('8′ 6″');
    await bench.page.waitForSelector('.entry-ghost');
    await bench.type(' + 1/4"');
    await bench.page.waitForFunction(() => document.querySelector('.entry-ghost')?.textContent === ')');
    await bench.clear();
    await bench.type(`5' + 3`);
    await bench.page.waitForSelector('.message');
    expect(await bench.text('.message p')).toContain('unit');
    await bench.click('.fixes button');
    expect(await bench.reading()).toBe('5′ 3″');
    await bench.goto();
    expect(await bench.reading()).toBe('5′ 3″');
    await bench.clear();
  });

  it('says how often a size goes and what is left, and uses that next', async () => {
    const bench = await openBench(browser);
    await bench.type(`24' 5" / 16"`);
    expect(await bench.reading()).toBe('18.3125');
    expect(await bench.text('[data-test=whole] span')).toBe('18 times, 5″ left over');
    await bench.click('[data-test=whole] button');
    expect(await bench.reading()).toBe('5″');
    await bench.clear();
    await bench.type(`hyp(3'; 3')`);
    expect(await bench.text('[data-test=exact]')).toBe('(36√2)″');
    await bench.clear();
  });

  it('finds in the help how an entry is written', async () => {
    const bench = await openBench(browser);
    await bench.room('/help');
    await bench.click('[data-page="write-feet-and-inches"]');
    await bench.page.waitForSelector('[data-try]');
    expect(await bench.text('main')).toContain(`9'-7 1/4"`);
    expect(await bench.complaints()).toEqual([]);
    await bench.click('[href="/licences"]');
    await bench.page.waitForSelector('details');
    const licences = await bench.text('main');
    for (const part of ['barlow', 'SIL OPEN FONT LICENSE', 'codemirror', 'element-plus', 'vue'])
      expect(licences).toContain(part);
    expect(await bench.complaints()).toEqual([]);
    expect(bench.errors).toEqual([]);
  });

  it('keeps a change that could not be sent to the server, and says so', async () => {
    const bench = await openBench(browser);
    const before = await bench.lineNumbers();
    await bench.page.setOfflineMode(true);
    await bench.type(`3' * 3`);
    await bench.press('Enter');
    await bench.page.waitForFunction(
      () => document.querySelector('[data-test=keep-state]')?.textContent === '1 change waiting',
    );
    await bench.page.setOfflineMode(false);
    await bench.kept();
    const other = await openBench(browser, DESKTOP, bench);
    expect(await other.lineNumbers()).toHaveLength(before.length + 1);
  });
});

describe('a step that was taken back', () => {
  it('is done again by a touch or a key, on a desk and on a phone, until something else is done', async () => {
    const bench = await openBench(browser);
    const [number] = (await bench.land(`12' 3"`)) as [number];
    const isThere = async () => (await bench.lineNumbers()).includes(number);
    await bench.undo();
    expect(await isThere()).toBe(false);
    await bench.click('[data-test=redo]');
    await bench.page.waitForSelector(`[data-line="${number}"]`);
    await bench.undo();
    await bench.page.focus('.hand [data-test=entry]');
    await bench.page.keyboard.down('Control');
    await bench.page.keyboard.press('y');
    await bench.page.keyboard.up('Control');
    await bench.page.waitForSelector(`[data-line="${number}"]`);
    expect(await bench.page.$('[data-test=redo]')).toBeNull();
    await bench.kept();

    const phone = await openBench(browser, PHONE);
    const [other] = (await phone.land(`7'`)) as [number];
    await phone.undo();
    expect(await phone.overflow()).toBeLessThanOrEqual(0);
    await phone.tap('[data-test=slate-tools]');
    await phone.tap('[data-test=redo-here]');
    await phone.page.waitForSelector(`[data-line="${other}"]`);
    expect([...bench.errors, ...phone.errors]).toEqual([]);
  });
});
