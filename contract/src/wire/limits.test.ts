import { LIMITS } from '@sprell/core';
import { describe, expect, it } from 'vitest';
import { BATCH_LIMIT, BODY_BYTES, BODY_VALUES } from '../batch-limit.ts';
import { askReset, changePassword, signOut } from '../endpoints/account.ts';
import { sendChanges } from '../endpoints/jobs.ts';
import { KINDS } from '../kinds/registry.ts';
import { PROBLEMS } from '../problem.ts';
import { LABEL_LIMIT } from '../text.ts';
import { changeWire, unfitWire } from './change.ts';

const ID = '01900000-0000-7000-8000-000000000001';
const line = { id: ID, kind: 'line.add', lineId: ID, number: 1, position: 'a0', source: '5', label: null, note: '' };
const scale = { kind: 'sizes', paper: '1/4"', site: `1'`, name: null };
const setOut = { name: 'Gable', shape: 'circle', answer: '', fields: ['rise'], entries: ['5'] };
const scaled = (more: object) => ({
  id: ID,
  kind: 'thing.add',
  of: 'scale',
  thingId: ID,
  content: { ...scale, ...more },
});
const drawn = (more: object) => ({
  id: ID,
  kind: 'thing.add',
  of: 'setout',
  thingId: ID,
  content: { ...setOut, ...more },
});
const text = (length: number) => 'x'.repeat(length);
const names = (count: number) => Array.from({ length: count }, (_, n) => `field${n}`);
const entries = (count: number) => names(count).map(() => '5');
const reading = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };

/** What may be so long and no longer. */
const TEXTS: readonly (readonly [string, number, (length: number) => object])[] = [
  ['an entry', LIMITS.characters * 40, (length) => ({ ...line, source: text(length) })],
  ['a label', LABEL_LIMIT, (length) => ({ ...line, label: text(length) })],
  ['a note', 2000, (length) => ({ ...line, note: text(length) })],
  ['a number', 2_000_000_000, (number) => ({ ...line, number })],
  ['a size on paper', LIMITS.characters, (length) => scaled({ paper: text(length) })],
  ['a size on site', LIMITS.characters, (length) => scaled({ site: text(length) })],
  ['the name of a scale', 120, (length) => scaled({ name: text(length) })],
  ['the name of a setting-out', 120, (length) => drawn({ name: text(length) })],
  ['the name of a shape', 40, (length) => drawn({ shape: text(length) })],
  ['which of several shapes', 120, (length) => drawn({ answer: text(length) })],
  ['a field', 32, (length) => drawn({ fields: [text(length)] })],
  ['what is in a field', LIMITS.characters * 40, (length) => drawn({ entries: [text(length)] })],
  ['the fields', 60, (count) => drawn({ fields: names(count), entries: entries(count) })],
  [
    'the name of a mark',
    LIMITS.characters,
    (length) => ({ ...scaled({}), of: 'mark', content: { name: text(length) } }),
  ],
  ['the title of a job', 120, (length) => ({ id: ID, kind: 'job.add', title: text(length), reading })],
];

describe('at its limit and one over', () => {
  it.each(TEXTS)('%s', (_, limit, change) => {
    expect(changeWire.safeParse(change(limit)).success).toBe(true);
    expect(changeWire.safeParse(change(limit + 1)).success).toBe(false);
  });

  it.each([
    ['a size on paper', scaled({ paper: '' })],
    ['a size on site', scaled({ site: ' ' })],
    ['the name of a scale', scaled({ name: '' })],
    ['the name of a setting-out', drawn({ name: '' })],
    ['the name of a mark', { ...scaled({}), of: 'mark', content: { name: '' } }],
    ['a name of two words', { ...scaled({}), of: 'mark', content: { name: 'top rail' } }],
    ['the title of a job', { id: ID, kind: 'job.add', title: '', reading }],
    ['a number', { ...line, number: 0 }],
  ])('%s is not taken where it says nothing', (_, change) => {
    expect(changeWire.safeParse(change).success).toBe(false);
  });

  it.each([
    ['a size on paper', scaled({ paper: '1' })],
    ['the name of a scale', scaled({ name: 'A' })],
    ['the name of a setting-out', drawn({ name: 'A' })],
    ['the name of a shape', drawn({ shape: 'a' })],
    ['a field', drawn({ fields: ['a'] })],
    ['the name of a mark', { ...scaled({}), of: 'mark', content: { name: 'a' } }],
    ['the title of a job', { id: ID, kind: 'job.add', title: 'A', reading }],
    ['a number', { ...line, number: 1 }],
    ['a label', { ...line, label: 'a' }],
  ])('%s may be as short as one sign', (_, change) => {
    expect(changeWire.safeParse(change).success).toBe(true);
  });

  it('a batch is of one change at least', () => {
    expect(sendChanges.body.safeParse({ changes: [line] }).success).toBe(true);
    expect(sendChanges.body.safeParse({ changes: [] }).success).toBe(false);
  });

  it('what only reports that it is done reports nothing else', () => {
    for (const { response } of [signOut, changePassword, askReset]) {
      expect(response.safeParse({ done: true }).success).toBe(true);
      expect(response.safeParse({ done: false }).success).toBe(false);
    }
  });

  it('a change is refused with what is wrong in it', () => {
    expect(unfitWire.parse({ ...line, label: text(LABEL_LIMIT + 1) }).problem).toMatch(/^label: \S/);
    expect(unfitWire.parse({ ...line, [text(400)]: 1 }).problem.length).toBeLessThanOrEqual(300);
  });

  it('is what people and other programs were promised', () => {
    expect([LABEL_LIMIT, BATCH_LIMIT, BODY_VALUES, BODY_BYTES]).toEqual([500, 2000, 40_000, 4_000_000]);
    expect(KINDS.map(({ name, most }) => [name, most])).toEqual([
      ['mark', 5000],
      ['scale', 500],
      ['setout', 1000],
      ['section', 500],
      ['version', 20],
      ['tax', 20],
      ['item', 10_000],
      ['jig', 2000],
      ['timber', 500],
    ]);
    // As HTTP has them (RFC 9110, 15): clients that know no code of ours go by them.
    expect(PROBLEMS).toEqual({
      'request.invalid': 400,
      'request.not_json': 400,
      'request.too_large': 413,
      'request.foreign': 403,
      'request.too_many': 429,
      'account.needed': 401,
      'account.wrong': 401,
      'account.email_taken': 409,
      'password.weak': 400,
      'account.claimed': 409,
      'code.unknown': 404,
      'password.needed': 409,
      'job.read_only': 403,
      'job.not_owner': 403,
      'job.not_found': 404,
      'job.full': 409,
      'job.restored': 409,
      'account.full': 409,
      'route.not_found': 404,
      'server.unavailable': 503,
      'server.failed': 500,
    });
  });

  it('a batch', () => {
    const batch = (count: number) => ({ changes: Array.from({ length: count }, () => line) });
    expect(sendChanges.body.safeParse(batch(BATCH_LIMIT)).success).toBe(true);
    expect(sendChanges.body.safeParse(batch(BATCH_LIMIT + 1)).success).toBe(false);
    expect(sendChanges.body.safeParse(batch(0)).success).toBe(false);
  });
});
