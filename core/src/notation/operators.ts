/**
 * What binds tighter, in one place: the parser climbs by these levels and the printer puts brackets by them.
 * Fractions and compound lengths bind tighter than all of them; `to` binds loosest and ends the entry.
 */
export const LEVEL = {
  compare: 1,
  sum: 2,
  product: 3,
  sign: 4,
  power: 5,
  operand: 6,
} as const;

export type BinaryOperator = 'add' | 'subtract' | 'multiply' | 'divide' | 'of' | 'at';
export type Comparison = '==' | '!=' | '<' | '<=' | '>' | '>=';

export interface OperatorInfo {
  readonly operator: BinaryOperator;
  readonly level: number;
  readonly written: string;
  readonly plain: string;
}

/** Every binary operator takes its left side first (12 / 2 / 3 is 2); powers alone group from the right. */
export const BINARY_OPERATORS: Readonly<Record<BinaryOperator, OperatorInfo>> = {
  add: { operator: 'add', level: LEVEL.sum, written: '+', plain: '+' },
  subtract: { operator: 'subtract', level: LEVEL.sum, written: '−', plain: '-' },
  multiply: { operator: 'multiply', level: LEVEL.product, written: '×', plain: '*' },
  divide: { operator: 'divide', level: LEVEL.product, written: '÷', plain: '/' },
  of: { operator: 'of', level: LEVEL.product, written: 'of', plain: 'of' },
  /** 3 @ 4′ is three of them; 24′ @ 16″ is how often the spacing goes into the length. */
  at: { operator: 'at', level: LEVEL.product, written: '@', plain: '@' },
};

export const COMPARISONS: Readonly<Record<string, Comparison>> = {
  '==': '==',
  '!=': '!=',
  '≠': '!=',
  '<': '<',
  '<=': '<=',
  '≤': '<=',
  '>': '>',
  '>=': '>=',
  '≥': '>=',
};

/** Limits of one entry, so that no text, whatever its bytes, runs on or runs away. */
export const LIMITS = { characters: 500, depth: 64, power: 64, bits: 16384 } as const;
