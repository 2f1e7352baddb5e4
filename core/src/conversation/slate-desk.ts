import type { Issue } from '../base/issue.ts';
import { afterPosting } from '../evaluate/after-posting.ts';
import type { Reckoned } from '../evaluate/reckon.ts';
import { mended } from '../mend/mend.ts';
import { repeatedStep } from '../notation/next-step.ts';
import { parse } from '../notation/parser.ts';
import type { ReadingStyle } from '../reading/style.ts';
import { bindLast } from '../slate/bind-last.ts';
import { Slate } from '../slate/slate.ts';
import { valueForMark } from '../stick/rewrite-names.ts';
import { exactText } from '../reading/exact-text.ts';
import { answerTo, reckonSaid, refusedAnswer, scopeBehind, type SaidAnswer, type SaidOptions } from './answer.ts';
import type { Desk, Place, SaidLine } from './desk.ts';

interface WrittenLine {
  readonly number: number;
  /** Empty for words among the lines. */
  readonly source: string;
  readonly label: string | undefined;
  readonly words: string;
}

/** One step back, in words and as what it does. */
interface Step {
  readonly says: string;
  back(): void;
  again(): void;
}
/** Steps that can be taken back. */
const MOST_STEPS = 100;

/** A slate for a conversation by itself, without a page: of scripts, and of tests. */
export class SlateDesk implements Desk {
  readonly fields = [];
  readonly #style: ReadingStyle;
  readonly #describe: (issue: Issue) => string;
  readonly #slate: Slate;
  #lines: readonly WrittenLine[] = [];
  #next = 1;
  #steps: Step[] = [];
  #undone: Step[] = [];

  /** @param describe an issue as a sentence */
  constructor(style: ReadingStyle, describe: (issue: Issue) => string) {
    this.#style = style;
    this.#describe = describe;
    this.#slate = new Slate(style);
  }

  get names(): readonly string[] {
    return this.#slate.marks().map(({ name }) => name);
  }
  get lineCount(): number {
    return this.#lines.length;
  }

  works(entry: string, before?: string): boolean {
    return reckonSaid(entry, this.#options({ to: 'slate' }, before)).issue === undefined;
  }

  answer(entry: string, place: Place, before?: string): SaidAnswer {
    if (place.to === 'line' && this.#line(place.number) === undefined)
      return refusedAnswer(entry, `There is no line ${place.number}.`);
    return answerTo(this.#bound(entry, place), this.#options(place, before));
  }
  /** An entry worked out where it would go, with everything about it. */
  reckoned(entry: string, place: Place): Reckoned {
    const options = this.#options(place);
    const reckoned = reckonSaid(this.#bound(entry, place), options);
    return { ...afterPosting(reckoned, options), issue: mended(reckoned, options) };
  }
  #options(place: Place, before?: string): SaidOptions {
    const hidden = place.to === 'line' ? `${place.number}` : undefined;
    const options = { scope: this.#slate.scope(hidden), style: this.#style, describe: this.#describe };
    return before === undefined ? options : { ...options, scope: scopeBehind(before, this.#next, options) };
  }

  put(entry: string, place: Place): { readonly number?: number } {
    if (place.to === 'line') {
      const line = this.#line(place.number);
      if (line !== undefined)
        this.#replace(line, { ...line, source: this.#bound(entry, place) }, `Undo the change to line ${line.number}`);
      return {};
    }
    const number = this.#next;
    this.#add({ number, source: this.#landing(entry), label: undefined, words: '' }, `Remove line ${number}`);
    return { number };
  }

  lastLines(count: number): readonly SaidLine[] {
    return this.#lines
      .filter(({ source }) => source !== '')
      .slice(-count)
      .map((line) => this.#said(line));
  }
  line(number: number): SaidLine | undefined {
    const line = this.#line(number);
    return line && this.#said(line);
  }

  repeated(): string | undefined {
    const last = this.#lines.findLast(({ source }) => source !== '');
    return last && (repeatedStep(parse(last.source, this.#style)) ?? last.source);
  }

  undo(): string | undefined {
    const step = this.#steps.pop();
    if (step === undefined) return undefined;
    step.back();
    this.#undone.push(step);
    return step.says;
  }
  redo(): boolean {
    const step = this.#undone.pop();
    if (step === undefined) return false;
    step.again();
    this.#steps.push(step);
    return true;
  }

  usersOf(number: number): string | undefined {
    const users = this.#slate.usersOf(`${number}`).map((line) => `line ${line.number}`);
    return users.length === 0 ? undefined : `Line ${number} is used by ${users.join(', ')}.`;
  }
  remove(number: number): void {
    this.#become(
      this.#lines.filter((line) => line.number !== number),
      `Bring line ${number} back`,
    );
  }
  clear(): void {
    this.#become([], this.#lines.length === 1 ? 'Bring the line back' : `Bring all ${this.#lines.length} lines back`);
  }
  write(kind: 'heading' | 'note', words: string): void {
    this.#add({ number: 0, source: '', label: undefined, words }, `Remove the ${kind} ${words}`);
  }
  label(number: number, words: string): void {
    const line = this.#line(number);
    if (line !== undefined) this.#replace(line, { ...line, label: words }, `Undo the label of line ${number}`);
  }
  note(number: number, words: string): void {
    const line = this.#line(number);
    if (line !== undefined) this.#replace(line, { ...line, words }, `Undo the note of line ${number}`);
  }

  #line(number: number): WrittenLine | undefined {
    return this.#lines.find((line) => line.source !== '' && line.number === number);
  }
  #said({ number, label, source }: WrittenLine): SaidLine {
    const answer = answerTo(source, this.#options({ to: 'line', number }));
    return { number, name: label ?? `line ${number}`, answer };
  }

  /** "That" is written as the line it stands for. */
  #bound(entry: string, place: Place): string {
    const last = place.to === 'line' ? (place.last ?? this.#slate.lastLine()?.number) : undefined;
    return last === undefined ? entry : bindLast(entry, last, this.#style);
  }
  /** As it lands: `rail = rail / 2` means the rail as it was before. */
  #landing(entry: string): string {
    const last = this.#slate.lastLine()?.number;
    const bound = last === undefined ? entry : bindLast(entry, last, this.#style);
    const name = parse(bound, this.#style).entry?.assignment?.name;
    const mark = name === undefined ? undefined : this.#slate.scope().mark(name.toLowerCase());
    const value = mark?.ok === true ? exactText(mark.quantity, this.#style)?.plain : undefined;
    return name === undefined || value === undefined ? bound : valueForMark(bound, name, value, this.#style);
  }

  #add(line: WrittenLine, says: string): void {
    if (line.source !== '') this.#next += 1;
    this.#become([...this.#lines, line], says);
  }
  #replace(before: WrittenLine, after: WrittenLine, says: string): void {
    this.#become(
      this.#lines.map((line) => (line === before ? after : line)),
      says,
    );
  }
  #become(lines: readonly WrittenLine[], says: string): void {
    const before = this.#lines;
    this.#show(lines);
    const step = { says, back: () => void this.#show(before), again: () => void this.#show(lines) };
    this.#steps = [...this.#steps, step].slice(-MOST_STEPS);
    this.#undone = [];
  }
  /** The lines as they are to be: the graph takes over what differs. */
  #show(lines: readonly WrittenLine[]): void {
    const [before, after] = [new Set(this.#lines), new Set(lines)];
    const kept = new Set(lines.map(({ number, source }) => (source === '' ? 0 : number)));
    for (const { number, source } of this.#lines)
      if (source !== '' && !kept.has(number)) this.#slate.remove(`${number}`);
    for (const line of after)
      if (line.source !== '' && !before.has(line))
        this.#slate.put({
          id: `${line.number}`,
          number: line.number,
          position: `${line.number}`.padStart(12, '0'),
          source: line.source,
        });
    this.#lines = lines;
  }
}
