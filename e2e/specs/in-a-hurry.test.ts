import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DESKTOP, launchBrowser, openBench, PHONE, type Bench } from '../fixtures/browser.ts';

/**
 * Hands that do not wait for the screen: what is touched right behind the last key acts on what was typed, whatever is
 * drawn by then and however slow the processor is. SPRELL_TRIES says how often.
 */
const TRIES = Number(process.env['SPRELL_TRIES'] ?? 72);

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
});

const SLOWER = [1, 4, 6];
const BEHIND = [0, 20, 60];
const ENTRY = '.hand [data-test=entry]';

/** The job that the demo opens, with its scales. */
const JOB = 'Bandstand, Quill Park';

/** A size that no other try has. */
const sizeOf = (attempt: number) => `${attempt + 1} ${2 * (attempt % 8) + 1}/16"`;

interface Act {
  readonly what: string;
  /** What is done behind the last key. */
  readonly act: (bench: Bench, at: Readonly<Record<string, { x: number; y: number }>>) => Promise<void>;
  /** The lines that are to come of it. */
  readonly lines: (size: string) => readonly RegExp[];
}

const quoted = (size: string) => size.replace(/[/"]/g, '\\$&');
const alt = async (bench: Bench, key: 'Equal' | 'Minus') => {
  await bench.page.keyboard.down('Alt');
  await bench.page.keyboard.press(key);
  await bench.page.keyboard.up('Alt');
};
const click =
  (name: string): Act['act'] =>
  async (bench, at) => {
    const place = at[name];
    if (place === undefined) throw new Error(`There is no ${name} to be touched.`);
    await bench.page.mouse.click(place.x, place.y);
  };

const ACTS: readonly Act[] = [
  {
    what: 'adds by key',
    act: (bench) => alt(bench, 'Equal'),
    lines: (size) => [new RegExp(`^kb \\+= ${quoted(size)}$`)],
  },
  {
    what: 'subtracts by key',
    act: (bench) => alt(bench, 'Minus'),
    lines: (size) => [new RegExp(`^kb -= ${quoted(size)}$`)],
  },
  { what: 'adds by touch', act: click('add-on'), lines: (size) => [new RegExp(`^kb \\+= ${quoted(size)}$`)] },
  { what: 'subtracts by touch', act: click('knock-off'), lines: (size) => [new RegExp(`^kb -= ${quoted(size)}$`)] },
  { what: 'lands', act: (bench) => bench.press('Enter'), lines: (size) => [new RegExp(`^${quoted(size)}$`)] },
  {
    what: 'turns at the scale',
    act: click('other-side'),
    lines: (size) => [new RegExp(`^${quoted(size)}$`), /^#\{[0-9a-f-]+\} \* /],
  },
];

async function places(bench: Bench, ...names: readonly string[]) {
  const found: Record<string, { x: number; y: number }> = {};
  for (const name of names) {
    const box = await (await bench.page.waitForSelector(`[data-test=${name}]`))?.boundingBox();
    if (box) found[name] = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  }
  return found;
}

interface JobLine {
  readonly number: number | null;
  readonly kind: string;
  readonly source: string;
  readonly label: string | null;
}

/** Lines of the job that is open, as the server has them. */
async function linesOf(bench: Bench, title: string): Promise<readonly JobLine[]> {
  await bench.kept();
  const jobs = await bench.ask<readonly { id: string; title: string }[]>('/api/jobs');
  const id = jobs.find((job) => job.title === title)?.id ?? '';
  const { lines } = await bench.ask<{ lines: readonly JobLine[] }>(`/api/jobs/${id}`);
  return lines.filter(({ number }) => number !== null).sort((a, b) => (a.number ?? 0) - (b.number ?? 0));
}

describe('a hand in a hurry', () => {
  it(
    'posts, lands and turns what it typed, at every speed of the processor',
    { timeout: 120_000 + TRIES * 2_000 },
    async () => {
      const bench = await openBench(browser, DESKTOP);
      await bench.land(`kb = 400'`);
      await bench.says('[data-test=held]', `kb 400′`);
      await bench.click('a[href="/scales"]');
      await bench.click('[data-test=take-scale]');
      await bench.click('a[href="/"]');
      await bench.page.waitForSelector('[data-test=scale-strip]');
      const before = (await linesOf(bench, JOB)).length;
      await bench.page.focus(ENTRY);
      await bench.page.keyboard.type('1"');
      await bench.drawn();
      const at = await places(bench, 'add-on', 'knock-off', 'other-side');
      await bench.clear();
      await bench.page.focus(ENTRY);

      const session = await bench.page.createCDPSession();
      const wanted: (readonly [string, RegExp])[] = [];
      for (let attempt = 0; attempt < TRIES; attempt += 1) {
        const rate = SLOWER[attempt % SLOWER.length] as number;
        const pause = BEHIND[Math.floor(attempt / SLOWER.length) % BEHIND.length] as number;
        const one = ACTS[Math.floor(attempt / (SLOWER.length * BEHIND.length)) % ACTS.length] as Act;
        await session.send('Emulation.setCPUThrottlingRate', { rate });
        const size = sizeOf(attempt);
        await bench.page.keyboard.type(size);
        if (pause > 0) await new Promise((resolve) => setTimeout(resolve, pause));
        await one.act(bench, at);
        await bench.page.focus(ENTRY);
        for (const line of one.lines(size)) wanted.push([`${one.what}: ${size}, ÷${rate}, ${pause} ms`, line]);
      }
      await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
      const came = (await linesOf(bench, JOB)).slice(before).map(({ source }) => source);
      const wrong = wanted.flatMap(([what, line], index) =>
        line.test(came[index] ?? '') ? [] : [`${what} came ${came[index]}`],
      );
      expect(wrong).toEqual([]);
      expect(came).toHaveLength(wanted.length);
      expect(bench.errors).toEqual([]);
    },
  );

  it('has its touches counted once each, twice where it touches twice', async () => {
    const bench = await openBench(browser, PHONE);
    await bench.land(`kc = 10'`);
    const before = (await linesOf(bench, JOB)).length;
    const session = await bench.page.createCDPSession();
    await session.send('Emulation.setCPUThrottlingRate', { rate: 6 });
    const at = async (selector: string) => {
      const box = await (await bench.page.waitForSelector(selector))?.boundingBox();
      if (!box) throw new Error(`There is no ${selector}.`);
      return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    };
    const [seven, inch, add] = [await at('[data-key="7"]'), await at('[data-key="″"]'), await at('[data-test=add-on]')];
    for (const { x, y } of [seven, seven, inch, add, add]) await bench.page.touchscreen.tap(x, y);
    await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    // The second one finds an empty entry: the last posting again. Neither has moved under the finger.
    await bench.says('[data-test=held]', `kc 22′ 10″`);
    const came = (await linesOf(bench, JOB)).slice(before).map(({ source }) => source);
    expect(came).toEqual(['kc += 77″', 'kc += 77″']);
    expect(bench.errors).toEqual([]);
  });
});
