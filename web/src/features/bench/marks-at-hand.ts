import { computed } from 'vue';
import { freeNames, withoutAssignment } from '@sprell/core';
import { afterPaint } from '../../ui/after-paint.ts';
import { useComfort } from '../comfort/comfort.store.ts';
import { useJobStore } from '../job/job.store.ts';
import { splitLabel } from '../job/slate-row.ts';
import type { Reckoning } from './reckoning.ts';
import type { Amount } from './stick/amount.ts';

/** Keeping the reading as a mark, and posting it to the mark in hand. */
export function useMarksAtHand(
  { reckoned, resting, lastRow, withChange }: Reckoning,
  place: { readonly above: () => string | undefined; readonly landed: () => void },
) {
  const store = useJobStore();
  const { putAway } = useComfort();

  /** What would be kept or posted: the entry as it is written, unless it keeps itself already, or else the last result. */
  const amount = computed((): Amount | undefined => {
    const shown = reckoned.value ?? resting.value;
    if (shown === undefined || shown.issue !== undefined || shown.outcome?.kind !== 'quantity') return undefined;
    const { quantity } = shown.outcome;
    const reading = shown.reading?.text ?? '';
    const assignment = shown.parsed.entry?.assignment;
    const { label, source } = splitLabel(shown.parsed.source);
    if (reckoned.value) return assignment ? undefined : { entry: source, label: label ?? undefined, reading, quantity };
    // A posting reads as what it posted; its line, as what the mark then came to.
    const posted = assignment !== undefined && assignment.operator !== 'keep';
    const entry = posted ? withoutAssignment(source, store.style) : `#${lastRow.value?.line.number}`;
    return { entry, label: label ?? undefined, reading, quantity };
  });

  function landOn(name: string, sign: '=' | '+=' | '-=', entry: string, undoSays?: string): void {
    if (reckoned.value === undefined) {
      store.land(`${name} ${sign} ${entry}`, undefined, undoSays);
    } else {
      const { label } = splitLabel(reckoned.value.parsed.source);
      const text = `${label === null ? '' : `${label}: `}${name} ${sign} ${entry}`;
      store.land(withChange(text), place.above(), undoSays);
    }
    place.landed();
    store.takeInHand(name);
  }
  function keepAs(name: string): void {
    if (amount.value === undefined) return;
    putAway('keep');
    const old = store.marks.find((mark) => mark.name.toLowerCase() === name.toLowerCase());
    landOn(name, '=', amount.value.entry, old && `Put ${old.name} back to ${old.reading}`);
  }
  function keepNew(): void {
    const names = store.marks.map((mark) => mark.name);
    keepAs(freeNames(names, 1)[0] as string);
  }
  function post(operator: 'add' | 'subtract', entry: string): void {
    const mark = store.inHand;
    const reading = amount.value?.reading;
    if (mark === undefined || reading === undefined) return;
    if (operator === 'add') landOn(mark.name, '+=', entry, `Take ${reading} off ${mark.name} again`);
    else landOn(mark.name, '-=', entry, `Put ${reading} back on ${mark.name}`);
  }

  return {
    amount,
    /** As the stick says it: a frame behind the reading, which waits for nothing. */
    shownAmount: afterPaint(() => amount.value),
    keepAs,
    keepNew,
    post,
  };
}
