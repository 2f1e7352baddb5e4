import type { ThingWire } from '@sprell/contract';
import {
  definitionText,
  exactText,
  parse,
  readScale,
  reckon,
  referencesOf,
  type DrawingScale,
  type ScaleDefinition,
  type ScaleIssue,
  type Side,
} from '@sprell/core';
import type { Ground } from './ground.ts';
import type { Cell } from './holder.ts';
import type { SlateLines } from './slate-lines.ts';
import type { JobThings } from './things.ts';
import type { ScaleContent } from './undo-stack.ts';

/** A drawing scale of the job, worked out. */
export interface JobScale {
  readonly id: string;
  /** What the drawing is called, or else the scale itself. */
  readonly title: string;
  /** The scale as it was defined: 1/4″ = 1′. */
  readonly says: string;
  readonly content: ScaleContent;
  /** Undefined for one that does not work out. */
  readonly scale: DrawingScale | undefined;
}

interface InHand {
  readonly scaleId: string;
  /** The side that what is typed lies on. */
  readonly from: Side;
}

/** The drawing scales of the open job, which of them is in hand, and every change to them. */
export class Scales {
  readonly #ground: Ground;
  readonly #slate: SlateLines;
  readonly #things: JobThings;
  readonly #held: Cell<InHand | undefined>;
  readonly #list: { readonly value: readonly JobScale[] };

  constructor(ground: Ground, slate: SlateLines, things: JobThings) {
    this.#ground = ground;
    this.#slate = slate;
    this.#things = things;
    this.#held = ground.holder.cell<InHand | undefined>(undefined);
    this.#list = ground.holder.derived(() => things.list('scale').map((thing) => this.#toScale(thing)));
  }

  #toScale({ id, kind, paper, site, name }: ThingWire<'scale'>): JobScale {
    const { style } = this.#ground.reading;
    const content = { kind, paper, site, name };
    const read = readScale(content, { style });
    const says = definitionText(content, style);
    return { id, title: name ?? says, says, content, scale: read.ok ? read.value : undefined };
  }

  get list(): readonly JobScale[] {
    return this.#list.value;
  }
  get inHand(): JobScale | undefined {
    return this.list.find(({ id, scale }) => id === this.#held.value?.scaleId && scale);
  }
  /** The side that what is typed lies on. */
  get side(): Side {
    return this.#held.value?.from ?? 'paper';
  }

  /** What was in hand in a job that is opened. */
  open(): void {
    this.#held.value = this.#ground.device.memory.remembered<InHand>(`scale.${this.#ground.jobId}`);
  }

  #hold(now: InHand | undefined): void {
    this.#held.value = now;
    this.#ground.device.memory.remember(`scale.${this.#ground.jobId}`, now);
  }
  /** Takes a scale in hand; undefined puts it away. */
  takeInHand(scaleId: string | undefined): void {
    this.#hold(scaleId === undefined ? undefined : { scaleId, from: this.side });
  }
  setSide(from: Side): void {
    if (this.#held.value) this.#hold({ ...this.#held.value, from });
  }

  /** A definition works out in the job as it is now: what is wrong, or nothing. */
  issueOf(definition: ScaleDefinition): ScaleIssue | undefined {
    const read = readScale(definition, { scope: this.#slate.scope(), style: this.#ground.reading.style });
    return read.ok ? undefined : read.issue;
  }

  /** A side without references: a drawing's scale does not change with the job. */
  #standalone(source: string): string {
    const { style } = this.#ground.reading;
    const { lines, marks, runs } = referencesOf(parse(source, style).entry);
    if (lines.length + marks.length + runs.length === 0) return source.trim();
    const { outcome } = reckon(source, { scope: this.#slate.freshGraph.scope(), style });
    const exact = outcome?.kind === 'quantity' ? exactText(outcome.quantity, style)?.plain : undefined;
    return exact ?? source.trim();
  }
  #asKept({ kind, paper, site, name }: ScaleContent): ScaleContent {
    return {
      kind,
      paper: this.#standalone(paper),
      site: this.#standalone(site),
      name: name === null || name.trim() === '' ? null : name.trim(),
    };
  }

  /** Adds a scale and takes it in hand. */
  add(content: ScaleContent): void {
    this.takeInHand(this.#things.add('scale', this.#asKept(content)));
  }
  edit(scaleId: string, content: ScaleContent): void {
    this.#things.edit<'scale'>(scaleId, this.#asKept(content));
  }
  remove(scaleId: string): void {
    this.#things.remove(scaleId);
  }
}
