import { readQuantity } from '@sprell/core';
import { createPinia, setActivePinia } from 'pinia';
import { watch } from 'vue';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { changeWire, type Change, type KeptThing, type LineWire } from '@sprell/contract';
import fc from 'fast-check';
import { FakeServer, newDevice, OTHER_ID } from '../../testing/fake-server.ts';
import { firstReading } from './job-reading.ts';
import { useJobStore } from './job.store.ts';
import type { SlateRow, WorkedRow } from './slate-row.ts';

let server: FakeServer;
let device: ReturnType<typeof newDevice>;
// Loaded beforehand: with stopped clocks it would not come.
beforeAll(() => import('../../adapters/job-server.ts'));
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

async function openStore() {
  setActivePinia(createPinia());
  const store = useJobStore();
  await store.start();
  return store;
}

const settled = () => vi.advanceTimersByTimeAsync(0);

type Store = Awaited<ReturnType<typeof openStore>>;
const worked = (store: Store) => store.rows.filter((row): row is WorkedRow => row.kind === 'worked');
/** What each row says: an entry, or words among the lines. */
const says = (store: Store) => store.rows.map((row: SlateRow) => (row.kind === 'worked' ? row.entry : row.words));

function readings(store: Store): (string | undefined)[] {
  return worked(store).map(({ worked: { result } }) =>
    result.ok && result.outcome.kind === 'quantity' ? readQuantity(result.outcome.quantity).text : undefined,
  );
}

describe('the open job', () => {
  it('lands entries, binds what goes on from the last result, and stores references by id', async () => {
    const store = await openStore();
    store.land(`flats: 26' 4"`);
    store.land('/ 2');
    await settled();
    expect(readings(store)).toEqual(['26′ 4″', '13′ 2″']);
    expect(says(store)).toEqual([`flats: 26' 4"`, '#1 / 2']);
    expect([...server.lines.values()].map(({ source, label }) => [source, label])).toEqual([
      [`26' 4"`, 'flats'],
      [`#{${store.rows[0]?.line.id}} / 2`, null],
    ]);
    expect(store.keepState).toEqual({ kind: 'kept' });
  });

  it('takes back an edit with everything that depends on it, and a deletion, after a reload too', async () => {
    const store = await openStore();
    store.land(`5'`);
    store.land('#1 * 2');
    store.edit(store.rows[0]?.line.id as string, `6'`);
    expect(readings(store)).toEqual(['6′', '12′']);
    store.undo();
    expect(readings(store)).toEqual(['5′', '10′']);
    store.remove(store.rows[0]?.line.id as string);
    expect(readings(store)).toEqual([undefined]);
    await settled();
    const reloaded = await openStore();
    reloaded.undo();
    expect(readings(reloaded)).toEqual(['5′', '10′']);
  });

  it('keeps changes while the server is away and sends each once it is back, built on one another', async () => {
    const store = await openStore();
    server.away = true;
    store.land(`5'`);
    store.edit(store.rows[0]?.line.id as string, `6'`);
    await settled();
    expect(store.keepState).toEqual({ kind: 'here', changes: 2, reason: 'The server cannot be reached.' });
    server.away = false;
    await vi.advanceTimersByTimeAsync(20_000);
    expect(store.keepState).toEqual({ kind: 'kept' });
    expect(server.sent.map(({ kind }) => kind)).toEqual(['line.add', 'line.edit']);
    const [add, edit] = server.sent as [Change, Extract<Change, { kind: 'line.edit' }>];
    expect(edit.base).toBe(add.id);
  });

  it('shows both versions when another device changed the line, and loses neither', async () => {
    const store = await openStore();
    store.land(`5'`);
    await settled();
    const line = store.rows[0]?.line as LineWire;
    const theirs = { ...(server.lines.get(line.id) as LineWire), source: `9'`, revision: 50 };
    server.lines.set(line.id, theirs);
    store.edit(line.id, `6'`);
    await settled();
    expect(readings(store)).toEqual(['9′']);
    expect(store.conflicts).toMatchObject([{ line: { source: `9'` }, kept: { mine: { source: `6'` } } }]);
    store.resolveConflict(store.conflicts[0] as never, 'mine');
    await settled();
    expect(readings(store)).toEqual(['6′']);
    expect(server.sent.at(-1)).toMatchObject({ kind: 'line.edit', base: 50 });
  });

  it('shows what the server did not keep, after a reload too, until it was seen to', async () => {
    const store = await openStore();
    const answer = server.answer;
    server.answer = (change) =>
      'label' in change && change.label === 'rail'
        ? { id: change.id, status: 'refused', code: 'change.unfit', problem: 'label: Too big' }
        : answer(change);
    store.land(`1'`);
    store.land(`rail: 5'`);
    store.land(`2'`);
    await settled();
    expect(store.keepState).toEqual({ kind: 'kept' });
    const told = { what: 'line #2', says: `rail: 5'`, isEntry: true };
    expect(store.refusals).toMatchObject([told]);
    expect(store.refusals[0]?.why).toBe('its label is too long, or holds signs that cannot be kept');
    const again = await openStore();
    await settled();
    expect(again.refusals).toMatchObject([told]);
    await again.dropRefusals(again.refusals);
    expect(readings(again)).toEqual(['1′', '2′']);
    expect((await openStore()).refusals).toEqual([]);
  });

  it('goes on from what landed here, whatever another device put on the slate meanwhile', async () => {
    const store = await openStore();
    store.land(`4'`);
    await settled();
    const mine = store.rows[0]?.line as LineWire;
    const id = '01900000-0000-7000-8000-00000000aaaa';
    server.lines.set(id, { ...mine, id, number: 9, source: `3'`, position: 'a5', revision: 50 });
    await store.start();
    await settled();
    expect(readings(store)).toEqual(['4′', '3′']);
    store.land('* 2');
    expect(readings(store).at(-1)).toBe('8′');
    store.undo();
    store.undo();
    // Where that is gone, the last that there is.
    store.land('* 2');
    expect(readings(store)).toEqual(['3′', '6′']);
  });

  it('means its own line by a number that another device gave a line too, until the server says which it is', async () => {
    const store = await openStore();
    store.land(`1'`);
    await settled();
    server.refuses = 'job.full';
    store.land(`4'`);
    await settled();
    const mine = store.rows[1]?.line as LineWire;
    const id = '01900000-0000-7000-8000-00000000aaaa';
    server.lines.set(id, { ...mine, id, source: `3'`, position: 'a5', revision: 50 });
    await store.start();
    await settled();
    expect(worked(store).map(({ line }) => line.number)).toEqual([1, 2, 2]);
    store.land('* 2');
    expect(worked(store).at(-1)?.line.source).toBe(`#{${mine.id}} * 2`);
  });

  it('does again all that was taken back, to the same state, until something else is done', async () => {
    const step = fc.record({
      what: fc.constantFrom('land', 'landAll', 'words', 'edit', 'remove', 'move', 'note', 'clear', 'keep'),
      pick: fc.nat(20),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 12 }), fc.nat(12), async (steps, back) => {
        const store = await openStore();
        for (const [n, { what, pick }] of steps.entries()) {
          const rows = worked(store);
          const id = rows[pick % Math.max(rows.length, 1)]?.line.id;
          if (what === 'landAll') store.landAll([() => `${n}"`, ([first]) => `#${first} * 2`], 'Take both off');
          else if (what === 'words') store.landWords('note', `note ${n}`);
          else if (what === 'clear') store.clear();
          else if (what === 'keep') store.land(`m${pick} = ${n + 1}'`);
          else if (id === undefined || what === 'land') store.land(`${n}'`);
          else if (what === 'edit') store.edit(id, `${n + 20}'`);
          else if (what === 'remove') store.remove(id);
          else if (what === 'note') store.setNote(id, `for ${n}`);
          else store.move(id, pick % store.rows.length);
        }
        const all = says(store);
        const readingsThen = readings(store);
        const times = Math.min(back, steps.length);
        // There may be nothing to take back: an empty slate was cleared.
        const isTaken = times > 0 && store.undoSays !== undefined;
        for (let n = 0; n < times; n += 1) store.undo();
        await settled();
        expect(store.canRedo).toBe(isTaken);
        while (store.canRedo) store.redo();
        expect([says(store), readings(store)]).toEqual([all, readingsThen]);
        store.undo();
        store.land(`99'`);
        expect(store.canRedo).toBe(false);
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
    const before = await openStore();
    before.land(`5'`);
    before.land(`2'`);
    before.edit(before.rows[0]?.line.id as string, `6'`);
    await settled();
    for (const line of server.lines.values()) server.lines.set(line.id, { ...line, source: `9'`, revision: 50 });
    // Also after a reload.
    const store = await openStore();
    await settled();
    store.undo();
    expect(readings(store)).toEqual(['9′', '9′']);
    expect(store.conflicts).toMatchObject([{ line: { source: `9'` }, kept: { mine: { source: `5'` } } }]);
    store.resolveConflict(store.conflicts[0] as never, 'mine');
    expect(readings(store)).toEqual(['5′', '9′']);
    store.undo();
    expect(store.conflicts).toMatchObject([{ line: { number: 2 }, kept: { mine: { deleted: true } } }]);
    await settled();
    const again = await openStore();
    expect(again.conflicts).toHaveLength(1);
    again.resolveConflict(again.conflicts[0] as never, 'mine');
    await settled();
    expect(readings(again)).toEqual(['5′']);
  });

  it('takes steps back one by one where nobody else changed anything, others having moved the line', async () => {
    const store = await openStore();
    store.land(`5'`);
    const { id } = store.rows[0]?.line as LineWire;
    store.edit(id, `6'`);
    store.edit(id, `7'`);
    await settled();
    const line = server.lines.get(id) as LineWire;
    server.lines.set(id, { ...line, position: 'b0', revision: 50 });
    const again = await openStore();
    await settled();
    again.undo();
    again.undo();
    expect(readings(again)).toEqual(['5′']);
    again.undo();
    expect(again.rows).toEqual([]);
    expect(again.conflicts).toEqual([]);
  });

  it('renumbers a line whose number was taken, in every entry that uses it', async () => {
    const store = await openStore();
    server.answer = (change) => ({
      id: change.id,
      status: 'applied',
      line: { ...server.apply(change), ...(change.kind === 'line.add' && change.number === 1 ? { number: 7 } : {}) },
    });
    store.land(`5'`);
    store.land('#1 + 1"');
    await settled();
    expect(worked(store).map(({ line, entry }) => [line.number, entry])).toEqual([
      [7, `5'`],
      [2, '#7 + 1"'],
    ]);
    expect(store.renumbered).toEqual([[1, 7]]);
    expect(readings(store)).toEqual(['5′', '5′ 1″']);
  });

  it('puts lines above others, moves them, and takes each step back', async () => {
    const store = await openStore();
    for (const entry of [`1'`, `2'`, `3'`]) store.land(entry);
    store.land(`4'`, store.rows[1]?.line.id);
    expect(readings(store)).toEqual(['1′', '4′', '2′', '3′']);
    store.move(store.rows[3]?.line.id as string, 0);
    expect(readings(store)).toEqual(['3′', '1′', '4′', '2′']);
    store.move(store.rows[0]?.line.id as string, 2);
    expect(readings(store)).toEqual(['1′', '4′', '3′', '2′']);
    store.undo();
    store.undo();
    store.undo();
    expect(readings(store)).toEqual(['1′', '2′', '3′']);
    await settled();
    expect((await openStore()).rows).toHaveLength(3);
  });

  it('puts a line between two that other devices gave one place', async () => {
    const store = await openStore();
    store.land(`1'`);
    store.land(`2'`);
    await settled();
    const [first, second] = [...server.lines.values()] as [LineWire, LineWire];
    server.lines.set(second.id, { ...second, position: first.position, revision: 60 });
    server.lines.set(first.id, { ...first, revision: 61 });
    const again = await openStore();
    await settled();
    const last = again.rows[1]?.line.id as string;
    again.land(`3'`, last);
    expect(readings(again)[1]).toBe('3′');
    await settled();
    expect(readings(await openStore())[1]).toBe('3′');
  });

  it('sends nothing that the server does not take, whatever was pasted', async () => {
    const store = await openStore();
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
        store.land(`${one}: 5'`);
        store.land(`5' + ${other}`);
        store.landWords('heading', one);
        store.landWords('note', other);
        const { id } = store.rows[0]?.line as LineWire;
        store.edit(id, `${other}: ${one}`);
        store.setNote(id, other);
        store.editSetOut({
          id: store.addSetOut({ name: `x${one}`, shape: 'arc', answer: '', givens: [['rise', other]] }),
          name: `y${other}`,
          shape: 'arc',
          answer: '',
          givens: [['rise', one]],
        });
        store.addScale({ kind: 'sizes', paper: `1${one}`, site: `2${other}`, name: null });
        await settled();
        expect(server.sent.length).toBeGreaterThan(4);
        for (const change of server.sent) expect(changeWire.safeParse(change).error).toBeUndefined();
      }),
      { numRuns: 60 },
    );
  });

  it('takes everything off as one step, and brings it back as one', async () => {
    const store = await openStore();
    store.land(`1'`);
    store.land('last * 2');
    store.landWords('heading', 'Roof');
    await settled();
    store.clear();
    await settled();
    expect(store.conflicts).toEqual([]);
    expect(store.rows).toEqual([]);
    expect(store.undoSays).toBe('Bring all 3 lines back');
    store.undo();
    expect(says(store)).toEqual([`1'`, '#1 * 2', 'Roof']);
    expect(readings(store)).toEqual(['1′', '2′']);
  });

  it('comes off the slate and back in one go: written down together, drawn once, sent in one batch', async () => {
    const store = await openStore();
    for (let number = 1; number <= 30; number += 1) store.land(number === 1 ? `1'` : '#1 * 2');
    await settled();
    const write = vi.spyOn(device, 'write');
    const drawn = vi.fn();
    const stop = watch(() => store.rows, drawn, { flush: 'sync' });
    const fetch = vi.fn(server.fetch);
    vi.stubGlobal('fetch', fetch);
    const batches = () => fetch.mock.calls.filter(([path]) => path.endsWith('/changes')).length;
    store.clear();
    await settled();
    expect(write).toHaveBeenCalledOnce();
    expect(batches()).toBe(1);
    expect([...server.lines.values()].every(({ deleted }) => deleted)).toBe(true);
    const drawings = drawn.mock.calls.length;
    store.undo();
    expect(drawn.mock.calls.length).toBeLessThanOrEqual(drawings + 1);
    await settled();
    expect(write).toHaveBeenCalledTimes(2);
    expect(batches()).toBe(2);
    expect(readings(store)).toEqual(['1′', ...Array.from({ length: 29 }, () => '2′')]);
    expect([...server.lines.values()].some(({ deleted }) => deleted)).toBe(false);
    expect(store.keepState).toEqual({ kind: 'kept' });
    stop();
  });

  it('holds headings and plain notes among the lines, which take no number', async () => {
    const store = await openStore();
    store.land(`1'`);
    store.landWords('note', 'taped twice');
    store.landWords('heading', 'Plan', store.rows[0]?.line.id);
    store.landWords('heading', '  ');
    store.land(`2'`);
    expect(says(store)).toEqual(['Plan', `1'`, 'taped twice', `2'`]);
    expect(store.rows.map(({ line }) => line.number)).toEqual([null, 1, null, 2]);
    store.editWords(store.rows[0]?.line.id as string, 'Plan, north');
    store.editWords(store.rows[2]?.line.id as string, 'taped thrice');
    await settled();
    expect(says(await openStore())).toEqual(['Plan, north', `1'`, 'taped thrice', `2'`]);
    store.undo();
    store.undo();
    expect(says(store)).toEqual(['Plan', `1'`, 'taped twice', `2'`]);
  });

  it('keeps a note under a line, and takes it back', async () => {
    const store = await openStore();
    store.land(`rail: 4'`);
    store.setNote(store.rows[0]?.line.id as string, ' planed ');
    expect(store.rows[0]?.line.note).toBe('planed');
    store.setNote(store.rows[0]?.line.id as string, 'planed');
    store.undo();
    expect(store.rows[0]?.line.note).toBe('');
  });

  it('names what uses a line, and can leave its value there instead', async () => {
    const store = await openStore();
    for (const entry of [`10'`, '#1 / 3', 'sum(#1..#2)', '#2 * 3']) store.land(entry);
    const [first, second] = worked(store);
    expect(store.usersOf(first?.line.id as string)).toBe('#1 is used by #2, #3.');
    expect(store.usersOf(worked(store)[3]?.line.id as string)).toBeUndefined();
    expect(store.canKeepValue(second?.line.id as string)).toBe(true);
    store.removeKeepingValue(second?.line.id as string);
    expect(says(store)).toEqual([`10'`, `sum(#1; (40"))`, `(40") * 3`]);
    expect(readings(store)).toEqual(['10′', '13′ 4″', '10′']);
    store.undo();
    expect(says(store)).toEqual([`10'`, '#1 / 3', 'sum(#1..#2)', '#2 * 3']);
    expect(readings(store)).toEqual(['10′', '3′ 4″', '13′ 4″', '10′']);
  });

  it('leaves the value of a mark where it is used by name', async () => {
    const store = await openStore();
    for (const entry of [`rail = 4'`, '2 rail + #1', '#1 - rail / 2']) store.land(entry);
    expect(store.usersOf(store.rows[0]?.line.id as string)).toContain('#2');
    store.removeKeepingValue(store.rows[0]?.line.id as string);
    expect(says(store)).toEqual(['2 (48") + (48")', '(48") - (48") / 2']);
    expect(readings(store)).toEqual(['12′', '2′']);
    store.undo();
    expect(says(store)).toEqual([`rail = 4'`, '2 rail + #1', '#1 - rail / 2']);
  });

  it('has no value to leave for one of several lines that make a mark, nor for an approximation', async () => {
    const store = await openStore();
    for (const entry of [`rail = 4'`, 'rail += 1"', 'rail * 2', `1' * ln 3`]) store.land(entry);
    expect(store.canKeepValue(store.rows[0]?.line.id as string)).toBe(false);
    expect(store.canKeepValue(store.rows[1]?.line.id as string)).toBe(false);
    expect(store.canKeepValue(store.rows[3]?.line.id as string)).toBe(false);
  });
});

describe('the jobs of this device', () => {
  it('begins with a job of its own where there is none, told to the server with what was written in it', async () => {
    server.jobs = [];
    server.away = true;
    const store = await openStore();
    expect(store.job).toMatchObject({ title: 'First job', role: 'own' });
    store.land(`5'`);
    await settled();
    expect(store.keepState).toMatchObject({ kind: 'here', changes: 2 });
    server.away = false;
    await vi.advanceTimersByTimeAsync(20_000);
    expect(server.sent.map(({ kind }) => kind)).toEqual(['job.add', 'line.add']);
    expect(server.sent[0]).toMatchObject({ title: 'First job', reading: { finest: 16 } });
  });

  it('opens what it has where the server is away, with what waits in it, and opens a job that it has not yet', async () => {
    const store = await openStore();
    store.land(`5'`);
    await settled();
    server.away = true;
    store.land(`6'`);
    await settled();
    const again = await openStore();
    await settled();
    expect(readings(again)).toEqual(['5′', '6′']);
    expect(again.keepState).toMatchObject({ kind: 'here', changes: 1 });
    server.away = false;
    server.jobs = [...server.jobs, OTHER_ID];
    await again.open(OTHER_ID);
    expect(again.job?.id).toBe(OTHER_ID);
  });

  it('holds the changes of a job that is not ours any more, and sends those of others', async () => {
    const store = await openStore();
    server.refuses = 'job.not_found';
    store.land(`5'`);
    await settled();
    expect(store.keepState).toEqual({ kind: 'here', changes: 1, reason: 'There is no such job.' });
    server.refuses = undefined;
    await openStore();
    await settled();
    expect(server.sent.map(({ kind }) => kind)).toEqual(['line.add']);
  });

  it('keeps everything, and waits, while nobody is signed in', async () => {
    const store = await openStore();
    server.refuses = 'account.needed';
    store.land(`5'`);
    await settled();
    expect(store.keepState).toMatchObject({ kind: 'here', changes: 1 });
    expect(server.guests).toBe(1);
    server.refuses = undefined;
    await vi.advanceTimersByTimeAsync(60_000);
    expect(store.keepState).toEqual({ kind: 'kept' });
  });

  it('says that a change is on this page alone while the device has no room for it, and keeps and sends it once it has', async () => {
    const store = await openStore();
    await settled();
    const full = vi.spyOn(device, 'write').mockRejectedValue(new DOMException('', 'QuotaExceededError'));
    store.land(`1'`);
    store.land(`2'`);
    await settled();
    expect(store.keepState).toMatchObject({ kind: 'page', changes: 2 });
    const leaving = new Event('beforeunload', { cancelable: true });
    window.dispatchEvent(leaving);
    expect(leaving.defaultPrevented).toBe(true);
    // What comes from the server is not drawn over it.
    await store.open(store.job?.id as string);
    expect(readings(store)).toEqual(['1′', '2′']);
    expect(server.lines.size).toBe(0);
    full.mockRestore();
    await vi.advanceTimersByTimeAsync(6000);
    expect(store.keepState).toEqual({ kind: 'kept' });
    expect([...server.lines.values()].map(({ source }) => source)).toEqual([`1'`, `2'`]);
    expect(readings(await openStore())).toEqual(['1′', '2′']);
  });

  it('says where the browser keeps nothing that what is not sent goes with the page', async () => {
    newDevice(false);
    const store = await openStore();
    await settled();
    server.away = true;
    store.land(`1'`);
    await settled();
    expect(store.keepState).toMatchObject({ kind: 'page', changes: 1 });
    server.away = false;
    await vi.advanceTimersByTimeAsync(2000);
    expect(store.keepState).toEqual({ kind: 'kept' });
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
    const store = await openStore();
    store.setReading({ finest: 32 });
    expect(store.style.finest).toBe(32);
    await settled();
    expect(server.reading).toMatchObject({ finest: 32, length: 'ft-in' });
    store.setReadingForGood({ length: 'mm' });
    expect(store.style).toMatchObject({ finest: 32, length: 'mm' });
    expect((await openStore()).style).toMatchObject({ finest: 32, length: 'mm' });
    expect(server.reading.length).toBe('ft-in');
  });

  it('goes back to the job where the job is told anew', async () => {
    const store = await openStore();
    store.setReadingForGood({ length: 'mm', finest: 8 });
    store.setReading({ length: 'in' });
    expect(store.style).toMatchObject({ length: 'in', finest: 8 });
    expect(store.forGood).toEqual({ finest: 8 });
  });
});

describe('a thing that is kept whole', () => {
  const gable = { name: 'Gable', shape: 'right-triangle', answer: '', givens: [['rise', `5'`]] as const };

  it('stands beside what another device wrote of it meanwhile, named in a sentence, and neither is lost', async () => {
    const store = await openStore();
    const id = store.addSetOut(gable);
    await settled();
    const kept = server.things.get(id);
    server.things.set(id, {
      kind: 'setout',
      thing: { ...kept?.thing, entries: [`9'`], revision: 50 } as unknown as KeptThing['thing'],
    });
    store.editSetOut({ id, ...gable, givens: [['rise', `6'`]] });
    await settled();
    expect(store.failure).toMatch(/^The setting-out Gable was changed elsewhere too\./);
    const again = await openStore();
    await settled();
    expect(again.setOuts.map(({ givens }) => givens[0]?.[1])).toEqual([`9'`, `6'`]);
    expect([...server.things.values()].map(({ thing }) => (thing['entries'] as string[])[0])).toEqual([`9'`, `6'`]);
  });

  it('is left as another device has it where a step back would take that away, and what it was stands beside it', async () => {
    const store = await openStore();
    const id = store.addSetOut(gable);
    store.editSetOut({ id, ...gable, givens: [['rise', `6'`]] });
    await settled();
    const kept = server.things.get(id) as KeptThing;
    const theirs = { ...kept.thing, entries: [`9'`], revision: 50 } as unknown as KeptThing['thing'];
    server.things.set(id, { kind: 'setout', thing: theirs });
    await store.start();
    await settled();
    store.undo();
    expect(store.setOuts.map(({ givens }) => givens[0]?.[1])).toEqual([`9'`, `5'`]);
    expect(store.failure).toContain('changed elsewhere');
  });
});
