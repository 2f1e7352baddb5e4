import { EDGE, HEAD } from '../drawing/sheet-head.ts';
import { line, sheetOf, words, type Drawing, type SheetSize } from '../drawing/drawing.ts';
import { flow, headPiece, LINE, PAD, type Group, type Piece } from '../drawing/flow.ts';
import { fittingSize, wrapped } from '../drawing/wrapped.ts';
import { ZERO } from '../number/rational.ts';
import { signOfValue, type Value } from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import { MONEY, PLAIN } from '../units/dimension.ts';
import { PRICE_UNITS } from './measure.ts';
import type { RowCost, WorkedRow } from './row.ts';
import { readMoney, readRate, readRowQuantity, rowSays } from './says.ts';
import type { WrittenList, WrittenRow } from './written-list.ts';

/** Type, in millimetres. */
const TYPE = 3.2;
const SMALL = 2.6;
/** What "Sheet 12 of 34" takes at the head of a sheet. */
const SHEET_NUMBER = 32;
/** How much a piece holds of words that go on and on: more than that is broken between pages. */
const LINES = 12;

/** Where the columns of a list end, from the right edge of its sheet; the item begins at the left. */
export interface ListColumns {
  /** How wide the words of an item may be. */
  readonly item: number;
  /** Where the sizes begin, and how wide they may be; under the item unless given. */
  readonly sizes?: { readonly begin: number; readonly width: number };
  readonly quantity: number;
  readonly ordered: number;
  /** A list without prices has neither. */
  readonly price?: number;
  readonly cost?: number;
}

/** On a sheet that lies, on one that stands, and on one that stands without prices. */
const LYING: ListColumns = {
  item: 84,
  sizes: { begin: 170, width: 44 },
  quantity: 98,
  ordered: 64,
  price: 30,
  cost: 0,
};
export const STANDING: ListColumns = { item: 76, quantity: 84, ordered: 54, price: 25, cost: 0 };
export const WITHOUT_PRICES: ListColumns = { item: 112, quantity: 38, ordered: 0 };

/**
 * A take-off on paper: sheets in millimetres, with the job's heading. A section stays together where one sheet holds it; the
 * total so far is carried over from sheet to sheet.
 */
export function listSheets(list: WrittenList, sheet: SheetSize): readonly Drawing[] {
  const { width, height } = sheetOf(sheet);
  const right = width - EDGE;
  const heads = columnHeads(LYING, right);
  return flow(listGroups(list, LYING, right), {
    width,
    height,
    carryWords: LYING.price ?? 0,
    head: () => ({
      shapes: [
        words(EDGE, EDGE + 5, list.title, fittingSize(list.title, width - 2 * EDGE - SHEET_NUMBER, 4.5), {
          strong: true,
        }),
        words(EDGE, EDGE + 10, list.subtitle, TYPE),
        ...heads.draw(EDGE + HEAD),
      ],
      end: EDGE + HEAD + heads.height,
    }),
  });
}

/** What stands over the columns. */
export function columnHeads(columns: ListColumns, right: number): Piece {
  const titles = [
    ['quantity', columns.quantity],
    ['to order', columns.ordered],
    ['price', columns.price],
    ['cost', columns.cost],
  ] as const;
  return {
    height: LINE + PAD,
    draw: (top) => [
      words(EDGE, top + LINE, 'item', SMALL),
      ...(columns.sizes ? [words(right - columns.sizes.begin, top + LINE, 'count and sizes', SMALL)] : []),
      ...titles.flatMap(([title, at]) =>
        at === undefined ? [] : [words(right - at, top + LINE, title, SMALL, { anchor: 'end' })],
      ),
      line(EDGE, top + LINE + PAD, right, top + LINE + PAD),
    ],
  };
}

/** The sections of a list with their rows, and what all of it comes to. @param right where its sheet ends, in millimetres */
export function listGroups(list: WrittenList, columns: ListColumns, right: number): readonly Group[] {
  const carries = columns.cost === undefined ? undefined : (sum: Value) => readMoney(sum, list.style).text;
  const sections = list.sections
    .filter(({ rows }) => rows.length > 0)
    .map((section) => groupOf(list, section, columns, right));
  const groups = columns.cost === undefined ? sections : [...sections, totalsOf(list, columns, right)];
  return groups.map((group) => ({ ...group, isTogether: true, carries }));
}

function groupOf(
  list: WrittenList,
  { id, name, rows }: WrittenList['sections'][number],
  columns: ListColumns,
  right: number,
): Group {
  const called = name === '' ? 'In no section' : name;
  const cost = readMoney(list.totals.sections.get(id)?.cost ?? ZERO, list.style).text;
  const price = right - (columns.price ?? 0);
  const subtotal = `subtotal ${called}`;
  const foot: Piece = {
    height: LINE + PAD * 3,
    draw: (y) => [
      words(price, y + LINE, subtotal, fittingSize(subtotal, price - EDGE, TYPE), { anchor: 'end' }),
      words(right, y + LINE, cost, TYPE, { anchor: 'end', strong: true }),
    ],
  };
  const hasFoot = columns.cost !== undefined;
  return {
    head: headPiece(called, right),
    again: headPiece(`${called}, continued`, right),
    pieces: [...rows.flatMap((row) => rowPieces(list, row, columns, right)), ...(hasFoot ? [foot] : [])],
    hasFoot,
  };
}

/** A row; what it says at great length goes on in pieces of its own. */
function rowPieces(
  list: WrittenList,
  { worked, item, supplier, note }: WrittenRow,
  columns: ListColumns,
  right: number,
): readonly Piece[] {
  const { style, roundedAt } = list;
  const { row, quantity, price } = worked;
  const counted = price && (roundedAt === 'row' ? price.billed.cost : price.cost);
  const isOut = row.isLeftOut;
  const sized = sizesSay(worked, style);
  const { sizes } = columns;
  const beside = sizes ? wrapped(sized, sizes.width, TYPE) : [];
  const left = [
    ...wrapped(item, columns.item, TYPE).map((text) => ({ text, size: TYPE })),
    // Without a column of its own only what was multiplied: a bare count stands beside it as the quantity.
    ...[
      ...(sizes || !sized.includes('×') ? [] : [sized]),
      [supplier, note].filter((one) => one !== '').join(' · '),
    ].flatMap((text) => wrapped(text, columns.item, SMALL).map((one) => ({ text: one, size: SMALL }))),
  ];
  const end = (at: number | undefined, y: number, text: string) =>
    at === undefined || text === '' ? [] : [words(right - at, y, text, TYPE, { anchor: 'end' })];
  const cost = isOut ? 'left out' : counted === undefined ? 'no cost' : readMoney(counted, style).text;
  const count = Math.max(1, Math.ceil(left.length / LINES), Math.ceil(beside.length / LINES));
  return Array.from({ length: count }, (_, part): Piece => {
    const [from, to] = [part * LINES, (part + 1) * LINES];
    const said = left.slice(from, to);
    const sizesHere = beside.slice(from, to);
    const high = Math.max(
      said.reduce((sum, { size }) => sum + (LINE * size) / TYPE, 0),
      sizesHere.length * LINE,
      LINE,
    );
    const isLast = part === count - 1;
    return {
      height: high + (isLast ? PAD : 0),
      ...(part === 0 && columns.cost !== undefined ? { sum: isOut ? ZERO : (counted ?? ZERO) } : {}),
      draw: (top) => {
        const y = top + LINE;
        const foot = top + high + PAD;
        let at = y;
        return [
          ...said.map(({ text, size }, n) => {
            at += n === 0 ? 0 : (LINE * size) / TYPE;
            return words(EDGE, at, text, size);
          }),
          ...sizesHere.map((text, n) => words(right - (sizes?.begin ?? 0), y + n * LINE, text, TYPE)),
          ...(part > 0
            ? []
            : [
                ...end(
                  columns.quantity,
                  y,
                  quantity === undefined ? '' : readRowQuantity(worked, quantity, style).text,
                ),
                ...end(columns.ordered, y, orderedSays(worked, style)),
                ...end(columns.price, y, price === undefined ? '' : priceSays(worked, price, style)),
                ...end(columns.cost, y, cost),
                ...(columns.cost === undefined && isOut ? end(columns.ordered, y + LINE, 'left out') : []),
              ]),
          ...(isLast ? [line(EDGE, foot, right, foot, 'fine')] : []),
        ];
      },
    };
  });
}

/** What was multiplied for a quantity, where anything was: "12 × 8′ 4″". */
function sizesSay(worked: WorkedRow, style: WrittenList['style']): string {
  const [first = ''] = rowSays(worked, style);
  return first.includes(' = ') ? first.slice(0, first.lastIndexOf(' = ')) : first;
}

function orderedSays(worked: WorkedRow, style: WrittenList['style']): string {
  const { ordered, packs, cells } = worked;
  if (ordered === undefined) return '';
  if (packs === undefined || cells.pack === undefined) return readRowQuantity(worked, ordered, style).text;
  const count = readQuantity({ value: packs, dimension: PLAIN }, style).text;
  return `${count} × ${readRowQuantity(worked, cells.pack, style).text}`;
}

function priceSays({ cells }: WorkedRow, price: RowCost, style: WrittenList['style']): string {
  const typed = cells.price;
  if (typed === undefined) return '';
  if (price.per === 'own') return readQuantity(typed, style).text;
  const { says } = PRICE_UNITS[price.per];
  return `${readQuantity({ value: typed.value, dimension: MONEY }, style).text}${says.startsWith('/') ? '' : ' '}${says}`;
}

/** What all of it comes to. It stays together. */
function totalsOf({ totals, taxes, style }: WrittenList, columns: ListColumns, right: number): Group {
  const { all, leftOut } = totals;
  const money = (value: Value) => readMoney(value, style).text;
  const rows: readonly (readonly [string, string, boolean])[] = [
    ['built in', money(all.net), false],
    ['waste and whole packs', money(all.waste), false],
    ['to buy', money(all.cost), true],
    ...taxes.flatMap(({ id, name, rate }) => {
      const tax = all.taxes.get(id);
      if (tax === undefined) return [];
      return [[`${name} ${readRate(rate, style)} of ${money(tax.of)}`, money(tax.tax), false] as const];
    }),
    ['all together', money(all.grand), true],
    ...(signOfValue(leftOut.cost) === 0 ? [] : [['left out of it', money(leftOut.cost), false] as const]),
  ];
  const pieces = rows.map(([what, sum, isStrong]): Piece => ({
    height: LINE + PAD,
    draw: (y) => [
      words(right - (columns.price ?? 0), y + LINE, what, TYPE, { anchor: 'end', strong: isStrong }),
      words(right, y + LINE, sum, TYPE, { anchor: 'end', strong: isStrong }),
    ],
  }));
  const head = headPiece('The whole list', right);
  return { head, again: head, pieces };
}
