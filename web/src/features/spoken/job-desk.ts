import { bindLast, describeIssue, repeatedStep } from '@sprell/core';
import {
  answerTo,
  reckonSaid,
  refusedAnswer,
  scopeBehind,
  type Desk,
  type Place,
  type SaidAnswer,
  type SaidLine,
  type SaidOptions,
} from '@sprell/core/conversation';
import { nameOf, withLabel, type OpenJob, type WorkedRow } from '../../job/index.ts';
import { saidFields } from '../../live/said-fields.ts';

const READ_ONLY = 'This job is only to be read here.';

/** The open job, and the fields of the room that is shown, for a conversation. */
export class JobDesk implements Desk {
  readonly #job: OpenJob;

  constructor(job: OpenJob) {
    this.#job = job;
  }

  get names(): readonly string[] {
    return this.#job.marks.list.map(({ name }) => name);
  }
  get fields() {
    return saidFields().fields;
  }
  get list() {
    return saidFields().list;
  }
  get refusal(): string | undefined {
    return this.#job.isReader ? READ_ONLY : undefined;
  }
  get lineCount(): number {
    return this.#job.slate.rows.length;
  }

  works(entry: string, before?: string): boolean {
    return reckonSaid(entry, this.#options({ to: 'slate' }, before)).issue === undefined;
  }

  answer(entry: string, place: Place, before?: string): SaidAnswer {
    if (place.to === 'line' && this.#row(place.number) === undefined)
      return refusedAnswer(entry, `There is no line ${place.number}.`);
    return answerTo(this.#bound(entry, place), this.#options(place, before));
  }

  put(entry: string, place: Place): { readonly number?: number | undefined; readonly problem?: string } {
    const { lines, head } = this.#job;
    if (place.to === 'field') {
      this.fields.find(({ id }) => id === place.id)?.put(entry);
      return {};
    }
    if (this.refusal !== undefined) return { problem: this.refusal };
    if (head === undefined) return { problem: 'No job is open yet; say it once more.' };
    if (place.to === 'slate') return { number: lines.land(entry) };
    const row = this.#row(place.number);
    if (row !== undefined) lines.edit(row.line.id, withLabel(row.line.label, this.#bound(entry, place)));
    return {};
  }

  lastLines(count: number): readonly SaidLine[] {
    return this.#rows()
      .slice(-count)
      .map((row) => this.#said(row));
  }
  line(number: number): SaidLine | undefined {
    const row = this.#row(number);
    return row && this.#said(row);
  }
  repeated(): string | undefined {
    const row = this.#rows().at(-1);
    return row && (repeatedStep(row.worked.parsed) ?? row.entry);
  }

  undo(): string | undefined {
    const { steps } = this.#job;
    const { undoSays } = steps;
    if (undoSays !== undefined) steps.undo();
    return undoSays;
  }
  redo(): boolean {
    const { steps } = this.#job;
    if (!steps.canRedo) return false;
    steps.redo();
    return true;
  }

  usersOf(number: number): string | undefined {
    const row = this.#row(number);
    return row && this.#job.lines.usersOf(row.line.id);
  }
  remove(number: number): void {
    const row = this.#row(number);
    if (row !== undefined) this.#job.lines.remove(row.line.id);
  }
  clear(): void {
    this.#job.lines.clear();
  }
  write(kind: 'heading' | 'note', words: string): void {
    this.#job.lines.landWords(kind, words);
  }
  label(number: number, words: string): void {
    const row = this.#row(number);
    if (row !== undefined) this.#job.lines.edit(row.line.id, withLabel(words, row.entry));
  }
  note(number: number, words: string): void {
    const row = this.#row(number);
    if (row !== undefined) this.#job.lines.setNote(row.line.id, words);
  }

  #rows(): readonly WorkedRow[] {
    return this.#job.slate.rows.filter((row) => row.kind === 'worked');
  }
  #row(number: number): WorkedRow | undefined {
    return this.#rows().find(({ line }) => line.number === number);
  }
  #said(row: WorkedRow): SaidLine {
    const { number } = row.line;
    return {
      number,
      name: nameOf(row.line),
      answer: answerTo(row.worked.parsed.source, this.#options({ to: 'line', number })),
    };
  }

  /** "That" is written as the line it stands for, where an entry takes the place of another. */
  #bound(entry: string, place: Place): string {
    if (place.to !== 'line') return entry;
    const last = place.last ?? this.#job.slate.graph.lastLine()?.number;
    return last === undefined ? entry : bindLast(entry, last, this.#job.style);
  }
  #options(place: Place, before?: string): SaidOptions {
    const { slate, style, reading } = this.#job;
    const hidden = place.to === 'line' ? this.#row(place.number)?.line.id : undefined;
    const isPlain = place.to === 'field' && this.fields.find(({ id }) => id === place.id)?.isPlain === true;
    const options = {
      scope: slate.scope(hidden),
      style,
      bare: isPlain ? 'plain' : reading.bare,
      describe: describeIssue,
    } as const;
    return before === undefined ? options : { ...options, scope: scopeBehind(before, slate.nextNumber, options) };
  }
}
