import { describe, expect, it } from 'vitest';
import { copyOfJob } from './copy-of-job.ts';
import type { JobWire } from './endpoints/jobs.ts';
import { NEW_JOB } from './job-fields.ts';
import { NEW_ITEM } from './kinds/item/new-item.ts';

const id = (n: number) => `01900000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const line = (n: number, more: object = {}) => ({
  id: id(n),
  kind: 'worked' as const,
  number: n,
  position: `a${n}`,
  source: `${n}'`,
  label: null,
  note: '',
  revision: n,
  deleted: false,
  addedAt: '2026-01-01T00:00:00.000Z',
  changedAt: '2026-01-01T00:00:00.000Z',
  ...more,
});
const job = (more: object): JobWire =>
  ({
    id: id(900),
    title: 'Shed',
    ...NEW_JOB,
    revision: 9,
    role: 'own',
    reading: { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' },
    lines: [],
    marks: [],
    scales: [],
    setOuts: [],
    ...more,
  }) as unknown as JobWire;

function copied(of: object) {
  let made = 500;
  const changes = copyOfJob(job(of), 'Shed, again', () => id((made += 1)));
  return changes as readonly (Record<string, unknown> & { id: string; kind: string })[];
}

describe('a copy of a job', () => {
  it('is a job of its own, that reads as the other does', () => {
    const [first, ...rest] = copied({});
    expect(first).toMatchObject({ kind: 'job.add', title: 'Shed, again', reading: { length: 'mm', finest: 16 } });
    expect(rest).toEqual([]);
  });

  it('writes its figures and has its tags as the other does, and is neither archived nor deleted', () => {
    const figures = { thousands: true, decimalComma: true, currency: '€', bareNumbers: 'mm', moneyRounded: 'total' };
    const [, said, ...rest] = copied({ ...figures, tags: ['roof'], archived: true, deleted: true });
    expect(said).toMatchObject({ kind: 'job.set', fields: { ...figures, tags: ['roof'] } });
    expect(Object.keys(said?.['fields'] as object)).toHaveLength(7);
    expect(rest).toEqual([]);
    for (const one of [
      { thousands: true },
      { decimalComma: true },
      { currency: '£' },
      { bareNumbers: 'in' },
      { moneyRounded: 'total' },
      { tags: ['x'] },
    ])
      expect(copied(one)).toHaveLength(2);
  });

  it('has lines with their numbers, labels, notes and places, and ids of its own that entries refer to', () => {
    const lines = [
      line(1, { label: 'rail', note: 'of oak' }),
      line(2, { source: `#{${id(1)}} + 1"` }),
      line(3, { kind: 'heading', number: null, source: 'Roof' }),
    ];
    const [, one, two, three] = copied({ lines });
    expect(one).toMatchObject({
      kind: 'line.add',
      number: 1,
      position: 'a1',
      source: `1'`,
      label: 'rail',
      note: 'of oak',
    });
    expect(two).toMatchObject({ kind: 'line.add', number: 2, source: `#{${String(one?.['lineId'])}} + 1"` });
    expect(three).toMatchObject({ kind: 'line.words', words: 'heading', source: 'Roof' });
    expect(three).not.toHaveProperty('number');
    expect(new Set([one, two, three].map((change) => change?.['lineId'])).size).toBe(3);
  });

  it('takes a deleted line along where an entry still speaks of it, deleted, and no other', () => {
    const lines = [
      line(1, { deleted: true }),
      line(2, { deleted: true, source: `5' 6"` }),
      line(3, { source: `#{${id(2)}} / 2` }),
    ];
    const changes = copied({ lines }).slice(1);
    expect(changes.map(({ kind, source }) => [kind, source])).toEqual([
      ['line.add', `5' 6"`],
      ['line.delete', undefined],
      ['line.add', `#{${String(changes[0]?.['lineId'])}} / 2`],
    ]);
    expect(changes[1]).toMatchObject({ lineId: changes[0]?.['lineId'], base: changes[0]?.id });
  });

  it('has the things that stand, each with its content, its entries speaking of the copy', () => {
    const scale = { kind: 'sizes', paper: '1/4"', site: `#{${id(1)}}`, name: 'Plan', revision: 4 };
    const setOut = {
      name: 'Gable',
      shape: 'circle',
      answer: '',
      fields: ['rise'],
      entries: [`#{${id(1)}}`],
      revision: 5,
    };
    const changes = copied({
      lines: [line(1)],
      scales: [
        { ...scale, id: id(20), deleted: false },
        { ...scale, id: id(21), deleted: true },
      ],
      setOuts: [{ ...setOut, id: id(30), deleted: false }],
    });
    const own = String(changes.find(({ kind }) => kind === 'line.add')?.['lineId']);
    const things = changes.filter(({ kind }) => kind === 'thing.add');
    expect(things.map(({ of, content }) => [of, content])).toEqual([
      ['scale', { kind: 'sizes', paper: '1/4"', site: `#{${own}}`, name: 'Plan' }],
      ['setout', { name: 'Gable', shape: 'circle', answer: '', fields: ['rise'], entries: [`#{${own}}`] }],
    ]);
  });

  it('has the rows of its take-off in its own sections, with its own taxes, naming its own rows', () => {
    const row = {
      ...NEW_ITEM,
      id: id(50),
      section: id(40),
      tax: null,
      versions: [id(41)],
      revision: 4,
      deleted: false,
    };
    const changes = copied({
      sections: [{ id: id(40), name: 'Roof', position: 'a0', revision: 3, deleted: false }],
      versions: [{ id: id(41), name: 'with oak', position: 'a0', revision: 3, deleted: false }],
      items: [row, { ...row, id: id(51), section: null, versions: [], count: `2 @{${id(50)}}` }],
    });
    const idOf = (of: string) => changes.filter((change) => change['of'] === of).map(({ thingId }) => thingId);
    const [one, other] = changes.filter((change) => change['of'] === 'item').map(({ content }) => content) as object[];
    expect(one).toMatchObject({ section: idOf('section')[0], tax: null, versions: idOf('version') });
    expect(other).toMatchObject({ section: null, versions: [], count: `2 @{${String(idOf('item')[0])}}` });
    expect(idOf('section')[0]).not.toBe(id(40));
  });
});
