import { computed, shallowRef, watch } from 'vue';
import { freeNames, kindOf, withoutAssignment, type Kind } from '@sprell/core';
import { afterPaint } from '../../ui/after-paint.ts';
import { useComfort } from '../../live/comfort.store.ts';
import { useJob } from '../../live/use-jobs.ts';
import { splitLabel } from '../../job/index.ts';
import type { Reckoning } from './reckoning.ts';
import type { Amount, Refusal } from './stick/amount.ts';

/** Keeping the reading as a mark, and posting it to the mark in hand. */
export function useMarksAtHand(
  { reckoned, resting, lastRow, withChange }: Reckoning,
  place: { readonly above: () => string | undefined; readonly landed: () => void },
) {
  const job = useJob();
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
    const entry = posted ? withoutAssignment(source, job.style) : `#${lastRow.value?.line.number}`;
    return { entry, label: label ?? undefined, reading, quantity };
  });

  function landOn(name: string, sign: '=' | '+=' | '-=', entry: string, undoSays?: string): void {
    if (reckoned.value === undefined) {
      job.lines.land(`${name} ${sign} ${entry}`, undefined, undoSays);
    } else {
      const { label } = splitLabel(reckoned.value.parsed.source);
      const text = `${label === null ? '' : `${label}: `}${name} ${sign} ${entry}`;
      job.lines.land(withChange(text), place.above(), undoSays);
    }
    place.landed();
    job.marks.takeInHand(name);
  }
  function keepAs(name: string): void {
    if (amount.value === undefined) return;
    putAway('keep');
    const old = job.marks.list.find((mark) => mark.name.toLowerCase() === name.toLowerCase());
    landOn(name, '=', amount.value.entry, old && `Put ${old.name} back to ${old.reading}`);
  }
  function keepNew(): void {
    const names = job.marks.list.map((mark) => mark.name);
    keepAs(freeNames(names, 1)[0] as string);
  }
  /** A sign that was touched although the kinds do not add up, until something else is in hand. */
  const refusal = shallowRef<Refusal>();
  watch([() => job.marks.inHand?.name, () => amount.value?.entry], () => (refusal.value = undefined));

  /** Posts what is in hand now, whatever was drawn when the sign was touched. */
  function post(operator: 'add' | 'subtract'): void {
    const mark = job.marks.inHand;
    const posted = amount.value;
    if (mark === undefined || mark.problem !== undefined || posted === undefined) return;
    const kinds = [mark.quantity, posted.quantity].map((quantity) => quantity && kindOf(quantity.dimension));
    if (mark.quantity !== undefined && mark.quantity.dimension !== posted.quantity.dimension)
      refusal.value = { operator, mark: mark.name, kinds: kinds as [Kind, Kind], reading: posted.reading };
    else postOn(mark.name, operator, posted.entry, posted.reading);
  }
  /** Posts the number in hand as a size, behind a refusal. */
  function postAs(unit: string): void {
    const refused = refusal.value;
    const posted = amount.value;
    if (refused === undefined || posted === undefined || job.marks.inHand?.name !== refused.mark) return;
    postOn(refused.mark, refused.operator, `(${posted.entry})${unit}`, posted.reading);
  }
  function postOn(name: string, operator: 'add' | 'subtract', entry: string, reading: string): void {
    if (operator === 'add') landOn(name, '+=', entry, `Remove ${reading} from ${name}`);
    else landOn(name, '-=', entry, `Put ${reading} back on ${name}`);
  }

  return {
    amount,
    /** As the stick says it: a frame behind the reading, which waits for nothing. */
    shownAmount: afterPaint(() => amount.value),
    refusal,
    keepAs,
    keepNew,
    post,
    postAs,
  };
}
