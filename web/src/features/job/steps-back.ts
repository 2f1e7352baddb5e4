import type { LineWire } from '@sprell/contract';
import { ref, type Ref, type ShallowRef } from 'vue';
import type { KeptConflict } from '../../adapters/local/local-store.ts';
import { localStore } from '../../adapters/local/local-store-loader.ts';
import type { Conflict } from './conflict.ts';
import type { JobThings } from './job-things.ts';
import { changedSince, UndoStack, type Inverse, type LineContent } from './undo-stack.ts';

/** What of the open job steps are taken back in. */
export interface StepsOf {
  readonly conflicts: ShallowRef<readonly Conflict[]>;
  readonly failure: Ref<string | undefined>;
  jobId(): string | undefined;
  lines(): ReadonlyMap<string, LineWire>;
  things(): JobThings;
  toConflict(kept: KeptConflict): Conflict;
  write(line: LineWire, content: LineContent): void;
  setDeleted(line: LineWire, deleted: boolean): void;
}

/** Steps back in the open job, and the versions that two devices made of one thing. */
export function useStepsBack(job: StepsOf) {
  const undoSays = ref<string>();
  let stack = new UndoStack('none');

  /** The steps of a job that is opened. */
  function openSteps(jobId: string): void {
    stack = new UndoStack(jobId);
    undoSays.value = stack.top()?.says;
  }

  /** What undoing compares: a place on the slate may be another by now, and a number is the server's. */
  function saidNow(id: string): string | undefined {
    const line = job.lines().get(id);
    return line ? JSON.stringify([line.deleted, line.source, line.label, line.note]) : job.things().saidNow(id);
  }

  function pushUndo(step: Inverse): void {
    stack.push(step, saidNow);
    undoSays.value = step.says;
  }

  /** Takes the last step of this device back; what others changed since is not lost for it, but shown beside. */
  function undo(): void {
    const done = stack.pop();
    undoSays.value = stack.top()?.says;
    if (done) takeBack(done.step, changedSince(done, saidNow));
  }

  function takeBack(step: Inverse, elsewhere: ReadonlySet<string>): void {
    if (step.kind === 'many') {
      for (const one of step.steps) takeBack(one, elsewhere);
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
      const mine = step.kind === 'write' ? { ...line, ...step.content, deleted: false } : undefined;
      const kept: KeptConflict = { lineId: line.id, jobId: job.jobId() ?? '', mine, theirs: line };
      showBoth(kept);
      void localStore().then((local) => local.keepConflict(kept));
    } else if (step.kind === 'write') job.write(line, step.content);
    else job.setDeleted(line, step.kind === 'delete');
  }

  /** Both versions of a line, until somebody chooses. */
  function showBoth(kept: KeptConflict): void {
    const others = job.conflicts.value.filter(({ line }) => line.id !== kept.lineId);
    job.conflicts.value = [...others, job.toConflict(kept)];
  }

  /** Settles a conflict: with one's own words, or by leaving the line as it is now. */
  function resolveConflict(conflict: Conflict, keep: 'mine' | 'theirs'): void {
    job.conflicts.value = job.conflicts.value.filter((one) => one !== conflict);
    void localStore().then((local) => local.dropConflict(conflict.line.id));
    const line = job.lines().get(conflict.line.id);
    if (keep === 'theirs' || !line) return;
    if (line.deleted !== (conflict.mine === undefined)) job.setDeleted(line, conflict.mine === undefined);
    if (conflict.mine) job.write(job.lines().get(line.id) as LineWire, conflict.mine);
  }

  return { undoSays, openSteps, pushUndo, undo, showBoth, resolveConflict };
}
