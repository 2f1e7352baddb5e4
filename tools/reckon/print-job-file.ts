import { readFileSync } from 'node:fs';
import { jobOfFile, slateOfFile, type SlateOfFileLine } from '@sprell/contract';
import { describeIssue, printEntry, readOutcome, type ReadingStyle } from '@sprell/core';

/**
 * Prints the slate of a job file, recalculated, in the job's own units: a line of text for each of its lines, with `--json`
 * an object.
 * @returns the exit status: 1 where a line is in error, 2 for a file that is none
 */
export function printJobFile(path: string, json: boolean): number {
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch {
    process.stderr.write(`There is no file ${path} that could be read.\n`);
    return 2;
  }
  let made = 0;
  const read = jobOfFile(text, () => `01900000-0000-7000-8000-${String((made += 1)).padStart(12, '0')}`);
  if (!read.ok) {
    const { place, sentence } = read.problem;
    process.stderr.write(`${place === '' ? sentence : `${sentence} In the file at ${place}.`}\n`);
    return 2;
  }
  const { style, lines } = slateOfFile(read.file);
  const said = lines.map((line) => (json ? `${JSON.stringify(asObject(line, style))}\n` : `${asText(line, style)}\n`));
  process.stdout.write(said.join(''));
  return lines.some(({ worked }) => worked?.result.ok === false) ? 1 : 0;
}

function readBack({ entry, worked }: SlateOfFileLine, style: ReadingStyle): string {
  const { entry: parsed } = worked?.parsed ?? {};
  return parsed === undefined ? entry : printEntry(parsed, style);
}

function readings({ worked }: SlateOfFileLine, style: ReadingStyle) {
  if (worked?.result.ok !== true) return [];
  const { outcome, quantity } = worked.result;
  if (outcome.kind === 'answer') return [{ text: outcome.yes ? 'yes' : 'no', plain: outcome.yes ? 'yes' : 'no' }];
  const { entry } = worked.parsed;
  const reading = quantity && entry && readOutcome(entry, quantity, style).reading;
  return reading ? [reading] : [];
}

function asText(line: SlateOfFileLine, style: ReadingStyle): string {
  const { number, label, note, kind } = line.line;
  if (kind !== 'worked') return kind === 'heading' ? `\n${label ?? ''}` : note;
  const before = `#${number} ${label === null ? '' : `${label}: `}${readBack(line, style)}`;
  const { result } = line.worked ?? {};
  const after =
    result?.ok === false
      ? `  (${describeIssue(result.issue)})`
      : ` = ${readings(line, style)
          .map(({ text }) => text)
          .join('; ')}`;
  return `${before}${after}${note === '' ? '' : `\n    ${note.replaceAll('\n', '\n    ')}`}`;
}

function asObject(line: SlateOfFileLine, style: ReadingStyle) {
  const { kind, number, label, note } = line.line;
  if (kind !== 'worked') return { kind, label, note };
  const result = line.worked?.result;
  const [reading] = readings(line, style);
  return {
    ...{ kind, number, label, note, entry: line.entry, readBack: readBack(line, style) },
    reading: reading?.text ?? null,
    plain: reading?.plain ?? null,
    error: result?.ok === false ? { code: result.issue.code, message: describeIssue(result.issue) } : null,
  };
}
