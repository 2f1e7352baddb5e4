import { repeatedStep } from '@sprell/core';
import { computed, ref, type Ref } from 'vue';
import { nameOf } from '../../job/index.ts';
import { useJob } from '../../live/use-jobs.ts';
import type { Reckoning } from './reckoning.ts';
import { readLine } from '../../parts/slate/line-reading.ts';

export interface Landing {
  /** The line that the entry is to stand above; undefined for the foot. */
  readonly insertBefore: Ref<string | undefined>;
  /** What that line is called. */
  readonly insertsAbove: Readonly<Ref<string | undefined>>;
  readonly land: () => void;
  readonly landText: (text: string) => void;
  /** The last step again, on its result. */
  readonly repeat: () => void;
  /** A line came from what is typed, by whichever way: it is announced, and a new entry begins. */
  readonly landed: () => void;
}

/** How an entry becomes a line of the slate. */
export function useLanding(
  reckoning: Reckoning,
  on: {
    /** Says it to somebody who does not see the slate. */
    readonly announce: (words: string) => void;
    /** A new entry begins. */
    readonly begin: () => void;
    /** The line stands at the foot. */
    readonly atFoot: () => void;
  },
): Landing {
  const job = useJob();
  const { reckoned, again, lastRow } = reckoning;

  const insertBefore = ref<string>();
  const insertsAbove = computed(() => {
    const line = job.slate.rows.find((row) => row.line.id === insertBefore.value)?.line;
    return line && nameOf(line);
  });

  function announceLast(): void {
    const row = lastRow.value;
    if (row === undefined) return;
    const { reading, answer, problem, rounding } = readLine(row.worked, job.style);
    const says = reading?.text ?? answer ?? problem ?? '';
    on.announce(`${nameOf(row.line)} on the slate: ${says}${rounding === undefined ? '' : ` , ${rounding}`}`);
  }
  function landed(): void {
    // What did not land stays in the entry.
    if (job.isReader) return;
    announceLast();
    const stays = insertBefore.value !== undefined;
    on.begin();
    reckoning.dropChange();
    insertBefore.value = undefined;
    if (!stays) on.atFoot();
  }
  function land(): void {
    job.lines.land(reckoning.withChange(reckoning.written()), insertBefore.value);
    landed();
  }
  function landText(text: string): void {
    job.lines.land(text);
    landed();
  }
  function repeat(): void {
    if (reckoned.value && reckoned.value.issue === undefined) {
      const step = repeatedStep(reckoned.value.parsed);
      land();
      if (step !== undefined) landText(step);
    } else if (again.value !== undefined && reckoned.value === undefined) landText(again.value);
  }
  return { insertBefore, insertsAbove, land, landText, repeat, landed };
}
