import { addValue, type Value } from '../number/value.ts';
import { line, words, type Drawing, type Shape } from './drawing.ts';
import { EDGE } from './sheet-head.ts';
import { wrapped } from './wrapped.ts';

/** A piece of a page that is not broken, drawn at a height. Millimetres. */
export interface Piece {
  readonly height: number;
  readonly draw: (y: number) => readonly Shape[];
  /** What it adds to the sum that is carried on. */
  readonly sum?: Value;
}

/** Pieces under one head. */
export interface Group {
  readonly head: Piece;
  /** Over what goes on, on the next page. */
  readonly again: Piece;
  readonly pieces: readonly Piece[];
  /** It stays together where one page holds it. */
  readonly isTogether?: boolean;
  /** Its last piece is never alone on a page. */
  readonly hasFoot?: boolean;
  /** Drawn behind its pieces as often as the page still has room for it. */
  readonly fill?: Piece;
  /** How the sum so far is said at the foot of a page and over what goes on; it is not carried unless given. */
  readonly carries?: ((sum: Value) => string) | undefined;
}

export interface PagePlan {
  readonly width: number;
  readonly height: number;
  /** What stands over every page, and where what follows begins. @param page from 0 */
  readonly head: (page: number) => { readonly shapes: readonly Shape[]; readonly end: number };
  /** From the right edge of the page to where the words of a carried sum end; the sum itself ends at the edge. */
  readonly carryWords?: number;
}

const TYPE = 3.2;
/** A row of a page, and what is left free in it. */
export const LINE = 4.4;
export const PAD = 1.8;
const CARRY = LINE + PAD;

/**
 * Groups of pieces over as many pages as they need: no piece is broken, and a head never stands alone at the foot of a page.
 * Each page says which it is, of how many.
 */
export function flow(groups: readonly Group[], plan: PagePlan): readonly Drawing[] {
  const pages = new Pages(plan);
  for (const group of groups) pages.put(group);
  return pages.drawings();
}

/** Pieces as one. */
export function stacked(...pieces: readonly Piece[]): Piece {
  return {
    height: heightOf(pieces),
    draw: (y) => {
      let at = y;
      return pieces.flatMap((piece) => {
        const shapes = piece.draw(at);
        at += piece.height;
        return shapes;
      });
    },
  };
}

/** The words over a group, with a heavy line under them. @param right where the sheet ends, in millimetres */
export function headPiece(called: string, right: number): Piece {
  const said = wrapped(called, right - EDGE, HEADING);
  const first = LINE + PAD * 1.5;
  const foot = first + (said.length - 1) * LINE + PAD;
  return {
    height: foot + PAD / 2,
    draw: (top) => [
      ...said.map((text, n) => words(EDGE, top + first + n * LINE, text, HEADING, { strong: true })),
      line(EDGE, top + foot, right, top + foot, 'heavy'),
    ],
  };
}
const HEADING = 4;

const heightOf = (pieces: readonly Piece[]) => pieces.reduce((sum, { height }) => sum + height, 0);

class Pages {
  readonly #plan: PagePlan;
  readonly #pages: Shape[][] = [];
  #y = 0;
  #top = 0;
  #isFresh = true;
  #sum: Value | undefined;

  constructor(plan: PagePlan) {
    this.#plan = plan;
    this.#begin();
  }

  get #page(): Shape[] {
    return this.#pages[this.#pages.length - 1] as Shape[];
  }
  /** Above what is carried over. */
  get #end(): number {
    return this.#plan.height - EDGE - CARRY;
  }

  #begin(): void {
    const { shapes, end } = this.#plan.head(this.#pages.length);
    this.#pages.push([...shapes]);
    this.#y = this.#top = end;
    this.#isFresh = true;
  }

  #carry(what: string, sum: string, y: number): void {
    const right = this.#plan.width - EDGE;
    this.#page.push(
      words(right - (this.#plan.carryWords ?? 0), y, what, TYPE, { anchor: 'end' }),
      words(right, y, sum, TYPE, { anchor: 'end', strong: true }),
    );
  }

  #next({ carries }: Group): void {
    const sum = carries && this.#sum && carries(this.#sum);
    if (sum !== undefined) this.#carry('carried over', sum, this.#plan.height - EDGE);
    this.#begin();
    if (sum === undefined) return;
    this.#carry('brought forward', sum, this.#y + LINE);
    this.#y += CARRY;
  }

  #draw(piece: Piece): void {
    this.#page.push(...piece.draw(this.#y));
    this.#y += piece.height;
    this.#isFresh = false;
    if (piece.sum !== undefined) this.#sum = this.#sum === undefined ? piece.sum : addValue(this.#sum, piece.sum);
  }

  put(group: Group): void {
    const { head, again, pieces, isTogether = false, hasFoot = false } = group;
    const all = head.height + heightOf(pieces);
    const stays = isTogether && all <= this.#end - this.#top;
    const least = stays ? all : Math.min(all, head.height + heightOf(pieces.slice(0, 2)));
    if (!this.#isFresh && this.#y + least > this.#end) this.#next(group);
    this.#draw(head);
    const foot = hasFoot ? pieces.length - 1 : Infinity;
    for (const [n, piece] of pieces.entries()) {
      const needed = piece.height + (n === foot - 1 ? (pieces[foot]?.height ?? 0) : 0);
      if (n > 0 && n !== foot && this.#y + needed > this.#end) {
        this.#next(group);
        this.#draw(again);
      }
      this.#draw(piece);
    }
    while (group.fill && this.#y + group.fill.height <= this.#end) this.#draw(group.fill);
  }

  drawings(): readonly Drawing[] {
    const { width, height } = this.#plan;
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
