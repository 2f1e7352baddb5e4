import { describe, expect, it } from 'vitest';
import { termsOf } from '../number/radical.ts';
import { isExact, valueToNumber, type Value } from '../number/value.ts';
import { rationalToText } from '../number/rational.ts';
import { goldenRows } from '../testing/golden.ts';
import { kindOf } from '../units/dimension.ts';
import { reckon } from './reckon.ts';

/** A value as the table writes it: terms with √ as r and π as p, those with roots last. */
function termsText(value: Value): string {
  if (!isExact(value)) return '≈';
  const terms = termsOf(value).map(({ coefficient, radicand, piPower }) =>
    [rationalToText(coefficient), radicand === 1n ? '' : `r${radicand}`, piPower === 0 ? '' : `p${piPower}`]
      .filter((part) => part !== '')
      .join(' '),
  );
  return terms.length === 0 ? '0' : terms.join(' + ');
}

const rows = goldenRows('entries.tsv') as readonly (readonly [string, string, string, string, string, string])[];

describe.each([...new Set(rows.map(([section]) => section))])('golden: %s', (section) => {
  it.each(rows.filter((row) => row[0] === section))('%s: %s', (_, entry, kind, value, reading, readBack) => {
    const reckoned = reckon(entry);
    expect(reckoned.issue).toBeUndefined();
    const { outcome } = reckoned;
    if (outcome?.kind === 'quantity') {
      expect(kindOf(outcome.quantity.dimension)).toBe(kind);
      if (value.startsWith('≈')) {
        expect(outcome.quantity.value.kind).toBe('approximate');
        const wanted = Number(value.slice(1));
        expect(Math.abs(valueToNumber(outcome.quantity.value) - wanted)).toBeLessThanOrEqual(Math.abs(wanted) * 4e-16);
      } else expect(termsText(outcome.quantity.value)).toBe(value);
    } else expect(['answer', outcome?.yes ? 'yes' : 'no']).toEqual([kind, value]);
    if (reading !== '') expect(reckoned.reading?.text).toBe(reading);
    if (readBack !== '') expect(reckoned.readBack).toBe(readBack);
  });
});

it('has 400 rows and more', () => {
  expect(rows.length).toBeGreaterThanOrEqual(400);
});
