import { describeIssue, readQuantity, type LineResult, type Quantity, type ReadingStyle } from '@sprell/core';
import type { Ground } from './ground.ts';
import type { Cell } from './holder.ts';
import { madeAt } from './made-at.ts';
import type { SlateLines } from './slate-lines.ts';

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

/** Which mark was taken in hand in a job. */
interface Chosen {
  readonly jobId: string | undefined;
  readonly name: string;
}

/** The marks of the open job: their values, and which is in hand. */
export class Marks {
  readonly #ground: Ground;
  readonly #slate: SlateLines;
  readonly #chosen: Cell<Chosen | undefined>;
  readonly #list: { readonly value: readonly JobMark[] };
  readonly #inHand: { readonly value: JobMark | undefined };
  /** The line that stored the mark in hand: under its old name, after an undo, it is the same one. */
  #heldBy: string | undefined;

  constructor(ground: Ground, slate: SlateLines) {
    this.#ground = ground;
    this.#slate = slate;
    this.#chosen = ground.holder.cell<Chosen | undefined>(undefined);
    this.#list = ground.holder.derived(() => this.#read());
    this.#inHand = ground.holder.derived(() => this.#findInHand());
  }

  get list(): readonly JobMark[] {
    return this.#list.value;
  }

  /** The mark of a name, however it is written. */
  named(name: string): JobMark | undefined {
    return this.list.find((mark) => mark.name.toLowerCase() === name.toLowerCase());
  }

  #read(): readonly JobMark[] {
    const { style } = this.#ground.reading;
    return this.#slate.graph.marks().map(({ name, result, madeBy }): JobMark => {
      const base = madeBy.findLast(({ operator }) => operator === 'keep') ?? madeBy[0];
      return {
        name,
        reading: sizeWords(result, style),
        quantity: result.ok ? result.quantity : undefined,
        problem: result.ok ? undefined : describeIssue(result.issue),
        keptBy: base?.id,
        keptAt: base ? madeAt(base.id) : 0,
        changedBy: madeBy.reduce((latest, { number }) => Math.max(latest, number), 0),
      };
    });
  }

  /**
   * The mark that add and subtract go to: the one chosen or stored last on this device, or else the one that was changed
   * last. It never changes by what comes from another device: that could be between a look and a touch.
   */
  get inHand(): JobMark | undefined {
    return this.#inHand.value;
  }

  /** The lines are others: whatever is in hand stays so. */
  follow(): void {
    const mark = this.inHand;
    this.#heldBy = mark?.keptBy;
    if (mark !== undefined && this.#wantedName() === undefined) this.takeInHand(mark.name);
  }

  #findInHand(): JobMark | undefined {
    const wanted = this.#wantedName();
    const last = this.list.reduce<JobMark | undefined>(
      (latest, mark) => (latest === undefined || mark.changedBy > latest.changedBy ? mark : latest),
      undefined,
    );
    return (
      (wanted === undefined ? undefined : this.named(wanted)) ??
      this.list.find(({ keptBy }) => keptBy !== undefined && keptBy === this.#heldBy) ??
      last
    );
  }

  #wantedName(): string | undefined {
    const { jobId, device } = this.#ground;
    const chosen = this.#chosen.value;
    return chosen?.jobId === jobId ? chosen?.name : device.memory.remembered<string>(`in-hand.${jobId}`);
  }

  takeInHand(name: string): void {
    const { jobId, device } = this.#ground;
    this.#chosen.value = { jobId, name };
    device.memory.remember(`in-hand.${jobId}`, name);
  }
}

/** What a result says on the stick. */
export function sizeWords(result: LineResult, style: ReadingStyle): string {
  if (!result.ok) return 'needs mending';
  return result.quantity === undefined ? '' : readQuantity(result.quantity, style).text;
}
