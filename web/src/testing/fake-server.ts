import { useLocalStore } from '../adapters/local/local-store-loader.ts';
import { MemoryStore } from '../adapters/local/memory-store.ts';
import {
  changedThing,
  listsOf,
  namedFields,
  NEW_JOB,
  PROBLEMS,
  thingsBy,
  type Change,
  type ChangeResult,
  type JobFields,
  type JobWire,
  type LineChange,
  type LineWire,
  type KeptThing,
  type Thing,
  type ThingChange,
  type ProblemCode,
} from '@sprell/contract';

export const JOB_ID = '01900000-0000-7000-8000-0000000000aa';
export const OTHER_ID = '01900000-0000-7000-8000-0000000000bb';

/** This device's jobs as new. @returns what it keeps them in */
export function newDevice(lasts = true): MemoryStore {
  const store = new MemoryStore(lasts);
  useLocalStore(store);
  return store;
}

/** A server that holds one job and answers as the real one does, or is away, or has another device's word on a line. */
export class FakeServer {
  away = false;
  /** Ids of the jobs that it lists; what stands in them is the same for all. */
  jobs: readonly string[] = [JOB_ID];
  /** What it answers changes with, instead of taking them. */
  refuses: ProblemCode | undefined;
  guests = 0;
  readonly sent: Change[] = [];
  answer: (change: LineChange) => ChangeResult = (change) => ({
    id: change.id,
    status: 'applied',
    line: this.apply(change),
  });
  readonly lines = new Map<string, LineWire>();
  readonly things = new Map<string, KeptThing>();
  reading: JobWire['reading'] = {
    length: 'ft-in',
    finest: 16,
    metricStep: '1',
    rounding: 'nearest',
    fractions: 'lowest',
  };
  fields: JobFields = { title: 'Porch', ...NEW_JOB };
  /** Those of the jobs that hold an account's jigs. */
  shelves: ReadonlySet<string> = new Set();
  #fieldsOf(id: string): JobFields {
    return this.shelves.has(id) ? { ...this.fields, title: 'Jigs', holds: 'jigs' } : this.fields;
  }
  #revision = 0;

  readonly #done = new Map<string, number>();
  #revisionOf(base: number | string): number | undefined {
    return typeof base === 'number' ? base : this.#done.get(base);
  }

  apply(change: LineChange): LineWire {
    const revision = (this.#revision += 1);
    const line: LineWire = { ...this.#before(change), revision };
    this.lines.set(line.id, line);
    return line;
  }

  /** The line with the change done, but for its revision. */
  #before(change: LineChange): LineWire {
    const before = this.lines.get(change.lineId) as LineWire;
    if (change.kind === 'line.delete' || change.kind === 'line.restore')
      return { ...before, deleted: change.kind === 'line.delete' };
    const { position, source, label, note } = change;
    if (change.kind === 'line.edit') return { ...before, position, source, label, note };
    const kind = change.kind === 'line.add' ? 'worked' : change.words;
    const number = change.kind === 'line.add' ? change.number : null;
    return { id: change.lineId, kind, number, position, source, label, note, revision: 0, deleted: false };
  }

  #applyToThing(change: ThingChange): ChangeResult {
    const { id, of, thingId } = change;
    const before = this.things.get(thingId)?.thing;
    if ('base' in change && before && this.#revisionOf(change.base) !== before.revision)
      return { id, status: 'thing.conflict', of, thing: before };
    const revision = (this.#revision += 1);
    const thing = { ...changedThing(before ?? { id: thingId, deleted: false, revision }, change), revision };
    this.things.set(thingId, { kind: of, thing });
    this.#done.set(id, revision);
    return { id, status: 'thing', of, thing };
  }

  #settle(change: Change): ChangeResult {
    if ('thingId' in change) return this.#applyToThing(change);
    if ('lineId' in change) {
      const line = this.lines.get(change.lineId);
      // As the real one: a change made on another state of the line than the one it has is no change.
      if ('base' in change && line && this.#revisionOf(change.base) !== line.revision)
        return { id: change.id, status: 'conflict', line };
      const answer = this.answer(change);
      if (answer.status === 'applied') this.#done.set(change.id, answer.line.revision);
      return answer;
    }
    if (change.kind === 'job.reading') this.reading = change.reading;
    if (change.kind === 'job.set') this.fields = { ...this.fields, ...namedFields(change.fields) };
    const status = change.kind === 'job.set' ? 'job' : 'reads';
    const reading = change.kind === 'job.add' ? change.reading : this.reading;
    return { id: change.id, status, reading, job: this.fields };
  }

  #of(wanted: KeptThing['kind']): readonly Thing[] {
    return [...this.things.values()].filter(({ kind }) => kind === wanted).map(({ thing }) => thing);
  }

  readonly fetch = (path: string, init: { body?: string }): Promise<Response> => {
    if (this.away) return Promise.reject(new TypeError('no network'));
    if (path === '/api/account/guest') {
      this.guests += 1;
      return Promise.resolve(Response.json({ id: JOB_ID, email: null, key: null }));
    }
    if (path.endsWith('/changes') && this.refuses !== undefined) {
      const problem = { code: this.refuses, message: 'There is no such job.', requestId: 'r' };
      return Promise.resolve(Response.json(problem, { status: PROBLEMS[this.refuses] }));
    }
    if (path.endsWith('/changes')) {
      const { changes } = JSON.parse(init.body ?? '') as { changes: Change[] };
      this.sent.push(...changes);
      return Promise.resolve(
        Response.json({ revision: this.#revision, results: changes.map((change) => this.#settle(change)) }),
      );
    }
    const job: JobWire = {
      id: path.slice('/api/jobs/'.length) || JOB_ID,
      ...this.#fieldsOf(path.slice('/api/jobs/'.length) || JOB_ID),
      revision: this.#revision,
      history: OTHER_ID,
      restoredFrom: null,
      restoredRevision: 0,
      role: 'own',
      nextNumber: this.lines.size + 1,
      reading: this.reading,
      lines: [...this.lines.values()],
      ...listsOf(thingsBy((kind) => this.#of(kind))),
    };
    return Promise.resolve(
      Response.json(
        path === '/api/jobs'
          ? this.jobs.map((id) => ({
              id,
              ...this.#fieldsOf(id),
              revision: this.#revision,
              history: OTHER_ID,
              lines: 0,
              people: 1,
              changedAt: '2026-05-04T09:30:00Z',
              deletedAt: null,
              role: 'own',
            }))
          : job,
      ),
    );
  };
}
