import { changeWire, comparePlaces, type LineWire } from '@sprell/contract';
import fc from 'fast-check';
import { v7 as uuidv7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import { placeAt } from './position-at.ts';
import type { SlateRow } from './slate-row.ts';

const rowAt = (position: string): SlateRow => ({
  kind: 'note',
  words: '',
  line: {
    id: uuidv7(),
    kind: 'note',
    number: null,
    position,
    source: '',
    label: null,
    note: '',
    revision: 1,
    deleted: false,
  },
});
/** Puts a line above another, as a slate does: what has to move is moved. */
function put(
  rows: readonly SlateRow[],
  beforeId: string | undefined,
): { rows: SlateRow[]; added: string; moved: number } {
  const { position, moved } = placeAt(rows, beforeId);
  const added = rowAt(position);
  const places = new Map(moved.map(({ line, position: to }) => [line.id, to]));
  const all = [...rows, added].map((row) => {
    const to = places.get(row.line.id);
    return to === undefined ? row : ({ ...row, line: { ...row.line, position: to } } as SlateRow);
  });
  all.sort((a, b) => comparePlaces(a.line, b.line));
  return { rows: all, added: added.line.id, moved: moved.length };
}
const isTaken = ({ position }: LineWire) =>
  changeWire.safeParse({
    id: uuidv7(),
    kind: 'line.words',
    lineId: uuidv7(),
    words: 'note',
    position,
    source: '',
    label: null,
    note: 'x',
  }).success;

describe('a place on the slate', () => {
  it('is found above any line, also where devices that were apart gave one place to several', () => {
    const positions = fc.array(fc.constantFrom('a0', 'a1', 'a1', 'a1V', 'a2'), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(positions, fc.array(fc.nat(), { minLength: 1, maxLength: 20 }), (given, choices) => {
        let rows = given.map(rowAt).sort((a, b) => comparePlaces(a.line, b.line));
        for (const choice of choices) {
          const ids = rows.map(({ line }) => line.id);
          const at = choice % (ids.length + 1);
          const { rows: next, added } = put(rows, ids[at]);
          ids.splice(at, 0, added);
          expect(next.map(({ line }) => line.id)).toEqual(ids);
          rows = next;
        }
        expect(rows.every(({ line }) => isTaken(line))).toBe(true);
      }),
    );
  });

  it('stays short where lines go in at one spot again and again, and seldom moves others', () => {
    let [rows, moves] = [['a0', 'a1'].map(rowAt), 0];
    const last = rows[1]?.line.id;
    for (let count = 0; count < 1500; count += 1) {
      const next = put(rows, last);
      [rows, moves] = [next.rows, moves + next.moved];
    }
    expect(rows.at(-1)?.line.id).toBe(last);
    expect(Math.max(...rows.map(({ line }) => line.position.length))).toBeLessThanOrEqual(100);
    expect(moves).toBeLessThan(1500);
  });
});
