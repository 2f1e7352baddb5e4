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

async function theBandstand(size: typeof DESKTOP = DESKTOP): Promise<Bench> {
  const bench = await openBench(browser, size);
  await bench.room('/scales');
  await bench.page.waitForSelector('[data-test=fits], .fits');
  return bench;
}
const SIDE = { typed: '[data-test=typed-side]', other: '[data-test=other-side]' };

/** Waits until the other side is shown, under its name. */
async function otherSide(bench: Bench, where: string, size: string): Promise<void> {
  await bench.says(`${SIDE.other} .where`, where);
  await bench.says(`${SIDE.other} .figure`, size);
}

async function newScale(
  bench: Bench,
  kind: 'sizes' | 'ratio' | 'copy',
  paper: string,
  site: string,
  name: string,
): Promise<void> {
  if ((await bench.page.$('[data-test=new-scale]')) !== null) await bench.click('[data-test=new-scale]');
  await bench.click(`.new [data-test=kind-${kind}]`);
  await bench.fill('.new [data-test=scale-paper] input', paper);
  await bench.fill('.new [data-test=scale-site] input', site);
  await bench.fill('.new [data-test=scale-name]', name);
  await bench.click('.new [data-test=keep-scale]');
  await bench.page.waitForSelector(`.held[data-scale="${name}"]`);
}

describe('the scale rule', () => {
  it('takes scales as people meet them, and shows the other side of everything typed', async () => {
    const bench = await theBandstand();
    await newScale(bench, 'sizes', '1/4"', `1'`, 'Old plan');
    await newScale(bench, 'ratio', '1', '20', 'Shoes');
    await newScale(bench, 'copy', '5 15/16"', `12' 6"`, 'Copy');
    await bench.click('[data-scale="Old plan"] [data-test=take-scale]');
    await bench.room('/');
    await bench.page.waitForSelector('[data-test=scale-strip]');
    await bench.type('2 5/8"');
    await otherSide(bench, 'on site', '10′ 6″');
    expect([await bench.text(`${SIDE.typed} .where`), await bench.text(`${SIDE.typed} .figure`)]).toEqual([
      'on paper',
      '2 5⁄8″',
    ]);
    await bench.click('[data-test=turn-round]');
    await otherSide(bench, 'on paper', '1⁄16″');
    expect([await bench.text(`${SIDE.typed} .where`), await bench.text(`${SIDE.typed} .figure`)]).toEqual([
      'on site',
      '2 5⁄8″',
    ]);
    await bench.clear();
    await bench.type('100 sq ft');
    await otherSide(bench, 'on paper', '6.25 sq in');
    await bench.clear();
    await bench.type('3 kg');
    await bench.page.waitForSelector('[data-test=scale-strip] .problem');
    expect(await bench.text('[data-test=scale-strip] .problem')).toContain('same on paper and on site');
    await bench.clear();
    await bench.kept();
    // It is in hand still after the page was loaded again, on the side it was.
    await bench.goto();
    await bench.type(`16'`);
    await otherSide(bench, 'on paper', '4″');
    const before = await bench.lineNumbers();
    await bench.click(SIDE.other);
    const [size, turned] = (await bench.lineNumbers()).filter((number) => !before.includes(number)) as [number, number];
    expect([await bench.result(size), await bench.result(turned)]).toEqual(['16′', '4″']);
    expect(await bench.text(`[data-line="${turned}"] .read-back`)).toBe(`#${size} ÷ 48`);
    await bench.undo();
    expect(await bench.lineNumbers()).toEqual(before);
    await bench.click('[data-test=scale-away]');
    await bench.page.waitForFunction(() => document.querySelector('[data-test=scale-strip]') === null);
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });

  it('totals runs measured on the paper, and puts them on the slate as ordinary lines', async () => {
    const bench = await theBandstand();
    await newScale(bench, 'sizes', '1/2"', `1'`, 'Runs');
    for (const run of ['3 1/8"', '2 * 1 3/4"', '5"']) {
      await bench.fill('[data-test=run] input', run);
      await bench.press('Enter');
    }
    await bench.says('[data-test=runs-paper]', '11 5⁄8″');
    expect(await bench.text('[data-test=runs-site]')).toBe('23′ 3″');
    await bench.fill('[data-test=run] input', '2 sq in');
    await bench.press('Enter');
    await bench.page.waitForSelector('.runs [role=alert]');
    await bench.page.$$eval('[data-test=delete-run]', (drops) => (drops[3] as HTMLElement).click());
    await bench.says('[data-test=runs-site]', '23′ 3″');
    // A number without a unit is not taken, and mended in one touch.
    await bench.page.$$eval('[data-test=edit-run]', (edits) => (edits[2] as HTMLElement).click());
    await bench.fill('[data-test=run] input', '4');
    await bench.press('Enter');
    await bench.page.waitForSelector('[data-test=run] [data-test=fix]');
    expect(await bench.text('[data-test=runs-site]')).toBe('23′ 3″');
    await bench.click('[data-test=run] [data-test=fix]');
    await bench.press('Enter');
    await bench.says('[data-test=runs-site]', '21′ 3″');
    await bench.page.$$eval('[data-test=edit-run]', (edits) => (edits[2] as HTMLElement).click());
    await bench.fill('[data-test=run] input', '5"');
    await bench.press('Enter');
    await bench.says('[data-test=runs-site]', '23′ 3″');
    await bench.click('[data-test=runs-to-slate]');
    await bench.kept();
    await bench.room('/');
    await bench.page.waitForSelector('[data-line]');
    const last = (await bench.lineNumbers()).slice(-5) as [number, number, number, number, number];
    expect(await bench.result(last[4])).toBe('23′ 3″');
    expect(await bench.text(`[data-line="${last[3]}"] .read-back`)).toBe(`sum(#${last[0]}..#${last[2]})`);
    await bench.write(last[0], 'on paper, run 1: 4 1/8"');
    expect(await bench.result(last[4])).toBe('25′ 3″');
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });

  it('says what is wrong with a scale, and mends it', async () => {
    const bench = await theBandstand();
    if ((await bench.page.$('[data-test=new-scale]')) !== null) await bench.click('[data-test=new-scale]');
    await bench.fill('.new [data-test=scale-paper] input', '0"');
    await bench.fill('.new [data-test=scale-site] input', `1'`);
    await bench.page.waitForSelector('.new [data-test=scale-paper] .issue');
    expect(await bench.text('.new [data-test=scale-paper] .issue')).toContain('has to be more than zero');
    await bench.fill('.new [data-test=scale-paper] input', '1/8');
    await bench.click('.new [data-test=scale-paper] [data-test=fix]');
    await bench.fill('.new [data-test=scale-name]', 'Mended');
    await bench.click('.new [data-test=keep-scale]');
    await bench.page.waitForSelector('.held[data-scale=Mended]');
    await bench.click('[data-scale=Mended] [data-test=remove-scale]');
    await bench.page.waitForFunction(() => document.querySelector('[data-scale=Mended]') === null);
    await bench.click('[data-test=undo]');
    await bench.page.waitForSelector('[data-scale=Mended]');
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });

  it('finds the common scale that a bar fits, and how far the print is off', async () => {
    const bench = await theBandstand();
    await bench.fill('[data-test=bar] input', '97 mm');
    await bench.fill('[data-test=bar-says] input', '10 m');
    await bench.page.waitForSelector('[data-fit="0"]');
    expect(await bench.text('[data-test=fits] li')).toMatch(/^1:100 ?3\.00 % short/);
    await bench.click('[data-fit="0"]');
    await bench.page.waitForSelector('.held[data-scale="1:100"]');
    expect(await bench.complaints()).toEqual([]);
    await bench.kept();
  });

  it('draws a bar and a rule, fits a phone, and axe finds nothing', async () => {
    const bench = await theBandstand(PHONE);
    if ((await bench.page.$('[data-scale]')) === null) await newScale(bench, 'ratio', '1', '50', 'Phone');
    await bench.page.waitForSelector('.paper svg');
    expect(await bench.page.$$eval('.paper svg', (drawn) => drawn.length)).toBe(2);
    expect(await bench.overflow()).toBe(0);
    expect(await bench.complaints()).toEqual([]);
    expect(bench.errors).toEqual([]);
  });
});
