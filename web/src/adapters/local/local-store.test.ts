import 'fake-indexeddb/auto';
import {
  listsOf,
  NEW_JOB,
  NO_THINGS,
  type Change,
  type ChangeResult,
  type JobWire,
  type LineWire,
  type ScaleWire,
} from '@sprell/contract';
import Dexie from 'dexie';
import { v7 as uuidv7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import { DexieStore } from './dexie-store.ts';
import type { Batch, LocalStore } from './local-store.ts';
import { MemoryStore } from './memory-store.ts';

const READING: JobWire['reading'] = {
  length: 'ft-in',
  finest: 16,
  metricStep: '1',
  rounding: 'nearest',
  fractions: 'lowest',
};
const FIELDS = { title: 'Porch', ...NEW_JOB };
const HISTORY = uuidv7();
const aJob = (more: Partial<JobWire> = {}): JobWire => ({
  id: uuidv7(),
  ...FIELDS,
  reading: READING,
  revision: 3,
  history: HISTORY,
  restoredFrom: null,
  restoredRevision: 0,
  role: 'own',
  nextNumber: 2,
  lines: [],
  ...listsOf(NO_THINGS),
  ...more,
});
const aLine = (more: Partial<LineWire> = {}): LineWire => ({
  id: uuidv7(),
  kind: 'worked',
  number: 1,
  position: 'a0',
  source: `5'`,
  label: null,
  note: '',
  revision: 1,
  deleted: false,
  ...more,
});
const aScale = (more: Partial<ScaleWire> = {}): ScaleWire => ({
  id: uuidv7(),
  kind: 'ratio',
  paper: '1',
  site: '20',
  name: null,
  revision: 1,
  deleted: false,
  ...more,
});
const anEdit = (line: LineWire, source: string, base: number | string = line.revision): Change => {
  const { id: lineId, position, label, note } = line;
  return { id: uuidv7(), kind: 'line.edit', lineId, base, position, source, label, note };
};

let made = 0;
describe.each<[string, () => Promise<LocalStore>]>([
  ['in the database of the browser', () => new DexieStore(`test${(made += 1)}`).ready()],
  ['in memory', () => Promise.resolve(new MemoryStore())],
])('the jobs of this device, %s', (_, open) => {
  it('hold a change and what it leaves behind, in order, until the server has answered', async () => {
    const local = await open();
    const [job, line] = [aJob(), aLine({ revision: 0 })];
    const head = { ...job, lines: undefined, scales: undefined };
    const add: Change = { id: uuidv7(), kind: 'job.add', title: job.title, reading: READING };
    await local.write(job.id, { change: add, head });
    const first = anEdit(line, `6'`);
    const second = anEdit(line, `7'`, first.id);
    await local.write(job.id, { change: first, line: { ...line, source: `6'` } });
    await local.write(job.id, { change: second, line: { ...line, source: `7'` } });
    expect(await local.countWaiting()).toBe(3);
    // A mark that came along with the line that makes it is sent, and not counted.
    const mark: Change = { id: uuidv7(), kind: 'thing.add', of: 'mark', thingId: uuidv7(), content: { name: 'rail' } };
    const other = aJob();
    await local.write(other.id, { change: mark, head: { ...head, id: other.id } });
    expect(await local.countWaiting()).toBe(3);
    const along = await local.batch(new Set([job.id]));
    expect(along?.changes).toEqual([mark]);
    await local.settle(along as Batch, [{ id: mark.id, status: 'refused', code: 'thing.too_many' }]);
    expect(await local.countWaiting()).toBe(3);
    const here = await local.open(job.id);
    expect(here?.lines).toEqual([{ ...line, source: `7'` }]);
    expect(here?.waiting.map(({ id }) => id)).toEqual([add.id, first.id, second.id]);

    const all = await local.batch(new Set());
    expect(all?.changes.map(({ id }) => id)).toEqual([add.id, first.id, second.id]);
    // Answered in two goes, as where the rest came while the first were on their way.
    const batch = all && { ...all, places: all.places.slice(0, 2), changes: all.changes.slice(0, 2) };
    const results: ChangeResult[] = [
      { id: add.id, status: 'reads', reading: READING, job: FIELDS },
      { id: first.id, status: 'applied', line: { ...line, source: `6'`, revision: 4, number: 9 } },
    ];
    await local.settle(batch as never, results);
    // Ours came after: its words stay, with the revision and number of the server.
    expect((await local.open(job.id))?.lines).toEqual([{ ...line, source: `7'`, revision: 4, number: 9 }]);
    const rest = await local.batch(new Set());
    expect(rest?.changes).toEqual([second]);
    await local.settle(rest as never, [
      { id: second.id, status: 'applied', line: { ...line, source: `7'`, revision: 5, number: 9 } },
    ]);
    expect(await local.batch(new Set())).toBeUndefined();
    expect((await local.open(job.id))?.lines[0]?.revision).toBe(5);
  });

  it('keep both versions of a line that was changed elsewhere, whatever was built on ours', async () => {
    const local = await open();
    const line = aLine();
    const job = aJob({ lines: [line] });
    await local.adopt(job, 'all');
    const first = anEdit(line, `6'`);
    const second = anEdit(line, `7'`, first.id);
    await local.write(job.id, { change: first, line: { ...line, source: `6'` } });
    await local.write(job.id, { change: second, line: { ...line, source: `7'` } });
    const theirs = { ...line, source: `9'`, revision: 8 };
    const batch = await local.batch(new Set());
    await local.settle(
      batch as never,
      [first, second].map(({ id }): ChangeResult => ({ id, status: 'conflict', line: theirs })),
    );
    const here = await local.open(job.id);
    expect(here?.lines).toMatchObject([theirs]);
    expect(here?.conflicts).toMatchObject([{ lineId: line.id, mine: { source: `7'` } }]);
    await local.dropConflict(here?.conflicts[0] as never);
    expect((await local.open(job.id))?.conflicts).toEqual([]);
  });

  it('keep what the server did not do until it was seen to, and send what is next to it', async () => {
    const local = await open();
    const [job, line, other] = [aJob(), aLine({ revision: 0 }), aLine({ number: 2, revision: 0 })];
    const head = { ...job, lines: undefined, scales: undefined };
    const added = ({ id: lineId, source, position, label, note, number }: LineWire): Change => {
      return { id: uuidv7(), kind: 'line.add', lineId, number: number as number, position, source, label, note };
    };
    const [bad, good] = [added(line), added(other)];
    await local.write(job.id, { change: bad, head, line });
    await local.write(job.id, { change: good, line: other });
    const batch = await local.batch(new Set());
    await local.settle(batch as never, [
      { id: bad.id, status: 'refused', code: 'change.unfit', problem: 'label: Too big' },
      { id: good.id, status: 'applied', line: { ...other, revision: 4 } },
    ]);
    expect(await local.countWaiting()).toBe(0);
    // Also when the job was taken over without it.
    await local.adopt({ ...job, revision: 4, lines: [{ ...other, revision: 4 }] }, 'all');
    const kept = (await local.open(job.id))?.refusals ?? [];
    expect(kept).toMatchObject([{ id: bad.id, change: { source: `5'` }, problem: 'label: Too big' }]);
    await local.dropRefusal(kept[0] as never);
    expect(await local.open(job.id)).toMatchObject({ refusals: [], lines: [{ number: 2 }] });
  });

  it('have every version, where a line was written again while its two versions stood', async () => {
    const local = await open();
    const line = aLine();
    const job = aJob({ lines: [line] });
    await local.adopt(job, 'all');
    const write = async (source: string, theirs: LineWire) => {
      const here = (await local.open(job.id))?.lines[0] as LineWire;
      const change = anEdit(here, source);
      await local.write(job.id, { change, line: { ...here, source } });
      const batch = await local.batch(new Set());
      await local.settle(batch as never, [{ id: change.id, status: 'conflict', line: theirs }]);
      return (await local.open(job.id))?.conflicts;
    };
    expect(await write(`6'`, { ...line, source: `9'`, revision: 8 })).toMatchObject([{ mine: { source: `6'` } }]);
    const theirs = { ...line, source: `10'`, revision: 9 };
    // Both are there still: the later one was not built on the earlier.
    expect(await write(`7'`, theirs)).toMatchObject([{ mine: { source: `6'` } }, { mine: { source: `7'` } }]);
    expect((await local.open(job.id))?.lines).toMatchObject([theirs]);
  });

  it('put our version of a scale beside theirs, once, however many changes it took', async () => {
    const local = await open();
    const scale = aScale();
    const job = aJob({ scales: [scale] });
    await local.adopt(job, 'all');
    const { kind, name } = scale;
    const edit = (site: string, base: number | string): Change & { kind: 'thing.edit' } => {
      const content = { kind, name, paper: '1', site };
      return { id: uuidv7(), kind: 'thing.edit', of: 'scale', thingId: scale.id, base, content };
    };
    const first = edit('30', scale.revision);
    const second = edit('40', first.id);
    for (const change of [first, second])
      await local.write(job.id, { change, thing: { kind: 'scale', thing: { ...scale, ...change.content } } });
    const theirs = { ...scale, site: '50', revision: 9 };
    const batch = await local.batch(new Set());
    await local.settle(
      batch as never,
      [first, second].map(({ id }): ChangeResult => ({ id, status: 'thing.conflict', of: 'scale', thing: theirs })),
    );
    const here = await local.open(job.id);
    expect(here?.things['scale']?.map((one) => one['site']).sort()).toEqual(['40', '50']);
    expect(here?.waiting).toMatchObject([{ kind: 'thing.add', of: 'scale', content: { site: '40' } }]);
  });

  it('take over what the server has, but for what waits here', async () => {
    const local = await open();
    const [one, other, gone] = [aLine(), aLine({ number: 2 }), aLine({ number: 3 })];
    const scale = aScale();
    const job = aJob({ lines: [one, other, gone], scales: [scale] });
    await local.adopt(job, 'all');
    await local.write(job.id, { change: anEdit(one, `6'`), line: { ...one, source: `6'` } });
    const theirs = { ...other, source: `8'`, revision: 7 };
    await local.adopt({ ...job, revision: 6, lines: [{ ...other, source: '2"' }], scales: [] }, 'changes');
    expect((await local.open(job.id))?.lines.map(({ source }) => source).sort()).toEqual(['2"', `5'`, `6'`]);
    expect((await local.open(job.id))?.things['scale']).toHaveLength(1);
    const all: JobWire = {
      ...job,
      title: 'Porch, north',
      nextNumber: 2,
      lines: [{ ...one, source: '1"' }, theirs],
      scales: [{ ...scale, site: '50' }],
    };
    await local.adopt(all, 'all');
    const here = await local.open(job.id);
    expect(here?.head).toMatchObject({ title: 'Porch, north' });
    expect(here?.lines.map(({ source }) => source).sort()).toEqual([`6'`, `8'`]);
    expect(here?.things['scale']).toMatchObject([{ site: '50' }]);
    // A job with something that waits is not forgotten.
    await local.forget(job.id);
    expect(await local.open(job.id)).toBeDefined();
    await local.settle((await local.batch(new Set())) as never, []);
    await local.forget(job.id);
    expect(await local.open(job.id)).toBeUndefined();
  });

  it('hold a change once, however often it is written down', async () => {
    const store = await open();
    const job = aJob();
    await store.adopt(job, 'all');
    const line = aLine({ revision: 0, number: 2 });
    const { id: lineId, position, source, label, note } = line;
    const head = { ...job, nextNumber: 3 };
    const add: Change = { id: uuidv7(), kind: 'line.add', lineId, number: 2, position, source, label, note };
    const edit: Change = { ...anEdit(line, `7'`, add.id), id: uuidv7() };
    const writes = [
      { change: add, head, line },
      { change: edit, head, line: { ...line, source: `7'` } },
    ];
    for (const what of [...writes, ...writes]) await store.write(job.id, what);
    const here = await store.open(job.id);
    expect(here?.lines).toMatchObject([{ id: lineId, source: `7'`, number: 2 }]);
    expect(here?.waiting).toEqual([add, edit]);
    expect(here?.conflicts).toEqual([]);
  });

  it('let no line of one job be taken by another that says it has one of that id', async () => {
    const store = await open();
    const [line, more] = [aLine(), aLine({ number: 2 })];
    const [own, shared] = [aJob({ lines: [line] }), aJob({ lines: [{ ...line, source: 'not this' }, more] })];
    await store.adopt(own, 'all');
    await store.adopt(shared, 'all');
    await store.adopt({ ...shared, revision: 4, lines: [{ ...line, source: 'nor this', revision: 4 }] }, 'changes');
    expect((await store.open(own.id))?.lines).toEqual([line]);
    expect((await store.open(shared.id))?.lines).toContainEqual(more);
  });

  it('let nothing that is here from later be taken back by what was read before', async () => {
    const local = await open();
    const [one, added] = [aLine({ revision: 9 }), aLine({ number: 2, revision: 10 })];
    const job = aJob({ revision: 10, lines: [one, added] });
    await local.adopt(job, 'all');
    // Read from the server before our changes came there, answered after.
    await local.adopt({ ...job, revision: 8, lines: [{ ...one, source: '1"', revision: 3 }] }, 'all');
    expect((await local.open(job.id))?.lines.map(({ source }) => source)).toEqual([`5'`, `5'`]);
  });

  it('give a number once, and keep a change beside what another page wrote meanwhile', async () => {
    const local = await open();
    const [job, line] = [aJob(), aLine()];
    await local.adopt({ ...job, lines: [line] }, 'all');
    const head = (await local.open(job.id))?.head as never;
    const added = (number: number) => {
      const one = aLine({ number, revision: 0 });
      const { id: lineId, position, source, label, note } = one;
      const change: Change = { id: uuidv7(), kind: 'line.add', lineId, number, position, source, label, note };
      return { change, head, line: one };
    };
    // Both pages give the number that they know to be the next.
    expect(await local.write(job.id, added(2))).toMatchObject([{ line: { number: 2 } }]);
    expect(await local.write(job.id, added(2))).toMatchObject([
      { line: { number: 3 }, change: { number: 3 }, apart: [] },
    ]);
    const [one, other] = [anEdit(line, `6'`), anEdit(line, `7'`)];
    await local.write(job.id, { change: one, head, line: { ...line, source: `6'` } });
    expect(await local.write(job.id, { change: other, head, line: { ...line, source: `7'` } })).toMatchObject([
      { apart: [line.id] },
    ]);
    const here = await local.open(job.id);
    expect(here?.lines.find(({ id }) => id === line.id)?.source).toBe(`6'`);
    expect(here?.conflicts).toMatchObject([{ lineId: line.id, mine: { source: `7'` } }]);
    expect(here?.waiting).toHaveLength(3);
    // Of a scale each is one.
    const scale = aScale();
    await local.adopt({ ...job, revision: 4, lines: [line], scales: [scale] }, 'all');
    const edit = (site: string) => {
      const content = { kind: scale.kind, name: null, paper: '1', site };
      const change: Change = {
        id: uuidv7(),
        kind: 'thing.edit',
        of: 'scale',
        thingId: scale.id,
        base: scale.revision,
        content,
      };
      return { change, head, thing: { kind: 'scale' as const, thing: { ...scale, site } } };
    };
    await local.write(job.id, edit('30'));
    expect((await local.write(job.id, edit('40')))[0]?.apart).toHaveLength(2);
    expect((await local.open(job.id))?.things['scale']?.map((one) => one['site']).sort()).toEqual(['30', '40']);
  });

  it('make one version of changes built on one that was not done, whether sent with it or not', async () => {
    const local = await open();
    const [job, line] = [aJob(), aLine()];
    await local.adopt({ ...job, lines: [line] }, 'all');
    const first = anEdit(line, `6'`);
    const second: Change = { id: uuidv7(), kind: 'line.delete', lineId: line.id, base: first.id };
    const third: Change = { id: uuidv7(), kind: 'line.restore', lineId: line.id, base: second.id };
    await local.write(job.id, { change: first, line: { ...line, source: `6'` } });
    await local.write(job.id, { change: second, line: { ...line, source: `6'`, deleted: true } });
    const batch = await local.batch(new Set());
    await local.write(job.id, { change: third, line: { ...line, source: `6'` } });
    const theirs = { ...line, source: `9'`, revision: 8 };
    const met = [first, second].map(({ id }): ChangeResult => ({ id, status: 'conflict', line: theirs }));
    await local.settle(batch as never, met);
    expect(await local.open(job.id)).toMatchObject({
      lines: [theirs],
      waiting: [],
      conflicts: [{ mine: { source: `6'`, deleted: false }, changes: [first.id, second.id, third.id] }],
    });
  });

  it('read the job again from where changes of ours were waiting', async () => {
    const local = await open();
    const [job, line] = [aJob(), aLine()];
    await local.adopt({ ...job, lines: [line] }, 'all');
    const asked = (await local.open(job.id))?.head as never;
    await local.write(job.id, { change: anEdit(line, `6'`), line: { ...line, source: `6'` } });
    await local.adopt({ ...job, revision: 9, lines: [{ ...line, source: `9'`, revision: 7 }] }, 'changes', asked);
    expect((await local.open(job.id))?.head.revision).toBe(6);
  });

  it('send again what a backup that was put back does not hold', async () => {
    const local = await open();
    const [common, changed, mine, theirs] = [aLine(), aLine({ number: 2 }), aLine({ number: 3 }), aLine({ number: 4 })];
    const scale = aScale();
    const job = aJob({ revision: 1, lines: [common, changed, mine, theirs], scales: [scale] });
    await local.adopt(job, 'all');
    for (const [line, source] of [
      [changed, `6'`],
      [mine, `7'`],
    ] as const) {
      const change = anEdit(line, source);
      await local.write(job.id, { change, line: { ...line, source } });
      const done = { ...line, source, revision: 5 };
      await local.settle((await local.batch(new Set())) as never, [{ id: change.id, status: 'applied', line: done }]);
    }
    const late = aLine({ number: 5, revision: 6 });
    const since = { ...job, revision: 6, lines: [late, { ...theirs, source: `8'`, revision: 6 }], scales: [] };
    await local.adopt(since, 'changes', (await local.open(job.id))?.head);
    const back = { history: uuidv7(), restoredFrom: HISTORY, restoredRevision: 1 };
    // Somebody was there before us and wrote one of the lines.
    const received = {
      ...job,
      ...back,
      revision: 2,
      lines: [common, changed, { ...mine, source: `1'`, revision: 2 }, theirs],
    };
    const asked = (await local.open(job.id))?.head;
    expect(await local.adopt({ ...received, lines: [] }, 'changes', asked)).toBe(false);
    expect(await local.adopt(received, 'all', asked)).toBe(true);
    const here = await local.open(job.id);
    expect(here?.head).toMatchObject({ history: back.history, revision: 2 });
    expect(here?.waiting).toMatchObject([
      { kind: 'line.edit', lineId: changed.id, base: 1, source: `6'` },
      { kind: 'line.add', lineId: late.id, number: 5 },
    ]);
    // What others wrote they send themselves; here it is a version until then.
    expect(here?.conflicts.map(({ lineId, mine: { source } }) => [lineId, source]).sort()).toEqual(
      [
        [mine.id, `7'`],
        [theirs.id, `8'`],
      ].sort(),
    );
    // A job that is not there at all goes again as a whole.
    await local.sendAgain(job.id);
    const all = (await local.open(job.id))?.waiting.map(({ kind }) => kind);
    expect(all).toEqual([
      'job.add',
      'job.set',
      'line.add',
      'line.add',
      'line.add',
      'line.add',
      'line.add',
      'thing.add',
    ]);
  });

  it('set aside what a reader wrote before they were one', async () => {
    const local = await open();
    const [job, line] = [aJob(), aLine()];
    await local.adopt({ ...job, lines: [line] }, 'all');
    const one = aLine({ number: 2, revision: 0 });
    const { id: lineId, position, source, label, note } = one;
    const add: Change = { id: uuidv7(), kind: 'line.add', lineId, number: 2, position, source, label, note };
    await local.write(job.id, { change: add, line: one });
    await local.write(job.id, { change: anEdit(line, `6'`), line: { ...line, source: `6'` } });
    await local.refuse(job.id, 'job.read_only');
    await local.adopt({ ...job, role: 'read', lines: [line] }, 'all');
    const here = await local.open(job.id);
    expect(here).toMatchObject({ lines: [line], waiting: [] });
    expect(here?.refusals.map(({ code }) => code)).toEqual(['job.read_only', 'job.read_only']);
  });

  it('pass over jobs whose changes are held back, and say how many wait in all', async () => {
    const local = await open();
    const jobs = [aJob(), aJob()] as const;
    for (const job of jobs) {
      await local.adopt(job, 'all');
      await local.write(job.id, { change: anEdit(aLine(), '1') });
    }
    expect((await local.batch(new Set([jobs[0].id])))?.jobId).toBe(jobs[1].id);
    expect(await local.batch(new Set(jobs.map(({ id }) => id)))).toBeUndefined();
    expect(await local.countWaiting()).toBe(2);
  });

  it('take the server’s word on scales and readings, where nothing of ours came after', async () => {
    const local = await open();
    const scale = aScale();
    const job = aJob({ scales: [scale] });
    await local.adopt(job, 'all');
    const off: Change = { id: uuidv7(), kind: 'thing.delete', of: 'scale', thingId: scale.id, base: 1 };
    const reads: Change = { id: uuidv7(), kind: 'job.reading', reading: { ...READING, finest: 8 } };
    await local.write(job.id, { change: off, thing: { kind: 'scale', thing: { ...scale, deleted: true } } });
    await local.write(job.id, { change: reads });
    await local.settle((await local.batch(new Set())) as never, [
      { id: off.id, status: 'thing.conflict', of: 'scale', thing: { ...scale, site: '25', revision: 4 } },
      { id: reads.id, status: 'reads', reading: { ...READING, finest: 8 }, job: FIELDS },
    ]);
    const here = await local.open(job.id);
    expect(here?.things['scale']).toMatchObject([{ site: '25', deleted: false, revision: 4 }]);
    expect(here?.head.reading.finest).toBe(8);
  });

  it('keep notes, and forget everything when asked to', async () => {
    const local = await open();
    await local.setNote('entry', { text: `5'` });
    expect(await local.note('entry')).toEqual({ text: `5'` });
    await local.adopt(aJob(), 'all');
    await local.clear();
    expect([await local.note('entry'), await local.heads()]).toEqual([undefined, []]);
  });
});

describe('the database of the browser', () => {
  it('is what another page finds, and sends what an older Sprell wrote down', async () => {
    const name = `test${(made += 1)}`;
    const job = aJob();
    const first = await new DexieStore(name).ready();
    await first.adopt(job, 'all');
    // As version 1 wrote a change down, whatever is written today.
    const old = new Dexie(name);
    await old.open();
    const change = anEdit(aLine(), `6'`);
    await old
      .table('outbox')
      .add({ jobId: job.id, subject: (change as { lineId: string }).lineId, version: 1, change });
    old.close();
    const second = await new DexieStore(name).ready();
    expect(await second.batch(new Set())).toMatchObject({ jobId: job.id, changes: [change] });
  });
});

describe('a long job in the browser’s database', () => {
  it('is read from one text and what was written since, and is the same as row by row', async () => {
    const name = `long ${uuidv7()}`;
    const long = Array.from({ length: 2100 }, (_, n) => aLine({ number: n + 1, source: `${n}'`, revision: 3 }));
    const job = aJob({ lines: long, nextNumber: 2101 });
    const store = await new DexieStore(name).ready();
    await store.adopt(job, 'all');
    const byId = (lines: readonly LineWire[] = []) => [...lines].sort((a, b) => (a.id < b.id ? -1 : 1));
    const opened = async () => (await (await new DexieStore(name).ready()).open(job.id)) ?? expect.fail();
    expect(byId((await opened()).lines)).toEqual(byId(long));
    const raw = await new Dexie(name).open();
    expect(await raw.table('packs').count()).toBe(1);

    const [one, other] = [long[5] as LineWire, long[6] as LineWire];
    await store.write(job.id, { change: anEdit(one, `77'`), line: { ...one, source: `77'` } });
    await store.adopt({ ...job, revision: 4, lines: [{ ...other, source: `88'`, revision: 4 }] }, 'changes');
    const fresh = aLine({ number: 2101, source: `99'`, revision: 0 });
    const add: Change = {
      id: uuidv7(),
      kind: 'line.add',
      lineId: fresh.id,
      number: 2101,
      position: 'a1',
      source: `99'`,
      label: null,
      note: '',
    };
    await store.write(job.id, { change: add, line: fresh });
    const now = await opened();
    expect(now.lines).toHaveLength(2101);
    const saysOf = (id: string) => now.lines.find((line) => line.id === id)?.source;
    expect([saysOf(one.id), saysOf(other.id), saysOf(fresh.id)]).toEqual([`77'`, `88'`, `99'`]);
    expect(now.own.get(one.id)?.by).toBe(now.waiting[0]?.id);

    // A row that goes takes the text along; so does all of it from the server.
    await store.settle((await store.batch(new Set())) as never, [
      { id: now.waiting[0]?.id as string, status: 'applied', line: { ...one, source: `77'`, revision: 5 } },
      { id: add.id, status: 'refused', code: 'line.not_found' },
    ]);
    expect(await raw.table('packs').count()).toBe(0);
    expect((await opened()).lines).toHaveLength(2100);
    await store.adopt({ ...job, revision: 6, lines: long.slice(0, 3) }, 'all');
    expect(byId((await opened()).lines)).toEqual(byId(long.slice(0, 3)));
  });

  it('has its text made again where much was written since', async () => {
    const name = `much ${uuidv7()}`;
    const long = Array.from({ length: 2000 }, (_, n) => aLine({ number: n + 1, revision: 3 }));
    const job = aJob({ lines: long });
    const store = await new DexieStore(name).ready();
    await store.adopt(job, 'all');
    await store.open(job.id);
    const raw = await new Dexie(name).open();
    const loose = () => raw.table('lines').where({ jobId: job.id, loose: 1 }).count();
    const changed = long.slice(0, 501).map((line) => ({ ...line, source: `9'`, revision: 4 }));
    await store.adopt({ ...job, revision: 4, lines: changed }, 'changes');
    expect(await loose()).toBe(501);
    const before = await store.open(job.id);
    expect(await loose()).toBe(0);
    const after = await store.open(job.id);
    expect(new Set(after?.lines.map((line) => JSON.stringify(line)))).toEqual(
      new Set(before?.lines.map((line) => JSON.stringify(line))),
    );
    expect(after?.lines.filter(({ source }) => source === `9'`)).toHaveLength(501);
  });
});
