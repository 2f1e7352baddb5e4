import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, ElementHandle } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openBench, PHONE, type Bench } from '../fixtures/browser.ts';
import { downloadsOf } from '../fixtures/downloads.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(() => browser.close());

const answer = (bench: Bench, name: string) => bench.text(`[data-answer="${name}"] .size`);
const field = (name: string) => `[data-field="${name}"] input`;
const opened = (bench: Bench, file: string) =>
  bench.page
    .waitForSelector('[data-test=jig-file]')
    .then((input) => (input as ElementHandle<HTMLInputElement>).uploadFile(file));

describe('jigs', () => {
  it('run as their inputs are written, and their answers live on: on the slate, on the stick, in the quantities', async () => {
    const bench = await openBench(browser);
    await bench.room('/jigs');
    await bench.click('[data-jig=decking]');
    await bench.page.waitForSelector('[data-answer=boards]');
    expect(await answer(bench, 'boards')).toBe('26');
    await bench.fill(field('width'), 'rail');
    // rail is 10′ 5 1⁄8″: 125 1⁄4 over 5 5⁄8 is 22.3.
    await bench.says('[data-answer=boards] .size', '23');
    expect(await bench.text('[data-step=boards] .figures')).toBe('up((10′ 5 1⁄8″ + 1⁄8″) ÷ (5 1⁄2″ + 1⁄8″))');
    await bench.click('[data-answer=boards] [data-test=to-slate]');
    await bench.click('[data-answer=last_board] [data-test=to-stick]');
    await bench.click('[data-answer=boards_length] [data-test=to-quantities]');
    await bench.page.waitForFunction(() => document.body.textContent.includes('in this job as decking'));

    await bench.room('/');
    await bench.page.waitForSelector('.lines [data-line]');
    const numbers = await bench.lineNumbers();
    const line = numbers.at(-2) ?? 0;
    expect(await bench.text(`[data-line="${line}"]`)).toContain('decking(width = rail)');
    expect(await bench.text(`[data-line="${line}"]`)).toContain('23');
    // The rail becomes longer, and so do the boards that cover it.
    await bench.type('rail += 12"');
    await bench.press('Enter');
    await bench.page.waitForFunction(
      (number) => document.querySelector(`[data-line="${number}"]`)?.textContent.includes('25'),
      {},
      line,
    );
    await bench.kept();

    // Another device of the same person has the line, and the jig that it uses.
    const other = await openBench(browser, undefined, bench);
    await other.page.waitForFunction(
      (number) => document.querySelector(`[data-line="${number}"]`)?.textContent.includes('25'),
      {},
      line,
    );
    await bench.room('/quantities');
    await bench.page.waitForFunction(() => document.body.textContent.includes('Boards in all, end to end'));
  });

  it('are functions on the bench, and say what is wrong with what they are given', async () => {
    const bench = await openBench(browser);
    // The jigs of the account come behind the lines.
    await bench.type(`decking(14')`);
    await bench.says('[data-test=reading]', '30');
    expect(await bench.readBack()).toBe('decking(width = 14′)');
    await bench.press('Enter');
    await bench.type('decking(3 kg)');
    await bench.page.waitForFunction(() =>
      document.body.textContent.includes('“width” is a length and was given a mass'),
    );
    await bench.clear();
    await bench.type(`last_board from decking(14')`);
    await bench.says('[data-test=reading]', '4 7⁄8″');
  });

  it('go over a list of values, and stand side by side', async () => {
    const bench = await openBench(browser);
    await bench.room('/jigs');
    await bench.click('[data-jig=fall]');
    await bench.page.waitForSelector('[data-answer=drop]');
    expect(await answer(bench, 'drop')).toBe('6″');
    await bench.click('[data-test=look-over]');
    await bench.fill('[data-field=from] input', `10'`);
    await bench.fill('[data-field=to] input', `40'`);
    await bench.fill('[data-field=step] input', `10'`);
    await bench.page.waitForFunction(() => document.querySelectorAll('[data-test=what-if] tbody tr').length === 4);
    const cells = await bench.page.$$eval('[data-test=what-if] tbody tr', (rows) =>
      rows.map((row) => row.children[1]?.textContent.replace(/\s+/g, ' ').trim()),
    );
    expect(cells).toEqual(['1 1⁄2″', '3″', '4 1⁄2″', '6″']);
    expect(await bench.page.$('canvas')).not.toBeNull();

    await bench.click('[data-test=look-side]');
    await bench.click('[data-test=keep-run]');
    await bench.fill(field('run'), `80'`);
    await bench.page.waitForFunction(
      () =>
        document
          .querySelector('[data-test=side-by-side] .answer')
          ?.textContent.replace(/\s+/g, ' ')
          .includes('6″1′') === true,
    );
    expect(await bench.complaints()).toEqual([]);
  });

  it('are made of lines of the slate, changed, and taken by a job when somebody says so', async () => {
    const bench = await openBench(browser);
    const [first, second] = await bench.land(`bay: 9' 6" + 3"`, "posts: up(40' / last) + 1");
    await bench.click('[data-test=select]');
    for (const number of [first, second]) await bench.click(`[data-line="${number}"]`);
    await bench.click('[data-test=jig-chosen]');
    await bench.page.waitForSelector('[data-test=save-jig]');
    await bench.click('[data-figure="40\'"]');
    await bench.fill('[data-input="0"] [data-field=title]', 'Length');
    await bench.fill('[data-test=jig-title]', 'Posts in a run');
    await bench.click('[data-test=save-jig]');
    await bench.page.waitForSelector('[data-answer=posts]');
    expect(await answer(bench, 'posts')).toBe('6');
    await bench.click('[data-answer=posts] [data-test=to-slate]');

    // The next version: the job keeps the one that it used until it is told otherwise.
    await bench.click('[data-test=edit-jig]');
    await bench.fill('[data-step="1"] [data-field=entry] input', 'up(length_1 / bay) + 2');
    await bench.click('[data-test=save-jig]');
    await bench.page.waitForSelector('[data-test=newer]');
    expect(await answer(bench, 'posts')).toBe('6');
    // The line says so too, and leads here.
    await bench.room('/');
    await bench.page.waitForSelector('[data-test=newer-jig]');
    await bench.click('[data-line]:has([data-test=newer-jig]) [data-test=dots]');
    await bench.click('[data-test=its-jig]');
    await bench.click('[data-test=what-changes]');
    await bench.page.waitForFunction(() =>
      document.querySelector('[data-test=newer] li')?.textContent.includes('becomes 7'),
    );
    await bench.click('[data-test=take-newer]');
    await bench.says('[data-answer=posts] .size', '7');

    // The one before is looked at, and goes nowhere.
    await bench.page.waitForSelector('[data-test=newer]', { hidden: true });
    await bench.still();
    await bench.choose('[data-test=versions]', '1');
    await bench.says('[data-answer=posts] .size', '6');
    await bench.page.waitForSelector('[data-test=only-looked]');
    expect(await bench.page.$('[data-answer=posts] [data-test=to-slate]')).toBeNull();
  });

  it('are written from nothing, use one another, are checked, and wait as they are for whoever comes back', async () => {
    const bench = await openBench(browser);
    await bench.room('/jigs');
    await bench.click('[data-test=new-jig]');
    await bench.fill('[data-test=jig-title]', 'Two decks');
    await bench.fill('[data-input="0"] [data-field=title]', 'Width of one');
    // A name of one's own, not the one that comes of the title.
    await bench.fill('[data-input="0"] [data-field=name]', 'w');
    await bench.fill('[data-input="0"] [data-field=usual] input', `12'`);
    await bench.fill('[data-step="0"] [data-field=title]', 'Boards');
    await bench.fill('[data-step="0"] [data-field=entry] input', '2 * decking(w)');
    await bench.page.waitForFunction(() => document.querySelector('[data-step="0"]')?.textContent.includes('52'));

    // Somebody else's jig is looked at, the page is loaded anew: what was written stands where it stood.
    await bench.click('[data-jig=fall]');
    await bench.page.waitForSelector('[data-answer=drop]');
    await bench.room('/jigs');
    await bench.click('[data-test=begun]');
    await bench.page.waitForFunction(() => document.querySelector('[data-step="0"]')?.textContent.includes('52'));
    await bench.click('[data-test=add-check]');
    await bench.fill(`[data-check="0"] [data-field="comes-to"] input`, '50');
    await bench.page.waitForFunction(() =>
      document.querySelector('[data-check="0"]')?.textContent.includes('It comes to 52'),
    );
    await bench.click('[data-test=save-jig]');
    await bench.page.waitForSelector('[data-test=checks-fail]');
    await bench.fill(`[data-check="0"] [data-field="comes-to"] input`, '52');
    // The name follows where it is used.
    await bench.fill('[data-input="0"] [data-field=name]', 'wide');
    await bench.click('[data-test=save-jig]');
    await bench.says('[data-answer=boards] .size', '52');
    expect(await bench.page.$('[data-test=begun]')).toBeNull();

    await bench.room('/');
    await bench.type(`two_decks(wide = 14')`);
    await bench.says('[data-test=reading]', '60');
  });

  it('go from one person to another as a file, whose steps are shown before it runs; a bad one is refused at its place', async () => {
    const bench = await openBench(browser);
    using downloads = await downloadsOf(bench.page);
    await bench.room('/jigs');
    await bench.click('[data-jig=taper]');
    await bench.click('[data-test=save-as-file]');
    const text = (await downloads.saved('.json')).toString('utf8');
    const folder = await mkdtemp(join(tmpdir(), 'sprell-jigs-'));
    const own = join(folder, 'own.json');
    // As somebody else would have it: of an id of its own.
    await writeFile(
      own,
      text
        .replace(/"id":"[0-9a-f-]+"/, '"id":"01a00000-0000-7000-8000-00000000beef"')
        .replace('Taper per foot', 'My taper'),
    );
    const other = await openBench(browser);
    await other.room('/jigs');
    await opened(other, own);
    await other.page.waitForSelector('[data-test=file-steps]');
    expect(await other.text('[data-test=file-steps]')).toContain("difference / long * 1'");
    await other.click('[data-test=save-from-file]');
    await other.page.waitForSelector('[data-answer=per_foot]');
    expect(await answer(other, 'per_foot')).toBe('1⁄2″');

    for (const [bad, says] of [
      [text.replace('wide - narrow', 'rail - narrow'), '“rail” is no input of this jig'],
      [text.replace('"format":1', '"format":7'), 'newer Sprell'],
      [text.replace('"steps":[', '"steps":[7,'), 'In the file at jig.steps.0'],
      ['{"a"', 'not JSON'],
    ] as const) {
      const file = join(folder, 'bad.json');
      await writeFile(file, bad);
      await opened(other, file);
      await other.page.waitForFunction(
        (words) => document.querySelector('[role=dialog] [role=alert]')?.textContent.includes(words) === true,
        {},
        says,
      );
      expect(await other.page.$('[data-test=save-from-file]')).toBeNull();
      await other.press('Escape');
      await other.page.waitForSelector('[role=dialog] [role=alert]', { hidden: true });
    }
  });

  it('run by touch on a phone, with the keys of the bench', async () => {
    const bench = await openBench(browser, PHONE);
    await bench.room('/jigs');
    await bench.tap('[data-jig=sheets]');
    await bench.page.waitForSelector('[data-answer=sheets]');
    await bench.tap(field('spare'));
    await bench.page.waitForSelector('[data-key="5"]');
    await bench.touchKeys('5', '0');
    // Half as much again, and not fifty times: it says so.
    await bench.page.waitForFunction(() => document.body.textContent.includes('“spare” is 100% at most'));
    await bench.fill(field('spare'), '50%');
    await bench.says('[data-answer=sheets] .size', '15');
    expect(await bench.complaints()).toEqual([]);
  });
});
