import type { LineWire } from '@sprell/contract';
import {
  describeIssue,
  readQuantity,
  type LineResult,
  type Quantity,
  type ReadingStyle,
  type Slate,
} from '@sprell/core';
import { computed, ref, watch } from 'vue';
import { remember, remembered } from '../../adapters/local-memory.ts';
import { madeAt } from './made-at.ts';
import type { Place } from './position-at.ts';
import type { SlateRow } from './slate-row.ts';
import type { Inverse, LineContent } from './undo-stack.ts';

/** A mark on the story stick, as it reads. */
export interface JobMark {
  readonly name: string;
  /** Its value, or words that it has none. */
  readonly reading: string;
  /** Undefined while the lines that make it are in error. */
  readonly quantity: Quantity | undefined;
  readonly problem: string | undefined;
  /** The line that kept it last, or posted to it first where none did; its note is the mark's. */
  readonly keptBy: string | undefined;
  /** When it was kept, in milliseconds since 1970. */
  readonly keptAt: number;
  /** The number of the line that changed it last. */
  readonly changedBy: number;
}

/** What the marks need of the open job. */
export interface JobLines {
  /** The rows as they are shown, to follow when they change. */
  rows(): readonly SlateRow[];
  style(): ReadingStyle;
  jobId(): string | undefined;
  slate(): Slate;
  /** The same with every change worked out, also where a worker is still at it: for a value that is written down. */
  freshSlate(): Slate;
  lines(): ReadonlyMap<string, LineWire>;
  shownSource(line: LineWire): string;
  /** Source as it is stored. */
  stored(source: string): string;
  write(line: LineWire, content: LineContent): void;
  /** Gives places of their own to lines that stand in the way of a place. */
  makeRoom(place: Place): void;
  setDeleted(line: LineWire, deleted: boolean): void;
  /** A version of a line that does not take the place of what stands there: both, until somebody chooses. */
  keepBoth(lineId: string, mine: LineWire): void;
  pushUndo(step: Inverse): void;
  /** Many changes, drawn once. */
  together(work: () => void): void;
  /** The setting-outs, by what they are called in a sentence, that writing entries anew would change; and doing that. */
  setOutsWith(rewrite: (entry: string) => string): readonly string[];
  rewriteSetOuts(rewrite: (entry: string) => string, isMeant?: (id: string) => boolean): readonly Inverse[];
}

/** The marks of the open job: their values, and which is in hand. */
export function useMarks(job: JobLines) {
  const chosen = ref<string>();
  const chosenIn = ref<string>();
  /** The line that stored the mark in hand: under its old name, after an undo, it is the same one. */
  let heldBy: string | undefined;

  const marks = computed<readonly JobMark[]>(() => {
    job.rows();
    const slate = job.slate();
    return slate.marks().map(({ name, result, madeBy }): JobMark => {
      const base = madeBy.findLast(({ operator }) => operator === 'keep') ?? madeBy[0];
      return {
        name,
        reading: sizeWords(result, job.style()),
        quantity: result.ok ? result.quantity : undefined,
        problem: result.ok ? undefined : describeIssue(result.issue),
        keptBy: base?.id,
        keptAt: base ? madeAt(base.id) : 0,
        changedBy: madeBy.reduce((latest, { number }) => Math.max(latest, number), 0),
      };
    });
  });

  /**
   * The mark that add and subtract go to: the one chosen or stored last on this device, or else the one that was changed
   * last. It never changes by what comes from another device: that could be between a look and a touch.
   */
  const inHand = computed<JobMark | undefined>(() => {
    const wanted = wantedName()?.toLowerCase();
    const last = marks.value.reduce<JobMark | undefined>(
      (latest, mark) => (latest === undefined || mark.changedBy > latest.changedBy ? mark : latest),
      undefined,
    );
    return (
      marks.value.find(({ name }) => name.toLowerCase() === wanted) ??
      marks.value.find(({ keptBy }) => keptBy !== undefined && keptBy === heldBy) ??
      last
    );
  });

  function wantedName(): string | undefined {
    const id = job.jobId();
    return chosenIn.value === id ? chosen.value : remembered<string>(`in-hand.${id}`);
  }
  watch(
    inHand,
    (mark) => {
      heldBy = mark?.keptBy;
      if (mark !== undefined && wantedName() === undefined) takeInHand(mark.name);
    },
    { immediate: true },
  );

  function takeInHand(name: string): void {
    const id = job.jobId();
    chosen.value = name;
    chosenIn.value = id;
    remember(`in-hand.${id}`, name);
  }

  return { marks, inHand, takeInHand };
}

/** What a result says on the stick. */
export function sizeWords(result: LineResult, style: ReadingStyle): string {
  if (!result.ok) return 'needs mending';
  return result.quantity === undefined ? '' : readQuantity(result.quantity, style).text;
}
