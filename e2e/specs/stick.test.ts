import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DESKTOP, launchBrowser, openBench, PHONE, type Bench } from '../fixtures/browser.ts';
import { downloadsOf } from '../fixtures/downloads.ts';
import { Thumb } from '../fixtures/touches.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
});

async function theStore(size: typeof DESKTOP = DESKTOP): Promise<Bench> {
  const bench = await openBench(browser, size);
  await bench.chooseJob('Allotment tool store');
  return bench;
}
const HELD = '[data-test=held]';

describe('the mark in hand', () => {
  it('takes the reading on and off, again and again, and each posting can be struck out and put back', async () => {
    const bench = await theStore();
    await bench.type('sheet: 1200 mm');
    await bench.click('[data-test=keep]');
    await bench.click('[data-test=keep-as]');
    await bench.says(HELD, 'sheet 1200 mm');
    await bench.type('250 mm');
    await bench.page.waitForFunction(() => document.querySelector('[data-test=add-on]')?.textContent.includes('250'));
    await bench.click('[data-test=add-on]');
    await bench.says(HELD, 'sheet 1450 mm');
    // Nothing typed: the last posting again.
    await bench.click('[data-test=add-on]');
    await bench.says(HELD, 'sheet 1700 mm');
    await bench.click('[data-test=knock-off]');
    await bench.says(HELD, 'sheet 1450 mm');
    await bench.undo();
    await bench.says(HELD, 'sheet 1700 mm');

    // A touch on it puts it in the entry; its story is in the room of the stick.
    await bench.click(HELD);
    expect(await bench.text('.hand [data-test=entry]')).toBe('sheet');
    await bench.clear();
    await bench.room('/stick');
    await bench.page.waitForSelector('[data-test=ledger] [data-test=strike]');
    expect(
      await bench.page.$$eval('[data-test=ledger] [data-test=amount]', (all) => all.map((one) => one.textContent)),
    ).toEqual(['1200 mm', '250 mm', '250 mm', '250 mm']);
    // The one that was taken back stands struck out.
    expect(await bench.page.$$eval('.struck', (all) => all.length)).toBe(1);
    await bench.click('[data-test=ledger] [data-test=strike]');
    await bench.says('[data-test=mark-value]', '1450 mm');
    await bench.click('.struck [data-test=put-back]');
    await bench.says('[data-test=mark-value]', '1700 mm');
    await bench.fill('[data-test=story] .post input', '12 kg');
    await bench.page.waitForFunction(() => document.querySelector('.post [role=alert]') !== null);
    expect(await bench.text('.post [role=alert]')).toContain('different kinds');
    await bench.fill('[data-test=story] .post input', '3 * 100 mm');
    await bench.click('[data-test=post-off]');
    await bench.says('[data-test=mark-value]', '1400 mm');
    await bench.fill('[data-test=story] .post input', '2 m');
    await bench.click('[data-test=write-over]');
    await bench.says('[data-test=mark-value]', '2000 mm');
    expect(await bench.text('[data-test=before]')).toContain('was 1200 mm');
    await bench.click('[data-test=undo]');
    await bench.says('[data-test=mark-value]', '1400 mm');
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });

  it('is changed and posted to at one touch each on a phone', async () => {
    const bench = await theStore(PHONE);
    await bench.land('first1 = 100 mm', 'second1 = 200 mm');
    const thumb = new Thumb(bench.page);
    await bench.says(HELD, 'second1 200 mm');
    await bench.page.waitForSelector('[data-hold=first1]');
    await bench.page.$eval('[data-hold=first1]', (button) => button.scrollIntoView());
    await thumb.touch('[data-hold=first1]');
    await bench.says(HELD, 'first1 100 mm');
    await thumb.touch('[data-test=add-on]');
    await bench.says(HELD, 'first1 300 mm');
    expect(thumb.count).toBe(2);
    expect(await bench.overflow()).toBe(0);
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });

  it('refuses an unlike kind in words, and mends a number without its unit', async () => {
    const bench = await theStore();
    await bench.land('stop = 300 mm');
    await bench.type('40');
    // It is not offered; touched all the same, it says why.
    await bench.page.waitForSelector('[data-test=add-on][aria-disabled=true]');
    await bench.page.$eval('[data-test=add-on]', (key) => (key as HTMLElement).click());
    await bench.page.waitForSelector('.refused');
    expect(await bench.text('.refused')).toContain('stop is a length, and this is a plain number');
    await bench.page.$$eval('[data-test=post-fix]', (fixes) =>
      (fixes as HTMLElement[]).find(({ textContent }) => textContent.includes('mm'))?.click(),
    );
    await bench.says(HELD, 'stop 340 mm');
    await bench.kept();
  });
});

describe('the whole story stick', () => {
  it('renames a mark with the entries that use it, takes it off with its value kept, and goes back', async () => {
    const bench = await theStore();
    const [, line] = (await bench.land('batten = 38 mm', 'batten * 3')) as [number, number];
    await bench.click('[data-test=open-stick]');
    await bench.click('[data-label=batten]');
    await bench.click('[data-test=rename]');
    // The cursor stands in the old name, all of it selected: what is typed takes its place.
    await bench.page.keyboard.type('mm');
    expect(await bench.page.$eval('[data-test=new-name]', (field) => (field as HTMLInputElement).value)).toBe('mm');
    await bench.page.waitForSelector('.rename [role=alert]');
    await bench.fill('[data-test=new-name]', 'lath');
    await bench.click('[data-test=rename-now]');
    await bench.page.waitForSelector('[data-label=lath]');
    const focused = () => bench.page.evaluate(() => document.activeElement?.getAttribute('data-test'));
    expect(await focused()).toBe('rename');
    expect(await bench.text('[data-test=users]')).toContain('lath × 3');
    // Under its old name again it is the same mark that is looked at.
    await bench.click('[data-test=undo]');
    await bench.says('[data-test=story] h2', 'batten');
    await bench.click('[data-test=rename]');
    await bench.page.keyboard.type('lath');
    await bench.press('Enter');
    await bench.says('[data-test=story] h2', 'lath');
    // A posting that is struck out and put back keeps the focus on its button.
    await bench.fill('[data-test=story] .post input', '1 mm');
    await bench.click('[data-test=post-on]');
    await bench.click('[data-test=strike]');
    await bench.page.waitForSelector('[data-test=put-back]');
    expect(await focused()).toBe('put-back');
    await bench.press('Enter');
    await bench.page.waitForSelector('[data-test=strike]');
    expect(await focused()).toBe('strike');
    await bench.press('Enter');
    await bench.page.waitForSelector('[data-test=put-back]');
    await bench.fill('[data-test=mark-note]', 'planed');
    await bench.press('Enter');
    await bench.click('[data-test=remove-mark]');
    await bench.click('[data-test=remove-keeping]');
    await bench.page.waitForFunction(() => document.querySelector('[data-label=lath]') === null);
    await bench.kept();
    await bench.room('/');
    await bench.page.waitForSelector('[data-line]');
    expect(await bench.result(line)).toBe('114 mm');
    expect(await bench.text(`[data-line="${line}"] .read-back`)).toBe('38 mm × 3');
    await bench.undo();
    await bench.page.waitForSelector('[data-mark=lath]');
    expect(await bench.text(`[data-line="${line}"] .read-back`)).toBe('lath × 3');
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });

  it('shows sixty marks at once, each readable and apart, with gaps, a stretch drawn larger, and a list to sort', async () => {
    const bench = await theStore();
    const { page } = bench;
    const many = Array.from({ length: 60 }, (_, n) => `stud${n + 1} = ${n < 45 ? 2400 + n : 100 + n * 37} mm`);
    for (const entry of many) {
      await page.focus('.hand [data-test=entry]');
      await page.keyboard.sendCharacter(entry);
      await bench.press('Enter');
    }
    await bench.kept();
    // On the bench itself, in the place of the slate.
    await bench.click('[data-test=lay-out]');
    await page.waitForSelector('[data-test=laid-out] [data-mark=stud60]');
    const laid = await page.$$eval('[data-test=laid-out] [data-mark]', (marks) =>
      marks.map((mark) => {
        const { top, right, bottom, height } = mark.getBoundingClientRect();
        const name = mark.querySelector('.name') as HTMLElement;
        return { right, bottom, isTouched: height >= 24, isWhole: name.scrollWidth <= name.clientWidth, top };
      }),
    );
    expect(laid.length).toBeGreaterThanOrEqual(60);
    const entryTop = await page.$eval('.hand [data-test=entry]', (entry) => entry.getBoundingClientRect().top);
    expect(
      laid.filter(
        ({ isTouched, isWhole, bottom, right }) => !isTouched || !isWhole || bottom > entryTop || right > DESKTOP.width,
      ),
    ).toEqual([]);
    await bench.click('[data-mark=stud7]');
    await bench.says('[data-test=read-back]', 'stud7');
    await page.keyboard.down('Alt');
    await page.keyboard.press('KeyL');
    await page.keyboard.up('Alt');
    await page.waitForSelector('[data-line]');

    await bench.click('[data-test=open-stick]');
    await page.waitForSelector('[data-label=stud60]');
    const boxes = await page.$$eval('[data-test=rod] [data-label]', (labels) =>
      labels.map((label) => {
        const { left, top, bottom } = label.getBoundingClientRect();
        return { left: Math.round(left) > 300, top, bottom, text: label.textContent };
      }),
    );
    expect(boxes.filter(({ text }) => text.startsWith('stud'))).toHaveLength(60);
    for (const side of [true, false]) {
      const column = boxes.filter(({ left }) => left === side).sort((a, b) => a.top - b.top);
      column.forEach(({ top }, at) => {
        if (at > 0) expect(top).toBeGreaterThanOrEqual((column[at - 1]?.bottom ?? 0) - 1);
      });
    }
    const inGlass = () => page.$$eval('[data-test=glass] [data-label]', (labels) => labels.length);
    const before = await inGlass();
    expect(before).toBeGreaterThan(20);
    await page.$eval('[data-test=stretch]', (slider) => {
      (slider as HTMLInputElement).value = '0.1';
      slider.dispatchEvent(new Event('input'));
    });
    await page.waitForFunction(
      (count) => document.querySelectorAll('[data-test=glass] [data-label]').length < count,
      {},
      before,
    );
    await bench.click('[data-test=gaps]');
    await page.waitForFunction(() => document.querySelector('[data-label=stud2]')?.textContent.includes('+1 mm'));
    await bench.click('[data-test=show-list]');
    await page.waitForSelector('[data-row]');
    const names = () => page.$$eval('[data-row]', (rows) => rows.map((row) => row.textContent.trim()));
    await bench.click('[data-sort=name]');
    expect((await names()).filter((name) => name.startsWith('stud')).slice(0, 3)).toEqual(['stud1', 'stud2', 'stud3']);
    await bench.click('[data-sort=age]');
    expect((await names())[0]).toBe('stud60');
    expect(await bench.complaints()).toEqual([]);
    await bench.click('[data-test=clear-marks]');
    await bench.click('[data-test=clear-now]');
    await page.waitForSelector('.none');
    await bench.click('[data-test=undo]');
    await page.waitForSelector('[data-row=stud60]');
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });

  it('is printed as PDF and SVG, full size over several sheets with lines to cut along', async () => {
    const bench = await theStore();
    const { page } = bench;
    await bench.land('rod1 = 900 mm');
    using files = await downloadsOf(page);
    await bench.click('[data-test=open-stick]');
    await bench.click('[data-test=show-print]');
    await bench.click('[data-test=paper-full-size]');
    await bench.click('[data-test=save-svg]');
    const svg = (await files.saved('.svg')).toString('utf8');
    expect(svg).toMatch(/^<svg[^>]*width="297mm"/);
    expect(svg).toContain('stroke-dasharray');
    expect(svg).toContain('joins here');
    await bench.click('[data-test=save-pdf]');
    const pdf = (await files.saved('.pdf')).toString('latin1');
    expect(pdf.startsWith('%PDF-')).toBe(true);
    expect(bench.errors).toEqual([]);
  });

  it('is used from end to end by keyboard, and axe finds nothing', async () => {
    const bench = await theStore();
    const { page } = bench;
    await bench.land('peg1 = 75 mm', 'peg1 += 5 mm');
    await page.focus('[data-test=open-stick]');
    await bench.press('Enter');
    await page.waitForSelector('[data-label=peg1]');
    expect(await bench.complaints()).toEqual([]);
    await page.focus('[data-label=peg1]');
    await bench.press('Enter');
    await bench.says('[data-test=mark-value]', '80 mm');
    await page.focus('[data-test=story] .post input');
    await page.keyboard.type('20 mm');
    await bench.press('Enter');
    await bench.says('[data-test=mark-value]', '100 mm');
    await page.focus('[data-test=use-mark]');
    await bench.press('Enter');
    await page.waitForSelector('.hand [data-test=entry]');
    expect(await bench.reading()).toBe('100 mm');
    await bench.clear();
    await bench.kept();
    expect(bench.errors).toEqual([]);
  });
});
