import { describe, expect, it } from 'vitest';
import { SHIPPED_JIGS } from '@sprell/core/jig';
import { copyOfJob } from '../copy-of-job.ts';
import { NEW_JOB } from '../job-fields.ts';
import { jigFileOf } from '../jig-file-text.ts';
import { NEW_ITEM } from '../kinds/item/new-item.ts';
import type { Thing } from '../kinds/kind.ts';
import { thingsBy, thingsOf, type Things } from '../kinds/thing.ts';
import { changeWire, type Change } from '../wire/change.ts';
import type { LineWire } from '../wire/line.ts';
import { JOB_FILE_LIMIT, jobOfFile } from './job-file.ts';
import { jobFileOf, type JobInside } from './job-file-text.ts';

let made = 0;
const newId = () => `01a00000-0000-7000-8000-${String((made += 1)).padStart(12, '0')}`;
const id = (n: number) => `01900000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const line = (n: number, source: string, more: Partial<LineWire> = {}): LineWire => ({
  ...{ id: id(n), kind: 'worked', number: n, position: `a${n}`, source, label: null, note: '', revision: n },
  deleted: false,
  ...more,
});
const thing = (n: number, content: object): Thing => ({ id: id(n), revision: n, deleted: false, ...content });
const item = (n: number, more: object) => thing(n, { ...NEW_ITEM, position: `a${n % 10}`, ...more });
const [decking] = SHIPPED_JIGS;
const jigs = (n: number) =>
  decking &&
  thing(n, {
    jig: decking.id,
    version: 1,
    name: 'decking',
    title: 'Boards',
    file: jigFileOf({ jig: decking, uses: [] }),
  });

/** A job with something of every kind, and every kind of reference. */
const things: Things = thingsBy(
  (kind) =>
    ({
      mark: [thing(40, { name: 'rail' }), thing(41, { name: 'Rail' }), thing(42, { name: 'gone', deleted: true })],
      scale: [thing(50, { name: 'Old drawings', kind: 'sizes', paper: '1/4"', site: `@{${id(40)}}` })],
      setout: [
        thing(61, {
          name: 'Ring',
          shape: 'polygon',
          answer: '',
          fields: ['sides', 'flats'],
          entries: ['8', `#{${id(1)}}`],
        }),
        thing(60, { name: 'Ring', shape: 'polygon', answer: '', fields: ['sides'], entries: [`%{${id(99)}}(2)`] }),
      ],
      section: [thing(70, { name: 'Deck', position: 'a1' })],
      version: [thing(75, { name: 'Oak', position: 'a1' })],
      tax: [thing(77, { name: 'Sales', rate: '8%', position: 'a1' })],
      item: [
        item(82, { name: 'Joists', length: `@{${id(81)}} * 2`, section: id(999) }),
        item(81, { name: 'Deck boards', section: id(70), tax: id(77), versions: [id(75)], count: '#{{12}' }),
      ],
      jig: [jigs(99)].filter((one) => one !== undefined),
      timber: [],
    })[kind] ?? [],
);
const job: JobInside = {
  fields: { title: 'Shed', ...NEW_JOB, tags: ['roof'], currency: '€' },
  reading: { length: 'ft-in', finest: 16, metricStep: '1/2', rounding: 'nearest', fractions: 'lowest' },
  lines: [
    line(3, `@{${id(40)}} = #{${id(1)}} - #{${id(2)}} + @{${id(41)}} + @{${id(42)}}`, { label: 'rail' }),
    line(1, `26' 4"`, { note: 'taped' }),
    line(2, `#{${id(8)}} + 1"`, { deleted: true, position: 'a0' }),
    line(4, '', { kind: 'heading', number: null, label: 'Roof' }),
    line(8, `3"`, { deleted: true }),
  ],
  things,
};

/** What a job that was made of a file is on its device, before and after the server has it. */
function madeOf(text: string, isSent: boolean): JobInside {
  const read = jobOfFile(text, newId);
  if (!read.ok) throw new Error(`${read.problem.place}: ${read.problem.sentence}`);
  const changes = copyOfJob(read.value, read.value.title, newId);
  expect(changes.map((change) => changeWire.safeParse(change).error?.issues[0]).filter(Boolean)).toEqual([]);
  const revision = (at: number) => (isSent ? at + 1 : 0);
  const lines = changes.flatMap((change, at): LineWire[] => {
    if (change.kind !== 'line.add' && change.kind !== 'line.words') return [];
    const { lineId, position, source, label, note } = change;
    const kind = change.kind === 'line.add' ? 'worked' : change.words;
    const number = change.kind === 'line.add' ? change.number : null;
    const deleted = changes.some((one) => one.kind === 'line.delete' && one.lineId === lineId);
    return [{ id: lineId, kind, number, position, source, label, note, revision: revision(at), deleted }];
  });
  const added = (kind: string) =>
    changes.flatMap((change: Change, at): Thing[] =>
      change.kind === 'thing.add' && change.of === kind
        ? [{ ...change.content, id: change.thingId, revision: revision(at), deleted: false }]
        : [],
    );
  return { fields: read.value, reading: read.value.reading, lines, things: thingsBy(added) };
}

const text = jobFileOf(job);
type Loose = Record<string, unknown> & {
  slate: Record<string, unknown>[];
  items: Record<string, unknown>[];
  marks: object[];
};
const changed = (change: (json: Loose) => void) => {
  const json = JSON.parse(text) as Loose;
  change(json);
  return JSON.stringify(json);
};

describe('a job file', () => {
  it('names what entries refer to by keys that a person can read', () => {
    const json = JSON.parse(text) as Loose & { setOuts: { key: string }[]; scales: object[] };
    expect(json.slate.map(({ kind, number, entry, deleted }) => [number ?? kind, entry, deleted])).toEqual([
      [2, '#{} + 1"', true],
      [1, `26' 4"`, undefined],
      [3, '@{rail} = #{1} - #{2} + @{rail_2} + @{}', undefined],
      ['heading', undefined, undefined],
    ]);
    expect(json.marks).toEqual([
      { key: 'rail', name: 'rail' },
      { key: 'rail_2', name: 'Rail' },
    ]);
    expect(json.scales).toEqual([
      { key: 'old_drawings', name: 'Old drawings', kind: 'sizes', paper: '1/4"', site: '@{rail}' },
    ]);
    expect(json.setOuts.map(({ key }) => key)).toEqual(['ring', 'ring_2']);
    expect(
      json.items.map(({ key, length, section, tax, versions, count }) => [key, length, section, tax, versions, count]),
    ).toEqual([
      ['deck_boards', '', 'deck', 'sales', ['oak'], '#{{{12}'],
      ['joists', '@{items.deck_boards} * 2', '', null, [], ''],
    ]);
    expect(text).not.toContain(id(1).slice(0, 30));
  });

  it('gives the same bytes when a job was made of it, before the server has that and after', () => {
    for (const isSent of [false, true]) {
      const again = madeOf(text, isSent);
      expect(jobFileOf(again)).toBe(text);
      expect(jobFileOf(madeOf(jobFileOf(again), !isSent))).toBe(text);
    }
  });

  it('is the same however the job came: in any order, with another order of fields', () => {
    const turned = thingsBy((kind) =>
      [...(things[kind] ?? [])].reverse().map((one) => Object.fromEntries(Object.entries(one).reverse()) as Thing),
    );
    expect(jobFileOf({ ...job, lines: [...job.lines].reverse(), things: turned })).toBe(text);
  });

  it('reads one that lacks the kinds that its Sprell did not know', () => {
    const read = jobOfFile(
      changed((json) => {
        delete json['timbers'];
        delete json['jigs'];
        (json['setOuts'] as unknown[]).shift();
      }),
      newId,
    );
    expect(read.ok && thingsOf(read.value)['jig']).toEqual([]);
  });

  it.each<[string, string, string, RegExp]>([
    ['nothing', '', '', /not JSON/],
    ['half of one', text.slice(0, 900), '', /may be damaged/],
    ['another thing', '{"a":1}', 'sprell', /no job file/],
    ['a jig', '{"sprell":"jig","format":1}', 'sprell', /room “Jigs”/],
    ['a list', '[]', 'sprell', /no job file/],
    ['one of a newer Sprell', changed((json) => (json['format'] = 9)), 'format', /newer Sprell/],
    ['one with something more', changed((json) => (json['script'] = 'x')), '', /“script”/],
    ['__proto__', text.replace('"format"', '"__proto__":{"x":1},"format"'), '', /“__proto__”/],
    [
      '__proto__ in a line',
      text.replace('"kind": "worked"', '"__proto__":{},"kind": "worked"'),
      'slate.0',
      /“__proto__”/,
    ],
    ['nesting without end', '['.repeat(200_000), '', /not JSON|no job file/],
    ['deep in its tags', text.replace('"roof"', `${'['.repeat(5000)}${']'.repeat(5000)}`), 'tags.0', /text/],
    ['more than there is room for', ' '.repeat(JOB_FILE_LIMIT + 1), '', /at most/],
    [
      'an entry of a wrong type',
      changed((json) => (json.slate[1] = { ...json.slate[1], entry: 7 })),
      'slate.1.entry',
      /text/,
    ],
    [
      'a line of no kind',
      changed((json) => (json.slate[1] = { kind: 'sum' })),
      'slate.1.kind',
      /not what a job file has/,
    ],
    [
      'two lines of a number',
      changed((json) => (json.slate[1] = { ...json.slate[1], number: 3 })),
      'slate.2.number',
      /two lines of the number 3/,
    ],
    [
      'two marks of a key',
      changed((json) => json.marks.push({ key: 'rail', name: 'x' })),
      'marks.2.key',
      /two of the key “rail”/,
    ],
    ['a mark with a space', changed((json) => json.marks.push({ key: 'x', name: 'a b' })), 'marks.2.name', /not what/],
    [
      'a line that is not there',
      changed((json) => (json.slate[1] = { ...json.slate[1], entry: '#{77}' })),
      'slate.1.entry',
      /“#\{77\}” names/,
    ],
    [
      'a row that is not there',
      changed((json) => (json.items[1] = { ...json.items[1], length: '@{items.x}' })),
      'items.1.length',
      /names something/,
    ],
    [
      'a section that is not there',
      changed((json) => (json.items[1] = { ...json.items[1], section: 'x' })),
      'items.1.section',
      /no “x” among the sections/,
    ],
    [
      'a line that uses itself',
      changed((json) => (json.slate[1] = { ...json.slate[1], entry: '#{1} + 1' })),
      'slate.1.entry',
      /#1 uses itself/,
    ],
    [
      'a circle',
      changed((json) => (json.slate[1] = { ...json.slate[1], entry: '#{3} + 1' })),
      'slate.2.entry',
      /#1, #3|#3, #1/,
    ],
    [
      'a jig by hand',
      changed((json) => Object.assign((json['jigs'] as object[])[0] ?? {}, { file: '{"sprell":"jig"}' })),
      'jigs.0',
      /jig file that stands here/,
    ],
    [
      'a measure that is none',
      changed((json) => Object.assign(json.items[0] ?? {}, { measure: 'acre' })),
      'items.0.measure',
      /not what/,
    ],
    ['too many tags', changed((json) => (json['tags'] = Array(50).fill('a'))), 'tags', /more than 12/],
  ])('refuses %s, at its place', (_, bad, place, says) => {
    const read = jobOfFile(bad, newId);
    expect(read.ok ? '' : read.problem.place).toBe(place);
    expect(read.ok ? '' : read.problem.sentence).toMatch(says);
    expect(({} as Record<string, unknown>)['x']).toBeUndefined();
  });

  it('takes a long chain of lines, and a long circle, without running out of room', () => {
    const chain = (last: string) =>
      changed((json) => {
        json.slate = Array.from({ length: 40_000 }, (_, at) => ({
          ...{ kind: 'worked', number: at + 1, label: null, note: '' },
          entry: at === 0 ? last : `#{${at}} + 1`,
        }));
        for (const list of ['scales', 'setOuts', 'items']) json[list] = [];
      });
    expect(jobOfFile(chain('1'), newId).ok).toBe(true);
    const read = jobOfFile(chain('#{40000}'), newId);
    expect(read.ok ? '' : read.problem.sentence).toContain('in a circle');
    expect((read.ok ? '' : read.problem.sentence).length).toBeLessThan(400);
  });
});
