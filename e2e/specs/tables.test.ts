import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openBench, PHONE, type Bench } from '../fixtures/browser.ts';
import { downloadsOf } from '../fixtures/downloads.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(() => browser.close());

const unit = (bench: Bench, id: string) => bench.text(`[data-unit="${id}"] .size`);
const field = (name: string) => `[data-field=${name}] input`;
const firstRow = (bench: Bench) =>
  bench.page.$eval('[data-test=conversion-table] tbody tr', (row) =>
    [...row.children].map((cell) => cell.textContent.replace(/\s+/g, ' ').trim()),
  );

describe('conversion tables', () => {
  it('show any value in its whole family, with the marks of a tape around it, and put it on the slate', async () => {
    const bench = await openBench(browser);
    await bench.room('/tables');
    await bench.fill(field('any'), '238 mm');
    await bench.says('[data-unit=in-fraction] .size', '9 3⁄8″');
    expect(await unit(bench, 'm')).toBe('0.238 m');
    expect(await bench.text('[data-test=near] .nearest')).toContain('9 3⁄8″');
    await bench.click('[data-unit=mm] .title');
    expect(await bench.text('[data-unit=mm] .source')).toContain('a thousandth of a metre');
    await bench.click('[data-unit=yd] [data-test=to-slate]');

    // The value may be of any kind that has units.
    await bench.fill(field('any'), '100 psi');
    await bench.says('[data-unit=bar] .size', '6.895 bar');
    await bench.fill(field('any'), '7');
    await bench.page.waitForFunction(() => document.body.textContent.includes('A plain number has no units'));
    await bench.room('/');
    await bench.page.waitForFunction(() => document.querySelector('.lines')?.textContent.includes('238 mm to yd'));
  });

  it('go over a range in columns of one’s choice, to be touched, saved and printed', async () => {
    const bench = await openBench(browser);
    using downloads = await downloadsOf(bench.page);
    await bench.room('/tables');
    await bench.page.waitForSelector('[data-test=conversion-table]');
    expect(await firstRow(bench)).toEqual(['1⁄32″', '0.031 in', '0.8 mm']);
    await bench.fill(field('from'), '1/64"');
    await bench.fill(field('step'), '1/64"');
    await bench.page.waitForFunction(
      () => document.querySelectorAll('[data-test=conversion-table] tbody tr').length === 64,
    );
    expect((await firstRow(bench))[0]).toBe('1⁄64″');
    await bench.click('[data-test=conversion-table] tbody tr:nth-child(32) button');
    await bench.says('[data-unit=mm] .size', '12.7 mm');
    await bench.click('[data-test=save-csv]');
    const csv = (await downloads.saved('.csv')).toString('utf8');
    expect(csv.split('\r\n').slice(0, 2)).toEqual([
      '\uFEFFinches and fraction,"inches, decimal",millimetres',
      '"1/64""",0.016 in,0.4 mm',
    ]);
    await bench.click('[data-test=pocket-card]');
    await bench.click('[data-test=save-pdf]');
    expect((await downloads.saved('.pdf')).subarray(0, 4).toString()).toBe('%PDF');
    await bench.press('Escape');
    await bench.fill(field('to'), '1/128"');
    await bench.page.waitForFunction(() => document.body.textContent.includes('a last one that is not smaller'));
    expect(await bench.complaints()).toEqual([]);
  });

  it('keep a table of one’s own: timber as it is sold and as it measures', async () => {
    const bench = await openBench(browser);
    await bench.room('/tables');
    await bench.choose('[data-test=table]', 'as it measures');
    await bench.click('[data-test=begin-softwood]');
    await bench.page.waitForFunction(
      () => document.querySelectorAll('[data-test=timber-table] tbody tr').length === 19,
    );
    await bench.click('[data-test=new-timber]');
    await bench.fill('[data-field=called]', '8/4 oak');
    await bench.fill(field('thick'), '3 kg');
    await bench.click('[data-test=save-timber]');
    await bench.page.waitForFunction(() => document.body.textContent.includes('is no thickness and no width'));
    await bench.fill(field('thick'), '1 3/4');
    await bench.click('[data-test=save-timber]');
    await bench.page.waitForFunction(() =>
      [...document.querySelectorAll('[data-test=timber-table] tbody tr')].some(
        ({ textContent }) => textContent.includes('8/4 oak') && textContent.includes('44.5 mm'),
      ),
    );
    await bench.click('[data-test=timber-table] tbody tr:last-child button');
    await bench.kept();

    // Another device of the same person has it.
    const other = await openBench(browser, PHONE, bench);
    await other.room('/tables');
    await other.choose('[data-test=table]', 'as it measures');
    await other.page.waitForFunction(() => document.body.textContent.includes('8/4 oak'));
    expect(await other.overflow()).toBe(0);
    expect(await other.complaints()).toEqual([]);
  });

  it('are read on a phone', async () => {
    const bench = await openBench(browser, PHONE);
    await bench.room('/tables');
    await bench.page.waitForSelector('[data-unit=mm]');
    expect(await unit(bench, 'mm')).toBe('2927.4 mm');
    expect(await bench.complaints()).toEqual([]);
  });
});
