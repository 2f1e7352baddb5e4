import { describe, expect, it } from 'vitest';
import { foldEntry } from '../evaluate/fold.ts';
import { evaluate } from '../evaluate/evaluate.ts';
import { EMPTY_SCOPE, type Scope } from '../evaluate/scope.ts';
import { nearestName } from '../mend/near-words.ts';
import { editDistance } from '../notation/near-miss.ts';
import { parse } from '../notation/parser.ts';
import { makeRational } from '../number/rational.ts';
import { bindLast } from './bind-last.ts';
import { referencesOf } from './references.ts';
import { fromStored, storedIds, toStored } from './stored-references.ts';

const IDS = ['01900000-0000-7000-8000-000000000001', '01900000-0000-7000-8000-000000000002'] as const;
const BY_ID = { lineId: (number: number) => IDS[number - 1], markId: () => undefined };
const BY_NAME = { lineNumber: (id: string) => IDS.indexOf(id as never) + 1 || undefined, markName: () => undefined };

describe('references', () => {
  it.each([
    ['#1 + #2 * #1', [1, 2], [], []],
    ['sum(#3..#9) + #2', [2], [[3, 9]], []],
    ['Rail * 2 + RAIL', [], [], ['rail']],
    ['hyp(-#1; (post)^2) + 10% > #4', [1, 4], [], ['post']],
    ['(#1) ft + 5 mm', [1], [], []],
    [`5' 3"`, [], [], []],
  ])('of %s are found, each once', (source, lines, runs, marks) => {
    const found = referencesOf(parse(source).entry);
    expect({ lines: [...found.lines].sort(), runs: found.runs, marks: found.marks }).toEqual({ lines, runs, marks });
  });
});

describe('stored entries', () => {
  it('hold ids where a person sees numbers, and nothing else changes', () => {
    const stored = toStored(`#2 + #1 "#9" * 3`, BY_ID);
    expect(stored).toBe(`#{${IDS[1]}} + #{${IDS[0]}} "#9" * 3`);
    expect(storedIds(stored)).toEqual([IDS[1], IDS[0]]);
    expect(fromStored(stored, BY_NAME)).toBe(`#2 + #1 "#9" * 3`);
  });

  it('show a line that is gone altogether as none', () => {
    expect(fromStored('#{01900000-0000-7000-8000-00000000ffff} + 1', BY_NAME)).toBe('#0 + 1');
    expect(toStored('5 + 3', BY_ID)).toBe('5 + 3');
  });
});

describe('what goes on from the last result', () => {
  it.each([
    ['/ 2', '#7 / 2'],
    ['× 3', '#7 × 3'],
    ['^2', '#7 ^2'],
    [`last + 2"`, `#7 + 2"`],
    ['hyp(last; Last * 2)', 'hyp(#7; #7 * 2)'],
    ['- 5', '- 5'],
    ['label: / 2', 'label: / 2'],
    ['((', '(('],
  ])('%s lands as %s', (source, landed) => {
    expect(bindLast(source, 7)).toBe(landed);
  });
});

describe('folding', () => {
  const five = { ok: true, quantity: { value: makeRational(5), dimension: 0 } } as const;
  const scope: Scope = { ...EMPTY_SCOPE, line: () => five, mark: () => five };

  it.each([
    `#1 * (12' 3 5/8" - 2 * 3 1/2")`,
    `hyp(3'; 4') / (#1 + 2)`,
    'rail + 12% of 50',
    '#1 + 10%',
    '1 / 0 + #1',
    'sqrt(-4) * #1',
    '(#1)^(1/2)',
    'max(#1; 3; 2 * 8)',
    `5' > #1 * 1"`,
    '#1 + 3 mm',
  ])('%s comes to the same, issues and places too', (source) => {
    const { entry } = parse(source);
    if (entry === undefined) return expect.unreachable('it reads');
    const plain = evaluate(entry, scope);
    expect(evaluate(foldEntry(entry), scope)).toEqual(plain);
  });

  it('works out beforehand what refers to nothing, and leaves the rest', () => {
    const source = `#1 * (12' 3" - 2 * 3 1/2")`;
    const { entry } = parse(source);
    const folded = entry && foldEntry(entry);
    expect(folded?.expr).toMatchObject({ kind: 'binary', left: { kind: 'line' }, right: { kind: 'known' } });
  });
});

describe('near misses', () => {
  it.each([
    ['rail', 'rail', 0],
    ['raill', 'rail', 1],
    ['rial', 'rail', 1],
    ['ral', 'rail', 1],
    ['post', 'rail', 4],
  ])('%s is %s after %d edits', (a, b, edits) => {
    expect(editDistance(a, b, 5)).toBe(edits);
  });

  it.each([
    ['raill', ['rail', 'post'], 'rail'],
    ['TOPRIAL', ['top_rail', 'toprail'], 'toprail'],
    // A unit stands behind a number only, see nearestUnit.
    ['inchs', [], undefined],
    ['post3', ['post1', 'post2'], undefined],
    ['sqr', [], 'sqrt'],
    ['q', ['r'], undefined],
    ['week', ['rail'], undefined],
    ['banister', ['rail'], undefined],
  ])('%s among %s is %s', (word, names, near) => {
    expect(nearestName(word, names)).toBe(near);
  });
});
