import {
  BATCH_LIMIT,
  sendChanges,
  KINDS,
  listsOf,
  thingsBy,
  type Change,
  type ChangeResult,
  type JobWire,
  type Role,
} from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import { Batch, type Known, type KnownLine, type Written } from '../server/src/features/changes/batch.ts';
import { jobFieldsToWire, lineToWire, readingToWire } from '../server/src/features/jobs/index.ts';
import { thingToWire, type ThingRow } from '../server/src/db/things.ts';
import { RequestFailure } from '../web/src/adapters/request-failure.ts';

const READING = {
  lengthStyle: 'ft-in',
  finest: 16,
  metricStep: '1',
  rounding: 'nearest',
  fractions: 'lowest',
} as const;

/** What the server keeps, all of it. */
interface Kept {
  readonly job: Known['job'];
  readonly lines: ReadonlyMap<string, KnownLine>;
  readonly things: Readonly<Record<string, ReadonlyMap<string, ThingRow>>>;
  readonly changes: ReadonlyMap<string, Known['changes'][number]>;
}

/** The server as the devices meet it: what decides on changes is the real thing, what keeps them is this machine's memory. */
export class SimServer {
  readonly jobId: string;
  /** Those who listen to the job. */
  readonly listeners = new Set<(revision: number) => void>();
  #kept: Kept;
  #backup: Kept;

  constructor(jobId: string) {
    this.jobId = jobId;
    const now = new Date(0);
    this.#kept = {
      job: {
        id: jobId,
        history: uuidv7(),
        restoredFrom: null,
        restoredRevision: 0,
        ownerId: jobId,
        title: 'Porch',
        revision: 0,
        nextNumber: 1,
        createdAt: now,
        changedAt: now,
        deletedAt: null,
        ...READING,
        ...{
          tags: [],
          archived: false,
          thousands: false,
          decimalComma: false,
          currency: '$',
          bareNumbers: 'plain' as const,
          moneyRounded: 'row' as const,
          holds: 'work' as const,
        },
      },
      lines: new Map(),
      things: Object.fromEntries(KINDS.map(({ name }) => [name, new Map()])),
      changes: new Map(),
    };
    this.#backup = this.#kept;
  }

  get revision(): number {
    return this.#kept.job.revision;
  }

  backUp(): void {
    this.#backup = this.#kept;
  }

  /** What came after the backup is gone. Streams end, and those who come back get the revision of the job. */
  restore(): void {
    const { job } = this.#backup;
    const now = { history: uuidv7(), restoredFrom: job.history, restoredRevision: job.revision };
    this.#kept = { ...this.#backup, job: { ...job, ...now } };
    for (const changed of [...this.listeners]) changed(this.revision);
  }

  list(role: Role) {
    const { job } = this.#kept;
    const { id, revision, history } = job;
    const counted = { lines: 0, people: 1, changedAt: job.changedAt.toISOString(), deletedAt: null };
    return [{ ...jobFieldsToWire(job), id, revision, history, role, ...counted }];
  }

  read(role: Role, after: number): JobWire {
    const { job, lines, things } = this.#kept;
    const since = <Row extends { readonly revision: number }>(rows: ReadonlyMap<string, Row>): Row[] =>
      [...rows.values()].filter(({ revision }) => revision > after);
    const { id, revision, nextNumber, history, restoredFrom, restoredRevision } = job;
    return {
      ...jobFieldsToWire(job),
      ...{ id, revision, history, restoredFrom, restoredRevision, nextNumber, role },
      reading: readingToWire(job),
      lines: since(lines).map(lineToWire),
      ...listsOf(thingsBy((kind) => since(things[kind] ?? new Map()).map((row) => thingToWire(kind, row)))),
    };
  }

  /** @throws {RequestFailure} where the real one would not take it */
  send(
    accountId: string,
    role: Role,
    sent: readonly Change[],
    history?: string,
  ): { revision: number; results: ChangeResult[] } {
    if (sent.length > BATCH_LIMIT) throw new Error('A batch is too long.');
    const body = sendChanges.body.safeParse({ changes: JSON.parse(JSON.stringify(sent)) as unknown });
    if (!body.success) throw new RequestFailure('request.invalid', 'The request is not what this address takes.');
    if (role === 'read') throw new RequestFailure('job.read_only', 'This job is yours to read, not to change.');
    const { job, lines, things, changes } = this.#kept;
    if (history !== undefined && history !== job.history) throw new RequestFailure('job.restored', 'It was put back.');
    const batch = new Batch(accountId, {
      job,
      changes: [...changes.values()].filter((one) => one.accountId === accountId),
      lines: [...lines.values()],
      numbers: [...lines.values()].flatMap(({ number }) => number ?? []),
      things: Object.fromEntries(Object.entries(things).map(([kind, rows]) => [kind, [...rows.values()]])),
      counts: Object.fromEntries(Object.entries(things).map(([kind, rows]) => [kind, rows.size])),
    });
    const results = body.data.changes.map((one): ChangeResult =>
      one.kind === 'unfit'
        ? { id: one.id, status: 'refused', code: 'change.unfit', problem: one.problem }
        : batch.apply(one.kind === 'earlier' ? one.change : one),
    );
    const written = batch.written();
    if (written) this.#keep(written);
    return { revision: this.revision, results };
  }

  #keep({ job, lines, things, changes }: Written): void {
    const put = <Row extends { readonly id: string }>(rows: ReadonlyMap<string, Row>, more: readonly Row[]) =>
      new Map([...rows, ...more.map((row) => [row.id, row] as const)]);
    this.#kept = {
      job,
      lines: put(this.#kept.lines, lines),
      things: Object.fromEntries(
        Object.entries(this.#kept.things).map(([kind, rows]) => [kind, put(rows, things[kind] ?? [])]),
      ),
      changes: put(this.#kept.changes, changes as Known['changes']),
    };
    for (const changed of [...this.listeners]) changed(this.revision);
  }

  /** What a change speaks of, for those who look at what was done. */
  static subject(change: Change): string {
    return 'lineId' in change ? change.lineId : 'thingId' in change ? change.thingId : 'job';
  }
}
