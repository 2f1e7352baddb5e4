import { describe, expect, it } from 'vitest';
import { describeIssue } from '../messages.ts';
import { aJig, anAnswer, anInput, aStep, DECKS, programOf } from '../testing/jigs.ts';
import type { Jig } from './jig.ts';
import { readJig } from './read-jig.ts';

const half = aJig({ name: 'half', inputs: [anInput('a')], steps: [anAnswer('res', 'a / 2')] });

/** What is wrong with a jig, as `part index field: code`. */
function wrongIn(over: Partial<Jig>, uses: readonly Jig[] = []): readonly string[] {
  return readJig({ jig: { ...DECKS, ...over }, uses }).troubles.map(({ jig, part, index, field, issue }) => {
    expect(describeIssue(issue)).toMatch(/^[\p{Lu}“].*[.]$/u);
    return `${jig === undefined ? '' : `${jig} `}${part} ${index} ${field}: ${issue.code}`;
  });
}

describe('a jig made ready', () => {
  it('has its inputs with their units, its steps and its answers', () => {
    const { inputs, steps, answers } = programOf(DECKS);
    expect(inputs.map(({ name, whole, usual }) => [name, whole, usual !== undefined])).toEqual([
      ['width', false, false],
      ['board', false, true],
      ['rows', true, true],
    ]);
    expect(inputs[0]?.least?.text).toBe(`1'`);
    expect(steps.map(({ name }) => name)).toEqual(['boards', 'rest', 'fits']);
    expect(answers).toEqual([0, 1, 2]);
  });

  it('may use other jigs, and those others, in whatever order they stand', () => {
    const quarter = aJig({ name: 'quarter', inputs: [anInput('a')], steps: [anAnswer('res', 'half(half(a))')] });
    const eighth = aJig({ name: 'eighth', inputs: [anInput('a')], steps: [anAnswer('res', 'half(quarter(a))')] });
    for (const uses of [
      [half, quarter],
      [quarter, half],
    ])
      expect(readJig({ jig: eighth, uses }).troubles).toEqual([]);
  });

  it.each<[string, Partial<Jig>, string]>([
    ['names a mark of a job', { steps: [anAnswer('b', 'rail * 2')] }, 'step 0 entry: jig.uses_mark'],
    ['names a line', { steps: [anAnswer('b', '#4 * 2')] }, 'step 0 entry: jig.uses_line'],
    ['names a run of lines', { steps: [anAnswer('b', 'sum(#3..#9)')] }, 'step 0 entry: jig.uses_line'],
    ['goes on from the last result', { steps: [anAnswer('b', 'last * 2')] }, 'step 0 entry: jig.uses_line'],
    ['names a later step', { steps: [anAnswer('b', 'c'), aStep('c', '2')] }, 'step 0 entry: jig.step_later'],
    ['names itself', { steps: [anAnswer('b', 'b + 1')] }, 'step 0 entry: jig.step_later'],
    ['stores', { steps: [anAnswer('b', `rail = 3'`)] }, 'step 0 entry: jig.assigns'],
    ['has no answer', { steps: [aStep('b', '2')] }, 'jig 0 steps: jig.no_answer'],
    ['has nothing in a step', { steps: [anAnswer('b', '')] }, 'step 0 entry: entry.empty'],
    ['stops short', { steps: [anAnswer('b', 'board +')] }, 'step 0 entry: entry.unfinished'],
    ['calls a step by a word of the language', { steps: [anAnswer('foot', '2')] }, 'step 0 name: name.taken'],
    ['calls a step by no word', { steps: [anAnswer('two words', '2')] }, 'step 0 name: name.shape'],
    ['calls a step like an input', { steps: [anAnswer('Board', '2')] }, 'step 0 name: jig.name_twice'],
    ['calls itself by a unit', { name: 'yard' }, 'jig 0 name: name.taken'],
    [
      'has a unit of another kind',
      { inputs: [anInput('a', { unit: 'kg' })], steps: [anAnswer('b', 'a')] },
      'input 0 unit: jig.unit',
    ],
    [
      'has no unit at all',
      { inputs: [anInput('a', { unit: 'wibbles' })], steps: [anAnswer('b', 'a')] },
      'input 0 unit: jig.unit',
    ],
    [
      'has a rate of nothing',
      { inputs: [anInput('a', { kind: 'rate', unit: '' })], steps: [anAnswer('b', 'a')] },
      'input 0 unit: jig.unit_missing',
    ],
    [
      'has a usual value of another kind',
      { inputs: [anInput('a', { usual: '3 kg' })], steps: [anAnswer('b', 'a')] },
      'input 0 usual: jig.field_kind',
    ],
    [
      'has a usual value that names something',
      { inputs: [anInput('a', { usual: 'rail' })], steps: [anAnswer('b', 'a')] },
      'input 0 usual: jig.not_fixed',
    ],
    [
      'has a limit that compares',
      { inputs: [anInput('a', { least: '3 < 4' })], steps: [anAnswer('b', 'a')] },
      'input 0 least: kind.answer',
    ],
    [
      'repeats up to a mark',
      { steps: [anAnswer('b', 'n', { repeat: { counter: 'n', from: '1', to: 'posts', take: 'sum' } })] },
      'step 0 to: jig.uses_mark',
    ],
    [
      'counts by the name of an input',
      { steps: [anAnswer('b', '2', { repeat: { counter: 'board', from: '1', to: '2', take: 'sum' } })] },
      'step 0 name: jig.name_twice',
    ],
    [
      'checks what is no answer',
      { checks: [{ title: '', inputs: [], answer: 'nothing', comesTo: '2', within: '' }] },
      'check 0 answer: jig.check_answer',
    ],
    [
      'checks with more than it takes',
      { checks: [{ title: '', inputs: ['1', '2', '3', '4'], answer: 'boards', comesTo: '2', within: '' }] },
      'check 0 inputs: jig.check_inputs',
    ],
  ])('that %s is refused at its place', (_what, over, wrong) => {
    expect(wrongIn(over)).toContain(wrong);
  });

  it('says everything that is wrong, not the first alone', () => {
    expect(wrongIn({ steps: [aStep('b', 'rail'), aStep('foot', '#2')] })).toHaveLength(4);
  });

  it('of jigs in a circle is refused, with the chain', () => {
    const one = aJig({ name: 'one', steps: [anAnswer('a', 'two()')] });
    const two = aJig({ name: 'two', steps: [anAnswer('a', 'three()')] });
    const three = aJig({ name: 'three', steps: [anAnswer('a', 'one()')] });
    const { program, troubles } = readJig({ jig: one, uses: [two, three] });
    expect(program).toBeUndefined();
    expect(troubles.map(({ issue }) => describeIssue(issue))).toEqual([
      'These jigs use each other in a circle (one → two → three → one); let one of them do without.',
    ]);
    const own = aJig({ name: 'own', steps: [anAnswer('a', 'own()')] });
    expect(readJig({ jig: own, uses: [] }).troubles.map(({ issue }) => issue.code)).toEqual(['jig.circle']);
    // A word in a text that only looks like one is none.
    expect(
      readJig({ jig: half, uses: [two, three, aJig({ name: 'one', steps: [anAnswer('a', '1')] })] }).troubles,
    ).toEqual([]);
  });

  it('of more than 500 steps, those of the jigs that it uses among them, is refused', () => {
    const many = (count: number) => Array.from({ length: count }, (_, n) => anAnswer(`st_${n}`, `${n}`));
    expect(readJig({ jig: aJig({ steps: many(499) }), uses: [half] }).troubles).toEqual([]);
    expect(wrongIn({ steps: many(500) }, [half])).toEqual(['jig 0 steps: jig.steps_many']);
    expect(wrongIn({ steps: many(10_000) })).toEqual(['jig 0 steps: jig.steps_many']);
  });

  it('says in which of the jigs that it uses something is wrong', () => {
    const bad = aJig({ name: 'bad', steps: [anAnswer('a', 'rail')] });
    expect(wrongIn({}, [bad])).toEqual(['bad step 0 entry: jig.uses_mark']);
    expect(wrongIn({}, [half, { ...half, name: 'HALF' }])).toEqual(['jig 0 uses: jig.name_twice']);
  });

  it('reads its entries with a decimal comma where they are written so', () => {
    const jig = aJig({ decimalComma: true, steps: [anAnswer('a', '2,5 m')] });
    expect(readJig({ jig, uses: [] }).troubles).toEqual([]);
  });
});
