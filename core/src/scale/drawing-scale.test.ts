import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { describeIssue } from '../messages.ts';
import { reckon } from '../evaluate/reckon.ts';
import { makeRational } from '../number/rational.ts';
import { equalValue, valueToNumber } from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
import { DEFAULT_STYLE, type ReadingStyle } from '../reading/style.ts';
import type { Quantity } from '../units/quantity.ts';
import { bestFits, COMMON_SCALES } from './common-scales.ts';
import {
  measuredIssue,
  readScale,
  turn,
  turnedEntry,
  type DrawingScale,
  type ScaleDefinition,
} from './drawing-scale.ts';
import { readSide } from './read-side.ts';
import { divisionFor, scaleBar, scaleRule } from './scale-rule.ts';

const sizes = (paper: string, site: string): ScaleDefinition => ({ kind: 'sizes', paper, site });
const ratio = (paper: string, site: string): ScaleDefinition => ({ kind: 'ratio', paper, site });
function scaleOrThrow(definition: ScaleDefinition): DrawingScale {
  const scale = readScale(definition);
  if (!scale.ok) throw new Error(scale.issue.issue.code);
  return scale.value;
}
function quantity(entry: string): Quantity {
  const { outcome } = reckon(entry);
  if (outcome?.kind !== 'quantity') throw new Error(entry);
  return outcome.quantity;
}
function turned(entry: string, definition: ScaleDefinition, from: 'paper' | 'site' = 'paper'): string {
  const other = turn(quantity(entry), scaleOrThrow(definition), from);
  return other.ok ? readQuantity(other.value).text : other.issue.code;
}

describe('a drawing scale', () => {
  it.each([
    // Definition, paper, site: worked out by hand.
    [sizes('1/4"', `1'`), `2 5/8"`, '10′ 6″'],
    [sizes('1/4"', `1'`), '1/16"', '3″'],
    [sizes('3/32"', `1'`), '3"', '32′'],
    [sizes('1"', `10'`), '2 1/2"', '25′'],
    [sizes('2 cm', '1 m'), '1"', '4′ 2″'],
    [sizes('1 1/2 in', '1 ft'), '3/4"', '6″'],
    [ratio('1', '20'), '9 mm to mm', '7 1⁄16″'],
    [ratio('2', '5'), `2'`, '5′'],
    [ratio('1', '2.5'), '4"', '10″'],
    // A copy that came out too small: 11 3/8″ on it are 12′ 6″ on site.
    [{ kind: 'copy', paper: '11 3/8"', site: `12' 6"` } as const, '11 3/8"', '12′ 6″'],
    [{ kind: 'copy', paper: '11 3/8"', site: `12' 6"` } as const, '5 11/16"', '6′ 3″'],
    // Areas and volumes follow with the square and the cube.
    [sizes('1/4"', `1'`), '1 sq in', '16 sq ft'],
    [sizes('1"', `1'`), '1 cu in', '1 cu ft'],
  ])('%o turns %s to %s, and back', (definition, paper, site) => {
    expect(turned(paper, definition)).toBe(site);
    const scale = scaleOrThrow(definition);
    const there = turn(quantity(paper), scale, 'paper');
    const back = there.ok && turn(there.value, scale, 'site');
    expect(back && back.ok && equalValue(back.value.value, quantity(paper).value)).toBe(true);
  });

  it.each([
    [sizes('0"', `1'`), 'paper', 'scale.zero'],
    [sizes('1"', '-1 m'), 'site', 'scale.zero'],
    [sizes('3', `1'`), 'paper', 'scale.not_length'],
    [sizes('1"', '2 sq ft'), 'site', 'scale.not_length'],
    [sizes('1" > 2"', `1'`), 'paper', 'scale.not_length'],
    [ratio('0', '20'), 'paper', 'scale.zero'],
    [ratio('1', '20 mm'), 'site', 'scale.ratio'],
    [ratio('', '20'), 'paper', 'entry.empty'],
    [sizes('1/4"', 'rail'), 'site', 'name.unknown'],
  ])('%o is refused on the side of the %s: %s', (definition, side, code) => {
    const read = readScale(definition);
    expect(read).toMatchObject({ ok: false, issue: { side, issue: { code } } });
    if (!read.ok) expect(describeIssue(read.issue.issue)).toMatch(/\.$/);
  });

  it('offers units for a plain number, each of which mends it', () => {
    const read = readScale(sizes('1/4', `1'`));
    if (read.ok) throw new Error('1/4 is no length');
    const fixes = read.issue.issue.fixes.map(({ entry }) => entry);
    expect(fixes).toEqual(['1/4"', `1/4'`, '1/4 mm', '1/4 m']);
    for (const paper of fixes) expect(readScale(sizes(paper, `1'`)).ok).toBe(true);
  });

  it('offers units for a plain number that was measured, those of the job first', () => {
    const fixes = (style?: ReadingStyle) =>
      measuredIssue('2 5/8', quantity('2 5/8'), style)?.fixes.map(({ entry }) => entry);
    expect(fixes()).toEqual(['2 5/8"', `2 5/8'`, '2 5/8 mm', '2 5/8 m']);
    expect(fixes({ ...DEFAULT_STYLE, length: 'mm' })?.[0]).toBe('2 5/8 mm');
    expect(measuredIssue('3 kg', quantity('3 kg'))).toMatchObject({ code: 'scale.kind', fixes: [] });
    expect(measuredIssue('2 sq in', quantity('2 sq in'))).toBeUndefined();
  });

  it('turns sizes only', () => {
    for (const entry of ['5', '30°', '6:12', '3 kg', '$4']) expect(turned(entry, ratio('1', '20'))).toBe('scale.kind');
  });

  it('writes the turn as an entry for the slate', () => {
    const written = (entry: string, definition: ScaleDefinition, from: 'paper' | 'site' = 'paper') =>
      turnedEntry('#7', quantity(entry).dimension, scaleOrThrow(definition), from, DEFAULT_STYLE);
    expect(written(`1'`, sizes('1/4"', `1'`))).toBe('#7 * 48');
    expect(written(`1'`, sizes('1/4"', `1'`), 'site')).toBe('#7 / 48');
    expect(written('1 sq ft', ratio('1', '20'))).toBe('#7 * 20^2');
    expect(written('1 cu ft', ratio('1', '20'), 'site')).toBe('#7 / 20^3');
    expect(written(`1'`, sizes('3 cm', '1 m'))).toBe('#7 * (33 1/3)');
    expect(written('3 kg', ratio('1', '20'))).toBeUndefined();
  });

  it('reads each side in the units it is measured in', () => {
    const on = (side: 'paper' | 'site', entry: string, length: ReadingStyle['length']) =>
      readSide(quantity(entry), side, { ...DEFAULT_STYLE, length }).text;
    expect(on('site', '9 sq in', 'ft-in')).toBe('0.063 sq ft');
    expect(on('paper', '9 sq in', 'ft-in')).toBe('9 sq in');
    expect(on('paper', '4 cu in', 'yd')).toBe('4 cu in');
    expect(on('paper', '12 cm2', 'm')).toBe('12 cm²');
    expect(on('paper', '1.3 cm', 'm')).toBe('13 mm');
    expect(on('paper', '2.5 in', 'yd')).toBe('2 1⁄2″');
    expect(on('paper', '14 in', 'ft-in')).toBe('1′ 2″');
    expect(on('paper', '3 kg', 'mm')).toBe('3 kg');
  });

  it('reads paper to a finer division than the site, and in decimals what that would show as nothing', () => {
    const on = (entry: string, style: Partial<ReadingStyle> = {}) =>
      readSide(quantity(entry), 'paper', { ...DEFAULT_STYLE, ...style });
    expect(on('2 15/32"')).toMatchObject({ text: '2 15⁄32″', rounding: 'exact' });
    expect(on('2 15/32"', { finest: 128 }).text).toBe('2 15⁄32″');
    expect(on('1 mm / 48', { length: 'mm' }).text).toBe('0.0208 mm');
    expect(on('1 mm / 48').text).toBe('0.0008 in');
    expect(on('12.34 mm', { length: 'm', metricStep: makeRational(5) })).toMatchObject({
      text: '12.3 mm',
      rounding: 'full',
    });
    expect(on('0"').text).toBe('0″');
  });

  it('comes to the same as an entry and as a turn', () => {
    const part = fc.tuple(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 1, max: 64 }));
    fc.assert(
      fc.property(part, part, part, fc.constantFrom('', '^2', '^3'), (paper, site, size, power) => {
        const [onPaper, onSite, amount] = [paper, site, size].map(([num, den]) => `(${num}/${den})`) as [
          string,
          string,
          string,
        ];
        const scale = scaleOrThrow(sizes(`${onPaper}"`, `${onSite}'`));
        const entry = `(${amount}")${power}`;
        const there = turn(quantity(entry), scale, 'paper');
        const text = turnedEntry(`(${entry})`, quantity(entry).dimension, scale, 'paper', DEFAULT_STYLE);
        expect(there.ok && equalValue(there.value.value, quantity(text ?? '').value)).toBe(true);
      }),
    );
  });
});

describe('the common scales', () => {
  it('are worked out from their own definitions', () => {
    for (const { definition, factor, title } of COMMON_SCALES)
      expect(equalValue(scaleOrThrow(definition).factor, factor), title).toBe(true);
    expect(new Set(COMMON_SCALES.map(({ title }) => title)).size).toBe(COMMON_SCALES.length);
  });

  it('find which a bar fits, and how far it is off', () => {
    const [best, next] = bestFits(quantity('2 1/2"'), quantity(`10'`));
    expect([best?.scale.title, best?.off]).toEqual(['1/4″ = 1′'.replace('/', '⁄'), 0]);
    expect(next?.scale.title).toBe('1:50');
    // A bar of 10 m that measures 97 mm: 1:100, printed 3 % too small; it would measure 100 mm.
    const [shrunk] = bestFits(quantity('97 mm'), quantity('10 m'));
    expect(shrunk?.scale.title).toBe('1:100');
    expect(shrunk?.off).toBeCloseTo(-0.03, 10);
    expect(shrunk && valueToNumber(shrunk.wouldMeasure.value)).toBeCloseTo(0.1, 12);
    expect(bestFits(quantity('2 1/2"'), quantity(`10'`))).toHaveLength(3);
    expect(bestFits(quantity('0"'), quantity(`10'`))).toEqual([]);
    expect(bestFits(quantity('1"'), quantity('3 kg'))).toEqual([]);
  });
});

describe('the drawn rule', () => {
  const quarter = scaleOrThrow(sizes('1/4"', `1'`));
  const twenty = scaleOrThrow(ratio('1', '20'));
  const metric = { ...DEFAULT_STYLE, length: 'mm' as const };

  it('chooses divisions that can be seen apart', () => {
    expect(divisionFor(quarter, 1, DEFAULT_STYLE)).toMatchObject({ size: makeRational(3), unit: 'in' });
    expect(divisionFor(quarter, 12, DEFAULT_STYLE)).toMatchObject({ size: makeRational(60) });
    expect(divisionFor(twenty, 1, metric)).toMatchObject({ size: makeRational(50), unit: 'mm', onPaper: 2.5 });
    expect(divisionFor({ factor: makeRational(10n ** 12n) }, 1, metric).size).toEqual(makeRational(500_000));
  });

  it('measures on paper what it says: five feet at a quarter inch to the foot are an inch and a quarter', () => {
    const { shapes, width } = scaleRule(quarter, 250, DEFAULT_STYLE);
    const figure = shapes.find((shape) => shape.kind === 'text' && shape.text === '5′');
    expect(figure?.kind === 'text' && figure.x).toBeCloseTo(31.75, 9);
    expect(width).toBe(250);
    expect(shapes).toContainEqual(expect.objectContaining({ kind: 'text', text: '3″' }));
    for (const shape of shapes) if (shape.kind === 'line') expect(shape.x1 > 0 && shape.x1 < 250).toBe(true);
  });

  it('draws a bar with its figures above it', () => {
    const { shapes, width } = scaleBar(twenty, 120, metric);
    const figures = shapes.flatMap((shape) => (shape.kind === 'text' ? [shape.text] : []));
    expect(figures).toEqual(['0 mm', '500 mm', '1000 mm', '1500 mm', '2000 mm']);
    expect(width).toBeLessThanOrEqual(120);
    // Boxes side by side from the zero on, every other one filled, as long together as what the figures say.
    const boxes = shapes.flatMap((shape) => (shape.kind === 'box' ? [shape] : []));
    const left = Math.min(...boxes.map(({ x }) => x));
    const right = Math.max(...boxes.map(({ x, width: wide }) => x + wide));
    expect(right - left).toBeCloseTo(100, 9);
    expect(boxes.filter(({ x }) => Math.abs(x - left) < 1e-9)).toHaveLength(1);
    expect(boxes.filter(({ filled }) => filled).length).toBeGreaterThan(boxes.length / 3);
  });
});
