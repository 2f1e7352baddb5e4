import { describe, expect, it } from 'vitest';
import type { Jig, JigSet } from '@sprell/core/jig';
import {
  blankDraft,
  NEW_INPUT,
  NEW_STEP,
  newerUses,
  withName,
  withoutInput,
  withUses,
  type JigDraft,
} from './draft.ts';

const jig = (name: string, version: number, entry = '1'): Jig => ({
  ...blankDraft(false),
  id: name,
  name,
  version,
  steps: [{ ...NEW_STEP, name: 'it', entry, isAnswer: true }],
});
const set = (own: Jig, ...uses: readonly Jig[]): JigSet => ({ jig: own, uses });
const draft = (said: Partial<JigDraft>): JigDraft => ({ ...blankDraft(false), ...said });
const using = (entry: string, uses: readonly Jig[] = []) =>
  draft({ uses, steps: [{ ...NEW_STEP, name: 'all', entry, isAnswer: true }] });
const named = ({ uses }: JigDraft) => uses.map(({ name, version }) => `${name} ${version}`);

describe('what a jig uses goes with it', () => {
  const bay = jig('bay', 1);
  const fence = jig('fence', 1, "2 * bay(12')");

  it('with all that this uses, and nothing else', () => {
    expect(named(withUses(using("fence(12') + 1"), [set(fence, bay), set(jig('tiles', 1))]))).toEqual([
      'fence 1',
      'bay 1',
    ]);
    expect(named(withUses(using('up(2.5)'), [set(fence, bay)]))).toEqual([]);
  });

  it('in the version that it has, until it is told otherwise; a new one takes what the shelf has', () => {
    const newer = jig('bay', 2);
    const kept = withUses(using('bay(2)', [bay]), [set(fence, bay), set(newer)]);
    expect(named(kept)).toEqual(['bay 1']);
    expect(newerUses(kept.uses, [set(fence, bay), set(newer)])).toEqual([newer]);
    expect(named(withUses(using('bay(2)'), [set(fence, bay), set(newer)]))).toEqual(['bay 2']);
  });
});

describe('another name for an input or a step', () => {
  const written = draft({
    steps: [
      { ...NEW_STEP, name: 'a', entry: 'width * 2 + width_2' },
      { ...NEW_STEP, name: 'b', entry: 'n * a', repeat: { take: 'sum', counter: 'n', from: '1', to: 'Width' } },
    ],
    checks: [{ title: '', inputs: [], answer: 'a', comesTo: '4', within: '' }],
  });

  it('goes through the steps and checks that use it, and leaves longer names alone', () => {
    const { steps } = withName(written, 'width', 'run');
    expect(steps.map(({ entry, repeat }) => [entry, repeat?.to])).toEqual([
      ['run * 2 + width_2', undefined],
      ['n * a', 'run'],
    ]);
    const { steps: after, checks } = withName(written, 'a', 'total');
    expect(after[1]?.entry).toBe('n * total');
    expect(checks[0]?.answer).toBe('total');
  });

  it('has nothing to follow where the old one was no name', () => {
    for (const none of ['', 'a (b', '2', 'width * 2', '[']) expect(withName(written, none, 'run')).toBe(written);
  });
});

it('an input that goes takes its value out of every check', () => {
  const { inputs, checks } = withoutInput(
    draft({
      inputs: ['a', 'b', 'c'].map((name) => ({ ...NEW_INPUT, name })),
      checks: [{ title: '', inputs: ['1', '2', '3'], answer: 'it', comesTo: '4', within: '' }],
    }),
    1,
  );
  expect(inputs.map(({ name }) => name)).toEqual(['a', 'c']);
  expect(checks[0]?.inputs).toEqual(['1', '3']);
});
