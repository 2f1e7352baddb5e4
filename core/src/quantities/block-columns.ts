import { CELLS } from './measure.ts';
import { isUnitWord } from './block-units.ts';

/** What a column of a table from elsewhere holds. */
export const BLOCK_COLUMNS = [
  'skip',
  'name',
  'amount',
  'unit',
  ...CELLS,
  'per',
  'section',
  'supplier',
  'note',
] as const;
export type BlockColumn = (typeof BLOCK_COLUMNS)[number];

/** What the columns were taken for. */
export interface BlockPlan {
  /** The first row names the columns. */
  readonly hasHead: boolean;
  readonly columns: readonly BlockColumn[];
}

/** Words over columns, in lower case, for what is in them. */
const HEADS: Readonly<Partial<Record<BlockColumn, readonly string[]>>> = {
  name: ['item', 'items', 'description', 'material', 'materials', 'product', 'name', 'what', 'article', 'part'],
  amount: ['quantity', 'qty', 'amount', 'qnty', 'quant'],
  unit: ['unit', 'units', 'uom', 'measured by', 'measure', 'u/m'],
  count: ['count', 'number', 'no', 'nr', 'pcs', 'pieces', 'how many', 'ea', '#'],
  length: ['length', 'len', 'l', 'long', 'size', 'run'],
  width: ['width', 'wide', 'w', 'section', 'breadth', 'b'],
  depth: ['depth', 'deep', 'd', 'thickness', 'thick', 'height', 'h', 't'],
  apiece: ['weight', 'mass', 'hours each', 'of one', 'mass or time of one'],
  less: ['less', 'openings', 'deduct', 'deduction'],
  waste: ['waste', 'waste %', 'wastage', 'allowance'],
  pack: ['pack', 'pack size', 'per pack', 'stock', 'stock length', 'sheet'],
  price: ['price', 'unit price', 'unit cost', 'rate', 'cost each', 'each', 'price each', '$'],
  other: ['second price', 'other price', 'price 2', 'quote 2'],
  per: ['for', 'price for', 'price unit', 'priced by'],
  section: ['trade', 'category', 'group', 'heading', 'phase'],
  supplier: ['supplier', 'vendor', 'from', 'merchant', 'yard'],
  note: ['note', 'notes', 'remark', 'remarks', 'comment', 'comments'],
};

const asHead = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[.:_*]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

function columnOfHead(text: string): BlockColumn | undefined {
  const head = asHead(text);
  if (head === '') return undefined;
  const exact = BLOCK_COLUMNS.find((column) => column === head || HEADS[column]?.includes(head) === true);
  if (exact !== undefined) return exact;
  const words = head.replace(/\(.*\)/, '').split(/[ /]/);
  return BLOCK_COLUMNS.find((column) => HEADS[column]?.some((one) => words.includes(one) && one.length > 2) === true);
}

/**
 * What the columns of a table from elsewhere hold: by the words over them, or, where there are none, by what is in them. Each is
 * found once; the others are skipped.
 */
export function planOfBlock(rows: readonly (readonly string[])[]): BlockPlan {
  const [first = []] = rows;
  const heads = first.map((head, at) => columnOfHead(head) && byContent(head, rows, at));
  const hasHead = heads.filter((column) => column !== undefined).length >= Math.min(2, first.length);
  const width = rows.reduce((most, row) => Math.max(most, row.length), 0);
  const guessed = hasHead ? heads : guessByContent(rows, width);
  const seen = new Set<BlockColumn>();
  const columns = Array.from({ length: width }, (_, at): BlockColumn => {
    const column = guessed[at];
    if (column === undefined || seen.has(column)) return 'skip';
    seen.add(column);
    return column;
  });
  return { hasHead, columns };
}

/** A column over which "section" stands holds sizes of timber, or the sections of a list. */
function byContent(head: string, rows: readonly (readonly string[])[], at: number): BlockColumn | undefined {
  if (asHead(head) !== 'section') return columnOfHead(head);
  const texts = rows.slice(1, 50).flatMap((row) => (row[at] ?? '').trim() || []);
  return texts.filter((text) => /^\d/.test(text)).length > texts.length / 2 ? 'width' : 'section';
}

/** The rows from the one with the words over the columns: titles above it say nothing of a list. */
export function fromHeads(rows: readonly (readonly string[])[]): readonly (readonly string[])[] {
  const at = rows
    .slice(0, MOST_TITLES)
    .findIndex((row) => row.filter((text) => columnOfHead(text) !== undefined).length >= LEAST_HEADS);
  return at > 0 ? rows.slice(at) : rows;
}
const [MOST_TITLES, LEAST_HEADS] = [20, 3];

/** Without a head: words are the item, then come an amount, a unit, sizes and money. */
function guessByContent(rows: readonly (readonly string[])[], width: number): readonly (BlockColumn | undefined)[] {
  const sizes: BlockColumn[] = ['length', 'width', 'depth'];
  let hasName = false;
  let hasAmount = false;
  return Array.from({ length: width }, (_, at): BlockColumn | undefined => {
    const texts = rows.slice(0, 50).flatMap((row) => (row[at] ?? '').trim() || []);
    const share = (test: (text: string) => boolean) => texts.filter(test).length / Math.max(1, texts.length);
    if (texts.length === 0) return undefined;
    if (share((text) => isUnitWord(text)) > 0.6) return 'unit';
    if (share((text) => /^[$€£]\s*\d|\d\s*[$€£]$/.test(text)) > 0.6) return 'price';
    if (share((text) => /^\d[\d.,]*$/.test(text)) > 0.6 && !hasAmount) {
      hasAmount = true;
      return 'amount';
    }
    if (share((text) => /^[-\d.']/.test(text) && /\d/.test(text)) > 0.6) return sizes.shift();
    if (hasName) return undefined;
    hasName = true;
    return 'name';
  });
}
