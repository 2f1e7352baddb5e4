import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DESKTOP, launchBrowser, openBench, PHONE, type Bench } from '../fixtures/browser.ts';

/**
 * Hands that do not wait for the screen: what is touched right behind the last key acts on what was typed, whatever is
 * drawn by then and however slow the processor is. SPRELL_TRIES says how often: 108 are every act at every speed and pause.
 */
const TRIES = Number(process.env['SPRELL_TRIES'] ?? 36);

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
});

/** How many times slower the processor is, and how many milliseconds after the last key the act comes. */
const SPEEDS = [
  [6, 0],
  [4, 20],
  [1, 0],
  [4, 0],
  [6, 60],
  [1, 20],
  [6, 20],
  [4, 60],
  [1, 60],
] as const;
const speedOf = (round: number) => SPEEDS[round % SPEEDS.length] as (typeof SPEEDS)[number];
const ENTRY = '.hand [data-test=entry]';

/** The job that the demo opens, with its scales. */
const JOB = 'Bandstand, Quill Park';

/** A size that no other try has. */
const sizeOf = (attempt: number) => `${attempt + 1} ${2 * (attempt % 8) + 1}/16"`;

type Places = Readonly<Record<string, { x: number; y: number }>>;

interface Act {
  readonly what: string;
  /** What is typed; the size itself where nothing else is said. */
  readonly typed?: (size: string) => string;
  /** What is done behind the last key. */
  readonly act: (bench: Bench, at: Places, attempt: number) => Promise<void>;
  /** The lines that are to come of it. */
  readonly lines: (size: string, attempt: number) => readonly RegExp[];
  /** What is to be copied. */
  readonly copies?: (attempt: number) => string;
}

const quoted = (text: string) => text.replace(/[/+.]/g, '\\$&');
const only = (text: string) => new RegExp(`^${quoted(text)}$`);
const alt = async (bench: Bench, key: 'Equal' | 'Minus' | 'KeyK') => {
  await bench.page.keyboard.down('Alt');
  await bench.page.keyboard.press(key);
  await bench.page.keyboard.up('Alt');
};
const click = async (bench: Bench, at: Places, name: string) => {
  const place = at[name];
  if (place === undefined) throw new Error(`There is no ${name} to be touched.`);
  await bench.page.mouse.click(place.x, place.y);
};
const land = (bench: Bench) => bench.press('Enter');
/** Millimetres of a size, to the whole one that the bench shows. */
const millimetres = (attempt: number) => Math.round((attempt + 1 + (2 * (attempt % 8) + 1) / 16) * 25.4);

const ACTS: readonly Act[] = [
  { what: 'adds by key', act: (bench) => alt(bench, 'Equal'), lines: (size) => [only(`kb += ${size}`)] },
  { what: 'subtracts by key', act: (bench) => alt(bench, 'Minus'), lines: (size) => [only(`kb -= ${size}`)] },
  { what: 'adds by touch', act: (bench, at) => click(bench, at, 'add-on'), lines: (size) => [only(`kb += ${size}`)] },
  {
    what: 'subtracts by touch',
    act: (bench, at) => click(bench, at, 'knock-off'),
    lines: (size) => [only(`kb -= ${size}`)],
  },
  { what: 'lands', act: land, lines: (size) => [only(size)] },
  {
    what: 'lands behind a name that is suggested still',
    typed: (size) => `${size} + kb`,
    act: land,
    lines: (size) => [only(`${size} + kb`)],
  },
  {
    what: 'turns at the scale',
    act: (bench, at) => click(bench, at, 'other-side'),
    lines: (size) => [only(size), /^#\{[0-9a-f-]+\} \* /],
  },
  {
    what: 'stores under a name',
    act: async (bench, _, attempt) => {
      await alt(bench, 'KeyK');
      await bench.page.keyboard.type(`s${attempt}`);
      await bench.press('Enter');
      // The next one goes to the mark that was in hand before.
      await bench.click('[data-hold=kb]');
    },
    lines: (size, attempt) => [only(`s${attempt} = ${size}`)],
  },
  {
    what: 'uses a mark',
    typed: (size) => `${size} + `,
    act: async (bench, at) => {
      await click(bench, at, 'kb');
      await bench.page.focus(ENTRY);
      await land(bench);
    },
    lines: (size) => [only(`${size} + kb`)],
  },
  {
    what: 'copies',
    act: async (bench, at) => {
      await click(bench, at, 'copy');
      await bench.page.focus(ENTRY);
      await land(bench);
    },
    lines: (size) => [only(size)],
    copies: (attempt) => {
      const inches = attempt + 1;
      const feet = Math.floor(inches / 12);
      return `${feet > 0 ? `${feet}' ` : ''}${inches % 12 > 0 ? `${inches % 12} ` : ''}${2 * (attempt % 8) + 1}/16"`;
    },
  },
  {
    what: 'copies in another unit',
    act: async (bench, at) => {
      // Where it is not drawn yet there is nothing to touch, and nothing is copied.
      await click(bench, at, 'also');
      await bench.page.focus(ENTRY);
      await land(bench);
    },
    lines: (size) => [only(size)],
    copies: (attempt) => `${millimetres(attempt)} mm`,
  },
  {
    what: 'chooses how it reads',
    act: async (bench, at) => {
      await click(bench, at, 'finest');
      await bench.page.waitForSelector('[data-option="32"]');
      await bench.page.$eval('[data-option="32"]', (option) => (option as HTMLElement).click());
      await bench.page.focus(ENTRY);
      await land(bench);
    },
    lines: (size) => [only(`${size} to 1/32`)],
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
interface JobAnswer {
  readonly lines: readonly JobLine[];
  readonly marks: readonly { readonly id: string; readonly name: string }[];
}

async function linesOf(bench: Bench, title: string): Promise<readonly JobLine[]> {
  await bench.kept();
  const jobs = await bench.ask<readonly { id: string; title: string }[]>('/api/jobs');
  const id = jobs.find((job) => job.title === title)?.id ?? '';
  const { lines, marks } = await bench.ask<JobAnswer>(`/api/jobs/${id}`);
  const names = new Map(marks.map((mark) => [mark.id, mark.name]));
  /** Marks by their names, as they are read. */
  const shown = (source: string) =>
    source.replace(/@\{([^}]*)\}/g, (_, mark: string) => names.get(mark) ?? 'mark_gone');
  return lines
    .map((line) => ({ ...line, source: shown(line.source) }))
    .filter(({ number }) => number !== null)
    .sort((a, b) => (a.number ?? 0) - (b.number ?? 0));
}

describe('a hand in a hurry', () => {
  it(
    'posts, lands and turns what it typed, at every speed of the processor',
    { timeout: 120_000 + TRIES * 2_000 },
    async () => {
      const bench = await openBench(browser, DESKTOP);
      // Nothing else of the page uses the clipboard: what is copied is noted here.
      await bench.page.evaluateOnNewDocument(() => {
        const copied: string[] = [];
        Object.assign(globalThis, { copied });
        Object.defineProperty(navigator, 'clipboard', {
          value: { writeText: (text: string) => Promise.resolve(void copied.push(text)) },
        });
        Object.assign(document, {
          execCommand: () => {
            copied.push((document.activeElement as HTMLTextAreaElement).value);
            return true;
          },
        });
      });
      await bench.goto();
      await bench.land(`kb = 400'`);
      await bench.says('[data-test=held]', `kb 400′`);
      await bench.room('/scales');
      await bench.click('[data-test=take-scale]');
      await bench.room('/');
      await bench.page.waitForSelector('[data-test=scale-strip]');
      const before = (await linesOf(bench, JOB)).length;
      await bench.page.focus(ENTRY);
      await bench.page.keyboard.type('1"');
      await bench.drawn();
      const at = await places(bench, 'add-on', 'knock-off', 'other-side', 'copy', 'also', 'finest');
      const kb = await (await bench.page.$('[data-mark=kb]'))?.boundingBox();
      if (kb) at['kb'] = { x: kb.x + 20, y: kb.y + kb.height / 2 };
      await bench.clear();
      await bench.page.focus(ENTRY);

      const session = await bench.page.createCDPSession();
      const wanted: (readonly [string, RegExp])[] = [];
      const copies: string[] = [];
      for (let attempt = 0; attempt < TRIES; attempt += 1) {
        const one = ACTS[attempt % ACTS.length] as Act;
        const [rate, pause] = speedOf(Math.floor(attempt / ACTS.length));
        await session.send('Emulation.setCPUThrottlingRate', { rate });
        const size = sizeOf(attempt);
        await bench.page.keyboard.type(one.typed?.(size) ?? size);
        if (pause > 0) await new Promise((resolve) => setTimeout(resolve, pause));
        await one.act(bench, at, attempt);
        await bench.page.focus(ENTRY);
        for (const line of one.lines(size, attempt)) wanted.push([`${one.what}: ${size}, ÷${rate}, ${pause} ms`, line]);
        if (one.copies) copies.push(one.copies(attempt));
      }
      await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
      const came = (await linesOf(bench, JOB)).slice(before).map(({ source }) => source);
      const wrong = wanted.flatMap(([what, line], index) =>
        line.test(came[index] ?? '') ? [] : [`${what} came ${came[index]}`],
      );
      expect(wrong).toEqual([]);
      expect(came).toHaveLength(wanted.length);
      const copied = await bench.page.evaluate(() => (globalThis as unknown as { copied: string[] }).copied);
      expect(copied.filter((text) => !copies.includes(text))).toEqual([]);
      const ofTheReading = copies.filter((text) => !text.endsWith('mm'));
      expect(copied.filter((text) => !text.endsWith('mm'))).toEqual(ofTheReading);
      expect(bench.errors).toEqual([]);
    },
  );

  it('puts on the slate what it gave a shape, at every speed of the processor', async () => {
    const bench = await openBench(browser, DESKTOP);
    const before = (await linesOf(bench, JOB)).length;
    await bench.page.goto(`${new URL(bench.page.url()).origin}/setting-out/right-triangle`);
    const run = '[data-field=run] input';
    await bench.fill('[data-field=rise] input', `9'`);
    await bench.fill(run, `12'`);
    await bench.page.waitForSelector('[data-answer=diagonal] [data-test=to-slate]');
    const box = await (await bench.page.$('[data-answer=diagonal] [data-test=to-slate]'))?.boundingBox();
    if (!box) throw new Error('There is nothing to put the diagonal on the slate by.');
    const session = await bench.page.createCDPSession();
    const wanted: string[] = [];
    for (let attempt = 0; attempt < SPEEDS.length; attempt += 1) {
      const [rate, pause] = speedOf(attempt);
      await session.send('Emulation.setCPUThrottlingRate', { rate });
      await bench.page.locator(run).click({ count: 3 });
      await bench.page.keyboard.type(`${attempt + 20}'`);
      await new Promise((resolve) => setTimeout(resolve, pause));
      await bench.page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
      wanted.push(`hyp(9'; ${attempt + 20}')`);
    }
    await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    // What was put on the slate is written down before the page goes.
    await bench.kept();
    await bench.page.goto(`${new URL(bench.page.url()).origin}/`);
    await bench.page.waitForSelector('[data-line]');
    expect((await linesOf(bench, JOB)).slice(before).map(({ source }) => source)).toEqual(wanted);
    expect(bench.errors).toEqual([]);
  });

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
