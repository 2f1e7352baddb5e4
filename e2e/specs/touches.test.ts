import { readFileSync } from 'node:fs';
import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openBench, PHONE, type Bench } from '../fixtures/browser.ts';
import { Thumb } from '../fixtures/touches.ts';

/** How many touches each thing may take at most, and how many it takes, as docs/performance.md has them. */
function tableOfTouches(): Map<string, { readonly most: string; readonly counted: string }> {
  const text = readFileSync(new URL('../../docs/performance.md', import.meta.url), 'utf8');
  const section = text.slice(text.indexOf('## Touches'));
  const rows = [...section.matchAll(/^\| (?!what|---)(.+?) \| (.+?) \| (.+?) \|$/gm)];
  return new Map(rows.map(([, what = '', most = '', counted = '']) => [what, { most, counted }]));
}

let browser: Browser;
let bench: Bench;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
});

/** From an empty entry, phone keys, one hand. */
async function counting(work: (thumb: Thumb) => Promise<void>): Promise<number> {
  const thumb = new Thumb(bench.page);
  await work(thumb);
  return thumb.count;
}

describe('touches, from an empty entry to the answer', () => {
  const counted = new Map<string, number>();

  it('are as few as the table says, and no more than are allowed', async () => {
    bench = await openBench(browser, PHONE);

    counted.set(
      '`34\' 5 3/16" + 21\' 9"`',
      await counting(async (thumb) => {
        await thumb.keys('3', '4', '′', '5');
        await thumb.inch(3, 16);
        await thumb.keys('+', '2', '1', '′', '9');
        expect(await bench.reading()).toBe('56′ 2 3⁄16″');
      }),
    );

    counted.set(
      'the answer in metric',
      await counting(async () => {
        const metric = await bench.page.$$eval('[data-test=also]', (others) => {
          const inView = (element: Element) => {
            const { left, right, top, bottom } = element.getBoundingClientRect();
            return left >= 0 && right <= innerWidth && top >= 0 && bottom <= innerHeight;
          };
          return others.filter(inView).map(({ textContent }) => textContent);
        });
        expect(metric).toContain('17124 mm');
      }),
    );

    counted.set(
      'the answer at another finest division',
      await counting(async (thumb) => {
        await thumb.touch('[data-test=finest]');
        await thumb.touch('[data-option="8"]');
        expect(await bench.reading()).toBe('56′ 2 1⁄4″');
      }),
    );
    await bench.clear();

    counted.set(
      '`182\' 4" / 6`',
      await counting(async (thumb) => {
        await thumb.keys('1', '8', '2', '′', '4', '÷', '6');
        expect(await bench.reading()).toBe('30′ 4 11⁄16″');
      }),
    );

    counted.set(
      'keep it on the story stick',
      await counting(async (thumb) => {
        await thumb.touch('[data-test=keep]');
        await thumb.touch('[data-test=keep-as]');
        expect(await bench.text('[data-mark=A]')).toBe('A 30′ 4 11⁄16″');
      }),
    );

    counted.set(
      'use it in a new entry',
      await counting(async (thumb) => {
        await thumb.touch('[data-mark=A]');
        expect(await bench.reading()).toBe('30′ 4 11⁄16″');
      }),
    );

    counted.set(
      'add the reading on to the mark in hand',
      await counting(async (thumb) => {
        await thumb.touch('[data-test=add-on]');
        await bench.says('[data-test=held]', 'A 60′ 9 5⁄16″');
      }),
    );

    counted.set(
      'take another mark in hand',
      await counting(async (thumb) => {
        await thumb.touch('[data-hold=hip]');
        await bench.page.waitForFunction(() =>
          document.querySelector('[data-test=held]')?.textContent.startsWith('hip'),
        );
      }),
    );
    await bench.kept();
  });

  it('to change a figure of an entry made five lines ago, with everything that follows seen', async () => {
    const first = await oneLine('7', '′');
    for (let n = 0; n < 4; n += 1) await oneLine('×', '2');
    const last = Math.max(...(await bench.lineNumbers()));
    expect(await bench.result(last)).toBe('112′');
    await bench.page.$eval('.lines', (list) => list.scrollTo(0, list.scrollHeight));
    const digits = 1;
    counted.set(
      'change a figure in an entry made five lines ago, the digits apart',
      (await counting(async (thumb) => {
        await thumb.swipeDown(260);
        await thumb.touch(`[data-line="${first}"] .body`);
        await thumb.text(`[data-line="${first}"] [data-test=entry]`, '7');
        await thumb.keys('9', 'enter');
        await bench.page.waitForSelector(`[data-line="${first}"] .body`);
      })) - digits,
    );
    // What follows may be drawn a frame after the line itself.
    await expect.poll(() => bench.result(last)).toBe('144′');
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });

  it('to copy the slate, label a line, fill a field of another room, and begin a job', async () => {
    counted.set(
      'copy the slate',
      await counting(async (thumb) => {
        await thumb.touch('[data-test=slate-tools]');
        await thumb.touch('[data-test=copy-slate]');
        await bench.page.waitForFunction(() =>
          document.querySelector('[data-test=copy-slate]')?.textContent.includes('Copied'),
        );
      }),
    );
    await bench.tap('[data-test=slate-tools]');
    counted.set(
      'a label of four letters, and back at the digits',
      await counting(async (thumb) => {
        await thumb.keys('abc', 's', 'i', 'l', 'l');
        await thumb.touch('[data-offer="sill:"]');
        await thumb.keys('digits');
        expect(await bench.text('.hand [data-test=entry]')).toBe('sill:');
      }),
    );
    await bench.touchKeys('9', '′', 'enter');
    await bench.room('/setting-out');
    await bench.tap('[data-shape=right-triangle]');
    counted.set(
      'the last size of the bench into a field of setting out',
      await counting(async (thumb) => {
        await thumb.touch('[data-field=rise] input');
        await thumb.touch('[data-test=dock] .line');
        await bench.says('[data-test=dock-reading]', '9′');
      }),
    );
    await bench.page.$eval('[data-field=rise] input', (field) => (field as HTMLInputElement).blur());
    counted.set(
      'a new job, its name apart',
      await counting(async (thumb) => {
        await thumb.touch('[data-test=job]');
        await thumb.touch('[data-test=new-job]');
        await bench.page.waitForFunction(() => document.activeElement?.matches('[data-test=job-title]'));
        await bench.page.keyboard.type('Shed, Quill Park');
        await thumb.touch('[data-test=make-job]');
        await bench.page.waitForSelector('.hand .cm-content');
      }),
    );
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });

  it('stand in the table of docs/performance.md', () => {
    const table = tableOfTouches();
    expect([...table.keys()].sort()).toEqual([...counted.keys()].sort());
    for (const [what, count] of counted) {
      expect(`${what}: ${count}`).toBe(`${what}: ${table.get(what)?.counted}`);
      expect(count, what).toBeLessThanOrEqual(Number(table.get(what)?.most));
    }
  });
});

/** Lands an entry of these keys; its number. */
async function oneLine(...faces: readonly string[]): Promise<number> {
  await bench.touchKeys(...faces, 'enter');
  await bench.page.waitForFunction(() => document.querySelector('.hand .cm-placeholder') !== null);
  return Math.max(...(await bench.lineNumbers()));
}

describe('the drawn inch under a thumb', () => {
  it('magnifies while it is dragged, and enters what it is let go at', async () => {
    bench = await openBench(browser, PHONE);
    const thumb = new Thumb(bench.page);
    await thumb.keys('4');
    await thumb.dragInch(1 / 8, 11 / 16, async () => {
      await bench.page.waitForFunction(() => document.querySelector('.glass')?.textContent === '11⁄16″');
    });
    expect(await bench.reading()).toBe('4 11⁄16″');
    // Undo is of the entry while something stands in it.
    await thumb.keys('back');
    expect(await bench.reading()).toBe('4');
    await thumb.touch('[data-test=undo]');
    expect(await bench.reading()).toBe('4 11⁄16″');
    await bench.clear();
  });
});
