import type { Scope } from '../evaluate/scope.ts';
import { parse } from '../notation/parser.ts';
import { equalValue, valueToNumber } from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import { DEFAULT_STYLE, type ReadingStyle } from '../reading/style.ts';
import { referencesOf } from '../slate/references.ts';
import { PLAIN } from '../units/dimension.ts';
import { ABOUT_MEASURES, countsIn, type CellName } from './measure.ts';
import { cellName, type WorkedRow } from './row.ts';

/** Something that may not be meant so; the row counts as it stands. */
export interface RowHint {
  readonly cell: CellName;
  readonly code: 'far' | 'mark' | 'not_counted' | 'rate';
  readonly says: string;
  /** What one touch would write into the cell. */
  readonly entry?: string;
}

/** Rows that have to agree before one is said to lie apart from them. */
const NEIGHBOURS = 3;
/** How far apart those may lie, as a quotient, and how far the one. */
const [TOGETHER, APART] = [1.25, 1.5];
const COMPARED: readonly CellName[] = ['length', 'width', 'depth', 'apiece', 'price'];
const SIZES: readonly CellName[] = ['length', 'width', 'depth', 'apiece', 'pack', 'price'];

/**
 * What a second look at a row would find: a size or a price far from those of its neighbours, all of which agree; a figure that
 * a mark of the job has as well; a size that does not count; a rate read as per cent.
 * @param neighbours rows of its section that are measured alike
 * @param scope where marks are found
 */
export function hintsOf(
  worked: WorkedRow,
  neighbours: readonly WorkedRow[],
  scope: Scope,
  style: ReadingStyle = DEFAULT_STYLE,
): readonly RowHint[] {
  return [...notCounted(worked), ...rates(worked), ...far(worked, neighbours, style), ...marks(worked, scope, style)];
}

function notCounted({ row }: WorkedRow): readonly RowHint[] {
  const { title } = ABOUT_MEASURES[row.measure];
  return (['length', 'width', 'depth', 'apiece', 'less'] as const)
    .filter((cell) => row.cells[cell].trim() !== '' && !countsIn(row.measure, cell))
    .map((cell) => ({
      cell,
      code: 'not_counted',
      says: `The ${cellName(cell, row.measure)} does not count in a row that is measured by ${title}.`,
    }));
}

function rates({ row, waste }: WorkedRow): readonly RowHint[] {
  if (waste?.isAssumed !== true) return [];
  const typed = row.cells.waste.trim();
  return [{ cell: 'waste', code: 'rate', says: `${typed} is read as ${typed} %.`, entry: `${typed}%` }];
}

function far(worked: WorkedRow, neighbours: readonly WorkedRow[], style: ReadingStyle): readonly RowHint[] {
  return COMPARED.flatMap((cell): readonly RowHint[] => {
    const own = worked.cells[cell];
    if (own === undefined) return [];
    const others = neighbours.flatMap(({ row, cells }) => {
      const other = cells[cell];
      const isAlike = other?.dimension === own.dimension && row.id !== worked.row.id;
      return isAlike && (cell !== 'price' || row.per === worked.row.per) ? [other] : [];
    });
    if (others.length < NEIGHBOURS) return [];
    const sizes = others.map(({ value }) => valueToNumber(value)).sort((a, b) => a - b);
    const [least, most] = [sizes[0] as number, sizes[sizes.length - 1] as number];
    const size = valueToNumber(own.value);
    const isApart = least > 0 && size > 0 && (size > most * APART || size * APART < least);
    if (most > least * TOGETHER || !isApart) return [];
    const middle = others.find(({ value }) => valueToNumber(value) === sizes[sizes.length >> 1]) as typeof own;
    const name = cellName(cell, worked.row.measure);
    const says = `The ${name} is ${readQuantity(own, style).text}; rows beside it have about ${readQuantity(middle, style).text}.`;
    return [{ cell, code: 'far', says }];
  });
}

/** A figure typed by hand that a mark has too: with the mark it follows when that changes. */
function marks({ row, cells }: WorkedRow, scope: Scope, style: ReadingStyle): readonly RowHint[] {
  return SIZES.flatMap((cell): readonly RowHint[] => {
    const own = cells[cell];
    if (own === undefined || own.dimension === PLAIN) return [];
    const { lines, marks: names, runs } = referencesOf(parse(row.cells[cell], style).entry);
    if (lines.length + names.length + runs.length > 0) return [];
    const name = scope.names().find((one) => {
      const mark = scope.mark(one);
      return (
        mark?.ok === true && mark.quantity.dimension === own.dimension && equalValue(mark.quantity.value, own.value)
      );
    });
    if (name === undefined) return [];
    return [{ cell, code: 'mark', says: `The mark ${name} is ${readQuantity(own, style).text} too.`, entry: name }];
  });
}
