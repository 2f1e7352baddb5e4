import { EDGE, HEAD } from '../drawing/sheet-head.ts';
import { line, SHEETS, words, type Drawing, type Shape, type SheetSize } from '../drawing/drawing.ts';
import { ZERO } from '../number/rational.ts';
import { addValue, signOfValue, type Value } from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import { MONEY, PLAIN } from '../units/dimension.ts';
import { PRICE_UNITS } from './measure.ts';
import type { RowCost, WorkedRow } from './row.ts';
import { readMoney, readRate, readRowQuantity, rowSays } from './says.ts';
import type { WrittenList, WrittenRow } from './written-list.ts';

/** Type and the rows of it, in millimetres. */
const TYPE = 3.2;
const SMALL = 2.6;
const LINE = 4.4;
const PAD = 1.8;
/** Of the type's height: how wide a sign is at most, on the average of a line. */
const SIGN = 0.5;

/** Where a column ends, from the right edge; words of the item begin at the left. */
const COLUMNS = { sizes: 170, quantity: 98, ordered: 64, price: 30, cost: 0 } as const;
const ITEM = 84;
const SIZES = 44;

/** A piece of a page that is not broken, drawn at a height. */
interface Piece {
  readonly height: number;
  readonly draw: (y: number) => readonly Shape[];
  /** What it adds to the total that is carried on. */
  readonly cost: Value;
}

/** Pieces that stay together where a page can hold them. */
interface Group {
  readonly head: Piece;
  /** Over what goes on, on the next page. */
  readonly again: Piece;
  readonly pieces: readonly Piece[];
}

/**
 * A take-off on paper: sheets in millimetres, with the job's heading. A section stays together where one sheet holds it; the
 * total so far is carried over from sheet to sheet.
 */
export function listSheets(list: WrittenList, sheet: SheetSize): readonly Drawing[] {
  const { width, height } = SHEETS[sheet];
  const page = new Pages(list, width, height);
  for (const section of list.sections) {
    if (section.rows.length > 0) page.put(groupOf(list, section, width));
  }
  page.put(totalsOf(list, width));
  return page.drawings();
}

class Pages {
  readonly #list: WrittenList;
  readonly #width: number;
  readonly #height: number;
  readonly #pages: Shape[][] = [];
  #y = 0;
  #carried: Value = ZERO;

  constructor(list: WrittenList, width: number, height: number) {
    this.#list = list;
    this.#width = width;
    this.#height = height;
    this.#begin();
  }

  get #page(): Shape[] {
    return this.#pages[this.#pages.length - 1] as Shape[];
  }
  /** Above what is carried over. */
  get #end(): number {
    return this.#height - EDGE - LINE - PAD;
  }
  get #top(): number {
    return EDGE + HEAD + LINE + PAD;
  }
  get #isFresh(): boolean {
    return this.#y <= this.#top + LINE + PAD;
  }

  #begin(): void {
    const { title, subtitle } = this.#list;
    const right = this.#width - EDGE;
    const isFirst = this.#pages.length === 0;
    this.#pages.push([words(EDGE, EDGE + 5, title, 4.5, { strong: true }), words(EDGE, EDGE + 10, subtitle, TYPE)]);
    this.#y = this.#top;
    const heads = [
      words(EDGE, this.#y - PAD, 'item', SMALL),
      words(right - COLUMNS.sizes, this.#y - PAD, 'count and sizes', SMALL),
      ...(['quantity', 'ordered', 'price', 'cost'] as const).map((id) =>
        words(right - COLUMNS[id], this.#y - PAD, id === 'ordered' ? 'to order' : id, SMALL, { anchor: 'end' }),
      ),
      line(EDGE, this.#y, right, this.#y),
    ];
    this.#page.push(...heads);
    if (!isFirst) this.#carry('brought forward', this.#y + LINE);
    this.#y += isFirst ? 0 : LINE + PAD;
  }

  #carry(what: string, y: number): void {
    const right = this.#width - EDGE;
    const sum = readMoney(this.#carried, this.#list.style).text;
    this.#page.push(
      words(right - COLUMNS.price, y, what, SMALL, { anchor: 'end' }),
      words(right, y, sum, TYPE, { anchor: 'end', strong: true }),
    );
  }

  #next(): void {
    this.#carry('carried over', this.#height - EDGE);
    this.#begin();
  }

  #draw(piece: Piece): void {
    this.#page.push(...piece.draw(this.#y));
    this.#y += piece.height;
    this.#carried = addValue(this.#carried, piece.cost);
  }

  put({ head, again, pieces }: Group): void {
    const all = pieces.reduce((sum, { height }) => sum + height, head.height);
    if (!this.#isFresh && this.#y + all > this.#end) this.#next();
    this.#draw(head);
    for (const [n, piece] of pieces.entries()) {
      // The sum of a section stands with its last row.
      const isLastRow = n === pieces.length - 2;
      const needed = piece.height + (isLastRow ? (pieces[n + 1]?.height ?? 0) : 0);
      if (n < pieces.length - 1 && this.#y + needed > this.#end) {
        this.#next();
        this.#draw(again);
      }
      this.#draw(piece);
    }
  }

  drawings(): readonly Drawing[] {
    const [width, height] = [this.#width, this.#height];
    return this.#pages.map((shapes, n) => ({
      width,
      height,
      shapes: [
        ...shapes,
        words(width - EDGE, EDGE + 5, `Sheet ${n + 1} of ${this.#pages.length}`, TYPE, { anchor: 'end' }),
      ],
    }));
  }
}

function groupOf(list: WrittenList, { id, name, rows }: WrittenList['sections'][number], width: number): Group {
  const called = name === '' ? 'In no section' : name;
  const sum = list.totals.sections.get(id);
  const right = width - EDGE;
  const foot: Piece = {
    height: LINE + PAD * 3,
    cost: ZERO,
    draw: (y) => [
      words(right - COLUMNS.price, y + LINE, `subtotal ${called}`, TYPE, { anchor: 'end' }),
      words(right, y + LINE, readMoney(sum?.cost ?? ZERO, list.style).text, TYPE, { anchor: 'end', strong: true }),
    ],
  };
  return {
    head: headPiece(called, right),
    again: headPiece(`${called}, continued`, right),
    pieces: [...rows.map((row) => rowPiece(list, row, right)), foot],
  };
}

function headPiece(called: string, right: number): Piece {
  const y = LINE + PAD * 2;
  return {
    height: y + PAD,
    cost: ZERO,
    draw: (top) => [
      words(EDGE, top + y - PAD / 2, called, 4, { strong: true }),
      line(EDGE, top + y + PAD / 2, right, top + y + PAD / 2, 'heavy'),
    ],
  };
}

/** Words over as many lines as they need; a word that is longer than a line is broken. */
export function wrapped(text: string, width: number, size: number): readonly string[] {
  const most = Math.max(4, Math.floor(width / (size * SIGN)));
  const lines: string[] = [];
  let now = '';
  for (const word of text.split(/\s+/).filter((one) => one !== '')) {
    let rest = word;
    if (now !== '' && now.length + 1 + rest.length > most) {
      lines.push(now);
      now = '';
    }
    while (rest.length > most) {
      lines.push(rest.slice(0, most));
      rest = rest.slice(most);
    }
    now = now === '' ? rest : `${now} ${rest}`;
  }
  return now === '' ? lines : [...lines, now];
}

function rowPiece(list: WrittenList, { worked, item, supplier, note }: WrittenRow, right: number): Piece {
  const { style, roundedAt } = list;
  const { row, quantity, price } = worked;
  const counted = price && (roundedAt === 'row' ? price.billed.cost : price.cost);
  const isOut = row.isLeftOut;
  const more = [supplier, note].filter((one) => one !== '').join(' · ');
  const items = wrapped(item, ITEM, TYPE);
  const says = wrapped(more, ITEM, SMALL);
  const sizes = wrapped(sizesSay(worked, style), SIZES, TYPE);
  const lines = Math.max(items.length + says.length * (SMALL / TYPE), sizes.length, 1);
  const end = (id: keyof typeof COLUMNS, y: number, text: string, isStrong = false) =>
    words(right - COLUMNS[id], y, text, TYPE, { anchor: 'end', strong: isStrong });
  return {
    height: lines * LINE + PAD,
    cost: isOut ? ZERO : (counted ?? ZERO),
    draw: (top) => {
      const y = top + LINE;
      const foot = top + lines * LINE + PAD;
      return [
        ...items.map((text, n) => words(EDGE, y + n * LINE, text, TYPE)),
        ...says.map((text, n) => words(EDGE, y + items.length * LINE + n * LINE * (SMALL / TYPE), text, SMALL)),
        ...sizes.map((text, n) => words(right - COLUMNS.sizes, y + n * LINE, text, TYPE)),
        end('quantity', y, quantity === undefined ? '' : readRowQuantity(worked, quantity, style).text),
        end('ordered', y, orderedSays(worked, style)),
        end('price', y, price === undefined ? '' : priceSays(worked, price, style)),
        end('cost', y, isOut ? 'left out' : counted === undefined ? 'no cost' : readMoney(counted, style).text),
        line(EDGE, foot, right, foot, 'fine'),
      ];
    },
  };
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
function totalsOf({ totals, taxes, style }: WrittenList, width: number): Group {
  const right = width - EDGE;
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
    cost: ZERO,
    draw: (y) => [
      words(right - COLUMNS.price, y + LINE, what, TYPE, { anchor: 'end', strong: isStrong }),
      words(right, y + LINE, sum, TYPE, { anchor: 'end', strong: isStrong }),
    ],
  }));
  const head = headPiece('The whole list', right);
  return { head, again: head, pieces };
}
