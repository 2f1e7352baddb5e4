import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { launchBrowser, openBench, PHONE, type Bench } from '../fixtures/browser.ts';

let browser: Browser;
let bench: Bench;
beforeAll(async () => {
  browser = await launchBrowser();
  bench = await openBench(browser, PHONE);
});
afterAll(() => browser.close());

it.each([
  ['a phone whose browser shows its bars', 390, 664],
  ['a smaller one', 360, 640],
  ['the smallest', 320, 568],
  ['a phone on its side', 844, 390],
])('%s has every key of the bench in view, large enough, and nothing to scroll', async (_, width, height) => {
  const { page } = bench;
  await page.setViewport({ ...PHONE, width, height });
  await bench.drawn();
  await page.focus('.hand [data-test=entry]');
  await page.keyboard.type('5');
  await bench.drawn();
  const keys = await page.$$eval('.keys [data-key]', (all) =>
    all.map((key) => {
      const { top, bottom, right, height: high } = key.getBoundingClientRect();
      return { face: (key as HTMLElement).dataset['key'], top, bottom, right, high };
    }),
  );
  expect(keys.length).toBeGreaterThan(20);
  for (const key of keys) {
    expect(key.top, key.face).toBeGreaterThan(0);
    expect(key.bottom, key.face).toBeLessThanOrEqual(height);
    expect(key.right, key.face).toBeLessThanOrEqual(width);
    expect(key.high, key.face).toBeGreaterThanOrEqual(44);
  }
  const entry = await page.$eval('.hand', (hand) => hand.getBoundingClientRect().bottom);
  expect(entry).toBeLessThanOrEqual(height);
  expect(await page.evaluate(() => document.documentElement.scrollHeight - innerHeight)).toBe(0);
  expect(await bench.overflow()).toBe(0);
  await bench.clear();
});

it('with glove size has no target under 56 px, and an inch whose sixteenths a gloved thumb can tell apart', async () => {
  const { page } = bench;
  await page.setViewport(PHONE);
  await page.evaluate(() => localStorage.setItem('sprell.comfort', JSON.stringify({ gloves: true })));
  await bench.goto();
  await bench.still();
  const small = await page.$$eval('button, a[href], input, [role=slider], [role=menuitem], .cm-editor', (all) =>
    all.flatMap((target) => {
      const { top, left, width, height } = target.getBoundingClientRect();
      const isSeen =
        target.checkVisibility() && width > 1 && top < innerHeight && left < innerWidth && top + height > 0;
      const named = target.getAttribute('aria-label') ?? target.textContent.trim();
      return isSeen && (width < 55.5 || height < 55.5) ? [`${named}: ${width} × ${height}`] : [];
    }),
  );
  expect(small).toEqual([]);

  const tick = () =>
    page.$$eval('[data-test=inch] line', ([first, second]) => {
      const at = (line: Element | undefined) => line?.getBoundingClientRect().x ?? NaN;
      return at(second) - at(first);
    });
  expect(await tick()).toBeLessThan(30);
  const inch = await page.$eval('[data-test=inch]', (board) => {
    const { x, y, width, height } = board.getBoundingClientRect();
    return { x: x + width / 2, y: y + height / 2 };
  });
  const finger = await page.touchscreen.touchStart(inch.x, inch.y);
  await bench.drawn();
  expect(await tick()).toBeGreaterThanOrEqual(30);
  await finger.end();
  expect(await bench.text('.hand [data-test=entry]')).toBe('1/2″');
});
