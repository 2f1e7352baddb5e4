import type { Device } from '../adapters/device.ts';
import { receivedRows } from '../adapters/local/settled.ts';
import type { OpenJob } from './open-job.ts';
import type { WrittenHere } from './written-here.ts';

/** Until a server that did not answer is asked again. */
const TRY_AGAIN_AFTER = 5000;

/** What the open job is followed with. */
interface PageThatFollows {
  readonly device: Device;
  readonly open: OpenJob;
  readonly written: WrittenHere;
  /** Takes a job over from the server whole. */
  takeOver(jobId: string): Promise<void>;
}

/** Keeps the open job as this device has it, regardless of who wrote it, and this device as the server has it. */
export class Following {
  readonly #page: PageThatFollows;
  /** What is to be looked at again; undefined for everything. */
  readonly #stale = new Set<string | undefined>();
  #looking: Promise<void> | undefined;
  #stopListening: (() => void) | undefined;
  #listensTo: string | undefined;
  /** Up to where the open job is known to have changed. */
  #latest = { jobId: '', revision: 0 };
  #reading: Promise<void> = Promise.resolve();

  constructor(page: PageThatFollows) {
    this.#page = page;
    page.device.hear(({ jobId, ids, apart }) => {
      void this.lookAt(jobId, ids)
        .then(() => {
          if (this.#jobId === jobId) for (const thing of apart) page.open.showApart(thing);
        })
        .catch(() => undefined);
    });
  }

  get #jobId(): string | undefined {
    return this.#page.open.head?.id;
  }

  /**
   * Shows lines and things of the open job as this device has them by now.
   * @param ids all of the job where they are left out; what it says of itself, and what waits for an answer, always
   */
  lookAt(jobId: string, ids: readonly string[] | undefined): Promise<void> {
    if (this.#jobId !== jobId) return Promise.resolve();
    for (const id of ['job', ...(ids ?? [undefined])]) this.#stale.add(id);
    this.#looking ??= this.#lookAll(jobId).finally(() => (this.#looking = undefined));
    return this.#looking;
  }

  async #lookAll(jobId: string): Promise<void> {
    const { device, open, written } = this.#page;
    const local = await device.store();
    while (this.#stale.size > 0 && this.#jobId === jobId) {
      await written.done;
      const before = written.edits;
      const asked = [...this.#stale];
      const only = this.#stale.has(undefined) ? undefined : asked.flatMap((id) => id ?? []);
      const here = await local.open(jobId, only);
      // What was written meanwhile is later than what was read.
      if (written.edits !== before || this.#jobId !== jobId) continue;
      for (const id of asked) this.#stale.delete(id);
      if (here === undefined) continue;
      const ids = new Set(only ?? [...open.ids(), ...here.lines.map(({ id }) => id)]);
      open.take({ ...here, ids, loose: written.looseOf(jobId) });
    }
  }

  /** What happens to a job on other devices comes by itself from now on. */
  listenTo(jobId: string): void {
    if (this.#listensTo === jobId) return;
    this.stop();
    this.#listensTo = jobId;
    void this.#page.device
      .server()
      .then((server) => {
        if (this.#listensTo === jobId)
          this.#stopListening = server.listen(jobId, (revision) => {
            this.#keepUp(jobId, revision);
          });
      })
      .catch(() => undefined);
  }

  stop(): void {
    this.#stopListening?.();
    this.#stopListening = undefined;
    this.#listensTo = undefined;
  }

  /** Reads what was passed over while changes of ours waited. */
  readTheRest(): void {
    const { jobId, revision } = this.#latest;
    const { head } = this.#page.open;
    if (jobId === head?.id && revision > head.revision) this.#keepUp(jobId, revision);
  }

  /** Reads on until that has worked. */
  #keepUp(jobId: string, revision: number): void {
    this.#latest = { jobId, revision };
    this.#readOn(jobId, revision).catch(() =>
      setTimeout(() => {
        if (this.#jobId === jobId) this.#keepUp(jobId, revision);
      }, TRY_AGAIN_AFTER),
    );
  }

  /** Takes over what changed since this device read the job last; one reading follows the other. */
  #readOn(jobId: string, revision: number): Promise<void> {
    const { device, open, takeOver } = this.#page;
    this.#reading = this.#reading
      .catch(() => undefined)
      .then(async () => {
        const { head } = open;
        if (head?.id !== jobId || revision === head.revision) return;
        const theirs = await (await device.server()).since(jobId, head.revision);
        if (!(await (await device.store()).adopt(theirs, 'changes', head))) return takeOver(jobId);
        await this.lookAt(
          jobId,
          receivedRows(theirs).map(({ id }) => id),
        );
      });
    return this.#reading;
  }
}
