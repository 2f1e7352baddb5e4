import { asOneLine, asText, type LineKind, type LineWire } from '@sprell/contract';
import { labelColon, parse, printEntry, type ReadingStyle, type WorkedLine } from '@sprell/core';

/** A line of the slate that is worked out. */
export interface WorkedRow {
  readonly kind: 'worked';
  readonly line: LineWire & { readonly number: number };
  /** The whole entry as a person edits it, label in front, references as #n. */
  readonly entry: string;
  readonly worked: WorkedLine;
}

/** Words among the lines: a heading or a plain note. */
export interface WordsRow {
  readonly kind: 'heading' | 'note';
  readonly line: LineWire;
  readonly words: string;
}

/** A line as it stands on the slate. */
export type SlateRow = WorkedRow | WordsRow;

/** A line that is worked out has a number. */
export function isWorked(line: LineWire): line is WorkedRow['line'] {
  return line.number !== null;
}

/** What a line is called where it is spoken of. */
export function nameOf(line: LineWire): string {
  return line.number === null ? (line.kind === 'heading' ? 'the heading' : 'the note') : `#${line.number}`;
}

/** What words among the lines say. */
export function wordsOf(line: LineWire): string {
  return line.kind === 'heading' ? (line.label ?? '') : line.note;
}

export function withLabel(label: string | null, source: string): string {
  return label === null ? source : `${label}: ${source}`;
}

/** "top rail: 4' 2"" as its label and the rest. */
export function splitLabel(entry: string): { readonly label: string | null; readonly source: string } {
  const colon = labelColon(entry);
  if (colon === undefined) return { label: null, source: entry.trim() };
  return { label: entry.slice(0, colon).trim(), source: entry.slice(colon + 1).trim() };
}

/** An entry as it was understood, its fractions as fractions; as it was typed where it was not. */
export function readBackOf(words: string, style: ReadingStyle): string {
  const { label, source } = splitLabel(words);
  const { entry } = parse(source, style);
  return entry === undefined ? words : withLabel(label, printEntry(entry, style));
}

/** What a line says, in text that can be kept: what was pasted may hold characters that are none. */
export function asKept<Content extends Partial<Pick<LineWire, 'source' | 'label' | 'note'>>>(
  content: Content,
): Content {
  const { source, label, note } = content;
  return {
    ...content,
    ...(source === undefined ? {} : { source: asOneLine(source).trim() }),
    ...(label === undefined || label === null ? {} : { label: asOneLine(label).trim() || null }),
    ...(note === undefined ? {} : { note: asText(note) }),
  };
}

/** The words of a heading or a note as they can be kept. */
export function wordsAsKept(kind: LineKind, words: string): string {
  return (kind === 'heading' ? asOneLine(words) : asText(words)).trim();
}
