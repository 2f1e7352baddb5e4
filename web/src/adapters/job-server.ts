/**
 * The server's jobs. The schemas that every answer is checked with are a tenth of the application, and nothing on the
 * first screen waits for them: the caller loads this file when it is due (`jobServer`).
 */
import { beGuest, jobEvents, jobSince, listJobs, openJob, sendChanges, type Change } from '@sprell/contract';
import type { z } from 'zod';
import { call } from './api-client.ts';
import { localStore } from './local/local-store-loader.ts';
import { remember, remembered } from './local-memory.ts';
import { RequestFailure } from './request-failure.ts';

export const list = () => withAccount(async () => takeEntered('jobs') ?? call(listJobs, {}));
export const open = (jobId: string) =>
  withAccount(async () => (entered?.first?.id === jobId && takeEntered('first')) || call(openJob, { jobId }));
export const since = (jobId: string, revision: number) => withAccount(() => call(jobSince, { jobId, revision }));

const LISTEN_AGAIN_AFTER = 5000;

/**
 * Listens to what happens to a job elsewhere, and listens again where the stream was lost or not to be had.
 * @returns how to stop
 */
export function listen(jobId: string, changed: (revision: number) => void): () => void {
  if (typeof EventSource === 'undefined') return () => undefined;
  let stream: EventSource;
  let again: ReturnType<typeof setTimeout> | undefined;
  const begin = () => {
    stream = new EventSource(jobEvents.path.replace(':jobId', jobId));
    stream.addEventListener('message', ({ data }: MessageEvent<string>) => {
      const message = jobEvents.response.safeParse(JSON.parse(data));
      if (message.success) changed(message.data.revision);
    });
    // The browser tries a lost stream again by itself, but not one that was refused.
    stream.addEventListener('error', () => {
      if (stream.readyState === EventSource.CLOSED) again = setTimeout(begin, LISTEN_AGAIN_AFTER);
    });
  };
  begin();
  return () => {
    clearTimeout(again);
    stream.close();
  };
}
/** @param history the one of the job that the changes were made in, where it is known */
export const send = (jobId: string, changes: Change[], history?: string) => {
  entered = undefined;
  return withAccount(() => call(sendChanges, { jobId }, history === undefined ? { changes } : { changes, history }));
};

/** What came with the account, for a browser that had nothing: each is used once, instead of a question of its own. */
interface Entered {
  readonly account: string;
  readonly until: number;
  jobs?: z.output<typeof listJobs.response> | undefined;
  first?: z.output<typeof openJob.response> | undefined;
}
let entered: Entered | undefined;
/** After that the server is asked: there may be something new. */
const ENTERED_FOR = 5000;

function takeEntered<What extends 'jobs' | 'first'>(what: What): Entered[What] {
  if (entered?.account !== remembered('account') || (entered?.until ?? 0) < performance.now()) entered = undefined;
  const taken = entered?.[what];
  if (entered) entered[what] = undefined;
  return taken;
}

const LOCK = 'sprell.guest';
const GUEST = 'guest';

/**
 * A browser that was nobody so far becomes a guest with an account of its own. One that had an account is not given
 * another: what it holds belongs to that one. A guest whose cookie was lost, as when the browser is killed, comes back by
 * its key; anybody else waits until somebody signs in.
 */
export async function withAccount<T>(ask: () => Promise<T>): Promise<T> {
  if (remembered('account') === undefined) await becomeGuest();
  try {
    return await ask();
  } catch (error) {
    const isNobody = error instanceof RequestFailure && error.code === 'account.needed';
    if (!isNobody || (await guestKey()) === undefined) throw error;
    await becomeGuest();
    return ask();
  }
}

async function guestKey(): Promise<string | undefined> {
  return (await (await localStore()).note(GUEST)) as string | undefined;
}

/** One tab at a time: the second finds the account that the first was given. */
function becomeGuest(): Promise<void> {
  const become = async () => {
    const known = await guestKey();
    const store = await localStore();
    const isEmpty = (await store.heads()).length === 0;
    const asked = { ...(known !== undefined && { key: known }), ...(isEmpty && { wants: 'jobs' as const }) };
    const { id, key, jobs, first } = await call(beGuest, {}, asked);
    entered = { account: id, until: performance.now() + ENTERED_FOR, jobs, first };
    // On the disk before anything is made that only this key could reach.
    if (key !== null) await store.setNote(GUEST, key);
    remember('account', id);
  };
  const { locks } = navigator as { locks?: LockManager };
  return locks ? locks.request(LOCK, become) : become();
}
