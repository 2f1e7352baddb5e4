import {
  DELETED_KEPT_DAYS,
  thingsOf,
  type JobFields,
  type JobSummary,
  type JobWire,
  type ProblemCode,
} from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Device } from '../adapters/device.ts';
import type { JobHead, LocalJob } from '../adapters/local/local-store.ts';
import { RequestFailure } from '../adapters/request-failure.ts';
import { Following } from './following.ts';
import { plainHolder, type Cell, type Holder } from './holder.ts';
import { OpenJob } from './open-job.ts';
import { Outbox, type KeepState } from './outbox.ts';
import type { JobPart } from './job-parts.ts';
import type { AccountShelf } from './account-shelf.ts';
import { isWork } from './is-work.ts';
import type { JobPlan } from './new-job.ts';
import { firstReading } from './reading.ts';
import { WrittenHere } from './written-here.ts';

/** A job as it stands in the list. */
export interface ListedJob extends JobHead {
  /** When it was last opened on this device; 0 where it never was. */
  readonly usedAt: number;
}

const DAY_MS = 86_400_000;

/** The jobs of this device, which of them is open, and how all of them are kept the same here and on the server. */
export class Jobs {
  readonly open: OpenJob;
  readonly #device: Device;
  readonly #list: Cell<readonly ListedJob[]>;
  readonly #isFirst: Cell<boolean>;
  readonly #outbox: Outbox;
  readonly #written: WrittenHere;
  readonly #following: Following;
  readonly #holder: Holder;
  #shelf: Promise<AccountShelf> | undefined;
  readonly #ends = new AbortController();
  readonly #asked: string | undefined;
  #starting: Promise<void> | undefined;
  /** The job that was asked for last. */
  #wanted: string | undefined;

  /** @param asked the job to open first */
  constructor(device: Device, holder: Holder = plainHolder, asked?: string) {
    this.#device = device;
    this.#holder = holder;
    this.#asked = asked;
    this.#list = holder.cell<readonly ListedJob[]>([]);
    this.#isFirst = holder.cell(false);
    this.#outbox = new Outbox(
      device,
      holder,
      (jobId, { ids, apart }) => {
        void this.#following.lookAt(jobId, ids).then(() => {
          if (jobId === this.open.head?.id) this.#following.listenTo(jobId);
          this.#following.readTheRest();
        });
        if (jobId === this.open.head?.id) for (const thing of apart) this.open.showApart(thing);
      },
      (jobId, code) => void this.#seeTo(jobId, code).catch(() => undefined),
    );
    this.open = new OpenJob(device, holder, {
      write: (what) => {
        this.#written.keep(what);
      },
      lookAt: (ids) => this.#following.lookAt(this.open.head?.id ?? '', ids),
      takeOver: () => this.#takeOver(this.open.head?.id ?? '').catch(() => undefined),
    });
    const { signal } = this.#ends;
    this.#written = new WrittenHere(
      {
        device,
        outbox: this.#outbox,
        head: () => this.open.head && { ...this.open.head, nextNumber: this.open.slate.nextNumber },
        lookAt: (jobId, ids) => this.#following.lookAt(jobId, ids),
        renumber: (jobId, line) => {
          if (this.open.head?.id === jobId) this.open.slate.renumber(line);
        },
      },
      signal,
    );
    this.#following = new Following({
      device,
      open: this.open,
      written: this.#written,
      takeOver: (jobId) => this.#takeOver(jobId),
    });
    // A signal again, or a page that was put aside: what waits goes, and what was missed comes.
    const lookAgain = () => {
      this.#lookAgain();
    };
    window.addEventListener('online', lookAgain, { signal });
    document.addEventListener('visibilitychange', lookAgain, { signal });
  }

  /** All of them, also those that are put away or deleted: the one used last first. What holds an account's jigs is none. */
  get list(): readonly ListedJob[] {
    return this.#list.value.filter(isWork);
  }
  /** Those to choose from. */
  get current(): readonly ListedJob[] {
    return this.list.filter(({ archived, deleted }) => !archived && !deleted);
  }
  /** Where the changes of this device stand. */
  get keepState(): KeepState {
    return this.#outbox.state;
  }

  dispose(): void {
    this.#ends.abort();
    this.#following.stop();
    this.open.dispose();
  }

  #lookAgain(): void {
    const jobId = this.open.head?.id;
    if (document.visibilityState !== 'visible' || jobId === undefined) return;
    this.#written.retry();
    // Another page may have ended before it could say what it did.
    void this.#following.lookAt(jobId, undefined).catch(() => undefined);
    void this.#catchUp().catch(() => undefined);
  }

  /** Looks at the jobs of this device again. @returns how many changes of each wait */
  async look(): Promise<ReadonlyMap<string, number>> {
    // What makes another one comes along while there is a signal.
    void import('./new-job.ts').catch(() => undefined);
    await this.#written.done;
    await this.#listHere();
    return (await this.#device.store()).waitingByJob();
  }

  /** What the account has for all of its jobs: it comes when it is first asked for. */
  shelf(): Promise<AccountShelf> {
    this.#shelf ??= import('./account-shelf.ts').then(async ({ AccountShelf }) => {
      const jobs = { device: this.#device, holder: this.#holder, written: this.#written };
      const shelf = new AccountShelf(jobs, (sets) => {
        this.open.jigs.offer(sets);
      });
      await shelf.look();
      return shelf;
    });
    return this.#shelf;
  }
  /** Others of this person's devices may have changed it. */
  async #lookAtShelf(): Promise<void> {
    await (await this.#shelf)?.look();
  }

  /** Makes a new job and opens it: here at once, on the server with its first change. @returns its id */
  async make(plan: JobPlan): Promise<string> {
    const { newJob } = await import('./new-job.ts');
    const { head, whats } = newJob(plan);
    for (const what of whats) this.#written.keep(what, head);
    await this.#written.done;
    await this.#listHere();
    await this.#showHere(head.id);
    return head.id;
  }

  /** A copy of a job, with all that stands in it or with its set-up alone. @returns its id */
  async duplicate(jobId: string, title: string, parts: ReadonlySet<JobPart>): Promise<string | undefined> {
    await this.#written.done;
    const job = await (await this.#device.store()).open(jobId);
    if (!job) return undefined;
    const { reading, tags, thousands, decimalComma, currency, bareNumbers, moneyRounded } = job.head;
    return this.make({
      title,
      reading,
      fields: { tags, thousands, decimalComma, currency, bareNumbers, moneyRounded },
      from: { job, parts },
    });
  }

  /** Makes a job of one that came as a file, and opens it. @returns its id */
  async makeOf(job: JobWire): Promise<string> {
    const { planOf } = await import('./job-inside.ts');
    return this.make(planOf(job, thingsOf(job)));
  }

  /** A job as this device has it. */
  async here(jobId: string): Promise<LocalJob | undefined> {
    await this.#written.done;
    return (await this.#device.store()).open(jobId);
  }

  /** Changes what a job says of itself. One that is deleted makes room for the next. */
  async set(jobId: string, fields: Partial<JobFields>): Promise<void> {
    const isOpen = jobId === this.open.head?.id;
    const head = isOpen ? this.open.head : this.list.find(({ id }) => id === jobId);
    if (head === undefined || head.role === 'read') return;
    const deletedAt =
      fields.deleted === undefined ? {} : { deletedAt: fields.deleted ? new Date().toISOString() : null };
    const changed: JobHead = { ...head, ...fields, ...deletedAt };
    if (isOpen) this.open.ground.head = changed;
    this.#list.value = this.#list.value.map((one) => (one.id === jobId ? { ...one, ...changed } : one));
    this.#written.keep({ change: { id: uuidv7(), kind: 'job.set', fields } }, changed);
    await this.#written.done;
    if (isOpen && fields.deleted === true) await this.#openAnother();
  }

  async #openWhereNone(): Promise<void> {
    if (this.open.head === undefined) await this.#openAnother();
  }

  async #openAnother(): Promise<void> {
    const [next] = this.current;
    if (next) await this.openJob(next.id);
    else await this.#makeFirst();
  }

  /** Opens what this device has, at once; what the server has beyond that is added later. */
  start(): Promise<void> {
    this.#starting ??= this.#start(this.#asked).finally(() => (this.#starting = undefined));
    return this.#starting;
  }

  async #start(asked: string | undefined): Promise<void> {
    // It is needed in a moment, and takes as long to come as what is waited for first.
    void this.#device.server().catch(() => undefined);
    await this.#guarded(async () => {
      const local = await this.#device.store();
      await this.#written.takeUpLeft();
      await this.#listHere();
      const remembered = this.#device.memory.remembered<string>('job');
      const wanted = asked ?? this.current.find(({ id }) => id === remembered)?.id ?? this.current[0]?.id;
      const here = wanted === undefined ? undefined : await local.open(wanted);
      if (here) this.#show(here);
      const caughtUp = this.#catchUp(asked);
      if (this.open.head === undefined) {
        await caughtUp;
        await this.#openWhereNone();
      } else void caughtUp.catch(() => undefined);
    });
  }

  /** Opens another job: as it is here at once, and then as the server has it. */
  async openJob(jobId: string): Promise<void> {
    this.#wanted = jobId;
    await this.#guarded(async () => {
      await this.#showHere(jobId);
      try {
        await this.#takeOver(jobId);
      } catch (error) {
        // Where the server is away, the job is open as it is here.
        if (!(error instanceof RequestFailure) || this.open.head?.id !== jobId) throw error;
      }
    });
  }

  async #guarded(work: () => Promise<void>): Promise<void> {
    this.open.failure = undefined;
    try {
      await work();
    } catch (error) {
      this.open.failure = error instanceof RequestFailure ? error.message : 'Something failed while opening the job.';
    }
  }

  #show(here: LocalJob): void {
    this.open.show(here);
    const used = this.#device.memory.remembered<Readonly<Record<string, number>>>('used') ?? {};
    this.#device.memory.remember('used', { ...used, [here.head.id]: Date.now() });
    // There is nothing to hear of a job that the server has not got yet.
    if (here.head.history !== undefined) this.#following.listenTo(here.head.id);
    else this.#following.stop();
    this.open.lines.open();
  }

  /** Where there is no job yet. How it reads is asked once it is there. */
  async #makeFirst(): Promise<void> {
    await this.make({ title: 'First job', reading: firstReading() });
    this.#isFirst.value = true;
  }

  /** The open job was made for somebody who had none: they have not said yet how they measure. */
  get isFirst(): boolean {
    return this.#isFirst.value;
  }
  /** They have said it, by a choice or by working on. */
  begun(): void {
    this.#isFirst.value = false;
  }

  async #listHere(): Promise<void> {
    this.#list.value = this.#listed(await (await this.#device.store()).heads());
  }

  #listed(heads: readonly JobHead[]): readonly ListedJob[] {
    const used = this.#device.memory.remembered<Readonly<Record<string, number>>>('used') ?? {};
    return heads
      .filter(({ deletedAt }) => !deletedAt || Date.parse(deletedAt) > Date.now() - DELETED_KEPT_DAYS * DAY_MS)
      .map((head) => ({ ...head, usedAt: used[head.id] ?? 0 }))
      .sort((a, b) => b.usedAt - a.usedAt || (a.id < b.id ? -1 : 1));
  }

  /** Sends what waits, and takes over what the server has. Resolves when the job that is to be open is up to date. */
  async #catchUp(asked?: string): Promise<void> {
    await this.#outbox.retry();
    const local = await this.#device.store();
    try {
      const listed = await (await this.#device.server()).list();
      await local.count(listed.map(countsOf));
      const heads = await local.heads();
      const known = new Map(heads.map((head) => [head.id, head]));
      const open = this.open.head?.id ?? asked ?? this.#device.memory.remembered<string>('job');
      const [first, ...others] = listed
        .filter(({ id, revision, history }) => {
          const head = known.get(id);
          return head?.revision !== revision || (head.history ?? history) !== history;
        })
        .sort((a, b) => Number(b.id === open) - Number(a.id === open) || Number(isWork(b)) - Number(isWork(a)));
      if (first) await this.#takeOver(first.id);
      const theirs = new Set(listed.map(({ id }) => id));
      // Every job, so that each can be opened where there is no signal.
      const rest = (async () => {
        for (const { id } of others) await this.#takeOver(id);
        await local.count(listed.map(countsOf));
        for (const head of heads) if (!theirs.has(head.id)) await this.#notThere(head);
        await this.#listHere();
        await this.#lookAtShelf();
      })();
      void rest.catch(() => undefined);
    } catch (error) {
      // What is here is here; the outbox says that the server is away.
      if (!(error instanceof RequestFailure)) throw error;
    }
  }

  /** One job as the server has it, but for what waits here. */
  async #takeOver(jobId: string): Promise<void> {
    const local = await this.#device.store();
    const asked = (await local.open(jobId, []))?.head;
    await local.adopt(await (await this.#device.server()).open(jobId), 'all', asked);
    void this.#outbox.drain();
    const head = (await local.open(jobId, []))?.head;
    const open = this.open.head?.id;
    if ((this.#wanted ?? open ?? jobId) !== jobId || (head && !isWork(head))) return;
    if (open === jobId) await this.#following.lookAt(jobId, undefined);
    else await this.#showHere(jobId);
  }

  /** Shows a job as this device has it; what is written meanwhile is in it. */
  async #showHere(jobId: string): Promise<void> {
    const local = await this.#device.store();
    for (;;) {
      await this.#written.done;
      const before = this.#written.edits;
      const here = await local.open(jobId);
      if (this.#written.edits !== before) continue;
      // What this device could not write down is on the page alone: it is not drawn over.
      if (here && this.#written.looseOf(jobId).size === 0) this.#show(here);
      return;
    }
  }

  /** The server no longer has a job, or will not show it. */
  async #notThere({ id, role, revision, deleted }: JobHead): Promise<void> {
    const local = await this.#device.store();
    if (role === 'own' && revision > 0 && !deleted) {
      // Nobody takes a job from its owner: the server lost it, with a backup that was put back.
      await local.sendAgain(id);
      await this.#following.lookAt(id, undefined);
      void this.#outbox.drain();
    } else if (id !== this.open.head?.id) await local.forget(id);
  }

  /** The server does not take the changes of a job as they are. */
  async #seeTo(jobId: string, code: ProblemCode): Promise<void> {
    const local = await this.#device.store();
    const head = (await local.open(jobId, []))?.head;
    if (head === undefined) return;
    if (code === 'job.not_found') {
      if (head.role !== 'own' || head.revision === 0) return;
      await this.#notThere(head);
    } else {
      if (code === 'job.read_only') {
        await local.refuse(jobId, code);
        await this.#following.lookAt(jobId, undefined);
      }
      await this.#takeOver(jobId);
    }
    await this.#outbox.retry();
  }
}

/** What the server's list says of a job besides what it says itself. */
const countsOf = ({ id, lines, people, changedAt, deletedAt }: JobSummary) => ({
  ...{ id, people, changedAt, deletedAt },
  lineCount: lines,
});
