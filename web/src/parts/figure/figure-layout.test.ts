import { SOLVERS, type Figure } from '@sprell/core';
import { describe, expect, it } from 'vitest';
import { layOut, wordsWithRoom, type LaidWords } from './figure-layout.ts';
import { PICTURES } from '../../features/setting-out/samples.ts';

const n = (value: number): string => String(Math.round(value * 10) / 10 || 0);

/** Every picture in figures; after a change that was meant, look at it, and: npx vitest run -u FILE */
it('lays every shape out where it was: on a desk, in a small picture, and looked at closer', async () => {
  const looks = [
    ['desk', (figure: Figure) => layOut(figure, 800, 500)] as const,
    ['bare', (figure: Figure) => layOut(figure, 92, 52, { bare: true })] as const,
    ['closer', (figure: Figure) => layOut(figure, 390, 300, { look: { zoom: 2, dx: 10, dy: -6 } })] as const,
    ['to scale', (figure: Figure) => layOut(figure, 700, 400, { scaleOf: (fits) => Math.floor(fits) })] as const,
  ];
  const text = SOLVERS.flatMap(({ id }) =>
    looks.map(([look, lay]) => {
      const figure = PICTURES[id] as Figure;
      const { lines, words } = lay(figure);
      const sums = new Map<string, { count: number; x: number; y: number }>();
      for (const { points, look: drawn, field } of lines) {
        const key = `${drawn} ${field ?? '-'}`;
        const sum = sums.get(key) ?? { count: 0, x: 0, y: 0 };
        for (const { x, y } of points) Object.assign(sum, { count: sum.count + 1, x: sum.x + x, y: sum.y + y });
        sums.set(key, sum);
      }
      return [
        `${id} ${look}`,
        ...[...sums].map(
          ([key, { count, x, y }]) => `  ${key} ${count} points, in the middle ${n(x / count)} ${n(y / count)}`,
        ),
        ...words.map(({ x, y, anchor, field, text: said }) =>
          `  words ${field ?? '-'} ${n(x)} ${n(y)} ${anchor} ${said ?? ''}`.trimEnd(),
        ),
      ].join('\n');
    }),
  );
  await expect(`${text.join('\n')}\n`).toMatchFileSnapshot('./figure-layout.txt');
});

describe('words that lie over one another', () => {
  const at = (field: string, x: number, y: number, anchor: LaidWords['anchor'] = 'start'): LaidWords => ({
    x,
    y,
    anchor,
    field,
    text: undefined,
  });
  const shown = (words: readonly LaidWords[], first?: string) =>
    wordsWithRoom(words, () => '12′ 3 5⁄8″', 20, first).map(({ field }) => field);

  it('are left out but for those that come first, or are looked at', () => {
    // Ten signs of a type of 20 pixels are 100 long.
    expect(shown([at('a', 0, 50), at('b', 99, 50)])).toEqual(['a']);
    expect(shown([at('a', 0, 50), at('b', 100, 50)])).toEqual(['a', 'b']);
    expect(shown([at('a', 0, 50), at('b', 0, 71)])).toEqual(['a']);
    expect(shown([at('a', 0, 50), at('b', 0, 72)])).toEqual(['a', 'b']);
    expect(shown([at('a', 0, 50), at('b', 60, 50)], 'b')).toEqual(['b']);
  });

  it('lie as they are anchored', () => {
    expect(shown([at('a', 100, 50, 'end'), at('b', 100, 50)])).toEqual(['a', 'b']);
    expect(shown([at('a', 100, 50, 'middle'), at('b', 149, 50)])).toEqual(['a']);
    expect(shown([at('a', 100, 50, 'middle'), at('b', 150, 50)])).toEqual(['a', 'b']);
    expect(wordsWithRoom([at('a', 0, 0)], () => undefined, 20, undefined)).toEqual([]);
  });
});
