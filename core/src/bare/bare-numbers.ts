/**
 * What a number without a unit is. On a metric drawing 2400 is millimetres, and a framer who says 92 5/8 means inches; 7 in
 * `2400 / 7` is a count all the same. The rule is applied to what is typed, and what is kept says its units: a line means the
 * same for ever, whatever a job says later. `docs/notation.md` has the rule in words, `golden.ts` has its rows.
 */
import { parse } from '../notation/parser.ts';
import type { Binary, Entry, Expr, NumberLiteral } from '../notation/ast.ts';
import { COUNT_WORDS, type FunctionName } from '../notation/functions.ts';
import { EMPTY_SCOPE, type Scope } from '../evaluate/scope.ts';
import { DEFAULT_STYLE, type ReadingStyle } from '../reading/style.ts';
import { LENGTH, type Dimension } from '../units/dimension.ts';

export const BARE_UNITS = ['plain', 'mm', 'in'] as const;
/** What a number without a unit is: itself, millimetres, or inches. */
export type BareUnit = (typeof BARE_UNITS)[number];

export interface BareOptions {
  readonly bare?: BareUnit;
  readonly scope?: Scope;
  readonly style?: ReadingStyle;
}

/** Whole numbers below it count rather than measure, where a product could mean either. */
const COUNTS_BELOW: Readonly<Record<BareUnit, number>> = { plain: 0, mm: 100, in: 13 };
const WRITTEN: Readonly<Record<BareUnit, string>> = { plain: '', mm: ' mm', in: '"' };

/** Functions whose arguments are of one kind, which they keep. */
const KEEP_KIND: ReadonlySet<FunctionName> = new Set([
  'abs', 'min', 'max', 'sum', 'mean', 'gcd', 'mod', 'round', 'up', 'down', 'hyp', 'leg',
]); // prettier-ignore

/** bare: numbers without a unit alone. */
type Sort = 'bare' | 'length' | 'number' | 'other';
type As = 'size' | 'count';

/**
 * The entry with the unit written behind each number that is a size.
 * @param typed as it stands in the field
 * @returns the same text where no number is one, and where the entry does not read
 * @example withBareUnits('2400 / 7', { bare: 'mm' }) // => '2400 mm / 7'
 */
export function withBareUnits(typed: string, options: BareOptions = {}): string {
  return new Reader(typed, options).written(new Set());
}

/** The other ways in which the numbers of an entry may be sizes or counts, the likeliest first; the last one has no unit. */
export function otherBareUnits(typed: string, options: BareOptions = {}): readonly string[] {
  const reader = new Reader(typed, options);
  const usual = reader.written(new Set());
  const flipped = Array.from({ length: reader.doubts }, (_, at) => {
    const other = reader.written(new Set([at]));
    // Taken, it is typed: where it would be read the usual way again, its counts say that they are counts.
    return withBareUnits(other, options) === other ? other : reader.written(new Set([at]), true);
  });
  const plain = reader.asCount();
  return [...new Set([...flipped, ...(plain === undefined ? [] : [plain])])].filter((other) => other !== usual);
}

class Reader {
  readonly #typed: string;
  readonly #bare: BareUnit;
  readonly #scope: Scope;
  readonly #entry: Entry | undefined;
  /** Decisions that could have gone the other way. */
  doubts = 0;
  #flips: ReadonlySet<number> = new Set();
  /** Ends of the numbers that are sizes, and of those that are counts. */
  #sizes: number[] = [];
  #counted: number[] = [];

  constructor(typed: string, { bare = 'plain', scope = EMPTY_SCOPE, style = DEFAULT_STYLE }: BareOptions) {
    this.#typed = typed;
    this.#bare = bare;
    this.#scope = scope;
    const parsed = bare === 'plain' ? undefined : parse(typed, style);
    const isRead = parsed !== undefined && (parsed.issues.length === 0 || parsed.unfinished);
    this.#entry = isRead ? parsed.entry : undefined;
  }

  /** @param saysCounts writes that a count is one, too */
  written(flips: ReadonlySet<number>, saysCounts = false): string {
    const entry = this.#entry;
    if (entry === undefined) return this.#typed;
    this.#flips = flips;
    this.#sizes = [];
    this.#counted = [];
    this.doubts = 0;
    this.#resolve(entry.expr, this.#asksFor(entry));
    let text = this.#typed;
    const units = [
      ...this.#sizes.map((end) => [end, WRITTEN[this.#bare]] as const),
      ...(saysCounts ? this.#counted : []).map((end) => [end, ' ea'] as const),
    ].sort(([a], [b]) => b - a);
    for (const [end, unit] of units) {
      const behind = text.slice(end);
      // A word that stands tight behind it would be taken for part of the unit.
      const gap = unit !== '"' && /^[\p{L}\p{N}_]/u.test(behind) ? ' ' : '';
      text = `${text.slice(0, end)}${unit}${gap}${behind}`;
    }
    return text;
  }

  /** A number that stands alone, and is small enough to be one, as a number: 7 ea. */
  asCount(): string | undefined {
    const literal = this.#entry?.expr;
    return literal?.kind === 'number' && this.#counts(literal) && this.#divisionIn(literal) === undefined
      ? `${this.#typed.slice(0, literal.end)} ea${this.#typed.slice(literal.end)}`
      : undefined;
  }

  /** A posting is of the kind of its mark. */
  #asksFor({ assignment }: Entry): As {
    if (assignment === undefined || assignment.operator === 'keep') return 'size';
    return this.#sortOfName(assignment.name) === 'length' ? 'size' : 'count';
  }

  /** The ea of 7 ea, which no mark is called. */
  #isCountWord(expr: Expr): boolean {
    if (expr.kind !== 'mark') return false;
    const name = expr.name.toLowerCase();
    return COUNT_WORDS.has(name) && this.#scope.mark(name) === undefined;
  }

  #sortOfName(name: string): Sort {
    const found = this.#scope.mark(name.toLowerCase());
    return found?.ok === true ? sortOf(found.quantity.dimension) : 'number';
  }

  #sortOfLine(number: number): Sort {
    const found = this.#scope.line(number);
    return found?.ok === true ? sortOf(found.quantity.dimension) : 'other';
  }

  #sort(expr: Expr): Sort {
    switch (expr.kind) {
      case 'number':
        return 'bare';
      case 'measure':
        return sortOf(expr.parts[0]?.unit.dimension ?? 0);
      case 'mark':
        return this.#sortOfName(expr.name);
      case 'line':
        return this.#sortOfLine(expr.number);
      case 'run':
        return this.#sortOfLine(expr.from);
      case 'last': {
        const last = this.#scope.last();
        return last?.ok === true ? sortOf(last.quantity.dimension) : 'other';
      }
      case 'signed':
        return this.#sort(expr.operand);
      case 'percentStep':
        return this.#sort(expr.left);
      case 'power':
        return this.#sort(expr.base) === 'bare' ? 'bare' : 'other';
      case 'binary':
        return this.#sortOfBinary(expr);
      case 'call':
        return this.#sortOfCall(expr.name, expr.args);
      case 'constant':
      case 'percent':
        return 'number';
      default:
        return 'other';
    }
  }

  #sortOfBinary({ operator, left, right }: Binary): Sort {
    const [one, other] = [this.#sort(left), this.#sort(right)];
    if (operator === 'add' || operator === 'subtract') return together(one, other);
    if (operator === 'of' || operator === 'at') return other;
    if (operator === 'divide' && other === 'length') return one === 'bare' || one === 'length' ? 'number' : 'other';
    if (one === 'other' || other === 'other') return 'other';
    if (one === 'length' && other === 'length') return 'other';
    if (one === 'length' || other === 'length') return 'length';
    // A number divided by a bare one is a number; either may be a size otherwise.
    if (operator === 'divide') return one;
    return one === 'bare' || other === 'bare' ? 'bare' : 'number';
  }

  #sortOfCall(name: FunctionName, args: readonly Expr[]): Sort {
    if (name === 'if')
      return args
        .slice(1)
        .map((arg) => this.#sort(arg))
        .reduce(together, 'bare');
    if (name === 'sqrt') return args[0] && hasPower(args[0]) ? this.#sort(args[0]) : 'number';
    if (!KEEP_KIND.has(name)) return 'number';
    return args.map((arg) => this.#sort(arg)).reduce(together, 'bare');
  }

  /** Marks the numbers of an expression that are sizes, where it is wanted as one or as a count. */
  #resolve(expr: Expr, as: As): void {
    switch (expr.kind) {
      case 'number':
        this.#resolveLiteral(expr, as);
        break;
      case 'signed':
        this.#resolve(expr.operand, as);
        break;
      case 'percentStep':
        this.#resolve(expr.left, as);
        break;
      case 'power':
        this.#resolve(expr.base, as);
        break;
      case 'binary':
        this.#resolveBinary(expr, as);
        break;
      case 'compare':
        this.#resolveAlike([expr.left, expr.right], as);
        break;
      case 'call':
        if (expr.name === 'if') {
          const [question, ...choices] = expr.args;
          if (question) this.#resolve(question, as);
          this.#resolveAlike(choices, as);
        } else if (expr.name === 'sqrt')
          this.#resolve(expr.args[0] as Expr, hasPower(expr.args[0] as Expr) ? as : 'count');
        else if (KEEP_KIND.has(expr.name)) this.#resolveAlike(expr.args, as);
        break;
      case 'jig':
        for (const { input, expr: given } of expr.args)
          this.#resolve(given, expr.program.inputs[input]?.dimension === LENGTH ? 'size' : 'count');
        break;
      default:
    }
  }

  /** Parts that are added, compared or chosen among are of one kind: that of those which say it. */
  #resolveAlike(parts: readonly Expr[], as: As): void {
    const known = parts.map((part) => this.#sort(part)).reduce(together, 'bare');
    const all = known === 'bare' ? as : known === 'length' ? 'size' : 'count';
    for (const part of parts) this.#resolve(part, all);
  }

  #resolveBinary(expr: Binary, as: As): void {
    const { operator, left, right } = expr;
    if (operator === 'add' || operator === 'subtract') this.#resolveAlike([left, right], as);
    else if (operator === 'of' || operator === 'at') {
      this.#resolve(left, 'count');
      this.#resolve(right, as);
    } else if (operator === 'divide') this.#resolveQuotient(left, right, as);
    else if (this.#isCountWord(right)) this.#resolveCounted(left, as);
    else this.#resolveProduct(left, right, as);
  }

  /** What stands in front of ea: the number right before it is a count, and whatever that is multiplied with goes by itself. */
  #resolveCounted(expr: Expr, as: As): void {
    if (!isProduct(expr)) this.#resolve(expr, this.#sort(expr) === 'bare' ? 'count' : as);
    else {
      this.#resolve(expr.left, as);
      this.#resolve(expr.right, 'count');
    }
  }

  #resolveQuotient(left: Expr, right: Expr, as: As): void {
    const [one, other] = [this.#sort(left), this.#sort(right)];
    // So many of a size in a size; a size in so many parts otherwise.
    const isInto = other === 'length' || (other === 'bare' && as === 'size' && one !== 'number' && this.#isFlipped());
    this.#resolve(left, one === 'bare' && other === 'length' ? 'size' : as);
    this.#resolve(right, isInto ? 'size' : 'count');
  }

  #resolveProduct(left: Expr, right: Expr, as: As): void {
    const [one, other] = [this.#sort(left), this.#sort(right)];
    if (as === 'count' || one === 'other' || other === 'other') {
      this.#resolve(left, one === 'bare' ? 'count' : as);
      this.#resolve(right, other === 'bare' ? 'count' : as);
    } else if (one !== 'bare' || other !== 'bare') {
      // Beside a length a number counts, unless it is as large as lengths are; beside a number it is the length.
      this.#resolve(left, one === 'bare' && other === 'length' && this.#counts(left) ? 'count' : 'size');
      this.#resolve(right, other === 'bare' && one === 'length' && this.#counts(right) ? 'count' : 'size');
    } else this.#resolveBareProduct(left, right);
  }

  #resolveBareProduct(left: Expr, right: Expr): void {
    const [small, other] = [this.#counts(left), this.#counts(right)];
    // Behind two sizes a small number is a thickness.
    const isThickness = other && isProduct(left) && !small && this.#areBothLarge(left);
    const countsLeft = small && (!other || valueOf(left) <= valueOf(right));
    const countsRight = other && !countsLeft && !isThickness;
    const isFlipped = this.#isFlipped();
    // The other meaning: a count where both are sizes, both sizes where one is a count.
    const hasCount = countsLeft || countsRight;
    this.#resolve(left, countsLeft && !isFlipped ? 'count' : 'size');
    this.#resolve(right, hasCount ? (countsRight && !isFlipped ? 'count' : 'size') : isFlipped ? 'count' : 'size');
  }

  #areBothLarge({ left, right }: Binary): boolean {
    return !this.#counts(left) && !this.#counts(right);
  }

  /** Whether it would rather be so many than so long: a small whole number or decimal, a part of one. */
  #counts(expr: Expr): boolean {
    if (expr.kind !== 'number') return false;
    const value = valueOf(expr);
    return expr.form === 'fraction' ? value < 1 : value < COUNTS_BELOW[this.#bare];
  }

  #isFlipped(): boolean {
    this.doubts += 1;
    return this.#flips.has(this.doubts - 1);
  }

  #resolveLiteral(literal: NumberLiteral, as: As): void {
    const slash = this.#divisionIn(literal);
    if (as === 'count') this.#counted.push(literal.end);
    else if (slash === undefined) this.#sizes.push(literal.end);
    else {
      this.#sizes.push(slash);
      if (this.#isFlipped()) this.#sizes.push(literal.end);
    }
  }

  /** 2400/7 is written as a fraction, and is a size divided by a count; 5/8 is a fraction. @returns the end of the size */
  #divisionIn(literal: NumberLiteral): number | undefined {
    if (literal.form !== 'fraction' || literal.whole !== 0 || valueOf(literal) < 1) return undefined;
    const at = this.#typed.slice(literal.start, literal.end).search(/\s*[/⁄]/u);
    return at < 0 ? undefined : literal.start + at;
  }
}

const sortOf = (dimension: Dimension): Sort => (dimension === LENGTH ? 'length' : dimension === 0 ? 'number' : 'other');

/** Of two that are added or compared, the one that says what they are. */
function together(one: Sort, other: Sort): Sort {
  if (one === 'bare') return other;
  return other === 'bare' || one === other ? one : 'other';
}

const isProduct = (expr: Expr): expr is Binary => expr.kind === 'binary' && expr.operator === 'multiply';
const valueOf = (expr: Expr): number => (expr.kind === 'number' ? Number(expr.top) / Number(expr.bottom) : Infinity);

/** A root of squares is a size where they are squares of sizes; √2 is a number. */
function hasPower(expr: Expr): boolean {
  if (expr.kind === 'power') return true;
  if (expr.kind !== 'binary') return false;
  return expr.operator === 'multiply' || hasPower(expr.left) || hasPower(expr.right);
}
