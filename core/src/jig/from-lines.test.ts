import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runJig } from '../evaluate/evaluate.ts';
import { exactText } from '../reading/exact-text.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { Slate } from '../slate/slate.ts';
import type { Quantity } from '../units/quantity.ts';
import { figureToInput, figuresIn } from './figures.ts';
import { jigFromLines, type DraftJig, type LinesAround } from './from-lines.ts';
import { readJig } from './read-jig.ts';

/** A slate with these lines, numbered from 1, and what a jig asks of it. */
function slateOf(sources: readonly string[]): { readonly slate: Slate; readonly around: LinesAround } {
  const slate = new Slate();
  slate.load(sources.map((source, n) => ({ id: `l${n + 1}`, number: n + 1, position: `a${1000 + n}`, source })));
  const known = (quantity: Quantity | undefined) => {
    const entry = quantity && exactText(quantity, DEFAULT_STYLE)?.plain;
    return quantity && entry !== undefined ? { quantity, entry } : undefined;
  };
  const around: LinesAround = {
    options: {},
    madeBy: (mark) => slate.markLines(mark).map(({ line }) => line.number),
    run: (from, to) =>
      slate
        .lines()
        .filter(({ line, parsed }) => line.number >= from && line.number <= to && parsed.entry?.expr.kind !== 'compare')
        .map(({ line }) => line.number),
    lineValue: (number) => {
      const result = slate.lineNumbered(number)?.result;
      return known(result?.ok ? result.quantity : undefined);
    },
    markValue: (name) => {
      const found = slate.scope().mark(name.toLowerCase());
      return known(found?.ok ? found.quantity : undefined);
    },
    beforePosting: (number) => {
      const line = slate.lineNumbered(number);
      const lines = slate.markLines(line?.parsed.entry?.assignment?.name ?? 'none');
      const before = lines[lines.findIndex((one) => one.line.number === number) - 1]?.result;
      return known(before?.ok ? before.quantity : undefined);
    },
  };
  return { slate, around };
}

const chosen = (sources: readonly string[], numbers?: readonly number[]) =>
  sources
    .map((source, n) => ({ number: n + 1, source, note: '' }))
    .filter(({ number }) => numbers === undefined || numbers.includes(number));

function jigOf(sources: readonly string[], numbers?: readonly number[]): DraftJig {
  return jigFromLines(chosen(sources, numbers), slateOf(sources).around);
}
const stepsOf = ({ steps }: DraftJig) =>
  steps.map(({ name, entry, isAnswer }) => `${name} = ${entry}${isAnswer ? ' !' : ''}`);
const inputsOf = ({ inputs }: DraftJig) => inputs.map(({ name, kind, usual }) => `${name}: ${kind}, ${usual}`);

describe('a jig of lines', () => {
  it('has a step for each, by its label, its mark or its number', () => {
    const jig = jigOf([`width: 12'`, `gap = 1/8"`, `#1 / (5 1/2" + gap)`, 'boards: up(#3)']);
    expect(stepsOf(jig)).toEqual([
      `width = 12'`,
      `gap = 1/8"`,
      `step_3 = width / (5 1/2" + gap)`,
      'boards = up(step_3) !',
    ]);
    expect([jig.name, jig.title, jig.inputs]).toEqual(['boards', 'boards', []]);
  });

  it('takes what it uses of the job as inputs, with what that comes to', () => {
    const jig = jigOf([`rail = 4' 2"`, `3'`, 'rail * 3 + #2', 'sum(#2..#3)'], [3, 4]);
    expect(inputsOf(jig)).toEqual(['rail: length, 50"', 'line_2: length, 36"']);
    expect(stepsOf(jig)).toEqual(['step_3 = rail * 3 + line_2', 'step_4 = sum(line_2; step_3) !']);
  });

  it('follows a mark through what was posted to it, wherever it is used', () => {
    const jig = jigOf(['rail * 2', `rail = 4'`, `rail += 2"`, `rail -= 1" * 3`]);
    expect(stepsOf(jig)).toEqual([
      `rail_2 = 4'`,
      `rail_3 = rail_2 + (2")`,
      `rail = rail_3 − (1" * 3)`,
      'step_1 = rail * 2 !',
    ]);
  });

  it('takes a mark of which not all lines were chosen as an input', () => {
    const jig = jigOf([`rail = 4'`, `rail += 2"`, 'rail * 2'], [2, 3]);
    expect(inputsOf(jig)).toEqual(['rail_2: length, 48"', 'rail_3: length, 50"']);
    expect(stepsOf(jig)).toEqual([`rail = rail_2 + (2") !`, 'step_3 = rail_3 * 2 !']);
  });

  it('leaves out what cannot be read, and gives every step a name of its own', () => {
    expect(stepsOf(jigOf([`rail: 3'`, `5' 4'`, `rail: 4'`]))).toEqual([`rail = 3' !`, `rail_2 = 4' !`]);
    expect(stepsOf(jigOf([`foot: 3'`, `2 x 4: 5'`]))).toEqual([`foot_2 = 3' !`, `x_4 = 5' !`]);
  });
});

describe('figures that become inputs', () => {
  const jig = jigOf([`width = 12' 6"`, `#1 / (5 1/2" + 1/8")`, `3(5 1/2" + #1) + 10%`, '7 width * 2']);

  it('are the numbers and sizes as they were written', () => {
    expect(figuresIn(jig).map(({ step, text, kind }) => `${step} ${text} ${kind}`)).toEqual([
      `0 12' 6" length`,
      '1 5 1/2" length',
      '1 1/8" length',
      '2 3 number',
      '2 5 1/2" length',
      '2 10 number',
      '3 7 number',
      '3 2 number',
    ]);
  });

  it.each<[number, boolean, readonly string[]]>([
    [1, true, [`step_2 = width / (board + 1/8")`, 'step_3 = 3(board + width) + 10%']],
    [1, false, [`step_2 = width / (board + 1/8")`, `step_3 = 3(5 1/2" + width) + 10%`]],
    [3, false, [`step_3 = board × (5 1/2" + width) + 10%`]],
    [5, false, [`step_3 = 3(5 1/2" + width) + (board)%`]],
    [6, false, ['step_4 = board × width * 2 !']],
  ])('figure %i', (index, everywhere, changed) => {
    const figure = figuresIn(jig)[index];
    if (!figure) throw new Error('There is no such figure.');
    const made = figureToInput(jig, figure, { name: 'board', title: 'Width of a board' }, everywhere);
    for (const step of changed) expect(stepsOf(made).join('\n')).toContain(step);
    expect(made.inputs.at(-1)).toMatchObject({ name: 'board', usual: figure.text, kind: figure.kind });
    // And it comes to the same.
    expect(answersOf(made)).toEqual(answersOf(jig));
  });
});

function answersOf(draft: DraftJig): readonly unknown[] {
  const { program, troubles } = readJig({ jig: { ...draft, id: 'x', version: 1 }, uses: [] });
  expect(troubles.map(({ issue }) => issue)).toEqual([]);
  if (!program) return [];
  const run = runJig(program, []);
  return run.ok ? program.steps.map((_, step) => run.value.steps[step]) : [run.issue];
}

/** Lines that use lines and marks before and behind them, as they are met on slates. */
const arbitraryLines = fc
  .array(fc.tuple(fc.nat(9), fc.nat(20), fc.nat(20), fc.nat(3)), { minLength: 1, maxLength: 14 })
  .map((rows) => {
    const kept = new Set<string>();
    return rows.map(([form, one, other, mark], n) => {
      const before = (pick: number) => (n === 0 ? `${pick + 1}"` : `#${(pick % n) + 1}`);
      const name = ['rail', 'post', 'cap', 'sill'][mark] as string;
      const use = kept.has(name) ? name : `${one + 1}'`;
      switch (form) {
        case 0:
          kept.add(name);
          return `${name} = ${one + 1}' ${other % 12}"`;
        case 1:
          return kept.has(name) ? `${name} += ${other + 1}/16"` : `${one + 1}"`;
        case 2:
          return kept.has(name) ? `${name} -= ${before(one)} / 50` : `label ${n}: ${one + 1}"`;
        case 3:
          return `${before(one)} * 2 + ${before(other)}`;
        case 4:
          return `${use} / 3 + ${before(one)}`;
        case 5:
          return n > 2 ? `sum(#1..#${n})` : `${other + 2}"`;
        case 6:
          return `part ${n}: ${before(one)} - 1/${other + 2}"`;
        case 7:
          return `if(${before(one)} < ${before(other)}; ${before(one)}; 7")`;
        case 8:
          return `hyp(${before(one)}; ${use})`;
        default:
          return `${before(one)} + 10%`;
      }
    });
  });

const written = (outcome: unknown): string =>
  JSON.stringify(outcome, (_, value: unknown) => (typeof value === 'bigint' ? `${value}` : value));

it('a jig of lines comes to the same as the lines, all of them or some', () => {
  fc.assert(
    fc.property(arbitraryLines, fc.array(fc.nat(13), { maxLength: 14 }), (sources, some) => {
      const { slate, around } = slateOf(sources);
      const numbers = some.length === 0 ? undefined : some.map((n) => (n % sources.length) + 1);
      const lines = chosen(sources, numbers).filter(({ number }) => slate.lineNumbered(number)?.result.ok);
      if (lines.length === 0) return;
      const draft = jigFromLines(lines, around);
      if (draft.inputs.some(({ usual }) => usual === '')) return;
      const { program, troubles } = readJig({ jig: { ...draft, id: 'x', version: 1 }, uses: [] });
      expect(troubles).toEqual([]);
      if (!program) return;
      const run = runJig(program, []);
      if (!run.ok) throw new Error(run.issue.code);
      expect(run.value.issue).toBeUndefined();
      const came = run.value.steps.map(written).sort();
      const lineOutcomes = lines.map(({ number }) => {
        const result = slate.lineNumbered(number)?.result;
        return written(result?.ok ? result.outcome : undefined);
      });
      if (numbers === undefined || draft.inputs.length === 0) expect(came).toEqual(lineOutcomes.sort());
      else for (const one of lineOutcomes) expect(came).toContain(one);
    }),
    { numRuns: 400 },
  );
});
