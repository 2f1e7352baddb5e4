import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DESKTOP, launchBrowser, openBench, PHONE, type Bench } from '../fixtures/browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(() => browser.close());

/** The simulated meter, from the settings. */
async function takeMeter(bench: Bench): Promise<void> {
  const { page } = bench;
  // What hears it comes behind the page.
  await page.waitForFunction(() =>
    performance.getEntriesByType('resource').some(({ name }) => name.includes('BehindPage')),
  );
  await bench.click('[data-test=comfort]');
  await bench.click('[data-test=open-measured]');
  await bench.click('[data-test=simulate-meter]');
  await page.waitForSelector('[data-test=simulated-meter]');
  await page.waitForSelector('.el-drawer', { hidden: true });
}

/** Measures, and waits until all of it was typed: then the meter shows its next size. */
async function measure(bench: Bench): Promise<void> {
  const shown = await bench.text('[data-test=meter-shows]');
  // Whoever takes the meter in hand does not type meanwhile.
  await new Promise((resolve) => setTimeout(resolve, 400));
  await bench.click('[data-test=meter-measure]');
  await bench.page.waitForFunction(
    (before) => document.querySelector('[data-test=meter-shows]')?.textContent !== before,
    {},
    shown,
  );
}

describe('a distance meter that types', () => {
  it('lands a line, fills the field with the cursor, and is held where there is none', async () => {
    const bench = await openBench(browser, DESKTOP);
    const { page } = bench;
    await takeMeter(bench);
    await page.focus('.hand [data-test=entry]');
    await measure(bench);
    await bench.show(47);
    expect(await page.$eval('[data-line="47"]', (row) => row.textContent)).toContain('3.425 m');
    // An entry that waits for a size has it; what is whole stays as it was.
    await bench.type(`2 × `);
    await measure(bench);
    await bench.show(48);
    expect(await bench.result(48)).toBe('13′ 8″');
    await bench.type(`7' 6"`);
    await measure(bench);
    await bench.says('[data-test=meter-notice] p', 'Measured 0.914 m');
    expect(await bench.reading()).toBe('7′ 6″');
    await bench.click('[data-test=meter-land]');
    await bench.show(49);
    await bench.clear();

    await page.goto(`${new URL(page.url()).origin}/setting-out/circle`);
    await page.waitForSelector('[data-field=radius] input');
    await takeMeter(bench);
    await page.focus('[data-field=radius] input');
    for (const size of ['3.425 m', '2.083 m']) {
      await measure(bench);
      await page.waitForFunction(
        (wanted) => document.querySelector<HTMLInputElement>('[data-field=radius] input')?.value === wanted,
        {},
        size,
      );
      await page.focus('[data-field=radius] input');
    }
    expect(bench.errors).toEqual([]);
  });

  it('presses no button that has the focus, and its sizes become lines and marks, one undo for all', async () => {
    const bench = await openBench(browser, DESKTOP);
    const { page } = bench;
    // On the bench any key goes to the entry; elsewhere a button may have the focus.
    await bench.room('/stick');
    await takeMeter(bench);
    await page.focus('[data-test=clear-marks]');
    for (let n = 0; n < 3; n += 1) {
      await measure(bench);
      await page.waitForSelector('[data-test=meter-notice]');
      await bench.click('[data-test=meter-away]');
    }
    expect(await page.$('[data-test=clear-now]')).toBeNull();

    await bench.click('[data-test=comfort]');
    await bench.click('[data-test=open-measured]');
    const held = await page.$$eval('[data-measured]', (rows) => rows.map((row) => row.getAttribute('data-measured')));
    expect(held).toEqual(['0.914 m', '2.083 m', '3.425 m']);
    expect((await bench.complaints()).filter((one) => !one.startsWith('landmark-no-duplicate-banner'))).toEqual([]);
    await bench.click('[data-measured="2.083 m"] [data-test=measured-mark]');
    await bench.fill('[data-test=measured-name]', 'sill');
    await bench.click('[data-test=measured-store]');
    await bench.click('[data-test=measured-all]');
    await bench.click('.el-drawer__close-btn');
    await bench.room('/');
    await bench.show(50);
    expect(await bench.result(47)).toBe('6′ 10″');
    expect(await bench.result(48)).toBe('11′ 2 13⁄16″');
    await bench.undo();
    await page.waitForFunction(() => document.querySelector('[data-line="50"]') === null);
    await bench.show(47);
    await page.waitForSelector('[data-mark=sill]');
    expect(bench.errors).toEqual([]);
  });

  it('is reached on a phone by the list of rooms', async () => {
    const bench = await openBench(browser, PHONE);
    await bench.click('[data-test=rooms]');
    await bench.click('[role=menu] [data-room=measured]');
    await bench.page.waitForSelector('[data-test=none-measured]');
    expect(await bench.overflow()).toBe(0);
  });
});
