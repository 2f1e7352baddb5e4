import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { Bench, DESKTOP, launchWholeBrowser, openBench } from '../fixtures/browser.ts';
import { downloadsOf } from '../fixtures/downloads.ts';
import { readPdf, saidOn, type PdfPage } from '../fixtures/pdf.ts';

const ENTRY = '.hand [data-test=entry]';
const folder = mkdtempSync(join(tmpdir(), 'sprell-offline-'));
let browser: Browser;
beforeAll(async () => {
  browser = await launchWholeBrowser(folder);
});
afterAll(async () => {
  await browser.close();
  rmSync(folder, { recursive: true, force: true });
});

/** A page of the browser itself, which keeps what it knows; without a signal if that is wanted. */
async function open(signal: 'online' | 'offline'): Promise<Bench> {
  const page = await browser.newPage();
  await page.setViewport(DESKTOP);
  await page.setOfflineMode(signal === 'offline');
  const bench = new Bench(page);
  await page.goto(`${inject('address')}/`);
  await page.waitForSelector('[data-line]');
  return bench;
}
const state = (page: Page, words: string) =>
  page.waitForFunction((wanted) => document.querySelector('[data-test=keep-state]')?.textContent === wanted, {}, words);
async function landMany(bench: Bench, from: number, count: number): Promise<void> {
  for (let n = from; n < from + count; n += 1) {
    await bench.page.focus(ENTRY);
    await bench.page.keyboard.sendCharacter(`cut ${n}: ${n}' ${n % 12}"`);
    await bench.press('Enter');
  }
}
/** The lines that the server holds of those cuts, by label. */
async function cuts(bench: Bench): Promise<string[]> {
  const jobs = await bench.ask<{ id: string; title: string }[]>('/api/jobs');
  const id = jobs.find(({ title }) => title.startsWith('Bandstand'))?.id;
  const { lines } = await bench.ask<{ lines: { label: string | null; number: number | null }[] }>(`/api/jobs/${id}`);
  const numbers = lines.flatMap(({ number }) => number ?? []);
  expect(new Set(numbers).size).toBe(numbers.length);
  return lines.flatMap(({ label }) => (label !== null && /^cut \d+$/.test(label) ? [label] : []));
}
const named = (count: number) => Array.from({ length: count }, (_, n) => `cut ${n + 1}`).sort();

describe('a place with no signal', () => {
  it('loses nothing of 200 changes when the browser is killed, and sends each once when there is one again', async () => {
    const first = await open('online');
    await first.kept();
    // The files are kept behind the first visit.
    await first.page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state);
    await first.page.setOfflineMode(true);
    await landMany(first, 1, 120);
    await state(first.page, '120 changes waiting');
    await landMany(first, 121, 80);
    await state(first.page, '200 changes waiting');
    await first.type(`7' 3 1/2" + `);
    // What was typed a moment ago is on the disk as well.
    await first.page.waitForFunction(
      () =>
        new Promise<boolean>((resolve) => {
          const opening = indexedDB.open('sprell');
          opening.onsuccess = () => {
            const asked = opening.result.transaction('notes').objectStore('notes').get('entry');
            asked.onsuccess = () => {
              opening.result.close();
              resolve(((asked.result as { value?: { text: string } } | undefined)?.value?.text ?? '').includes('7'));
            };
          };
        }),
    );
    const gone = new Promise((resolve) => browser.process()?.once('exit', resolve));
    browser.process()?.kill('SIGKILL');
    await gone;

    browser = await launchWholeBrowser(folder);
    const second = await open('offline');
    await second.page.waitForFunction((entry) => document.querySelector(entry)?.textContent.includes('7'), {}, ENTRY);
    await state(second.page, '200 changes waiting');
    expect(await second.result(46 + 200)).toBe('200′ 8″');
    await second.clear();
    await second.page.setOfflineMode(false);
    await second.kept();
    expect((await cuts(second)).sort()).toEqual(named(200));

    // Nothing comes twice from what was sent before.
    await second.page.reload();
    await second.page.waitForSelector('[data-line]');
    await second.kept();
    expect((await cuts(second)).sort()).toEqual(named(200));
    // Killed within half a minute of its first visit, the browser has lost its cookie: the guest came back by its key.
    expect(second.errors.filter((error) => !/ERR_INTERNET_DISCONNECTED|status of 401/.test(error))).toEqual([]);
  });

  it('opens every job and every screen, and says what waits', async () => {
    const bench = await open('offline');
    const { id, all } = await bench.jobOfList('Allotment tool store');
    expect(all).toHaveLength(3);
    await bench.openJob(id);
    await bench.page.waitForFunction(() => document.querySelector('[data-line="40"]') === null);
    expect(await bench.result(3)).toBe('3000 mm');
    await bench.type('rail = 4 m');
    await bench.press('Enter');
    await state(bench.page, '1 change waiting');
    for (const path of ['/stick', '/scales', '/help']) {
      await bench.page.goto(`${inject('address')}${path}`);
      await bench.page.waitForSelector('main');
    }
    await bench.page.goto(`${inject('address')}/stick`);
    await bench.page.waitForSelector('[data-label=rail]');
    await bench.page.setOfflineMode(false);
    await bench.page.reload();
    await bench.page.waitForFunction(() => document.querySelector('[data-test=keep-state]')?.textContent === 'saved');
  });

  it('saves the job sheet as a PDF, roots and all: the faces it is written with are kept as well', async () => {
    const there = await open('online');
    await there.page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state);
    const bench = await open('offline');
    await bench.click('[data-test=open-job-sheet]');
    await bench.page.waitForSelector('[data-test=save-pdf]');
    await bench.fill('[data-test=sheet-under]', 'Across the corners √2');
    using downloads = await downloadsOf(bench.page);
    await bench.click('[data-test=save-pdf]');
    const [sheet] = await readPdf(await downloads.saved('.pdf'));
    expect(saidOn(sheet as PdfPage).join(' ')).toContain('√2');
  });

  it('stays when the page is left in the very moment that it lands', async () => {
    const bench = await openBench(browser);
    const { page } = bench;
    const waits = [0, 1, 2, 4, 8, 15, 30];
    for (const milliseconds of waits) {
      await bench.type(`left${milliseconds}: 3' 4"`);
      await Promise.all([
        page.waitForNavigation(),
        page.evaluate((wait) => {
          const enter = { key: 'Enter', code: 'Enter', keyCode: 13, bubbles: true, cancelable: true };
          document.querySelector('.hand [data-test=entry]')?.dispatchEvent(new KeyboardEvent('keydown', enter));
          if (wait === 0) location.reload();
          else setTimeout(() => location.reload(), wait);
        }, milliseconds),
      ]);
      await page.waitForSelector('[data-line]');
    }
    await bench.kept();
    const other = await openBench(browser, DESKTOP, bench);
    const numbers = await other.lineNumbers();
    expect(numbers).toHaveLength(46 + waits.length);
    expect(new Set(numbers).size).toBe(numbers.length);
  });
});
