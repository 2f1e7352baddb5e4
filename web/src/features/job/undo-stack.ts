import type { ScaleWire } from '@sprell/contract';
import { remember, remembered } from '../../adapters/local-memory.ts';

/** What a line said, or that it was not there. */
export interface LineContent {
  readonly source: string;
  readonly label: string | null;
  readonly note: string;
  readonly position: string;
}

/** What a drawing scale says. */
export type ScaleContent = Pick<ScaleWire, 'kind' | 'paper' | 'site' | 'name'>;

/** How to take one step back. Sources are in their stored form, so that a renumbered line is still the one meant. */
export type Inverse =
  | { readonly kind: 'delete'; readonly lineId: string; readonly says: string }
  | { readonly kind: 'restore'; readonly lineId: string; readonly says: string }
  | { readonly kind: 'write'; readonly lineId: string; readonly content: LineContent; readonly says: string }
  | { readonly kind: 'scale.delete' | 'scale.restore'; readonly scaleId: string; readonly says: string }
  | { readonly kind: 'scale.write'; readonly scaleId: string; readonly content: ScaleContent; readonly says: string }
  /** Several taken back together, the last first. */
  | { readonly kind: 'many'; readonly steps: readonly Inverse[]; readonly says: string };

const LIMIT = 200;

/** Steps back for one job, on this device alone. It survives a reload. */
export class UndoStack {
  readonly #key: string;
  #steps: Inverse[];

  constructor(jobId: string) {
    this.#key = `undo.${jobId}`;
    this.#steps = remembered<Inverse[]>(this.#key) ?? [];
  }

  push(step: Inverse): void {
    this.#steps = [...this.#steps, step].slice(-LIMIT);
    remember(this.#key, this.#steps);
  }

  pop(): Inverse | undefined {
    const step = this.#steps[this.#steps.length - 1];
    this.#steps = this.#steps.slice(0, -1);
    remember(this.#key, this.#steps);
    return step;
  }

  top(): Inverse | undefined {
    return this.#steps[this.#steps.length - 1];
  }
}
