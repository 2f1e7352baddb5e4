import type { Conflicts } from './conflicts.ts';
import type { Ground } from './ground.ts';
import type { SlateLines } from './slate-lines.ts';
import type { JobThings } from './things.ts';
import type { UndoLog } from './undo-log.ts';
import type { Inverse } from './undo-stack.ts';

/** What steps are taken back in. */
interface JobToStepIn {
  readonly ground: Ground;
  readonly undoLog: UndoLog;
  readonly slate: SlateLines;
  readonly things: JobThings;
  readonly conflicts: Conflicts;
}

/** Takes steps back in the open job and does them again. What others changed since is not lost for it, but shown beside. */
export class StepsBack {
  readonly #job: JobToStepIn;

  constructor(job: JobToStepIn) {
    this.#job = job;
  }

  /** What undoing the last step is called; undefined where there is none. */
  get undoSays(): string | undefined {
    return this.#job.undoLog.says;
  }
  /** Whether something was taken back that can be done again. */
  get canRedo(): boolean {
    return this.#job.undoLog.canRedo;
  }

  /** Takes the last step of this device back. */
  undo(): void {
    this.#job.undoLog.go('back', (step, elsewhere) => this.#takeBack(step, elsewhere));
  }
  /** Does again what was taken back last. */
  redo(): void {
    this.#job.undoLog.go('forward', (step, elsewhere) => this.#takeBack(step, elsewhere));
  }

  /** @returns how to do it again; undefined where others changed it since */
  #takeBack(step: Inverse, elsewhere: ReadonlySet<string>): Inverse | undefined {
    const { slate, things, ground } = this.#job;
    const { says } = step;
    if (step.kind === 'many') {
      const again: Inverse[] = [];
      slate.together(() => {
        for (const one of step.steps) again.unshift(...[this.#takeBack(one, elsewhere) ?? []].flat());
      });
      return again.length > 0 ? { kind: 'many', steps: again, says } : undefined;
    }
    if ('thingId' in step) {
      const { left, again } = things.takeBack(step, elsewhere.has(step.thingId));
      if (left !== undefined) ground.failure = left;
      return again;
    }
    const line = slate.get(step.lineId);
    if (line === undefined) return undefined;
    const { id: lineId, source, label, note, position } = line;
    if (step.kind !== 'restore' && elsewhere.has(lineId)) {
      const mine = step.kind === 'write' ? { ...line, ...step.content, deleted: false } : { ...line, deleted: true };
      this.#job.conflicts.keepBoth(lineId, mine);
      return undefined;
    }
    if (step.kind === 'write') {
      slate.write(line, step.content);
      return { kind: 'write', lineId, content: { source, label, note, position }, says };
    }
    slate.setDeleted(line, step.kind === 'delete');
    return { kind: step.kind === 'delete' ? 'restore' : 'delete', lineId, says };
  }
}
