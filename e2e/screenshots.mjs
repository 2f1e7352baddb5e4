/* global URL, document, fetch, localStorage, setTimeout */
/** Takes the pictures of docs/screenshots from the built application with the demo jobs: node e2e/screenshots.mjs */
import { mkdirSync } from 'node:fs';
import puppeteer from 'puppeteer-core';
import { buildServer, buildWeb } from '../tools/lib/build.mjs';
import { throwawayCluster } from '../tools/lib/cluster.mjs';
import { ensureChromium } from '../tools/lib/install.mjs';
import { at } from '../tools/lib/paths.mjs';
import { startServer } from '../tools/lib/server-process.mjs';

const ENTRY = `(12' 3 5/8" - 2 * 3 1/2") / 7`;
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844, phone: true };

const write = (entry) => async (page) => {
  await page.focus('.hand [data-test=entry]');
  await page.keyboard.type(entry);
};
/** Touches the words of a line, so that it is edited. */
const writeAnew = (number) => async (page) => {
  await page.evaluate((line) => {
    const list = document.querySelector('.lines');
    list?.scrollTo(0, line * 58);
  }, number);
  await page.waitForSelector(`[data-line="${number}"] .body`);
  await page.click(`[data-line="${number}"] .body`);
};

/** Everything is there and kept; the stream of the job goes on for ever, so that the network is never idle. */
const settled = async (page) => {
  await page.waitForFunction(() => document.querySelector('[data-test=keep-state]')?.textContent === 'saved');
  await new Promise((resolve) => setTimeout(resolve, 1500));
};

/** Another screen, and what is done there. */
const screen =
  (path, then = async () => undefined) =>
  async (page) => {
    await page.goto(new URL(path, page.url()).href);
    await settled(page);
    await then(page);
  };
const takeScale = async (page) => {
  await page.click('[data-scale="Old drawings"] [data-test=take-scale]');
};

const openKept = (name) => async (page) => {
  await page.click(`[data-kept="${name}"]`);
  await page.waitForSelector(`[data-kept="${name}"].chosen`);
};

/** A field that is written in, by the keys along the lower edge. */
const withKeys = async (page) => {
  await openKept('Arch between two posts')(page);
  await page.tap('[data-field=radius] input');
  await page.waitForSelector('[data-test=dock]');
};

/** Every shape that the demo jobs keep, its drawing with its sizes, on one sheet. */
const allShapes = async (page) => {
  const ids = await page.evaluate(async () => (await (await fetch('/api/jobs')).json()).map(({ id }) => id));
  const drawn = new Map();
  for (const id of ids) {
    await page.evaluate((job) => localStorage.setItem('sprell.job', JSON.stringify(job)), id);
    await screen('/setting-out/circle')(page);
    for (const name of await page.$$eval('[data-kept]', (all) => all.map(({ dataset }) => dataset.kept))) {
      await openKept(name)(page);
      await page.waitForSelector('.figure .words');
      const shape = await page.$eval('[data-test=shapes] b', ({ textContent }) => textContent.trim());
      if (drawn.has(shape)) continue;
      const figure = await page.$('.figure');
      drawn.set(shape, { name, picture: await figure?.screenshot({ encoding: 'base64' }) });
    }
  }
  const cards = [...drawn].map(
    ([shape, { name, picture }]) =>
      `<figure><img src="data:image/png;base64,${picture}"><figcaption><b>${shape}</b> ${name}</figcaption></figure>`,
  );
  // A page of its own: what the application forbids itself, an inline style among it, is not forbidden here.
  await page.goto('about:blank');
  await page.setContent(`<style>
    body { margin: 12px; display: grid; grid-template-columns: repeat(5, 1fr); gap: 10px; background: #efe4d0;
      font: 13px sans-serif; color: #24262b }
    figure { margin: 0; background: #faf5ea } img { display: block; width: 100% } figcaption { padding: 5px 8px }
  </style>${cards.join('')}`);
};

/** Each picture: its size, its look, and what is done before it is taken. */
const PICTURES = [
  { name: 'bench', ...DESK, prepare: write(ENTRY) },
  { name: 'bench-night', ...DESK, look: 'night', prepare: writeAnew(17) },
  {
    name: 'jobs',
    ...DESK,
    prepare: screen('/jobs', async (page) => {
      await page.click('[data-test=begin-job]');
      await page.waitForSelector('[data-test=job-form]');
    }),
  },
  { name: 'bench-phone', ...PHONE, prepare: write(ENTRY) },
  { name: 'stick', ...DESK, prepare: screen('/stick') },
  {
    name: 'stick-print',
    ...DESK,
    prepare: screen('/stick', async (page) => {
      await page.click('[data-test=show-print]');
    }),
  },
  { name: 'job-sheet', ...DESK, prepare: screen('/paper') },
  { name: 'setting-out', ...DESK, prepare: screen('/setting-out/rafter', openKept('Common rafters')) },
  { name: 'setting-out-phone', ...PHONE, prepare: screen('/setting-out/arc', withKeys) },
  { name: 'setting-out-shapes', width: 1280, height: 1090, prepare: allShapes },
  {
    name: 'scales',
    ...DESK,
    prepare: screen('/scales', async (page) => {
      await takeScale(page);
      for (const run of ['2 5/8"', '1 3/16"', '4"']) {
        await page.type('[data-test=run] input', run);
        await page.keyboard.press('Enter');
      }
      await page.type('[data-test=bar] input', '2 15/32"');
      await page.type('[data-test=bar-says] input', "10'");
    }),
  },
  {
    name: 'quantities',
    ...DESK,
    prepare: screen('/quantities', async (page) => {
      await page.click('[data-item="Joists"] [data-column=length]');
      await page.waitForSelector('[data-test=row-says]');
    }),
  },
  {
    name: 'quantities-phone',
    ...PHONE,
    prepare: screen('/quantities', async (page) => {
      await page.waitForSelector('[data-card]');
    }),
  },
  {
    name: 'jigs',
    ...DESK,
    prepare: screen('/jigs', async (page) => {
      await page.click('[data-jig=decking]');
      await page.waitForSelector('[data-answer=boards]');
      await page.type('[data-field=width] input', 'rail');
      await page.type('[data-field=run] input', `12' 6"`);
    }),
  },
  {
    name: 'tables',
    ...DESK,
    prepare: screen('/tables', async (page) => {
      await page.type('[data-field=any] input', '238 mm');
      await page.waitForSelector('[data-test=near]');
    }),
  },
  {
    name: 'spoken',
    ...DESK,
    prepare: async (page) => {
      await page.evaluate(() => localStorage.setItem('sprell.spoken', '{"ear":"practice","aloud":"off"}'));
      await page.reload();
      await settled(page);
      await page.click('[data-test=speak]');
      for (const phrase of [
        'nine foot seven and a quarter plus two foot nine and three eighths',
        'divide that by seven',
      ]) {
        await page.waitForSelector('[data-test=say]');
        await page.type('[data-test=say]', phrase);
        await page.keyboard.press('Enter');
      }
      await page.waitForSelector('[data-test=heard-reading]');
    },
  },
  {
    name: 'account',
    ...DESK,
    prepare: screen('/account', async (page) => {
      await page.click('[data-test=make-code]');
      await page.waitForSelector('[data-test=device-code]');
    }),
  },
  {
    name: 'comfort',
    ...DESK,
    prepare: async (page) => {
      await page.click('[data-test=comfort]');
      await page.waitForSelector('[data-test=comfort-gloves]');
    },
  },
  {
    name: 'help',
    ...DESK,
    prepare: async (page) => {
      await page.click('nav [data-room="/help"]');
      await page.waitForSelector('[data-page="left-of-a-board"]');
      await page.click('[data-page="left-of-a-board"]');
      await page.waitForSelector('[data-try]');
    },
  },
];

/** Nobody who is shown a picture is new here. */
const HINTS_SEEN = ['fraction', 'use', 'finest', 'keep', 'edit'];

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
  for (const { name, width, height, phone = false, look = 'timber', prepare } of PICTURES) {
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    await page.setViewport({ width, height, isMobile: phone, hasTouch: phone });
    await page.evaluateOnNewDocument(
      (comfort) => localStorage.setItem('sprell.comfort', comfort),
      JSON.stringify({ look, hintsSeen: HINTS_SEEN }),
    );
    await page.goto(`http://127.0.0.1:${server.port}/`);
    await page.waitForSelector('[data-line]');
    await settled(page);
    await prepare(page);
    await new Promise((resolve) => setTimeout(resolve, 800));
    await page.screenshot({ path: at('docs', 'screenshots', `${name}.png`) });
    await context.close();
  }
} finally {
  await browser.close();
  await server.stop();
  await cluster.remove();
}
