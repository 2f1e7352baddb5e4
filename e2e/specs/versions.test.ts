import { cpSync, mkdtempSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { Bench, DESKTOP, launchBrowser } from '../fixtures/browser.ts';

interface Cluster {
  readonly url: string;
  remove(): Promise<void>;
}
interface Running {
  readonly port: number;
  stop(): Promise<void>;
}

const root = mkdtempSync(join(tmpdir(), 'sprell-versions-'));
let browser: Browser;
let cluster: Cluster;
let start: (options: object) => Promise<Running>;
let server: Running;
const serve = async (port = 0) => {
  const secret = 'a secret that outlives each version';
  server = await start({ databaseUrl: cluster.url, port, demo: true, secret, log: 'silent', webRoot: root });
};
beforeAll(async () => {
  const tool = async <T>(file: string) => (await import(new URL(`../../tools/lib/${file}`, import.meta.url).href)) as T;
  const { WEB_ROOT } = await tool<{ WEB_ROOT: string }>('build.mjs');
  cpSync(WEB_ROOT, root, { recursive: true });
  ({ startServer: start } = await tool<{ startServer: typeof start }>('server-process.mjs'));
  cluster = await (await tool<{ throwawayCluster(): Promise<Cluster> }>('cluster.mjs')).throwawayCluster();
  await serve();
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
  await server.stop();
  await cluster.remove();
  rmSync(root, { recursive: true });
});

const rewrite = (file: string, change: (text: string) => string) =>
  writeFileSync(join(root, file), change(readFileSync(join(root, file), 'utf8')));

/** The same application under another name, and the server that has it restarted. */
async function renew(name: string, change: (page: string) => string = (page) => page): Promise<void> {
  const { port } = server;
  await server.stop();
  rewrite('index.html', (page) =>
    change(page)
      .replace(/<meta name="made"[^>]*>/, '')
      .replace('<head>', `<head><meta name="made" content="${name}">`),
  );
  rewrite('sw.js', (script) => script.replace(/(\{url:"index\.html",revision:")[^"]*/, `$1${name.padEnd(32, '0')}`));
  await serve(port);
}
const versionOf = (page: Page) =>
  page.evaluate(() => document.querySelector<HTMLMetaElement>('meta[name=made]')?.content ?? 'first');
const look = (page: Page) => page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.update());

async function open(page: Page): Promise<Bench> {
  await page.setViewport(DESKTOP);
  const bench = new Bench(page);
  await page.goto(`http://127.0.0.1:${server.port}/`);
  await page.waitForSelector('[data-line]');
  return bench;
}

let tries = 0;
it('is announced, and comes with a reload or a touch, with what was being written', async () => {
  tries += 1;
  const [second, third] = [`second-${tries}`, `third-${tries}`];
  const context = await browser.createBrowserContext();
  const bench = await open(await context.newPage());
  const { page } = bench;
  await page.waitForFunction(
    async () => (await navigator.serviceWorker.getRegistration())?.active?.state === 'activated',
  );
  await page.reload();
  await page.waitForSelector('[data-line]');
  expect(await page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);

  await renew(second);
  await bench.type(`sill: 3' 4" + 5`);
  await look(page);
  await page.waitForSelector('[data-test=version]');
  expect(await bench.text('[data-test=version] p')).toContain('A new Sprell is here.');
  expect(await bench.complaints()).toEqual([]);
  await bench.click('[data-test=later]');
  expect(await page.$('[data-test=version]')).toBeNull();
  expect(await versionOf(page)).not.toBe(second);
  await page.reload();
  // It may load again and again until nothing of the old one is under way: a wait inside of the page goes with each load.
  await vi.waitUntil(async () => (await versionOf(page).catch(() => undefined)) === second, { timeout: 30_000 });
  await page.waitForSelector('[data-line]');
  expect(await versionOf(page)).toBe(second);
  expect(await bench.text('[data-test=entry]')).toBe(`sill: 3' 4" + 5`);

  // With two windows open a reload stays with the version of the other; a touch moves on, and the other one says so.
  const other = await open(await context.newPage());
  await renew(third);
  await look(other.page);
  await other.page.waitForSelector('[data-test=load-version]');
  await other.page.reload();
  await other.page.waitForSelector('[data-test=load-version]');
  expect(await versionOf(other.page)).toBe(second);
  await Promise.all([other.page.waitForNavigation(), other.click('[data-test=load-version]')]);
  await other.page.waitForSelector('[data-line]');
  expect(await versionOf(other.page)).toBe(third);
  await page.bringToFront();
  await page.waitForFunction(() =>
    document.querySelector('[data-test=version]')?.textContent.includes('Load it here too'),
  );
  await Promise.all([page.waitForNavigation(), bench.click('[data-test=load-version]')]);
  await page.waitForSelector('[data-line]');
  expect(await versionOf(page)).toBe(third);
  expect(await bench.text('[data-test=entry]')).toBe(`sill: 3' 4" + 5`);
  await context.close();
});

it('is said where a part of the old one is gone, and where there is no signal for it', async () => {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  // As over plain http, where a browser keeps nothing.
  await page.evaluateOnNewDocument(() => {
    Object.defineProperty(Navigator.prototype, 'serviceWorker', { value: undefined });
  });
  const bench = await open(page);
  await page.setOfflineMode(true);
  await page.waitForFunction(() => document.querySelector('[data-test=keep-state]') !== null);
  await bench.room('/help');
  await page.waitForSelector('[data-test=version]');
  expect(await bench.text('[data-test=version] p')).toContain('the server cannot be reached');
  await bench.click('[data-test=later]');
  await page.setOfflineMode(false);
  const gone = readdirSync(join(root, 'assets')).filter((file) => file.startsWith('ScaleView-'));
  expect(gone.length).toBeGreaterThan(0);
  for (const file of gone) renameSync(join(root, 'assets', file), join(root, 'assets', `newer-${file}`));
  await renew('fourth', (html) => html.replace(/(src="\/assets\/index)-[^"]*\.js/, '$1-fourth.js'));
  await bench.room('/scales');
  await page.waitForSelector('[data-test=load-version]');
  expect(await bench.text('[data-test=version] p')).toContain('This page is of an older Sprell');
  await context.close();
});
