import {
  exactText,
  isMetric,
  kindOf,
  readQuantity,
  reckon,
  valueToNumber,
  type Quantity,
  type ReadingStyle,
} from '@sprell/core';

/** Steps that a person would take, from the smallest on. */
const FEET_AND_INCHES = [
  '1/16"',
  '1/8"',
  '1/4"',
  '1/2"',
  '1"',
  '2"',
  '3"',
  '6"',
  "1'",
  "2'",
  "4'",
  "10'",
  "20'",
  "50'",
];
const METRIC = [
  '1 mm',
  '2 mm',
  '5 mm',
  '10 mm',
  '20 mm',
  '50 mm',
  '100 mm',
  '200 mm',
  '500 mm',
  '1 m',
  '2 m',
  '5 m',
  '10 m',
];
/** So many values between half and twice are enough to see how it goes. */
const VALUES = 14;

/** What is proposed for a list of values of an input, as entries. */
export interface ProposedRange {
  readonly from: string;
  readonly to: string;
  readonly step: string;
}

/** From half of a value to twice as much, in even steps. Undefined for what has no half and no twice. */
export function proposedRange(now: Quantity, isWhole: boolean, style: ReadingStyle): ProposedRange | undefined {
  const text = exactText(now, style)?.plain;
  const size = valueToNumber(now.value);
  if (text === undefined || !(size > 0)) return undefined;
  const kind = kindOf(now.dimension);
  if (kind === 'length') {
    const steps = isMetric(style.length) ? METRIC : FEET_AND_INCHES;
    const step = steps.find((one) => sizeOf(one, style) * VALUES >= size * 1.5) ?? steps.at(-1) ?? '';
    return stepped(text, step, style);
  }
  if (kind === 'number') {
    const step = niceNumber((size * 1.5) / VALUES, isWhole);
    return stepped(text, `${step}`, style);
  }
  const asRead = (entry: string) => {
    const { outcome } = reckon(entry, { style });
    return outcome?.kind === 'quantity' ? readQuantity(outcome.quantity, style).plain : undefined;
  };
  const [from, to, step] = [`(${text}) / 2`, `(${text}) * 2`, `(${text}) / 10`].map(asRead);
  return from && to && step ? { from, to, step } : undefined;
}

const sizeOf = (entry: string, style: ReadingStyle): number => {
  const { outcome } = reckon(entry, { style });
  return outcome?.kind === 'quantity' ? valueToNumber(outcome.quantity.value) : Infinity;
};

/** Half and twice, each a whole number of steps. */
function stepped(text: string, step: string, style: ReadingStyle): ProposedRange | undefined {
  const read = (entry: string) => {
    const { outcome } = reckon(entry, { style });
    return outcome?.kind === 'quantity' ? readQuantity(outcome.quantity, style).plain : undefined;
  };
  const from = read(`max(down((${text}) / 2; ${step}); ${step})`);
  const to = read(`up((${text}) * 2; ${step})`);
  return from && to ? { from, to, step } : undefined;
}

/** 1, 2 or 5 times a power of ten, the first that is not smaller. */
function niceNumber(size: number, isWhole: boolean): number {
  const power = 10 ** Math.floor(Math.log10(size));
  const nice = [1, 2, 5, 10].find((one) => one * power >= size) ?? 10;
  const step = Number((nice * power).toPrecision(1));
  return isWhole ? Math.max(1, Math.round(step)) : step;
}
