import { NO_THINGS, type KeptThing, type LineWire, type ProblemCode } from '@sprell/contract';
import { useEventListener } from '@vueuse/core';
import { v7 as uuidv7 } from 'uuid';
import type { Ref, ShallowRef } from 'vue';
import type { Device } from '../../adapters/device.ts';
import type { JobHead, LocalJob, LocalWrite } from '../../adapters/local/local-store.ts';
import { changeSubject, toldOf } from '../../adapters/local/settled.ts';
import { RequestFailure } from '../../adapters/request-failure.ts';
import { firstReading } from './job-reading.ts';
import { arrived, leaveBehind, LEFT, takeUp, type Loose } from './left-behind.ts';
import type { Outbox } from './outbox.ts';

/** Until a device that had no room, or a server that did not answer, is tried again. */
const TRY_AGAIN_AFTER = 5000;

/** What changed in the open job on this device, behind the page. */
export interface Taken extends LocalJob {
  /** What was looked at; a line or thing that is not among those told is not here any more. */
  readonly ids: ReadonlySet<string>;
  /** Lines and things of which this page has a later state, which is not on this device yet. */
  readonly loose: ReadonlySet<string>;
}

/** What of the open job is kept on this device and taken over from the server. */
export interface KeptJob {
  readonly jobs: ShallowRef<readonly Pick<JobHead, 'id' | 'title'>[]>;
  readonly job: Readonly<ShallowRef<JobHead | undefined>>;
  readonly failure: Ref<string | undefined>;
  readonly outbox: Outbox;
  readonly device: Device;
  /** The head of the open job, with the number that its next line gets. */
  head(): JobHead | undefined;
  show(here: LocalJob): void;
  /** What other devices, other pages of this one, and the server did, in what is shown. */
  take(taken: Taken): void;
  /** A line that was given another number as it was written down. */
  renumber(line: LineWire): void;
  /** A thing was changed elsewhere too, and stands twice. */
  tellApart(thing: KeptThing): void;
  /** Ids of everything that this page shows of the job. */
  ids(): Iterable<string>;
}

/** Opens jobs from this device, writes what is changed down on it, and keeps up with the server and other devices. */
export function useJobSync(kept: KeptJob) {
  const { device, jobs, job, failure, outbox, head, show } = kept;
  // A signal again, or a page that was put aside: what waits goes, and what was missed comes.
  const lookAgain = () => {
    if (document.visibilityState !== 'visible' || !job.value) return;
    if (loose.length > 0) writeDown();
    // Another page may have ended before it could tell what it did.
    void lookAt(job.value.id, undefined).catch(() => undefined);
    void catchUp().catch(() => undefined);
  };
  useEventListener(window, 'online', lookAgain);
  useEventListener(document, 'visibilitychange', lookAgain);

  /** Opens what this device has, at once; what the server has beyond that comes behind it. */
  async function start(): Promise<void> {
    // It is needed in a moment, and takes as long to come as what is waited for first.
    void device.server().catch(() => undefined);
    await guarded(async () => {
      const local = await device.store();
      await takeUpLeft();
      await listHere();
      const open = device.memory.remembered<string>('job') ?? jobs.value[0]?.id;
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
    const here = first && (await (await device.store()).open(first.id));
    if (here) show(here);
    else makeJob('First job');
  }

  async function listHere(): Promise<void> {
    const heads = await (await device.store()).heads();
    jobs.value = byAge(heads);
  }

  /** Sends what waits, and takes over what the server has. Resolves when the job that is to be open is up to date. */
  async function catchUp(): Promise<void> {
    await outbox.retry();
    const local = await device.store();
    try {
      const listed = await (await device.server()).list();
      const heads = await local.heads();
      jobs.value = byAge([...heads.filter(({ id }) => !listed.some((one) => one.id === id)), ...listed]);
      const known = new Map(heads.map((head) => [head.id, head]));
      const open = job.value?.id ?? device.memory.remembered<string>('job');
      const [first, ...others] = listed
        .filter(({ id, revision, history }) => {
          const head = known.get(id);
          return head?.revision !== revision || (head.history ?? history) !== history;
        })
        .sort((a, b) => Number(b.id === open) - Number(a.id === open));
      if (first) await takeOver(first.id);
      const theirs = new Set(listed.map(({ id }) => id));
      // Every job, so that each can be opened where there is no signal.
      const rest = (async () => {
        for (const { id } of others) await takeOver(id);
        for (const head of heads) if (!theirs.has(head.id)) await notThere(head);
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
    const local = await device.store();
    const asked = (await local.open(jobId, []))?.head;
    await local.adopt(await (await device.server()).open(jobId), 'all', asked);
    void outbox.drain();
    if ((wanted ?? job.value?.id ?? jobId) !== jobId) return;
    if (job.value?.id === jobId) await lookAt(jobId, undefined);
    else await showHere(jobId);
  }

  /** The server has a job no more, or will not show it. */
  async function notThere({ id, role, revision }: JobHead): Promise<void> {
    const local = await device.store();
    if (role === 'own' && revision > 0) {
      // Nobody takes a job from its owner: the server lost it, with a backup that was put back.
      await local.sendAgain(id);
      await lookAt(id, undefined);
      void outbox.drain();
    } else if (id !== job.value?.id) await local.forget(id);
  }

  /** The server does not take the changes of a job as they are. */
  async function seeTo(jobId: string, code: ProblemCode): Promise<void> {
    const local = await device.store();
    const head = (await local.open(jobId, []))?.head;
    if (head === undefined) return;
    if (code === 'job.not_found') {
      if (head.role !== 'own' || head.revision === 0) return;
      await notThere(head);
    } else {
      if (code === 'job.read_only') {
        await local.refuse(jobId, code);
        await lookAt(jobId, undefined);
      }
      await takeOver(jobId);
    }
    await outbox.retry();
  }

  /** Changes that were made here, and the last of them being written down. */
  let edits = 0;
  let writing: Promise<unknown> = Promise.resolve();

  /** Shows a job as this device has it; what is written meanwhile is in it. */
  async function showHere(jobId: string): Promise<void> {
    const local = await device.store();
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

  /** What is to be looked at again; undefined for everything. */
  const stale = new Set<string | undefined>();
  let looking: Promise<void> | undefined;

  /**
   * Shows lines and things of the open job as this device has them by now, whoever wrote them.
   * @param ids all of the job where they are left out; what it says of itself, and what waits for an answer, always
   */
  function lookAt(jobId: string, ids: readonly string[] | undefined): Promise<void> {
    if (job.value?.id !== jobId) return Promise.resolve();
    for (const id of ['job', ...(ids ?? [undefined])]) stale.add(id);
    looking ??= lookAll(jobId).finally(() => (looking = undefined));
    return looking;
  }

  async function lookAll(jobId: string): Promise<void> {
    const local = await device.store();
    while (stale.size > 0 && job.value?.id === jobId) {
      await writing;
      const before = edits;
      const asked = [...stale];
      const only = stale.has(undefined) ? undefined : asked.flatMap((id) => id ?? []);
      const here = await local.open(jobId, only);
      // What was written meanwhile is later than what was read.
      if (edits !== before || job.value.id !== jobId) continue;
      for (const id of asked) stale.delete(id);
      if (here === undefined) continue;
      const ids = new Set(only ?? [...kept.ids(), ...here.lines.map(({ id }) => id)]);
      const onlyHere = loose.filter((one) => one.jobId === jobId).map(({ what }) => changeSubject(what.change));
      kept.take({ ...here, ids, loose: new Set(onlyHere) });
    }
  }

  device.hear(({ jobId, ids, apart }) => {
    void lookAt(jobId, ids)
      .then(() => {
        if (job.value?.id === jobId) for (const thing of apart) kept.tellApart(thing);
      })
      .catch(() => undefined);
  });

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
    void device
      .server()
      .then((server) => {
        if (listensTo === jobId) stopListening = server.listen(jobId, (revision) => keepUp(jobId, revision));
      })
      .catch(() => undefined);
  }

  /** Up to where the open job is known to have changed. */
  let latest = { jobId: '', revision: 0 };

  /** What was passed over while changes of ours waited there is read now. */
  function readTheRest(): void {
    if (latest.jobId === job.value?.id && latest.revision > job.value.revision) keepUp(latest.jobId, latest.revision);
  }

  /** Reads on until that has worked. */
  function keepUp(jobId: string, revision: number): void {
    latest = { jobId, revision };
    readOn(jobId, revision).catch(() =>
      setTimeout(() => {
        if (job.value?.id === jobId) keepUp(jobId, revision);
      }, TRY_AGAIN_AFTER),
    );
  }

  let reading: Promise<void> = Promise.resolve();
  /** Takes over what changed since this device read the job last; one reading follows the other. */
  function readOn(jobId: string, revision: number): Promise<void> {
    reading = reading
      .catch(() => undefined)
      .then(async () => {
        const head = job.value;
        if (head?.id !== jobId || revision === head.revision) return;
        const theirs = await (await device.server()).since(jobId, head.revision);
        if (!(await (await device.store()).adopt(theirs, 'changes', head))) return takeOver(jobId);
        await lookAt(
          jobId,
          toldOf(theirs).map(({ id }) => id),
        );
      });
    return reading;
  }

  /** A job of one's own: here at once, on the server with its first change. */
  function makeJob(title: string): void {
    const id = uuidv7();
    const reading = firstReading();
    const made: JobHead = { id, title, reading, revision: 0, role: 'own', nextNumber: 1 };
    show({ head: made, lines: [], things: NO_THINGS, waiting: [], conflicts: [], refusals: [], own: new Map() });
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
  const loose: Loose[] = [];
  let nextTry: ReturnType<typeof setTimeout> | undefined;

  /** Writes a change down on this device with what it leaves behind; from there it is sent. */
  function keepHere(what: LocalWrite): void {
    const now = head();
    if (now === undefined) return;
    edits += 1;
    loose.push({ jobId: now.id, what: { ...what, head: now } });
    // Once for all that is done together.
    if (!isDue) queueMicrotask(writeDown);
    isDue = true;
  }
  let isDue = false;

  /** Writes down what is loose, the first first; where the device takes no more, it is tried again. */
  function writeDown(): void {
    clearTimeout(nextTry);
    isDue = false;
    const written = writing.then(async () => {
      const local = await device.store();
      while (loose.length > 0) {
        const { jobId } = loose[0] as Loose;
        const together = loose.slice(
          0,
          countWhile(loose, (one) => one.jobId === jobId),
        );
        try {
          const written = await local.write(jobId, ...together.map(({ what }) => what));
          const apart = written.flatMap((one) => one.apart);
          if (apart.length > 0) void lookAt(jobId, apart);
          written.forEach(({ line, apart: others }, n) => {
            const was = together[n]?.what.line?.number;
            if (others.length === 0 && line && line.number !== was && job.value?.id === jobId) kept.renumber(line);
          });
        } catch {
          nextTry = setTimeout(writeDown, TRY_AGAIN_AFTER);
          return loose.length;
        }
        loose.splice(0, together.length);
        if (hasLeft) for (const one of together) arrived(device.memory, one);
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

  let hasLeft = false;
  useEventListener(window, 'pagehide', () => {
    hasLeft ||= loose.length > 0;
    leaveBehind(device.memory, loose);
  });
  // Another page was left in the middle of something.
  device.memory.follow((key) => {
    if (key === LEFT) void takeUpLeft();
  });

  let nextLook: ReturnType<typeof setTimeout> | undefined;
  /** What was left behind by a page that is gone; where the device takes no more, it is tried again. */
  async function takeUpLeft(): Promise<void> {
    clearTimeout(nextLook);
    try {
      const left = await takeUp(device.memory, await device.store());
      if (left.length === 0) return;
      void outbox.retry();
      for (const { jobId, what } of left) await lookAt(jobId, [changeSubject(what.change)]);
    } catch {
      nextLook = setTimeout(() => void takeUpLeft(), TRY_AGAIN_AFTER);
    }
  }

  return { start, open, keepHere, listenTo, lookAt, seeTo, readTheRest, takeOver };
}

/** How many of a list, from its beginning, are so. */
function countWhile<T>(list: readonly T[], isSo: (one: T) => boolean): number {
  const end = list.findIndex((one) => !isSo(one));
  return end < 0 ? list.length : end;
}

/** Ids of version 7 follow the time they were made at. */
function byAge<Job extends { readonly id: string }>(jobs: readonly Job[]): readonly Job[] {
  return [...jobs].sort((a, b) => (a.id < b.id ? -1 : 1));
}
