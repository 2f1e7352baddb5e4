import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openBench, PHONE, type Bench } from '../fixtures/browser.ts';
import { downloadsOf } from '../fixtures/downloads.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(() => browser.close());

async function fileBy(bench: Bench, button: string, ending: string): Promise<readonly string[]> {
  using downloads = await downloadsOf(bench.page);
  await bench.click(button);
  return (await downloads.saved(ending)).toString('utf8').split('\r\n');
}
const csvBy = (bench: Bench, button: string) => fileBy(bench, button, '.csv');

describe('lists', () => {
  it('go out as CSV: the slate, the story stick, a setting-out', async () => {
    const bench = await openBench(browser);
    await bench.land(`scrap: 2' 3" - 3'`);
    const slate = await csvBy(bench, '[data-test=save-slate]');
    expect(slate[0]).toBe('\uFEFFline,label,entry,result,rounded,note');
    expect(slate[1]).toBe(',Plan,,,,');
    expect(slate[2]).toBe(`1,across the flats,"26' 4""","26' 4""",,"Taped twice, plate to plate"`);
    expect(slate.find((line) => line.startsWith('14,'))).toBe(`14,gap to the tape,"round(#13; 1/8"")","7 1/2""",,`);
    expect(slate.at(-1)).toBe(`47,scrap,"2' 3"" - 3'","-9""",,`);

    await bench.room('/stick');
    await bench.click('[data-test=show-list]');
    const stick = await csvBy(bench, '[data-test=save-list]');
    expect(stick[0]).toBe('\uFEFFmark,kind,size,note');
    expect(stick.find((line) => line.startsWith('rail,'))).toBe(`rail,length,"10' 5 1/8""",An eighth free at each end`);

    await bench.click('[data-test=show-print]');
    const rod = await fileBy(bench, '[data-test=save-dxf]', '.dxf');
    expect(rod).toContain(`rail 10' 5 1/8"`);

    await bench.room('/setting-out');
    await bench.page.waitForSelector('[data-field] input');
    await bench.page.goto(`${new URL(bench.page.url()).origin}/setting-out/circle`);
    await bench.fill('[data-field=radius] input', `3'`);
    await bench.page.waitForSelector('[data-test=save-list]');
    const circle = await csvBy(bench, '[data-test=save-list]');
    expect(circle[0]).toBe('\uFEFFwhat,size,given or found');
    expect(circle).toContain(`Radius,3',given`);
    expect(circle).toContain(`Diameter,6',found`);
    await bench.click('[data-test=on-paper]');
    const outline = await fileBy(bench, '[data-test=save-dxf]', '.dxf');
    expect(outline).toContain('CIRCLE');
    expect(outline).toContain('914.4');
    expect(await bench.complaints()).toEqual([]);
  });

  it('what another application shares stands in the entry', async () => {
    const bench = await openBench(browser, PHONE);
    const { origin } = new URL(bench.page.url());
    await bench.page.goto(`${origin}/shared?title=&text=${encodeURIComponent('3.425 m')}`);
    await bench.page.waitForSelector('.hand [data-test=entry]');
    await bench.page.waitForFunction(() => document.querySelector('.hand')?.textContent.includes('3.425 m'));
    expect(bench.page.url()).not.toContain('text=');
    await bench.says('[data-test=reading]', '11′ 2 13⁄16″');
  });

  it('come back: a CSV of the slate into another job, each line seen before it lands', async () => {
    const bench = await openBench(browser);
    const { page } = bench;
    using downloads = await downloadsOf(page);
    await bench.click('[data-test=save-slate]');
    await downloads.saved('.csv');
    const { id } = await bench.jobOfList('Chapel porch');
    await bench.openJob(id);
    const before = Math.max(...(await bench.lineNumbers()));
    const [chooser] = await Promise.all([page.waitForFileChooser(), bench.click('[data-test=open-lines]')]);
    await chooser.accept([downloads.path('.csv')]);
    await page.waitForSelector('[data-test=pasted]');
    expect(await page.$$eval('[data-test=pasted] li', (lines) => lines.length)).toBeGreaterThan(46);
    expect(await page.$eval('[data-test=pasted] li:nth-child(2)', (line) => line.textContent)).toContain('26′ 4″');
    await bench.click('[data-test=land-pasted]');
    await bench.show(before + 2);
    expect(await bench.result(before + 2)).toBe('10′ 10 7⁄8″');
    await bench.undo();
    await page.waitForFunction((number) => document.querySelector(`[data-line="${number}"]`) === null, {}, before + 2);
    expect(bench.errors).toEqual([]);
  });
});
