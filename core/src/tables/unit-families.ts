import { arcTangent, tangent } from '../evaluate/angles.ts';
import { divideValue, isZero, multiplyValue, signOfValue } from '../number/value.ts';
import { makeRational } from '../number/rational.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import type { ReadingForm, ReadingStyle } from '../reading/style.ts';
import { plainUnitsText } from '../reading/unit-choice.ts';
import {
  ANGLE,
  AREA,
  FLOW,
  LENGTH,
  MASS,
  PLAIN,
  PRESSURE,
  SLOPE,
  SPEED,
  TEMPERATURE,
  TIME,
  VOLUME,
  type Dimension,
} from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import { UNIT_SOURCES } from '../units/unit-sources.ts';
import { unitById, type UnitId } from '../units/unit-table.ts';

/** A value as one member of its family writes it. */
export interface FamilyReading {
  readonly text: string;
  /** An entry of the value shown. */
  readonly plain: string;
  readonly isExact: boolean;
}

/** One way to write a value: a unit, or a fraction of an inch. */
export interface FamilyMember {
  readonly id: string;
  /** As it heads a column: inches, by sixteenths. */
  readonly title: string;
  /** Where its factor comes from. */
  readonly source: string;
  /** What makes an entry read so: `to mm`; undefined where no entry can ask for it. */
  readonly to: string | undefined;
  /** Undefined where the value cannot be written so: a level roof has no 1 in n. */
  read(quantity: Quantity, style: ReadingStyle, decimals: number | undefined): FamilyReading | undefined;
}

export const FAMILY_KINDS = [
  'length',
  'slope',
  'area',
  'volume',
  'mass',
  'temperature',
  'speed',
  'flow',
  'pressure',
  'time',
] as const;
export type FamilyKind = (typeof FAMILY_KINDS)[number];

/** A reading in units; `decimals` of the reader's choice go before those of the unit. */
function inUnits(
  id: string,
  title: string,
  units: readonly (readonly [UnitId, number])[],
  form: ReadingForm = {},
): FamilyMember {
  const [[first]] = units as [readonly [UnitId, number]];
  const source = [...new Set(units.map(([unit]) => UNIT_SOURCES[unit]))].join('; ');
  return {
    id,
    title,
    source: units.length === 1 && (units[0]?.[1] ?? 1) === 1 ? UNIT_SOURCES[first] : source,
    // Inches alone are asked for by fractions.
    to:
      id === 'in'
        ? undefined
        : `to ${plainUnitsText(
            units.map(([one, power]) => ({ unit: unitById(one), power })),
            '$',
          )}`,
    read: (quantity, style, decimals) => {
      const asked: ReadingForm = {
        units: units.map(([unit, power]) => ({ unit, power })),
        ...form,
        ...(decimals === undefined ? {} : { decimals }),
      };
      return shown(readQuantity(quantity, style, asked));
    },
  };
}
const shown = ({ text, plain, rounding }: ReturnType<typeof readQuantity>): FamilyReading => ({
  text,
  plain,
  isExact: rounding === 'exact',
});

/** Lengths as a tape shows them: by its own fraction, whatever the decimals. */
function onTape(id: string, title: string, length: ReadingStyle['length']): FamilyMember {
  return {
    id,
    title,
    source: UNIT_SOURCES.in,
    to: length === 'ft-in' ? 'to ft in' : 'to in',
    read: (quantity, style) => shown(readQuantity(quantity, { ...style, length })),
  };
}

const HUNDRED = makeRational(100);
/** Rise over run of a slope or of an angle; undefined for what stands upright. */
function slopeOf({ value, dimension }: Quantity): Quantity | undefined {
  const ratio = dimension === ANGLE ? tangent(value) : value;
  return ratio && { value: ratio, dimension: SLOPE };
}
const angleOf = ({ value, dimension }: Quantity): Quantity =>
  dimension === ANGLE ? { value, dimension } : { value: arcTangent(value), dimension: ANGLE };

const SLOPES: readonly FamilyMember[] = [
  {
    id: 'rise',
    title: 'rise in 12',
    source: 'rise over run, of twelve',
    to: 'to slope',
    read: (quantity, style, decimals) => {
      const slope = slopeOf(quantity);
      return (
        slope && shown(readQuantity(slope, style, { form: 'slope', ...(decimals === undefined ? {} : { decimals }) }))
      );
    },
  },
  {
    id: 'degrees',
    title: 'degrees',
    source: 'the angle whose tangent is rise over run',
    to: 'to degrees',
    read: (quantity, style, decimals) => shown(readQuantity(angleOf(quantity), style, { decimals: decimals ?? 2 })),
  },
  {
    id: 'minutes',
    title: 'degrees and minutes',
    source: 'sixty minutes to a degree',
    to: undefined,
    read: (quantity, style) => shown(readQuantity(angleOf(quantity), style, { form: 'degrees-minutes' })),
  },
  {
    id: 'percent',
    title: 'per cent',
    source: 'rise for a hundred of run',
    to: undefined,
    read: (quantity, style, decimals) => {
      const slope = slopeOf(quantity);
      if (slope === undefined) return undefined;
      const { text, plain, isExact } = number(multiplyValue(slope.value, HUNDRED), style, decimals ?? 2);
      // A per cent is a plain number; atan makes a slope of it again.
      return { text: `${text}%`, plain: `${plain}%`, isExact };
    },
  },
  {
    id: 'one-in',
    title: '1 in',
    source: 'run for one of rise',
    to: undefined,
    read: (quantity, style, decimals) => {
      const slope = slopeOf(quantity);
      if (slope === undefined || isZero(slope.value) || signOfValue(slope.value) < 0) return undefined;
      const { text, plain, isExact } = number(divideValue(makeRational(1), slope.value), style, decimals ?? 2);
      return { text: `1 in ${text}`, plain: `1:${plain}`, isExact };
    },
  },
];
const number = (value: Quantity['value'], style: ReadingStyle, decimals: number): FamilyReading =>
  shown(readQuantity({ value, dimension: PLAIN }, style, { decimals }));

const unit = (id: UnitId, title: string, form?: ReadingForm): FamilyMember => inUnits(id, title, [[id, 1]], form);
const squared = (id: UnitId, title: string): FamilyMember => inUnits(`${id}2`, title, [[id, 2]]);
const cubed = (id: UnitId, title: string): FamilyMember => inUnits(`${id}3`, title, [[id, 3]]);
const over = (id: UnitId, per: UnitId, title: string): FamilyMember =>
  inUnits(`${id}/${per}`, title, [
    [id, 1],
    [per, -1],
  ]);
const cubedOver = (id: UnitId, per: UnitId, title: string): FamilyMember =>
  inUnits(`${id}3/${per}`, title, [
    [id, 3],
    [per, -1],
  ]);

/** Every family of units that a site meets, in the order in which its members are read. */
export const UNIT_FAMILIES: Readonly<Record<FamilyKind, readonly FamilyMember[]>> = {
  length: [
    onTape('ft-in', 'feet and inches', 'ft-in'),
    onTape('in-fraction', 'inches and fraction', 'in'),
    unit('in', 'inches, decimal', { decimals: 3 }),
    unit('ft', 'feet, decimal', { decimals: 4 }),
    unit('yd', 'yards'),
    unit('mm', 'millimetres', { decimals: 1 }),
    unit('cm', 'centimetres', { decimals: 2 }),
    unit('m', 'metres', { decimals: 4 }),
    unit('mi', 'miles', { decimals: 4 }),
    unit('km', 'kilometres', { decimals: 4 }),
  ],
  slope: SLOPES,
  area: [
    squared('in', 'square inches'),
    squared('ft', 'square feet'),
    squared('yd', 'square yards'),
    unit('square', 'squares of roofing'),
    unit('acre', 'acres'),
    squared('mm', 'square millimetres'),
    squared('cm', 'square centimetres'),
    squared('m', 'square metres'),
    unit('ha', 'hectares'),
  ],
  volume: [
    cubed('in', 'cubic inches'),
    cubed('ft', 'cubic feet'),
    cubed('yd', 'cubic yards'),
    unit('bf', 'board feet'),
    unit('gal', 'US gallons'),
    unit('qt', 'US quarts'),
    unit('ml', 'millilitres'),
    unit('l', 'litres'),
    cubed('m', 'cubic metres'),
  ],
  mass: [
    unit('oz', 'ounces'),
    unit('lb', 'pounds'),
    unit('ton', 'US tons'),
    unit('g', 'grams'),
    unit('kg', 'kilograms'),
    unit('t', 'tonnes'),
  ],
  temperature: [unit('fahrenheit', 'degrees Fahrenheit'), unit('celsius', 'degrees Celsius')],
  speed: [
    over('ft', 's', 'feet a second'),
    over('mi', 'h', 'miles an hour'),
    over('m', 's', 'metres a second'),
    over('km', 'h', 'kilometres an hour'),
  ],
  flow: [
    over('gal', 'min', 'US gallons a minute'),
    over('gal', 'h', 'US gallons an hour'),
    cubedOver('ft', 'min', 'cubic feet a minute'),
    over('l', 'min', 'litres a minute'),
    over('l', 's', 'litres a second'),
    cubedOver('m', 'h', 'cubic metres an hour'),
  ],
  pressure: [
    unit('psi', 'pounds on a square inch'),
    unit('psf', 'pounds on a square foot'),
    unit('bar', 'bars'),
    unit('kpa', 'kilopascals'),
    unit('mpa', 'megapascals'),
    unit('pa', 'pascals'),
  ],
  time: [unit('s', 'seconds'), unit('min', 'minutes'), unit('h', 'hours'), unit('day', 'days')],
};

const KIND_OF: ReadonlyMap<Dimension, FamilyKind> = new Map([
  [LENGTH, 'length'],
  [SLOPE, 'slope'],
  [ANGLE, 'slope'],
  [AREA, 'area'],
  [VOLUME, 'volume'],
  [MASS, 'mass'],
  [TEMPERATURE, 'temperature'],
  [SPEED, 'speed'],
  [FLOW, 'flow'],
  [PRESSURE, 'pressure'],
  [TIME, 'time'],
]);

/** The family of a value; undefined for a plain number, money and what has no family. */
export const familyOf = (dimension: Dimension): FamilyKind | undefined => KIND_OF.get(dimension);

/** A value with every member of its family. */
export function familyReadings(
  quantity: Quantity,
  style: ReadingStyle,
  decimals?: number,
): readonly { readonly member: FamilyMember; readonly reading: FamilyReading }[] {
  const kind = familyOf(quantity.dimension);
  return (kind === undefined ? [] : UNIT_FAMILIES[kind]).flatMap((member) => {
    const reading = member.read(quantity, style, decimals);
    return reading ? [{ member, reading }] : [];
  });
}
