import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { launchBrowser, openBench, PHONE } from '../fixtures/browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
});

it('a new metric job takes numbers as millimetres, keeps them with their unit, and offers the other meaning', async () => {
  const bench = await openBench(browser, PHONE);
  await bench.click('[data-test=job]');
  await bench.click('[data-test=new-job]');
  await bench.fill('[data-test=job-title]', 'Loft, Quill Park');
  await bench.click('[data-test=measure-mm]');
  await bench.click('[data-test=make-job]');
  await bench.page.waitForSelector('.hand .cm-content');
  await bench.touchKeys('2', '4', '00', '÷', '7');
  expect(await bench.readBack()).toBe('2400 mm ÷ 7');
  await bench.touchKeys('enter');
  expect(await bench.result(1)).toBe('343 mm');
  await bench.touchKeys('2', '4', '00', '×', '1', '2', '00');
  expect(await bench.reading()).toBe('2.88 m²');
  await bench.page.waitForFunction(() =>
    [...document.querySelectorAll('.taken button')].some((one) => one.textContent.trim() === '2400 mm × 1200 ea'),
  );
  await bench.click('.taken button');
  expect(await bench.reading()).toBe('2880000 mm');
  await bench.clear();
  // A field of another room follows the same rule; what is kept there says its unit.
  await bench.room('/setting-out');
  await bench.tap('[data-shape=right-triangle]');
  await bench.fill('[data-field=rise] input', '3000');
  await bench.fill('[data-field=run] input', '4000');
  await bench.says('[data-answer=diagonal] .size', '5000 mm');
  await bench.fill('[data-test=set-out-name]', 'Brace');
  await bench.click('[data-test=keep-set-out]');
  // The job says something else from now on: what is kept stays what it was.
  await bench.room('/jobs');
  await bench.click('.job.open [data-test=job-dots]');
  await bench.click('[role=menuitem][data-act=edit]');
  await bench.click('[data-test=bare-plain]');
  await bench.click('[data-test=save-job]');
  await bench.room('/');
  expect(await bench.result(1)).toBe('343 mm');
  await bench.type('2400');
  expect(await bench.reading()).toBe('2400');
  await bench.clear();
  await bench.kept();
  expect(bench.errors).toEqual([]);
});
