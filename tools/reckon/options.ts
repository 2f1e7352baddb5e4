import { DEFAULT_STYLE, LENGTH_STYLES, parseRational, type LengthStyle, type ReadingStyle } from '@sprell/core';

/** What the command line asks for. */
export interface ReckonArguments {
  readonly json: boolean;
  /** Entries are phrases, as they are said. */
  readonly spoken: boolean;
  readonly style: ReadingStyle;
  /** A jig file to run; the entries are its inputs then, as name=entry. */
  readonly jig: string | undefined;
  /** A job file whose slate is printed. */
  readonly job: string | undefined;
  /** Entries given as arguments; with none, standard input is read. */
  readonly entries: readonly string[];
}

export const USAGE = `bin/reckon [--json] [--spoken] [--style ${LENGTH_STYLES.join('|')}] [--finest 1/16] [--round nearest|up|down] [--jig FILE] [--job FILE] [ENTRY …]`;

/** The arguments read, or a sentence that says which one is wrong. */
export function readArguments(args: readonly string[]): ReckonArguments | { readonly problem: string } {
  let json = false;
  let spoken = false;
  let jig: string | undefined;
  let job: string | undefined;
  let style: ReadingStyle = DEFAULT_STYLE;
  const entries: string[] = [];
  for (let index = 0; index < args.length; index += 1) {
    const argument = args[index] as string;
    if (argument === '--') {
      entries.push(...args.slice(index + 1));
      break;
    }
    const [name = '', inline] = splitOption(argument);
    const value = () => inline ?? args[(index += 1)] ?? '';
    if (name === '--json') json = true;
    else if (name === '--spoken') spoken = true;
    else if (name === '--jig') {
      jig = value();
      if (jig === '') return { problem: '--jig takes a jig file.' };
    } else if (name === '--job') {
      job = value();
      if (job === '') return { problem: '--job takes a job file.' };
    } else if (name === '--style') {
      const wanted = value();
      if (!isLengthStyle(wanted))
        return { problem: `--style takes one of ${LENGTH_STYLES.join(', ')}; it was given "${wanted}".` };
      style = { ...style, length: wanted };
    } else if (name === '--finest') {
      const wanted = value();
      const finest = readFinest(wanted);
      if (finest === undefined)
        return {
          problem: `--finest takes a fraction of an inch such as 1/16 or millimetres such as 5 mm; it was given "${wanted}".`,
        };
      style = { ...style, ...finest };
    } else if (name === '--round') {
      const wanted = value();
      if (wanted !== 'nearest' && wanted !== 'up' && wanted !== 'down')
        return { problem: `--round takes nearest, up or down; it was given "${wanted}".` };
      style = { ...style, rounding: wanted };
    } else if (/^--[a-z]/.test(argument)) return { problem: `There is no option ${name}.\n${USAGE}` };
    else entries.push(argument);
  }
  return { json, spoken, style, jig, job, entries };
}

/** --style=mm as a name and a value; an entry that begins with a minus sign is no option. */
function splitOption(argument: string): readonly [string, string?] {
  if (!argument.startsWith('--')) return [argument];
  const equals = argument.indexOf('=');
  return equals === -1 ? [argument] : [argument.slice(0, equals), argument.slice(equals + 1)];
}

function isLengthStyle(text: string): text is LengthStyle {
  return (LENGTH_STYLES as readonly string[]).includes(text);
}

/** "1/32" is a division of an inch; "5 mm", "0.5mm" and "0.5" are millimetres. */
function readFinest(text: string): Partial<ReadingStyle> | undefined {
  const metric = /^([\d.]+)\s*(?:mm)?$/.exec(text.trim());
  const size = parseRational(metric ? (metric[1] as string) : text.trim().replace(/["″]|\s*in$/, ''));
  if (size === undefined || size.num <= 0) return undefined;
  if (metric) return { metricStep: size };
  return size.num === 1 && typeof size.den === 'number' && size.den <= 4096 ? { finest: size.den } : undefined;
}
