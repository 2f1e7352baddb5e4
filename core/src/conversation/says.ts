import { inWords, type WrittenStyle } from '../spoken/in-words.ts';
import type { SaidAnswer } from './answer.ts';
import type { SaidLine } from './desk.ts';

/** How answers are read aloud. */
export interface Manner {
  /** The result alone, or with the entry that it is of. */
  readonly length: 'short' | 'long';
  /** Lengths as they read in the job, in feet and inches, in metric, or in both. */
  readonly lengths: 'job' | 'feet' | 'metric' | 'both';
}

/** "12′ 4 5⁄8″, full by 1⁄32″", with its entry before it, and in the systems that are asked for. */
export function answerSays({ entry, readBack, reading, rounding, systems }: SaidAnswer, manner: Manner): string {
  const back = readBack ?? entry;
  if (reading === undefined) return back;
  const own = { reading, rounding };
  const { lengths } = manner;
  const wanted =
    systems === undefined || lengths === 'job'
      ? [own]
      : lengths === 'both'
        ? [systems.feet, systems.metric]
        : [systems[lengths]];
  const result = wanted.map(readingSays).join('; ');
  return manner.length === 'long' && back !== reading ? `${back} = ${result}` : result;
}
const readingSays = ({ reading, rounding }: Pick<SaidAnswer, 'reading' | 'rounding'>): string =>
  [reading, rounding].filter((part) => part !== undefined).join(', ');

/** "Line 4: 8′ 2″". */
export function lineSays({ number, name, answer }: SaidLine): string {
  const called = name.toLowerCase() === `line ${number}` ? `Line ${number}` : `Line ${number}, ${name}`;
  return `${called}: ${answer.problem?.sentence ?? answer.reading ?? answer.entry}`;
}

/**
 * What is said, in the words of a voice. A fraction of an inch that a size is off by is said as on a site.
 * @example aloud('12′ 4 5⁄8″, full by 1⁄32″') // => 'twelve feet, four and five eighths, full by a thirty-second'
 */
export function aloud(says: string, style?: WrittenStyle): string {
  return says
    .split(/(?<=[,;:?.!]) /u)
    .map((part) => {
      const [, text = '', end = ''] = /^(.*?)([,;:?.!]*)$/su.exec(part) ?? [];
      return `${inWords(text, style).replace(/ by (less than )?one ([a-z-]+) of an inch/u, ' by $1a $2')}${end}`;
    })
    .join(' ');
}
