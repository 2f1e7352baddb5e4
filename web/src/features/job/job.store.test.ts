import type { Change, ChangeResult, JobWire, LineWire } from '@sprell/contract';
import { readQuantity } from '@sprell/core';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useJobStore } from './job.store.ts';

const JOB_ID = '01900000-0000-7000-8000-0000000000aa';

/** A server that holds one job and answers as the real one does, or is away, or has another device's word on a line. */
class FakeServer {
  away = false;
  readonly sent: Change[] = [];
  answer: (change: Change) => ChangeResult = (change) => ({
    id: change.id,
    status: 'applied',
    line: this.apply(change),
  });
  readonly lines = new Map<string, LineWire>();
  #revision = 0;

  apply(change: Change): LineWire {
    const before = this.lines.get(change.lineId);
    const revision = (this.#revision += 1);
    const line: LineWire =
      change.kind === 'line.add'
        ? {
            id: change.lineId,
            number: change.number,
            position: change.position,
            source: change.source,
            label: change.label,
            note: change.note,
            revision,
            deleted: false,
          }
        : change.kind === 'line.edit'
          ? {
              ...(before as LineWire),
              position: change.position,
              source: change.source,
              label: change.label,
              note: change.note,
              revision,
            }
          : { ...(before as LineWire), deleted: change.kind === 'line.delete', revision };
    this.lines.set(line.id, line);
    return line;
  }

  readonly fetch = (path: string, init: { body?: string }): Promise<Response> => {
    if (this.away) return Promise.reject(new TypeError('no network'));
    if (path.endsWith('/changes')) {
      const { changes } = JSON.parse(init.body ?? '') as { changes: Change[] };
      this.sent.push(...changes);
      return Promise.resolve(
        Response.json({ revision: this.#revision, results: changes.map((change) => this.answer(change)) }),
      );
    }
    const job: JobWire = {
      id: JOB_ID,
      title: 'Porch',
      revision: this.#revision,
      nextNumber: this.lines.size + 1,
      reading: { length: 'ft-in', finest: 16, metricStep: '1', rounding: 'nearest' },
      lines: [...this.lines.values()],
    };
    return Promise.resolve(
      Response.json(path === '/api/jobs' ? [{ id: JOB_ID, title: 'Porch', revision: 0, lines: 0 }] : job),
    );
  };
}

let server: FakeServer;
beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  server = new FakeServer();
  vi.stubGlobal('fetch', server.fetch);
});
afterEach(() => {
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

function readings(store: Awaited<ReturnType<typeof openStore>>): (string | undefined)[] {
  return store.rows.map(({ worked: { result } }) =>
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
    expect(store.rows.map(({ entry }) => entry)).toEqual([`flats: 26' 4"`, '#1 / 2']);
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
    expect(store.keepState).toMatchObject({ kind: 'waiting', changes: 2 });
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
    server.answer = (change) => ({ id: change.id, status: 'conflict', line: theirs });
    store.edit(line.id, `6'`);
    await settled();
    expect(readings(store)).toEqual(['9′']);
    expect(store.conflicts).toMatchObject([{ line: { source: `9'` }, mine: { source: `6'` } }]);
    server.answer = (change) => ({ id: change.id, status: 'applied', line: server.apply(change) });
    store.resolveConflict(store.conflicts[0] as never, 'mine');
    await settled();
    expect(readings(store)).toEqual(['6′']);
    expect(server.sent.at(-1)).toMatchObject({ kind: 'line.edit', base: 50 });
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
    expect(store.rows.map(({ line, entry }) => [line.number, entry])).toEqual([
      [7, `5'`],
      [2, '#7 + 1"'],
    ]);
    expect(readings(store)).toEqual(['5′', '5′ 1″']);
  });
});
