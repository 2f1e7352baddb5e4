/** Takes the pictures of docs/screenshots from the built application with the demo jobs: node e2e/screenshots.mjs */
import { mkdirSync } from 'node:fs';
import puppeteer from 'puppeteer-core';
import { buildServer, buildWeb } from '../tools/lib/build.mjs';
import { throwawayCluster } from '../tools/lib/cluster.mjs';
import { ensureChromium } from '../tools/lib/install.mjs';
import { at } from '../tools/lib/paths.mjs';
import { startServer } from '../tools/lib/server-process.mjs';

const ENTRY = `(12' 3 5/8" - 2 * 3 1/2") / 7`;

/** Each picture: its size, and what is done before it is taken. */
const PICTURES = [
  { name: 'bench', width: 1280, height: 800, prepare: (page) => page.type('[data-test=entry]', ENTRY) },
  {
    name: 'bench-whole-times',
    width: 1280,
    height: 800,
    prepare: (page) => page.type('[data-test=entry]', `hyp(24' 5"; 12') / 16"`),
  },
  {
    name: 'help',
    width: 1280,
    height: 800,
    prepare: async (page) => {
      await page.click('[href="/help"]');
      await page.waitForSelector('table');
    },
  },
  {
    name: 'bench-phone',
    width: 390,
    height: 844,
    phone: true,
    prepare: (page) => page.type('[data-test=entry]', ENTRY),
  },
];

await buildServer();
await buildWeb();
const executablePath = await ensureChromium();
const cluster = await throwawayCluster();
const server = await startServer({ databaseUrl: cluster.url, port: 0, demo: true });
const browser = await puppeteer.launch({
  executablePath,
  headless: true,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
try {
  mkdirSync(at('docs', 'screenshots'), { recursive: true });
  for (const { name, width, height, phone = false, prepare } of PICTURES) {
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    await page.setViewport({ width, height, isMobile: phone, hasTouch: phone });
    await page.goto(`http://127.0.0.1:${server.port}/`, { waitUntil: 'networkidle0' });
    await prepare(page);
    await page.screenshot({ path: at('docs', 'screenshots', `${name}.png`) });
    await context.close();
  }
} finally {
  await browser.close();
  await server.stop();
  await cluster.remove();
}
