import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DESKTOP, launchBrowser, openBench, PHONE, type Bench } from '../fixtures/browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
});

async function settingOut(shape: string, size: typeof DESKTOP = DESKTOP): Promise<Bench> {
  const bench = await openBench(browser, size);
  await bench.room('/setting-out');
  await bench.click(`[data-shape=${shape}]`);
  await bench.page.waitForSelector(`[data-shape-now=${shape}]`);
  return bench;
}
const give = (bench: Bench, field: string, entry: string) => bench.fill(`[data-field=${field}] input`, entry);
const reads = (bench: Bench, field: string, size: string) =>
  bench.says(`:is([data-field=${field}], [data-answer=${field}]) .size`, size);

describe('setting out', () => {
  it('draws what it solves as it is written, from marks and lines, and puts results on the slate', async () => {
    const bench = await settingOut('right-triangle');
    await give(bench, 'run', 'run');
    await give(bench, 'pitch', '6:12');
    await reads(bench, 'run', '14′ 8″');
    await reads(bench, 'rise', '7′ 4″');
    await bench.page.waitForSelector('.figure path.active, .figure path.body');
    const drawn = await bench.page.$$eval('.figure .words', (all) =>
      all.map((one) => one.textContent.replace(/\s+/g, ' ').trim()),
    );
    expect(drawn).toContain('Rise7′ 4″');
    await bench.click('[data-answer=rise] [data-test=to-slate]');
    await bench.page.goBack();
    await bench.page.goBack();
    await bench.page.waitForSelector('[data-line="47"]');
    expect(await bench.result(47)).toBe('7′ 4″');
    await bench.undo();
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });

  it('spaces members evenly and says what stepping off would do', async () => {
    const bench = await settingOut('spacing-gaps');
    await give(bench, 'length', '100"');
    await give(bench, 'width', '2"');
    await give(bench, 'count', '9');
    await reads(bench, 'gap', '8 3⁄16″');
    await bench.says(
      '[data-test=drift]',
      'Measure from one end: stepped off to 1⁄16″, the ninth member stands 1⁄8″ short of its place.',
    );
    await bench.page.waitForSelector('.chart canvas');
    expect(await bench.complaints()).toEqual([]);
    expect(bench.errors).toEqual([]);
  });

  it('checks steps against limits that are the user’s own', async () => {
    const bench = await settingOut('steps');
    await give(bench, 'total', `9' 1"`);
    await give(bench, 'going', '9"');
    await reads(bench, 'count', '15');
    await bench.says('[data-test=breaks] li', 'The going is shorter than you allow; give the flight more length.');
    await give(bench, 'shallowest', '9"');
    await bench.page.waitForSelector('[data-test=breaks]', { hidden: true });
    expect(bench.errors).toEqual([]);
  });

  it('fits a phone, the drawing in view while fields are written', async () => {
    const bench = await settingOut('arc', PHONE);
    await give(bench, 'chord', `8'`);
    await give(bench, 'radius', `5'`);
    await bench.page.waitForSelector('.answers');
    await reads(bench, 'rise', '2′');
    await bench.fill('[data-test=ordinate-spacing] input', `2'`);
    await bench.says('[data-test=ordinates] li:nth-child(3) .size', '2′');
    expect(await bench.overflow()).toBe(0);
    expect(await bench.complaints()).toEqual([]);
    const top = await bench.page.$eval('.figure', (figure) => figure.getBoundingClientRect().top);
    expect(top).toBeLessThan(420);
    expect(bench.errors).toEqual([]);
  });

  it('is kept in the job under a name, is there after a reload and on another device, and is put on paper', async () => {
    const bench = await settingOut('rafter');
    await give(bench, 'span', `24'`);
    await give(bench, 'pitch', '9:12');
    await give(bench, 'ridge', '1 1/2"');
    await reads(bench, 'cut', '14′ 11 1⁄16″');
    await bench.fill('[data-test=set-out-name]', 'Workshop roof');
    await bench.click('[data-test=keep-set-out]');
    await bench.page.waitForSelector('[data-kept="Workshop roof"].chosen');
    await bench.kept();
    await bench.page.reload();
    await bench.page.waitForSelector('[data-kept="Workshop roof"].chosen');
    await reads(bench, 'cut', '14′ 11 1⁄16″');
    await bench.click('[data-test=on-paper]');
    await bench.page.waitForSelector('.print svg');
    const scale = await bench.page.$$eval('.print text', (all) => all.map((one) => one.textContent.trim()));
    expect(scale.some((text) => text.startsWith('Scale'))).toBe(true);
    await bench.click('[data-test=paper-full-size]');
    await bench.page.waitForFunction(() =>
      /^\d{2} sheets$/.test(document.querySelector('.paper [role=status]')?.textContent ?? ''),
    );
    expect(await bench.complaints()).toEqual([]);

    const other = await openBench(browser, PHONE, bench);
    await other.page.goto(`${new URL(other.page.url()).origin}/setting-out/circle`);
    await other.click('[data-kept="Workshop roof"]');
    await other.page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[data-field=span] input')?.value === `24'`,
    );
    await give(other, 'ridge', '2"');
    // The keys go, and the drawing stays over what was scrolled under it.
    await other.page.$eval('[data-field=ridge] input', (field) => (field as HTMLInputElement).blur());
    await other.page.waitForSelector('[data-test=dock]', { hidden: true });
    await other.page.$eval('[data-test=write-set-out]', (button) => {
      button.scrollIntoView({ block: 'center' });
    });
    await other.click('[data-test=write-set-out]');
    await other.kept();
    await bench.page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[data-field=ridge] input')?.value === '2"',
    );
    await other.click('[data-test=remove-set-out]');
    await bench.page.waitForFunction(() => document.querySelector('[data-kept="Workshop roof"]') === null);
    await other.undo();
    await bench.page.waitForSelector('[data-kept="Workshop roof"]');
    expect([...bench.errors, ...other.errors]).toEqual([]);
  });
});
