import { v5 } from 'uuid';
import type { Content, ThingContent } from '@sprell/contract';
import type { Memory } from '../adapters/local-memory.ts';

/** What a line said, or that it was not there. */
export interface LineContent {
  readonly source: string;
  readonly label: string | null;
  readonly note: string;
  readonly position: string;
}

/** What a drawing scale says. */
export type ScaleContent = ThingContent<'scale'>;

interface OfThing {
  /** The name of its kind. */
  readonly thing: string;
  readonly thingId: string;
  readonly says: string;
}
/** A step back of a thing. */
export type ThingInverse =
  | (OfThing & { readonly kind: 'thing.delete' | 'thing.restore' })
  | (OfThing & { readonly kind: 'thing.write'; readonly content: Content })
  | (OfThing & { readonly kind: 'thing.move'; readonly position: string });

/** How to take one step back. Sources are in their stored form, so that a renumbered line is still the one meant. */
export type Inverse =
  | { readonly kind: 'delete'; readonly lineId: string; readonly says: string }
  | { readonly kind: 'restore'; readonly lineId: string; readonly says: string }
  | { readonly kind: 'write'; readonly lineId: string; readonly content: LineContent; readonly says: string }
  | ThingInverse
  /** Several taken back together, the last first. */
  | { readonly kind: 'many'; readonly steps: readonly Inverse[]; readonly says: string };

/** What a step speaks of, as it stood when the step was done: by the id of the line or thing. */
type Said = Readonly<Record<string, string | undefined>>;

/** A step with how things stood after it; a difference since then is somebody else's doing. */
export interface Done {
  readonly step: Inverse;
  readonly said: Said;
}

/** Distinguishes two texts by a few signs, so that a step that speaks of a thousand lines stays small. */
export const fingerprint = (text: string): string => v5(text, v5.URL).slice(0, 18);

/** Lines and things that somebody else changed since the step was done. */
export function changedSince({ said }: Done, contentNow: (id: string) => string | undefined): ReadonlySet<string> {
  return new Set(Object.keys(said).filter((id) => said[id] !== undefined && said[id] !== contentNow(id)));
}

const LIMIT = 200;

/**
 * Steps back for one job, or those that were taken back and can be done again, on this device alone, for all its pages
 * together. They survive a reload.
 */
export class UndoStack {
  readonly #key: string;
  readonly #memory: Memory;
  #steps: readonly Done[];
  /** How things stand after the last step is still to be seen. */
  #look: (() => void) | undefined;

  constructor(jobId: string, memory: Memory, what: 'undo' | 'redo' = 'undo') {
    this.#key = `${what}.${jobId}`;
    this.#memory = memory;
    this.#steps = this.#kept();
  }

  #kept(): readonly Done[] {
    // Steps were kept by themselves once, and those of a scale under names of its own.
    const kept = this.#memory.remembered<(Done | Inverse)[]>(this.#key) ?? [];
    return kept
      .map((one) => ('step' in one ? one : { step: one, said: {} }))
      .filter(({ step }) => step.kind === 'many' || 'lineId' in step || 'thingId' in step);
  }

  /** Another page may have done a step, or taken one back. @returns whether it did */
  readAgain(key: string): boolean {
    if (key !== this.#key) return false;
    this.#look?.();
    this.#steps = this.#kept();
    return true;
  }

  /**
   * @param contentNow what a line or thing says. It is asked when the change that the step takes back is done: before the
   *   next step, and at the end of this task at the latest
   */
  push(step: Inverse, contentNow: (id: string) => string | undefined): void {
    this.#look?.();
    const done = { step, said: {} as Said };
    this.#keep([...this.#steps, done].slice(-LIMIT));
    const look = () => {
      if (this.#look !== look) return;
      this.#look = undefined;
      done.said = Object.fromEntries(subjects(step).map((id) => [id, contentNow(id)]));
      this.#memory.remember(this.#key, this.#steps);
    };
    this.#look = look;
    queueMicrotask(look);
  }

  pop(): Done | undefined {
    this.#look?.();
    const last = this.#steps[this.#steps.length - 1];
    this.#keep(this.#steps.slice(0, -1));
    return last;
  }

  /** Sees how things stand after the last step, before another one is taken back. */
  see(): void {
    this.#look?.();
  }

  clear(): void {
    this.#look = undefined;
    if (this.#steps.length > 0) this.#keep([]);
  }

  top(): Inverse | undefined {
    return this.#steps[this.#steps.length - 1]?.step;
  }

  #keep(steps: readonly Done[]): void {
    this.#steps = steps;
    this.#memory.remember(this.#key, steps);
  }
}

function subjects(step: Inverse): readonly string[] {
  if (step.kind === 'many') return step.steps.flatMap(subjects);
  return ['thingId' in step ? step.thingId : step.lineId];
}
