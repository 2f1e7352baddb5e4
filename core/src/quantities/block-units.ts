import { reckonTyped } from '../bare/reckon-typed.ts';
import { isMetric, type ReadingStyle } from '../reading/style.ts';
import { AREA, LENGTH, MASS, TIME, VOLUME, type Dimension } from '../units/dimension.ts';
import { priceUnitsFor, PRICE_UNIT_IDS, PRICE_UNITS, type Measure, type PriceUnit } from './measure.ts';

/** Words for units that a row is measured by. */
const UNITS: readonly (readonly [Measure, RegExp])[] = [
  ['each', /^(each|ea|e|pc|pcs|piece|pieces|no|nr|unit|units|set|sets|box|boxes)\.?$/i],
  ['run', /^(run of length|run|lf|lft|lin\.? ?ft|ft|foot|feet|lm|m|metres?|meters?)\.?$/i],
  ['area', /^(area|sf|sq\.? ?ft|ft2|ft²|square feet|sm|sq\.? ?m|m2|m²|sy|sq\.? ?yd|squares?)\.?$/i],
  ['volume', /^(volume|cy|cu\.? ?yd|yd3|yd³|cf|cu\.? ?ft|ft3|m3|m³|cu\.? ?m|l|litres?|liters?)\.?$/i],
  ['board', /^(board measure|bf|fbm|bdft|bd\.? ?ft|board feet)\.?$/i],
  ['mass', /^(mass|lb|lbs|kg|t|ton|tons|tonnes?)\.?$/i],
  ['hours', /^(hours?|h|hr|hrs)\.?$/i],
];
/** Abbreviations of units that an entry does not know. */
const WRITTEN: Readonly<Record<string, string>> = { lft: 'ft', lm: 'm', sm: 'm2', 'lin ft': 'ft', 'bd ft': 'bf' };

/** Whether a word says by what a row is measured. */
export const isUnitWord = (text: string): boolean => measureOfWord(text) !== undefined;
/** What a word for a unit measures. */
export const measureOfWord = (text: string): Measure | undefined => UNITS.find(([, words]) => words.test(text))?.[0];

/** 40 no and 40 pcs are 40. */
export function withoutEach(text: string): string {
  const { count, word = '' } = /^(?<count>[\d.,]+) ?(?<word>\p{L}+\.?)$/u.exec(text)?.groups ?? {};
  return count !== undefined && measureOfWord(word) === 'each' ? count : text;
}

/** 120 in a column of amounts beside lf is 120 lf. */
export function withUnit(amount: string, unit: string): string {
  const isBare = /^[\d.,]+$/.test(amount);
  const word = WRITTEN[unit.toLowerCase().replace(/\./g, '').trim()] ?? unit.replace(/\.$/, '');
  const isOfUnit = UNITS.some(([measure, words]) => measure !== 'each' && words.test(unit));
  return isBare && isOfUnit && !/^(run|area|volume|mass|hours|board measure|run of length)$/i.test(unit)
    ? `${amount} ${word}`
    : amount;
}

const OF_DIMENSION: ReadonlyMap<Dimension, Measure> = new Map([
  [LENGTH, 'run'],
  [AREA, 'area'],
  [VOLUME, 'volume'],
  [MASS, 'mass'],
  [TIME, 'hours'],
]);
/** What a dimension measures. */
export const measureOfDimension = (dimension: Dimension): Measure | undefined => OF_DIMENSION.get(dimension);

/** The unit that stands behind the words over a column: "length (ft)", "width, mm". */
export function unitOfHead(head: string): string {
  const said =
    /\((?<unit>[^()]+)\)\s*$/.exec(head)?.groups?.['unit'] ?? /,\s*(?<unit>\S+)\s*$/.exec(head)?.groups?.['unit'];
  const word = said?.trim().replace(/\.$/, '') ?? '';
  const dimension = reckonTyped(`1 ${word}`, {}).outcome;
  return dimension?.kind === 'quantity' && dimension.quantity.dimension === LENGTH ? word : '';
}

/** As price units are written elsewhere. */
const SPELLED: Readonly<Record<string, PriceUnit>> = {
  lf: 'ft',
  foot: 'ft',
  feet: 'ft',
  sf: 'ft2',
  'sq ft': 'ft2',
  sy: 'yd2',
  'sq yd': 'yd2',
  cy: 'yd3',
  'cu yd': 'yd3',
  cf: 'ft3',
  'cu ft': 'ft3',
  hr: 'h',
  hrs: 'h',
  lbs: 'lb',
  tons: 'ton',
};

const BY_WORDS: ReadonlyMap<string, PriceUnit> = new Map(
  PRICE_UNIT_IDS.map((id) => [PRICE_UNITS[id].says.replace(/^(a |\/)/, ''), id]),
);

/** What a price is for, by the words for it or the unit beside the amount; undefined where they do not say. */
export function perOf(words: string, measure: Measure, style: ReadingStyle): PriceUnit | undefined {
  const units = priceUnitsFor(measure, isMetric(style.length));
  const word = words.toLowerCase().replace(/^(a|per|\/) */, '');
  const written = WRITTEN[word.replace(/\./g, '').trim()] ?? word;
  const own =
    SPELLED[written] ?? BY_WORDS.get(written) ?? (written in PRICE_UNITS ? (written as PriceUnit) : undefined);
  return own !== undefined && units.includes(own) ? own : undefined;
}
/** What prices are for where nothing says it. */
export const likeliest = (measure: Measure, style: ReadingStyle): PriceUnit =>
  priceUnitsFor(measure, isMetric(style.length))[0] as PriceUnit;
