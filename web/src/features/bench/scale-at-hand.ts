import { computed } from 'vue';
import { turn, turnedEntry } from '@sprell/core';
import { afterPaint } from '../../ui/after-paint.ts';
import { useJobStore } from '../job/job.store.ts';
import { OTHER, turnedLabel } from '../scale/side-words.ts';
import type { Reckoning } from './reckoning.ts';

/** What the scale in hand turns: the entry, or the result at rest. */
export function useScaleAtHand(
  { entry, reckoned, resting, redrafted, inHand, lastRow, withChange }: Reckoning,
  place: { readonly landed: () => void },
) {
  const store = useJobStore();
  const scaled = computed(() => {
    const outcome = (inHand.value ?? resting.value)?.outcome;
    return outcome?.kind === 'quantity' ? outcome.quantity : undefined;
  });

  /** Puts the size on the other side on the slate, behind the line that it comes of. */
  function landTurned(): void {
    const held = store.scaleInHand;
    // While a line of the slate is edited the strip shows that line, which is not there yet to be turned.
    if (redrafted.value !== undefined) return;
    if (held?.scale === undefined || scaled.value === undefined || reckoned.value?.issue !== undefined) return;
    const { dimension } = scaled.value;
    const { scale } = held;
    const from = store.scaleSide;
    if (!turn(scaled.value, scale, from).ok) return;
    const turned = (number: number | undefined) =>
      turnedEntry(`#${number}`, dimension, scale, from, store.style) ?? `#${number}`;
    const label = turnedLabel(held, OTHER[from]);
    if (reckoned.value)
      store.landAll(
        [() => withChange(entry.value), ([first]) => `${label}: ${turned(first)}`],
        'Take both lines off again',
      );
    else store.land(`${label}: ${turned(lastRow.value?.line.number)}`);
    place.landed();
  }

  return { shownScaled: afterPaint(() => (store.scaleInHand ? scaled.value : undefined)), landTurned };
}
