import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { valueToNumber } from '../number/value.ts';
import { jackLengths } from './jacks.ts';
import { solve } from './solve.ts';
import type { Answer, Solver } from './solver.ts';
import { SOLVERS } from './solvers.ts';

type Vector = readonly [number, number, number];

const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const long = (a: Vector) => Math.sqrt(dot(a, a));
const between = (a: Vector, b: Vector) => Math.acos(Math.min(1, Math.abs(dot(a, b)) / long(a) / long(b)));
const degrees = (radians: number) => (radians * 180) / Math.PI;

/** The roof over one corner in space: the hip lies over the x axis, the plates go off to both sides of it. */
function roof(run: number, slope: number, corner: number) {
  const half = (corner / 360) * Math.PI;
  const plate: Vector = [Math.cos(half), Math.sin(half), 0];
  const top: Vector = [run / Math.sin(half), 0, run * slope];
  const eave = run / Math.tan(half);
  // Where the common rafter that meets the hip's head stands on the plate.
  const foot: Vector = [plate[0] * eave, plate[1] * eave, 0];
  return { half, plate, top, foot, common: minus(top, foot), normal: cross(plate, top) };
}

function answerOf(id: string, given: Readonly<Record<string, string>>): Answer {
  const { answers, wanted, impossible } = solve(SOLVERS.find((one) => one.id === id) as Solver, Object.entries(given));
  expect([impossible, wanted]).toEqual([undefined, []]);
  return answers[0] as Answer;
}
/** In metres, radians and plain numbers. */
const sizes = ({ known }: Answer) =>
  Object.fromEntries(Object.entries(known).map(([id, one]) => [id, valueToNumber(one?.quantity.value as never)]));

const ROOFS = fc.record({
  run: fc.integer({ min: 500, max: 6000 }),
  rise: fc.integer({ min: 1, max: 24 }),
  corner: fc.integer({ min: 40, max: 170 }),
});

describe('a hip', () => {
  it('lies where it lies in space, whatever the corner', () => {
    fc.assert(
      fc.property(ROOFS, ({ run, rise, corner }) => {
        const { half, top, plate, normal } = roof(run / 1000, rise / 12, corner);
        const hip = sizes(
          answerOf('hip', {
            run: `${run} mm`,
            pitch: `${rise}:12`,
            corner: `${corner}°`,
            ridge: '40 mm',
            overhang: '300 mm',
            thick: '50 mm',
          }),
        );
        expect(hip['length']).toBeCloseTo(long(top), 9);
        expect(hip['plumb']).toBeCloseTo(Math.atan2(top[2], top[0]), 9);
        // Square to the hip, the roof falls off from level across it by the backing.
        const across: Vector = [0, 1, 0];
        expect(hip['backing']).toBeCloseTo(between(cross(normal, top), across), 6);
        // The roof under the hip's edge lies lower than at its middle by the drop.
        const edge = 0.025;
        expect(hip['drop']).toBeCloseTo(Math.abs((normal[1] / normal[2]) * edge), 9);
        // The plumb cut against a board that runs with the plate, on the hip's top edge, square across being level.
        const cut = cross([plate[1], -plate[0], 0], cross(top, across));
        expect(hip['side']).toBeCloseTo(between(cut, across), 6);
        expect(hip['off']).toBeCloseTo(((0.02 / Math.sin(half)) * long(top)) / top[0], 9);
        expect(hip['tail']).toBeCloseTo(((0.3 / Math.sin(half)) * long(top)) / top[0], 9);
        expect(hip['whole']).toBeCloseTo(
          (hip['length'] as number) - (hip['off'] as number) + (hip['tail'] as number),
          12,
        );
      }),
      { numRuns: 60 },
    );
  });

  // A framing table of the trade, inches for each foot of run, over square corners: hip length, difference of jacks at
  // centres of 24, side cut of jacks and of hips as so much to 12 from the axis.
  it.each([
    ['6:12', 18.0, 26.83, 10.73, 11.31],
    ['8:12', 18.76, 28.84, 9.98, 10.87],
    ['12:12', 20.78, 33.94, 8.49, 9.8],
  ])('agrees with the framing table at %s', (pitch, length, difference, jackSide, hipSide) => {
    const hip = sizes(answerOf('hip', { run: '12"', pitch }));
    const jacks = sizes(answerOf('jacks', { run: `10'`, pitch, centres: '24"' }));
    expect((hip['length'] as number) / 0.0254).toBeCloseTo(length, 1);
    expect((jacks['step'] as number) / 0.0254).toBeCloseTo(difference, 1);
    expect(12 / Math.tan(jacks['side'] as number)).toBeCloseTo(jackSide, 1);
    expect(12 / Math.tan(hip['side'] as number)).toBeCloseTo(hipSide, 1);
  });

  it('stands over the plate as high as the commons do, backed or dropped', () => {
    const hip = sizes(
      answerOf('hip', { run: `12'`, pitch: '12:12', thick: '2"', depth: '8"', stand: '5"', corner: '90°' }),
    );
    const inches = (id: string) => (hip[id] as number) / 0.0254;
    // Its slope is 1 in √2: 8 √(3/2) deep, plumb.
    expect(inches('heel')).toBeCloseTo(8 * Math.sqrt(1.5) - 5, 9);
    expect(inches('drop')).toBeCloseTo(Math.SQRT1_2, 9);
    expect(inches('heelDropped')).toBeCloseTo(inches('heel') + inches('drop'), 9);
    expect(inches('seat')).toBeCloseTo(inches('heel') * Math.SQRT2, 9);
    expect(degrees(hip['backing'] as number)).toBeCloseTo(30, 9);
  });
});

describe('jacks', () => {
  it('end at the hip, each longer by one and the same, whatever the corner', () => {
    fc.assert(
      fc.property(ROOFS, ({ run, rise, corner }) => {
        const { half, plate, common, top, foot } = roof(run / 1000, rise / 12, corner);
        // A first jack beyond the common rafter is none.
        fc.pre(0.2 < long(foot));
        const answer = answerOf('jacks', {
          run: `${run} mm`,
          pitch: `${rise}:12`,
          corner: `${corner}°`,
          centres: '137 mm',
          first: '200 mm',
          thick: '20 mm',
        });
        const found = sizes(answer);
        expect(found['side']).toBeCloseTo(between(top, plate), 6);
        const stretched = long(common) / (run / 1000);
        expect(found['off']).toBeCloseTo((0.01 / Math.cos(half)) * stretched, 9);
        for (const { at, length, number } of jackLengths(answer)) {
          const along = valueToNumber(at.value);
          expect(along).toBeCloseTo(0.2 + (number - 1) * 0.137, 9);
          // From the plate, square to it, up to where it stands over the x axis.
          const reach = along / long(foot);
          expect(valueToNumber(length.value) + (found['off'] as number)).toBeCloseTo(reach * long(common), 9);
        }
        const last = jackLengths(answer).at(-1);
        if (last) expect(valueToNumber(last.at.value)).toBeLessThan(long(foot));
      }),
      { numRuns: 40 },
    );
  });

  it('begin one step from the corner where nobody says', () => {
    const answer = answerOf('jacks', { run: `6'`, pitch: '6:12', centres: '16"', corner: '135°', thick: '1 1/2"' });
    expect(jackLengths(answer)).toHaveLength(1);
    const square = answerOf('jacks', { run: `6'`, pitch: '6:12', centres: '16"' });
    expect(jackLengths(square).map(({ number }) => number)).toEqual([1, 2, 3, 4]);
  });
});

describe('a common rafter', () => {
  it('has its notch and its height over the plate from one another', () => {
    const given = { span: `24'`, pitch: '9:12', depth: '7 1/4"', ridge: '1 1/2"', overhang: `1' 4"` };
    const inches = (found: Readonly<Record<string, number>>, id: string) => (found[id] as number) / 0.0254;
    const found = sizes(answerOf('rafter', { ...given, seat: '3 1/2"' }));
    // 9 in 12 is 3, 4, 5: all is longer on the slope by a quarter.
    expect(inches(found, 'length')).toBeCloseTo(180, 9);
    expect(inches(found, 'off')).toBeCloseTo(0.9375, 9);
    expect(inches(found, 'tail')).toBeCloseTo(20, 9);
    expect(inches(found, 'whole')).toBeCloseTo(180 - 0.9375 + 20, 9);
    expect(inches(found, 'heel')).toBeCloseTo(2.625, 9);
    expect(inches(found, 'notch')).toBeCloseTo(2.1, 9);
    expect(inches(found, 'stand')).toBeCloseTo(9.0625 - 2.625, 9);
    const again = sizes(answerOf('rafter', { ...given, stand: '6 7/16"' }));
    expect(inches(again, 'seat')).toBeCloseTo(3.5, 9);
  });

  it('says when the notch is deeper than a share of the rafter', () => {
    const breaks = (seat: string, share = '') =>
      answerOf('rafter', { run: `12'`, pitch: '12:12', depth: '6"', seat, share }).breaks.map(({ code }) => code);
    expect(breaks('2 3/4"')).toEqual([]);
    expect(breaks('3"')).toEqual(['rafter.notch']);
    expect(breaks('3"', '0.4')).toEqual([]);
  });
});
