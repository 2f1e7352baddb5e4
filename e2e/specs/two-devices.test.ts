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

describe('two devices on one job', () => {
  it('that changed the same line apart see both versions, and the one that chooses keeps its own', async () => {
    const phone = await openBench(browser, PHONE);
    const laptop = await openBench(browser, DESKTOP, phone);
    await phone.page.setOfflineMode(true);
    await laptop.write(31, `rise of the steps: 1' 10"`);
    await laptop.kept();
    await phone.write(31, `rise of the steps: 1' 9"`);
    await phone.page.setOfflineMode(false);
    await phone.page.waitForSelector('.notice');
    // Until somebody chooses, also after a reload.
    await phone.page.reload();
    await phone.page.waitForSelector('.notice');
    expect(await phone.text('.notice p')).toContain(
      `Yours: rise of the steps: 1′ 9″ Now it says rise of the steps: 1′ 10″`,
    );
    expect(await phone.result(31)).toBe('1′ 10″');
    await phone.click('.notice button');
    expect(await phone.result(31)).toBe('1′ 9″');
    await phone.kept();
    await laptop.show(31);
    await laptop.says('[data-line="31"] [data-test=result]', '1′ 9″');
    expect(await laptop.result(32)).toBe('7″');
    await phone.undo();
    await phone.kept();
  });

  it('that add a line at once get numbers of their own, and what uses them follows', async () => {
    const one = await openBench(browser);
    const other = await openBench(browser, DESKTOP, one);
    const last = (await one.lineNumbers()).at(-1) as number;
    await one.type(`3'`);
    await one.press('Enter');
    await one.kept();
    await other.type(`4'`);
    await other.press('Enter');
    await other.type('* 2');
    await other.press('Enter');
    await other.kept();
    await other.goto();
    const numbers = await other.lineNumbers();
    expect(new Set(numbers).size).toBe(numbers.length);
    expect(await other.result(last + 1)).toBe('3′');
    const added = numbers.slice(-2);
    expect([await other.result(Math.min(...added)), await other.result(Math.max(...added))].sort()).toEqual([
      '4′',
      '8′',
    ]);
  });
});

describe('a device that only looks on', () => {
  it('sees what is done on the other come by itself, and keeps its own unfinished entry', async () => {
    const phone = await openBench(browser, PHONE);
    const laptop = await openBench(browser, DESKTOP, phone);
    await laptop.type(`7' 3 1/2" +`);
    await phone.type(`bench: 4' 9"`);
    await phone.press('Enter');
    await laptop.page.waitForSelector('[data-line="47"]');
    expect(await laptop.result(47)).toBe('4′ 9″');
    await phone.write(1, `across the flats: 28' 4"`);
    await laptop.page.waitForFunction(
      () => document.querySelector('[data-mark=rise] .size')?.textContent.replace(/\s+/g, ' ').trim() === '7′ 10″',
    );
    expect(await laptop.text('.hand [data-test=entry]')).toContain('+');
    await phone.undo();
    await laptop.page.waitForFunction(
      () => document.querySelector('[data-mark=rise] .size')?.textContent.replace(/\s+/g, ' ').trim() === '7′ 4″',
    );
    expect([...phone.errors, ...laptop.errors]).toEqual([]);
  });
});

describe('another job', () => {
  it('reads in its own units, and is the one that is open next time', async () => {
    const bench = await openBench(browser);
    await bench.chooseJob('Allotment tool store');
    expect(await bench.result(3)).toBe('3000 mm');
    await bench.type('#1 / 7');
    expect(await bench.reading()).toBe('343 mm');
    await bench.drawn();
    expect(await bench.text('[data-test=cost]')).toBe('shy by 0.1 mm');
    await bench.clear();
    await bench.goto();
    expect((await bench.job()).title).toBe('Allotment tool store');
    expect((await bench.lineNumbers()).slice(0, 10)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
  });
});
