import { kindNamed, type Change, type LineWire } from '@sprell/contract';
import type { KeptRefusal } from '../adapters/local/local-store.ts';
import { changeSubject, makes } from '../adapters/local/settled.ts';
import type { Ground } from './ground.ts';
import type { Cell } from './holder.ts';
import type { SlateLines } from './slate-lines.ts';
import { wordsOf } from './slate-row.ts';

/** A change that the server did not do, in the words of its job. */
export interface Refusal {
  readonly kept: KeptRefusal;
  /** What it was to change: "line #7", "the scale Old drawings". */
  readonly what: string;
  /** What was written, as a person reads it; undefined where nothing was. */
  readonly says: string | undefined;
  readonly why: string;
  /** `says` is an entry that could be written again. */
  readonly isEntry: boolean;
}

/** How the page is brought up to date where a refused change was not done. */
export interface Refresh {
  /** Shows lines and things as this device has them by now. */
  lookAt(ids: readonly string[]): Promise<void>;
  /** Takes over what the server has. */
  takeOver(): Promise<void>;
}

/** The changes of the open job that the server did not do: each is shown until somebody has seen to it. */
export class Refusals {
  readonly #ground: Ground;
  readonly #slate: SlateLines;
  readonly #refresh: Refresh;
  readonly #list: Cell<readonly Refusal[]>;

  constructor(ground: Ground, slate: SlateLines, refresh: Refresh) {
    this.#ground = ground;
    this.#slate = slate;
    this.#refresh = refresh;
    this.#list = ground.holder.cell<readonly Refusal[]>([]);
  }

  get list(): readonly Refusal[] {
    return this.#list.value;
  }

  show(kept: readonly KeptRefusal[]): void {
    this.#list.value = kept.map((one) => this.#toRefusal(one));
  }

  /** They were seen to: written again, or copied away, or not wanted. What they were to change is as the server has it. */
  async drop(seen: readonly Refusal[]): Promise<void> {
    const ids = new Set(seen.map(({ kept }) => kept.id));
    this.#list.value = this.list.filter(({ kept }) => !ids.has(kept.id));
    const store = await this.#ground.device.store();
    for (const { kept } of seen) await store.dropRefusal(kept);
    await this.#refresh.lookAt(seen.map(({ kept }) => changeSubject(kept.change)));
    if (seen.some(({ kept }) => !makes(kept.change))) await this.#refresh.takeOver();
  }

  #toRefusal(kept: KeptRefusal): Refusal {
    const { change, code, problem } = kept;
    const why = code === 'change.unfit' ? unfitWords(problem) : (WHY[code.replace(/^\w+\./, '')] ?? NOT_AS_IT_STANDS);
    const line = 'lineId' in change ? this.#lineOf(change) : undefined;
    return {
      kept,
      what: line ? nameOfLine(line) : nameOfThing(change),
      says: line && this.#slate.whatItSays(line),
      why,
      isEntry: line?.kind === 'worked',
    };
  }

  /** The line as the change was to make it. */
  #lineOf(change: Extract<Change, { lineId: string }>): LineWire | undefined {
    const here = this.#slate.get(change.lineId);
    if (!('source' in change)) return here;
    const { position, source, label, note } = change;
    const kind = change.kind === 'line.add' ? 'worked' : change.kind === 'line.words' ? change.words : here?.kind;
    const number = change.kind === 'line.add' ? change.number : (here?.number ?? null);
    const revision = here?.revision ?? 0;
    return {
      id: change.lineId,
      kind: kind ?? 'worked',
      number,
      position,
      source,
      label,
      note,
      revision,
      deleted: false,
    };
  }
}

const NOT_AS_IT_STANDS = 'it cannot be kept as it stands';
const WHY: Readonly<Record<string, string>> = {
  not_found: 'it is not in this job any more',
  id_unusable: 'something else has its place',
  id_reused: 'it was sent before in other words',
  too_many: 'the job has as many of these as fit',
  not_yours: 'only the owner of a job can delete it',
  read_only: 'this job is yours to read, not to change',
};
/** The parts of a change as they are called on the slate. */
const PARTS: Readonly<Record<string, string>> = {
  label: 'label',
  source: 'entry',
  note: 'note',
  number: 'number',
  position: 'place on the slate',
};

/** @param problem the part that is not taken, a colon, and what the schema has against it */
function unfitWords(problem: string | undefined): string {
  const part = PARTS[problem?.split(':')[0] ?? ''];
  return part === undefined ? NOT_AS_IT_STANDS : `its ${part} is too long, or holds signs that cannot be kept`;
}

function nameOfLine(line: LineWire): string {
  return line.number === null
    ? `${line.kind === 'heading' ? 'the heading' : 'the note'} ${wordsOf(line)}`
    : `line #${line.number}`;
}

function nameOfThing(change: Change): string {
  if (!('thingId' in change)) return 'how the job reads';
  return kindNamed(change.of).called('content' in change ? change.content : {});
}
