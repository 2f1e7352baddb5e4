import { computed, type ComputedRef } from 'vue';
import { readQuantity, rodOf, type ReadingStyle, type Rod } from '@sprell/core';
import type { JobMark } from '../../job/index.ts';
import { isOnRod, type MarkOnRod } from './mark-on-rod.ts';
import { ordered, type MarkOrder } from './mark-order.ts';

/** What the pictures of the stick on the bench are given. */
export interface ShownStick {
  readonly marks: readonly JobMark[];
  readonly style: ReadingStyle;
  /** Names of marks that the entry uses, in lower case: they light up. */
  readonly used: ReadonlySet<string>;
  readonly inHand: string | undefined;
  readonly order: MarkOrder;
  /** Shows what lies between a mark and the one below, in place of its size. */
  readonly gaps: boolean;
}

/** The marks as they stand on the bench: the longest at the top, as a rod stands, and what is no length below. */
export function useRodOrder(props: ShownStick): {
  readonly rod: ComputedRef<Rod<MarkOnRod>>;
  readonly shown: ComputedRef<readonly JobMark[]>;
  /** Where a mark lies on the rod, from 0 to 1; undefined for what is no length. */
  readonly placeOf: (name: string) => number | undefined;
  /** The gap below a mark, while gaps are shown. */
  readonly gapText: (name: string) => string | undefined;
  /** What is read aloud of it, for people who do not see the rod. */
  readonly gapLabel: (name: string) => string | undefined;
} {
  const rod = computed(() => rodOf(props.marks.filter(isOnRod)));
  const placed = computed(() => new Map(rod.value.marks.map((one, at) => [one.mark.name, { ...one, at }])));
  const shown = computed(() => {
    const standing = [...rod.value.marks].reverse().map(({ mark }): JobMark => mark);
    const others = props.marks.filter(({ name }) => !placed.value.has(name));
    return [...ordered(standing, props.order), ...ordered(others, props.order)];
  });
  const gapText = (name: string) => {
    const gap = props.gaps ? placed.value.get(name)?.gap : undefined;
    return gap && readQuantity(gap, props.style).text;
  };
  const gapLabel = (name: string) => {
    const [gap, below] = [gapText(name), rod.value.marks[(placed.value.get(name)?.at ?? 0) - 1]];
    return gap === undefined ? undefined : `${name}: ${gap} over ${below?.mark.name}`;
  };
  return { rod, shown, placeOf: (name) => placed.value.get(name)?.place, gapText, gapLabel };
}
