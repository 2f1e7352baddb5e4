import pg from 'pg';
import type { Logger } from 'pino';

/** What server processes announce to each other, through the database: what changed, and who lost access to what. */
export const CHANNEL = 'sprell_job';

export type News =
  /** Jobs with the revisions they came to. */
  | { readonly kind: 'changed'; readonly jobs: readonly (readonly [string, number])[] }
  /** An account sees a job no more; or, without the job, a session of the account has ended. */
  | { readonly kind: 'shut'; readonly accountId: string; readonly jobId?: string };

export interface Listener {
  readonly jobId: string;
  readonly accountId: string;
  changed(revision: number): void;
  /** The stream ends; the listener asks again whether it may. */
  shut(): void;
}

const AGAIN_AFTER = 1000;
/** Milliseconds in which what changed is gathered before it is announced: less than a person notices. */
const GATHER = 40;
/** Most jobs in one notification; PostgreSQL takes 8000 characters, and one is about 50. */
const AT_ONCE = 100;
/**
 * Milliseconds for each listener of a job before its next notification. Each that is notified reads for itself:
 * forty that hear of every line of forty ask more than they write. One or two are notified at once.
 */
const PAUSE = 10;
/** No word waits longer. */
const LONGEST_PAUSE = 500;
/** Milliseconds between two looks at what nobody announced, because the process that changed it ended before it could. */
const LOOK_EVERY = 20_000;

/**
 * Notifies those who listen to a job of what happens to it, whichever server process it happened in. While the database cannot
 * be listened to, streams are ended: a listener that reconnects reads what was missed.
 */
export class JobFeed {
  readonly #url: string;
  readonly #log: Logger;
  /** By their jobs. */
  readonly #listeners = new Map<string, Set<Listener>>();
  #client: pg.Client | undefined;
  /** Jobs announced a moment ago, with the revision to send when their pause is over. */
  readonly #pausing = new Map<string, number | undefined>();
  #timer: ReturnType<typeof setTimeout> | undefined;
  #looking: ReturnType<typeof setInterval> | undefined;
  #isClosed = false;
  #isEnding = false;
  /** What is still to be sent: jobs with the revision they came to. */
  readonly #unsent = new Map<string, number>();
  #sending: ReturnType<typeof setTimeout> | undefined;
  /** One query at a time goes over the connection. */
  #last: Promise<unknown> = Promise.resolve();

  constructor(url: string, log: Logger) {
    this.#url = url;
    this.#log = log;
  }

  /** Begins to listen; where that fails, again and again until it does. */
  async start(): Promise<void> {
    if (this.#isClosed) return;
    const client = new pg.Client({
      connectionString: this.#url,
      application_name: 'sprell feed',
      // News that a crash loses is found by the next look: nothing has to reach the disk for it.
      options: '-c synchronous_commit=off',
    });
    client.on('notification', ({ payload }) => {
      this.#hear(JSON.parse(payload ?? '{}') as News);
    });
    const lost = (error: unknown) => {
      if (this.#client !== client) return;
      this.#client = undefined;
      this.#log.warn({ err: error }, 'The database is not listened to; trying again');
      this.#shutAll();
      this.#retry();
    };
    // More than one may come of one loss.
    client.on('error', lost);
    client.once('end', () => {
      lost(undefined);
    });
    try {
      await client.connect();
      this.#client = client;
      await client.query(`listen ${CHANNEL}`);
      this.#looking ??= setInterval(() => void this.look(), LOOK_EVERY).unref();
      await this.#tellAll();
    } catch (error) {
      this.#client = client;
      lost(error);
    }
  }

  #retry(): void {
    if (this.#isClosed) return;
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.start(), AGAIN_AFTER);
  }

  /**
   * A job changed: every process hears of it in a moment. After the transaction and apart from it: PostgreSQL lets
   * transactions that notify be done one at a time only.
   */
  changed(jobId: string, revision: number): void {
    this.#unsent.set(jobId, Math.max(revision, this.#unsent.get(jobId) ?? 0));
    this.#sending ??= setTimeout(() => {
      this.#sending = undefined;
      void this.#tellAll();
    }, GATHER);
  }

  async #ask(text: string, values: unknown[]): Promise<readonly Readonly<Record<string, unknown>>[]> {
    const asked = this.#last.then(() => {
      if (this.#client === undefined) throw new Error('The database is not listened to.');
      return this.#client.query<Record<string, unknown>>(text, values);
    });
    this.#last = asked.catch(() => undefined);
    return (await asked).rows;
  }

  async #tellAll(): Promise<void> {
    while (this.#unsent.size > 0 && this.#client !== undefined) {
      const jobs = [...this.#unsent].slice(0, AT_ONCE);
      for (const [jobId] of jobs) this.#unsent.delete(jobId);
      try {
        const news: News = { kind: 'changed', jobs };
        await this.#ask('select pg_notify($1, $2)', [CHANNEL, JSON.stringify(news)]);
      } catch {
        // The connection is lost, and what was not sent goes over the next.
        for (const [jobId, revision] of jobs) this.changed(jobId, revision);
        return;
      }
    }
  }

  /** Looks for what this process was not notified of. */
  async look(): Promise<void> {
    const jobs = [...this.#listeners.keys()];
    if (jobs.length === 0) return;
    try {
      const found = await this.#ask('select id, revision from job where id = any($1::uuid[])', [jobs]);
      this.#changed(new Map(found.map(({ id, revision }) => [id as string, Number(revision)])));
    } catch (error) {
      this.#log.warn({ err: error }, 'Jobs that are listened to could not be looked at');
    }
  }

  isListening(): boolean {
    return this.#client !== undefined && !this.#isEnding;
  }

  #hear(news: News): void {
    if (news.kind === 'changed') this.#changed(new Map(news.jobs));
    else
      for (const listener of this.#all())
        if (listener.accountId === news.accountId && (news.jobId ?? listener.jobId) === listener.jobId) listener.shut();
  }

  #changed(jobs: ReadonlyMap<string, number>): void {
    for (const [jobId, revision] of jobs)
      if (this.#pausing.has(jobId)) this.#pausing.set(jobId, Math.max(revision, this.#pausing.get(jobId) ?? 0));
      else this.#notify(jobId, revision);
  }

  #notify(jobId: string, revision: number): void {
    const listening = [...(this.#listeners.get(jobId) ?? [])];
    if (listening.length === 0) return;
    for (const listener of listening) listener.changed(revision);
    this.#pausing.set(jobId, undefined);
    setTimeout(
      () => {
        const later = this.#pausing.get(jobId);
        this.#pausing.delete(jobId);
        if (later !== undefined) this.#notify(jobId, later);
      },
      Math.min(LONGEST_PAUSE, listening.length * PAUSE),
    ).unref();
  }

  #all(): readonly Listener[] {
    return [...this.#listeners.values()].flatMap((ofJob) => [...ofJob]);
  }

  /** How many streams are open. */
  get size(): number {
    return this.#all().length;
  }

  /** @returns how to stop listening */
  listen(listener: Listener): () => void {
    const { jobId } = listener;
    const ofJob = this.#listeners.get(jobId) ?? new Set();
    this.#listeners.set(jobId, ofJob.add(listener));
    return () => {
      ofJob.delete(listener);
      if (ofJob.size === 0 && this.#listeners.get(jobId) === ofJob) this.#listeners.delete(jobId);
    };
  }

  /** The process stops: no more streams, but changes are still announced. */
  endAll(): void {
    this.#isEnding = true;
    this.#shutAll();
  }

  #shutAll(): void {
    for (const listener of this.#all()) listener.shut();
  }

  async close(): Promise<void> {
    this.#isClosed = true;
    clearTimeout(this.#timer);
    clearTimeout(this.#sending);
    clearInterval(this.#looking);
    await this.#tellAll();
    const client = this.#client;
    this.#client = undefined;
    this.#shutAll();
    await client?.end().catch(() => undefined);
  }
}
