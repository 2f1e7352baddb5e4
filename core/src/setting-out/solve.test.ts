import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LIMITS } from '../notation/operators.ts';
import { reckon } from '../evaluate/reckon.ts';
import { valueToNumber } from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { describeShapeIssue } from '../shape-messages.ts';
import { GOLDEN_SHAPES } from '../testing/golden-shapes.ts';
import { shape, solved } from '../testing/solved.ts';
import { fieldEntry } from './read-field.ts';
import { solve, type Givens } from './solve.ts';
import type { Answer, Known } from './solver.ts';

/** Fields as they read, of one answer. */
const readings = ({ known }: Answer, ...ids: readonly string[]) =>
  ids.map((id) => known[id] && readQuantity(known[id].quantity).text);

describe('a shape', () => {
  it.each(GOLDEN_SHAPES)('%s from %j', (id, given, expected) => {
    const { answers, wanted, contradiction, impossible } = solved(id, given);
    expect([wanted, contradiction, impossible]).toEqual([[], undefined, undefined]);
    expect(answers.map((answer, at) => readings(answer, ...Object.keys(expected[at] ?? {})))).toEqual(
      expected.map((one) => Object.values(one)),
    );
    for (const { figure } of answers) expect(figure?.parts.length).toBeGreaterThan(2);
  });

  it('says what is still wanted, the least first, and works out meanwhile what it can', () => {
    expect(solved('right-triangle', { rise: `9'` }).wanted).toEqual([['run'], ['diagonal'], ['pitch']]);
    expect(solved('triangle', { A: '40°', B: '60°' }).wanted).toEqual([['a'], ['b'], ['c']]);
    expect(solved('circle', {}).wanted).toEqual([['diameter'], ['radius'], ['around'], ['area']]);
    expect(solved('spacing-gaps', { length: `10'`, width: '2"' }).wanted).toEqual([
      ['count'],
      ['gap'],
      ['centres'],
      ['largest'],
    ]);
    const { answers } = solved('triangle', { A: '40°', B: '60°' });
    expect(answers.map((answer) => readings(answer, 'C'))).toEqual([['80°']]);
    expect(answers[0]?.figure).toBeUndefined();
  });

  it('takes what follows from the rest where it agrees, and names it where it does not', () => {
    const agrees = solved('right-triangle', { rise: `9'`, run: `12'`, diagonal: `15'` });
    expect([agrees.contradiction, agrees.answers.length]).toEqual([undefined, 1]);
    const { contradiction, answers } = solved('right-triangle', { run: `12'`, diagonal: `16'`, rise: `9'` });
    expect(contradiction?.field).toBe('rise');
    expect(contradiction && readQuantity(contradiction.comesOutAt).text).toBe('10′ 7″');
    expect(answers).toEqual([]);
  });

  it.each([
    ['right-triangle', { rise: `12'`, diagonal: `9'` }, 'triangle.diagonal'],
    ['triangle', { a: `1'`, b: `2'`, c: `5'` }, 'triangle.sides'],
    ['triangle', { A: '100°', B: '90°' }, 'triangle.angles'],
    ['triangle', { a: `1'`, b: `4'`, A: '40°' }, 'range.arc'],
    ['arc', { chord: `8'`, radius: `3'` }, 'arc.chord'],
    ['arc', { rise: `8'`, radius: `3'` }, 'arc.rise'],
    ['arc', { angle: '400°', radius: `3'` }, 'arc.turn'],
    ['arc', { chord: `8'`, arc: `8'` }, 'arc.length'],
    ['arc', { rise: `4'`, arc: `8'` }, 'arc.length'],
    ['ring', { outer: `1'`, inner: `2'` }, 'ring.inner'],
    ['polygon', { sides: '2', side: `2'` }, 'polygon.sides'],
    ['polygon', { sides: '4', side: `2'`, plate: `1'` }, 'polygon.plate'],
    ['polygon', { sides: '4', side: `2'`, lean: '90°' }, 'polygon.lean'],
    ['spacing-gaps', { length: `1'`, width: '2"', count: '9' }, 'spacing.room'],
    ['spacing-gaps', { length: `1'`, width: '2"', gap: '3"' }, 'spacing.whole'],
    ['steps', { total: `1'`, count: '1' }, 'steps.count'],
    ['steps', { total: `8'`, rise: '7"' }, 'steps.whole'],
    ['steps', { total: `8'`, tread: '8"' }, 'steps.tread'],
    ['spacing-members', { length: `1'`, width: '2"', count: '1' }, 'spacing.count'],
    ['spacing-centres', { length: `1'`, width: '2"', centres: '3"', ends: '1"' }, 'spacing.ends'],
    ['spacing-centres', { length: `1'`, width: '4"', centres: '3"' }, 'spacing.centres'],
    ['square-check', { length: `1'`, width: `1'`, rising: `2'`, falling: `1'` }, 'square.diagonal'],
    ['square-check', { length: `4'`, width: `1'`, rising: `4.9'`, falling: `2'` }, 'square.diagonal'],
    ['rafter', { rise: `5'`, length: `4'` }, 'rafter.length'],
    ['rafter', { run: `1'`, pitch: '1:1', ridge: `2'` }, 'rafter.ridge'],
    ['hip', { run: `9'`, pitch: '1:1', corner: '180°' }, 'rafter.corner'],
    ['hip', { run: `9'`, pitch: '1:1', depth: '4"', stand: '9"' }, 'rafter.stand'],
    ['jacks', { run: `9'`, pitch: '1:1', centres: `2'`, first: '1"', thick: '3"' }, 'jacks.first'],
    ['ellipse', { long: `4'`, short: `5'` }, 'ellipse.axes'],
    ['ellipse', { long: `4'`, pins: `5'` }, 'ellipse.pins'],
    ['ellipse', { long: `4'`, string: `9'` }, 'ellipse.string'],
    ['wall', { length: `4'`, height: `4'`, openings: '20 sq ft' }, 'wall.openings'],
    ['footing', { footLength: `1'`, topLength: `2'` }, 'footing.top'],
  ])('%s of %j is none, in a sentence', (id, given, code) => {
    const { impossible, answers } = solved(id, given);
    expect([impossible?.code, answers]).toEqual([code, []]);
    expect(impossible && describeShapeIssue(impossible)).toMatch(/^[A-Za-z].*\.$/);
  });

  it.each([
    ['right-triangle', { rise: '9' }, 'rise', 'shape.kind'],
    ['right-triangle', { rise: `-9'` }, 'rise', 'shape.nothing'],
    ['right-triangle', { rise: `0"` }, 'rise', 'shape.nothing'],
    ['right-triangle', { pitch: `3'` }, 'pitch', 'shape.kind'],
    ['right-triangle', { rise: `9' +* 3` }, 'rise', 'symbol.unexpected'],
    ['spacing-gaps', { count: '2.5' }, 'count', 'shape.whole'],
  ])('%s says what is wrong with %j where it stands', (id, given, field, code) => {
    expect(solved(id, given as Readonly<Record<string, string>>).issues[field]?.code).toBe(code);
  });

  it('says which limits it breaks, those that were given and those that stand for them', () => {
    const breaks = (id: string, given: Readonly<Record<string, string>>) =>
      solved(id, given).answers.flatMap((answer) => answer.breaks.map(({ code }) => code));
    expect(breaks('spacing-gaps', { length: `1'`, width: '1"', count: '2', largest: '2"' })).toEqual(['spacing.gap']);
    expect(breaks('spacing-gaps', { largest: '2"', length: `1'`, width: '1"', count: '5' })).toEqual([]);
    expect(breaks('steps', { total: `9'`, going: '10"' })).toEqual([]);
    expect(breaks('steps', { total: `9'`, count: '12', going: '9"' })).toEqual([
      'steps.steep',
      'steps.shallow',
      'steps.long',
      'steps.slope',
    ]);
    expect(
      breaks('steps', {
        total: `9'`,
        count: '12',
        going: '9"',
        steepest: '10"',
        shallowest: '8"',
        longest: '30"',
        steepestSlope: '45°',
      }),
    ).toEqual([]);
    expect(breaks('steps', { total: `9'`, going: '14"' })).toEqual(['steps.long']);
    expect(breaks('steps', { total: `9'`, count: '20', going: '10"' })).toEqual(['steps.short']);
    expect(breaks('steps', { total: `9'`, going: '10"', steepestSlope: '30°' })).toEqual(['steps.slope']);
    expect(breaks('steps', { total: `7'`, going: '10"', floor: `1'` })).toEqual(['steps.headroom']);
    const frame = { length: `8'`, width: `6'`, falling: `10'` };
    expect(breaks('square-check', { ...frame, rising: `10' 1/8"` })).toEqual([]);
    expect(breaks('square-check', { ...frame, rising: `10' 3/16"` })).toEqual(['square.to_left']);
    expect(breaks('square-check', { ...frame, rising: `9' 11 3/4"` })).toEqual(['square.to_right']);
    expect(breaks('square-check', { ...frame, rising: `9' 11 3/4"`, tolerance: '1/4"' })).toEqual([]);
    expect(breaks('square-check', { ...frame, falling: `9' 11"`, rising: `9' 11"` })).toEqual(['square.sides']);
    const keeps = (given: Readonly<Record<string, string>>) => solved('square-check', given).answers[0]?.keeps;
    expect([keeps({ ...frame, rising: `10'` }), keeps({ ...frame, rising: `11'` }), keeps(frame)]).toEqual([
      true,
      false,
      false,
    ]);
  });

  it('offers units for a plain number', () => {
    const { issues } = solved('right-triangle', { rise: '9' });
    expect(issues['rise']?.fixes.map(({ entry }) => entry)).toEqual([`9"`, `9'`, '9 mm', '9 m']);
  });

  it('gives each result as an entry that comes to the same, alive over lines and marks', () => {
    for (const [id, given] of GOLDEN_SHAPES)
      for (const { known } of solved(id, given).answers)
        for (const one of Object.values(known)) {
          if (one === undefined || one.entry.length > LIMITS.characters) continue;
          const { outcome } = reckon(one.entry);
          expect(outcome?.kind === 'quantity' && valueToNumber(outcome.quantity.value)).toBeCloseTo(
            valueToNumber(one.quantity.value),
            12,
          );
        }
    const line = reckon(`12' 4"`).outcome;
    const quantity = line?.kind === 'quantity' ? line.quantity : undefined;
    const scope = {
      mark: () => undefined,
      line: (number: number) => (number === 4 && quantity ? { ok: true as const, quantity } : undefined),
      run: () => undefined,
      last: () => undefined,
      names: () => [],
    };
    const { answers } = solve(
      shape('right-triangle'),
      [
        ['rise', '#4'],
        ['run', '#4'],
      ],
      { scope },
    );
    expect(answers[0]?.known['diagonal']?.entry).toBe('hyp(#4; #4)');
  });

  it('gives its value instead of a formula that is longer than an entry can be', () => {
    const long = `(${Array.from({ length: 12 }, () => `2' 3 1/2"`).join(' + ')})`;
    const side = (entry: string) => solved('triangle', { a: entry, b: entry, c: entry }).answers[0]?.known ?? {};
    const { area, A } = side(long) as Record<string, Known>;
    expect(area?.entry.length).toBeGreaterThan(LIMITS.characters);
    for (const known of [area, A]) {
      const entry = fieldEntry(known as Known, DEFAULT_STYLE);
      expect(entry.length).toBeLessThan(LIMITS.characters);
      const { outcome } = reckon(entry);
      const value = outcome?.kind === 'quantity' ? outcome.quantity.value : undefined;
      expect(valueToNumber(value as never)).toBeCloseTo(valueToNumber(known?.quantity.value as never), 14);
    }
    const short = side(`2' 3 1/2"`)['area'] as Known;
    expect(fieldEntry(short, DEFAULT_STYLE)).toBe(short.entry);
    // A third side that is no root: an approximation, told by its digits.
    const found = solved('triangle', { a: long, b: long, C: '50°' }).answers[0]?.known['height'] as Known;
    expect(fieldEntry(found, DEFAULT_STYLE)).toMatch(/^\d+\.\d{24} m$/);
  });

  it('is the same from every other sufficient set of its sizes', () => {
    const sides = fc.tuple(
      fc.integer({ min: 30, max: 400 }),
      fc.integer({ min: 30, max: 400 }),
      fc.integer({ min: 20, max: 160 }),
    );
    fc.assert(
      fc.property(
        fc.constantFrom(
          'right-triangle',
          'triangle',
          'arc',
          'circle',
          'ring',
          'polygon',
          'slab',
          'holes',
          'ellipse',
          'rafter',
          'hip',
          'wall',
          'footing',
          'square-check',
        ),
        sides,
        (id, [one, other, third]) => {
          const given: Readonly<Record<string, Readonly<Record<string, string>>>> = {
            'right-triangle': { rise: `${one} mm`, run: `${other} mm` },
            triangle: { a: `${one} mm`, b: `${other} mm`, C: `${third}°` },
            arc: { radius: `${one} mm`, angle: `${third}°` },
            circle: { radius: `${one} mm` },
            slab: { length: `${one} mm`, width: `${other} mm`, depth: `${third} mm` },
            holes: { diameter: `${one} mm`, depth: `${other} mm`, count: String(1 + (third % 9)) },
            ring: { inner: `${one} mm`, width: `${other} mm` },
            ellipse: { short: `${one} mm`, pins: `${other} mm` },
            rafter: { run: `${one} mm`, rise: `${other} mm`, overhang: `${third} mm` },
            hip: { run: `${one} mm`, rise: `${other} mm`, corner: `${third}°` },
            wall: { length: `${one} mm`, height: `${other} mm`, thick: `${third} mm` },
            footing: {
              footLength: `${one + third} mm`,
              footWidth: `${other + third} mm`,
              topLength: `${one} mm`,
              topWidth: `${other} mm`,
              height: `${third} mm`,
            },
            'square-check': {
              length: `${one} mm`,
              width: `${other} mm`,
              rising: `hyp(${one + 5} mm; ${other} mm)`,
              falling: `hyp(${one - 5} mm; ${other} mm)`,
            },
            polygon: { sides: String(3 + (third % 30)), side: `${one} mm` },
          };
          const { answers } = solved(id, given[id] ?? {});
          const sizes = answers[0]?.known ?? {};
          // Across from a right angle stands the shortest side there can be: one digit less, and there is no triangle.
          const isRight = ['A', 'B', 'C'].some((angle) => {
            const found = sizes[angle]?.quantity.value;
            return found !== undefined && Math.abs(valueToNumber(found) - Math.PI / 2) < 1e-3;
          });
          fc.pre(id !== 'triangle' || !isRight);
          const asked = Object.entries(given[id] ?? {}).filter(([field]) =>
            shape(id).asks?.some((ask) => ask.id === field),
          );
          const wanted = solve(shape(id), asked).wanted;
          for (const set of wanted) {
            const again: Givens = [
              ...asked,
              ...set.map((field) => [field, asEntry(sizes[field]?.quantity as never)] as const),
            ];
            const found = solve(shape(id), again);
            expect(
              found.answers.some(({ known }) => isLike(known, sizes)),
              JSON.stringify(again),
            ).toBe(true);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});

/** A size as a long decimal. */
function asEntry({ value, dimension }: { readonly value: never; readonly dimension: number }): string {
  const number = valueToNumber(value).toFixed(15);
  const isAngle = dimension === (reckon('1 rad').outcome as { quantity: { dimension: number } }).quantity.dimension;
  return dimension === 1
    ? `${number} m`
    : dimension === 2
      ? `${number} m2`
      : dimension === 3
        ? `${number} m3`
        : isAngle
          ? `${number} rad`
          : number;
}

function isLike(known: Answer['known'], sizes: Answer['known']): boolean {
  return Object.keys(sizes).every((id) => {
    const [one, other] = [known[id], sizes[id]].map((size) => (size ? valueToNumber(size.quantity.value) : NaN));
    // An angle close to a right one, or to none, takes half of the digits.
    return Math.abs((one as number) - (other as number)) <= 1e-6 * Math.max(1, Math.abs(other as number));
  });
}
