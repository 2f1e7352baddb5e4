import { NO_THINGS, type ProblemCode } from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Device } from '../adapters/device.ts';
import type { JobHead, LocalJob } from '../adapters/local/local-store.ts';
import { RequestFailure } from '../adapters/request-failure.ts';
import { Following } from './following.ts';
import { plainHolder, type Cell, type Holder } from './holder.ts';
import { OpenJob } from './open-job.ts';
import { Outbox, type KeepState } from './outbox.ts';
import { firstReading } from './reading.ts';
import { WrittenHere } from './written-here.ts';

/** A job as it stands in the list. */
export type ListedJob = Pick<JobHead, 'id' | 'title'>;

/** The jobs of this device, which of them is open, and how all of them are kept the same here and on the server. */
export class Jobs {
  readonly open: OpenJob;
  readonly #device: Device;
  readonly #list: Cell<readonly ListedJob[]>;
  readonly #outbox: Outbox;
  readonly #written: WrittenHere;
  readonly #following: Following;
  readonly #ends = new AbortController();
  /** The job that was asked for last. */
  #wanted: string | undefined;

  constructor(device: Device, holder: Holder = plainHolder) {
    this.#device = device;
    this.#list = holder.cell<readonly ListedJob[]>([]);
    this.#outbox = new Outbox(
      device,
      holder,
      (jobId, { ids, apart }) => {
        void this.#following.lookAt(jobId, ids).then(() => {
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

  /** The oldest first. */
  get list(): readonly ListedJob[] {
    return this.#list.value;
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

  /** Opens what this device has, at once; what the server has beyond that is added later. */
  async start(): Promise<void> {
    // It is needed in a moment, and takes as long to come as what is waited for first.
    void this.#device.server().catch(() => undefined);
    await this.#guarded(async () => {
      const local = await this.#device.store();
      await this.#written.takeUpLeft();
      await this.#listHere();
      const wanted = this.#device.memory.remembered<string>('job') ?? this.list[0]?.id;
      const here = wanted === undefined ? undefined : await local.open(wanted);
      if (here) this.#show(here);
      const caughtUp = this.#catchUp();
      if (this.open.head === undefined) {
        await caughtUp;
        await this.#openFirst();
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
    this.#following.listenTo(here.head.id);
    this.open.lines.open();
  }

  /** The first of the jobs; where there is none yet, a new one. */
  async #openFirst(): Promise<void> {
    if (this.open.head !== undefined) return;
    const [first] = this.list;
    const here = first && (await (await this.#device.store()).open(first.id));
    if (here) this.#show(here);
    else this.#makeJob('First job');
  }

  /** A job of one's own: here at once, on the server with its first change. */
  #makeJob(title: string): void {
    const id = uuidv7();
    const reading = firstReading();
    const made: JobHead = { id, title, reading, revision: 0, role: 'own', nextNumber: 1 };
    this.#show({ head: made, lines: [], things: NO_THINGS, waiting: [], conflicts: [], refusals: [], own: new Map() });
    this.#list.value = [...this.list, made];
    this.#written.keep({ change: { id: uuidv7(), kind: 'job.add', title, reading } });
  }

  async #listHere(): Promise<void> {
    this.#list.value = byAge(await (await this.#device.store()).heads());
  }

  /** Sends what waits, and takes over what the server has. Resolves when the job that is to be open is up to date. */
  async #catchUp(): Promise<void> {
    await this.#outbox.retry();
    const local = await this.#device.store();
    try {
      const listed = await (await this.#device.server()).list();
      const heads = await local.heads();
      this.#list.value = byAge([...heads.filter(({ id }) => !listed.some((one) => one.id === id)), ...listed]);
      const known = new Map(heads.map((head) => [head.id, head]));
      const open = this.open.head?.id ?? this.#device.memory.remembered<string>('job');
      const [first, ...others] = listed
        .filter(({ id, revision, history }) => {
          const head = known.get(id);
          return head?.revision !== revision || (head.history ?? history) !== history;
        })
        .sort((a, b) => Number(b.id === open) - Number(a.id === open));
      if (first) await this.#takeOver(first.id);
      const theirs = new Set(listed.map(({ id }) => id));
      // Every job, so that each can be opened where there is no signal.
      const rest = (async () => {
        for (const { id } of others) await this.#takeOver(id);
        for (const head of heads) if (!theirs.has(head.id)) await this.#notThere(head);
        await this.#listHere();
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
    const open = this.open.head?.id;
    if ((this.#wanted ?? open ?? jobId) !== jobId) return;
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
  async #notThere({ id, role, revision }: JobHead): Promise<void> {
    const local = await this.#device.store();
    if (role === 'own' && revision > 0) {
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

/** Ids of version 7 follow the time they were made at. */
function byAge<Job extends { readonly id: string }>(jobs: readonly Job[]): readonly Job[] {
  return [...jobs].sort((a, b) => (a.id < b.id ? -1 : 1));
}
