import { computed } from 'vue';
import { turn, turnedEntry } from '@sprell/core';
import { afterPaint } from '../../ui/after-paint.ts';
import { useJob } from '../../live/use-jobs.ts';
import { OTHER, turnedLabel } from '../scale/index.ts';
import type { Reckoning } from './reckoning.ts';

/** What the scale in hand turns: the entry, or the result at rest. */
export function useScaleAtHand(
  { reckoned, resting, redrafted, inHand, lastRow, withChange, written }: Reckoning,
  place: { readonly landed: () => void },
) {
  const job = useJob();
  const scaled = computed(() => {
    const outcome = (inHand.value ?? resting.value)?.outcome;
    return outcome?.kind === 'quantity' ? outcome.quantity : undefined;
  });

  /** Puts the size on the other side on the slate, behind the line that it comes of. */
  function landTurned(): void {
    const held = job.scales.inHand;
    // While a line of the slate is edited the strip shows that line, which is not there yet to be turned.
    if (redrafted.value !== undefined) return;
    if (held?.scale === undefined || scaled.value === undefined || reckoned.value?.issue !== undefined) return;
    const { dimension } = scaled.value;
    const { scale } = held;
    const from = job.scales.side;
    if (!turn(scaled.value, scale, from).ok) return;
    const turned = (number: number | undefined) =>
      turnedEntry(`#${number}`, dimension, scale, from, job.style) ?? `#${number}`;
    const label = turnedLabel(held, OTHER[from]);
    if (reckoned.value)
      job.lines.landAll([() => withChange(written()), ([first]) => `${label}: ${turned(first)}`], 'Remove both lines');
    else job.lines.land(`${label}: ${turned(lastRow.value?.line.number)}`);
    place.landed();
  }

  return { shownScaled: afterPaint(() => (job.scales.inHand ? scaled.value : undefined)), landTurned };
}
