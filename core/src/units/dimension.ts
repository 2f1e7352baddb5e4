/**
 * What kind of thing a quantity is: whole powers of length, mass, time and money, and three kinds of their own
 * (angle, slope, temperature), packed into one number so that comparing is `===` and multiplying is `+`.
 *
 * Each power is a balanced base-256 digit. Powers stay within ±64 (`withinLimits`), so a sum or difference of two
 * codes never carries into the next digit before it is checked. Plain data: it survives a worker's message and JSON.
 */
export type Dimension = number;

export const PLAIN: Dimension = 0;
export const LENGTH: Dimension = 1;
export const MASS: Dimension = 256;
export const TIME: Dimension = 256 ** 2;
export const MONEY: Dimension = 256 ** 3;
export const ANGLE: Dimension = 256 ** 4;
export const SLOPE: Dimension = 256 ** 5;
export const TEMPERATURE: Dimension = 256 ** 6;

export const AREA: Dimension = 2 * LENGTH;
export const VOLUME: Dimension = 3 * LENGTH;
export const SPEED: Dimension = LENGTH - TIME;
export const FLOW: Dimension = VOLUME - TIME;
/** Force over area; a force is mass times length over time squared. */
export const PRESSURE: Dimension = MASS - LENGTH - 2 * TIME;

/** Largest power, either way, that a quantity may hold. */
export const POWER_LIMIT = 64;

/** Powers of length, mass, time and money alone: angles, slopes and temperatures have rules of their own. */
export function isOrdinary(dimension: Dimension): boolean {
  return dimension < ANGLE / 2 && dimension > -ANGLE / 2;
}

/** The powers of a dimension, spelled out. */
export interface Powers {
  readonly length: number;
  readonly mass: number;
  readonly time: number;
  readonly money: number;
  readonly angle: number;
  readonly slope: number;
  readonly temperature: number;
}

export const POWER_NAMES = ['length', 'mass', 'time', 'money', 'angle', 'slope', 'temperature'] as const;

/** Unpacks a code. */
export function powersOf(dimension: Dimension): Powers {
  const powers: Record<string, number> = {};
  let rest = dimension;
  for (const name of POWER_NAMES) {
    const digit = ((((rest + 128) % 256) + 256) % 256) - 128;
    powers[name] = digit;
    rest = (rest - digit) / 256;
  }
  return powers as unknown as Powers;
}

/** Whether every power is at most 64 in size, and angle, slope and temperature stand alone. */
export function withinLimits(dimension: Dimension): boolean {
  if (dimension >= 0 && dimension <= 3) return true;
  const powers = powersOf(dimension);
  if (powers.angle !== 0 || powers.slope !== 0 || powers.temperature !== 0)
    return dimension === ANGLE || dimension === SLOPE || dimension === TEMPERATURE;
  return POWER_NAMES.every((name) => Math.abs(powers[name]) <= POWER_LIMIT);
}

/** How many lengths are multiplied where that is more than a volume, which is nearly always one size too many. */
export function lengthsBeyondVolume(dimension: Dimension): number | undefined {
  return dimension > VOLUME && dimension <= POWER_LIMIT ? dimension : undefined;
}

/** Names for the kinds that people have a word for; everything else is a compound. */
export type Kind =
  | 'number'
  | 'length'
  | 'area'
  | 'volume'
  | 'mass'
  | 'time'
  | 'money'
  | 'speed'
  | 'flow'
  | 'pressure'
  | 'angle'
  | 'slope'
  | 'temperature'
  | 'compound';

const KINDS = new Map<Dimension, Kind>([
  [PLAIN, 'number'],
  [LENGTH, 'length'],
  [AREA, 'area'],
  [VOLUME, 'volume'],
  [MASS, 'mass'],
  [TIME, 'time'],
  [MONEY, 'money'],
  [SPEED, 'speed'],
  [FLOW, 'flow'],
  [PRESSURE, 'pressure'],
  [ANGLE, 'angle'],
  [SLOPE, 'slope'],
  [TEMPERATURE, 'temperature'],
]);

export function kindOf(dimension: Dimension): Kind {
  return KINDS.get(dimension) ?? 'compound';
}
