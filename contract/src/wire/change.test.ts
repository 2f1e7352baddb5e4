import { describe, expect, it } from 'vitest';
import { NEW_JOB } from '../job-fields.ts';
import { problemWire, PROBLEMS } from '../problem.ts';
import { changeResultWire, changeWire, sentWire, type Change } from './change.ts';
import { lineWire } from './line.ts';
import { changedThing, earlierForm, todaysForm } from './thing-change.ts';

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
const addScale = { id: ID, kind: 'thing.add', of: 'scale', thingId: ID, content: scale };

const setOut = { name: 'Gable', shape: 'right-triangle', answer: '', fields: ['rise', 'run'], entries: ["5'", 'run'] };
const addSetOut = { id: ID, kind: 'thing.add', of: 'setout', thingId: ID, content: setOut };

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
    ['what a job says of itself', { id: ID, kind: 'job.set', fields: { title: 'Shed', tags: ['roof'] } }],
    ['a job that is deleted', { id: ID, kind: 'job.set', fields: { deleted: true } }],
    ['a new scale', addScale],
    [
      'a scale edited',
      { id: ID, kind: 'thing.edit', of: 'scale', thingId: ID, base: 2, content: { ...scale, name: 'Plan' } },
    ],
    ['a deleted scale', { id: ID, kind: 'thing.delete', of: 'scale', thingId: ID, base: ID }],
    ['a scale brought back', { id: ID, kind: 'thing.restore', of: 'scale', thingId: ID, base: 3 }],
    ['a setting-out', addSetOut],
    ['a setting-out with nothing in it', { ...addSetOut, content: { ...setOut, fields: [], entries: [] } }],
    ['a setting-out edited', { id: ID, kind: 'thing.edit', of: 'setout', thingId: ID, base: 2, content: setOut }],
    ['a deleted setting-out', { id: ID, kind: 'thing.delete', of: 'setout', thingId: ID, base: ID }],
    ['a setting-out brought back', { id: ID, kind: 'thing.restore', of: 'setout', thingId: ID, base: 3 }],
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
    ['a job that says nothing', { id: ID, kind: 'job.set', fields: {} }],
    ['a job of no name', { id: ID, kind: 'job.set', fields: { title: ' ' } }],
    ['a tag of two lines', { id: ID, kind: 'job.set', fields: { tags: ['a\nb'] } }],
    ['a job of somebody', { id: ID, kind: 'job.set', fields: { ownerId: ID } }],
    ['a reading of a line', { ...reading, lineId: ID }],
    ['a scale with one side', { ...addScale, content: { ...scale, site: ' ' } }],
    ['a scale of another kind', { ...addScale, content: { ...scale, kind: 'guess' } }],
    ['a scale of two lines', { ...addScale, content: { ...scale, paper: '1\n2' } }],
    ['a scale with an empty name', { ...addScale, content: { ...scale, name: '' } }],
    ['a scale and a line', { ...addScale, lineId: ID }],
    ['a setting-out without a name', { ...addSetOut, content: { ...setOut, name: ' ' } }],
    ['a shape that is no word', { ...addSetOut, content: { ...setOut, shape: 'Arc; drop' } }],
    ['more fields than entries', { ...addSetOut, content: { ...setOut, entries: ["5'"] } }],
    ['one field twice', { ...addSetOut, content: { ...setOut, fields: ['rise', 'rise'] } }],
    ['a field that is no name', { ...addSetOut, content: { ...setOut, fields: ['rise', 'a b'] } }],
    ['an entry of two lines', { ...addSetOut, content: { ...setOut, entries: ['5', '6\n7'] } }],
    ['a setting-out that says what a scale does', { ...addSetOut, content: scale }],
    ['a thing of no kind', { ...addScale, of: 'cloud' }],
    [
      'some fields of another kind',
      { id: ID, kind: 'thing.set', of: 'scale', thingId: ID, base: 1, fields: setOut, was: {} },
    ],
    ['a move to no place', { id: ID, kind: 'thing.move', of: 'scale', thingId: ID, base: 1, position: 'z' }],
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
    const job = { title: 'Shed', ...NEW_JOB };
    for (const status of ['reads', 'job'])
      expect(changeResultWire.parse({ id: ID, status, reading: reads, job })).toMatchObject({ reading: reads, job });
    expect(changeResultWire.safeParse({ id: ID, status: 'job', reading: reads }).success).toBe(false);
    const shape = { id: ID, ...setOut, revision: 4, deleted: false };
    const held = { id: ID, ...scale, revision: 4, deleted: false };
    for (const status of ['thing', 'thing.conflict']) {
      expect(changeResultWire.parse({ id: ID, status, of: 'setout', thing: shape })).toMatchObject({ thing: shape });
      expect(changeResultWire.parse({ id: ID, status, of: 'scale', thing: held })).toMatchObject({ thing: held });
      expect(changeResultWire.safeParse({ id: ID, status, of: 'setout', thing: held }).success).toBe(false);
    }
  });

  it('is a problem with a code of the one registry', () => {
    for (const [code, status] of Object.entries(PROBLEMS)) {
      expect(problemWire.safeParse({ code, message: 'm', requestId: 'r' }).success).toBe(true);
      expect(status).toBeGreaterThanOrEqual(400);
    }
    expect(problemWire.safeParse({ code: 'odd', message: 'm', requestId: 'r' }).success).toBe(false);
  });
});

describe('the form of November 2026 and before', () => {
  const before = [
    ['scale.add', { id: ID, kind: 'scale.add', scaleId: ID, scale }, addScale],
    [
      'scale.edit',
      { id: ID, kind: 'scale.edit', scaleId: ID, base: 2, scale },
      { id: ID, kind: 'thing.edit', of: 'scale', thingId: ID, base: 2, content: scale },
    ],
    ['setout.add', { id: ID, kind: 'setout.add', setOutId: ID, setOut }, addSetOut],
    [
      'setout.delete',
      { id: ID, kind: 'setout.delete', setOutId: ID, base: ID },
      { id: ID, kind: 'thing.delete', of: 'setout', thingId: ID, base: ID },
    ],
  ] as const;

  it.each(before)('is read still, and is known by what it was: %s', (_, earlier, now) => {
    expect(todaysForm<Change>(earlier)).toEqual(now);
    expect(earlierForm(now as unknown as Change)).toEqual(earlier);
    expect(sentWire.parse(earlier)).toEqual({ id: ID, kind: 'earlier', change: now });
    expect(sentWire.parse(now)).toEqual(now);
  });

  it('is nothing that a change of a line or of the job was sent in, nor what came later', () => {
    expect([todaysForm<Change>(add), todaysForm<Change>(reading as Change)]).toEqual([add, reading]);
    expect([earlierForm(add), earlierForm(reading)]).toEqual([undefined, undefined]);
    const set = { id: ID, kind: 'thing.set', of: 'scale', thingId: ID, base: 1, fields: {}, was: {} } as const;
    expect(earlierForm(set)).toBeUndefined();
    expect(sentWire.parse({ id: ID, kind: 'scale.add', scaleId: ID, scale: { ...scale, name: '' } })).toMatchObject({
      kind: 'unfit',
    });
  });
});

describe('a thing with a change done to it', () => {
  const thing = { id: ID, ...scale, revision: 4, deleted: false };
  const of = { id: ID, of: 'scale', thingId: ID, base: 4 } as const;
  it.each([
    [{ ...of, kind: 'thing.edit', content: { ...scale, name: 'Plan' } }, { name: 'Plan' }],
    [{ ...of, kind: 'thing.set', fields: { name: 'Plan' }, was: { name: null } }, { name: 'Plan' }],
    [{ ...of, kind: 'thing.move', position: 'a5' }, { position: 'a5' }],
    [{ ...of, kind: 'thing.delete' }, { deleted: true }],
    [{ ...of, kind: 'thing.restore' }, { deleted: false }],
  ] as const)('says the rest as it did: %o', (change, otherwise) => {
    expect(changedThing({ ...thing, deleted: change.kind === 'thing.restore' }, change)).toEqual({
      ...thing,
      ...otherwise,
    });
  });
});
