import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BATCH_LIMIT, batchSize, BODY_BYTES, BODY_VALUES } from './batch-limit.ts';

const values = (value: unknown): number =>
  typeof value === 'object' && value !== null
    ? Object.values(value).reduce<number>((sum, one) => sum + values(one), 1)
    : 1;

describe('the size of a batch', () => {
  it('is all there is, up to the limit', () => {
    expect(batchSize([])).toBe(0);
    expect(batchSize([{ id: 1 }])).toBe(1);
    expect(batchSize(Array.from({ length: BATCH_LIMIT + 5 }, () => ({ id: 1 })))).toBe(BATCH_LIMIT);
  });

  it('is one at the least, however large that is', () => {
    expect(batchSize([{ text: 'x'.repeat(BODY_BYTES) }, { id: 1 }])).toBe(1);
    expect(batchSize([{ id: 1 }, { text: 'x'.repeat(BODY_BYTES) }])).toBe(1);
  });

  it('takes a quarter of the bytes in characters, each of which may take several', () => {
    const change = { text: 'x'.repeat(450_000) };
    expect(batchSize([change, change, change])).toBe(2);
  });

  it('leaves room for what stands around the changes', () => {
    const change = { fields: Array.from({ length: 2100 }, () => '') };
    const changes = Array.from({ length: 20 }, () => change);
    const count = batchSize(changes);
    expect(values({ changes: changes.slice(0, count) })).toBeLessThanOrEqual(BODY_VALUES - 3_000);
    expect(values({ changes: changes.slice(0, count + 2) })).toBeGreaterThan(BODY_VALUES - 3_000);
  });

  it('is never more than the server reads at once', () => {
    const change = fc.oneof(
      fc.record({ text: fc.nat(3000).map((length) => 'ö,['.repeat(length)) }),
      fc.record({ fields: fc.nat(120).map((length) => Array.from({ length }, () => '')) }),
      fc.record({ id: fc.uuid(), base: fc.nat() }),
    );
    fc.assert(
      fc.property(fc.array(change, { minLength: 1, maxLength: 300 }), fc.constantFrom(1, 7, 20), (some, times) => {
        const changes = Array.from({ length: times }, () => some).flat();
        const sent = changes.slice(0, batchSize(changes));
        expect(sent.length).toBeGreaterThan(0);
        expect(values({ changes: sent })).toBeLessThanOrEqual(BODY_VALUES);
        // A character takes three bytes at the most in UTF-8; what takes four is two of them here.
        expect(3 * JSON.stringify({ changes: sent }).length).toBeLessThanOrEqual(BODY_BYTES);
      }),
      { numRuns: 40 },
    );
  });
});
