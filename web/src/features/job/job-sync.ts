import type { JobWire } from '@sprell/contract';
import { useEventListener } from '@vueuse/core';
import { v7 as uuidv7 } from 'uuid';
import type { Ref, ShallowRef } from 'vue';
import { jobServer } from '../../adapters/job-server-loader.ts';
import type { JobHead, LocalJob, LocalWrite } from '../../adapters/local/local-store.ts';
import { localStore } from '../../adapters/local/local-store-loader.ts';
import { NO_THINGS } from '../../adapters/local/settled.ts';
import { remembered } from '../../adapters/local-memory.ts';
import { RequestFailure } from '../../adapters/request-failure.ts';
import { firstReading } from './job-reading.ts';
import type { Outbox } from './outbox.ts';

/** Until a device that had no room is tried again. */
const TRY_AGAIN_AFTER = 5000;

/** What of the open job is kept on this device and taken over from the server. */
export interface KeptJob {
  readonly jobs: ShallowRef<readonly Pick<JobHead, 'id' | 'title'>[]>;
  readonly job: Readonly<ShallowRef<JobHead | undefined>>;
  readonly failure: Ref<string | undefined>;
  readonly outbox: Outbox;
  /** The head of the open job, with the number that its next line gets. */
  head(): JobHead | undefined;
  show(here: LocalJob): void;
  /** Changes of other devices, in what is shown. */
  merge(told: JobWire): void;
}

/** Opens jobs from this device, writes what is changed down on it, and keeps up with the server and other devices. */
export function useJobSync({ jobs, job, failure, outbox, head, show, merge }: KeptJob) {
  // A signal again, or a page that was put aside: what waits goes, and what was missed comes.
  const lookAgain = () => {
    if (document.visibilityState !== 'visible' || !job.value) return;
    if (loose.length > 0) writeDown();
    void catchUp().catch(() => undefined);
  };
  useEventListener(window, 'online', lookAgain);
  useEventListener(document, 'visibilitychange', lookAgain);

  /** Opens what this device has, at once; what the server has beyond that comes behind it. */
  async function start(): Promise<void> {
    await guarded(async () => {
      const local = await localStore();
      await listHere();
      const open = remembered<string>('job') ?? jobs.value[0]?.id;
      const here = open === undefined ? undefined : await local.open(open);
      if (here) show(here);
      const caughtUp = catchUp();
      if (job.value === undefined) {
        await caughtUp;
        await openFirst();
      } else void caughtUp.catch(() => undefined);
    });
  }

  /** The first of the jobs; where there is none yet, a new one. */
  async function openFirst(): Promise<void> {
    if (job.value !== undefined) return;
    const [first] = jobs.value;
    const here = first && (await (await localStore()).open(first.id));
    if (here) show(here);
    else makeJob('First job');
  }

  async function listHere(): Promise<void> {
    const heads = await (await localStore()).heads();
    jobs.value = byAge(heads);
  }

  /** Sends what waits, and takes over what the server has. Resolves when the job that is to be open is up to date. */
  async function catchUp(): Promise<void> {
    await outbox.retry();
    const local = await localStore();
    try {
      const listed = await (await jobServer()).list();
      const heads = await local.heads();
      jobs.value = byAge([...heads.filter(({ id }) => !listed.some((one) => one.id === id)), ...listed]);
      const revisions = new Map(heads.map(({ id, revision }) => [id, revision]));
      const open = job.value?.id ?? remembered<string>('job');
      const [first, ...others] = listed
        .filter(({ id, revision }) => revisions.get(id) !== revision)
        .sort((a, b) => Number(b.id === open) - Number(a.id === open));
      if (first) await takeOver(first.id);
      const theirs = new Set(listed.map(({ id }) => id));
      // Every job, so that each can be opened where there is no signal.
      const rest = (async () => {
        for (const { id } of others) await takeOver(id);
        for (const { id } of heads) if (!theirs.has(id) && id !== job.value?.id) await local.forget(id);
        await listHere();
      })();
      void rest.catch(() => undefined);
    } catch (error) {
      // What is here is here; the outbox says that the server is away.
      if (!(error instanceof RequestFailure)) throw error;
    }
  }

  /** One job as the server has it, but for what waits here. */
  async function takeOver(jobId: string): Promise<void> {
    const theirs = await (await jobServer()).open(jobId);
    await (await localStore()).adopt(theirs, 'all');
    if ((wanted ?? job.value?.id ?? jobId) === jobId) await showHere(jobId);
  }

  /** Changes that were made here, and the last of them being written down. */
  let edits = 0;
  let writing: Promise<unknown> = Promise.resolve();

  /** Shows a job as this device has it; what is written meanwhile is in it. */
  async function showHere(jobId: string): Promise<void> {
    const local = await localStore();
    for (;;) {
      await writing;
      const before = edits;
      const here = await local.open(jobId);
      if (edits !== before) continue;
      // What this device could not write down is on the page alone: it is not drawn over.
      if (here && !loose.some((one) => one.jobId === jobId)) show(here);
      return;
    }
  }

  /** The job that was asked for last. */
  let wanted: string | undefined;

  async function open(jobId: string): Promise<void> {
    wanted = jobId;
    await guarded(async () => {
      await showHere(jobId);
      try {
        await takeOver(jobId);
      } catch (error) {
        // Where the server is away, the job is open as it is here.
        if (!(error instanceof RequestFailure) || job.value?.id !== jobId) throw error;
      }
    });
  }

  /** Stops listening to the job that was open before. */
  let stopListening: (() => void) | undefined;
  let listensTo: string | undefined;
  /** What happens to the open job on other devices comes by itself. */
  function listenTo(jobId: string): void {
    if (listensTo === jobId) return;
    stopListening?.();
    stopListening = undefined;
    listensTo = jobId;
    void jobServer()
      .then((server) => {
        if (listensTo === jobId && typeof EventSource !== 'undefined')
          stopListening = server.listen(jobId, (revision) => void readOn(jobId, revision).catch(() => undefined));
      })
      .catch(() => undefined);
  }

  let reading: Promise<void> = Promise.resolve();
  /** Takes over what changed since this device read the job last; one reading follows the other. */
  function readOn(jobId: string, revision: number): Promise<void> {
    reading = reading
      .catch(() => undefined)
      .then(async () => {
        const head = job.value;
        if (head?.id !== jobId || revision <= head.revision) return;
        const theirs = await (await jobServer()).since(jobId, head.revision);
        await (await localStore()).adopt(theirs, 'changes');
        if (job.value?.id === jobId) merge(theirs);
      });
    return reading;
  }

  /** A job of one's own: here at once, on the server with its first change. */
  function makeJob(title: string): void {
    const id = uuidv7();
    const reading = firstReading();
    const made: JobHead = { id, title, reading, revision: 0, role: 'own', nextNumber: 1 };
    show({ head: made, lines: [], things: NO_THINGS, waiting: [], conflicts: [], refusals: [] });
    jobs.value = [...jobs.value, made];
    keepHere({ change: { id: uuidv7(), kind: 'job.add', title, reading } });
  }

  async function guarded(work: () => Promise<void>): Promise<void> {
    failure.value = undefined;
    try {
      await work();
    } catch (error) {
      failure.value = error instanceof RequestFailure ? error.message : 'Something failed while opening the job.';
    }
  }

  /** Changes that are on this page alone, in order: being written down, or waiting for the device to take them. */
  const loose: { readonly jobId: string; readonly what: LocalWrite }[] = [];
  let nextTry: ReturnType<typeof setTimeout> | undefined;

  /** Writes a change down on this device with what it leaves behind; from there it is sent. */
  function keepHere(what: LocalWrite): void {
    const kept = head();
    if (kept === undefined) return;
    edits += 1;
    loose.push({ jobId: kept.id, what: { ...what, head: kept } });
    writeDown();
  }

  /** Writes down what is loose, the first first; where the device takes no more, it is tried again. */
  function writeDown(): void {
    clearTimeout(nextTry);
    const written = writing.then(async () => {
      const local = await localStore();
      for (let first = loose[0]; first !== undefined; first = loose[0]) {
        try {
          await local.write(first.jobId, first.what);
        } catch {
          nextTry = setTimeout(writeDown, TRY_AGAIN_AFTER);
          return loose.length;
        }
        loose.shift();
      }
      return 0;
    });
    writing = written;
    void outbox.after(written);
  }

  // Whoever leaves is asked first where that would take something along.
  useEventListener(window, 'beforeunload', (event) => {
    if (outbox.state.value.kind === 'page') event.preventDefault();
  });

  return { start, open, keepHere, listenTo };
}

/** Ids of version 7 follow the time they were made at. */
function byAge<Job extends { readonly id: string }>(jobs: readonly Job[]): readonly Job[] {
  return [...jobs].sort((a, b) => (a.id < b.id ? -1 : 1));
}
