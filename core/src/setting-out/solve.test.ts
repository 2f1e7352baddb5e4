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
import type { Answer, Known, Solver } from './solver.ts';

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
    ['triangle', { a: `1'`, b: `4'`, A: '40°' }, 'triangle.short'],
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
    // A third side that is no root: an approximation, shown by its digits.
    const found = solved('triangle', { a: long, b: long, C: '50°' }).answers[0]?.known['height'] as Known;
    expect(fieldEntry(found, DEFAULT_STYLE)).toMatch(/^\d+\.\d{24} m$/);
  });

  it('takes what Sprell itself reads back again, and says by how much it is full or shy', () => {
    const { answers, contradiction } = solved('right-triangle', { rise: `9'`, run: `10'`, diagonal: `13' 5 7/16"` });
    expect(contradiction).toBeUndefined();
    const diagonal = answers[0]?.known['diagonal'];
    expect(diagonal && readQuantity(diagonal.quantity)).toMatchObject({ text: '13′ 5 7⁄16″', rounding: 'full' });
    expect(solved('circle', { radius: `3' 11"`, around: `24' 7 5/16"` }).contradiction).toBeUndefined();
    // A division further off it does contradict.
    expect(solved('right-triangle', { rise: `9'`, run: `10'`, diagonal: `13' 5 5/8"` }).contradiction).toMatchObject({
      field: 'diagonal',
    });
  });

  it('says so where a volume and the sizes contradict, whatever is assumed besides and in whatever order', () => {
    const slab = { length: `24'`, width: `20'`, depth: '4"' };
    const wall = { length: `10'`, height: `8'`, thick: '8"' };
    const footing = { footLength: `3'`, footWidth: `3'`, topLength: `1'`, topWidth: `1'`, height: `2'` };
    const against = (id: string, given: Readonly<Record<string, string>>) => {
      const { contradiction, answers } = solved(id, given);
      expect(answers).toEqual([]);
      return contradiction?.field;
    };
    expect(against('slab', { ...slab, volume: '9 cu yd' })).toBe('volume');
    expect(against('slab', { volume: '9 cu yd', ...slab })).toBe('depth');
    expect(against('slab', { ...slab, volume: '160 cu ft', count: '2' })).toBe('volume');
    expect(against('wall', { ...wall, volume: '9 cu yd' })).toBe('volume');
    expect(against('wall', { ...wall, volume: '53.333 cu ft', openings: '20 sq ft' })).toBe('volume');
    expect(against('footing', { ...footing, volume: '9 cu yd' })).toBe('volume');
    // What agrees is taken, and with the count that was meant too.
    expect(solved('slab', { ...slab, volume: '160 cu ft' }).answers).toHaveLength(1);
    expect(solved('slab', { ...slab, volume: '320 cu ft', count: '2' }).answers).toHaveLength(1);
  });

  it('takes a plain 10 of waste as percent, and asks which slope a plain 6 is', () => {
    const order = (waste: string) => {
      const known = solved('slab', { length: `24'`, width: `20'`, depth: '4"', waste }).answers[0]?.known['order'];
      return known && readQuantity(known.quantity).text;
    };
    expect(['10', '10%', '0.1', '1/10'].map(order)).toEqual(['176 cu ft', '176 cu ft', '176 cu ft', '176 cu ft']);
    const slope = (pitch: string, length: 'ft-in' | 'mm' = 'ft-in') =>
      solve(
        shape('rafter'),
        [
          ['span', `24'`],
          ['pitch', pitch],
        ],
        { style: { ...DEFAULT_STYLE, length } },
      ).issues['pitch'];
    expect(slope('6')).toMatchObject({ code: 'shape.slope', fixes: [{ entry: '6:12' }, { entry: '6°' }] });
    expect(slope('30', 'mm')?.fixes.map(({ entry }) => entry)).toEqual(['30°', '30%', '30:12']);
    for (const sound of ['6:12', '30°', '50%', '0.5', '1/2']) expect(slope(sound)).toBeUndefined();
  });

  it('answers no jack beyond the common rafter', () => {
    const beyond = (given: Readonly<Record<string, string>>) =>
      solved('jacks', { run: `12'`, pitch: '6:12', ...given }).impossible?.code;
    expect(beyond({ centres: '16"', first: `30'` })).toBe('jacks.beyond');
    expect(beyond({ centres: `20'` })).toBe('jacks.beyond');
    expect(beyond({ centres: '16"' })).toBeUndefined();
  });

  it('is one answer where two ways come to the same', () => {
    const titles = (id: string, given: Readonly<Record<string, string>>) =>
      solved(id, given).answers.map(({ title }) => title);
    expect(titles('arc', { chord: `8'`, radius: `4'` })).toEqual(['']);
    expect(titles('arc', { chord: `6'`, radius: `4'` })).toEqual(['the flat arc', 'the large arc']);
    expect(titles('triangle', { A: '30°', b: `2'`, a: `1'` })).toEqual(['']);
    expect(titles('triangle', { A: '30°', b: `2'`, a: `1' 6"` })).toEqual(['angle B under 90°', 'angle B over 90°']);
  });

  it('names what contradicts in the kind that it was given in', () => {
    const { contradiction } = solved('right-triangle', { rise: `3'`, run: `4'`, pitch: '38°' });
    expect(contradiction && readQuantity(contradiction.comesOutAt).text).toBe('≈ 36.87°');
    const slope = solved('right-triangle', { rise: `3'`, run: `4'`, pitch: '8:12' }).contradiction;
    expect(slope && readQuantity(slope.comesOutAt).text).toBe('9:12');
    expect(solved('right-triangle', { rise: `3'`, run: `4'`, pitch: '36.87°' }).contradiction).toBeUndefined();
  });

  it('has no more sides than anybody can draw, and answers any number at once', () => {
    for (const sides of ['200000', '5000000', '50000000', '1e30'])
      expect(solved('polygon', { sides, side: `2'` }).impossible?.code).toBe('polygon.many');
    expect(solved('polygon', { sides: '1000', side: `2'` }).answers[0]?.figure?.parts.length).toBeGreaterThan(2);
  });

  it.each([
    ['rafter', 'overhang', `0'`],
    ['rafter', 'ridge', '0'],
    ['spacing-centres', 'ends', '0'],
    ['square-check', 'tolerance', '0'],
    ['steps', 'above', '0'],
    ['wall', 'openings', '0'],
    ['polygon', 'lean', '0'],
  ])('%s takes a bare nothing for %s', (id, field, zero) => {
    expect(solved(id, { [field]: zero }).issues[field]).toBeUndefined();
  });

  it('takes nothing at the ends, and within no tolerance, for what it is', () => {
    const ends = solved('spacing-centres', { length: `10'`, width: '2"', ends: '0', largest: '16"' });
    expect(ends.answers.map((answer) => readings(answer, 'ends', 'count', 'centres'))).toEqual([
      ['0″', '9', '1′ 2 3⁄4″'],
    ]);
    const frame = { length: `3'`, width: `4'`, rising: `5'`, falling: `5' 1/16"` };
    expect(solved('square-check', { ...frame, tolerance: '0' }).answers[0]?.breaks.map(({ code }) => code)).toContain(
      'square.to_right',
    );
  });

  it('puts nothing in the place of what it cannot read', () => {
    const { answers, issues } = solved('spacing-centres', { length: `10'`, width: '2"', centres: '16"', ends: '3 kg' });
    expect(issues['ends']?.code).toBe('shape.kind');
    expect(answers[0]?.known['ends']).toBeUndefined();
    expect(answers[0]?.known['count']).toBeDefined();
  });

  it.each([
    ['rafter', { overhang: `-1'` }, 'overhang', 'Overhang, on the level cannot be below zero; check the sign.'],
    ['slab', { waste: '-5%' }, 'waste', 'Waste cannot be below zero; check the sign.'],
    ['right-triangle', { rise: `0"` }, 'rise', 'Rise has to be more than zero.'],
  ])('%s: %j says of %s: %s', (id, given, field, says) => {
    const issue = solved(id, given as Readonly<Record<string, string>>).issues[field];
    expect(issue && describeShapeIssue(issue)).toBe(says);
  });

  it('offers units for a plain number where it needs one, and none for a percentage', () => {
    const fixes = (id: string, field: string, entry: string) =>
      solved(id, { [field]: entry }).issues[field]?.fixes.map((fix) => fix.entry);
    expect(fixes('wall', 'openings', '20')).toEqual(['20 sq ft', '20 m2']);
    expect(fixes('slab', 'volume', '9')).toEqual(['9 cu yd', '9 cu ft', '9 m3']);
    expect(fixes('right-triangle', 'rise', '9')).toEqual(['9"', `9'`, '9 mm', '9 m']);
    expect(fixes('right-triangle', 'rise', '50%')).toEqual([]);
  });

  it.each([
    ['spacing-gaps', { length: '3"', width: '1"', largest: '4"' }, 'spacing.none'],
    ['triangle', { A: '180°', b: `1'`, c: `2'` }, 'triangle.angle'],
    ['right-triangle', { pitch: '180°', run: `2'` }, 'slope.plumb'],
    ['right-triangle', { pitch: '90°', rise: `2'` }, 'slope.plumb'],
    ['arc', { chord: `4'`, angle: '360°' }, 'arc.full'],
    ['ellipse', { area: '100 sq ft', string: `5'` }, 'ellipse.area'],
  ])('%s of %j says why it is none: %s', (id, given, code) => {
    expect(solved(id, given as Readonly<Record<string, string>>).impossible?.code).toBe(code);
  });

  it('says of a hip’s notch what a hip can do about it', () => {
    const { answers } = solved('hip', { run: `9'`, pitch: '6:12', thick: '2"', depth: '8"', stand: '3"' });
    const says = answers[0]?.breaks.map(describeShapeIssue) ?? [];
    expect(says.join(' ')).toMatch(/take a deeper hip/);
    expect(says.join(' ')).not.toMatch(/seat/);
  });

  it('is exact where nothing in it is not', () => {
    const kinds = (id: string, given: Readonly<Record<string, string>>, ...fields: readonly string[]) =>
      fields.map((field) => solved(id, given).answers[0]?.known[field]?.quantity.value.kind);
    expect(kinds('rafter', { run: `9'`, rise: `12'` }, 'off', 'tail', 'cut')).toEqual([
      'rational',
      'rational',
      'rational',
    ]);
    expect(kinds('rafter', { run: `9'`, pitch: '37°' }, 'off', 'tail')).toEqual(['rational', 'rational']);
    expect(kinds('triangle', { A: '90°', b: `3'`, a: `5'` }, 'c')).toEqual(['rational']);
    expect(kinds('polygon', { sides: '8', side: `2'`, lean: '0°' }, 'tilt', 'turn')).toEqual(['radical', 'rational']);
  });

  it.each([
    ['ellipse', { area: '12 sq ft', pins: `3'` }],
    ['ellipse', { area: '12 sq ft', string: `8'` }],
    ['spacing-gaps', { length: `10'`, count: '5', centres: `1' 10"` }],
    ['spacing-members', { length: `10'`, count: '6', centres: `1' 11"` }],
    ['spacing-centres', { length: `10'`, centres: '16"', ends: '1"', count: '8' }],
    ['holes', { volume: '10 cu ft', diameter: '12"', depth: `3'` }],
    ['steps', { structure: `9'`, going: '10"' }],
  ])('%s of %j is enough', (id, given) => {
    const { wanted, answers, impossible, contradiction } = solved(id, given as Readonly<Record<string, string>>);
    expect([wanted, impossible, contradiction, answers.length]).toEqual([[], undefined, undefined, 1]);
  });

  it('finds the axes of an ellipse from its area, as they were', () => {
    const whole = solved('ellipse', { long: `5'`, short: `4'` }).answers[0]?.known;
    const entry = (id: string) => asEntry(whole?.[id]?.quantity as never);
    for (const other of ['pins', 'string']) {
      const { answers } = solved('ellipse', { area: entry('area'), [other]: entry(other) });
      expect(answers.map((answer) => readings(answer, 'long', 'short'))).toEqual([['≈ 5′', '≈ 4′']]);
    }
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
              ...set.map((field) => [field, asGiven(shape(id), field, sizes[field]?.quantity as never)] as const),
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

/** A size as it can be given: a plain number would not say which slope it is. */
function asGiven(solver: Solver, id: string, quantity: { readonly value: never; readonly dimension: number }): string {
  const isPitch = solver.fields.find((field) => field.id === id)?.kind === 'pitch';
  return isPitch ? `${asEntry(quantity)}:1` : asEntry(quantity);
}

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
