import type { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { ProblemError } from '../../http/problem-error.ts';

/** Guesses come in tens a day (see `guesses.ts`); what holds for a million of them is no word of anybody's list. */
const LEAST_SCORE = 2;
/** Signs that are looked at: the time goes with their square, and what is long is not weak behind them. */
const LOOKED_AT = 64;

let checker: Promise<ZxcvbnFactory> | undefined;

/** The list of passwords that people use most, with rows of keys and dates, is read when the first one is made up. */
async function makeChecker(): Promise<ZxcvbnFactory> {
  const [{ ZxcvbnFactory }, { adjacencyGraphs, dictionary }] = await Promise.all([
    import('@zxcvbn-ts/core'),
    import('@zxcvbn-ts/language-common'),
  ]);
  return new ZxcvbnFactory({ dictionary: { ...dictionary }, graphs: adjacencyGraphs, maxLength: LOOKED_AT });
}

/**
 * Refuses a password that is among the first that anybody tries: one of the common ones, also with a year or a sign put
 * behind it, rows of keys, counting, or the person's own address.
 * @throws {ProblemError} password.weak
 */
export async function refuseWeak(password: string, email?: string | null): Promise<void> {
  const own = email ? [email, ...email.split('@'), ...email.split(/[@.]/)] : [];
  checker ??= makeChecker();
  if ((await checker).check(password, ['sprell', ...own]).score < LEAST_SCORE)
    throw new ProblemError(
      'password.weak',
      'That password is among the first that anybody would try. Three or four words that have nothing to do with each other hold well.',
    );
}
