import { compareValue, subtractValue, valueToNumber } from '../number/value.ts';
import { LENGTH } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';

export interface NamedQuantity {
  readonly name: string;
  readonly quantity: Quantity;
}

/** A length on the rod. */
export interface RodMark<M extends NamedQuantity> {
  readonly mark: M;
  /** Where on the rod it lies: 0 at its foot, 1 at its end. For a picture only. */
  readonly place: number;
  /** The exact difference to the mark below; for the lowest none. */
  readonly gap: Quantity | undefined;
}

/** The marks of a job as a rod: lengths in proportion, and beside it what is no length. */
export interface Rod<M extends NamedQuantity> {
  /** The shortest first; equal ones in the order given. */
  readonly marks: readonly RodMark<M>[];
  readonly others: readonly M[];
  /** What the foot and the end of the rod stand for, in metres; a double, for a picture. Both 0 for an empty rod. */
  readonly foot: number;
  readonly end: number;
}

/** Lays marks out on a rod that reaches from nothing to the longest; below nothing where one is negative. */
export function rodOf<M extends NamedQuantity>(marks: readonly M[]): Rod<M> {
  const lengths = marks
    .filter(({ quantity }) => quantity.dimension === LENGTH)
    .sort((a, b) => compareValue(a.quantity.value, b.quantity.value));
  const sizes = lengths.map(({ quantity }) => valueToNumber(quantity.value));
  const foot = Math.min(0, ...sizes);
  const end = Math.max(0, ...sizes);
  const span = end - foot || 1;
  return {
    marks: lengths.map((mark, at) => ({
      mark,
      place: ((sizes[at] as number) - foot) / span,
      gap: gapBelow(lengths[at - 1], mark),
    })),
    others: marks.filter(({ quantity }) => quantity.dimension !== LENGTH),
    foot,
    end,
  };
}

function gapBelow(below: NamedQuantity | undefined, mark: NamedQuantity): Quantity | undefined {
  if (below === undefined) return undefined;
  return { value: subtractValue(mark.quantity.value, below.quantity.value), dimension: LENGTH };
}

/** A part of a rod, by places from 0 to 1. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/**
 * The stretch of a rod where marks crowd most: of all stretches of the given length, the one that holds the most marks,
 * the lowest of equals, moved to have them in its middle.
 * @param places of the marks, ascending
 * @param length of the stretch, over 0 and at most 1
 */
export function crowdedStretch(places: readonly number[], length: number): Stretch {
  let most = 0;
  let best: readonly number[] = [];
  for (let first = 0, last = 0; first < places.length; first += 1) {
    while (last < places.length && (places[last] as number) - (places[first] as number) <= length) last += 1;
    if (last - first > most) {
      most = last - first;
      best = places.slice(first, last);
    }
  }
  const middle = best.length === 0 ? 0.5 : ((best[0] as number) + (best[best.length - 1] as number)) / 2;
  return stretchAround(middle, length);
}

/** A stretch of a rod around a place, moved to lie on the rod as a whole. */
export function stretchAround(middle: number, length: number): Stretch {
  const from = Math.min(Math.max(0, middle - length / 2), 1 - length);
  return { from, to: from + length };
}

/**
 * Places for labels that stand as near as can be to what they name, in order, none nearer to the next than `apart`, all
 * between `low` and `high`. The sum of squared distances is the least there is (pool adjacent violators, Barlow et al.
 * 1972). Where they cannot all stand so far apart, they share the room evenly.
 * @param wanted where each would stand by itself, ascending
 */
export function spreadLabels(wanted: readonly number[], apart: number, low: number, high: number): readonly number[] {
  const count = wanted.length;
  if (count === 0) return [];
  const step = count === 1 ? 0 : Math.min(apart, (high - low) / (count - 1));
  // With the distance taken out, "in order and apart" is "not falling": blocks that fall are pooled to their mean.
  const blocks: { sum: number; size: number }[] = [];
  wanted.forEach((place, index) => {
    let block = { sum: place - index * step, size: 1 };
    for (let below = blocks[blocks.length - 1]; below && mean(below) > mean(block); below = blocks[blocks.length - 1]) {
      blocks.pop();
      block = { sum: block.sum + below.sum, size: block.size + below.size };
    }
    blocks.push(block);
  });
  const top = high - (count - 1) * step;
  return blocks
    .flatMap((block) => Array.from({ length: block.size }, () => Math.min(Math.max(mean(block), low), top)))
    .map((place, index) => place + index * step);
}

const mean = ({ sum, size }: { readonly sum: number; readonly size: number }) => sum / size;
