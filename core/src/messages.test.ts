import { describe, expect, it } from 'vitest';
import type { Scope } from './evaluate/scope.ts';
import { reckon } from './evaluate/reckon.ts';
import { describeIssue, ISSUE_CODES } from './messages.ts';
import { mended } from './mend/mend.ts';
import { makeRational } from './number/rational.ts';
import { goldenRows } from './testing/golden.ts';
import { quantityIn } from './units/quantity.ts';
import { unitById } from './units/unit-table.ts';

const inches = (n: number) => ({ ok: true, quantity: quantityIn(makeRational(n), unitById('in')) }) as const;
const LINES = [inches(60), { ok: false, line: 2 }, inches(2)] as const;
/** As the head of the table says. */
const SCOPE: Scope = {
  mark: (name) => (name === 'rail' ? inches(50) : undefined),
  line: (number) => LINES[number - 1],
  run: (from, to) => (from > to || to > 3 ? undefined : LINES.slice(from - 1, to)),
  last: () => inches(2),
  names: () => ['rail'],
};

const rows = goldenRows('issues.tsv') as readonly (readonly [string, string, string, string])[];
/** Codes that no single entry brings about: they come of the slate. */
const OF_THE_SLATE = ['line.circle', 'mark.failed', 'last.none', 'run.empty', 'entry.too_long'];
/** Codes of the story stick, the scale rule, take-offs, tables and jigs, whose own tests bring them about. */
const ELSEWHERE = [
  'name.shape',
  'name.too_long',
  'name.in_use',
  'scale.ratio',
  'scale.not_length',
  'scale.zero',
  'scale.kind',
  'rod.too_long',
  'row.missing',
  'row.kind',
  'row.sizes',
  'row.nothing',
  'row.rate',
  'row.price',
  'row.no_pack',
  'row.longer',
  'row.circle',
  'timber.no_size',
  ...['answer_unknown', 'input_unknown', 'input_twice', 'input_more', 'input_missing', 'input_kind'].map(
    (what) => `jig.${what}`,
  ),
  ...['input_whole', 'input_low', 'input_high', 'step_failed', 'answer_no_value'].map((what) => `jig.${what}`),
  ...['repeat_whole', 'repeat_none', 'repeat_long', 'too_long'].map((what) => `jig.${what}`),
  ...['no_answer', 'steps_many', 'uses_mark', 'uses_line', 'step_later', 'assigns', 'name_twice'].map(
    (what) => `jig.${what}`,
  ),
  ...['circle', 'unit', 'unit_missing', 'not_fixed', 'field_kind', 'check_answer', 'check_inputs'].map(
    (what) => `jig.${what}`,
  ),
];

describe('an entry that cannot be reckoned', () => {
  it.each(rows)('%s is refused with %s at "%s"', (entry, code, place, fixes) => {
    const issue = mended(reckon(entry, { scope: SCOPE }), { scope: SCOPE });
    expect(issue?.code).toBe(code);
    if (issue === undefined) return;
    expect(entry.slice(issue.start, issue.end).trim()).toBe(place.trim());
    expect(issue.fixes.map((fix) => fix.entry).join(' | ')).toBe(fixes);
    for (const fix of issue.fixes) expect(fix.label).not.toBe('');
    const sentence = describeIssue(issue);
    // A capital letter first, and what was typed between quotes.
    expect(sentence).toMatch(/^[\p{Lu}“].*[.]$/u);
    expect(sentence).not.toMatch(/undefined|NaN|Infinity|\[object/);
  });

  it('has a sentence and an example for every code', () => {
    const shown = new Set([...rows.map(([, code]) => code), ...OF_THE_SLATE, ...ELSEWHERE]);
    expect([...ISSUE_CODES].filter((code) => !shown.has(code))).toEqual([]);
    expect([...shown].filter((code) => !(ISSUE_CODES as readonly string[]).includes(code))).toEqual([]);
  });

  it('that is too long says how long one may be, and keeps what was typed', () => {
    const { issue, parsed } = reckon(`5' + ${'1" + '.repeat(200)}1"`);
    expect(issue).toMatchObject({ code: 'entry.too_long', start: 500 });
    expect(parsed.source).toHaveLength(5 + 1000 + 2);
  });

  it('names the line that it means, by its number', () => {
    const sentence = (entry: string) => {
      const { issue } = reckon(entry, { scope: SCOPE });
      return issue && describeIssue(issue);
    };
    expect(sentence('sum(#1..#3)')).toBe('Line #2 has no result to use; mend it first.');
    expect(sentence('#2 + 1"')).toBe('Line #2 has no result to use; mend it first.');
    expect(sentence('#99999999999999999999')).toMatch(/^There is no line of so high a number/);
  });

  it('quotes what was typed', () => {
    const sentence = (entry: string) => {
      const { issue } = reckon(entry, { scope: SCOPE });
      return issue && describeIssue(issue);
    };
    expect(sentence('6 and 3')).toMatch(/^“and” and “3” have nothing between them/);
    expect(sentence(`9' to banana`)).toMatch(/“banana”/);
    expect(sentence('5 to 3 kg')).toMatch(/^A plain number cannot be read in “3 kg”/);
  });

  it('offers fixes that mend: each reckons, or is one step nearer', () => {
    for (const [entry, , , fixes] of rows)
      for (const fix of fixes === '' ? [] : fixes.split(' | ')) {
        const mended = reckon(fix, { scope: SCOPE });
        const before = reckon(entry, { scope: SCOPE }).issue;
        expect(
          mended.issue === undefined || mended.issue.code !== before?.code || mended.issue.start !== before.start,
          `${entry} → ${fix}`,
        ).toBe(true);
      }
  });
});
