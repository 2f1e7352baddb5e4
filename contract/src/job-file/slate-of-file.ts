import { isTaken, JIG_GONE, Slate, type JigProgram, type ReadingStyle, type WorkedLine } from '@sprell/core';
import { readJig, type Jig } from '@sprell/core/jig';
import { styleOfJob } from '../job-style.ts';
import type { FileJob, FileLine } from './job-file-text.ts';
import { shownFrom } from './references.ts';

/** A line of a job file as a person sees it, recalculated. */
export interface SlateOfFileLine {
  readonly line: FileLine;
  /** With #n, and names, as it is typed; empty for words. */
  readonly entry: string;
  /** Undefined for words. */
  readonly worked: WorkedLine | undefined;
}

/** The slate of a job file, recalculated from its entries alone. */
export function slateOfFile(file: FileJob): {
  readonly style: ReadingStyle;
  readonly lines: readonly SlateOfFileLine[];
} {
  const names = new Map((file.marks ?? []).map(({ key, name }) => [key, nameOf(key, name)]));
  const taken = new Set([...names.values()].map((name) => name.toLowerCase()).filter(isTaken));
  const style: ReadingStyle = { ...styleOfJob(file.reading, file), names: taken };
  const shown = (entry: string) =>
    shownFrom(entry, (key, sign) => {
      if (sign === '#') return `#${key === '' ? '0' : key}`;
      if (sign === '%') return key === '' ? JIG_GONE : key;
      return key === '' ? 'mark_gone' : (names.get(key) ?? key.slice(key.indexOf('.') + 1));
    });
  const slate = new Slate({ ...style, jigs: programsOf(file) });
  const lines = file.slate.map((line, at) => ({ line, at, entry: line.entry === undefined ? '' : shown(line.entry) }));
  slate.load(
    lines.flatMap(({ line, at, entry }) =>
      line.number === undefined || line.deleted === true
        ? []
        : [{ id: `${at}`, number: line.number, position: `${at}`.padStart(6, '0'), source: entry }],
    ),
  );
  return {
    style,
    lines: lines
      .filter(({ line }) => line.deleted !== true)
      .map(({ line, at, entry }) => ({
        line,
        entry,
        worked: line.number === undefined ? undefined : slate.line(`${at}`),
      })),
  };
}

/** As it was written where it is the only one of its name, else its key. */
const nameOf = (key: string, name: unknown): string =>
  typeof name === 'string' && name.toLowerCase() === key ? name : key;

function programsOf({ jigs = [] }: FileJob): ReadonlyMap<string, JigProgram> {
  return new Map(
    jigs.flatMap(({ key, file }): (readonly [string, JigProgram])[] => {
      if (typeof file !== 'string') return [];
      const { jig, uses } = JSON.parse(file) as { readonly jig: Jig; readonly uses: readonly Jig[] };
      const { program } = readJig({ jig, uses });
      return program ? [[key, { ...program, name: key }]] : [];
    }),
  );
}
