import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { describeShapeIssue } from '../shape-messages.ts';
import { LIMITS } from '../notation/operators.ts';
import { reckon } from '../evaluate/reckon.ts';
import { equalValue, valueToNumber } from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { makeRational } from '../number/rational.ts';
import { fieldEntry } from './read-field.ts';
import type { Answer, Known, Solver } from './solver.ts';
import { SOLVERS } from './solvers.ts';
import { solve, type Givens } from './solve.ts';
import type { Quantity } from '../units/quantity.ts';
import { driftOf } from './drift.ts';
import { aroundEllipse } from './ellipse.ts';
import { ordinates } from './ordinates.ts';
import { runningMarks } from './spacing.ts';

const shape = (id: string) => SOLVERS.find((one) => one.id === id) as Solver;
/** Fields as they read, of one answer. */
const readings = ({ known }: Answer, ...ids: readonly string[]) =>
  ids.map((id) => known[id] && readQuantity(known[id].quantity).text);

function solved(id: string, given: Readonly<Record<string, string>>) {
  return solve(shape(id), Object.entries(given));
}

/** Published values and constructions by coordinates. */
const GOLDEN: readonly (readonly [
  shape: string,
  given: Readonly<Record<string, string>>,
  answers: readonly Readonly<Record<string, string>>[],
])[] = [
  [
    'right-triangle',
    { rise: `3'`, run: `4'` },
    [{ diagonal: '5′', area: '6 sq ft', foot: '≈ 36.87°', head: '≈ 53.13°' }],
  ],
  ['right-triangle', { diagonal: `13'`, run: `5'` }, [{ rise: '12′' }]],
  ['right-triangle', { run: `12'`, pitch: '6:12' }, [{ rise: '6′', diagonal: '13′ 5″' }]],
  ['right-triangle', { diagonal: `15'`, pitch: '30°' }, [{ rise: '7′ 6″', foot: '30°', head: '60°' }]],
  ['right-triangle', { rise: `6'`, pitch: '45°' }, [{ run: '6′', diagonal: '8′ 5 13⁄16″' }]],
  ['triangle', { a: `3'`, b: `4'`, c: `5'` }, [{ C: '90°', area: '6 sq ft', height: '2′ 4 13⁄16″' }]],
  ['triangle', { a: `13'`, b: `14'`, c: `15'` }, [{ area: '84 sq ft', height: '11′ 2 3⁄8″' }]],
  ['triangle', { a: `5'`, B: '60°', C: '60°' }, [{ A: '60°', b: '5′', c: '5′' }]],
  [
    'triangle',
    { a: `3'`, b: `4'`, A: '40°' },
    [
      { B: '≈ 58.99°', C: '≈ 81.01°', c: '≈ 4′ 7 5⁄16″' },
      { B: '≈ 121.01°', C: '≈ 18.99°', c: '≈ 1′ 6 1⁄4″' },
    ],
  ],
  ['triangle', { a: `5'`, b: `4'`, A: '40°' }, [{ B: '≈ 30.95°', c: '≈ 7′ 4 1⁄4″' }]],
  ['arc', { chord: `8'`, rise: `1'` }, [{ radius: '8′ 6″', angle: '≈ 56.14°', arc: '≈ 8′ 3 15⁄16″' }]],
  [
    'arc',
    { chord: `8'`, radius: `5'` },
    [
      { rise: '2′', angle: '≈ 106.26°' },
      { rise: '8′', angle: '≈ 253.74°' },
    ],
  ],
  ['arc', { radius: `6'`, angle: '60°' }, [{ chord: '6′', arc: '6′ 3 3⁄8″', sector: '18.85 sq ft' }]],
  ['arc', { radius: `6'`, angle: '180°' }, [{ chord: '12′', rise: '6′', segment: '56.549 sq ft' }]],
  // A half circle, and the arc of 60°, from the length of the arc.
  ['arc', { chord: '2 m', arc: '3.14159265358979323846 m' }, [{ radius: '≈ 3′ 3 3⁄8″', rise: '≈ 3′ 3 3⁄8″' }]],
  ['arc', { chord: '1 m', arc: '1.04719755119659774615 m' }, [{ radius: '≈ 3′ 3 3⁄8″', angle: '≈ 60°' }]],
  [
    'arc',
    { rise: '1.7 m', arc: '5 m' },
    [
      { angle: '≈ 205.02°', radius: '≈ 4′ 7″' },
      { angle: '≈ 332.04°', radius: '≈ 2′ 9 15⁄16″' },
    ],
  ],
  ['circle', { diameter: `2'` }, [{ radius: '1′', around: '6′ 3 3⁄8″', area: '3.142 sq ft' }]],
  ['circle', { area: '78.53981633974483 sq ft' }, [{ radius: '≈ 5′' }]],
  ['ring', { outer: `4'`, width: '6"' }, [{ inner: '3′', area: '5.498 sq ft' }]],
  ['ring', { inner: `3'`, width: '6"' }, [{ outer: '4′', outside: '12′ 6 13⁄16″' }]],
  // The octagon: side = flats (√2 − 1), exactly.
  [
    'polygon',
    { sides: '8', flats: `12'` },
    [{ side: '4′ 11 5⁄8″', corners: '≈ 12′ 11 7⁄8″', mitre: '22.5°', corner: '135°' }],
  ],
  [
    'polygon',
    { sides: '6', side: `2'` },
    [{ corners: '4′', flats: '3′ 5 9⁄16″', around: '12′', area: '10.392 sq ft' }],
  ],
  ['polygon', { sides: '4', side: `2'` }, [{ flats: '2′', corners: '2′ 9 15⁄16″', mitre: '45°' }]],
  // Published compound mitres: four sides at 38° and at 45°, from tables for crown moulding.
  ['polygon', { sides: '4', side: `2'`, lean: '38°' }, [{ turn: '≈ 31.62°', tilt: '≈ 33.86°' }]],
  ['polygon', { sides: '4', side: `2'`, lean: '0°' }, [{ turn: '0°', tilt: '45°' }]],
  ['polygon', { sides: '4', side: `2'`, lean: '45°' }, [{ turn: '≈ 35.26°', tilt: '30°' }]],
  [
    'slab',
    { length: `20'`, width: `12'`, depth: '4"', yield: '0.6 cu ft', waste: '10%' },
    [{ volume: '80 cu ft', order: '88 cu ft', bags: '147' }],
  ],
  ['slab', { length: `2'`, width: `2'`, depth: `1'`, count: '8' }, [{ volume: '32 cu ft' }]],
  [
    'wall',
    { length: `20'`, height: `9'`, thick: '8"', openings: "2 * 3' * 5'" },
    [{ face: '150 sq ft', volume: '100 cu ft' }],
  ],
  ['wall', { volume: '6 m3', height: '2 m', thick: '300 mm' }, [{ length: '32′ 9 11⁄16″' }]],
  // A frustum of a pyramid, 6 and 3 along its squares, 4 high: 4/3 (36 + 9 + 18) = 84.
  [
    'footing',
    { footLength: `6'`, footWidth: `6'`, topLength: `3'`, topWidth: `3'`, height: `4'`, waste: '0%' },
    [{ volume: '84 cu ft', order: '84 cu ft' }],
  ],
  // Two wedges and a block, by their parts: 2 × 1 × 1 + 2 × ½ × 1 × 1 × 1 = 3.
  [
    'footing',
    { footLength: '4 m', footWidth: '1 m', topLength: '2 m', topWidth: '1 m', volume: '3 m3' },
    [{ height: '3′ 3 3⁄8″' }],
  ],
  // The classic 3, 4, 5 frame, and one that is 1″ out along its top: both diagonals by coordinates.
  [
    'square-check',
    { length: `8'`, width: `6'`, rising: `10'`, falling: `10'` },
    [{ both: '10′', apart: '0″', push: '0″', corner: '90°' }],
  ],
  [
    'square-check',
    { length: '96"', width: 'sqrt(72^2 + 1) * 1"', rising: 'hyp(97"; 72")', falling: 'hyp(95"; 72")' },
    [{ apart: '1 5⁄8″', push: '1″' }],
  ],
  // Axes of 10 and 8: pins 6 apart, string 16; around it 28.361667…; of 4 and 2: 9.688448…
  [
    'ellipse',
    { long: '10 m', short: '8 m' },
    [{ pins: '19′ 8 1⁄4″', string: '52′ 5 15⁄16″', end: '6′ 6 3⁄4″', around: '≈ 93′ 5⁄8″' }],
  ],
  ['ellipse', { string: `16'`, short: `8'` }, [{ long: '10′', pins: '6′', area: '62.832 sq ft' }]],
  ['ellipse', { long: `10'`, string: `16'` }, [{ short: '8′' }]],
  [
    'spacing-centres',
    { length: `20'`, width: '1 1/2"', centres: '16"' },
    [{ count: '15', ends: '7 1⁄4″', gap: '1′ 2 1⁄2″' }],
  ],
  [
    'spacing-centres',
    { length: '3 m', width: '50 mm', ends: '100 mm', largest: '400 mm' },
    [{ count: '8', centres: '1′ 3 7⁄16″' }],
  ],
  // 8′ 6″ in 15 rises of 6.8″, goings of 10.2″: 1 in 1.5. Floor 12″ and headroom 80″ over it: 138″ back.
  [
    'steps',
    { total: `8' 6"`, count: '15', going: '10.2"', floor: `1'`, headroom: `6' 8"` },
    [{ opening: '11′ 6″', string: '15′ 3 7⁄8″' }],
  ],
  ['slab', { volume: '2 m3', width: '400 mm', depth: '0.25 m' }, [{ length: '65′ 7 3⁄8″' }]],
  ['holes', { diameter: `1'`, depth: `4'`, count: '6', waste: '0%' }, [{ volume: '18.8496 cu ft' }]],
  // 9′ 1″ in 15 risers: 109/15 inches.
  [
    'steps',
    { total: `9' 1"`, going: '10 1/2"', tread: '1"' },
    [{ count: '15', rise: '7 1⁄4″', treads: '14', run: '12′ 3″', bottom: '6 1⁄4″', line: '14′ 10 3⁄4″' }],
  ],
  [
    'steps',
    { structure: '2.6 m', above: '75 mm', below: '25 mm', count: '14', run: '3.25 m' },
    [{ total: '8′ 8 5⁄16″', going: '9 13⁄16″' }],
  ],
  ['polygon', { sides: '8', flats: `12'`, plate: '5 1/2"' }, [{ short: '4′ 7 1⁄16″' }]],
  ['spacing-gaps', { length: `10'`, width: '1.5"', count: '20' }, [{ gap: '4 5⁄16″', centres: '5 13⁄16″' }]],
  ['spacing-gaps', { length: `6' 7 1/4"`, width: '1 1/2"', largest: '4"' }, [{ count: '14', gap: '3 7⁄8″' }]],
  ['spacing-members', { length: `10'`, width: '3 1/2"', count: '5' }, [{ gap: '2′ 1 5⁄8″' }]],
  ['spacing-members', { width: '90 mm', gap: '110 mm', count: '11' }, [{ length: '6′ 10 5⁄16″' }]],
];

describe('a shape', () => {
  it.each(GOLDEN)('%s from %j', (id, given, expected) => {
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
    for (const [id, given] of GOLDEN)
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

describe('around an ellipse', () => {
  it('is as the series of Gauss and Kummer has it, to the last digit of a double', () => {
    for (const [long, short] of [
      [10, 8],
      [4, 2],
      [3, 2.999],
      [7, 1],
    ] as const) {
      const h = ((long - short) / (long + short)) ** 2;
      let [sum, binomial] = [0, 1];
      for (let n = 0; n < 400; n += 1) {
        sum += binomial ** 2 * h ** n;
        binomial *= (0.5 - n) / (n + 1);
      }
      const [one, other] = [long, short].map((axis) => makeRational(Math.round(axis * 1000), 1000));
      const around = valueToNumber(aroundEllipse(one as never, other as never));
      expect(around / ((Math.PI * (long + short) * sum) / 2)).toBeCloseTo(1, 14);
    }
  });

  it('is twice the long axis where there is hardly a short one', () => {
    const around = aroundEllipse(makeRational(1), makeRational(1, 10 ** 9));
    expect(valueToNumber(around)).toBeCloseTo(2, 12);
    expect(around.rad * 10n ** 15n).toBeLessThan(around.mid);
  });
});

describe('running marks', () => {
  const of = (given: Readonly<Record<string, string>>, edge: 'near' | 'centre' | 'far') =>
    runningMarks(solved('spacing-gaps', given).answers[0] as Answer, 'gaps', edge, { ...DEFAULT_STYLE, finest: 8 });
  const inches = ({ value }: Quantity) => valueToNumber(value) / 0.0254;

  it('stand where the members do, from one end', () => {
    const given = { length: '100"', width: '2"', count: '9' };
    const gap = (100 - 18) / 10;
    expect(of(given, 'near').map(({ at }) => inches(at))).toEqual(
      Array.from({ length: 9 }, (_, n) => expect.closeTo((n + 1) * gap + n * 2, 9) as number),
    );
    expect(inches(of(given, 'centre')[0]?.at as never)).toBeCloseTo(gap + 1, 9);
    expect(inches(of(given, 'far')[8]?.at as never)).toBeCloseTo(100 - gap, 9);
  });

  it('drift when the rounded gap is stepped off', () => {
    // The true gap is 8.2 inches; an eighth under it is 8 1/4.
    const marks = of({ length: '100"', width: '2"', count: '9' }, 'near');
    const ninth = marks[8] as (typeof marks)[number];
    expect(inches(ninth.steppedOff) - inches(ninth.at)).toBeCloseTo(9 * 0.05, 9);
    const drift = driftOf(marks, { ...DEFAULT_STYLE, finest: 8 });
    expect(drift.map(({ reading }) => reading)).toEqual([
      undefined,
      '1⁄8″',
      '1⁄8″',
      '1⁄4″',
      '1⁄4″',
      '1⁄4″',
      '3⁄8″',
      '3⁄8″',
      '1⁄2″',
    ]);
    expect(drift[8]?.out).toBeCloseTo(9 * 0.05 * 0.0254, 12);
    expect(equalValue(marks[0]?.steppedOff.value as never, reckonLength('8.25"'))).toBe(true);
  });

  it('begin with what is left at fixed centres', () => {
    const answer = solved('spacing-centres', { length: '100"', width: '2"', centres: '16"' }).answers[0] as Answer;
    const marks = runningMarks(answer, 'rest', 'centre', DEFAULT_STYLE);
    // Seven members from centre to centre are 96 long, and 98 over all: an inch is left at each end.
    expect(marks.map(({ at }) => inches(at))).toEqual(
      Array.from({ length: 7 }, (_, n) => expect.closeTo(2 + 16 * n, 9) as number),
    );
    expect(driftOf(marks, DEFAULT_STYLE).every(({ reading }) => reading === undefined)).toBe(true);
  });

  it('can be set back', () => {
    const answer = solved('spacing-gaps', { length: '100"', width: '2"', count: '9' }).answers[0] as Answer;
    const [plain, back] = [undefined, makeRational(254, 10000)].map(
      (by) => runningMarks(answer, 'gaps', 'near', DEFAULT_STYLE, by)[3],
    );
    expect(inches(plain?.at as never) - inches(back?.at as never)).toBeCloseTo(1, 9);
  });
});

describe('ordinates', () => {
  const answer = () => solved('arc', { chord: '8 m', radius: '5 m' }).answers[0] as Answer;
  const heights = (step: string) =>
    ordinates(answer(), reckonLength(step)).map(({ along, height }) =>
      [along, height].map(({ value }) => valueToNumber(value)),
    );

  it('stand where a circle by coordinates has them, from nothing to nothing', () => {
    // About (4, −3): the flat arc rises 2 over a chord of 8.
    expect(heights('1 m')).toEqual(
      Array.from({ length: 9 }, (_, x) => [x, expect.closeTo(Math.sqrt(25 - (x - 4) ** 2) - 3, 12)]),
    );
  });

  it('end at the end of the chord, whatever the step', () => {
    expect(heights('3 m').map(([along]) => along)).toEqual([0, 3, 6, 8]);
    expect(heights('9 m')).toEqual([
      [0, 0],
      [8, 0],
    ]);
    expect(ordinates(answer(), makeRational(0))).toEqual([]);
  });

  it('are exact where the arc is', () => {
    const middle = ordinates(answer(), reckonLength('4 m'))[1];
    expect(middle && readQuantity(middle.height, { ...DEFAULT_STYLE, length: 'm' }).text).toBe('2 m');
  });
});

function reckonLength(entry: string) {
  const { outcome } = reckon(entry);
  if (outcome?.kind !== 'quantity') throw new Error(entry);
  return outcome.quantity.value;
}
