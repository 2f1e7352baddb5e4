import { describe, expect, it } from 'vitest';
import { problemWire, PROBLEMS } from '../problem.ts';
import { changeResultWire, changeWire, type Change } from './change.ts';
import { lineWire } from './line.ts';
import { asThingResult, thingChange, thingResult, thingStep } from './thing.ts';

const ID = '01900000-0000-7000-8000-000000000001';
const add: Change = {
  id: ID,
  kind: 'line.add',
  lineId: ID,
  number: 1,
  position: 'a0',
  source: `5' 3"`,
  label: null,
  note: '',
};
const edit: Change = {
  id: ID,
  kind: 'line.edit',
  lineId: ID,
  base: 3,
  position: 'a0',
  source: '5',
  label: 'rail',
  note: '',
};

const scale = { kind: 'sizes', paper: '1/4"', site: `1'`, name: null };
const addScale = { id: ID, kind: 'scale.add', scaleId: ID, scale };

const setOut = { name: 'Gable', shape: 'right-triangle', answer: '', fields: ['rise', 'run'], entries: ["5'", 'run'] };
const addSetOut = { id: ID, kind: 'setout.add', setOutId: ID, setOut };

const reading = {
  id: ID,
  kind: 'job.reading',
  reading: { length: 'mm', finest: 32, metricStep: '1/2', rounding: 'up', fractions: 'held' },
};

describe('a change on the wire', () => {
  it.each([
    ['a new line', add],
    ['an edit of a revision', edit],
    ['an edit of an own change', { ...edit, base: ID }],
    ['a deletion', { id: ID, kind: 'line.delete', lineId: ID, base: 0 }],
    ['a return', { id: ID, kind: 'line.restore', lineId: ID, base: 7 }],
    ['an entry in every script', { ...add, source: 'π × 3′ ½ 長さ' }],
    [
      'a heading',
      { id: ID, kind: 'line.words', lineId: ID, words: 'heading', position: 'a0', source: '', label: 'Roof', note: '' },
    ],
    ['how the job reads', reading],
    ['a new scale', addScale],
    ['a scale written anew', { id: ID, kind: 'scale.edit', scaleId: ID, base: 2, scale: { ...scale, name: 'Plan' } }],
    ['a scale taken off', { id: ID, kind: 'scale.delete', scaleId: ID, base: ID }],
    ['a scale brought back', { id: ID, kind: 'scale.restore', scaleId: ID, base: 3 }],
    ['a setting-out', addSetOut],
    ['a setting-out with nothing in it', { ...addSetOut, setOut: { ...setOut, fields: [], entries: [] } }],
    ['a setting-out written anew', { id: ID, kind: 'setout.edit', setOutId: ID, base: 2, setOut }],
    ['a setting-out taken off', { id: ID, kind: 'setout.delete', setOutId: ID, base: ID }],
    ['a setting-out brought back', { id: ID, kind: 'setout.restore', setOutId: ID, base: 3 }],
    ['a note of several lines', { ...add, note: 'one\ntwo\tthree' }],
  ])('is taken: %s', (_, change) => {
    expect(changeWire.safeParse(change).success).toBe(true);
    expect(changeWire.parse(JSON.parse(JSON.stringify(change)))).toEqual(change);
  });

  it.each([
    ['no kind', { ...add, kind: undefined }],
    ['a number in an edit', { ...edit, number: 4 }],
    ['a base that is no revision', { ...edit, base: -1 }],
    ['a base that is half a one', { ...edit, base: 1.5 }],
    ['an id of version 4', { ...add, lineId: 'e3f6a6e2-1a0c-4a63-9f2b-0f4b7d6f4f11' }],
    ['an empty label', { ...add, label: '  ' }],
    ['a label of two lines', { ...add, label: 'a\nb' }],
    ['a source of two lines', { ...add, source: '5\n6' }],
    ['a null character in a note', { ...add, note: 'a\u0000' }],
    ['half a character in a label', { ...add, label: '\udc00x' }],
    ['a number past two thousand million', { ...add, number: 2_000_000_001 }],
    ['a position of one letter', { ...add, position: 'a' }],
    ['a position of symbols', { ...add, position: 'a0;' }],
    ['words that are worked out', { ...add, kind: 'line.words', words: 'worked', number: undefined }],
    ['words with a number', { ...add, kind: 'line.words', words: 'note' }],
    ['a reading in an unknown unit', { ...reading, reading: { ...reading.reading, length: 'ell' } }],
    ['a reading by halves of a mark', { ...reading, reading: { ...reading.reading, finest: 0.5 } }],
    ['a reading in steps of nothing', { ...reading, reading: { ...reading.reading, metricStep: '0' } }],
    ['a reading of a line', { ...reading, lineId: ID }],
    ['a scale with one side', { ...addScale, scale: { ...scale, site: ' ' } }],
    ['a scale of another kind', { ...addScale, scale: { ...scale, kind: 'guess' } }],
    ['a scale of two lines', { ...addScale, scale: { ...scale, paper: '1\n2' } }],
    ['a scale with an empty name', { ...addScale, scale: { ...scale, name: '' } }],
    ['a scale and a line', { ...addScale, lineId: ID }],
    ['a setting-out without a name', { ...addSetOut, setOut: { ...setOut, name: ' ' } }],
    ['a shape that is no word', { ...addSetOut, setOut: { ...setOut, shape: 'Arc; drop' } }],
    ['more fields than entries', { ...addSetOut, setOut: { ...setOut, entries: ["5'"] } }],
    ['one field twice', { ...addSetOut, setOut: { ...setOut, fields: ['rise', 'rise'] } }],
    ['a field that is no name', { ...addSetOut, setOut: { ...setOut, fields: ['rise', 'a b'] } }],
    ['an entry of two lines', { ...addSetOut, setOut: { ...setOut, entries: ['5', '6\n7'] } }],
    ['a setting-out and a scale', { ...addSetOut, scaleId: ID }],
    ['a long note', { ...add, note: 'x'.repeat(2001) }],
  ])('is refused: %s', (_, change) => {
    expect(changeWire.safeParse(change).success).toBe(false);
  });
});

describe('what comes back', () => {
  const line = {
    id: ID,
    kind: 'worked',
    number: 1,
    position: 'a0',
    source: '5',
    label: null,
    note: '',
    revision: 1,
    deleted: false,
  };

  it('is a line applied, a line in conflict, or a refusal by code', () => {
    expect(changeResultWire.parse({ id: ID, status: 'applied', line })).toMatchObject({ line });
    expect(changeResultWire.parse({ id: ID, status: 'conflict', line: { ...line, deleted: true } })).toMatchObject({
      status: 'conflict',
    });
    expect(changeResultWire.parse({ id: ID, status: 'refused', code: 'line.not_found' })).toMatchObject({
      code: 'line.not_found',
    });
    expect(changeResultWire.safeParse({ id: ID, status: 'refused', code: 'because' }).success).toBe(false);
    expect(lineWire.safeParse({ ...line, number: 0 }).success).toBe(false);
    expect(lineWire.parse({ ...line, kind: 'note', number: null, note: 'x' })).toMatchObject({ kind: 'note' });
    const { reading: reads } = reading;
    expect(changeResultWire.parse({ id: ID, status: 'reads', reading: reads })).toMatchObject({ reading: reads });
    const shape = { id: ID, ...setOut, revision: 4, deleted: false };
    for (const status of ['setout', 'setout.conflict'])
      expect(changeResultWire.parse({ id: ID, status, setOut: shape })).toMatchObject({ setOut: shape });
    const held = { id: ID, ...scale, revision: 4, deleted: false };
    for (const status of ['scale', 'scale.conflict'])
      expect(changeResultWire.parse({ id: ID, status, scale: held })).toMatchObject({ scale: held });
  });

  it('is a problem with a code of the one registry', () => {
    for (const [code, status] of Object.entries(PROBLEMS)) {
      expect(problemWire.safeParse({ code, message: 'm', requestId: 'r' }).success).toBe(true);
      expect(status).toBeGreaterThanOrEqual(400);
    }
    expect(problemWire.safeParse({ code: 'odd', message: 'm', requestId: 'r' }).success).toBe(false);
  });
});

describe('a thing that is kept whole', () => {
  it.each([
    ['a scale', addScale, { kind: 'scale', id: ID, step: 'add', base: undefined, content: scale }],
    ['a setting-out', addSetOut, { kind: 'setout', id: ID, step: 'add', base: undefined, content: setOut }],
    [
      'one taken off',
      { id: ID, kind: 'setout.delete', setOutId: ID, base: 2 },
      { kind: 'setout', id: ID, step: 'delete', base: 2, content: undefined },
    ],
  ])('is told from a change and told as one: %s', (_, change, step) => {
    expect(thingStep(changeWire.parse(change))).toEqual(step);
    expect(thingChange(ID, step as never)).toEqual(change);
  });

  it('is nothing that a change of a line or of the job speaks of', () => {
    expect([thingStep(add), thingStep(reading as Change)]).toEqual([undefined, undefined]);
    expect(thingResult({ id: ID, status: 'refused', code: 'scale.not_found' })).toBeUndefined();
  });

  it('comes back as it is, done or in conflict', () => {
    const thing = { id: ID, ...setOut, revision: 4, deleted: false };
    for (const isConflict of [true, false]) {
      const result = asThingResult(ID, { kind: 'setout', thing }, isConflict);
      expect(changeResultWire.parse(result)).toEqual(result);
      expect(thingResult(result)).toEqual({ kind: 'setout', thing, isConflict });
    }
  });
});
