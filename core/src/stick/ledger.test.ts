import { describe, expect, it } from 'vitest';
import { readQuantity } from '../reading/read-quantity.ts';
import type { LineResult } from '../slate/node.ts';
import { Slate } from '../slate/slate.ts';
import { ledgerOf, type Ledger } from './ledger.ts';

const aLine = (number: number, source: string) => ({
  id: `line-${number}`,
  number,
  position: `a${`${number}`.padStart(3, '0')}`,
  source,
});
function aSlate(...sources: readonly string[]): Slate {
  const slate = new Slate();
  slate.load(sources.map((source, index) => aLine(index + 1, source)));
  return slate;
}
const says = (result: LineResult | undefined) =>
  result?.ok === true && result.quantity
    ? readQuantity(result.quantity).text
    : result?.ok === false && result.issue.code;
const numbers = (lines: Ledger['postings'] | Ledger['before']) => lines.map(({ line: { number } }) => number);

describe('the ledger of a mark', () => {
  it('lists base, postings with their amounts, and what uses the mark', () => {
    const slate = aSlate(`5'`, 'Rail = #1 * 2', 'rail += 2"', 'rail * 2', 'RAIL -= #1', 'post = rail');
    const ledger = ledgerOf(slate, 'rAIL');
    expect(ledger?.name).toBe('Rail');
    expect(says(ledger?.result)).toBe('5′ 2″');
    expect([ledger?.base?.line.number, says(ledger?.base?.amount), ledger?.base?.isLive]).toEqual([2, '10′', true]);
    expect(
      ledger?.postings.map(({ operator, amount, after, isLive }) => [operator, says(amount), says(after), isLive]),
    ).toEqual([
      ['add', '2″', '10′ 2″', false],
      ['subtract', '5′', '5′ 2″', true],
    ]);
    expect(ledger?.users.map(({ number }) => number)).toEqual([4, 6]);
  });

  it('begins again where the mark was written over, and keeps the old values', () => {
    const ledger = ledgerOf(
      aSlate(`a1 = 1'`, 'a1 += 1"', `a1 = 2'`, 'a1 += 3"', `a1 = 4'`, 'a1 -= 1"'),
      'a1',
    ) as Ledger;
    expect(says(ledger.result)).toBe('3′ 11″');
    expect(ledger.base?.line.number).toBe(5);
    expect(numbers(ledger.postings)).toEqual([6]);
    expect(numbers(ledger.before)).toEqual([1, 3]);
  });

  it('follows its sources when they change, and a posting that is deleted', () => {
    const slate = aSlate(`5'`, 'rail = #1', 'rail += 2"', 'rail += 3"');
    slate.put(aLine(1, `6'`));
    expect(says(ledgerOf(slate, 'rail')?.result)).toBe('6′ 5″');
    slate.remove('line-3');
    expect(says(ledgerOf(slate, 'rail')?.result)).toBe('6′ 3″');
    slate.put(aLine(3, 'rail += 2"'));
    expect(numbers(ledgerOf(slate, 'rail')?.postings ?? [])).toEqual([3, 4]);
  });

  it('says what is wrong: an unlike kind posted, a posting to nothing, a source that is gone', () => {
    const unlike = ledgerOf(aSlate(`rail = 5'`, 'rail += 2 sq ft'), 'rail');
    expect([says(unlike?.result), says(unlike?.postings[0]?.amount)]).toEqual(['kind.add', '2 sq ft']);
    const alone = ledgerOf(aSlate('rail += 2"'), 'rail');
    expect([alone?.base, says(alone?.result)]).toEqual([undefined, 'name.unknown']);
    expect(says(ledgerOf(aSlate('rail = #9'), 'rail')?.base?.amount)).toBe('line.unknown');
    expect(says(ledgerOf(aSlate('rail = rail + 1"'), 'rail')?.base?.amount)).toBe('line.circle');
    expect(ledgerOf(aSlate('rail * 2'), 'rail')).toBeUndefined();
    expect(ledgerOf(aSlate(`5'`), 'none')).toBeUndefined();
  });
});
