import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { comparePlaces, isPlace, positionBetween, positionsBetween } from './position.ts';
import { positionWire } from './wire/position.ts';

describe('places on the slate', () => {
  it('finds a place between any two, again and again, that the wire takes', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(), { minLength: 1, maxLength: 60 }), (choices) => {
        const keys = positionsBetween(undefined, undefined, 2);
        for (const choice of choices) {
          const at = choice % (keys.length + 1);
          keys.splice(at, 0, positionBetween(keys[at - 1], keys[at]));
        }
        expect([...keys].sort()).toEqual(keys);
        expect(new Set(keys).size).toBe(keys.length);
        for (const key of keys) expect([positionWire.safeParse(key).success, isPlace(key)]).toEqual([true, true]);
      }),
    );
  });

  it('finds several between two at once, in order', () => {
    const [first, last] = positionsBetween(undefined, undefined, 2) as [string, string];
    const between = positionsBetween(first, last, 5);
    expect(between).toHaveLength(5);
    expect([first, ...between, last].sort()).toEqual([first, ...between, last]);
    expect([last, ...positionsBetween(last, undefined, 2)].sort()[0]).toBe(last);
    expect([first, ...positionsBetween(undefined, first, 2)].sort()[2]).toBe(first);
  });

  it('knows a key made by hand that nothing could be put beside', () => {
    for (const key of ['zz', 'a', 'a00', '00', 'A0']) expect([key, isPlace(key)]).toEqual([key, false]);
  });

  it('settles equal keys by id, the same on every device', () => {
    expect(comparePlaces({ position: 'a1', id: '1' }, { position: 'a1', id: '2' })).toBe(-1);
    expect(comparePlaces({ position: 'a1', id: '2' }, { position: 'a1', id: '1' })).toBe(1);
    expect(comparePlaces({ position: 'a1', id: '1' }, { position: 'a0', id: '2' })).toBe(1);
    expect(comparePlaces({ position: 'Zz', id: '2' }, { position: 'a0', id: '1' })).toBe(-1);
    expect(comparePlaces({ position: 'a1', id: '1' }, { position: 'a1', id: '1' })).toBe(0);
  });
});
