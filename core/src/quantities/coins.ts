import { makeRational } from '../number/rational.ts';
import { roundToStep, type Value } from '../number/value.ts';

/** Coins in one of the currency. */
export const COINS = 100;
/** The smallest coin. */
const COIN = makeRational(1, COINS);
/** Money to the smallest coin. */
export const toCoins = (money: Value): Value => roundToStep(money, COIN, 'nearest');

/** Money as a number of whole coins; not a number where it is finer, or more than a number holds exactly. */
export function coinsOf(money: Value): number {
  if (money.kind !== 'rational' || typeof money.num !== 'number' || typeof money.den !== 'number') return NaN;
  return COINS % money.den === 0 ? money.num * (COINS / money.den) : NaN;
}
