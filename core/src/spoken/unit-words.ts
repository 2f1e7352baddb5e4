import { UNITS, type UnitId } from '../units/unit-table.ts';

type OneMany = readonly [one: string, many: string];

/** What each unit is called aloud: one of it, and several. */
const SPOKEN: Readonly<Record<UnitId, OneMany>> = {
  in: ['inch', 'inches'],
  ft: ['foot', 'feet'],
  yd: ['yard', 'yards'],
  mi: ['mile', 'miles'],
  thou: ['thousandth of an inch', 'thousandths of an inch'],
  mm: ['millimetre', 'millimetres'],
  cm: ['centimetre', 'centimetres'],
  dm: ['decimetre', 'decimetres'],
  m: ['metre', 'metres'],
  km: ['kilometre', 'kilometres'],
  micron: ['micron', 'microns'],
  square: ['square', 'squares'],
  acre: ['acre', 'acres'],
  ha: ['hectare', 'hectares'],
  l: ['litre', 'litres'],
  ml: ['millilitre', 'millilitres'],
  bf: ['board foot', 'board feet'],
  mbf: ['thousand board feet', 'thousand board feet'],
  gal: ['gallon', 'gallons'],
  qt: ['quart', 'quarts'],
  kg: ['kilogram', 'kilograms'],
  g: ['gram', 'grams'],
  t: ['tonne', 'tonnes'],
  ton: ['ton', 'tons'],
  lb: ['pound', 'pounds'],
  oz: ['ounce', 'ounces'],
  s: ['second', 'seconds'],
  min: ['minute', 'minutes'],
  h: ['hour', 'hours'],
  day: ['day', 'days'],
  pa: ['pascal', 'pascals'],
  kpa: ['kilopascal', 'kilopascals'],
  mpa: ['megapascal', 'megapascals'],
  bar: ['bar', 'bars'],
  psi: ['pound on a square inch', 'pounds on a square inch'],
  psf: ['pound on a square foot', 'pounds on a square foot'],
  money: ['dollar', 'dollars'],
  deg: ['degree', 'degrees'],
  arcmin: ['minute', 'minutes'],
  arcsec: ['second', 'seconds'],
  rad: ['radian', 'radians'],
  celsius: ['degree Celsius', 'degrees Celsius'],
  fahrenheit: ['degree Fahrenheit', 'degrees Fahrenheit'],
};

/** By what a reading writes: its symbol, the symbol of one, and its first word, which stands behind "sq" and "cu". */
const BY_SYMBOL: ReadonlyMap<string, OneMany> = new Map(
  UNITS.flatMap(({ id, symbol, one, words }) => {
    const spoken = SPOKEN[id as UnitId];
    // The arc's minutes and seconds are written as feet and inches are, and said where degrees stand before them.
    if (id === 'arcmin' || id === 'arcsec') return [];
    return [symbol, one, ...words.slice(0, 1)].map((written) => [written, spoken] as const);
  }),
);

const POWERS: Readonly<Record<string, string>> = { '²': 'square', '³': 'cubic', '⁴': 'to the fourth' };

/**
 * A unit as it is written, in words: "square metres" for m², "cubic yards" for cu yd.
 * @param isOne of which there is one, or which stands behind "per"
 * @returns undefined where it is no unit
 */
export function unitInWords(written: string, isOne: boolean): string | undefined {
  const [, prefix, bare = '', power] = /^(sq |cu )?(.+?)([²³⁴])?$/u.exec(written) ?? [];
  const spoken = BY_SYMBOL.get(bare)?.[isOne ? 0 : 1];
  if (spoken === undefined) return undefined;
  const kind = prefix === 'sq ' ? 'square' : prefix === 'cu ' ? 'cubic' : POWERS[power ?? ''];
  if (kind === undefined) return spoken;
  return power === '⁴' ? `${spoken} ${kind}` : `${kind} ${spoken}`;
}

/** Every way in which readings write a unit, the longest first. */
export const WRITTEN_UNITS: readonly string[] = [...BY_SYMBOL.keys()].sort((a, b) => b.length - a.length);
