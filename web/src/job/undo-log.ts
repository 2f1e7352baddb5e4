import type { Memory } from '../adapters/local-memory.ts';
import type { Cell, Holder } from './holder.ts';
import { changedSince, UndoStack, type Inverse } from './undo-stack.ts';

/** What the undo log needs of the open job. */
interface JobWithSteps {
  readonly holder: Holder;
  readonly memory: Memory;
  isReader(): boolean;
}

/** The steps back of the open job, and those that were taken and can be done again. */
export class UndoLog {
  readonly #job: JobWithSteps;
  /** What a line or thing says, to be compared; undefined for one that there is not. */
  readonly #contentNow: (id: string) => string | undefined;
  readonly #shown: Cell<{ readonly says: string | undefined; readonly canRedo: boolean }>;
  #undo: UndoStack;
  #redo: UndoStack;

  constructor(job: JobWithSteps, contentNow: (id: string) => string | undefined) {
    this.#job = job;
    this.#contentNow = contentNow;
    this.#shown = job.holder.cell<{ says: string | undefined; canRedo: boolean }>({ says: undefined, canRedo: false });
    this.#undo = new UndoStack('none', job.memory);
    this.#redo = new UndoStack('none', job.memory, 'redo');
    job.memory.follow((key) => {
      if (this.#undo.readAgain(key) || this.#redo.readAgain(key)) this.#show();
    });
  }

  /** What undoing the last step is called; undefined where there is none. */
  get says(): string | undefined {
    return this.#shown.value.says;
  }
  get canRedo(): boolean {
    return this.#shown.value.canRedo;
  }

  open(jobId: string): void {
    this.#undo = new UndoStack(jobId, this.#job.memory);
    this.#redo = new UndoStack(jobId, this.#job.memory, 'redo');
    this.#show();
  }

  /** Sees how things stand after the last step, before another change is made. */
  see(): void {
    this.#undo.see();
  }

  push(step: Inverse): void {
    if (this.#job.isReader()) return;
    this.#undo.push(step, this.#contentNow);
    // What was taken back before is not on the way that was gone on from here.
    this.#redo.clear();
    this.#show();
  }

  /**
   * Goes one step back, or forward again.
   * @param take does the step; gives the way to do it again, or undefined where there is none
   */
  go(
    where: 'back' | 'forward',
    take: (step: Inverse, changedElsewhere: ReadonlySet<string>) => Inverse | undefined,
  ): void {
    if (this.#job.isReader()) return;
    const [from, to] = where === 'back' ? [this.#undo, this.#redo] : [this.#redo, this.#undo];
    to.see();
    const done = from.pop();
    const again = done && take(done.step, changedSince(done, this.#contentNow));
    if (again) to.push(again, this.#contentNow);
    this.#show();
  }

  #show(): void {
    this.#shown.value = { says: this.#undo.top()?.says, canRedo: this.#redo.top() !== undefined };
  }
}
