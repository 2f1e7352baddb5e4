import type { Words } from './phrases.ts';

/** A unit that was heard: how an entry writes it behind a number, and the first word behind it. */
export interface HeardUnit {
  readonly written: string;
  readonly next: number;
}

/** One of it and several, as they are said, by what an entry writes. */
const SAID: Readonly<Record<string, readonly string[]>> = {
  "'": ['foot', 'feet', 'ft', "'", '′', '’'],
  '"': ['inch', 'inches', 'in', '"', '″'],
  ' yd': ['yard', 'yards', 'yd', 'yds'],
  ' mi': ['mile', 'miles'],
  ' m': ['metre', 'metres', 'meter', 'meters', 'm'],
  ' cm': ['centimetre', 'centimetres', 'centimeter', 'centimeters', 'cm', 'centi', 'cent'],
  ' mm': ['millimetre', 'millimetres', 'millimeter', 'millimeters', 'mm', 'mil', 'mils', 'mill', 'mills', 'millie'],
  ' km': ['kilometre', 'kilometres', 'kilometer', 'kilometers', 'km'],
  ' thou': ['thou'],
  ' l': ['litre', 'litres', 'liter', 'liters'],
  ' gal': ['gallon', 'gallons'],
  ' qt': ['quart', 'quarts'],
  ' acres': ['acre', 'acres'],
  ' ha': ['hectare', 'hectares'],
  ' kg': ['kilogram', 'kilograms', 'kilo', 'kilos', 'kg'],
  ' g': ['gram', 'grams'],
  ' t': ['tonne', 'tonnes'],
  ' tons': ['ton', 'tons'],
  ' lb': ['pound', 'pounds', 'lb', 'lbs'],
  ' oz': ['ounce', 'ounces', 'oz'],
  ' h': ['hour', 'hours', 'hr', 'hrs'],
  ' min': ['minute', 'minutes', 'min', 'mins'],
  ' s': ['second', 'seconds'],
  ' days': ['day', 'days'],
  '°': ['degree', 'degrees', '°'],
  ' rad': ['radian', 'radians'],
  ' ea': ['piece', 'pieces', 'each'],
};
const BY_WORD: ReadonlyMap<string, string> = new Map(
  Object.entries(SAID).flatMap(([written, words]) => words.map((word) => [word, written] as const)),
);
/** Units of length, as they stand behind "sq" and "cu". */
const LENGTHS: Readonly<Record<string, string>> = {
  "'": 'ft',
  '"': 'in',
  ' yd': 'yd',
  ' mi': 'mi',
  ' m': 'm',
  ' cm': 'cm',
  ' mm': 'mm',
  ' km': 'km',
};

/** A unit by its name: how it stands in another, and behind "to". */
export const nameOfUnit = (written: string): string =>
  ({ "'": 'ft', '"': 'in', '°': 'degrees' })[written] ?? written.trim();

/**
 * Reads the words of a unit, with what it is for one of: "miles per hour".
 * @example readHeardUnit(['square', 'metres'], 0)?.written // => ' sq m'
 */
export function readHeardUnit(words: Words, at: number): HeardUnit | undefined {
  const unit = readOneUnit(words, at);
  const per = unit && words[unit.next] === 'per' ? readOneUnit(words, unit.next + 1) : undefined;
  if (unit === undefined || per === undefined) return unit;
  return { written: ` ${nameOfUnit(unit.written)}/${nameOfUnit(per.written)}`, next: per.next };
}

function readOneUnit(words: Words, at: number): HeardUnit | undefined {
  const word = words[at] ?? '';
  if (word === 'square' || word === 'squared' || word === 'sq' || word === 'cubic' || word === 'cube') {
    const length = LENGTHS[BY_WORD.get(words[at + 1] ?? '') ?? ''];
    if (length !== undefined) return { written: ` ${word.startsWith('sq') ? 'sq' : 'cu'} ${length}`, next: at + 2 };
    // A hundred square feet of roof.
    const isOne = word === 'square' && /^(a|one)$/.test(words[at - 1] ?? '');
    return isOne ? { written: ' square', next: at + 1 } : undefined;
  }
  if (word.startsWith('degree') && /^(fahrenheit|celsius|centigrade)$/.test(words[at + 1] ?? ''))
    return { written: words[at + 1] === 'fahrenheit' ? ' °F' : ' °C', next: at + 2 };
  if (word === 'squares') return { written: ' squares', next: at + 1 };
  if (word === 'board' && /^(foot|feet)$/.test(words[at + 1] ?? '')) return { written: ' bf', next: at + 2 };
  const written = BY_WORD.get(word);
  return written === undefined ? undefined : { written, next: at + 1 };
}

/** Whether a bare number behind this one's unit is of a smaller unit: the inches of feet, the centimetres of metres. */
export function impliedBehind(written: string, number: string): string | undefined {
  if (written === "'") return '"';
  if (written === ' m' && /^\d{1,3}$/.test(number)) return number.length === 3 ? ' mm' : ' cm';
  return undefined;
}

/** Order of the parts of one length. */
const RANK: Readonly<Record<string, number>> = { ' yd': 3, "'": 2, '"': 1, ' m': 13, ' cm': 12, ' mm': 11 };

/** Whether a unit may follow another within one length, weight, time or angle: 9 foot 7 inches, 2 metres 40 centimetres. */
export function goesOn(before: string, after: string): boolean {
  const [high, low] = [RANK[before], RANK[after]];
  if (high !== undefined && low !== undefined) return high > low && high > 10 === low > 10;
  return (
    (before === ' lb' && after === ' oz') ||
    (before === ' h' && (after === ' min' || after === ' s')) ||
    (before === ' min' && after === ' s') ||
    (before === ' kg' && after === ' g') ||
    (before === '°' && (after === ' min' || after === ' s'))
  );
}
