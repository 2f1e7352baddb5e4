import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeRational } from '../number/rational.ts';
import { valueToNumber } from '../number/value.ts';
import { box, type Drawing, type TextShape } from './drawing.ts';
import { flow, headPiece, stacked, type Group, type PagePlan, type Piece } from './flow.ts';

const PLAN: PagePlan = { width: 100, height: 120, head: () => ({ shapes: [], end: 20 }) };
/** What 10 mm of edge and the room of a carried sum leave of a page. */
const [TOP, END] = [20, 120 - 10 - 6.2];

const piece = (height: number, sum?: number): Piece => ({
  height,
  draw: (y) => [box(0, y, 100, height)],
  ...(sum === undefined ? {} : { sum: makeRational(sum) }),
});
const group = (heights: readonly number[], more: Partial<Group> = {}): Group => ({
  head: headPiece('Deck', 90),
  again: headPiece('Deck, continued', 90),
  pieces: heights.map((height) => piece(height)),
  ...more,
});
const boxesOf = ({ shapes }: Drawing) => shapes.flatMap((shape) => (shape.kind === 'box' ? [shape] : []));
const textsOf = ({ shapes }: Drawing): readonly TextShape[] => shapes.filter((shape) => shape.kind === 'text');
const saidOn = (page: Drawing) => textsOf(page).map(({ text }) => text);
const counts = (pages: readonly Drawing[]) => pages.map((page) => boxesOf(page).length);

describe('pieces over pages', () => {
  it('breaks no piece, loses none, draws none over another, and has no head alone at a foot', () => {
    const heights = fc.array(fc.double({ min: 1, max: 60, noNaN: true }), { minLength: 1, maxLength: 25 });
    fc.assert(
      fc.property(fc.array(fc.tuple(heights, fc.boolean(), fc.boolean()), { minLength: 1, maxLength: 6 }), (given) => {
        const pages = flow(
          given.map(([each, isTogether, hasFoot]) => group(each, { isTogether, hasFoot })),
          PLAN,
        );
        const drawn = pages.map(boxesOf);
        expect(drawn.flat().map(({ height }) => height)).toEqual(given.flatMap(([each]) => each));
        for (const [n, boxes] of drawn.entries()) {
          let free = TOP;
          for (const { y, height } of boxes) {
            expect(y).toBeGreaterThanOrEqual(free - 1e-9);
            free = y + height;
          }
          // A foot that goes with the piece before it is the one thing that may need more than a page has.
          if (given.every(([, , hasFoot]) => !hasFoot)) expect(free).toBeLessThanOrEqual(END + 1e-9);
          const heads = textsOf(pages[n] as Drawing).filter(({ text }) => text.startsWith('Deck'));
          const lowest = Math.max(...heads.map(({ y }) => y));
          if (heads.length > 0) expect(free).toBeGreaterThan(lowest);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('keeps a group together that one page holds, and begins a longer one where it stands', () => {
    expect(counts(flow([group([40]), group([20, 20], { isTogether: true })], PLAN))).toEqual([1, 2]);
    expect(counts(flow([group([30]), group([10, 10, 60], { isTogether: true })], PLAN))).toEqual([3, 1]);
    expect(counts(flow([group([30]), group([10, 10, 10])], PLAN))).toEqual([4]);
  });

  it('says on every page which it is, and over what goes on how it is called', () => {
    const pages = flow([group([50, 50, 50])], PLAN);
    expect(pages.map((page) => saidOn(page).at(-1))).toEqual(['Sheet 1 of 3', 'Sheet 2 of 3', 'Sheet 3 of 3']);
    expect(pages.map((page) => saidOn(page)[0])).toEqual(['Deck', 'Deck, continued', 'Deck, continued']);
  });

  it('never leaves the foot of a group alone on a page', () => {
    expect(counts(flow([group([40, 30, 10])], PLAN))).toEqual([2, 1]);
    expect(counts(flow([group([40, 30, 10], { hasFoot: true })], PLAN))).toEqual([1, 2]);
  });

  it('carries a sum only where the group says how', () => {
    const summed = { pieces: [piece(50, 3), piece(50, 4)] };
    expect(
      flow([group([], summed)], PLAN)
        .flatMap(saidOn)
        .join(' '),
    ).not.toContain('carried');
    const carries = (sum: Parameters<typeof valueToNumber>[0]) => `${valueToNumber(sum)} in all`;
    const [first, second] = flow([group([], { ...summed, carries })], PLAN).map(saidOn);
    expect(first).toEqual(expect.arrayContaining(['carried over', '3 in all']));
    expect(second).toEqual(expect.arrayContaining(['brought forward', '3 in all']));
  });

  it('fills a page to its foot where that is asked', () => {
    const [page, ...more] = flow([group([30], { fill: piece(9) })], PLAN);
    expect(more).toEqual([]);
    const boxes = boxesOf(page as Drawing);
    const last = boxes.at(-1);
    expect(boxes.length).toBeGreaterThan(3);
    expect(END - ((last?.y ?? 0) + 9)).toBeLessThan(9);
  });
});

it('pieces on top of each other are one, and a long head takes more lines', () => {
  const both = stacked(piece(10), piece(5));
  expect(both.height).toBe(15);
  expect(both.draw(30).map((shape) => (shape.kind === 'box' ? [shape.y, shape.height] : []))).toEqual([
    [30, 10],
    [40, 5],
  ]);
  expect(headPiece('long '.repeat(40), 90).height).toBeGreaterThan(headPiece('short', 90).height + 8);
});
