import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import {
  afterPosting,
  isMetric,
  reckon,
  reckonTyped,
  repeatedStep,
  understood,
  wholeTimes,
  type Reckoned,
} from '@sprell/core';
import { changedStyle, type ReadingChange } from '../../job/index.ts';
import { useJob } from '../../live/use-jobs.ts';
import { withReading } from './reading/reading-change.ts';
import { usedBy, type Used } from './used.ts';

/** What the bench shows as worked out: the entry, the line being edited before it, and the last line at rest. */
export function useReckoning(entry: Ref<string>) {
  const job = useJob();
  /** How the reading of the entry in hand is to differ from the job's. */
  const change = ref<ReadingChange>({});
  watch(entry, (_, before) => {
    // How the last line was looked at is not how the next one is to read.
    if (before === '') dropChange();
  });
  /** Nothing follows where there was no change: every line of the slate is written in this style. */
  function dropChange(): void {
    if (Object.keys(change.value).length > 0) change.value = {};
  }
  const style = computed(() => changedStyle(job.style, change.value));
  const metric = computed(() => isMetric(job.style.length));

  const workedRows = computed(() => job.slate.rows.filter((row) => row.kind === 'worked'));
  const lastRow = computed(() => {
    const rows = workedRows.value;
    const last = job.slate.graph.lastLine()?.id;
    return rows.find((row) => row.line.id === last);
  });
  const hasLast = computed(() => lastRow.value?.worked.result.ok === true);

  const options = () => ({ scope: job.slate.scope(), style: style.value, bare: job.reading.bare });
  const reckoned = computed(() => {
    return entry.value.trim() === '' ? undefined : reckonTyped(entry.value, options());
  });
  /** The line of the slate that is being edited, worked out. */
  const redrafted = shallowRef<Reckoned>();
  watch(redrafted, (now, before) => {
    if ((now === undefined) !== (before === undefined)) dropChange();
  });
  const inHand = computed(() => redrafted.value ?? reckoned.value);
  const resting = computed(() => {
    const last = lastRow.value;
    return last && reckon(last.entry, { scope: job.slate.scope(last.line.id), style: style.value });
  });

  /** As it is shown large: a posting as what its mark comes to. */
  const shownInHand = computed(() => inHand.value && afterPosting(inHand.value, options()));
  const shownResting = computed(() => {
    const result = lastRow.value?.worked.result;
    const after = result?.ok === true && result.outcome.kind === 'quantity' ? result.outcome.quantity : undefined;
    return resting.value && afterPosting(resting.value, options(), after);
  });

  /** Of an entry in error, what it comes to as far as it is understood. */
  const part = computed(() => inHand.value && understood(inHand.value, options()));

  /** A size divided by a size: how often it goes, and what is left over. */
  const whole = computed(() => {
    const parsed = (inHand.value ?? resting.value)?.parsed;
    return parsed?.entry && wholeTimes(parsed.entry, job.slate.scope(), style.value);
  });
  /** What the entry in hand uses lights up where it stands. */
  const used = computed<Used>((before) =>
    usedBy(
      inHand.value?.parsed.entry,
      workedRows.value.map(({ line }) => line.number),
      before,
    ),
  );
  /** The last step, to be taken again on its result. */
  const again = computed(() => {
    return lastRow.value && hasLast.value ? repeatedStep(lastRow.value.worked.parsed) : undefined;
  });

  /** What stands in the entry, as it is kept: with the units that were not typed. */
  const written = () => reckonTyped(entry.value, options()).written;
  /** A reading chosen for this entry alone stays with its line. */
  function withChange(text: string): string {
    return Object.keys(change.value).length === 0 ? text : withReading(text, change.value, job.style);
  }
  /** The reading chosen for the entry in hand, for its line, the job, or every job from now on. */
  function widen(to: 'line' | 'job' | 'always'): void {
    const last = lastRow.value;
    if (to === 'line' && last) job.lines.edit(last.line.id, withReading(last.entry, change.value, job.style));
    else if (to === 'job') job.reading.set(change.value);
    else job.reading.setForAll(change.value);
    dropChange();
  }

  return {
    entry,
    change,
    style,
    metric,
    workedRows,
    lastRow,
    hasLast,
    reckoned,
    options,
    redrafted,
    inHand,
    resting,
    shownInHand,
    shownResting,
    part,
    whole,
    used,
    again,
    withChange,
    written,
    dropChange,
    widen,
  };
}

export type Reckoning = ReturnType<typeof useReckoning>;
