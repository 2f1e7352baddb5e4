import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { DESKTOP, launchBrowser, openBench, PHONE, type Bench } from '../fixtures/browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
});

/** The porch, which no other test writes to. */
async function thePorch(beside?: Bench): Promise<Bench> {
  const bench = await openBench(browser, DESKTOP, beside);
  await bench.chooseJob('Chapel porch');
  return bench;
}

describe('the slate by mouse', () => {
  it('selects several, sums them up, and puts the sum on the slate alive', async () => {
    const bench = await thePorch();
    const [first, second] = (await bench.land(`5' 3"`, `7' 6 1/2"`)) as [number, number];
    await bench.click('[data-test=select]');
    for (const number of [first, second]) {
      await bench.show(number);
      await bench.click(`[data-line="${number}"] input[type=checkbox]`);
    }
    await bench.page.waitForSelector('[data-test=land-sum]');
    expect(await bench.text('[data-test=sums]')).toContain('2 selectedsum 12′ 9 1⁄2″mean 6′ 4 3⁄4″');
    await bench.click('[data-test=land-sum]');
    await bench.click('[data-test=done-selecting]');
    const sum = Math.max(...(await bench.lineNumbers()));
    expect(await bench.result(sum)).toBe('12′ 9 1⁄2″');
    await bench.write(first, `6' 3"`);
    expect(await bench.result(sum)).toBe('13′ 9 1⁄2″');
    // Both lines that changed are shown for a moment.
    const changed = await bench.page.$$eval('.row.changed', (rows) =>
      rows.map((row) => Number((row as HTMLElement).dataset['line'])),
    );
    expect(changed).toEqual([first, sum]);
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });

  it('drags a line that a finger holds', async () => {
    const bench = await openBench(browser, PHONE);
    await bench.page.waitForSelector('[data-drags]');
    await bench.show(46);
    const middle = async (number: number) => {
      const box = await (await bench.page.$(`[data-line="${number}"] .body`))?.boundingBox();
      if (!box) throw new Error(`#${number} is not on the screen.`);
      return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    };
    const [from, to] = [await middle(46), await middle(45)];
    const { touchscreen } = bench.page;
    await touchscreen.touchStart(from.x, from.y);
    await bench.page.waitForSelector('.sortable-chosen');
    const isAbove = () =>
      bench.page.$$eval('.lines [data-line]', (rows) => {
        const numbers = rows.map((row) => (row as HTMLElement).dataset['line']);
        return numbers.indexOf('46') < numbers.indexOf('45');
      });
    for (let step = 1; !(await isAbove()) && step < 40; step += 1) {
      await touchscreen.touchMove(from.x, from.y + (to.y - from.y) * Math.min(1, step / 8) - (step % 2));
      await bench.still();
    }
    await touchscreen.touchEnd();
    await bench.page.waitForFunction(() => document.querySelector('.sortable-chosen') === null);
    expect((await bench.lineNumbers()).slice(-2)).toEqual([46, 45]);
    await bench.undo();
    expect((await bench.lineNumbers()).slice(-2)).toEqual([45, 46]);
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });

  it('drags a line to another place, and puts it back', async () => {
    const bench = await thePorch();
    const [first, second, third] = (await bench.land(`1'`, `2'`, `3'`)) as [number, number, number];
    const before = await bench.lineNumbers();
    await bench.show(third);
    const grip = async (number: number) => {
      const box = await (await bench.page.$(`[data-line="${number}"] .grip`))?.boundingBox();
      if (!box) throw new Error(`#${number} is not on the screen.`);
      return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    };
    const [from, to] = [await grip(third), await grip(first)];
    const { mouse } = bench.page;
    await mouse.move(from.x, from.y);
    await bench.page.waitForSelector('[data-drags]');
    await mouse.down();
    await mouse.move(from.x, from.y - 20, { steps: 4 });
    await mouse.move(to.x, to.y - 10, { steps: 12 });
    const isAbove = () =>
      bench.page.$$eval(
        '.lines [data-line]',
        (rows, above, below) => {
          const numbers = rows.map((row) => Number((row as HTMLElement).dataset['line']));
          return numbers.indexOf(above) < numbers.indexOf(below);
        },
        third,
        first,
      );
    // Rows that are still sliding let nothing past: a hand that is not there yet goes on moving.
    for (let by = 0; !(await isAbove()); by = 1 - by) {
      await mouse.move(to.x, to.y - 10 - by);
      await bench.still();
    }
    await mouse.up();
    await bench.page.waitForFunction((selector) => document.querySelector(selector) === null, {}, '.sortable-fallback');
    expect((await bench.lineNumbers()).slice(-3)).toEqual([third, first, second]);
    await bench.undo();
    expect(await bench.lineNumbers()).toEqual(before);
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });

  it('takes a line off that others use with its value kept in them, and brings it back', async () => {
    const bench = await thePorch();
    const [size] = (await bench.land(`10'`)) as [number];
    const [third] = (await bench.land(`#${size} / 3`)) as [number];
    await bench.more(size, 'remove');
    await bench.page.waitForSelector('[data-test=keep-value]');
    expect(await bench.text('[data-test=question] p')).toContain(`#${size} is used by #${third}.`);
    await bench.click('[data-test=keep-value]');
    expect(await bench.lineNumbers()).not.toContain(size);
    expect(await bench.result(third)).toBe('3′ 4″');
    expect(await bench.text(`[data-line="${third}"] .read-back`)).toBe('120″ ÷ 3');
    await bench.undo();
    await bench.show(third);
    expect(await bench.text(`[data-line="${third}"] .read-back`)).toBe(`#${size} ÷ 3`);
    await bench.kept();
  });

  it('holds headings and notes, inserts above a line, uses whole entries, and clears with a way back', async () => {
    const bench = await thePorch();
    const { page } = bench;
    const [first] = (await bench.land(`4' 2" * 3`)) as [number];
    await bench.click('[data-test=add-words]');
    await page.waitForSelector('[data-test=words-form]');
    await page.keyboard.type('Door');
    await bench.press('Enter');
    await page.waitForFunction(() =>
      [...document.querySelectorAll('h3')].some(({ textContent }) => textContent === 'Door'),
    );
    await bench.more(first, 'insert');
    await bench.type(`9"`);
    await bench.press('Enter');
    const order = await bench.lineNumbers();
    expect(order[order.indexOf(first) - 1]).toBe(Math.max(...order));
    await bench.more(first, 'use-entry');
    expect(await bench.reading()).toBe('12′ 6″');
    await bench.clear();
    await bench.kept();
    await bench.goto();
    expect(await page.$$eval('h3', (headings) => headings.map(({ textContent }) => textContent))).toContain('Door');
    await bench.click('[data-test=clear-all]');
    await bench.click('[data-test=take-off]');
    await page.waitForSelector('.empty');
    await bench.undo();
    expect(await bench.lineNumbers()).toEqual(order);
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });
});

describe('how it reads', () => {
  it('is chosen for one reading and stays with its line, or for the job and stays with that', async () => {
    const bench = await thePorch();
    await bench.type(`7' 3/32"`);
    await bench.click('[data-test=finest]');
    await bench.click('[data-option="32"]');
    expect(await bench.reading()).toBe('7′ 3⁄32″');
    expect(await bench.text('[data-test=reading-scope]')).toContain('For this reading only.');
    await bench.press('Enter');
    const line = Math.max(...(await bench.lineNumbers()));
    expect(await bench.result(line)).toBe('7′ 3⁄32″');
    const [other] = (await bench.land(`7' 3/32"`)) as [number];
    expect(await bench.result(other)).toBe('7′ 1⁄8″');
    await bench.type(`1"`);
    await bench.click('[data-test=finest]');
    await bench.click('[data-option="64"]');
    await bench.click('[data-test=for-the-job]');
    expect(await bench.result(other)).toBe('7′ 3⁄32″');
    await bench.clear();
    await bench.kept();
    const elsewhere = await thePorch(bench);
    expect(await elsewhere.result(other)).toBe('7′ 3⁄32″');
  });

  it('is copied as plain text that reads back to the same', async () => {
    const bench = await thePorch();
    await bench.page.browserContext().overridePermissions(inject('address'), ['clipboard-read', 'clipboard-write']);
    await bench.page.bringToFront();
    await bench.type(`10' / 7 to 1/16`);
    const copied = async (what: string) => {
      await bench.click(`[data-test=${what}]`);
      await bench.page.waitForFunction(
        (selector) => document.querySelector(selector)?.textContent.includes('copied'),
        {},
        `[data-test=${what}]`,
      );
      return bench.page.evaluate(() => navigator.clipboard.readText());
    };
    expect(await copied('copy')).toBe(`1' 5 1/8"`);
    expect(await copied('copy-exact')).toBe(`17 1/7"`);
    await bench.clear();
    await bench.type(await bench.page.evaluate(() => navigator.clipboard.readText()));
    await bench.type(' * 7');
    expect(await bench.reading()).toBe('10′');
    await bench.clear();
  });
});

describe('a slate of thousands of lines', () => {
  it('draws those in view, finds any, and follows a change at its head to its foot', async () => {
    const bench = await thePorch();
    const { jobId, ids } = await fillPorch(bench, 3000);
    await bench.goto();
    await bench.page.waitForFunction(() =>
      /^\s*30\d\d lines\s*$/.test(document.querySelector('.count')?.textContent ?? ''),
    );
    const foot = ids.length - 1;
    const [headNumber, footNumber] = await numbersOf(bench, jobId, [ids[0] as string, ids[foot] as string]);
    // So long a slate is worked out behind the page.
    await bench.page.waitForSelector(`[data-line="${footNumber}"] [data-test=result]`);
    expect(await bench.page.$$eval('[data-line]', (rows) => rows.length)).toBeLessThan(60);
    const before = await bench.text(`[data-line="${footNumber}"] [data-test=result]`);
    await bench.click('[data-test=search]');
    await bench.page.type('[data-test=sought]', `#${headNumber}`);
    // The line, and the one that names it.
    await bench.page.waitForFunction(() => document.querySelectorAll('[data-line]').length === 2);
    await bench.click(`[data-line="${headNumber}"] .body`);
    await bench.page.waitForSelector(`[data-line="${headNumber}"] [data-test=entry]`);
    await bench.page.keyboard.down('Control');
    await bench.page.keyboard.press('a');
    await bench.page.keyboard.up('Control');
    await bench.page.keyboard.type(`1000'`);
    await bench.press('Enter');
    await bench.click('[data-test=search]');
    await bench.page.$eval('.lines', (list) => list.scrollTo(0, list.scrollHeight));
    await bench.page.waitForSelector(`[data-line="${footNumber}"]`);
    await bench.page.waitForFunction(
      (selector, was) => document.querySelector(selector)?.textContent.replace(/\s+/g, ' ').trim() !== was,
      {},
      `[data-line="${footNumber}"] [data-test=result]`,
      before,
    );
    await bench.undo();
    await bench.kept();
    expect(bench.errors).toEqual([]);
    // However often it is opened, there is one thread for it, and none beside another job.
    const { id: other } = await bench.jobOfList('Allotment tool store');
    for (let time = 0; time < 3; time += 1) {
      await bench.openJob(other);
      await bench.page.waitForFunction(
        (number) => document.querySelector(`[data-line="${number}"]`) === null,
        {},
        footNumber,
      );
      await expect.poll(() => bench.page.workers().length).toBe(0);
      await bench.openJob(jobId);
      await bench.page.waitForSelector(`[data-line="${footNumber}"] [data-test=result]`);
      await expect.poll(() => bench.page.workers().length).toBe(1);
    }
  });
});

describe('the foot of the slate', () => {
  it('stays in view while lines of others come in, however they are cut into answers', async () => {
    const bench = await thePorch();
    // The page is a slow one, and opened while they come.
    await bench.page.emulateCPUThrottling(4);
    for (let time = 0; time < 3; time += 1) {
      const { jobId, ids } = await fillPorch(bench, 500, 100);
      if (time > 0) await bench.goto();
      const [last] = await numbersOf(bench, jobId, ids.slice(-1));
      await bench.page.waitForSelector(`[data-line="${last}"] [data-test=result]`);
    }
    await bench.page.emulateCPUThrottling(null);
    expect(bench.errors).toEqual([]);
  });
});

let made = 0;
function anId(): string {
  made += 1;
  return `01900000-0000-7000-8000-a${made.toString(16).padStart(11, '0')}`;
}

/** Adds lines by the way all writing goes; each uses the one before it. */
async function fillPorch(bench: Bench, count: number, atOnce = 200): Promise<{ jobId: string; ids: string[] }> {
  const { id: jobId } = await bench.job();
  const ids = Array.from({ length: count }, anId);
  const changes = ids.map((lineId, n) => ({
    id: anId(),
    kind: 'line.add',
    lineId,
    number: 100 + n,
    position: `c${(made + n).toString(36).padStart(4, '0')}V`,
    source: n === 0 ? `3'` : `#{${ids[n - 1]}} + 1/16"`,
    label: null,
    note: '',
  }));
  for (let at = 0; at < count; at += atOnce) {
    await bench.ask(`/api/jobs/${jobId}/changes`, { changes: changes.slice(at, at + atOnce) });
  }
  return { jobId, ids };
}

async function numbersOf(bench: Bench, jobId: string, ids: readonly string[]): Promise<number[]> {
  const job = await bench.ask<{ lines: { id: string; number: number }[] }>(`/api/jobs/${jobId}`);
  return ids.map((id) => job.lines.find((line) => line.id === id)?.number ?? 0);
}
