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

/** Opens another job from the list in the head of the bench. */
async function chooseJob(bench: Bench, title: string): Promise<void> {
  const id = await bench.page.$eval(
    '[data-test=job]',
    (list, wanted) => [...(list as HTMLSelectElement).options].find(({ label }) => label === wanted)?.value ?? '',
    title,
  );
  await bench.page.select('[data-test=job]', id);
  await bench.page.waitForFunction(() => document.querySelector('[data-line="11"]') === null);
}

describe('two devices on one job', () => {
  it('that changed the same line apart see both versions, and the one that chooses keeps its own', async () => {
    const phone = await openBench(browser, PHONE);
    const laptop = await openBench(browser);
    await laptop.write(31, `rise of the steps: 1' 10"`);
    await laptop.kept();
    await phone.write(31, `rise of the steps: 1' 9"`);
    await phone.page.waitForSelector('.notice');
    expect(await phone.text('.notice p')).toContain(
      `Yours: rise of the steps: 1' 9" Now it says rise of the steps: 1' 10"`,
    );
    expect(await phone.result(31)).toBe('1′ 10″');
    await phone.page.click('.notice button');
    expect(await phone.result(31)).toBe('1′ 9″');
    await phone.kept();
    await laptop.goto();
    expect(await laptop.result(31)).toBe('1′ 9″');
    expect(await laptop.result(32)).toBe('7″');
    await phone.undo();
    await phone.kept();
  });

  it('that add a line at once get numbers of their own, and what uses them follows', async () => {
    const one = await openBench(browser);
    const other = await openBench(browser);
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

describe('another job', () => {
  it('reads in its own units, and is the one that is open next time', async () => {
    const bench = await openBench(browser);
    await chooseJob(bench, 'Allotment tool store');
    expect(await bench.result(3)).toBe('3000 mm');
    await bench.type('#1 / 7');
    expect(await bench.reading()).toBe('343 mm');
    expect(await bench.text('[data-test=cost]')).toBe('shy by 0.006″ (0.1 mm)');
    await bench.clear();
    await bench.goto();
    expect(
      await bench.page.$eval('[data-test=job]', (list) => (list as HTMLSelectElement).selectedOptions[0]?.label),
    ).toBe('Allotment tool store');
    expect((await bench.lineNumbers()).slice(0, 10)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
  });
});
