import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launchBrowser, openBench, PHONE } from '../fixtures/browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(() => browser.close());

describe('the help', () => {
  it('is found by what people call things, and its examples go into the entry', async () => {
    const bench = await openBench(browser);
    await bench.room('/stick');
    await bench.page.waitForSelector('[data-test=show-list]');
    await bench.room('/help');
    await bench.page.waitForSelector('.contents');
    // What is done in the room that one came from stands first.
    expect(await bench.text('.contents')).toContain('In the room you came from: Story stick');
    await bench.fill('[data-test=find-help]', 'offcut');
    await bench.click('[data-test=found-help] [href="/help/left-of-a-board"]');
    await bench.page.waitForSelector('[data-try]');
    expect(await bench.text('.page h1')).toBe('What is left of a board');
    await bench.click('[data-try]');
    await bench.says('[data-test=reading]', '2′ 1 1⁄8″');
    expect(await bench.complaints()).toEqual([]);
  });

  it('is pages on a phone, each of a length to be read', async () => {
    const bench = await openBench(browser, PHONE);
    await bench.room('/help');
    await bench.page.waitForSelector('[data-page]');
    const pages = await bench.page.$$eval('[data-page]', (links) =>
      links.map((link) => link.getAttribute('data-page')),
    );
    expect(pages.length).toBeGreaterThan(25);
    await bench.tap('[data-page=divide]');
    await bench.page.waitForSelector('[data-test=all-help]');
    expect(await bench.page.$eval('.contents', (contents) => contents.checkVisibility())).toBe(false);
    const tall = await bench.page.$$eval('body', ([body]) => body?.scrollHeight ?? 0);
    expect(tall).toBeLessThan(1700);
    expect(await bench.overflow()).toBe(0);
    expect(await bench.complaints()).toEqual([]);
    await bench.tap('[data-test=all-help]');
    await bench.tap('[data-page=messages]');
    await bench.page.waitForFunction(() => document.body.textContent.includes('This divides by zero'));
    expect(await bench.overflow()).toBe(0);
  });
});
