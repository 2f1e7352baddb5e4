import { afterAll, beforeAll, expect, it } from 'vitest';
import type { Browser } from 'puppeteer-core';
import { launchBrowser, openBench, PHONE } from '../fixtures/browser.ts';
let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(() => browser.close());
it('looks', { retry: 0 }, async () => {
  const bench = await openBench(browser, PHONE);
  const { page } = bench;
  const lines = () =>
    page.evaluate(() => ({
      keys: document.querySelector('.keys')!.getBoundingClientRect().top,
      n: [...document.querySelectorAll('[data-line]')].filter((l) => {
        const r = l.getBoundingClientRect();
        const b = document.querySelector('.lines')!.getBoundingClientRect();
        return r.top >= b.top - 1 && r.bottom <= b.bottom + 1;
      }).length,
      h: document.querySelector('.lines')!.clientHeight,
    }));
  console.log('hint', JSON.stringify(await lines()));
  await page.screenshot({ path: `/tmp/shots/a1.png` });
  for (let n = 0; n < 6; n += 1)
    if (await page.$('[data-test=hint-away]')) {
      await bench.tap('[data-test=hint-away]');
      await bench.drawn();
    }
  await bench.drawn();
  await bench.still();
  console.log('none', JSON.stringify(await lines()));
  await page.screenshot({ path: `/tmp/shots/a2.png` });
  await bench.tap('[data-test=finest]');
  await bench.drawn();
  console.log('finest', JSON.stringify(await lines()));
  await page.screenshot({ path: `/tmp/shots/a3.png` });
  await bench.tap('[data-option="8"]');
  await bench.drawn();
  await page.screenshot({ path: `/tmp/shots/a4.png` });
  console.log('scope', JSON.stringify(await lines()));
  await bench.touchKeys('5', '′', '+', '3');
  await page.waitForSelector('.message');
  await bench.drawn();
  console.log('message', JSON.stringify(await lines()));
  await page.screenshot({ path: `/tmp/shots/a5.png` });
  await bench.clear();
  await page.evaluate(() => {
    const c = JSON.parse(localStorage.getItem('sprell.comfort') ?? '{}');
    localStorage.setItem('sprell.comfort', JSON.stringify({ ...c, gloves: true }));
  });
  await page.reload();
  await page.waitForSelector('.hand .cm-content');
  await bench.drawn();
  await bench.still();
  console.log(
    'glove',
    JSON.stringify(await lines()),
    JSON.stringify(
      await page.evaluate(() =>
        [...document.querySelectorAll('main button, main a, main input')]
          .map((b) => {
            const r = b.getBoundingClientRect();
            return [
              ((b as HTMLElement).dataset.key ?? (b as HTMLElement).dataset.test ?? b.className).slice(0, 18),
              Math.round(r.width),
              Math.round(r.height),
              r.top < innerHeight && r.bottom > 0 && r.width > 0,
            ];
          })
          .filter((x) => x[3] && ((x[1] as number) < 56 || (x[2] as number) < 56)),
      ),
    ),
  );
  await page.screenshot({ path: `/tmp/shots/a6.png` });
  expect(bench.errors).toEqual([]);
});
