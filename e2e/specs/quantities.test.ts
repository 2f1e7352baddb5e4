import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { downloadsOf } from '../fixtures/downloads.ts';
import { DESKTOP, launchBrowser, openBench, PHONE, TABLET, type Bench } from '../fixtures/browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(() => browser.close());

async function theList(size: Parameters<typeof openBench>[1] = DESKTOP, beside?: Bench): Promise<Bench> {
  const bench = await openBench(browser, size, beside);
  await bench.room('/quantities');
  await bench.page.waitForSelector(size === PHONE ? '[data-card]' : '[data-item]');
  return bench;
}
const cell = (item: string, column: string) => `[data-item="${item}"] [data-column=${column}]`;
/** Scrolls the table until something is in view. */
async function bring(bench: Bench, selector: string): Promise<void> {
  for (let top = 0; (await bench.page.$(selector)) === null; top += 300) {
    await bench.page.$eval('.scroller', (list, to) => list.scrollTo(0, to), top);
    await bench.drawn();
    if (top > 5000) throw new Error(`${selector} is not in the table.`);
  }
}
/** What is wanted now and then stands in a list of its own. */
async function more(bench: Bench, what: string): Promise<void> {
  await bench.click('[data-test=more]');
  await bench.page.waitForSelector(`[data-test=${what}]`, { visible: true });
  await bench.click(`[data-test=${what}]`);
}
/** Types into a cell of the table, in place of what stands there. */
async function write(bench: Bench, item: string, column: string, text: string): Promise<void> {
  await bench.click(cell(item, column));
  await bench.page.keyboard.type(text);
  await bench.press('Enter');
}

describe('the take-off on a desk', () => {
  it('adds up every row wherever it is put in, follows marks, and takes everything back', async () => {
    const bench = await theList();
    const { page } = bench;
    expect(await bench.text('[data-test=grand]')).toBe('$19,021.37');
    await bring(bench, '[data-add="Roof"]');
    await bench.click('[data-add="Roof"]');
    await page.waitForSelector('.editor');
    await page.keyboard.type('Battens');
    await page.keyboard.press('Tab');
    await bench.press('Enter');
    await page.waitForFunction(() =>
      [...document.querySelectorAll('[role=option]')].some((option) => option.checkVisibility()),
    );
    // The list stands at what is chosen, a run; over it is the one before.
    await page.keyboard.press('Escape');
    await bench.drawn();
    for (const text of ['12', 'rafter']) {
      await page.keyboard.press('Tab');
      await page.keyboard.type(text);
    }
    await bench.press('Enter');
    await bench.says(cell('Battens', 'measure'), 'run of length');
    await bench.says(cell('Battens', 'quantity'), '193′ 1 13⁄16″');
    await write(bench, 'Battens', 'price', '2');
    await bench.says(cell('Battens', 'cost'), '$386.30');
    await bench.says('[data-test=grand]', '$19,436.65');
    await bench.kept();

    await bench.undo();
    await bench.says(cell('Battens', 'cost'), '');
    await bench.says('[data-test=grand]', '$19,021.37');
    await bench.click('[data-test=redo]');
    await bench.says('[data-test=grand]', '$19,436.65');

    await bench.room('/');
    await bench.page.waitForSelector('[data-line]');
    await bench.write(16, `run = #1 / 2 + 2' 6"`);
    await bench.room('/quantities');
    await bench.page.waitForSelector('[data-item]');
    await bring(bench, '[data-item="Battens"]');
    await bench.says(cell('Battens', 'quantity'), '206′ 6 13⁄16″');
    expect(bench.errors).toEqual([]);
  });

  it('says what is wrong in its cell, how a row was worked out, and what a second look finds', async () => {
    const bench = await theList();
    await write(bench, 'Rim, eight sides', 'length', '3 kg');
    await bench.page.waitForSelector(`${cell('Rim, eight sides', 'length')}.wrong`);
    await bench.says('[data-test=missing]', '1 row has no cost');
    await bench.click('[data-test=missing]');
    expect(await bench.text('[data-test=partly]')).toContain('1 of 27 rows are shown');
    await bench.click('[data-test=show-all]');
    await bench.click(cell('Rim, eight sides', 'length'));
    await bench.page.waitForSelector('[data-test=row-panel] .issue');
    expect(await bench.text('[data-test=cell-length] .issue')).toContain(
      'The length is a mass; a length belongs there.',
    );
    await write(bench, 'Rim, eight sides', 'length', `10' 5 1/8"`);
    await bench.click(cell('Rim, eight sides', 'length'));
    await bench.click(cell('Joists', 'length'));
    expect(await bench.text('[data-test=row-says]')).toContain('16 × 13′ 2″ × 7 1⁄4″ × 2″ = 254.56 bf');
    expect(bench.errors).toEqual([]);
  });

  it('is gone through by keys: moves, chooses, fills down, duplicates and deletes', async () => {
    const bench = await theList();
    const { page } = bench;
    const press = async (...keys: readonly Parameters<typeof page.keyboard.press>[0][]) => {
      for (const key of keys.slice(0, -1)) await page.keyboard.down(key);
      await page.keyboard.press(keys.at(-1) ?? 'Enter');
      for (const key of keys.slice(0, -1).reverse()) await page.keyboard.up(key);
      await bench.drawn();
    };
    await bench.click(cell('Treads', 'waste'));
    await page.keyboard.type('10');
    await bench.press('Enter');
    await bench.click(cell('Treads', 'waste'));
    await press('Shift', 'ArrowDown');
    await press('Control', 'd');
    await bench.says(cell('Stringers', 'waste'), '10');
    await press('Escape');
    await bench.click(cell('Treads', 'name'));
    await press('Alt', 'ArrowUp');
    const order = () => page.$$eval('[data-item]', (rows) => rows.map((row) => (row as HTMLElement).dataset['item']));
    expect((await order()).slice(0, 4)).toEqual(['Deck boards', 'Joists', 'Treads', 'Rim, eight sides']);
    await press('Control', 'Shift', 'd');
    expect((await order()).filter((name) => name === 'Treads')).toHaveLength(2);
    await press('Control', 'Delete');
    expect((await order()).filter((name) => name === 'Treads')).toHaveLength(1);
    await bench.click('[data-sort=cost]');
    await bench.page.waitForSelector('[data-test=partly]');
    expect(await bench.text('[data-test=partly]')).toContain('sorted by cost. Totals are of all of them.');
    await bench.click('[data-test=show-all]');
    await press('Control', 'f');
    await page.keyboard.type('hatch');
    await bench.drawn();
    expect(await order()).toEqual([
      'Deck screws',
      'Lead for the king block',
      'Post shoes',
      'Bolts',
      'Handrail brackets',
      'Paint, two coats',
    ]);
    expect(bench.errors).toEqual([]);
  });

  it('compares versions, leaves rows out, and has nothing for axe to find', async () => {
    const bench = await theList();
    const oak = await bench.text('[data-test=grand]');
    await bench.page.$$eval('[data-test^=version-] input', (inputs) => (inputs[1] as HTMLElement).click());
    await bench.page.waitForSelector('[data-item="Posts in pine"]');
    expect(await bench.page.$('[data-item="Posts in oak"]')).toBeNull();
    expect(await bench.text('[data-test=grand]')).not.toBe(oak);
    await bench.click(cell('Stringers', 'name'));
    await bench.click('[data-test=row-left-out]');
    await bench.says('[data-test=left-out]', 'Left out: $260.80.');
    expect(await bench.complaints()).toEqual([]);
    const see = (view: string) =>
      bench.page.$eval(`[data-test=view-${view}] input`, (input) => {
        (input as HTMLElement).click();
      });
    await see('compare');
    await bench.page.waitForSelector('[data-compared-total="3"]');
    const totals = await bench.page.$$eval('[data-compared-total]', (all) =>
      all.map((cell) => cell.firstChild?.textContent?.trim()),
    );
    expect(totals).toHaveLength(4);
    expect(totals[2]).toBe(await bench.text('[data-test=grand]'));
    await bench.page.waitForSelector('.compare canvas');
    expect(await bench.complaints()).toEqual([]);
    await bench.click('[data-compared="Roof"]');
    await bench.page.waitForSelector('[data-test=partly]');
    expect(await bench.text('[data-test=partly]')).toContain('6 of 27 rows are shown');
    await bench.click('[data-test=show-all]');
    await see('order');
    await bench.page.waitForSelector('[data-order="Cedar Yard"]');
    expect(await bench.complaints()).toEqual([]);
    await see('list');
    await more(bench, 'set-up');
    await bench.page.waitForSelector('[data-test=tax-name]');
    await bench.still();
    expect(await bench.complaints()).toEqual([]);
    expect(bench.errors).toEqual([]);
  });
});

describe('several rows', () => {
  const order = (bench: Bench) =>
    bench.page.$$eval('[data-item]', (rows) => rows.map((row) => (row as HTMLElement).dataset['item']));
  const grip = (item: string) => `[data-item="${item}"] [data-test=grip]`;

  it('are chosen by touches, cut and pasted elsewhere, copied, left out, and put back', async () => {
    const bench = await theList();
    const before = await order(bench);
    await bench.click(grip('Joists'));
    await bench.click(grip('Treads'));
    expect(await bench.text('[data-test=chosen-bar] strong')).toBe('2 rows');
    await bench.still();
    expect(await bench.complaints()).toEqual([]);
    await bench.click('[data-test=cut-rows]');
    await bench.click(cell('Deck screws', 'name'));
    await bench.page.keyboard.down('Control');
    await bench.page.keyboard.press('v');
    await bench.page.keyboard.up('Control');
    await bench.drawn();
    expect((await order(bench)).slice(0, 6)).toEqual([
      ...['Deck boards', 'Rim, eight sides', 'Stringers', 'Deck screws', 'Joists', 'Treads'],
    ]);
    await bench.undo();
    expect(await order(bench)).toEqual(before);
    const total = await bench.text('[data-test=grand]');
    await bench.click(grip('Joists'));
    await bench.click(grip('Treads'));
    await bench.click('[data-test=copy-rows]');
    await bench.click('[data-test=paste-rows]');
    await bench.drawn();
    expect((await order(bench)).filter((item) => item === 'Joists')).toHaveLength(2);
    expect(await bench.text('[data-test=grand]')).not.toBe(total);
    await bench.undo();
    await bench.says('[data-test=grand]', total);
    await bench.click(grip('Joists'));
    await bench.click(grip('Treads'));
    await bench.click('[data-test=leave-rows-out]');
    // $470.93 and $114.80 beside what was left out already.
    await bench.says('[data-test=left-out]', 'Left out: $672.53.');
    await bench.undo();
    await bench.says('[data-test=left-out]', 'Left out: $86.80.');
    expect(bench.errors).toEqual([]);
  });

  it('are chosen on a phone, and its results go to the slate and the story stick', async () => {
    const bench = await theList(PHONE);
    await more(bench, 'choose');
    await bench.tap('[data-card="Joists"]');
    await bench.tap('[data-card="Treads"]');
    expect(await bench.text('[data-test=chosen-bar] strong')).toBe('2 rows');
    expect(await bench.overflow()).toBe(0);
    await bench.tap('[data-test=delete-rows]');
    await bench.page.waitForSelector('[data-card="Joists"]', { hidden: true });
    await bench.undo();
    await bench.page.waitForSelector('[data-card="Joists"]');
    await bench.tap('[data-card="Joists"]');
    await bench.tap('[data-result=quantity] [data-test=to-stick]');
    await bench.page.waitForFunction(() => document.body.textContent.includes('Stored as joists_quantity'));
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });
});

describe('the take-off on a phone', () => {
  it('takes a new row with count, length and price in five touches beside the digits', async () => {
    const bench = await theList(PHONE);
    await bench.tap('[data-add="Posts, rails and balusters"]');
    await bench.page.waitForSelector('[data-test=dock]');
    let touches = 1;
    const keys = async (...faces: readonly string[]) => {
      await bench.touchKeys(...faces);
      touches += faces.filter((face) => !/^\d$/.test(face)).length;
    };
    expect(await bench.text('.dock .label')).toBe('Count');
    await keys('4', 'enter', '9', '′', 'enter', '1', '2');
    await bench.page.evaluate(() => (document.activeElement as HTMLElement).blur());
    touches += 1;
    await bench.page.waitForFunction(() =>
      document.querySelector('[data-test=row-says] p:last-child')?.textContent.includes('= $432.00'),
    );
    expect(touches).toBeLessThanOrEqual(6);
    await bench.kept();
    expect(await bench.overflow()).toBe(0);
    expect(bench.errors).toEqual([]);
  });
});

it('is written in by touch on a tablet: the keys come up for its cells, and another field that is touched has the cursor', async () => {
  const bench = await theList(TABLET);
  const { page } = bench;
  await bench.tap(cell('Joists', 'length'));
  await bench.tap(cell('Joists', 'length'));
  await page.waitForSelector('[data-test=dock]');
  await bench.touchKeys('1', '4', '′');
  await bench.tap('[data-test=cell-count] input');
  await bench.says(cell('Joists', 'length'), '14′');
  expect(await bench.text('.dock .label')).toBe('Count');
  expect(await page.evaluate(() => document.activeElement?.closest('[data-test=cell-count]') !== null)).toBe(true);
  expect(bench.errors).toEqual([]);
});

it('keeps what two devices wrote in different cells of one row with no signal', async () => {
  const mine = await theList();
  const theirs = await theList(DESKTOP, mine);
  for (const { page } of [mine, theirs]) await page.setOfflineMode(true);
  await write(mine, 'Treads', 'count', '9');
  await write(theirs, 'Treads', 'price', '$4');
  for (const { page } of [mine, theirs]) await page.setOfflineMode(false);
  await mine.click('[data-test=rounding]');
  await theirs.says('[data-test=rounding]', 'Rounded once, in each total');
  for (const bench of [mine, theirs]) {
    await bench.says(cell('Treads', 'count'), '9');
    await bench.says(cell('Treads', 'price'), '$4.00');
    expect(await bench.page.$$('[data-item="Treads"]')).toHaveLength(1);
  }
});

describe('a table from elsewhere', () => {
  const TABLE = [
    'Material\tQty\tUnit\tLength\tUnit price',
    'Cedar\t\t\t\t',
    `Fascia\t8\tea\t10' 5 1/8"\t$4.20`,
    'Gravel\t4.5\tCY\t\t$38',
    'Nails\ttwelve\tea\t\t$5',
    'Total\t\t\t\t$999',
    `Fascia\t8\tea\t10' 5 1/8"\t$4.20`,
  ].join('\n');

  it('is looked at before it is taken in, comes in as one step, and goes as one', async () => {
    const bench = await theList();
    const { page } = bench;
    const before = await bench.text('[data-test=grand]');
    await more(bench, 'from-elsewhere');
    await page.waitForSelector('[data-test=block-text]');
    await page.$eval(
      '[data-test=block-text]',
      (field, text) => {
        (field as HTMLTextAreaElement).value = text;
        field.dispatchEvent(new Event('input'));
      },
      TABLE,
    );
    await page.waitForSelector('[data-test=block-says]');
    expect(await bench.text('[data-test=block-says]')).toContain('2 rows to add, 2 not taken, 1 already there.');
    expect(await bench.text('[data-block-row="4"] .as')).toContain('There is no mark called “twelve”');
    expect(await bench.text('[data-block-row="5"] .as')).toContain('A total of the table');
    await bench.still();
    expect(await bench.complaints()).toEqual([]);
    await bench.click('[data-test=add-block]');
    await page.waitForSelector('[data-test=block-text]', { hidden: true });
    await bring(bench, '[data-item="Gravel"]');
    await bench.says(cell('Gravel', 'quantity'), '4.5 cu yd');
    await bench.says(cell('Fascia', 'cost'), '$33.60');
    await page.waitForSelector('[data-subtotal="Cedar"]');
    await bench.kept();
    await bench.undo();
    await bench.says('[data-test=grand]', before);
    expect(bench.errors).toEqual([]);
  });
});

describe('the list as it leaves', () => {
  it('is saved for other programs and for paper, and a file of it is read again', async () => {
    const bench = await theList();
    const { page } = bench;
    using files = await downloadsOf(page);
    await more(bench, 'list-out');
    await page.waitForSelector('[data-test=save-xlsx]');
    await bench.still();
    expect(await bench.complaints()).toEqual([]);
    await bench.click('[data-test=save-csv]');
    const [head = '', ...rows] = (await files.saved('.csv')).toString('utf8').trim().split('\r\n');
    expect(head).toContain('section,item,count,length (ft)');
    expect(rows).toHaveLength(27);
    await bench.click('[data-test=save-pdf]');
    expect((await files.saved('.pdf')).subarray(0, 5).toString()).toBe('%PDF-');
    await bench.click('[data-test=save-xlsx]');
    expect((await files.saved('.xlsx')).subarray(0, 2).toString()).toBe('PK');
    await page.evaluate(() => {
      window.print = () => window.dispatchEvent(new Event('asked-to-print'));
    });
    const asked = page.evaluate(
      () =>
        new Promise((resolve) =>
          window.addEventListener('asked-to-print', () => resolve(document.querySelectorAll('.pages svg').length)),
        ),
    );
    await bench.click('[data-test=print-sheets]');
    expect(await asked).toBe(3);
    await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));

    await page.keyboard.press('Escape');
    await page.waitForSelector('[data-test=save-xlsx]', { hidden: true });
    await more(bench, 'from-elsewhere');
    await page.waitForSelector('[data-test=block-file]');
    const input = await page.$('input[data-test=block-file]');
    await input?.uploadFile(files.path('.xlsx'));
    await page.waitForSelector('[data-test=block-says]');
    expect(await bench.text('[data-test=block-says]')).toContain('27 rows to add');
    expect(bench.errors).toEqual([]);
  });
});
