import { readQuantity } from '@sprell/core';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi, type Mock } from 'vitest';
import { changeWire, type Change, type KeptThing, type LineWire } from '@sprell/contract';
import fc from 'fast-check';
import { FakeServer, newDevice, OTHER_ID } from '../testing/fake-server.ts';
import { deviceHere } from '../adapters/device.ts';
import { firstReading } from './reading.ts';
import { plainHolder, type Holder } from './holder.ts';
import { Jobs } from './jobs.ts';
import type { OpenJob } from './open-job.ts';
import type { SlateRow, WorkedRow } from './slate-row.ts';

let server: FakeServer;
let device: ReturnType<typeof newDevice>;
// Loaded beforehand: with stopped clocks it would not come.
beforeAll(() => import('../adapters/job-server.ts'));
beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  server = new FakeServer();
  device = newDevice();
  vi.stubGlobal('fetch', server.fetch);
});
afterEach(async () => {
  // What is on its way still goes to this test's server.
  await settled();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** A page as it begins: in plain values, with nothing of a screen. */
async function openPage(holder?: Holder): Promise<{ jobs: Jobs; job: OpenJob }> {
  const jobs = new Jobs(deviceHere(), holder);
  await jobs.start();
  return { jobs, job: jobs.open };
}

/** Reports every value that is set, where a screen would draw it. */
function reportingHolder(report: (value: unknown) => void): Holder {
  return {
    ...plainHolder,
    cell: (first) => {
      let held = first;
      return {
        get value() {
          return held;
        },
        set value(now) {
          held = now;
          report(now);
        },
      };
    },
  };
}
const drawingsIn = (drawn: Mock): number =>
  drawn.mock.calls.filter(([value]) => typeof value === 'object' && value !== null && 'rows' in value).length;

const settled = () => vi.advanceTimersByTimeAsync(0);

const worked = (job: OpenJob) => job.slate.rows.filter((row): row is WorkedRow => row.kind === 'worked');
/** What each row says: an entry, or words among the lines. */
const says = (job: OpenJob) => job.slate.rows.map((row: SlateRow) => (row.kind === 'worked' ? row.entry : row.words));

function readings(job: OpenJob): (string | undefined)[] {
  return worked(job).map(({ worked: { result } }) =>
    result.ok && result.outcome.kind === 'quantity' ? readQuantity(result.outcome.quantity).text : undefined,
  );
}

describe('the open job', () => {
  it('lands entries, binds what goes on from the last result, and stores references by id', async () => {
    const { jobs, job } = await openPage();
    job.lines.land(`flats: 26' 4"`);
    job.lines.land('/ 2');
    await settled();
    expect(readings(job)).toEqual(['26′ 4″', '13′ 2″']);
    expect(says(job)).toEqual([`flats: 26' 4"`, '#1 / 2']);
    expect([...server.lines.values()].map(({ source, label }) => [source, label])).toEqual([
      [`26' 4"`, 'flats'],
      [`#{${job.slate.rows[0]?.line.id}} / 2`, null],
    ]);
    expect(jobs.keepState).toEqual({ kind: 'kept' });
  });

  it('takes back an edit with everything that depends on it, and a deletion, after a reload too', async () => {
    const { job } = await openPage();
    job.lines.land(`5'`);
    job.lines.land('#1 * 2');
    job.lines.edit(job.slate.rows[0]?.line.id as string, `6'`);
    expect(readings(job)).toEqual(['6′', '12′']);
    job.steps.undo();
    expect(readings(job)).toEqual(['5′', '10′']);
    job.lines.remove(job.slate.rows[0]?.line.id as string);
    expect(readings(job)).toEqual([undefined]);
    await settled();
    const { job: reloaded } = await openPage();
    reloaded.steps.undo();
    expect(readings(reloaded)).toEqual(['5′', '10′']);
  });

  it('keeps changes while the server is away and sends each once it is back, built on one another', async () => {
    const { jobs, job } = await openPage();
    server.away = true;
    job.lines.land(`5'`);
    job.lines.edit(job.slate.rows[0]?.line.id as string, `6'`);
    await settled();
    expect(jobs.keepState).toEqual({ kind: 'here', changes: 2, reason: 'The server cannot be reached.' });
    server.away = false;
    await vi.advanceTimersByTimeAsync(20_000);
    expect(jobs.keepState).toEqual({ kind: 'kept' });
    expect(server.sent.map(({ kind }) => kind)).toEqual(['line.add', 'line.edit']);
    const [add, edit] = server.sent as [Change, Extract<Change, { kind: 'line.edit' }>];
    expect(edit.base).toBe(add.id);
  });

  it('shows both versions when another device changed the line, and loses neither', async () => {
    const { job } = await openPage();
    job.lines.land(`5'`);
    await settled();
    const line = job.slate.rows[0]?.line as LineWire;
    const theirs = { ...(server.lines.get(line.id) as LineWire), source: `9'`, revision: 50 };
    server.lines.set(line.id, theirs);
    job.lines.edit(line.id, `6'`);
    await settled();
    expect(readings(job)).toEqual(['9′']);
    expect(job.conflicts.list).toMatchObject([{ line: { source: `9'` }, kept: { mine: { source: `6'` } } }]);
    job.conflicts.resolve(job.conflicts.list[0] as never, 'mine');
    await settled();
    expect(readings(job)).toEqual(['6′']);
    expect(server.sent.at(-1)).toMatchObject({ kind: 'line.edit', base: 50 });
  });

  it('shows what the server did not keep, after a reload too, until it was seen to', async () => {
    const { jobs, job } = await openPage();
    const answer = server.answer;
    server.answer = (change) =>
      'label' in change && change.label === 'rail'
        ? { id: change.id, status: 'refused', code: 'change.unfit', problem: 'label: Too big' }
        : answer(change);
    job.lines.land(`1'`);
    job.lines.land(`rail: 5'`);
    job.lines.land(`2'`);
    await settled();
    expect(jobs.keepState).toEqual({ kind: 'kept' });
    const refused = { what: 'line #2', says: `rail: 5'`, isEntry: true };
    expect(job.refusals.list).toMatchObject([refused]);
    expect(job.refusals.list[0]?.why).toBe('its label is too long, or holds signs that cannot be kept');
    const { job: again } = await openPage();
    await settled();
    expect(again.refusals.list).toMatchObject([refused]);
    await again.refusals.drop(again.refusals.list);
    expect(readings(again)).toEqual(['1′', '2′']);
    expect((await openPage()).job.refusals.list).toEqual([]);
  });

  it('goes on from what landed here, whatever another device put on the slate meanwhile', async () => {
    const { jobs, job } = await openPage();
    job.lines.land(`4'`);
    await settled();
    const mine = job.slate.rows[0]?.line as LineWire;
    const id = '01900000-0000-7000-8000-00000000aaaa';
    server.lines.set(id, { ...mine, id, number: 9, source: `3'`, position: 'a5', revision: 50 });
    await jobs.start();
    await settled();
    expect(readings(job)).toEqual(['4′', '3′']);
    job.lines.land('* 2');
    expect(readings(job).at(-1)).toBe('8′');
    job.steps.undo();
    job.steps.undo();
    // Where that is gone, the last that there is.
    job.lines.land('* 2');
    expect(readings(job)).toEqual(['3′', '6′']);
  });

  it('means its own line by a number that another device gave a line too, until the server says which it is', async () => {
    const { jobs, job } = await openPage();
    job.lines.land(`1'`);
    await settled();
    server.refuses = 'job.full';
    job.lines.land(`4'`);
    await settled();
    const mine = job.slate.rows[1]?.line as LineWire;
    const id = '01900000-0000-7000-8000-00000000aaaa';
    server.lines.set(id, { ...mine, id, source: `3'`, position: 'a5', revision: 50 });
    await jobs.start();
    await settled();
    expect(worked(job).map(({ line }) => line.number)).toEqual([1, 2, 2]);
    job.lines.land('* 2');
    expect(worked(job).at(-1)?.line.source).toBe(`#{${mine.id}} * 2`);
  });

  it('does again all that was taken back, to the same state, until something else is done', async () => {
    const step = fc.record({
      what: fc.constantFrom('land', 'landAll', 'words', 'edit', 'remove', 'move', 'note', 'clear', 'keep'),
      pick: fc.nat(20),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 12 }), fc.nat(12), async (steps, back) => {
        const { job } = await openPage();
        for (const [n, { what, pick }] of steps.entries()) {
          const rows = worked(job);
          const id = rows[pick % Math.max(rows.length, 1)]?.line.id;
          if (what === 'landAll') job.lines.landAll([() => `${n}"`, ([first]) => `#${first} * 2`], 'Take both off');
          else if (what === 'words') job.lines.landWords('note', `note ${n}`);
          else if (what === 'clear') job.lines.clear();
          else if (what === 'keep') job.lines.land(`m${pick} = ${n + 1}'`);
          else if (id === undefined || what === 'land') job.lines.land(`${n}'`);
          else if (what === 'edit') job.lines.edit(id, `${n + 20}'`);
          else if (what === 'remove') job.lines.remove(id);
          else if (what === 'note') job.lines.setNote(id, `for ${n}`);
          else job.lines.move(id, pick % job.slate.rows.length);
        }
        const all = says(job);
        const readingsThen = readings(job);
        const times = Math.min(back, steps.length);
        // There may be nothing to take back: an empty slate was cleared.
        const isTaken = times > 0 && job.steps.undoSays !== undefined;
        for (let n = 0; n < times; n += 1) job.steps.undo();
        await settled();
        expect(job.steps.canRedo).toBe(isTaken);
        while (job.steps.canRedo) job.steps.redo();
        expect([says(job), readings(job)]).toEqual([all, readingsThen]);
        job.steps.undo();
        job.lines.land(`99'`);
        expect(job.steps.canRedo).toBe(false);
        await settled();
        expect(server.lines.size).toBeGreaterThan(0);
        localStorage.clear();
        server = new FakeServer();
        device = newDevice();
        vi.stubGlobal('fetch', server.fetch);
      }),
      { numRuns: 30 },
    );
  });

  it('shows both where a step is taken back and the line was changed elsewhere since', async () => {
    const { job: before } = await openPage();
    before.lines.land(`5'`);
    before.lines.land(`2'`);
    before.lines.edit(before.slate.rows[0]?.line.id as string, `6'`);
    await settled();
    for (const line of server.lines.values()) server.lines.set(line.id, { ...line, source: `9'`, revision: 50 });
    // Also after a reload.
    const { job } = await openPage();
    await settled();
    job.steps.undo();
    expect(readings(job)).toEqual(['9′', '9′']);
    expect(job.conflicts.list).toMatchObject([{ line: { source: `9'` }, kept: { mine: { source: `5'` } } }]);
    job.conflicts.resolve(job.conflicts.list[0] as never, 'mine');
    expect(readings(job)).toEqual(['5′', '9′']);
    job.steps.undo();
    expect(job.conflicts.list).toMatchObject([{ line: { number: 2 }, kept: { mine: { deleted: true } } }]);
    await settled();
    const { job: again } = await openPage();
    expect(again.conflicts.list).toHaveLength(1);
    again.conflicts.resolve(again.conflicts.list[0] as never, 'mine');
    await settled();
    expect(readings(again)).toEqual(['5′']);
  });

  it('undoes single steps where nobody else changed anything, others having moved the line', async () => {
    const { job } = await openPage();
    job.lines.land(`5'`);
    const { id } = job.slate.rows[0]?.line as LineWire;
    job.lines.edit(id, `6'`);
    job.lines.edit(id, `7'`);
    await settled();
    const line = server.lines.get(id) as LineWire;
    server.lines.set(id, { ...line, position: 'b0', revision: 50 });
    const { job: again } = await openPage();
    await settled();
    again.steps.undo();
    again.steps.undo();
    expect(readings(again)).toEqual(['5′']);
    again.steps.undo();
    expect(again.slate.rows).toEqual([]);
    expect(again.conflicts.list).toEqual([]);
  });

  it('renumbers a line whose number was taken, in every entry that uses it', async () => {
    const { job } = await openPage();
    server.answer = (change) => ({
      id: change.id,
      status: 'applied',
      line: { ...server.apply(change), ...(change.kind === 'line.add' && change.number === 1 ? { number: 7 } : {}) },
    });
    job.lines.land(`5'`);
    job.lines.land('#1 + 1"');
    await settled();
    expect(worked(job).map(({ line, entry }) => [line.number, entry])).toEqual([
      [7, `5'`],
      [2, '#7 + 1"'],
    ]);
    expect(job.slate.renumbered).toEqual([[1, 7]]);
    expect(readings(job)).toEqual(['5′', '5′ 1″']);
  });

  it('puts chosen lines together above another, at the foot or under a heading, as one step', async () => {
    const { job } = await openPage();
    for (const entry of [`1'`, `2'`, `3'`, `4'`, `5'`]) job.lines.land(entry);
    await settled();
    const shown = () => job.slate.rows.map((row) => (row.kind === 'worked' ? row.line.number : row.words));
    const ids = (...numbers: number[]) =>
      new Set(job.slate.rows.flatMap(({ line }) => (numbers.includes(line.number ?? 0) ? [line.id] : [])));
    const idOf = (number: number) => [...ids(number)][0];
    job.lines.gather(ids(4, 2), idOf(1));
    expect(shown()).toEqual([2, 4, 1, 3, 5]);
    job.steps.undo();
    expect(shown()).toEqual([1, 2, 3, 4, 5]);
    job.lines.gather(ids(1, 3), undefined);
    expect(shown()).toEqual([2, 4, 5, 1, 3]);
    job.steps.undo();
    // Above one that goes along: above the first behind it that stays.
    job.lines.gather(ids(2, 5), idOf(2), 'Roof');
    expect(shown()).toEqual([1, 'Roof', 2, 5, 3, 4]);
    job.steps.undo();
    expect(shown()).toEqual([1, 2, 3, 4, 5]);
    job.steps.redo();
    expect(shown()).toEqual([1, 'Roof', 2, 5, 3, 4]);
    job.lines.gather(new Set(), undefined);
    job.lines.gather(ids(1), undefined, '  ');
    expect(shown()).toEqual([1, 'Roof', 2, 5, 3, 4]);
    await settled();
    const other = await openPage();
    expect(other.job.slate.rows.map(({ line }) => line.number ?? line.label)).toEqual([1, 'Roof', 2, 5, 3, 4]);
  });

  it('lands pasted lines with their headings and notes as one step', async () => {
    const { job } = await openPage();
    job.lines.landPasted([
      { kind: 'heading', text: 'Roof', note: '' },
      { kind: 'entry', text: `rail: 5'`, note: 'taped twice' },
      { kind: 'entry', text: '#1 * 2', note: '' },
    ]);
    expect(job.slate.rows.map(({ line }) => [line.number ?? line.label, line.note])).toEqual([
      ['Roof', ''],
      [1, 'taped twice'],
      [2, ''],
    ]);
    job.steps.undo();
    expect(job.slate.rows).toEqual([]);
  });

  it('puts lines above others, moves them, and takes each step back', async () => {
    const { job } = await openPage();
    for (const entry of [`1'`, `2'`, `3'`]) job.lines.land(entry);
    job.lines.land(`4'`, job.slate.rows[1]?.line.id);
    expect(readings(job)).toEqual(['1′', '4′', '2′', '3′']);
    job.lines.move(job.slate.rows[3]?.line.id as string, 0);
    expect(readings(job)).toEqual(['3′', '1′', '4′', '2′']);
    job.lines.move(job.slate.rows[0]?.line.id as string, 2);
    expect(readings(job)).toEqual(['1′', '4′', '3′', '2′']);
    job.steps.undo();
    job.steps.undo();
    job.steps.undo();
    expect(readings(job)).toEqual(['1′', '2′', '3′']);
    await settled();
    expect((await openPage()).job.slate.rows).toHaveLength(3);
  });

  it('puts a line between two that other devices gave one place', async () => {
    const { job } = await openPage();
    job.lines.land(`1'`);
    job.lines.land(`2'`);
    await settled();
    const [first, second] = [...server.lines.values()] as [LineWire, LineWire];
    server.lines.set(second.id, { ...second, position: first.position, revision: 60 });
    server.lines.set(first.id, { ...first, revision: 61 });
    const { job: again } = await openPage();
    await settled();
    const last = again.slate.rows[1]?.line.id as string;
    again.lines.land(`3'`, last);
    expect(readings(again)[1]).toBe('3′');
    await settled();
    expect(readings((await openPage()).job)[1]).toBe('3′');
  });

  it('sends nothing that the server does not take, whatever was pasted', async () => {
    const { job } = await openPage();
    const anything = fc.string({
      unit: fc.oneof(
        fc.nat(0xffff).map((unit) => String.fromCharCode(unit)),
        fc.constantFrom(':', '\u0000', '\n', '\ud800', ' ', '#1', `5'`, '='),
      ),
      maxLength: 300,
    });
    await fc.assert(
      fc.asyncProperty(anything, anything, async (one, other) => {
        server.sent.length = 0;
        job.lines.land(`${one}: 5'`);
        job.lines.land(`5' + ${other}`);
        job.lines.landWords('heading', one);
        job.lines.landWords('note', other);
        const { id } = job.slate.rows[0]?.line as LineWire;
        job.lines.edit(id, `${other}: ${one}`);
        job.lines.setNote(id, other);
        job.setOuts.edit({
          id: job.setOuts.add({ name: `x${one}`, shape: 'arc', answer: '', givens: [['rise', other]] }),
          name: `y${other}`,
          shape: 'arc',
          answer: '',
          givens: [['rise', one]],
        });
        job.scales.add({ kind: 'sizes', paper: `1${one}`, site: `2${other}`, name: null });
        await settled();
        expect(server.sent.length).toBeGreaterThan(4);
        for (const change of server.sent) expect(changeWire.safeParse(change).error).toBeUndefined();
      }),
      { numRuns: 60 },
    );
  });

  it('takes everything off as one step, and brings it back as one', async () => {
    const { job } = await openPage();
    job.lines.land(`1'`);
    job.lines.land('last * 2');
    job.lines.landWords('heading', 'Roof');
    await settled();
    job.lines.clear();
    await settled();
    expect(job.conflicts.list).toEqual([]);
    expect(job.slate.rows).toEqual([]);
    expect(job.steps.undoSays).toBe('Bring all 3 lines back');
    job.steps.undo();
    expect(says(job)).toEqual([`1'`, '#1 * 2', 'Roof']);
    expect(readings(job)).toEqual(['1′', '2′']);
  });

  it('comes off the slate and back in one go: written down together, drawn once, sent in one batch', async () => {
    const drawn = vi.fn();
    const { jobs, job } = await openPage(reportingHolder(drawn));
    for (let number = 1; number <= 30; number += 1) job.lines.land(number === 1 ? `1'` : '#1 * 2');
    await settled();
    const write = vi.spyOn(device, 'write');
    const fetch = vi.fn(server.fetch);
    vi.stubGlobal('fetch', fetch);
    const batches = () => fetch.mock.calls.filter(([path]) => path.endsWith('/changes')).length;
    job.lines.clear();
    await settled();
    expect(write).toHaveBeenCalledOnce();
    expect(batches()).toBe(1);
    expect([...server.lines.values()].every(({ deleted }) => deleted)).toBe(true);
    const drawings = drawingsIn(drawn);
    job.steps.undo();
    expect(drawingsIn(drawn)).toBe(drawings + 1);
    await settled();
    expect(write).toHaveBeenCalledTimes(2);
    expect(batches()).toBe(2);
    expect(readings(job)).toEqual(['1′', ...Array.from({ length: 29 }, () => '2′')]);
    expect([...server.lines.values()].some(({ deleted }) => deleted)).toBe(false);
    expect(jobs.keepState).toEqual({ kind: 'kept' });
  });

  it('holds headings and plain notes among the lines, which take no number', async () => {
    const { job } = await openPage();
    job.lines.land(`1'`);
    job.lines.landWords('note', 'taped twice');
    job.lines.landWords('heading', 'Plan', job.slate.rows[0]?.line.id);
    job.lines.landWords('heading', '  ');
    job.lines.land(`2'`);
    expect(says(job)).toEqual(['Plan', `1'`, 'taped twice', `2'`]);
    expect(job.slate.rows.map(({ line }) => line.number)).toEqual([null, 1, null, 2]);
    job.lines.editWords(job.slate.rows[0]?.line.id as string, 'Plan, north');
    job.lines.editWords(job.slate.rows[2]?.line.id as string, 'taped thrice');
    await settled();
    expect(says((await openPage()).job)).toEqual(['Plan, north', `1'`, 'taped thrice', `2'`]);
    job.steps.undo();
    job.steps.undo();
    expect(says(job)).toEqual(['Plan', `1'`, 'taped twice', `2'`]);
  });

  it('keeps a note under a line, and takes it back', async () => {
    const { job } = await openPage();
    job.lines.land(`rail: 4'`);
    job.lines.setNote(job.slate.rows[0]?.line.id as string, ' planed ');
    expect(job.slate.rows[0]?.line.note).toBe('planed');
    job.lines.setNote(job.slate.rows[0]?.line.id as string, 'planed');
    job.steps.undo();
    expect(job.slate.rows[0]?.line.note).toBe('');
  });

  it('names what uses a line, and can leave its value there instead', async () => {
    const { job } = await openPage();
    for (const entry of [`10'`, '#1 / 3', 'sum(#1..#2)', '#2 * 3']) job.lines.land(entry);
    const [first, second] = worked(job);
    expect(job.lines.usersOf(first?.line.id as string)).toBe('#1 is used by #2, #3.');
    expect(job.lines.usersOf(worked(job)[3]?.line.id as string)).toBeUndefined();
    expect(job.lines.canKeepValue(second?.line.id as string)).toBe(true);
    job.lines.removeKeepingValue(second?.line.id as string);
    expect(says(job)).toEqual([`10'`, `sum(#1; (40"))`, `(40") * 3`]);
    expect(readings(job)).toEqual(['10′', '13′ 4″', '10′']);
    job.steps.undo();
    expect(says(job)).toEqual([`10'`, '#1 / 3', 'sum(#1..#2)', '#2 * 3']);
    expect(readings(job)).toEqual(['10′', '3′ 4″', '13′ 4″', '10′']);
  });

  it('leaves the value of a mark where it is used by name', async () => {
    const { job } = await openPage();
    for (const entry of [`rail = 4'`, '2 rail + #1', '#1 - rail / 2']) job.lines.land(entry);
    expect(job.lines.usersOf(job.slate.rows[0]?.line.id as string)).toContain('#2');
    job.lines.removeKeepingValue(job.slate.rows[0]?.line.id as string);
    expect(says(job)).toEqual(['2 (48") + (48")', '(48") - (48") / 2']);
    expect(readings(job)).toEqual(['12′', '2′']);
    job.steps.undo();
    expect(says(job)).toEqual([`rail = 4'`, '2 rail + #1', '#1 - rail / 2']);
  });

  it('has no value to leave for one of several lines that make a mark, nor for an approximation', async () => {
    const { job } = await openPage();
    for (const entry of [`rail = 4'`, 'rail += 1"', 'rail * 2', `1' * ln 3`]) job.lines.land(entry);
    expect(job.lines.canKeepValue(job.slate.rows[0]?.line.id as string)).toBe(false);
    expect(job.lines.canKeepValue(job.slate.rows[1]?.line.id as string)).toBe(false);
    expect(job.lines.canKeepValue(job.slate.rows[3]?.line.id as string)).toBe(false);
  });
});

describe('the jobs of this device', () => {
  it('begins with a job of its own where there is none, sent to the server with what was written in it', async () => {
    server.jobs = [];
    server.away = true;
    const { jobs, job } = await openPage();
    expect(job.head).toMatchObject({ title: 'First job', role: 'own' });
    job.lines.land(`5'`);
    await settled();
    expect(jobs.keepState).toMatchObject({ kind: 'here', changes: 2 });
    server.away = false;
    await vi.advanceTimersByTimeAsync(20_000);
    expect(server.sent.map(({ kind }) => kind)).toEqual(['job.add', 'line.add']);
    expect(server.sent[0]).toMatchObject({ title: 'First job', reading: { finest: 16 } });
  });

  it('opens what it has where the server is away, with what waits in it, and opens a job that it has not yet', async () => {
    const { job } = await openPage();
    job.lines.land(`5'`);
    await settled();
    server.away = true;
    job.lines.land(`6'`);
    await settled();
    const { job: again, jobs: againJobs } = await openPage();
    await settled();
    expect(readings(again)).toEqual(['5′', '6′']);
    expect(againJobs.keepState).toMatchObject({ kind: 'here', changes: 1 });
    server.away = false;
    server.jobs = [...server.jobs, OTHER_ID];
    await againJobs.openJob(OTHER_ID);
    expect(again.head?.id).toBe(OTHER_ID);
  });

  it('holds the changes of a job that is not ours any more, and sends those of others', async () => {
    const { jobs, job } = await openPage();
    server.refuses = 'job.not_found';
    job.lines.land(`5'`);
    await settled();
    expect(jobs.keepState).toEqual({ kind: 'here', changes: 1, reason: 'There is no such job.' });
    server.refuses = undefined;
    await openPage();
    await settled();
    expect(server.sent.map(({ kind }) => kind)).toEqual(['line.add']);
  });

  it('keeps everything, and waits, while nobody is signed in', async () => {
    const { jobs, job } = await openPage();
    server.refuses = 'account.needed';
    job.lines.land(`5'`);
    await settled();
    expect(jobs.keepState).toMatchObject({ kind: 'here', changes: 1 });
    expect(server.guests).toBe(1);
    server.refuses = undefined;
    await vi.advanceTimersByTimeAsync(60_000);
    expect(jobs.keepState).toEqual({ kind: 'kept' });
  });

  it('says that a change is on this page alone while the device has no room for it, and keeps and sends it once it has', async () => {
    const { jobs, job } = await openPage();
    await settled();
    const full = vi.spyOn(device, 'write').mockRejectedValue(new DOMException('', 'QuotaExceededError'));
    job.lines.land(`1'`);
    job.lines.land(`2'`);
    await settled();
    expect(jobs.keepState).toMatchObject({ kind: 'page', changes: 2 });
    const leaving = new Event('beforeunload', { cancelable: true });
    window.dispatchEvent(leaving);
    expect(leaving.defaultPrevented).toBe(true);
    // What comes from the server is not drawn over it.
    await jobs.openJob(job.head?.id as string);
    expect(readings(job)).toEqual(['1′', '2′']);
    expect(server.lines.size).toBe(0);
    full.mockRestore();
    await vi.advanceTimersByTimeAsync(6000);
    expect(jobs.keepState).toEqual({ kind: 'kept' });
    expect([...server.lines.values()].map(({ source }) => source)).toEqual([`1'`, `2'`]);
    expect(readings((await openPage()).job)).toEqual(['1′', '2′']);
  });

  it('says where the browser keeps nothing that what is not sent goes with the page', async () => {
    newDevice(false);
    const { jobs, job } = await openPage();
    await settled();
    server.away = true;
    job.lines.land(`1'`);
    await settled();
    expect(jobs.keepState).toMatchObject({ kind: 'page', changes: 1 });
    server.away = false;
    await vi.advanceTimersByTimeAsync(2000);
    expect(jobs.keepState).toEqual({ kind: 'kept' });
  });

  it('reads as it is measured where the browser is at home', () => {
    expect(firstReading(['en-US']).length).toBe('ft-in');
    expect(firstReading(['en-CA', 'fr']).length).toBe('ft-in');
    expect(firstReading(['de']).length).toBe('mm');
    expect(firstReading([]).length).toBe('ft-in');
  });
});

describe('how the job reads', () => {
  it('is of the job, or for good on this device and then before the job', async () => {
    const { job } = await openPage();
    job.reading.set({ finest: 32 });
    expect(job.style.finest).toBe(32);
    await settled();
    expect(server.reading).toMatchObject({ finest: 32, length: 'ft-in' });
    job.reading.setForAll({ length: 'mm' });
    expect(job.style).toMatchObject({ finest: 32, length: 'mm' });
    expect((await openPage()).job.style).toMatchObject({ finest: 32, length: 'mm' });
    expect(server.reading.length).toBe('ft-in');
  });

  it('goes back to the job where the job is read again', async () => {
    const { job } = await openPage();
    job.reading.setForAll({ length: 'mm', finest: 8 });
    job.reading.set({ length: 'in' });
    expect(job.style).toMatchObject({ length: 'in', finest: 8 });
    expect(job.reading.forAll).toEqual({ finest: 8 });
  });
});

describe('a thing that is kept whole', () => {
  const gable = { name: 'Gable', shape: 'right-triangle', answer: '', givens: [['rise', `5'`]] as const };

  it('is kept next to what another device wrote of it meanwhile, named in a sentence, and neither is lost', async () => {
    const { job } = await openPage();
    const id = job.setOuts.add(gable);
    await settled();
    const kept = server.things.get(id);
    server.things.set(id, {
      kind: 'setout',
      thing: { ...kept?.thing, entries: [`9'`], revision: 50 } as unknown as KeptThing['thing'],
    });
    job.setOuts.edit({ id, ...gable, givens: [['rise', `6'`]] });
    await settled();
    expect(job.failure).toMatch(/^The setting-out Gable was changed elsewhere too\./);
    const { job: again } = await openPage();
    await settled();
    expect(again.setOuts.list.map(({ givens }) => givens[0]?.[1])).toEqual([`9'`, `6'`]);
    expect([...server.things.values()].map(({ thing }) => (thing['entries'] as string[])[0])).toEqual([`9'`, `6'`]);
  });

  it('is left as another device has it where undo would overwrite that, and the old version is kept next to it', async () => {
    const { jobs, job } = await openPage();
    const id = job.setOuts.add(gable);
    job.setOuts.edit({ id, ...gable, givens: [['rise', `6'`]] });
    await settled();
    const kept = server.things.get(id) as KeptThing;
    const theirs = { ...kept.thing, entries: [`9'`], revision: 50 } as unknown as KeptThing['thing'];
    server.things.set(id, { kind: 'setout', thing: theirs });
    await jobs.start();
    await settled();
    job.steps.undo();
    expect(job.setOuts.list.map(({ givens }) => givens[0]?.[1])).toEqual([`9'`, `5'`]);
    expect(job.failure).toContain('changed elsewhere');
  });
});
