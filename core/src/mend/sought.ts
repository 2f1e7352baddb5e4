import { evaluate, type Outcome } from '../evaluate/evaluate.ts';
import { reckon } from '../evaluate/reckon.ts';
import type { Entry, Expr } from '../notation/ast.ts';
import { equalValue } from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import { DEFAULT_STYLE, isMetric, type ReadingStyle } from '../reading/style.ts';
import { PLAIN } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import { partsOf } from '../notation/parts.ts';

/** What somebody looks for: words, and the size that they are, where they are one. */
export interface Sought {
  /** In lower case, sizes written in one way. */
  readonly words: string;
  /** A plain number is a size of the job's small unit as well. */
  readonly sizes: readonly Quantity[];
}

/** The same size written in the ways of people, screens and tapes is the same words: 5′ 10 1⁄2″ and 5'-10 ½". */
export function sameSigns(text: string): string {
  return text
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[′‘’]/g, "'")
    .replace(/[″“”]|''/g, '"')
    .replace(/⁄/g, '/')
    .replace(/(?<=['"])-(?=\d)/g, ' ')
    .replace(/[^\S\n]+/g, ' ')
    .replace(/ ?(['"]) ?(?=\d)/g, '$1 ')
    .trim();
}

/** What somebody looks for, from what they wrote. */
export function sought(words: string, style: ReadingStyle = DEFAULT_STYLE): Sought {
  const { outcome, issue } = reckon(words, { style });
  const size = issue === undefined && outcome?.kind === 'quantity' ? outcome.quantity : undefined;
  const asSize =
    size?.dimension === PLAIN ? sought(`(${words}) ${isMetric(style.length) ? 'mm' : 'in'}`, style) : undefined;
  return { words: sameSigns(words), sizes: [...(size ? [size] : []), ...(asSize?.sizes ?? [])] };
}

/** An entry with what it comes to. */
export interface Searched {
  readonly text: string;
  readonly entry: Entry | undefined;
  readonly outcome: Outcome | undefined;
}

/**
 * Whether a line is what somebody looks for: the words stand in it or in how it reads, or the size does, however either is
 * written, exactly or as it reads in this style.
 */
export function isSought(
  { text, entry, outcome }: Searched,
  { words, sizes }: Sought,
  style: ReadingStyle = DEFAULT_STYLE,
): boolean {
  if (sameSigns(text).includes(words)) return true;
  const result = outcome?.kind === 'quantity' ? outcome.quantity : undefined;
  const reading = result && readQuantity(result, style).text;
  if (reading !== undefined && /\d/.test(words) && sameSigns(reading).includes(words)) return true;
  if (sizes.length === 0) return false;
  const isSame = (one: Quantity) =>
    sizes.some(
      (size) =>
        one.dimension === size.dimension &&
        (equalValue(one.value, size.value) || readQuantity(one, style).text === readQuantity(size, style).text),
    );
  return (result !== undefined && isSame(result)) || (entry !== undefined && sizesIn(entry).some(isSame));
}

/** The sizes that stand in an entry as they were written. */
function sizesIn(entry: Entry): readonly Quantity[] {
  const found: Quantity[] = [];
  const visit = (node: Expr): void => {
    const worked = node.kind === 'measure' ? evaluate({ ...entry, expr: node }) : undefined;
    if (worked?.ok === true && worked.value.kind === 'quantity') found.push(worked.value.quantity);
    partsOf(node).forEach(visit);
  };
  visit(entry.expr);
  return found;
}
