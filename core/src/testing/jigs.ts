import type { Jig, JigInput, JigSet, JigStep } from '../jig/jig.ts';
import { readJig } from '../jig/read-jig.ts';
import type { JigProgram } from '../notation/ast.ts';

/** An input of a length, with what the test says otherwise. */
export const anInput = (name: string, over: Partial<JigInput> = {}): JigInput => ({
  name,
  title: name,
  kind: 'length',
  unit: 'in',
  usual: '',
  metric: '',
  whole: false,
  least: '',
  most: '',
  hint: '',
  ...over,
});

export const aStep = (name: string, entry: string, over: Partial<JigStep> = {}): JigStep => ({
  name,
  title: name,
  note: '',
  entry,
  isAnswer: false,
  repeat: null,
  ...over,
});
export const anAnswer = (name: string, entry: string, over: Partial<JigStep> = {}): JigStep =>
  aStep(name, entry, { isAnswer: true, ...over });

export const aJig = (over: Partial<Jig>): Jig => ({
  id: '00000000-0000-4000-8000-000000000001',
  version: 1,
  name: 'decks',
  title: 'Decks',
  about: '',
  decimalComma: false,
  inputs: [],
  steps: [],
  checks: [],
  ...over,
});

/** Boards over a width, with 1/8" between them where nothing else is said. */
export const DECKS = aJig({
  inputs: [
    anInput('width', { unit: 'ft', least: `1'`, most: `100'` }),
    anInput('board', { usual: '5 1/2"' }),
    anInput('rows', { kind: 'number', unit: '', usual: '1', whole: true }),
  ],
  steps: [
    anAnswer('boards', 'rows * up(width / (board + 1/8"))'),
    anAnswer('rest', 'width - down(width / (board + 1/8")) * (board + 1/8")'),
    anAnswer('fits', 'rest == 0"'),
  ],
});

/** @throws where it cannot be read */
export function programOf(jig: Jig, uses: JigSet['uses'] = []): JigProgram {
  const { program, troubles } = readJig({ jig, uses });
  if (program === undefined) throw new Error(JSON.stringify(troubles));
  return program;
}
