/// <reference lib="dom" />
/**
 * The bench, and a cell of a list, in a browser: from a key to the painted reading with the processor slowed four times, on a job of 1,000 lines;
 * the first load over a slow mobile network; the size of the first screen's script.
 */
import { fileURLToPath } from 'node:url';
import { PredefinedNetworkConditions, type Browser, type CDPSession, type Page } from 'puppeteer-core';
import { build } from 'vite';
import { NEW_ITEM } from '../../contract/src/index.ts';
import { anId, ask, launch, share, spread, startApplication } from './application.ts';

const LINES = 1000;
const ROWS = 1000;
const SLOWED = 4;
/** What is typed, key by key: sizes, fractions, lines of the job, an error on the way. */
const TYPED = [
  `9'-7 1/4" + 2' 9 3/8" `,
  `(#12 + #700) / 2 - 3/16"`,
  `hyp(12' 4"; 8' 3 1/2") `,
  `sum(#1..#400) / 7 + 2.4 m`,
  `#999 * 3 + 1/3 of 7' 6"`,
];

/** Fills the first job of a page's guest up to 1,000 lines, a third of which use earlier ones. */
async function fillJob(page: Page): Promise<string> {
  const jobs = (await ask(page, '/api/jobs')) as { id: string; lines: number }[];
  const job = jobs[0] as { id: string; lines: number };
  const ids: string[] = [];
  const adds = Array.from({ length: LINES - job.lines }, (_, n) => {
    const number = job.lines + n + 1;
    ids.push(anId());
    const used = ids[Math.floor(n / 2)];
    return {
      id: anId(),
      kind: 'line.add',
      lineId: ids[n],
      number,
      position: `b${n.toString(36).padStart(4, '0')}V`,
      source: n % 3 === 2 ? `#{${used}} + ${n % 11} 3/16"` : `${n % 40}' ${n % 12} 5/8" * ${(n % 4) + 1}`,
      label: n % 5 === 0 ? `piece ${number}` : null,
      note: '',
    };
  });
  for (let at = 0; at < adds.length; at += 200) {
    await ask(page, `/api/jobs/${job.id}/changes`, { changes: adds.slice(at, at + 200) });
  }
  return job.id;
}

/** Rows of the list of quantities: each names a line of the job, and has a price. */
async function fillList(page: Page, jobId: string): Promise<void> {
  const adds = Array.from({ length: ROWS }, (_, n) => ({
    id: anId(),
    kind: 'thing.add',
    of: 'item',
    thingId: anId(),
    content: {
      ...NEW_ITEM,
      name: `Board ${n}`,
      measure: 'run',
      count: `${(n % 9) + 1}`,
      length: `${(n % 14) + 6}' ${n % 12} 5/8"`,
      waste: '8%',
      price: '$3.85',
      per: 'ft',
      position: `b${n.toString(36).padStart(4, '0')}V`,
    },
  }));
  for (let at = 0; at < adds.length; at += 200)
    await ask(page, `/api/jobs/${jobId}/changes`, { changes: adds.slice(at, at + 200) });
}

interface TraceEvent {
  readonly name: string;
  readonly ph: string;
  readonly ts: number;
  readonly dur?: number;
  readonly tid: number;
  readonly pid: number;
  readonly args?: { readonly data?: { readonly type?: string } };
}

/**
 * Milliseconds of work of the page's thread from each key to the end of the frame that shows its reading: every task in
 * between, drawing included. Waiting for the screen's next beat is not in it.
 */
async function keyToReading(page: Page, entry: string): Promise<readonly number[]> {
  const cdp: CDPSession = await page.createCDPSession();
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  await page.tracing.start({ categories: ['devtools.timeline', 'toplevel'] });
  for (const text of TYPED) {
    await page.focus(entry);
    for (const sign of text) {
      await page.keyboard.sendCharacter(sign);
      await new Promise((resolve) => setTimeout(resolve, 120));
    }
    await page.keyboard.down('Control');
    await page.keyboard.press('a');
    await page.keyboard.up('Control');
    await page.keyboard.press('Backspace');
    await new Promise((resolve) => setTimeout(resolve, 900));
  }
  const trace = (await page.tracing.stop()) as Uint8Array;
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  const { traceEvents } = JSON.parse(new TextDecoder().decode(trace)) as { traceEvents: TraceEvent[] };
  const inputs = traceEvents.filter(({ name, args }) => name === 'EventDispatch' && args?.data?.type === 'input');
  const { pid, tid } = inputs[0] as TraceEvent;
  const own = traceEvents.filter((event) => event.pid === pid && event.tid === tid && event.ph === 'X');
  const tasks = own.filter(({ name }) => name === 'RunTask' || name === 'ThreadControllerImpl::RunTask');
  const frames = own.filter(({ name }) => name === 'Commit' || name === 'Paint');
  return inputs.map(({ ts }) => {
    // The task that the key came in, to the end of the task that draws.
    const first = tasks.find((task) => task.ts <= ts && task.ts + (task.dur ?? 0) >= ts);
    const drawn = frames.find((frame) => frame.ts > ts);
    const start = first?.ts ?? ts;
    const end = drawn === undefined ? ts : drawn.ts + (drawn.dur ?? 0);
    return (
      tasks.filter((task) => task.ts >= start && task.ts <= end).reduce((sum, task) => sum + (task.dur ?? 0), 0) / 1000
    );
  });
}

/** What a page can do at the least: a line that can be written in, and its text said again beneath. */
const FLOOR = `<!doctype html><body style="font: 20px sans-serif"><div contenteditable id="entry">x</div><p id="said"></p>
<script>entry.addEventListener('input', () => { said.textContent = entry.textContent })</script>`;

/** The same with the editor and the library that the bench is made with, as one script. */
async function stackPage(): Promise<string> {
  const built = await build({
    configFile: false,
    logLevel: 'error',
    define: { 'process.env.NODE_ENV': '"production"' },
    build: {
      write: false,
      lib: {
        entry: fileURLToPath(new URL('../../benchmarks/src/stack-page.ts', import.meta.url)),
        formats: ['iife'],
        name: 'page',
      },
    },
  });
  const [{ output }] = built as unknown as readonly [{ output: readonly { readonly code?: string }[] }];
  return `<!doctype html><body style="font: 20px sans-serif"><div id="entry"></div><div id="said"></div>
<script>${(output[0]?.code ?? '').replaceAll('</script', '<\\/script')}</script>`;
}

interface FirstLoad {
  /** Milliseconds until an entry can be written and is read; until the lines of the job are shown. */
  readonly usable: number;
  readonly lines: number;
  /** Bytes of script on the wire, those before the bench can be used, and those loaded lazily. */
  readonly script: number;
  readonly behind: number;
}

async function firstLoad(browser: Browser, address: string): Promise<FirstLoad> {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
  await page.emulateNetworkConditions(PredefinedNetworkConditions['Slow 4G']);
  await page.evaluateOnNewDocument(() => {
    const seen: Record<string, number> = {};
    Object.assign(window, { seen });
    const look = () => {
      // A key of the bench is touched as soon as there is one; its reading shows that the bench can be used.
      const key = document.querySelector<HTMLElement>('[data-key="7"]');
      if (key && seen['touched'] === undefined && document.querySelector('.hand [data-test=entry]')) {
        seen['touched'] = performance.now();
        key.click();
      }
      if (seen['usable'] === undefined && document.querySelector('[data-test=reading]')?.textContent.trim() === '7')
        seen['usable'] = performance.now();
      if (seen['lines'] === undefined && document.querySelector('[data-line]')) seen['lines'] = performance.now();
    };
    new MutationObserver(look).observe(document, { childList: true, subtree: true, characterData: true });
  });
  const cdp = await page.createCDPSession();
  await cdp.send('Network.enable');
  const scripts = new Map<string, string>();
  const sizes = new Map<string, number>();
  cdp.on('Network.responseReceived', ({ requestId, type, response }) => {
    if (type === 'Script' || response.mimeType.includes('javascript')) scripts.set(requestId, response.url);
  });
  cdp.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => sizes.set(requestId, encodedDataLength));
  await page.goto(address, { waitUntil: 'load', timeout: 60_000 });
  await page.waitForFunction(() => 'lines' in (window as unknown as { seen: object }).seen, { timeout: 60_000 });
  await new Promise((resolve) => setTimeout(resolve, 3000));
  const { usable = NaN, lines = NaN } = await page.evaluate(
    () => (window as unknown as { seen: Record<string, number> }).seen,
  );
  // What the page itself names is needed at once; everything else is asked for by the script.
  const named = await page.evaluate(async () => {
    const html = (await (await fetch('/')).text()).replace(/<link[^>]*data-behind[^>]*>/g, '');
    return [...html.matchAll(/(?:src|href)="([^"]+\.js)"/g)].map(([, path]) => path ?? '');
  });
  let script = 0;
  let behind = 0;
  for (const [id, url] of scripts) {
    const size = sizes.get(id) ?? 0;
    if (named.some((path) => url.endsWith(path))) script += size;
    else behind += size;
  }
  await context.close();
  return { usable, lines, script, behind };
}

const running = await startApplication();
const [address = ''] = running.addresses;
const browser = await launch();
try {
  const floorPage = await browser.newPage();
  const stack = await browser.newPage();
  const page = await browser.newPage();
  const list = await browser.newPage();
  const pages = [
    { page: floorPage, entry: '#entry', says: 'a bare page that says the text again', times: [] as number[] },
    { page: stack, entry: '.cm-content', says: 'a page of the editor and Vue alone', times: [] as number[] },
    { page, entry: '.hand [data-test=entry]', says: `the bench, ${LINES} lines`, times: [] as number[] },
    { page: list, entry: '.editor input', says: `a cell of a list of ${ROWS} rows`, times: [] as number[] },
  ];
  for (const one of pages) await one.page.setViewport({ width: 1280, height: 800 });
  await floorPage.setContent(FLOOR);
  await stack.setContent(await stackPage());
  // A page behind another is not drawn.
  await page.bringToFront();
  await page.goto(address);
  await page.waitForSelector('[data-line]');
  const jobId = await fillJob(page);
  await fillList(page, jobId);
  await page.reload();
  await page.waitForSelector(`[data-line="${LINES}"]`);
  await page.waitForSelector('.hand .cm-content');
  await list.bringToFront();
  await list.goto(`${address}/quantities`);
  await list.waitForSelector('[data-item]');
  await list.waitForFunction(
    (rows) => Number.parseInt(document.querySelector('[data-test=totals] .notes')?.textContent ?? '') >= rows,
    {},
    ROWS,
  );
  // In turn, so that what else the machine does falls on all.
  for (let round = 0; round < 2; round += 1)
    for (const one of pages) {
      await one.page.bringToFront();
      // A cell is left when another page comes to the front.
      if (one.page === list) {
        await list.click('[data-item] [data-column=length]');
        await list.keyboard.press('F2');
        await list.waitForSelector(one.entry);
      }
      one.times.push(...(await keyToReading(one.page, one.entry)));
    }
  const [floorHalf, floorMost] = spread(pages[0]?.times ?? []);
  const [benchHalf] = spread(pages[2]?.times ?? []);
  console.log(`\nA key, to its painted reading: the processor slowed ${SLOWED} times (a frame is 16.7 ms)`);
  for (const { says, times } of pages) {
    const [half, most] = spread(times);
    const ratio = `${(half / floorHalf).toFixed(1)} and ${(most / floorMost).toFixed(1)} times the bare page`;
    console.log(
      `  ${says}: ${times.length} keys, half within ${half.toFixed(1)} ms, 95 % within ${most.toFixed(1)} ms, ${ratio}`,
    );
  }
  const [cellHalf] = spread(pages[3]?.times ?? []);
  console.log(`  a key in the cell takes ${(cellHalf / benchHalf).toFixed(2)} times the same key on the bench`);
  for (const one of pages) await one.page.close();

  const loads: FirstLoad[] = [];
  for (let round = 0; round < 3; round += 1) loads.push(await firstLoad(browser, address));
  const median = (of: (load: FirstLoad) => number) =>
    share(
      loads.map(of).sort((a, b) => a - b),
      0.5,
    );
  console.log('\nFirst load over a slow mobile network (180 kB/s, 563 ms there and back), nothing in the cache');
  console.log(`  an entry can be written and is read after ${(median((load) => load.usable) / 1000).toFixed(2)} s`);
  console.log(`  the lines of the job are shown after ${(median((load) => load.lines) / 1000).toFixed(2)} s`);
  console.log(`  script of the first screen ${Math.round(median((load) => load.script) / 1000)} kB on the wire`);
  console.log(`  script loaded lazily ${Math.round(median((load) => load.behind) / 1000)} kB`);
} finally {
  await browser.close();
  await running.stop();
}
