import { v7 as uuidv7 } from 'uuid';
import { nameIssue } from '@sprell/core';
import { calledIn, type DraftJig, type Jig, type JigInput, type JigSet, type JigStep } from '@sprell/core/jig';

/** A jig that is being written: as it will be kept, but for its number. */
export interface JigDraft extends DraftJig {
  /** The jig that it is the next version of; undefined for a new one. */
  readonly id: string | undefined;
  readonly uses: readonly Jig[];
}

export const NEW_INPUT: JigInput = {
  name: '',
  title: '',
  kind: 'length',
  unit: '',
  usual: '',
  metric: '',
  whole: false,
  least: '',
  most: '',
  hint: '',
};
export const NEW_STEP: JigStep = { name: '', title: '', note: '', entry: '', isAnswer: false, repeat: null };

export const blankDraft = (decimalComma: boolean): JigDraft => ({
  id: undefined,
  name: '',
  title: '',
  about: '',
  decimalComma,
  inputs: [{ ...NEW_INPUT }],
  steps: [{ ...NEW_STEP, isAnswer: true }],
  checks: [],
  uses: [],
});

/** A jig to be changed: the next version of it, or a copy of its own. */
export function draftOf({ jig, uses }: JigSet, isOwn: boolean): JigDraft {
  const { id, version: _version, ...said } = jig;
  if (isOwn) return { ...said, id, uses };
  return { ...said, id: undefined, uses, title: `${said.title}, copy`, name: `${said.name}_2` };
}

export const setOf = ({ id, uses, ...said }: JigDraft): JigSet => ({
  jig: { id: id ?? uuidv7(), version: 1, ...said },
  uses,
});

/**
 * The draft with the jigs that its steps use, and those that these use: all that it takes to run anywhere.
 * @param others jigs that may be used; the versions that the draft has already go before them
 */
export function withUses(draft: JigDraft, others: readonly JigSet[]): JigDraft {
  const byName = new Map<string, Jig>();
  const enter = (jig: Jig) => {
    if (!byName.has(jig.name.toLowerCase())) byName.set(jig.name.toLowerCase(), jig);
  };
  draft.uses.forEach(enter);
  // A jig itself goes before the one, perhaps older, that comes along with another.
  for (const { jig } of others) enter(jig);
  for (const { uses } of others) uses.forEach(enter);
  const used = new Set<Jig>();
  const follow = (jig: Pick<Jig, 'steps'>) => {
    for (const name of calledIn(jig)) {
      const found = byName.get(name);
      if (found === undefined || used.has(found)) continue;
      used.add(found);
      follow(found);
    }
  };
  follow(draft);
  return { ...draft, uses: [...used] };
}

/** Newer versions, among these, of the jigs that a draft uses: it keeps those that it has until it is told otherwise. */
export const newerUses = (uses: readonly Jig[], others: readonly JigSet[]): readonly Jig[] =>
  uses.flatMap((used) =>
    others.filter(({ jig }) => jig.id === used.id && jig.version > used.version).map(({ jig }) => jig),
  );

/** The draft without one of its inputs: its checks give their inputs in order, and lose the same one. */
export function withoutInput(draft: JigDraft, index: number): JigDraft {
  const without = <T>(list: readonly T[]): readonly T[] => list.filter((_, at) => at !== index);
  return {
    ...draft,
    inputs: without(draft.inputs),
    checks: draft.checks.map((check) => ({ ...check, inputs: without(check.inputs) })),
  };
}

/** The draft with another name for an input or a step, wherever its steps use it. */
export function withName(draft: JigDraft, from: string, to: string): JigDraft {
  // What is no name, however it was written, is used by no step.
  if (nameIssue(from) !== undefined || to === '' || from === to) return draft;
  const word = new RegExp(`(?<![\\p{L}\\p{N}_])${from}(?![\\p{L}\\p{N}_])`, 'giu');
  const renamed = (text: string) => text.replace(word, to);
  return {
    ...draft,
    steps: draft.steps.map((step) => ({
      ...step,
      entry: renamed(step.entry),
      repeat: step.repeat && { ...step.repeat, from: renamed(step.repeat.from), to: renamed(step.repeat.to) },
    })),
    checks: draft.checks.map((check) => ({ ...check, answer: check.answer === from ? to : check.answer })),
  };
}
