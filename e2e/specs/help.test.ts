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

  it('on a function stays while its arguments are typed', async () => {
    const bench = await openBench(browser);
    const { page } = bench;
    await page.waitForSelector('.hand .cm-editor');
    const argument = () => page.$eval('[data-test=call-help] b', (arg) => arg.textContent);
    await bench.type('round(5\' 3 7/32"');
    await page.waitForSelector('[data-test=call-help]');
    expect(await bench.text('[data-test=call-help]')).toBe('round(a; step) to the nearest multiple of the step');
    expect(await argument()).toBe('a');
    // Nothing is wrong with what is being written yet, however long somebody rests; on Enter it is said.
    await new Promise((resolve) => setTimeout(resolve, 1200));
    expect(await page.$('.hand [role=alert]')).toBeNull();
    await bench.press('Enter');
    await page.waitForSelector('.hand [role=alert]');
    await bench.type('; ');
    await page.waitForFunction(() => document.querySelector('[data-test=call-help] b')?.textContent === 'step');
    await bench.type('1/8")');
    await page.waitForSelector('[data-test=call-help]', { hidden: true });
    await bench.says('[data-test=reading]', '5′ 3 1⁄4″');
    await bench.press('Enter');
    expect(bench.errors).toEqual([]);
  });
});

describe('the offer to install', () => {
  it('is made once, on the second day, when a line has landed', async () => {
    const bench = await openBench(browser);
    const { page } = bench;
    const twoDays = () =>
      page.evaluate(() => {
        localStorage.setItem('sprell.install', JSON.stringify({ days: ['Mon', 'Tue'], isSaid: false }));
      });
    const canInstall = () =>
      page.evaluate(() => {
        dispatchEvent(
          Object.assign(new Event('beforeinstallprompt', { cancelable: true }), { prompt: () => Promise.resolve() }),
        );
      });
    // What makes it comes behind the page.
    const behind = () =>
      page.waitForFunction(() =>
        performance.getEntriesByType('resource').some(({ name }) => name.includes('BehindPage')),
      );
    await canInstall();
    await behind();
    await bench.land(`7' 4"`);
    expect(await page.$('[data-test=install-offer]')).toBeNull();
    await twoDays();
    await page.reload();
    await page.waitForSelector('[data-line]');
    await canInstall();
    await behind();
    expect(await page.$('[data-test=install-offer]')).toBeNull();
    await bench.land(`7' 6"`);
    await page.waitForSelector('[data-test=install-offer]');
    expect(await bench.complaints()).toEqual([]);
    await bench.click('[data-test=install-later]');
    await page.waitForSelector('[data-test=install-offer]', { hidden: true });
    await page.reload();
    await page.waitForSelector('[data-line]');
    await canInstall();
    await behind();
    await bench.land(`7' 8"`);
    await bench.click('[data-test=comfort]');
    await page.waitForSelector('[data-test=install]');
    expect(await page.$('[data-test=install-offer]')).toBeNull();
    expect(bench.errors).toEqual([]);
  });
});
