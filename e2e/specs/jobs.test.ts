import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openBench, PHONE, type Bench } from '../fixtures/browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(() => browser.close());

const titles = ({ page }: Bench) => page.$$eval('li[data-job] b', (names) => names.map((name) => name.textContent));
const opened = (bench: Bench, title: string) =>
  bench.page.waitForFunction(
    (wanted) => document.querySelector('[data-test=job]')?.textContent.includes(wanted),
    {},
    title,
  );
async function toJobs(bench: Bench): Promise<void> {
  await bench.room('/jobs');
  await bench.page.waitForSelector('[data-test=job-dots]');
}
async function act(bench: Bench, title: string, what: string): Promise<void> {
  await bench.click(`[data-test=job-dots][aria-label="More for ${title}"]`);
  await bench.click(`.el-popper[aria-hidden=false] [data-act=${what}]`);
}

describe('the jobs room', () => {
  it('makes a job in two touches and a name, in its own way of writing, and opens it', async () => {
    const bench = await openBench(browser);
    const { page } = bench;
    await bench.click('[data-test=job]');
    await bench.click('[data-test=new-job]');
    await page.waitForFunction(() => document.activeElement?.matches('[data-test=job-title]'));
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => document.querySelector('[role=alert]')?.textContent.includes('name'));
    await page.keyboard.type('Shed, Orchard Lane');
    await bench.click('[data-test=measure-mm]');
    await bench.click('[data-test=job-more]');
    await bench.click('[data-test=decimal-comma]');
    await bench.click('[data-test=money-€]');
    await bench.click('[data-test=make-job]');
    await opened(bench, 'Shed, Orchard Lane');
    await page.waitForSelector('.hand .cm-content');
    expect(await page.title()).toBe('Bench · Shed, Orchard Lane · Sprell');
    await bench.type('2,4 m');
    expect(await bench.reading()).toBe('2400 mm');
    await bench.press('Enter');
    await bench.type('€1,5 * 2');
    expect(await bench.reading()).toBe('€3,00');
    await bench.clear();
    await bench.kept();
    // Its address is its own: another tab opens it, with the marks of the decimals.
    const address = page.url();
    const tab = await page.browserContext().newPage();
    await tab.goto(address);
    await tab.waitForSelector('[data-line="1"]');
    expect(await tab.title()).toBe('Bench · Shed, Orchard Lane · Sprell');
    await tab.close();
    expect(bench.errors).toEqual([]);
  });

  it('renames, tags, archives, duplicates, deletes and restores, with no signal too', async () => {
    const bench = await openBench(browser);
    const { page } = bench;
    await toJobs(bench);
    const all = await titles(bench);
    expect(all).toContain('Chapel porch');
    await page.setOfflineMode(true);
    await act(bench, 'Chapel porch', 'edit');
    await bench.fill('[data-test=edit-title]', 'Porch, Mill Road');
    await page.type('[data-test=edit-tags]', 'oak, Mill Road');
    await bench.click('[data-test=save-job]');
    await page.waitForFunction(() => document.querySelector('li .tag')?.textContent === 'oak');
    await act(bench, 'Porch, Mill Road', 'archive');
    await bench.says('[data-test=jobs-say]', '“Porch, Mill Road” is archived.');
    await act(bench, 'Allotment tool store', 'duplicate');
    await bench.fill('[data-test=copy-title]', 'Second store');
    await bench.click('[data-test=copy-all]');
    await opened(bench, 'Second store');
    await act(bench, 'Second store', 'delete');
    // What was open is not there any more: the job used before it is.
    await page.waitForFunction(() => !document.querySelector('[data-test=job]')?.textContent.includes('Second store'));
    await bench.click('[data-test=undo-delete]');
    await bench.says('[data-test=jobs-say]', '“Second store” is back in the list.');
    await act(bench, 'Second store', 'delete');
    await page.waitForSelector('section[aria-label=Deleted]');
    await page.setOfflineMode(false);
    await bench.kept();
    await page.reload();
    await page.waitForSelector('section[aria-label=Deleted]');
    const inGroup = (label: string) =>
      page.$$eval(`section[aria-label=${label}] li b`, (names) => names.map((name) => name.textContent));
    expect(await inGroup('Archived')).toEqual(['Porch, Mill Road']);
    expect(await inGroup('Deleted')).toEqual(['Second store']);
    expect(await inGroup('Jobs')).not.toContain('Second store');
    // The list of another device says the same.
    const other = await openBench(browser, PHONE, bench);
    await other.room('/jobs');
    await other.page.waitForSelector('section[aria-label=Deleted]');
    expect((await titles(other)).sort()).toEqual((await titles(bench)).sort());
    expect(await other.overflow()).toBe(0);
    expect(await other.complaints()).toEqual([]);
  });

  it('finds a job by its name, a label in it, or a size, and takes over the marks of another', async () => {
    const bench = await openBench(browser);
    const { page } = bench;
    await toJobs(bench);
    const find = async (words: string) => {
      await bench.fill('[data-test=find-job]', words);
      await page.waitForFunction(() =>
        /job has|jobs have|No job/.test(document.querySelector('[data-test=jobs-say]')?.textContent ?? ''),
      );
      await page.waitForFunction(
        (sought) => (document.querySelector('[data-test=find-job]') as HTMLInputElement).value === sought,
        {},
        words,
      );
    };
    await find('packers');
    await bench.says('li[data-job] b', 'Bandstand, Quill Park');
    await find('nothing of the kind');
    await page.waitForFunction(() => document.querySelector('li[data-job]') === null);
    await find(`7' 3 7/16"`);
    await bench.says('li[data-job] b', 'Bandstand, Quill Park');
    await page.click('[data-test=find-job]', { count: 3 });
    await page.keyboard.press('Backspace');
    await bench.click('[data-test=begin-job]');
    await page.waitForSelector('[data-test=job-form]');
    await page.type('[data-test=job-title]', 'Bandstand, east side');
    await bench.click('[data-test=job-from]');
    const option = await page.waitForSelector(
      '::-p-xpath(//li[@role="option"][normalize-space()="Bandstand, Quill Park"])',
      { visible: true },
    );
    await option?.click();
    await page.waitForSelector('[data-test=part-marks]');
    await bench.click('[data-test=make-job]');
    await opened(bench, 'Bandstand, east side');
    await page.waitForSelector('[data-line]');
    await page.waitForSelector('.hand .cm-content');
    await bench.type('rail');
    expect(await bench.reading()).toBe('10′ 5 1⁄8″');
    await bench.clear();
    await bench.kept();
    // Its lines are its own: what is changed there is changed there alone.
    expect((await bench.lineNumbers()).length).toBeLessThan(54);
    await page.goBack();
    await page.waitForFunction(() => location.pathname === '/jobs');
    expect(bench.errors).toEqual([]);
  });
});
