import {
  ANGLE,
  AREA,
  FLOW,
  LENGTH,
  MASS,
  MONEY,
  POWER_NAMES,
  powersOf,
  PRESSURE,
  SPEED,
  TIME,
  VOLUME,
  type Dimension,
} from '../units/dimension.ts';
import { unitById, type Unit, type UnitId } from '../units/unit-table.ts';
import { isMetric, type LengthStyle } from './style.ts';

export interface PoweredUnit {
  readonly unit: Unit;
  readonly power: number;
}

const LENGTH_UNITS: Readonly<Record<LengthStyle, UnitId>> = {
  'ft-in': 'ft',
  in: 'in',
  ft: 'ft',
  'in-dec': 'in',
  yd: 'yd',
  m: 'm',
  cm: 'cm',
  mm: 'mm',
};

const one = (id: UnitId, power = 1): readonly PoweredUnit[] => [{ unit: unitById(id), power }];

/**
 * The units that a quantity reads in when nothing else is asked: those of the tape in hand. Areas and volumes of an
 * inch or yard style are square and cubic feet, of any metric style square and cubic metres.
 * @param size the magnitude in SI base units; it chooses between hours, minutes and seconds
 */
export function unitsFor(dimension: Dimension, style: LengthStyle | string, size: number): readonly PoweredUnit[] {
  const lengthStyle = (style in LENGTH_UNITS ? style : 'ft-in') as LengthStyle;
  const metric = isMetric(lengthStyle);
  switch (dimension) {
    case LENGTH:
      return one(LENGTH_UNITS[lengthStyle]);
    case AREA:
      return one(metric ? 'm' : 'ft', 2);
    case VOLUME:
      return one(metric ? 'm' : 'ft', 3);
    case MASS:
      return one(metric ? 'kg' : 'lb');
    case MONEY:
      return one('money');
    case TIME:
      return one(Math.abs(size) >= 3600 ? 'h' : Math.abs(size) >= 60 ? 'min' : 's');
    case ANGLE:
      return one('deg');
    case SPEED:
      return [...one(metric ? 'm' : 'ft'), ...one('s', -1)];
    case PRESSURE:
      return one(metric ? 'kpa' : 'psi');
    case FLOW:
      return [...one(metric ? 'l' : 'gal'), ...one('min', -1)];
    default:
      return compoundUnits(dimension, metric);
  }
}

/** Base units of the system to their powers, those that multiply before those that divide. */
function compoundUnits(dimension: Dimension, metric: boolean): readonly PoweredUnit[] {
  const powers = powersOf(dimension);
  const ids: Readonly<Record<string, UnitId>> = {
    length: metric ? 'm' : 'ft',
    mass: metric ? 'kg' : 'lb',
    // Work is paid by the hour.
    time: powers.money === 0 ? 's' : 'h',
    money: 'money',
  };
  const units = POWER_NAMES.filter((name) => ids[name] !== undefined && powers[name] !== 0).map((name) => ({
    unit: unitById(ids[name] as UnitId),
    power: powers[name],
  }));
  return [...units.filter(({ power }) => power > 0), ...units.filter(({ power }) => power < 0)];
}

const RAISED = '⁰¹²³⁴⁵⁶⁷⁸⁹';

/** Words of units that are not what the read-back of an entry writes: sq ft rather than ft². */
function squareOrCubic(unit: Unit, power: number): string | undefined {
  if (unit.family !== 'foot' || (power !== 2 && power !== 3)) return undefined;
  return `${power === 2 ? 'sq' : 'cu'} ${unit.words[0] as string}`;
}

function joined(units: readonly PoweredUnit[], word: (unit: Unit, power: number) => string, times: string): string {
  let text = '';
  for (const { unit, power } of units) {
    const written = word(unit, power);
    text += power < 0 ? `/${written}` : text === '' ? written : `${times}${written}`;
  }
  return text;
}

/** "sq ft", "m²", "ft/s", "$/m": for the screen. `isOne`: behind the number 1, as in 1 acre. */
export function unitsText(units: readonly PoweredUnit[], currency: string, isOne = false): string {
  return joined(
    units,
    (unit, power) => {
      const size = Math.abs(power);
      const word =
        unit.id === 'money'
          ? currency
          : unit.family === 'foot' || unit.id === 'deg'
            ? (unit.words.find((name) => /^[a-z]/.test(name)) as string)
            : isOne || power < 0
              ? unit.one
              : unit.symbol;
      return size === 1
        ? word
        : (squareOrCubic(unit, size) ?? `${word}${[...`${size}`].map((digit) => RAISED[Number(digit)]).join('')}`);
    },
    '·',
  );
}

/** The same in ASCII (the currency sign and the raised dot apart), as an entry reads it. */
export function plainUnitsText(units: readonly PoweredUnit[], currency: string): string {
  return joined(
    units,
    (unit, power) => {
      const size = Math.abs(power);
      const word = unit.id === 'money' ? currency : (unit.words.find((name) => /^[a-z]+$/.test(name)) as string);
      return size === 1 ? word : (squareOrCubic(unit, size) ?? `${word}^${size}`);
    },
    '·',
  );
}
