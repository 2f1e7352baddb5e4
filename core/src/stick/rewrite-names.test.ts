import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { reckon } from '../evaluate/reckon.ts';
import type { Scope } from '../evaluate/scope.ts';
import { EMPTY_SCOPE } from '../evaluate/scope.ts';
import { equalValue } from '../number/value.ts';
import { makeRational } from '../number/rational.ts';
import { quantityIn } from '../units/quantity.ts';
import { unitById } from '../units/unit-table.ts';
import { renamedIn, valueForMark, withoutAssignment } from './rewrite-names.ts';

describe('a mark called otherwise', () => {
  it.each([
    ['rail * 8', 'stile * 8'],
    ['RAIL+Rail', 'stile+stile'],
    ['2 rail / 3', '2 stile / 3'],
    ['rail = 4\' 2"', 'stile = 4\' 2"'],
    ['rail += 2"', 'stile += 2"'],
    ['rail: rail + top_rail + rail2', 'rail: stile + top_rail + rail2'],
    ["top rail: 5'", "top rail: 5'"],
    ['railing', 'railing'],
    ['max(rail; #3) to mm', 'max(stile; #3) to mm'],
    ['rail +', 'stile +'],
    ['', ''],
  ])('%s', (source, renamed) => {
    expect(renamedIn(source, 'rail', 'stile')).toBe(renamed);
  });
});

const RAIL: Scope = {
  ...EMPTY_SCOPE,
  mark: (name) => (name === 'rail' ? { ok: true, quantity: quantityIn(makeRational(50), unitById('in')) } : undefined),
};

describe('the value of a mark that goes', () => {
  it.each([
    ['rail * 8', `(4' 2") * 8`],
    ['2 rail', `2 (4' 2")`],
    ['rail - rail / 3', `(4' 2") - (4' 2") / 3`],
    ['post = rail + 1"', `post = (4' 2") + 1"`],
    ['rail += 2"', 'rail += 2"'],
    ['rail =', `(4' 2") =`],
  ])('stands in %s', (source, written) => {
    expect(valueForMark(source, 'rail', `4' 2"`)).toBe(written);
  });

  it('comes to the same whatever the sum around it', () => {
    const sum = fc
      .array(
        fc.tuple(
          fc.constantFrom(' + ', ' - '),
          fc.constantFrom('rail', 'rail * 3', '2 rail', 'rail / 4', '1/2 rail', `3"`),
        ),
        {
          minLength: 1,
          maxLength: 6,
        },
      )
      .map((parts) => `1'${parts.flat().join('')}`);
    fc.assert(
      fc.property(sum, (source) => {
        const [one, other] = [source, valueForMark(source, 'rail', `4' 2"`)].map(
          (text) => reckon(text, { scope: RAIL }).outcome,
        );
        if (one?.kind !== 'quantity' || other?.kind !== 'quantity') throw new Error(source);
        expect(equalValue(one.quantity.value, other.quantity.value)).toBe(true);
      }),
    );
  });
});

describe('a line that no longer makes its mark', () => {
  it.each([
    [`rail = 4' 2"`, `4' 2"`],
    [`top rail: rail = 4' 2" * 2`, `top rail: 4' 2" * 2`],
    ['rail += 2"', '2"'],
    [`4' 2"`, `4' 2"`],
    ['rail * 2', 'rail * 2'],
    ['rail == 2"', 'rail == 2"'],
    ['rail =', 'rail ='],
  ])('%s', (source, left) => {
    expect(withoutAssignment(source)).toBe(left);
  });
});
