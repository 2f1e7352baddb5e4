import type { Issue } from '../base/issue.ts';
import { makeIssue } from '../base/issue.ts';
import type { Assignment, Directive, Entry } from './ast.ts';
import { Cursor, STOP } from './cursor.ts';
import { readDirectives } from './directive-reader.ts';
import { readWhole } from './expression-reader.ts';
import { isFunctionName, RESERVED_WORDS } from './functions.ts';
import { labelColon } from './label.ts';
import { refuseRest } from './leftover.ts';
import { LIMITS } from './operators.ts';
import { scanInto, type ScanOptions } from './scanner.ts';
import * as T from './token.ts';
import { isUnitWord } from './unit-reader.ts';

/** What the reader made of an entry. `entry` is there when anything could be understood; `issues` is empty when all of it was. */
export interface Parsed {
  readonly source: string;
  readonly entry: Entry | undefined;
  readonly issues: readonly Issue[];
  /** Only the end is missing: the reading of what is there goes on while more is typed. */
  readonly unfinished: boolean;
  /** Closing brackets taken as read. */
  readonly ghost: string;
}

/**
 * Reads an entry into a tree. Never throws, whatever the text; long or deep entries are an issue.
 * @example parse('9\'-7 1/4"').issues.length // => 0
 */
export function parse(source: string, options: ScanOptions = {}): Parsed {
  if (source.length > LIMITS.characters) return refuseLong(source);
  scanInto(COLUMNS, source, options);
  const c = CURSOR;
  c.restart(options.jigs);
  let entry: Entry | undefined;
  try {
    entry = readEntry(c);
  } catch (signal) {
    if (signal !== STOP) throw signal;
  }
  c.finish();
  return { source, entry, issues: c.issues, unfinished: c.unfinished, ghost: c.ghost };
}

function refuseLong(source: string): Parsed {
  const span = { start: LIMITS.characters, end: source.length };
  const issues = [makeIssue('entry.too_long', span, { limit: `${LIMITS.characters}` })];
  return { source, entry: undefined, issues, unfinished: false, ghost: '' };
}

/** The columns of the entry being read. No tree keeps them, and reading never begins inside of reading. */
const COLUMNS: T.TokenTable = T.makeTable(LIMITS.characters);
const CURSOR = new Cursor(COLUMNS);

function readEntry(c: Cursor): Entry | undefined {
  const label = c.table.hasColon ? readLabel(c) : undefined;
  if (c.kind === T.TIMES) refuseTimesName(c);
  const assignment = c.kind === T.WORD || c.kind === T.NAME ? readAssignment(c) : undefined;
  const expr = readWhole(c);
  if (expr === undefined) {
    if (c.index === 0) c.refuse('entry.empty', { start: 0, end: 0 }, {});
    c.stopsShort('a value', 0);
    return undefined;
  }
  const directives = c.kind === T.WORD ? readDirectives(c) : NO_DIRECTIVES;
  if (c.kind === T.EQUALS && c.kindAt(c.index + 1) === T.END) c.advance();
  if (c.kind !== T.END) refuseRest(c);
  return { label, assignment, expr, directives };
}

const NO_DIRECTIVES: readonly Directive[] = [];

/** The label in front, past which the cursor then stands. */
function readLabel(c: Cursor): string | undefined {
  const colon = labelColon(c.source);
  if (colon === undefined) return undefined;
  let index = 0;
  while (c.kindAt(index) !== T.END && c.start(index) <= colon) index += 1;
  c.moveTo(index);
  return c.source.slice(0, colon).trim();
}

const ASSIGNMENTS: Readonly<Record<number, Assignment['operator']>> = {
  [T.EQUALS]: 'keep',
  [T.PLUS_EQUALS]: 'add',
  [T.MINUS_EQUALS]: 'subtract',
};

/** x = 5' and x2 = 3: the letter multiplies, so that neither can be a name. */
function refuseTimesName(c: Cursor): void {
  const sign = c.kindAt(c.index + 1) === T.INTEGER && c.tight(c.index + 1) ? c.index + 2 : c.index + 1;
  if (!T.ASSIGNMENT_SIGNS.has(c.kindAt(sign)) || !/^x$/i.test(c.text())) return;
  const span = { start: c.start(), end: c.end(sign - 1) };
  const name = c.source.slice(span.start, span.end);
  const other = `${c.text()}_${name.slice(1) || 1}`;
  c.refuse('name.taken', span, { name }, [
    { label: `Call it ${other}`, entry: c.rewritten(span.start, span.end, other) },
  ]);
}

function readAssignment(c: Cursor): Assignment | undefined {
  const operator = ASSIGNMENTS[c.kindAt(c.index + 1)];
  if (operator === undefined) return undefined;
  // "rail =" alone is a finished entry; Enter was typed as =.
  if (operator === 'keep' && c.kindAt(c.index + 2) === T.END) return undefined;
  const span = { start: c.start(), end: c.end(c.index + 1) };
  const name = c.text();
  if (c.kind !== T.NAME && isTaken(name))
    c.refuse('name.taken', c.spanOfToken(), { name }, [
      { label: `Call it ${name}_1`, entry: c.rewritten(c.start(), c.end(), `${name}_1`) },
    ]);
  c.advance();
  c.advance();
  return { ...span, name, operator };
}

/** Whether a word cannot be the name of a mark: it is a unit, a function, or has a meaning of its own. */
export function isTaken(name: string): boolean {
  const word = name.toLowerCase();
  return RESERVED_WORDS.has(word) || isFunctionName(word) || isUnitWord(word) || word === 'per';
}
