import { todaysForm } from '@sprell/contract';
import type { Memory } from '../adapters/local-memory.ts';
import type { LocalStore, LocalWrite } from '../adapters/local/local-store.ts';

/** A change that is on a page alone. */
export interface Loose {
  readonly jobId: string;
  readonly what: LocalWrite;
}

export const LEFT = 'left';
const leftIn = (memory: Memory): readonly Loose[] => memory.remembered<readonly Loose[]>(LEFT) ?? [];

/**
 * Writes down what a page has on itself alone in the moment that it is left. The device's database takes it a few
 * milliseconds later, and a page that goes takes along what was on its way there.
 */
export function leaveBehind(memory: Memory, loose: readonly Loose[]): void {
  if (loose.length > 0) memory.remember(LEFT, [...leftIn(memory), ...loose]);
}

/** A change is where it was on its way to: nobody has to take it up. */
export function arrived(memory: Memory, { what: { change } }: Loose): void {
  const left = leftIn(memory);
  const others = left.filter((one) => one.what.change.id !== change.id);
  if (others.length < left.length) memory.remember(LEFT, others.length === 0 ? undefined : others);
}

/**
 * Puts what a page left behind where it was on its way to. What had arrived there all the same is passed over by its id.
 * @returns what it was
 */
export async function takeUp(memory: Memory, store: LocalStore): Promise<readonly Loose[]> {
  const left = leftIn(memory);
  for (const one of left) {
    // The page may be there still, and have written it down meanwhile.
    if (!leftIn(memory).some(({ what }) => what.change.id === one.what.change.id)) continue;
    // A version before this may have left it.
    await store.write(one.jobId, { ...one.what, change: todaysForm(one.what.change), again: true });
    arrived(memory, one);
  }
  return left;
}
