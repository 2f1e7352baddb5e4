import { JOB_FILE_LIMIT, jobFileOf, thingsOf, type JobWire } from '@sprell/contract';
import { readQuantity } from '@sprell/core';
import { SHIPPED_JIGS } from '@sprell/core/jig';
import { unzipSync } from 'fflate';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { deviceHere } from '../adapters/device.ts';
import { newDevice } from '../testing/fake-server.ts';
import { ALL_PARTS } from './job-parts.ts';
import { Jobs } from './jobs.ts';
import { countsOf, fileOf, insideOf, mergeInto, takeIn, whyNotInto, zipOf } from './job-files.ts';
import { insideOfOpen } from './job-inside.ts';
import { readJobFile } from './read-job-file.ts';

let jobs: Jobs;
beforeAll(async () => {
  await Promise.all([import('../adapters/job-server.ts'), import('./new-job.ts')]);
});
beforeEach(async () => {
  vi.useFakeTimers();
  localStorage.clear();
  newDevice();
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
  jobs = new Jobs(deviceHere());
  await jobs.start();
});
afterEach(async () => {
  await vi.advanceTimersByTimeAsync(50);
  jobs.dispose();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const readingOf = (label: string) => {
  const row = jobs.open.slate.rows.find(({ line }) => line.label === label);
  return row?.kind === 'worked' && row.worked.result.ok && row.worked.result.quantity
    ? readQuantity(row.worked.result.quantity).text
    : undefined;
};
const textOf = async (id: string) => {
  const here = await jobs.here(id);
  return here ? fileOf(here) : '';
};
async function wireOf(text: string): Promise<JobWire> {
  const read = await readJobFile(new Blob([text]));
  if (!read.ok) throw new Error(read.problem.sentence);
  return read.value;
}
const insideOfWire = (wire: JobWire) => insideOf({ head: wire as never, lines: wire.lines, things: thingsOf(wire) });

/** A job with marks, a scale, a jig and a row. */
async function makeDeck(): Promise<string> {
  const id = await jobs.make({ title: 'Deck', reading: jobs.open.head?.reading as never, fields: { currency: '€' } });
  const { open } = jobs;
  open.lines.land(`long side: 12' 6"`);
  open.lines.land(`rail: rail = #1 - 2 * 1/8"`);
  open.lines.landWords('heading', 'Boards');
  const [decking] = SHIPPED_JIGS;
  if (decking) open.jigs.bring({ jig: decking, uses: [] });
  open.lines.land('boards: decking(rail)');
  open.scales.add({ name: 'Plan', kind: 'ratio', paper: '1', site: '20' });
  await vi.advanceTimersByTimeAsync(50);
  return id;
}

describe('a job as a file', () => {
  it('becomes a job of its own, whose file has the same bytes', async () => {
    const deck = await makeDeck();
    // Numbers need not stand in order, and some are gone.
    jobs.open.lines.land('spare: 4');
    jobs.open.lines.land('posts: 6');
    jobs.open.lines.remove(jobs.open.slate.rows.find(({ line }) => line.label === 'spare')?.line.id ?? '');
    jobs.open.lines.move(jobs.open.slate.rows[0]?.line.id ?? '', 4);
    const text = await textOf(deck);
    const wire = await wireOf(text);
    const again = await jobs.makeOf(wire);
    expect(jobs.open.head).toMatchObject({ id: again, title: 'Deck', currency: '€' });
    expect([readingOf('rail'), readingOf('boards')]).toEqual(['12′ 5 3⁄4″', '27']);
    await vi.advanceTimersByTimeAsync(50);
    expect(await textOf(again)).toBe(text);
    const open = insideOfOpen(jobs.open);
    expect(open && jobFileOf(open)).toBe(text);
    expect(countsOf(insideOfWire(wire))).toBe('4 lines, 1 mark, 1 scale, 1 jig');
    const copy = await jobs.duplicate(deck, 'Deck', ALL_PARTS);
    expect(await textOf(copy ?? '')).toBe(text);
  });

  it('comes into the open job: what differs is changed, what is new stands at the foot, and one undo takes all out', async () => {
    const deck = await makeDeck();
    const text = await textOf(deck);
    const { open } = jobs;
    expect(open.undoLog.says).toBe('Remove the scale Plan');
    const same = mergeInto(open, insideOfWire(await wireOf(text)));
    expect(same).toMatchObject({ addedLines: [], changedLines: [], addedThings: [], changedThings: [], same: 7 });

    // As somebody else sends it back.
    const theirs = text.replace(`12' 6\\"`, `13'`).replace('"site": "20"', '"site": "25"');
    const json = JSON.parse(theirs) as { slate: object[]; marks: object[] };
    json.marks.push({ key: 'post', name: 'post' });
    json.slate.push({ kind: 'worked', number: 4, label: 'post', entry: `@{post} = @{rail} / 2`, note: 'ask' });
    const inside = insideOfWire(await wireOf(JSON.stringify(json)));
    expect(takeIn(open, inside)).toBeUndefined();
    expect([readingOf('long side'), readingOf('rail'), readingOf('post')]).toEqual(['13′', '12′ 11 3⁄4″', '6′ 5 7⁄8″']);
    expect(open.scales.list.map(({ content }) => content.site)).toEqual(['25']);
    expect(open.slate.rows.at(-1)?.line).toMatchObject({ number: 4, label: 'post', note: 'ask' });
    open.lines.land('half: post / 2');
    expect(readingOf('half')).toBe('3′ 2 15⁄16″');

    open.steps.undo();
    open.steps.undo();
    expect(readingOf('long side')).toBe('12′ 6″');
    expect(readingOf('post')).toBeUndefined();
    expect(open.scales.list.map(({ content }) => content.site)).toEqual(['20']);
  });

  it('does not come into a job that would read it otherwise, or has no room', async () => {
    await makeDeck();
    const wire = await wireOf(await textOf(jobs.open.head?.id ?? ''));
    const inside = insideOfWire({ ...wire, decimalComma: true });
    const merge = mergeInto(jobs.open, inside);
    expect(merge && whyNotInto(jobs.open, inside, merge)).toContain('writes 2,4');
    expect(takeIn(jobs.open, inside)).toContain('Open it as a new job');
    const taxes = Array.from({ length: 21 }, (_, n) => ({ kind: 'tax', id: `${n}`, content: {} }));
    expect(merge && whyNotInto(jobs.open, insideOfWire(wire), { ...merge, addedThings: taxes })).toContain(
      'room for 20',
    );
  });

  it('is refused where it is none, whatever it is', async () => {
    const read = async (file: Blob) => {
      const answer = await readJobFile(file);
      return answer.ok ? '' : answer.problem.sentence;
    };
    expect(await read(new Blob([new Uint8Array([0xff, 0xfe, 0x00, 0x80])]))).toContain('no text');
    expect(await read(new Blob(['{"sprell":"jig","format":1}']))).toContain('room “Jigs”');
    const huge = { size: 5 * JOB_FILE_LIMIT, arrayBuffer: () => Promise.reject(new Error('not read')) };
    expect(await read(huge as unknown as Blob)).toContain('too large');
  });

  it('goes into a zip with the others, each under its title', async () => {
    const deck = await jobs.here(await makeDeck());
    const all = deck ? [deck, deck] : [];
    const named = (title: string) => `${title.toLowerCase()}.json`;
    const bytes = await zipOf(all, named);
    const files = unzipSync(bytes);
    expect(Object.keys(files)).toEqual(['deck.json', 'deck-2.json']);
    expect(new TextDecoder().decode(files['deck.json'])).toBe(deck && fileOf(deck));
    expect(await zipOf(all, named)).toEqual(bytes);
  });
});
