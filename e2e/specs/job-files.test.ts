import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { unzipSync } from 'fflate';
import type { Browser, ElementHandle } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openBench, PHONE, type Bench } from '../fixtures/browser.ts';
import { downloadsOf } from '../fixtures/downloads.ts';

let browser: Browser;
let folder: string;
beforeAll(async () => {
  browser = await launchBrowser();
  folder = await mkdtemp(join(tmpdir(), 'sprell-jobs-'));
});
afterAll(() => browser.close());

async function opened(bench: Bench, text: string): Promise<void> {
  const file = join(folder, 'job.json');
  await writeFile(file, text);
  const input = await bench.page.waitForSelector('[data-test=job-file]');
  await (input as ElementHandle<HTMLInputElement>).uploadFile(file);
}
const saved = async (bench: Bench, title: string) => {
  using downloads = await downloadsOf(bench.page);
  await bench.page.waitForFunction(
    (words) => [...document.querySelectorAll('.job')].some(({ textContent }) => textContent.includes(words)),
    {},
    title,
  );
  const id = await bench.page.$$eval(
    '.job',
    (rows, words) => rows.find((row) => row.querySelector('b')?.textContent === words)?.getAttribute('data-job'),
    title,
  );
  await bench.click(`[data-job="${id}"] [data-test=job-dots]`);
  await bench.click('.el-popper[aria-hidden=false] [data-act=file]');
  return (await downloads.saved('.json')).toString('utf8');
};

describe('job files', () => {
  it('carry the demo job to somebody else and back, the same bytes at either end', async () => {
    const bench = await openBench(browser);
    await bench.room('/jobs');
    const text = await saved(bench, 'Bandstand, Quill Park');
    expect(text).toContain('"entry": "@{rail} = @{opening} - 2 * 1/8\\""');

    const other = await openBench(browser, PHONE);
    await other.room('/jobs');
    await opened(other, text.replace('Bandstand, Quill Park', 'Bandstand, again'));
    await other.page.waitForSelector('[data-test=job-file-counts]');
    expect(await other.text('[data-test=job-file-counts]')).toContain('46 lines');
    await other.tap('[data-test=take-job-file]');
    await other.page.waitForFunction(() => document.body.textContent.includes('is made, and open'));
    expect(await other.complaints()).toEqual([]);
    expect(await other.overflow()).toBe(0);
    expect(await saved(other, 'Bandstand, again')).toBe(text.replace('Bandstand, Quill Park', 'Bandstand, again'));
    await other.room('/');
    await other.page.waitForFunction(() => document.querySelector('.lines')?.textContent.includes('packers, three'));
    await other.kept();
    await other.page.reload();
    await other.page.waitForFunction(() => document.querySelector('.lines')?.textContent.includes('packers, three'));
    await other.room('/jobs');
    expect(await saved(other, 'Bandstand, again')).toBe(text.replace('Bandstand, Quill Park', 'Bandstand, again'));

    // Changed there, it comes back into the job that it was.
    await opened(
      bench,
      text.replace(`26' 4\\"`, `27'`).replace('"label": "all round"', '"label": "the whole way round"'),
    );
    await bench.click('[data-test=way-into]');
    await bench.page.waitForSelector('[data-test=file-changed]');
    expect(await bench.text('[data-test=file-changed]')).toMatch(
      /across the flats: 26′ 4″ ?becomes across the flats: 27′/,
    );
    await bench.click('[data-test=take-job-file]');
    await bench.page.waitForFunction(() => document.body.textContent.includes('Undo takes it out again'));
    await bench.room('/');
    await bench.show(1);
    expect(await bench.result(1)).toBe('27′');
    await bench.undo();
    await bench.show(1);
    await bench.page.waitForFunction(() => document.querySelector('[data-line="1"]')?.textContent.includes('26′ 4″'));
  });

  it('are refused where they are damaged or made by hand, and change nothing', async () => {
    const bench = await openBench(browser);
    await bench.room('/jobs');
    const text = await saved(bench, 'Chapel porch');
    for (const [bad, says] of [
      [text.slice(0, 700), 'may be damaged'],
      [text.replace('"format": 1', '"format": 3'), 'newer Sprell'],
      [text.replace('#{1} + 2', '#{6} + 2'), 'In the file at slate.5.entry'],
      ['['.repeat(100_000), 'Nothing was changed'],
    ] as const) {
      await opened(bench, bad);
      await bench.page.waitForFunction(
        (words) => document.querySelector('[data-test=job-file-wrong]')?.textContent.includes(words) === true,
        {},
        says,
      );
      expect(await bench.page.$('[data-test=take-job-file]')).toBeNull();
      await bench.click('[data-test=leave-job-file]');
      await bench.page.waitForSelector('[data-test=job-file-wrong]', { hidden: true });
    }
    expect(await bench.page.$$eval('.job', (rows) => rows.length)).toBe(3);
  });

  it('are opened by the system with the installed application', async () => {
    const bench = await openBench(browser);
    await bench.room('/jobs');
    const text = await saved(bench, 'Chapel porch');
    await bench.page.evaluateOnNewDocument((said) => {
      const getFile = () => Promise.resolve(new File([said], 'porch.json', { type: 'application/json' }));
      Object.defineProperty(window, 'launchQueue', {
        value: { setConsumer: (take: (launch: object) => void) => take({ files: [{ getFile }] }) },
      });
    }, text);
    await bench.page.reload();
    await bench.page.waitForSelector('[data-test=job-file-counts]');
    expect(await bench.text('[data-test=job-file-counts]')).toBe('It holds 8 lines, 7 settings-out.');
  });

  it('are saved all together as a zip, with no signal too', async () => {
    const bench = await openBench(browser);
    await bench.room('/jobs');
    const all = async () => {
      using downloads = await downloadsOf(bench.page);
      await bench.click('[data-test=save-all-jobs]');
      return unzipSync(await downloads.saved('.zip'));
    };
    // What makes them is kept on the device by the service worker, which these pages have not; here it has come once.
    const before = await all();
    await bench.page.setOfflineMode(true);
    const files = await all();
    expect(files).toEqual(before);
    expect(Object.keys(files).sort()).toEqual([
      'allotment-tool-store.json',
      'bandstand-quill-park.json',
      'chapel-porch.json',
    ]);
    await bench.page.setOfflineMode(false);
  });
});
