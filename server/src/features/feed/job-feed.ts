import pg from 'pg';
import type { Logger } from 'pino';

/** What is told of between server processes, through the database: what changed, and who lost access to what. */
export const CHANNEL = 'sprell_job';

export type News =
  | { readonly kind: 'changed'; readonly jobId: string; readonly revision: number }
  /** An account sees a job no more; or, without the job, a session of the account has ended. */
  | { readonly kind: 'shut'; readonly accountId: string; readonly jobId?: string };

export interface Listener {
  readonly jobId: string;
  readonly accountId: string;
  changed(revision: number): void;
  /** The stream ends; whoever listened asks again whether it may. */
  shut(): void;
}

const AGAIN_AFTER = 1000;

/**
 * Tells those who listen to a job what happens to it, whichever server process it happened in. While the database cannot
 * be listened to, streams are ended: whoever comes back reads what was missed.
 */
export class JobFeed {
  readonly #url: string;
  readonly #log: Logger;
  readonly #listeners = new Set<Listener>();
  #client: pg.Client | undefined;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #isClosed = false;

  constructor(url: string, log: Logger) {
    this.#url = url;
    this.#log = log;
  }

  /** Begins to listen; where that fails, again and again until it does. */
  async start(): Promise<void> {
    if (this.#isClosed) return;
    const client = new pg.Client({ connectionString: this.#url, application_name: 'sprell feed' });
    client.on('notification', ({ payload }) => {
      this.#tell(JSON.parse(payload ?? '{}') as News);
    });
    const lost = (error: unknown) => {
      if (this.#client !== client) return;
      this.#client = undefined;
      this.#log.warn({ err: error }, 'The database is not listened to; trying again');
      this.endAll();
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

  isListening(): boolean {
    return this.#client !== undefined;
  }

  #tell(news: News): void {
    for (const listener of [...this.#listeners])
      if (news.kind === 'changed') {
        if (listener.jobId === news.jobId) listener.changed(news.revision);
      } else if (listener.accountId === news.accountId && (news.jobId ?? listener.jobId) === listener.jobId)
        listener.shut();
  }

  /** @returns how to stop listening */
  listen(listener: Listener): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }

  endAll(): void {
    for (const listener of [...this.#listeners]) listener.shut();
  }

  async close(): Promise<void> {
    this.#isClosed = true;
    clearTimeout(this.#timer);
    const client = this.#client;
    this.#client = undefined;
    this.endAll();
    await client?.end().catch(() => undefined);
  }
}
