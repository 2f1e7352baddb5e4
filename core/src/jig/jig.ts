import {
  ANGLE,
  AREA,
  LENGTH,
  MASS,
  MONEY,
  PLAIN,
  SLOPE,
  SPEED,
  TEMPERATURE,
  TIME,
  VOLUME,
  type Dimension,
} from '../units/dimension.ts';
import type { Take } from '../notation/ast.ts';

/**
 * A jig: a calculation that a person saved, with named inputs, to be run again. It is written in entries, as everything is, and
 * knows nothing of any job: what it needs of one comes in through its inputs. This is what is kept and what a jig file holds;
 * `readJig` makes it ready to run.
 */
export interface Jig {
  /** The same for all of its versions. */
  readonly id: string;
  /** From 1; changing a jig makes the next. */
  readonly version: number;
  /** As it is called in entries: decking. */
  readonly name: string;
  /** As it is called by people: Decking boards and gaps. */
  readonly title: string;
  readonly about: string;
  /** Its entries are written with a decimal comma. */
  readonly decimalComma: boolean;
  readonly inputs: readonly JigInput[];
  readonly steps: readonly JigStep[];
  readonly checks: readonly JigCheck[];
}

/** What kinds of values an input takes; `rate` for so much of one for each of another, which its unit then says. */
export const INPUT_KINDS = [
  'length',
  'number',
  'area',
  'volume',
  'mass',
  'money',
  'time',
  'angle',
  'slope',
  'temperature',
  'speed',
  'rate',
] as const;
export type InputKind = (typeof INPUT_KINDS)[number];

export const KIND_OF_INPUT: Readonly<Record<Exclude<InputKind, 'rate'>, Dimension>> = {
  length: LENGTH,
  number: PLAIN,
  area: AREA,
  volume: VOLUME,
  mass: MASS,
  money: MONEY,
  time: TIME,
  angle: ANGLE,
  slope: SLOPE,
  temperature: TEMPERATURE,
  speed: SPEED,
};

export interface JigInput {
  /** In the steps, and before its value in an entry: board. */
  readonly name: string;
  /** To people: Width of a board. */
  readonly title: string;
  readonly kind: InputKind;
  /** What a number without a unit is in: in; empty for none. */
  readonly unit: string;
  /** An entry that stands where nothing is given; empty where something has to be. */
  readonly usual: string;
  /** What the room offers for it in a metric job; empty for the same. */
  readonly metric: string;
  readonly whole: boolean;
  /** Entries; empty for no limit. */
  readonly least: string;
  readonly most: string;
  readonly hint: string;
}

export interface JigRepeat {
  readonly counter: string;
  /** Entries that come to whole numbers. */
  readonly from: string;
  readonly to: string;
  readonly take: Take;
}

export interface JigStep {
  readonly name: string;
  readonly title: string;
  readonly note: string;
  readonly entry: string;
  readonly isAnswer: boolean;
  readonly repeat: JigRepeat | null;
}

/** With these inputs it must come to that. */
export interface JigCheck {
  readonly title: string;
  /** Entries, in the order of the inputs; empty for the usual value. */
  readonly inputs: readonly string[];
  /** Name of an answer, and the entry that it must come to; `yes` or `no` for a comparison. */
  readonly answer: string;
  readonly comesTo: string;
  /** An entry that it may be off by; empty for nothing. */
  readonly within: string;
}

/** A jig with those that it uses, and those that they use: all that it takes to run it anywhere. */
export interface JigSet {
  readonly jig: Jig;
  readonly uses: readonly Jig[];
}

/** How large a jig may be. */
export const JIG_LIMITS = {
  /** Steps of a jig and of all that it uses. */
  steps: 500,
  inputs: 40,
  checks: 60,
  uses: 40,
  title: 120,
  about: 2000,
  note: 500,
} as const;
