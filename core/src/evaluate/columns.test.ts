import { describe, expect, it } from 'vitest';
import { foldEntry } from './fold.ts';
import { parse } from '../notation/parser.ts';
import { LENGTH, PLAIN } from '../units/dimension.ts';
import { CHANGED, Columns, compile, LEFT_TO_THE_TREE, SAME } from './columns.ts';

/** Lines #1 to #9 stand in slots 0 to 8; there are no marks. */
const SLOTS = { line: (number: number) => (number <= 9 ? number - 1 : undefined), mark: () => undefined };

function programOf(source: string) {
  const { entry } = parse(source);
  return entry && compile(foldEntry(entry).expr, SLOTS);
}

function columnsWith(...values: readonly (readonly [number, number, number])[]): Columns {
  const columns = new Columns();
  for (const [num, den, dimension] of values) columns.put(columns.take(), num, den, dimension);
  return columns;
}

describe('programs', () => {
  it.each(['#1 + #2', '#1 * 2 - #3 / 4', `-(#1) + 5' 3"`, '#1', `5' 3"`, '1/3 of #2'])('are made of %s', (source) => {
    expect(programOf(source)).toBeDefined();
  });

  it.each([
    'sqrt(#1)',
    '#1^2',
    '#1 + 10%',
    '#1 > 2',
    'sum(#1..#2)',
    '#12 + 1',
    'rail * 2',
    '#1 + 30°',
    '#1 * sqrt(2)',
    '9007199254740993 * #1',
  ])('are not made of %s', (source) => {
    expect(programOf(source)).toBeUndefined();
  });
});

describe('the columns', () => {
  it('work a slot out from others, and return whether the result changed', () => {
    const columns = columnsWith([3, 4, LENGTH], [1, 2, LENGTH]);
    const slot = columns.take();
    columns.setProgram(slot, programOf('(#1 - #2) * 6'));
    expect(columns.run(slot)).toBe(CHANGED);
    expect([columns.num[slot], columns.den[slot], columns.dimension[slot]]).toEqual([3, 2, LENGTH]);
    expect(columns.run(slot)).toBe(SAME);
    columns.put(1, 3, 4, LENGTH);
    expect(columns.run(slot)).toBe(CHANGED);
    expect([columns.num[slot], columns.den[slot]]).toEqual([0, 1]);
  });

  it.each([
    ['unlike kinds', '#1 + #3', [1, 1, LENGTH], [1, 1, PLAIN]],
    ['a division by nothing', '#1 / #3', [1, 1, LENGTH], [0, 1, LENGTH]],
    ['a value past 2^53', '#1 * #3', [2 ** 30, 1, LENGTH], [2 ** 30, 1, LENGTH]],
    ['a dimension past a volume', '#1 * #3', [1, 1, 2], [1, 1, 2]],
  ] as const)('leave %s to the tree, and change nothing', (_, source, first, third) => {
    const columns = columnsWith(first, [9, 1, 0], third);
    const slot = columns.take();
    columns.put(slot, 7, 1, 0);
    columns.setProgram(slot, programOf(source));
    expect(columns.run(slot)).toBe(LEFT_TO_THE_TREE);
    expect(columns.num[slot]).toBe(7);
  });

  it('leave a slot to the tree that has no program, or needs one that is not small', () => {
    const columns = columnsWith([1, 1, 0]);
    const slot = columns.take();
    expect(columns.run(slot)).toBe(LEFT_TO_THE_TREE);
    columns.setProgram(slot, programOf('#1 + 1'));
    columns.isSmall[0] = 0;
    expect(columns.run(slot)).toBe(LEFT_TO_THE_TREE);
  });

  it('keep every program while others are edited ten thousand times', () => {
    const columns = columnsWith([5, 1, 0]);
    const slots = Array.from({ length: 200 }, () => columns.take());
    for (let round = 0; round < 50; round += 1)
      for (const slot of slots) columns.setProgram(slot, programOf(`#1 * ${slot} + ${round}`));
    for (const slot of slots) {
      columns.run(slot);
      expect(columns.num[slot]).toBe(5 * slot + 49);
    }
  });

  it('give a slot that came back to the next node, empty', () => {
    const columns = columnsWith([5, 1, 0]);
    const slot = columns.take();
    columns.setProgram(slot, programOf('#1'));
    columns.run(slot);
    columns.release(slot);
    expect(columns.take()).toBe(slot);
    expect([columns.isSmall[slot], columns.run(slot)]).toEqual([0, LEFT_TO_THE_TREE]);
  });
});
