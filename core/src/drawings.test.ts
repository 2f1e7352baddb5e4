import { describe, expect, it } from 'vitest';
import type { Drawing, Shape } from './drawing/drawing.ts';
import { DEFAULT_STYLE } from './reading/style.ts';
import { readQuantity } from './reading/read-quantity.ts';
import { readScale } from './scale/drawing-scale.ts';
import { scaleBar, scaleRule } from './scale/scale-rule.ts';
import type { FigurePart, Point } from './setting-out/figure.ts';
import { jackLengths } from './setting-out/jacks.ts';
import { ordinates } from './setting-out/ordinates.ts';
import { solve, type Givens } from './setting-out/solve.ts';
import { SOLVERS } from './setting-out/solvers.ts';
import { runningMarks } from './setting-out/spacing.ts';
import { templateSheets } from './setting-out/template.ts';
import { rodOf } from './stick/rod.ts';
import { rodSheets } from './stick/rod-sheets.ts';
import { makeRational } from './number/rational.ts';
import { quantityIn, type Quantity } from './units/quantity.ts';
import { unitById } from './units/unit-table.ts';

/**
 * Every drawing, in figures: what each shape comes to and where each of its parts lies, in metres, and what lies on each
 * sheet, in millimetres, summed up. The tests of single drawings say that these figures are right; this table says that a
 * change of one of them was meant. After such a change look at the drawing, and then: npx vitest run -u core/src/drawings.test.ts
 */
const TABLE = '../golden/drawings';

const n = (value: number): string => String(Math.round(value * 1e6) / 1e6 || 0);
const at = ({ x, y }: Point): string => `${n(x)},${n(y)}`;
function partText(part: FigurePart): string {
  switch (part.kind) {
    case 'path':
      return `path ${part.weight} ${part.field ?? '-'}${part.closed ? ' closed' : ''} ${part.points.map(at).join(' ')}`;
    case 'arc':
      return `arc ${part.weight} ${part.field ?? '-'} ${at(part.centre)} r ${n(part.radius)} ${n(part.from)} to ${n(part.to)}`;
    case 'size':
      return `size ${part.field} ${at(part.from)} ${at(part.to)} off ${n(part.off)}`;
    case 'angle':
      return `angle ${part.field} ${at(part.at)} ${n(part.from)} to ${n(part.to)} words ${n(part.words)}`;
    case 'label':
      return `label ${at(part.at)} ${part.text}`;
  }
}

/** Many shapes of one look in a line: how many, and the sums of where they lie. */
function sheetText({ width, height, shapes }: Drawing): string {
  const looks = new Map<string, { count: number; sums: number[] }>();
  const add = (look: string, ...numbers: number[]) => {
    const found = looks.get(look) ?? { count: 0, sums: numbers.map(() => 0) };
    looks.set(look, { count: found.count + 1, sums: found.sums.map((sum, index) => sum + (numbers[index] as number)) });
  };
  const texts: string[] = [];
  const place = (shape: Shape) => {
    if (shape.kind === 'line') add(`line ${shape.weight}`, shape.x1, shape.y1, shape.x2, shape.y2);
    else if (shape.kind === 'box')
      add(`box ${shape.filled ? 'filled' : 'open'}`, shape.x, shape.y, shape.width, shape.height);
    else {
      const { x, y, text, size, anchor, upright, strong } = shape;
      texts.push(
        `text ${n(x)},${n(y)} ${n(size)} ${anchor}${upright ? ' upright' : ''}${strong ? ' strong' : ''} ${text}`,
      );
    }
  };
  shapes.forEach(place);
  const lines = [...looks].map(([look, { count, sums }]) => `${look} ${count}: ${sums.map(n).join(' ')}`);
  return [`sheet ${n(width)} × ${n(height)}`, ...lines, ...texts].join('\n');
}
function sheets(made: { readonly ok: true; readonly value: readonly Drawing[] } | { readonly ok: false }): string {
  if (!made.ok) throw new Error('not drawn');
  return made.value.map(sheetText).join('\n');
}

const CASES: readonly (readonly [id: string, givens: string])[] = [
  ['right-triangle', `rise=6' run=9'`],
  ['triangle', `a=7' b=6' c=9'`],
  ['triangle', `a=7' b=9' A=40°`],
  ['square-check', `length=8' width=6' rising=10.3' falling=9.6'`],
  ['square-check', `length=8' width=6' rising=9.99' falling=10' tolerance=1/4"`],
  ['square-check', `length=8' width=6' rising=10'`],
  ['rafter', `run=9' pitch=8:12`],
  ['rafter', `span=19' pitch=8:12 ridge=1.5" overhang=2' depth=11" seat=4" share=1/3`],
  ['rafter', `run=9' rise=6' overhang=2' depth=14" stand=9"`],
  ['rafter', `run=9' pitch=30°`],
  ['hip', `run=9' pitch=8:12`],
  ['hip', `run=9' pitch=8:12 corner=120° ridge=1.5" overhang=2' thick=3" depth=14" stand=6" share=1/2`],
  ['jacks', `run=9' pitch=8:12 centres=2'`],
  ['jacks', `run=9' pitch=8:12 centres=2' corner=100° thick=1.5" first=16"`],
  ['arc', `chord=8' rise=2'`],
  ['arc', `chord=8' rise=6'`],
  ['arc', `chord=8' radius=5'`],
  ['circle', `diameter=4'`],
  ['ellipse', `long=6' short=4'`],
  ['ring', `outer=4' inner=2.5'`],
  ['polygon', `sides=8 flats=12' plate=1' lean=30°`],
  ['polygon', `sides=5 side=3'`],
  ['spacing-gaps', `length=40" width=2" count=6`],
  ['spacing-gaps', `length=40" width=2" largest=4"`],
  ['spacing-members', `length=40" width=2" count=7`],
  ['spacing-members', `length=40" width=2" count=2`],
  ['spacing-centres', `length=43" width=2" centres=8"`],
  ['steps', `total=4' count=6 going=10"`],
  ['steps', `total=9' run=12' count=15 structure=10" above=0.75" below=1" tread=1" floor=11" headroom=80"`],
  ['steps', `total=9' count=15 going=10" steepest=7.75" shallowest=4" longest=11" shortest=10" steepestSlope=38°`],
  ['slab', `length=8' width=5' depth=1' count=2 waste=10%`],
  ['wall', `length=8' height=5' thick=1' openings=0.5m² waste=5%`],
  ['holes', `diameter=1' depth=3' count=3`],
  ['holes', `diameter=1' depth=3' count=1`],
  ['footing', `footLength=5' footWidth=4' topLength=2' topWidth=2' height=3' count=4`],
];

const solved = (id: string, givens: string) => {
  const solver = SOLVERS.find((one) => one.id === id);
  if (solver === undefined) throw new Error(`no ${id}`);
  return { solver, ...solve(solver, givens.split(' ').map((one) => one.split('=') as [string, string]) as Givens) };
};

describe('the drawings', () => {
  it('of shapes are where they were', async () => {
    const text = CASES.map(([id, givens]) => {
      const { answers, issues, limits } = solved(id, givens) as ReturnType<typeof solved> & { limits?: unknown };
      const problems = Object.entries(issues).map(([field, issue]) => `issue ${field} ${issue?.code}`);
      const each = answers.map(({ title, known, figure }) =>
        [
          `answer ${title}`,
          ...Object.entries(known).map(([field, one]) => `  ${field} ${one ? readQuantity(one.quantity).text : ''}`),
          ...(figure?.parts ?? []).map((part) => `  ${partText(part)}`),
        ].join('\n'),
      );
      return [`${id} ${givens}`, ...problems, ...(limits === undefined ? [] : [JSON.stringify(limits)]), ...each].join(
        '\n',
      );
    });
    await expect(`${text.join('\n\n')}\n`).toMatchFileSnapshot(`${TABLE}/shapes.txt`);
  });

  it('lists that go with a shape say what they said', async () => {
    const [arc] = solved('arc', `chord=8' rise=2'`).answers;
    const [jacks] = solved('jacks', `run=9' pitch=8:12 centres=2' corner=100° thick=1.5"`).answers;
    if (!arc || !jacks) throw new Error('not solved');
    const foot = makeRational(3048, 10000);
    const lists = [
      ...ordinates(arc, foot).map(
        ({ along, height }) => `ordinate ${readQuantity(along).text} ${readQuantity(height).text}`,
      ),
      ...jackLengths(jacks).map(
        (jack) =>
          `jack ${Object.values(jack)
            .map((one: Quantity | number) => (typeof one === 'number' ? String(one) : readQuantity(one).text))
            .join(' ')}`,
      ),
      ...(['near', 'centre', 'far'] as const).flatMap((edge) =>
        (['gaps', 'members', 'rest'] as const).flatMap((ends) => {
          const id = { gaps: 'spacing-gaps', members: 'spacing-members', rest: 'spacing-centres' }[ends];
          const [answer] = solved(
            id,
            ends === 'rest' ? `length=43" width=2" centres=8"` : `length=40" width=2" count=5`,
          ).answers;
          return answer
            ? runningMarks(answer, ends, edge, DEFAULT_STYLE).map(
                ({ number, at: place }) => `${edge} ${ends} ${number} ${readQuantity(place).text}`,
              )
            : [];
        }),
      ),
    ];
    await expect(`${lists.join('\n')}\n`).toMatchFileSnapshot(`${TABLE}/lists.txt`);
  });

  it('on sheets are where they were', async () => {
    const inches = (name: string, size: number) => ({
      name,
      quantity: quantityIn(makeRational(size), unitById('in')),
      text: `${size}″`,
    });
    const rod = rodOf([
      inches('foot', 1),
      inches('short', 12),
      inches('beside', 13),
      inches('mid', 40),
      inches('long', 100),
    ]);
    const scales = [
      { kind: 'sizes', paper: '1/4"', site: `1'` },
      { kind: 'ratio', paper: '1', site: '20' },
      { kind: 'copy', paper: '6 3/8"', site: `26' 4"` },
    ] as const;
    const metric = { ...DEFAULT_STYLE, length: 'mm' as const };
    const blocks = [
      ...scales.flatMap((definition) => {
        const read = readScale(definition);
        if (!read.ok) throw new Error('no scale');
        return [DEFAULT_STYLE, metric].flatMap((style) => [
          `bar ${definition.paper} ${style.length}\n${sheetText(scaleBar(read.value, 150, style))}`,
          `rule ${definition.paper} ${style.length}\n${sheetText(scaleRule(read.value, 200, style))}`,
        ]);
      }),
      ...(['to-scale', 'full-size'] as const).flatMap((size) =>
        (['a4', 'letter'] as const).map(
          (sheet) =>
            `rod ${size} ${sheet}\n${sheets(rodSheets(rod, { sheet, size, metric: sheet === 'a4', title: 'Shed' }))}`,
        ),
      ),
      ...(
        [
          ['arc', `chord=2' rise=6"`],
          ['circle', `diameter=5"`],
          ['polygon', `sides=6 flats=1' plate=2"`],
        ] as const
      ).map(([id, givens]) => {
        const figure = solved(id, givens).answers[0]?.figure;
        if (figure === undefined) throw new Error('no figure');
        return `template ${id}\n${sheets(templateSheets(figure, { sheet: 'a4', title: 'Shed' }))}`;
      }),
    ];
    await expect(`${blocks.join('\n\n')}\n`).toMatchFileSnapshot(`${TABLE}/sheets.txt`);
  });
});
