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
  const keptConflicts = shallowRef<readonly KeptConflict[]>([]);
  /** Those that are some still: a line may say by now what was written here. */
  const conflicts = computed<readonly Conflict[]>(() => {
    job.rows();
    return keptConflicts.value.flatMap((kept) => toConflict(kept) ?? []);
  });
  let stack = new UndoStack('none', job.device.memory);
  job.device.memory.follow((key) => {
    if (stack.readAgain(key)) undoSays.value = stack.top()?.says;
  });

  /** The steps of a job that is opened. */
  function openSteps(jobId: string): void {
    stack = new UndoStack(jobId, job.device.memory);
    undoSays.value = stack.top()?.says;
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
    undoSays.value = step.says;
  }

  /** Takes the last step of this device back; what others changed since is not lost for it, but shown beside. */
  function undo(): void {
    if (job.isReader()) return;
    const done = stack.pop();
    undoSays.value = stack.top()?.says;
    if (done) takeBack(done.step, changedSince(done, saidNow));
  }

  function takeBack(step: Inverse, elsewhere: ReadonlySet<string>): void {
    if (step.kind === 'many') {
      job.together(() => {
        for (const one of step.steps) takeBack(one, elsewhere);
      });
      return;
    }
    if ('thingId' in step) {
      const left = job.things().takeBack(step, elsewhere.has(step.thingId));
      if (left !== undefined) job.failure.value = left;
      return;
    }
    const line = job.lines().get(step.lineId);
    if (line === undefined) return;
    if (step.kind !== 'restore' && elsewhere.has(line.id)) {
      const mine = step.kind === 'write' ? { ...line, ...step.content, deleted: false } : { ...line, deleted: true };
      keepBoth(line.id, mine);
    } else if (step.kind === 'write') job.write(line, step.content);
    else job.setDeleted(line, step.kind === 'delete');
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

  return { undoSays, openSteps, pushUndo, undo, conflicts, showConflicts, keepBoth, resolveConflict };
}
