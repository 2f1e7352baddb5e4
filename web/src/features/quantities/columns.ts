import { readQuantity, type ReadingStyle } from '@sprell/core';
import { ABOUT_MEASURES, PRICE_UNITS, readMoney, readRowQuantity, type CellName } from '@sprell/core/quantities';
import type { JobRow } from '../../job/quantities.ts';

/** What stands in a column: an entry, words, a choice, or something worked out. */
export interface Column {
  readonly id: string;
  readonly title: string;
  /** In pixels at the usual size of text. */
  readonly width: number;
  readonly holds: 'entry' | 'words' | 'choice' | 'result';
  /** It is there unless somebody takes it away. */
  readonly isUsual: boolean;
  /** The figures stand to the right, words to the left. */
  readonly isFigure: boolean;
}

const column = (
  id: string,
  title: string,
  width: number,
  holds: Column['holds'],
  isUsual = true,
  isFigure = holds === 'entry' || holds === 'result',
): Column => ({ id, title, width, holds, isUsual, isFigure });

export const COLUMNS: readonly Column[] = [
  column('name', 'item', 200, 'words'),
  column('measure', 'measured by', 126, 'choice'),
  column('count', 'count', 88, 'entry'),
  column('length', 'length', 112, 'entry'),
  column('width', 'width', 78, 'entry'),
  column('depth', 'depth', 78, 'entry'),
  column('less', 'less', 84, 'entry', false),
  column('waste', 'waste', 66, 'entry'),
  column('quantity', 'quantity', 124, 'result'),
  column('pack', 'pack', 84, 'entry', false),
  column('ordered', 'to order', 124, 'result', false),
  column('leftOver', 'left over', 112, 'result', false),
  column('price', 'price', 84, 'entry'),
  column('per', 'for', 88, 'choice'),
  column('cost', 'cost', 104, 'result'),
  column('other', 'second price', 92, 'entry', false),
  column('otherCost', 'second cost', 104, 'result', false),
  column('supplier', 'supplier', 140, 'words', false),
  column('note', 'note', 200, 'words', false),
];
/** What a row is called stands first and stays. */
export const ALWAYS: ReadonlySet<string> = new Set(['name']);
export const USUAL = COLUMNS.filter(({ isUsual }) => isUsual).map(({ id }) => id);

/** The cell of a row that stands in a column: the mass or the time of one stands where a length would. */
export function cellIn({ item }: Pick<JobRow, 'item'>, columnId: string): CellName | undefined {
  if (columnId === 'length' && (item.measure === 'mass' || item.measure === 'hours')) return 'apiece';
  return COLUMNS.some(({ id, holds }) => id === columnId && holds === 'entry') ? (columnId as CellName) : undefined;
}

/** What a column shows of a row: a size as it reads, or what was typed where it comes to nothing. */
export function shownIn(row: JobRow, columnId: string, style: ReadingStyle): string {
  const { worked, item, cells } = row;
  const cell = cellIn(row, columnId);
  if (cell !== undefined) {
    const quantity = worked.cells[cell];
    const money = (cell === 'price' || cell === 'other') && quantity !== undefined && worked[cell]?.per !== 'own';
    if (quantity === undefined) return cells[cell];
    if (cell === 'waste') return cells[cell];
    // A pack reads as the quantities of its row do; a count has decimals that are of use.
    if (cell === 'pack') return readRowQuantity(worked, quantity, style).text;
    return money && quantity.dimension === 0
      ? readMoney(quantity.value, style).text
      : readQuantity(quantity, style, quantity.dimension === 0 ? { decimals: 2 } : undefined).text;
  }
  switch (columnId) {
    case 'measure':
      return ABOUT_MEASURES[item.measure].title;
    case 'per':
      return PRICE_UNITS[item.per].says.replace('/', 'a ');
    case 'quantity':
      return worked.quantity ? readRowQuantity(worked, worked.quantity, style).text : '';
    case 'ordered':
      return worked.ordered ? readRowQuantity(worked, worked.ordered, style).text : '';
    case 'leftOver':
      return worked.leftOver ? readRowQuantity(worked, worked.leftOver, style).text : '';
    case 'cost':
      return worked.price ? readMoney(worked.price.cost, style).text : '';
    case 'otherCost':
      return worked.other ? readMoney(worked.other.cost, style).text : '';
    default:
      return String(item[columnId] ?? '');
  }
}
