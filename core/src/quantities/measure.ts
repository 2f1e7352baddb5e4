import type { ReadingForm, ReadingStyle } from '../reading/style.ts';
import { AREA, LENGTH, MASS, PLAIN, TIME, VOLUME, type Dimension } from '../units/dimension.ts';
import { quantityIn, type Quantity } from '../units/quantity.ts';
import { unitById, type UnitId } from '../units/unit-table.ts';
import { makeRational } from '../number/rational.ts';
import { multiplyValue } from '../number/value.ts';

/** What a row of a take-off is measured by. */
export const MEASURES = ['each', 'run', 'area', 'volume', 'board', 'mass', 'hours'] as const;
export type Measure = (typeof MEASURES)[number];

/** The cells of a row that hold an entry, in the order in which they stand. */
export const CELLS = [
  'count',
  'length',
  'width',
  'depth',
  'apiece',
  'less',
  'waste',
  'pack',
  'price',
  'other',
] as const;
export type CellName = (typeof CELLS)[number];
export type SizeCell = 'length' | 'width' | 'depth' | 'apiece';

export interface AboutMeasure {
  /** As it is chosen: "run of length". */
  readonly title: string;
  readonly dimension: Dimension;
  /** The sizes whose product one piece comes to. One that is given as an area or a volume takes the place of several. */
  readonly sizes: readonly SizeCell[];
  /** Openings and the like can be taken from it. */
  readonly takesLess: boolean;
  /** Its quantities read so, whatever the job says. */
  readonly form?: ReadingForm;
}

const inUnit = (unit: UnitId): ReadingForm => ({ units: [{ unit, power: 1 }] });

export const ABOUT_MEASURES: Readonly<Record<Measure, AboutMeasure>> = {
  each: { title: 'each', dimension: PLAIN, sizes: [], takesLess: false, form: { decimals: 2 } },
  run: { title: 'run of length', dimension: LENGTH, sizes: ['length'], takesLess: true },
  area: { title: 'area', dimension: AREA, sizes: ['length', 'width'], takesLess: true },
  volume: { title: 'volume', dimension: VOLUME, sizes: ['length', 'width', 'depth'], takesLess: true },
  board: {
    title: 'board measure',
    dimension: VOLUME,
    sizes: ['length', 'width', 'depth'],
    takesLess: false,
    form: inUnit('bf'),
  },
  mass: { title: 'mass', dimension: MASS, sizes: ['apiece'], takesLess: false },
  hours: { title: 'hours', dimension: TIME, sizes: ['apiece'], takesLess: false, form: inUnit('h') },
};

/** Whether a cell counts in a row that is measured so. */
export function countsIn(measure: Measure, cell: CellName): boolean {
  const { sizes, takesLess } = ABOUT_MEASURES[measure];
  if (cell === 'length' || cell === 'width' || cell === 'depth' || cell === 'apiece') return sizes.includes(cell);
  return cell !== 'less' || takesLess;
}

/** What a price is for: so many pieces, one pack, or one of a unit of what the row is measured in. */
interface AboutPriceUnit {
  /** Behind a price: "a pack", "/ft". */
  readonly says: string;
  readonly of: 'pieces' | 'packs' | 'quantity';
  /** So many pieces, or so much of the quantity. */
  readonly amount: Quantity;
  /** What is bought by it reads so. */
  readonly form?: ReadingForm;
}

const pieces = (says: string, count: number): AboutPriceUnit => ({
  says,
  of: 'pieces',
  amount: { value: makeRational(count), dimension: PLAIN },
});

/** One of a unit to a whole power: a square foot. */
export function unitToPower(id: UnitId, power: number): Quantity {
  const unit = quantityIn(makeRational(1), unitById(id));
  let { value } = unit;
  for (let n = 1; n < power; n += 1) value = multiplyValue(value, unit.value);
  return { value, dimension: unit.dimension * power };
}
function per(says: string, id: UnitId, power = 1): AboutPriceUnit {
  return { says, of: 'quantity', amount: unitToPower(id, power), form: { units: [{ unit: id, power }] } };
}

/** What prices are given for. Sources of the units: the unit table; a dozen, a hundred and a thousand as nails are sold. */
export const PRICE_UNITS = {
  each: pieces('each', 1),
  dozen: pieces('a dozen', 12),
  hundred: pieces('a hundred', 100),
  thousand: pieces('a thousand', 1000),
  pack: { says: 'a pack', of: 'packs', amount: { value: makeRational(1), dimension: PLAIN } },
  ft: per('/ft', 'ft'),
  yd: per('/yd', 'yd'),
  m: per('/m', 'm'),
  ft2: per('/sq ft', 'ft', 2),
  yd2: per('/sq yd', 'yd', 2),
  square: per('/square', 'square'),
  m2: per('/m²', 'm', 2),
  ft3: per('/cu ft', 'ft', 3),
  yd3: per('/cu yd', 'yd', 3),
  m3: per('/m³', 'm', 3),
  l: per('/l', 'l'),
  bf: per('/bf', 'bf'),
  // What is bought by the thousand is read by the board foot still.
  mbf: { ...per('/1,000 bf', 'mbf'), form: inUnit('bf') },
  lb: per('/lb', 'lb'),
  ton: per('/ton', 'ton'),
  kg: per('/kg', 'kg'),
  t: per('/t', 't'),
  h: per('/h', 'h'),
} satisfies Readonly<Record<string, AboutPriceUnit>>;
export type PriceUnit = keyof typeof PRICE_UNITS;
export const PRICE_UNIT_IDS = Object.keys(PRICE_UNITS) as readonly PriceUnit[];

const BY_MEASURE: Readonly<
  Record<Measure, { readonly imperial: readonly PriceUnit[]; readonly metric: readonly PriceUnit[] }>
> = {
  each: { imperial: ['each', 'dozen', 'hundred', 'thousand'], metric: [] },
  run: { imperial: ['ft', 'yd'], metric: ['m'] },
  area: { imperial: ['ft2', 'yd2', 'square'], metric: ['m2'] },
  volume: { imperial: ['yd3', 'ft3'], metric: ['m3', 'l'] },
  board: { imperial: ['bf', 'mbf'], metric: ['m3'] },
  mass: { imperial: ['lb', 'ton'], metric: ['kg', 't'] },
  hours: { imperial: ['h'], metric: [] },
};

/** The unit that a row is priced by, where its quantities can read in that; a run by the foot in feet and inches is one on a tape. */
export function formOfPrice(
  { measure, per: unit }: { readonly measure: Measure; readonly per: PriceUnit },
  { length }: Pick<ReadingStyle, 'length'>,
): ReadingForm | undefined {
  const about: AboutPriceUnit = PRICE_UNITS[unit];
  const isOfTape = unit === 'ft' && (length === 'ft-in' || length === 'in');
  const fits = about.of === 'quantity' && about.amount.dimension === ABOUT_MEASURES[measure].dimension && !isOfTape;
  return fits ? about.form : undefined;
}

/** What a price of a row can be for, the likeliest first. */
export function priceUnitsFor(measure: Measure, isMetricJob: boolean): readonly PriceUnit[] {
  const { imperial, metric } = BY_MEASURE[measure];
  const own = isMetricJob ? [...metric, ...imperial] : [...imperial, ...metric];
  return [...own, ...(measure === 'each' ? [] : (['each'] as const)), 'pack'];
}
