import { gzipSync } from 'node:zlib';
import { expect, inject, it } from 'vitest';
import { launchBrowser } from '../fixtures/browser.ts';

/**
 * Bytes of script, gzipped, that a page names itself and a phone waits for; everything else is loaded lazily. More than
 * 200,000 are never to come: a room that needs more of the first screen finds some 45,000 to spare.
 */
const MOST = 155_000;

it('the first screen asks for less script than a slow network brings in time', async () => {
  const address = inject('address');
  // What stands behind it is asked for by the page, too, but not waited for.
  const page = (await (await fetch(address)).text()).replace(/<link[^>]*data-behind[^>]*>/g, '');
  const scripts = [...new Set([...page.matchAll(/(?:src|href)="([^"]+\.js)"/g)].map(([, path]) => path as string))];
  expect(scripts.length).toBeGreaterThan(0);
  let size = 0;
  for (const path of scripts) {
    const answer = await fetch(new URL(path, address));
    expect(answer.ok).toBe(true);
    size += gzipSync(Buffer.from(await answer.arrayBuffer()), { level: 9 }).length;
  }
  expect(size).toBeLessThan(MOST);
});

it('a browser that has nothing has its lines with one question to the server', async () => {
  const browser = await launchBrowser();
  const page = await (await browser.createBrowserContext()).newPage();
  const asked: string[] = [];
  page.on('request', (request) => {
    const { pathname } = new URL(request.url());
    if (pathname.startsWith('/api/') && !pathname.endsWith('/events')) asked.push(`${request.method()} ${pathname}`);
  });
  await page.goto(inject('address'));
  await page.waitForSelector('[data-line]');
  // Other jobs are fetched later, so that each can be opened where there is no signal.
  expect(asked[0]).toBe('POST /api/account/guest');
  expect(asked).not.toContain('GET /api/jobs');
  const first = await page.evaluate(() => JSON.parse(localStorage.getItem('sprell.job') ?? '""') as string);
  expect(asked).not.toContain(`GET /api/jobs/${first}`);
  await browser.close();
});

it('what is typed before the suggestions are there gets them when they come', async () => {
  const browser = await launchBrowser();
  const page = await (await browser.createBrowserContext()).newPage();
  await page.setRequestInterception(true);
  let letCome: () => void = () => undefined;
  const held = new Promise<void>((resolve) => (letCome = resolve));
  page.on('request', (request) => {
    const isHeld = request.url().includes('/editor-extras');
    void (isHeld ? held : Promise.resolve()).then(() => request.continue());
  });
  await page.goto(inject('address'));
  await page.waitForSelector('[data-line]');
  await page.focus('.hand [data-test=entry]');
  await page.keyboard.type('hy');
  expect(await page.$('.cm-tooltip-autocomplete li')).toBeNull();
  letCome();
  await page.waitForSelector('.cm-tooltip-autocomplete li');
  await browser.close();
});
