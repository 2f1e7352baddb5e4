import { reckon } from '../evaluate/reckon.ts';
import type { Value } from '../number/value.ts';
import { solve } from '../setting-out/solve.ts';
import type { Solved, Solver } from '../setting-out/solver.ts';
import { SOLVERS } from '../setting-out/solvers.ts';

export const shape = (id: string) => SOLVERS.find((one) => one.id === id) as Solver;

/** A shape worked out from entries by field, in the order in which they are written. */
export function solved(id: string, given: Readonly<Record<string, string>>): Solved {
  return solve(shape(id), Object.entries(given));
}

/** @throws for what is no size */
export function reckonLength(entry: string): Value {
  const { outcome } = reckon(entry);
  if (outcome?.kind !== 'quantity') throw new Error(entry);
  return outcome.quantity.value;
}
