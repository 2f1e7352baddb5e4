import { describe, expect, it } from 'vitest';
import { reckon } from '../evaluate/reckon.ts';
import { DEFAULT_STYLE, type ReadingStyle } from '../reading/style.ts';
import type { Quantity } from '../units/quantity.ts';
import { UNITS } from '../units/unit-table.ts';
import { UNIT_SOURCES } from '../units/unit-sources.ts';
import { conversionTable, degreesStep } from './conversion-table.ts';
import { pocketCards } from './pocket-card.ts';
import { tapeNeighbours } from './tape-neighbours.ts';
import { FAMILY_KINDS, familyReadings, UNIT_FAMILIES } from './unit-families.ts';

function quantity(entry: string): Quantity {
  const { outcome, issue } = reckon(entry);
  if (outcome?.kind !== 'quantity') throw new Error(`${entry}: ${issue?.code}`);
  return outcome.quantity;
}
const readings = (entry: string, style: ReadingStyle = DEFAULT_STYLE, decimals?: number) =>
  Object.fromEntries(
    familyReadings(quantity(entry), style, decimals).map(({ member, reading }) => [member.id, reading.text]),
  );

describe('the family of a value', () => {
  it.each<[string, Readonly<Record<string, string>>]>([
    [
      `9' 7 1/4"`,
      {
        'ft-in': '9′ 7 1⁄4″',
        'in-fraction': '115 1⁄4″',
        in: '115.25 in',
        ft: '9.6042 ft',
        mm: '2927.4 mm',
        m: '2.9274 m',
      },
    ],
    ['6:12', { rise: '6:12', degrees: '≈ 26.57°', minutes: '≈ 26° 34′', percent: '50%', 'one-in': '1 in 2' }],
    ['45°', { rise: '12:12', percent: '100%', 'one-in': '1 in 1' }],
    ['1:80', { percent: '1.25%', 'one-in': '1 in 80' }],
    ['1 acre', { ft2: '43560 sq ft', ha: '0.405 ha', m2: '4046.8564 m²' }],
    ['1 cu yd', { ft3: '27 cu ft', l: '764.55 l', gal: '201.974 gal', m3: '0.76455 m³' }],
    ['100 lb', { kg: '45.359 kg', ton: '0.05 tons' }],
    ['68 °F', { celsius: '20 °C', fahrenheit: '68 °F' }],
    ['60 mph', { 'ft/s': '88 ft/s', 'km/h': '96.5606 km/h' }],
    ['10 gpm', { 'l/min': '37.8541 l/min', 'ft3/min': '1.3368 cu ft/min' }],
    // 14.5037738 psi are a bar: NIST SP 811, appendix B.
    ['1 bar', { psi: '14.504 psi', kpa: '100 kPa', psf: '2088.543 psf' }],
    ['40 psf', { kpa: '1.915 kPa' }],
    ['90 min', { h: '1.5 h' }],
  ])('of %s', (entry, wanted) => {
    expect(readings(entry)).toMatchObject(wanted);
  });

  it('is rounded as one likes', () => {
    expect(readings('1 bar', DEFAULT_STYLE, 1)).toMatchObject({ psi: '14.5 psi' });
    expect(readings('100 mm', { ...DEFAULT_STYLE, finest: 32 })['in-fraction']).toBe('3 15⁄16″');
    expect(readings('100 mm', { ...DEFAULT_STYLE, finest: 4, rounding: 'up' })['in-fraction']).toBe('4″');
  });

  it('leaves out what a value has no way to be written in', () => {
    expect(readings('90°')).not.toHaveProperty('percent');
    expect(readings('0:12')).not.toHaveProperty('one-in');
    expect(familyReadings(quantity('7'), DEFAULT_STYLE)).toEqual([]);
    expect(familyReadings(quantity('$7'), DEFAULT_STYLE)).toEqual([]);
  });

  it('reads back to what is shown, one touch from the slate', () => {
    for (const entry of [`9' 7 1/4"`, '1 acre', '1 cu yd', '100 lb', '68 °F', '60 mph', '10 gpm', '1 bar', '90 min'])
      for (const { member, reading } of familyReadings(quantity(entry), DEFAULT_STYLE)) {
        const again = familyReadings(quantity(reading.plain), DEFAULT_STYLE).find((one) => one.member.id === member.id);
        expect([member.id, again?.reading.text]).toEqual([member.id, reading.text]);
      }
  });

  it('is asked for by an entry, where one can', () => {
    for (const entry of [
      `9' 7 1/4"`,
      '6:12',
      '1 acre',
      '1 cu yd',
      '100 lb',
      '68 °F',
      '60 mph',
      '10 gpm',
      '1 bar',
      '90 min',
    ])
      for (const { member } of familyReadings(quantity(entry), DEFAULT_STYLE)) {
        const { issue } = reckon(`${entry} ${member.to ?? ''}`);
        expect([member.id, issue?.code]).toEqual([member.id, undefined]);
      }
  });

  it('says where every factor comes from', () => {
    for (const { id } of UNITS) expect(UNIT_SOURCES[id as keyof typeof UNIT_SOURCES]).toMatch(/\w/);
    for (const kind of FAMILY_KINDS)
      for (const member of UNIT_FAMILIES[kind])
        expect([member.id, member.source.length > 5]).toEqual([member.id, true]);
    expect(new Set(FAMILY_KINDS.flatMap((kind) => UNIT_FAMILIES[kind].map(({ id }) => `${kind} ${id}`))).size).toBe(
      FAMILY_KINDS.reduce((sum, kind) => sum + UNIT_FAMILIES[kind].length, 0),
    );
  });
});

describe('a conversion table', () => {
  it('has a row for every step, with the columns that were chosen', () => {
    const table = conversionTable(
      {
        from: quantity('1/16"'),
        to: quantity('1/4"'),
        step: quantity('1/16"'),
        columns: ['in-fraction', 'in', 'mm'],
        decimals: undefined,
      },
      DEFAULT_STYLE,
    );
    expect(table?.columns.map(({ title }) => title)).toEqual(['inches and fraction', 'inches, decimal', 'millimetres']);
    expect(table?.rows.map(({ cells }) => cells.map((cell) => cell?.text))).toEqual([
      ['1⁄16″', '0.063 in', '1.6 mm'],
      ['1⁄8″', '0.125 in', '3.2 mm'],
      ['3⁄16″', '0.188 in', '4.8 mm'],
      ['1⁄4″', '0.25 in', '6.4 mm'],
    ]);
    const finer = conversionTable(
      {
        from: quantity('1/16"'),
        to: quantity('1/16"'),
        step: quantity('1/16"'),
        columns: ['in', 'mm', 'none'],
        decimals: 4,
      },
      DEFAULT_STYLE,
    );
    expect(finer?.rows[0]?.cells.map((cell) => [cell?.text, cell?.isExact])).toEqual([
      ['0.0625 in', true],
      ['1.5875 mm', true],
    ]);
  });

  it('shows the division that it goes by, though the tape of the job is coarser', () => {
    const rows = (step: string, finest: number) =>
      conversionTable(
        {
          from: quantity(step),
          to: quantity('1/8"'),
          step: quantity(step),
          columns: ['in-fraction'],
          decimals: undefined,
        },
        { ...DEFAULT_STYLE, finest },
      )?.rows.map(({ cells }) => cells[0]?.text);
    expect(rows('1/32"', 16)).toEqual(['1⁄32″', '1⁄16″', '3⁄32″', '1⁄8″']);
    expect(rows('1/16"', 64)).toEqual(['1⁄16″', '1⁄8″']);
    // A third of an inch is no division of a tape.
    expect(rows('1/24"', 16)).toEqual(['1⁄16″', '1⁄16″', '1⁄8″']);
  });

  it('goes over temperatures by degrees', () => {
    const [from, to] = [quantity('-10 °C'), quantity('40 °C')];
    const rows = conversionTable(
      {
        from,
        to,
        step: degreesStep(quantity('5 °C'), 'celsius'),
        columns: ['celsius', 'fahrenheit'],
        decimals: undefined,
      },
      DEFAULT_STYLE,
    )?.rows.map(({ cells }) => cells.map((cell) => cell?.text).join(' '));
    expect([rows?.length, rows?.[0], rows?.[6]]).toEqual([11, '−10 °C 14 °F', '20 °C 68 °F']);
  });

  it('is none of what goes nowhere, or on for ever', () => {
    const asked = { columns: ['mm'], decimals: undefined };
    expect(
      conversionTable({ ...asked, from: quantity('2"'), to: quantity('1"'), step: quantity('1"') }, DEFAULT_STYLE),
    ).toBeUndefined();
    expect(
      conversionTable({ ...asked, from: quantity('0"'), to: quantity(`1000'`), step: quantity('1"') }, DEFAULT_STYLE),
    ).toBeUndefined();
    expect(
      conversionTable({ ...asked, from: quantity('1'), to: quantity('2'), step: quantity('1') }, DEFAULT_STYLE),
    ).toBeUndefined();
  });
});

describe('cards for a pocket', () => {
  const sixteenths = (columns: readonly string[], to = '4"') =>
    conversionTable(
      { from: quantity('1/16"'), to: quantity(to), step: quantity('1/16"'), columns, decimals: undefined },
      DEFAULT_STYLE,
    );

  it.each<[readonly string[], string, number]>([
    [['in-fraction', 'in', 'mm'], '4"', 1],
    [['in-fraction', 'in', 'mm'], `5'`, 6],
    [['ft-in', 'in-fraction', 'in', 'ft', 'mm', 'cm', 'm'], '4"', 1],
  ])('hold every row of %j to %s once, within the sheet', (columns, to, sheets) => {
    const table = sixteenths(columns, to);
    if (table === undefined) throw new Error('no table');
    const drawn = pocketCards(table, 'Inches', 'a4');
    expect(drawn).toHaveLength(sheets);
    const texts = drawn.flatMap(({ shapes }) => shapes).filter((shape) => shape.kind === 'text');
    // Every row has its first column in strong type.
    expect(texts.filter(({ strong, text }) => strong && text !== 'Inches').map(({ text }) => text)).toEqual(
      table.rows.map(({ cells }) => cells[0]?.text),
    );
    for (const { x, y, text, size, anchor } of texts) {
      const left = anchor === 'end' ? x - text.length * size * 0.62 : x;
      expect([text, left > 0, x <= 297, y > 0, y < 210]).toEqual([text, true, true, true, true]);
    }
  });

  it('are one, though there is nothing on it', () => {
    expect(pocketCards({ columns: [], rows: [] }, 'Nothing', 'letter')).toHaveLength(1);
  });
});

describe('what a size feels like on a tape', () => {
  it('is the marks around it, with how far they are off', () => {
    const near = tapeNeighbours(quantity('238 mm'), DEFAULT_STYLE);
    expect(near.map(({ text, isNearest }) => `${text}${isNearest ? ' !' : ''}`)).toEqual([
      '9 1⁄4″',
      '9 5⁄16″',
      '9 3⁄8″ !',
      '9 7⁄16″',
      '9 1⁄2″',
    ]);
    expect(tapeNeighbours(quantity('1/32"'), DEFAULT_STYLE).map(({ text }) => text)).toEqual([
      '0″',
      '1⁄16″',
      '1⁄8″',
      '3⁄16″',
    ]);
    expect(tapeNeighbours(quantity('3 kg'), DEFAULT_STYLE)).toEqual([]);
  });
});
