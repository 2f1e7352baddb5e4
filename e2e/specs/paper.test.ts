import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openBench, PHONE, type Bench } from '../fixtures/browser.ts';
import { downloadsOf } from '../fixtures/downloads.ts';
import { readPdf, saidOn, type PdfPage } from '../fixtures/pdf.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(() => browser.close());

/** What the browser's own print command puts on paper. */
const printed = async (page: Page) => readPdf(await page.pdf({ preferCSSPageSize: true }));
async function saved(page: Page): Promise<readonly PdfPage[]> {
  using downloads = await downloadsOf(page);
  await page.click('[data-test=save-pdf]');
  return readPdf(await downloads.saved('.pdf'));
}
/** To the job sheet: from the slate, or on a phone by the list of rooms. */
async function toSheet(bench: Bench, isPhone = false): Promise<void> {
  if (isPhone) {
    await bench.click('[data-test=rooms]');
    await bench.click('[role=menu] [data-room="/paper"]');
  } else await bench.click('[data-test=open-job-sheet]');
  await bench.page.waitForSelector('[data-test=save-pdf]');
}
const sizeOf = ({ width, height }: PdfPage) => [width, height].map((mm) => Math.round(mm * 10) / 10);

describe('a job sheet', () => {
  it('is the same from the print command and as a PDF, nothing of it over an edge', async () => {
    const bench = await openBench(browser);
    const { page } = bench;
    await toSheet(bench);
    const [byBrowser, asFile] = [await printed(page), await saved(page)];
    expect(asFile.length).toBeGreaterThan(3);
    expect(byBrowser.map(sizeOf)).toEqual(asFile.map(sizeOf));
    // Letter, standing: the job is in feet and inches.
    expect(sizeOf(asFile[0] as PdfPage)).toEqual([215.9, 279.4]);
    for (const [n, sheet] of asFile.entries()) {
      expect(saidOn(byBrowser[n] as PdfPage)).toEqual(saidOn(sheet));
      expect(saidOn(sheet).some((words) => words.endsWith(`Sheet${n + 1}of${asFile.length}`))).toBe(true);
      for (const { x, y } of sheet.texts) {
        expect(x).toBeGreaterThanOrEqual(9.5);
        expect(y > 10 && y <= sheet.height - 9.5).toBe(true);
      }
    }
    const all = asFile.flatMap(saidOn).join('\n');
    for (const words of ['Bandstand,QuillPark', '#1acrosstheflats', '26′4″', 'Storystick', 'Quantities'])
      expect(all).toContain(words);
    // Prices are for whoever asks for them.
    expect(all).not.toContain('alltogether');
    expect(bench.errors).toEqual([]);
  });

  it('has the parts that are chosen, on the paper that is chosen, with lines to write on', async () => {
    const bench = await openBench(browser);
    const { page } = bench;
    await toSheet(bench);
    for (const part of ['lines', 'marks', 'figures']) await bench.click(`[data-test=part-${part}]`);
    await bench.click('[data-test=part-prices]');
    await bench.click('[data-test=blank-rest]');
    await bench.click('[data-test=sheet-a4]');
    await bench.fill('[data-test=sheet-under]', 'For the parish, by Friday');
    const sheets = await saved(page);
    expect(sizeOf(sheets[0] as PdfPage)).toEqual([210, 297]);
    const all = sheets.flatMap(saidOn).join('\n');
    for (const words of ['Fortheparish,byFriday', 'Quantities', 'alltogether', 'Notes', '$'])
      expect(all).toContain(words);
    for (const words of ['#1', 'Storystick']) expect(all).not.toContain(words);
    expect(await bench.complaints()).toEqual([]);
    // They are still chosen when somebody comes back.
    await page.reload();
    await page.waitForSelector('[data-test=blank-rest].is-active');
    expect((await saved(page)).flatMap(saidOn)).toEqual(sheets.flatMap(saidOn));
  });

  it('is what the print command of the bench prints, black on white whatever the look', async () => {
    const bench = await openBench(browser);
    const { page } = bench;
    await page.evaluate(() => localStorage.setItem('sprell.comfort', '{"look":"night"}'));
    await page.reload();
    await page.waitForSelector('[data-test=entry]');
    await page.waitForFunction(() =>
      performance.getEntriesByType('resource').some(({ name }) => name.includes('PrintedJobSheet')),
    );
    await page.waitForSelector('[data-line]');
    const sheets = await printed(page);
    expect(saidOn(sheets[0] as PdfPage)[0]).toBe(`Bandstand,QuillParkSheet1of${sheets.length}`);
    await page.emulateMediaType('print');
    await page.evaluate(() => dispatchEvent(new Event('beforeprint')));
    const inks = await page.$$eval('.pages *', (parts) => [
      ...new Set(parts.flatMap((part) => [part.getAttribute('fill'), part.getAttribute('stroke')])),
    ]);
    expect(inks.sort()).toEqual(['black', 'none', 'white', null].sort());
  });

  it('is set up on a phone, where the list of rooms leads to it', async () => {
    const bench = await openBench(browser, PHONE);
    const { page } = bench;
    await toSheet(bench, true);
    const { scroll, width } = await page.evaluate(() => ({
      scroll: document.documentElement.scrollWidth,
      width: innerWidth,
    }));
    expect(scroll).toBeLessThanOrEqual(width);
    expect(await bench.complaints()).toEqual([]);
  });
});

describe('a full-size sheet', () => {
  it('has lines of 100 mm and of 4 inches that measure so, printed and saved', async () => {
    const bench = await openBench(browser);
    const { page } = bench;
    await bench.room('/stick');
    await bench.click('[data-test=show-print]');
    await bench.click('[data-test=paper-full-size]');
    for (const sheets of [await printed(page), await saved(page)]) {
      expect(sheets.length).toBeGreaterThan(1);
      for (const sheet of sheets) {
        expect(sizeOf(sheet)).toEqual([279.4, 215.9]);
        const across = sheet.lines.filter(({ y1, y2 }) => Math.abs(y1 - y2) < 0.01 && y1 < 25);
        const long = across.map(({ x1, x2 }) => Math.abs(x2 - x1)).filter((mm) => mm < 150);
        expect(long.some((mm) => Math.abs(mm - 100) < 0.05)).toBe(true);
        expect(long.some((mm) => Math.abs(mm - 101.6) < 0.05)).toBe(true);
        expect(sheet.texts.map(({ text }) => text)).toEqual(expect.arrayContaining(['100 mm']));
      }
    }
  });
});
