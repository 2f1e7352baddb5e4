import { isMetric, type Drift, type ReadingStyle } from '@sprell/core';

const ORDINALS = [
  '',
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
  'eleventh',
  'twelfth',
];

/** The count of a member in words while it is small. */
function nth(number: number): string {
  const word = ORDINALS[number];
  if (word !== undefined) return word;
  const tens = number % 100;
  const ending = tens > 10 && tens < 14 ? 'th' : (['th', 'st', 'nd', 'rd'][number % 10] ?? 'th');
  return `${number}${ending}`;
}

/** What stepping off comes to at the last member, in a sentence. */
export function driftWords(drift: readonly Drift[], style: ReadingStyle): string {
  const last = drift[drift.length - 1];
  const to = isMetric(style.length) ? 'the step of the job' : `1⁄${style.finest}″`;
  if (last?.reading === undefined)
    return 'Stepped off or measured from one end, the members come to stand in the same places.';
  const way = last.out > 0 ? 'past' : 'short of';
  return `Measure from one end: stepped off to ${to}, the ${nth(last.number)} member stands ${last.reading} ${way} its place.`;
}
