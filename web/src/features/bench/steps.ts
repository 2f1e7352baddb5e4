import { computed, type Ref } from 'vue';
import { useHand } from '../../parts/entry/hand.ts';
import { useJob } from '../../live/use-jobs.ts';
import type { Reckoning } from './reckoning.ts';

export interface Steps {
  /** What undo would do now. */
  readonly undoSays: Readonly<Ref<string | undefined>>;
  readonly undo: () => void;
  readonly redo: () => void;
}

/** Undo is of what is in hand: of the entry while something stands in it, and of the slate otherwise. */
export function useSteps(
  { inHand }: Pick<Reckoning, 'inHand'>,
  on: {
    /** The entry that was cleared last, while it can be brought back. */
    readonly cleared: Readonly<Ref<string | undefined>>;
    readonly bringBack: () => void;
    readonly announce: (words: string) => void;
  },
): Steps {
  const job = useJob();
  const hand = useHand();
  const undoSays = computed(() => {
    if (on.cleared.value !== undefined) return 'Bring the entry back';
    return inHand.value === undefined ? job.steps.undoSays : 'Take the last change of the entry back';
  });
  function undo(): void {
    if (on.cleared.value !== undefined) on.bringBack();
    else if (inHand.value === undefined || hand.active?.undo() !== true) undoOnSlate();
  }
  function undoOnSlate(): void {
    const says = job.steps.undoSays;
    job.steps.undo();
    if (says !== undefined) on.announce(`Done: ${says}`);
  }
  function redo(): void {
    job.steps.redo();
    on.announce('Done again.');
  }
  return { undoSays, undo, redo };
}
