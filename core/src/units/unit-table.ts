import {
  compareRational,
  divideRational,
  makeRational,
  multiplyRational,
  rationalToNumber,
  type Rational,
} from '../number/rational.ts';
import {
  ANGLE,
  AREA,
  isOrdinary,
  LENGTH,
  MASS,
  MONEY,
  PRESSURE,
  TEMPERATURE,
  TIME,
  VOLUME,
  type Dimension,
} from './dimension.ts';

/**
 * Every unit that an entry may use. Data only; the look-ups of the reader and the printer are built from it.
 *
 * Sources of the factors, all exact:
 * - yard = 0.9144 m and pound = 0.45359237 kg: the international yard and pound agreement of 1959 (NIST SP 811, appendix B);
 *   the foot is a third of a yard, the inch a thirty-sixth (25.4 mm).
 * - US liquid gallon = 231 cubic inches, quart a quarter of it: NIST Handbook 44, appendix C.
 * - US ton = 2,000 pounds (the short ton): NIST Handbook 44, appendix C.
 * - board foot = 144 cubic inches; a square of roofing = 100 square feet: the definitions of the trade (NIST Handbook 44).
 * - litre = 1 cubic decimetre; hectare = 10 000 m²; minute, hour, day; tonne; degree = π/180 rad: SI brochure, 9th edition, table 8.
 * - pascal = 1 kg/(m·s²), bar = 100,000 Pa: SI brochure, 9th edition, tables 4 and 8. A pound of force is a pound times 9.80665 m/s², the
 *   standard acceleration of the 3rd CGPM (1901); psi is one over a square inch, psf one over a square foot (NIST SP 811, appendix B).
 * - °C and °F: the SI brochure (0 °C = 273.15 K) and °F = 9/5 °C + 32.
 */
export interface Unit {
  readonly id: string;
  /** Words that name it, lower case. The first one is written in plain text. */
  readonly words: readonly string[];
  /** What the read-back and the readings write. */
  readonly symbol: string;
  /** The same of one, and behind "per": 1 acre, $/day. */
  readonly one: string;
  /** What one unit is in SI base units; an angle's factor counts in units of π rad when `timesPi` is set. */
  readonly factor: Rational;
  readonly timesPi: boolean;
  readonly dimension: Dimension;
  /** Units of one family join to one measure, from the higher rank to the lower (9 ft 7 in, 2 m 40 cm). */
  readonly family: string | undefined;
  readonly rank: number;
  /** How many of the smallest unit of its family it is: 12 for a foot; 1 without a family. */
  readonly share: number;
  /**
   * For reckoning in doubles: dimension of a unit of powers alone, and the factor of the smallest unit of its family,
   * leastNum/leastDen, of up to a million each. A leastDen of 0 where it has none such. Small whole numbers in all units,
   * so that they stay that in compiled code.
   */
  readonly smallDimension: Dimension;
  readonly leastNum: number;
  readonly leastDen: number;
  /** Whether "sq" and "cu" may stand before it and a 2 or 3 behind it. */
  readonly powers: boolean;
}

/** A row of the table: what most units do not have is left out. */
type UnitRow = Omit<Unit, 'one' | 'timesPi' | 'family' | 'rank' | 'powers' | 'share' | keyof SmallFactor> &
  Partial<Pick<Unit, 'one' | 'timesPi' | 'family' | 'rank' | 'powers'>>;

const r = makeRational;
const INCH = r(127, 5000);
const FOOT = r(381, 1250);
const YARD = r(1143, 1250);
const POUND = r(45359237, 100000000);
/** Under the standard acceleration of 9.80665 m/s². */
const POUND_FORCE = multiplyRational(POUND, r(980665, 100000));
const CUBIC_INCH = multiplyRational(INCH, multiplyRational(INCH, INCH));
const times = (factor: Rational, n: number, d = 1) => multiplyRational(factor, r(n, d));

// One unit a line: it is a table.
// prettier-ignore
const ROWS = [
  { id: 'in', words: ['in', 'inch', 'inches', 'ins'], symbol: '″', factor: INCH, dimension: LENGTH, family: 'foot', rank: 1, powers: true },
  { id: 'ft', words: ['ft', 'foot', 'feet'], symbol: '′', factor: FOOT, dimension: LENGTH, family: 'foot', rank: 2, powers: true },
  { id: 'yd', words: ['yd', 'yard', 'yards', 'yds'], symbol: 'yd', factor: YARD, dimension: LENGTH, family: 'foot', rank: 3, powers: true },
  { id: 'mi', words: ['mi', 'mile', 'miles'], symbol: 'mi', factor: times(YARD, 1760), dimension: LENGTH, powers: true },
  { id: 'thou', words: ['thou', 'thous', 'mil', 'mils'], symbol: 'thou', factor: times(INCH, 1, 1000), dimension: LENGTH },
  { id: 'mm', words: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'], symbol: 'mm', factor: r(1, 1000), dimension: LENGTH, family: 'metre', rank: 1, powers: true },
  { id: 'cm', words: ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'], symbol: 'cm', factor: r(1, 100), dimension: LENGTH, family: 'metre', rank: 2, powers: true },
  { id: 'dm', words: ['dm', 'decimetre', 'decimetres', 'decimeter', 'decimeters'], symbol: 'dm', factor: r(1, 10), dimension: LENGTH, powers: true },
  { id: 'm', words: ['m', 'metre', 'metres', 'meter', 'meters', 'mtr', 'mtrs'], symbol: 'm', factor: r(1), dimension: LENGTH, family: 'metre', rank: 3, powers: true },
  { id: 'km', words: ['km', 'kilometre', 'kilometres', 'kilometer', 'kilometers'], symbol: 'km', factor: r(1000), dimension: LENGTH, powers: true },
  { id: 'micron', words: ['µm', 'μm', 'um', 'micron', 'microns'], symbol: 'µm', factor: r(1, 1000000), dimension: LENGTH },
  { id: 'square', words: ['square', 'squares'], symbol: 'squares', one: 'square', factor: times(multiplyRational(FOOT, FOOT), 100), dimension: AREA },
  { id: 'acre', words: ['acre', 'acres'], symbol: 'acres', one: 'acre', factor: times(multiplyRational(YARD, YARD), 4840), dimension: AREA },
  { id: 'ha', words: ['ha', 'hectare', 'hectares'], symbol: 'ha', factor: r(10000), dimension: AREA },
  { id: 'l', words: ['l', 'litre', 'litres', 'liter', 'liters', 'ltr', 'ltrs'], symbol: 'l', factor: r(1, 1000), dimension: VOLUME },
  { id: 'ml', words: ['ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters'], symbol: 'ml', factor: r(1, 1000000), dimension: VOLUME },
  { id: 'bf', words: ['bf', 'fbm', 'bdft'], symbol: 'bf', factor: times(CUBIC_INCH, 144), dimension: VOLUME },
  { id: 'mbf', words: ['mbf'], symbol: 'MBF', factor: times(CUBIC_INCH, 144000), dimension: VOLUME },
  { id: 'gal', words: ['gal', 'gallon', 'gallons', 'gals'], symbol: 'gal', factor: times(CUBIC_INCH, 231), dimension: VOLUME },
  { id: 'qt', words: ['qt', 'quart', 'quarts'], symbol: 'qt', factor: times(CUBIC_INCH, 231, 4), dimension: VOLUME },
  { id: 'kg', words: ['kg', 'kilogram', 'kilograms', 'kilo', 'kilos', 'kgs'], symbol: 'kg', factor: r(1), dimension: MASS, family: 'gram', rank: 2 },
  { id: 'g', words: ['g', 'gram', 'grams'], symbol: 'g', factor: r(1, 1000), dimension: MASS, family: 'gram', rank: 1 },
  { id: 't', words: ['t', 'tonne', 'tonnes'], symbol: 't', factor: r(1000), dimension: MASS },
  { id: 'ton', words: ['ton', 'tons'], symbol: 'tons', one: 'ton', factor: times(POUND, 2000), dimension: MASS },
  { id: 'lb', words: ['lb', 'lbs', 'pound', 'pounds'], symbol: 'lb', factor: POUND, dimension: MASS, family: 'pound', rank: 2 },
  { id: 'oz', words: ['oz', 'ounce', 'ounces'], symbol: 'oz', factor: times(POUND, 1, 16), dimension: MASS, family: 'pound', rank: 1 },
  { id: 's', words: ['s', 'sec', 'secs', 'second', 'seconds'], symbol: 's', factor: r(1), dimension: TIME, family: 'hour', rank: 1 },
  { id: 'min', words: ['min', 'mins', 'minute', 'minutes'], symbol: 'min', factor: r(60), dimension: TIME, family: 'hour', rank: 2 },
  { id: 'h', words: ['h', 'hr', 'hrs', 'hour', 'hours'], symbol: 'h', factor: r(3600), dimension: TIME, family: 'hour', rank: 3 },
  { id: 'day', words: ['day', 'days'], symbol: 'days', one: 'day', factor: r(86400), dimension: TIME, family: 'hour', rank: 4 },
  { id: 'pa', words: ['pa', 'pascal', 'pascals'], symbol: 'Pa', factor: r(1), dimension: PRESSURE },
  { id: 'kpa', words: ['kpa', 'kilopascal', 'kilopascals'], symbol: 'kPa', factor: r(1000), dimension: PRESSURE },
  { id: 'mpa', words: ['mpa', 'megapascal', 'megapascals'], symbol: 'MPa', factor: r(1000000), dimension: PRESSURE },
  { id: 'bar', words: ['bar', 'bars'], symbol: 'bar', factor: r(100000), dimension: PRESSURE },
  { id: 'psi', words: ['psi'], symbol: 'psi', factor: divideRational(POUND_FORCE, multiplyRational(INCH, INCH)), dimension: PRESSURE },
  { id: 'psf', words: ['psf'], symbol: 'psf', factor: divideRational(POUND_FORCE, multiplyRational(FOOT, FOOT)), dimension: PRESSURE },
  { id: 'money', words: [], symbol: '$', factor: r(1), dimension: MONEY },
  { id: 'deg', words: ['°', 'deg', 'degree', 'degrees'], symbol: '°', factor: r(1, 180), timesPi: true, dimension: ANGLE, family: 'degree', rank: 3 },
  { id: 'arcmin', words: [], symbol: '′', factor: r(1, 10800), timesPi: true, dimension: ANGLE, family: 'degree', rank: 2 },
  { id: 'arcsec', words: [], symbol: '″', factor: r(1, 648000), timesPi: true, dimension: ANGLE, family: 'degree', rank: 1 },
  { id: 'rad', words: ['rad', 'rads', 'radian', 'radians'], symbol: 'rad', factor: r(1), dimension: ANGLE },
  { id: 'celsius', words: ['°c', 'degc', 'celsius', 'centigrade'], symbol: '°C', factor: r(1), dimension: TEMPERATURE },
  { id: 'fahrenheit', words: ['°f', 'degf', 'fahrenheit'], symbol: '°F', factor: r(5, 9), dimension: TEMPERATURE },
] as const satisfies readonly UnitRow[];

export type UnitId = (typeof ROWS)[number]['id'];

function leastOf(family: string | undefined, own: Rational): Rational {
  if (family === undefined) return own;
  const factors = (ROWS as readonly UnitRow[]).filter((row) => row.family === family).map(({ factor }) => factor);
  return factors.reduce((least, factor) => (compareRational(factor, least) < 0 ? factor : least));
}

type SmallFactor = Pick<Unit, 'smallDimension' | 'leastNum' | 'leastDen'>;
const NO_SMALL_FACTOR: SmallFactor = { smallDimension: 0, leastNum: 0, leastDen: 0 };

function smallFactor({ num, den }: Rational, dimension: Dimension): SmallFactor {
  const fits = isOrdinary(dimension) && num <= 1e6 && den <= 1e6;
  return fits ? { smallDimension: dimension, leastNum: Number(num), leastDen: Number(den) } : NO_SMALL_FACTOR;
}

/** Every unit, all of one shape: the reader looks at them at every keystroke. */
export const UNITS: readonly Unit[] = (ROWS as readonly UnitRow[]).map(
  ({ id, words, symbol, one = symbol, factor, timesPi = false, dimension, family, rank = 0, powers = false }) => {
    const least = leastOf(family, factor);
    return {
      id,
      words,
      symbol,
      one,
      factor,
      timesPi,
      dimension,
      family,
      rank,
      powers,
      share: rationalToNumber(divideRational(factor, least)),
      ...smallFactor(least, dimension),
    };
  },
);

const BY_ID = new Map<string, Unit>(UNITS.map((unit) => [unit.id, unit]));

/** The unit of that id. */
export function unitById(id: UnitId): Unit {
  return BY_ID.get(id) as Unit;
}

/** Units by every word that names them, lower case. */
export const UNIT_WORDS: ReadonlyMap<string, Unit> = new Map(
  UNITS.flatMap((unit) => unit.words.map((word) => [word, unit] as const)),
);

/** Speeds and flows that have a word of their own: unit over unit. */
export const RATE_WORDS: ReadonlyMap<string, readonly [UnitId, UnitId]> = new Map([
  ['mph', ['mi', 'h']],
  ['kmh', ['km', 'h']],
  ['kph', ['km', 'h']],
  ['fps', ['ft', 's']],
  ['gpm', ['gal', 'min']],
  ['lpm', ['l', 'min']],
]);

/** Kelvin at 0 °C and at 0 °F, the offsets of the two temperature scales. */
export const KELVIN_AT_ZERO: Readonly<Record<'celsius' | 'fahrenheit', Rational>> = {
  celsius: r(27315, 100),
  fahrenheit: r(45967, 180),
};
