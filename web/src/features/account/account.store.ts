import type { AccountWire, OwnAccountWire, ProblemCode } from '@sprell/contract';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type * as AccountServer from '../../adapters/account-server.ts';
import { forgetAll, remember, remembered } from '../../adapters/local-memory.ts';
import { localStore } from '../../adapters/local/local-store-loader.ts';
import { RequestFailure } from '../../adapters/request-failure.ts';
import { useJobs } from '../../live/use-jobs.ts';

/** Whose work this browser keeps, and what can be done about that. */
export const useAccount = defineStore('account', () => {
  const jobs = useJobs();
  /** As it was known last, where the server cannot be asked. */
  const account = shallowRef<AccountWire | OwnAccountWire | undefined>(remembered<AccountWire>('who'));
  /** The address that a letter went to, while its link was not opened yet. */
  const waitsFor = computed(() =>
    account.value && 'waitsFor' in account.value ? (account.value.waitsFor ?? undefined) : undefined,
  );
  /** What went wrong with what was asked last, in words, and what the server calls it. */
  const problem = ref<string>();
  const problemCode = ref<ProblemCode | 'offline'>();
  const isBusy = ref(false);

  /**
   * Looks something up, whatever else is under way: no button waits for it, which would swallow a touch.
   * @returns what the server said; undefined where that was no, and `problem` says why
   */
  async function read<T>(what: (server: typeof AccountServer) => Promise<T>): Promise<T | undefined> {
    problem.value = undefined;
    problemCode.value = undefined;
    try {
      return await what(await import('../../adapters/account-server.ts'));
    } catch (error) {
      problem.value = error instanceof RequestFailure ? error.message : 'That could not be asked; try again.';
      problemCode.value = error instanceof RequestFailure ? error.code : undefined;
      return undefined;
    }
  }

  /** Has something done, as `read`; meanwhile nothing else is asked for. */
  async function ask<T>(what: (server: typeof AccountServer) => Promise<T>): Promise<T | undefined> {
    isBusy.value = true;
    try {
      return await read(what);
    } finally {
      isBusy.value = false;
    }
  }

  function know(known: AccountWire | OwnAccountWire): void {
    account.value = known;
    remember('who', known);
  }

  async function load(): Promise<void> {
    const known = await read((server) => server.show());
    if (known) know(known);
  }

  /** This browser is of another account, or of the same one again: what waits goes, and what is there comes. */
  async function enterBy(what: (server: typeof AccountServer) => Promise<AccountWire>): Promise<boolean> {
    const entered = await ask(what);
    if (entered === undefined) return false;
    know(entered);
    await jobs.start();
    return true;
  }

  /** @returns whether the address is the account's now, or a letter went there first; undefined where neither is so */
  async function claim(email: string, password: string): Promise<'kept' | 'written' | undefined> {
    const claimed = await ask((server) => server.claim(email, password));
    if (claimed === undefined) return undefined;
    know(claimed);
    if (claimed.email === null) return 'written';
    await jobs.start();
    return 'kept';
  }

  /** How many changes would be lost on this device by signing out. */
  async function unsent(): Promise<number> {
    return (await localStore()).countWaiting();
  }

  /** Ends the session, and takes everything off this device. */
  async function leave(everywhere: boolean): Promise<boolean> {
    if ((await ask((server) => server.leave(everywhere))) === undefined) return false;
    await (await localStore()).clear();
    forgetAll();
    account.value = undefined;
    return true;
  }

  return { account, waitsFor, problem, problemCode, isBusy, read, ask, load, enterBy, claim, unsent, leave };
});
