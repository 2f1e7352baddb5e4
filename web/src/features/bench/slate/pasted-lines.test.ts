import { DEFAULT_STYLE, Slate } from '@sprell/core';
import { describe, expect, it } from 'vitest';
import type { SlateRow } from '../../../job/index.ts';
import { pastedLines, renumbered } from './pasted-lines.ts';
import { slateText } from './slate-text.ts';
import { totalAbove } from '../../../parts/slate/total-above.ts';

const options = { style: DEFAULT_STYLE };
const read = (text: string) =>
  pastedLines(text, options).map(({ text: entry, kind, reading }) => [kind, entry, reading]);

/** Rows as they stand: entries with a label or without, and headings. */
function rowsOf(...sources: readonly string[]): readonly SlateRow[] {
  const slate = new Slate();
  const worked = sources.filter((source) => !source.startsWith('## ') && !source.startsWith('-- '));
  slate.load(
    worked.map((source, at) => ({
      id: `${at + 1}`,
      number: at + 1,
      position: `a${at}`,
      source: source.replace(/^[^:]*: /u, ''),
    })),
  );
  let at = 0;
  const line = { position: '', note: '', revision: 1, deleted: false, source: '' };
  return sources.map((source): SlateRow => {
    if (source.startsWith('## ') || source.startsWith('-- ')) {
      const kind = source.startsWith('## ') ? ('heading' as const) : ('note' as const);
      return {
        kind,
        words: source.slice(3),
        line: { ...line, id: source, kind, number: null, label: source.slice(3) },
      };
    }
    at += 1;
    const label = /^([^:]*): /u.exec(source)?.[1] ?? null;
    return {
      kind: 'worked',
      entry: source,
      line: { ...line, id: `${at}`, kind: 'worked', number: at, label, source },
      worked: slate.line(`${at}`) as never,
    };
  });
}

describe('several pasted lines', () => {
  it('are each an entry, or words where they are none', () => {
    expect(read(`Roof\n9' 7 1/4" + 2' 9 3/8"\n\n  rail: 5'\nsill = 3'\n`)).toEqual([
      ['heading', 'Roof', undefined],
      ['entry', `9' 7 1/4" + 2' 9 3/8"`, '12′ 4 5⁄8″'],
      ['entry', `rail: 5'`, '5′'],
      ['entry', `sill = 3'`, '3′'],
    ]);
  });

  it('come back as the slate copied them: numbers, sums, results and notes', () => {
    const rows = rowsOf('## Roof', `rail: 2 × 3'`, `#1 + 1 1/64"`, 'sum(#1..#2)');
    const [heading, ...lines] = pastedLines(slateText(rows, DEFAULT_STYLE), options);
    expect(heading).toMatchObject({ kind: 'heading', text: 'Roof' });
    expect(lines.map(({ number, kind }) => [number, kind])).toEqual([
      [1, 'entry'],
      [2, 'entry'],
      [3, 'entry'],
    ]);
    expect(lines.map(({ reading }) => reading)).toEqual(['6′', '6′ 1″', '12′ 1″']);
    // They get new numbers, and speak of one another by them.
    expect(renumbered(lines, 41)).toEqual(['rail: 2 × 3′', '#41 + 1 1⁄64″', 'sum(#41..#42)']);
  });

  it('keep what is set in beneath a line as its note', () => {
    expect(pastedLines(`#7 rail: 5'\n    taped twice\n    by both`, options)).toMatchObject([
      { text: `rail: 5'`, note: 'taped twice\nby both' },
    ]);
  });

  it('land with whatever is wrong with them where they were lines', () => {
    expect(read('#4 5 + * 3 = 12')).toEqual([['entry', '5 + * 3', undefined]]);
  });

  it('have the units of the job where they have none', () => {
    const metric = pastedLines('2400\n900', { style: { ...DEFAULT_STYLE, length: 'mm' }, bare: 'mm' });
    expect(metric.map(({ text }) => text)).toEqual(['2400 mm', '900 mm']);
  });
});

describe('the total of the lines above', () => {
  it('goes back to the heading or the total before, over notes, as far as lines are of one kind', () => {
    expect(totalAbove(rowsOf(`1'`, '## Roof', `2'`, '-- taped', `3'`, `4'`))).toBe('total: sum(#2..#4)');
    expect(totalAbove(rowsOf(`1'`, `2'`, 'total: sum(#1..#2)', `3'`, `4'`))).toBe('total: sum(#4..#5)');
    expect(totalAbove(rowsOf(`1'`, '3 kg', `2'`, `4'`))).toBe('total: sum(#3..#4)');
  });

  it('can stand above a line, and needs two of them', () => {
    expect(totalAbove(rowsOf(`1'`, `2'`, `3'`), '3')).toBe('total: sum(#1..#2)');
    expect(totalAbove(rowsOf(`1'`, `2'`, `3'`), '2')).toBeUndefined();
    expect(totalAbove(rowsOf(`1'`, '1 / 0'))).toBeUndefined();
    expect(totalAbove([])).toBeUndefined();
  });
});
