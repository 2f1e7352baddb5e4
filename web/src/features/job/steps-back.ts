import type { LineWire } from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref, shallowRef, type Ref } from 'vue';
import type { Device } from '../../adapters/device.ts';
import type { KeptConflict } from '../../adapters/local/local-store.ts';
import { sameWords } from '../../adapters/local/settled.ts';
import type { Conflict } from './conflict.ts';
import type { JobThings } from './job-things.ts';
import { changedSince, fingerprint, UndoStack, type Inverse, type LineContent } from './undo-stack.ts';

/** What of the open job steps are taken back in. */
export interface StepsOf {
  readonly device: Device;
  readonly failure: Ref<string | undefined>;
  jobId(): string | undefined;
  /** Nothing may be changed here: there is no step. */
  isReader(): boolean;
  /** The same, and whoever tries is told. */
  onlyReads(): boolean;
  /** The rows as they are shown, to follow when they change. */
  rows(): unknown;
  lines(): ReadonlyMap<string, LineWire>;
  things(): JobThings;
  whatItSays(line: LineWire): string;
  write(line: LineWire, content: LineContent): void;
  setDeleted(line: LineWire, deleted: boolean): void;
  /** Many changes, drawn once. */
  together(work: () => void): void;
  /** Puts what a line said on the slate as a new one. */
  landAgain(line: LineWire): void;
}

/** Steps back in the open job, and the versions that two devices made of one thing. */
export function useStepsBack(job: StepsOf) {
  const undoSays = ref<string>();
  /** Whether something was taken back that can be done again. */
  const canRedo = ref(false);
  const keptConflicts = shallowRef<readonly KeptConflict[]>([]);
  /** Those that are some still: a line may say by now what was written here. */
  const conflicts = computed<readonly Conflict[]>(() => {
    job.rows();
    return keptConflicts.value.flatMap((kept) => toConflict(kept) ?? []);
  });
  let stack = new UndoStack('none', job.device.memory);
  let taken = new UndoStack('none', job.device.memory, 'redo');
  job.device.memory.follow((key) => {
    if (stack.readAgain(key) || taken.readAgain(key)) showSteps();
  });

  function showSteps(): void {
    undoSays.value = stack.top()?.says;
    canRedo.value = taken.top() !== undefined;
  }

  /** The steps of a job that is opened. */
  function openSteps(jobId: string): void {
    stack = new UndoStack(jobId, job.device.memory);
    taken = new UndoStack(jobId, job.device.memory, 'redo');
    showSteps();
  }

  function showConflicts(kept: readonly KeptConflict[]): void {
    keptConflicts.value = kept;
  }

  function toConflict(kept: KeptConflict): Conflict | undefined {
    const { mine } = kept;
    // A line that was on a page alone may have gone with it.
    const line = job.lines().get(kept.lineId) ?? { ...mine, deleted: true };
    if (sameWords(mine, line)) return undefined;
    return {
      kept,
      line,
      mineSays: mine.deleted ? undefined : job.whatItSays({ ...mine, number: line.number }),
      theirsSays: line.deleted ? undefined : job.whatItSays(line),
    };
  }

  /** What undoing compares: a place on the slate may be another by now, and a number is the server's. */
  function saidNow(id: string): string | undefined {
    const line = job.lines().get(id);
    return line
      ? fingerprint(JSON.stringify([line.deleted, line.source, line.label, line.note]))
      : job.things().saidNow(id);
  }

  function pushUndo(step: Inverse): void {
    if (job.isReader()) return;
    stack.push(step, saidNow);
    // What was taken back before is not on the way that was gone on from here.
    taken.clear();
    showSteps();
  }

  /** Takes the last step of this device back; what others changed since is not lost for it, but shown beside. */
  function undo(): void {
    goAlong(stack, taken);
  }

  /** Does again what was taken back last, in the same way. */
  function redo(): void {
    goAlong(taken, stack);
  }

  function goAlong(from: UndoStack, to: UndoStack): void {
    if (job.isReader()) return;
    to.see();
    const done = from.pop();
    const again = done && takeBack(done.step, changedSince(done, saidNow));
    if (again) to.push(again, saidNow);
    showSteps();
  }

  /** @returns how to do it again; undefined where others changed it since */
  function takeBack(step: Inverse, elsewhere: ReadonlySet<string>): Inverse | undefined {
    const { says } = step;
    if (step.kind === 'many') {
      const again: Inverse[] = [];
      job.together(() => {
        for (const one of step.steps) again.unshift(...[takeBack(one, elsewhere) ?? []].flat());
      });
      return again.length > 0 ? { kind: 'many', steps: again, says } : undefined;
    }
    if ('thingId' in step) {
      const { left, again } = job.things().takeBack(step, elsewhere.has(step.thingId));
      if (left !== undefined) job.failure.value = left;
      return again;
    }
    const line = job.lines().get(step.lineId);
    if (line === undefined) return undefined;
    const { id: lineId, source, label, note, position } = line;
    if (step.kind !== 'restore' && elsewhere.has(lineId)) {
      const mine = step.kind === 'write' ? { ...line, ...step.content, deleted: false } : { ...line, deleted: true };
      keepBoth(lineId, mine);
      return undefined;
    }
    if (step.kind === 'write') {
      job.write(line, step.content);
      return { kind: 'write', lineId, content: { source, label, note, position }, says };
    }
    job.setDeleted(line, step.kind === 'delete');
    return { kind: step.kind === 'delete' ? 'restore' : 'delete', lineId, says };
  }

  /** A version of a line that does not take the place of what stands there: both, until somebody chooses. */
  function keepBoth(lineId: string, mine: LineWire): void {
    const kept: KeptConflict = { id: uuidv7(), lineId, jobId: job.jobId() ?? '', mine, changes: [] };
    keptConflicts.value = [...keptConflicts.value, kept];
    void job.device.store().then((local) => local.keepConflict(kept));
  }

  /** Settles a conflict: with one's own words, or by leaving the line as it is now. */
  function resolveConflict({ kept }: Conflict, keep: 'mine' | 'theirs'): void {
    if (keep === 'mine' && job.onlyReads()) return;
    keptConflicts.value = keptConflicts.value.filter(({ id }) => id !== kept.id);
    void job.device.store().then((local) => local.dropConflict(kept));
    const line = job.lines().get(kept.lineId);
    if (keep === 'theirs') return;
    if (!line) {
      job.landAgain(kept.mine);
      return;
    }
    if (line.deleted !== kept.mine.deleted) job.setDeleted(line, kept.mine.deleted);
    if (!kept.mine.deleted) job.write(job.lines().get(line.id) as LineWire, kept.mine);
  }

  return { undoSays, canRedo, openSteps, pushUndo, undo, redo, conflicts, showConflicts, keepBoth, resolveConflict };
}
