import { makeIssue, type Fix, type Issue, type IssueCode, type IssueFields } from '../base/issue.ts';
import type { Span } from '../base/span.ts';
import type { JigPrograms } from './ast.ts';
import { LIMITS } from './operators.ts';
import type * as T from './token.ts';

/** Thrown by the parser to itself once the first issue is recorded; `parse` catches it. */
export const STOP = Symbol('parser stops');

const NO_ISSUES: readonly Issue[] = [];

/** Where the parser stands in the tokens of one entry, and what it has to say so far. */
export class Cursor {
  readonly table: T.TokenTable;
  private readonly kinds: Uint8Array;
  private readonly starts: Int32Array;
  private readonly ends: Int32Array;
  private readonly values: Float64Array;
  private readonly extras: Float64Array;
  source: string;
  index = 0;
  /** Kind of the token at `index`. */
  kind: T.TokenKind;
  depth = 0;
  /** Index of the token behind a plain number or a closing bracket: only there is multiplication implied. */
  multiplierEnd = -1;
  /** Jigs that the entry may use. */
  jigs: JigPrograms | undefined;
  /** Closing brackets that are still to come. */
  ghost = '';
  unfinished = false;
  private expected = '';
  private keepUntil = 0;
  /** Made when there is something to put in: most entries have nothing to say. */
  private reported: Issue[] | undefined;

  constructor(table: T.TokenTable) {
    this.table = table;
    this.kinds = table.kinds;
    this.starts = table.starts;
    this.ends = table.ends;
    this.values = table.values;
    this.extras = table.extras;
    this.source = table.source;
    this.kind = table.kinds[0] as number;
  }

  /** Back to the first token, with nothing said: the table holds another entry now. */
  restart(jigs: JigPrograms | undefined): void {
    this.jigs = jigs?.size ? jigs : undefined;
    this.source = this.table.source;
    this.index = 0;
    this.kind = this.kinds[0] as number;
    this.depth = 0;
    this.multiplierEnd = -1;
    this.ghost = '';
    this.unfinished = false;
    this.reported = undefined;
  }

  get issues(): readonly Issue[] {
    return this.reported ?? NO_ISSUES;
  }

  private report(issue: Issue): void {
    this.reported ??= [];
    this.reported.push(issue);
  }

  advance(): void {
    this.kind = this.kinds[(this.index += 1)] as number;
  }

  moveTo(index: number): void {
    this.index = index;
    this.kind = this.kinds[index] as number;
  }

  kindAt(index: number): T.TokenKind {
    return this.kinds[index] as number;
  }

  /** Start of the token at `index`. */
  start(index: number = this.index): number {
    return this.starts[index] as number;
  }

  end(index: number = this.index): number {
    return this.ends[index] as number;
  }

  /** What the token at `index` holds, see TokenTable. */
  value(index: number = this.index): number {
    return this.values[index] as number;
  }

  extra(index: number): number {
    return this.extras[index] as number;
  }

  /** End of the token before the current one. */
  lastEnd(): number {
    return this.index === 0 ? 0 : (this.ends[this.index - 1] as number);
  }

  text(index: number = this.index): string {
    return this.source.slice(this.start(index), this.end(index));
  }

  /** The token's word in lower case, the point of an abbreviation left out. */
  word(index: number = this.index): string {
    const word = this.text(index).toLowerCase();
    return word.charCodeAt(word.length - 1) === 0x2e ? word.slice(0, -1) : word;
  }

  /** No white space between the token at `index` and the one before it. */
  tight(index: number): boolean {
    return index > 0 && this.starts[index] === this.ends[index - 1];
  }

  enter(): void {
    this.depth += 1;
    if (this.depth > LIMITS.depth) this.refuse('entry.too_deep', this.spanOfToken(), { limit: `${LIMITS.depth}` });
  }

  leave(): void {
    this.depth -= 1;
  }

  spanOfToken(index: number = this.index): Span {
    return { start: this.start(index), end: this.end(index) };
  }

  /** Records the issue that ends the reading of this entry. */
  refuse<C extends IssueCode>(code: C, span: Span, fields: IssueFields[C], fixes: readonly Fix[] = []): never {
    this.report(makeIssue(code, span, fields, fixes));
    // eslint-disable-next-line @typescript-eslint/only-throw-error -- a private signal, caught in parse(); an Error would cost a stack trace
    throw STOP;
  }

  /** Records that the entry stops short, and lets the reading go on with what there is. `keepUntil` is where the sound part ends. */
  stopsShort(expected: string, keepUntil: number): void {
    if (this.unfinished) return;
    this.unfinished = true;
    this.expected = expected;
    this.keepUntil = keepUntil;
  }

  /** Once the whole entry is read, and with it the brackets that are missing: the issue of stopping short, if it did. */
  finish(): void {
    if (this.unfinished) this.reportUnfinished();
  }

  private reportUnfinished(): void {
    const kept = this.source.slice(0, this.keepUntil).trimEnd();
    const dropped = this.source.slice(this.keepUntil).trim();
    const fixes =
      kept === '' || dropped === '' ? [] : [{ label: `Leave out ${dropped}`, entry: `${kept}${this.ghost}` }];
    const span = { start: this.source.trimEnd().length, end: this.source.length };
    this.report(makeIssue('entry.unfinished', span, { expected: this.expected }, fixes));
  }

  /** The whole entry with the stretch from `start` to `end` written differently. */
  rewritten(start: number, end: number, text: string): string {
    return `${this.source.slice(0, start)}${text}${this.source.slice(end)}`;
  }
}
