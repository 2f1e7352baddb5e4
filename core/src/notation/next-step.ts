import type { Expr } from './ast.ts';
import type { Parsed } from './parser.ts';

const SIGNS = { add: '+', subtract: '−', multiply: '×', divide: '÷', of: '×', at: '@' } as const;

/**
 * The last step of an entry, to be done again on its result: `12' + 16"` gives `last + 16"`. The last step is the
 * operation that was done last, outside of every bracket. Undefined for an entry without one.
 * @example repeatedStep(parse('3 * (4\' + 2")')) // => 'last × (4\' + 2")'
 */
export function repeatedStep({ entry, source }: Parsed): string | undefined {
  if (entry === undefined) return undefined;
  const { expr } = entry;
  const written = (part: Expr) => source.slice(part.start, part.end).trim();
  switch (expr.kind) {
    case 'binary':
      return `last ${SIGNS[expr.operator]} ${written(expr.operator === 'of' ? expr.left : expr.right)}`;
    case 'percentStep':
      return `last ${SIGNS[expr.operator]} ${written(expr.percent)}`;
    case 'power':
      return `last^${written(expr.exponent)}`;
    default:
      return undefined;
  }
}
