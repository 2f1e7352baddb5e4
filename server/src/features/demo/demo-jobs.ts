import type { Content } from '@sprell/contract';
import type { LengthStyle } from '@sprell/core';
import { DEMO_TAKE_OFF } from './demo-take-off.ts';

/** A made-up job: its lines as a person would type them, numbered from 1 in this order. */
export interface DemoJob {
  readonly title: string;
  readonly length: LengthStyle;
  readonly lines: readonly (readonly [label: string | null, source: string, note?: string])[];
  /** Headings, by the number of the line that each stands above. */
  readonly headings?: Readonly<Record<number, string>>;
  /** Its things, by the name of their kind, with entries as a person would type them, and other things by their names. */
  readonly things?: Readonly<Record<string, readonly Content[]>>;
}

/** Shapes under a name: which, and what is typed in its fields. */
type DemoSetOut = readonly [name: string, shape: string, givens: Readonly<Record<string, string>>];
const setOuts = (...all: readonly DemoSetOut[]): readonly Content[] =>
  all.map(([name, shape, givens]) => {
    return { name, shape, answer: '', fields: Object.keys(givens), entries: Object.values(givens) };
  });

/** What drawings are called, and so much on each for so much on site. */
type DemoScale = readonly [name: string | null, kind: 'sizes' | 'ratio' | 'copy', paper: string, site: string];
const scales = (...all: readonly DemoScale[]): readonly Content[] =>
  all.map(([name, kind, paper, site]) => ({ name, kind, paper, site }));

/** Three jobs of a crew of three. Every name, figure and price is made up. */
export const DEMO_JOBS: readonly DemoJob[] = [
  {
    title: 'Bandstand, Quill Park',
    length: 'ft-in',
    things: {
      ...DEMO_TAKE_OFF,
      scale: scales(
        ['Old drawings', 'sizes', '1/4"', `1'`],
        ['Post shoes', 'ratio', '1', '20'],
        ['Roof plan, a poor copy', 'copy', '6 3/8"', `26' 4"`],
      ),
      setout: setOuts(
        ['Ring of plates', 'polygon', { sides: '8', flats: '#1', plate: '7 1/4"' }],
        [
          'Common rafters',
          'rafter',
          { span: '#1', pitch: '6:12', ridge: '7 1/4"', overhang: `1' 6"`, depth: '5 1/2"', seat: '3 1/2"' },
        ],
        [
          'Eight hips',
          'hip',
          {
            run: '#1 / 2',
            pitch: '6:12',
            corner: '135°',
            ridge: '7 1/4"',
            overhang: `1' 6"`,
            thick: '1 1/2"',
            depth: '5 1/2"',
            stand: '4 3/8"',
          },
        ],
        [
          'Jacks beside the hips',
          'jacks',
          { run: '#1 / 2', pitch: '6:12', corner: '135°', thick: '1 1/2"', centres: '16"' },
        ],
        ['Balusters', 'spacing-gaps', { length: 'rail', width: '1 1/2"', count: '13' }],
        ['Arch between two posts', 'arc', { chord: 'opening', rise: '9"' }],
        ['Steps to the deck', 'steps', { total: '#31', count: '3', going: '11"', tread: '1 1/4"' }],
        [
          'Stair to the store loft',
          'steps',
          {
            structure: `7' 9 1/2"`,
            above: '3/4"',
            below: '1/2"',
            going: '10"',
            floor: '8 1/2"',
            steepestSlope: '40°',
          },
        ],
        ['Pads under the posts', 'slab', { length: '18"', width: '18"', depth: '12"', count: '8', yield: '0.6 cu ft' }],
        ['Ring of stone around it', 'ring', { inner: `30'`, width: `2' 6"` }],
      ),
    },
    headings: {
      1: 'Plan',
      6: 'Posts',
      10: 'Rail and balusters',
      16: 'Roof',
      27: 'Deck, pads and steps',
      33: 'Checks',
      37: 'Paint and money',
      43: 'Offcuts of the rail stock',
    },
    lines: [
      ['across the flats', `26' 4"`, 'Taped twice, plate to plate'],
      ['side of the octagon', `#1 * (sqrt(2) - 1)`],
      ['across the corners', `#1 / cos 22.5`],
      ['all round', `8 * #2`],
      ['floor', `2 * (sqrt(2) - 1) * #1^2`],
      ['post on the old drawing', `2 5/8" * 48`, 'Drawn at 1/4″ to the foot'],
      ['shoe on the new drawing', `9 mm * 20`, 'Drawn at 1:20'],
      ['post, cut', `post = #6 - #7 - 3/4"`, 'Grout bed of 3/4″ under each shoe'],
      ['eight posts', `8 * post to ft`],
      ['opening between posts', `opening = #2 - 5 1/2"`],
      ['rail, cut', `rail = opening - 2 * 1/8"`, 'An eighth free at each end'],
      ['thirteen balusters', `13 * 1 1/2"`],
      ['gap', `gap = (rail - #12) / 14`],
      ['gap to the tape', `round(#13; 1/8")`],
      ['out at the last one, stepped off', `14 * (#13 - #14)`],
      ['rafter run', `run = #1 / 2 + 1' 6"`, 'Overhang of 1′ 6″ on the level'],
      ['rafter rise', `rise = run * 6:12`],
      ['rafter along the top', `hyp(#16; #17)`],
      ['half the king block', `7 1/4" / 2`],
      ['rafter, cut', `rafter = #18 - #19`],
      ['hip run', `#16 / cos 22.5`],
      ['hip along the top', `hip = hyp(#21; rise)`],
      ['plumb cut', `6:12 to degrees`],
      ['side at the eaves', `eaves = 2 * run * (sqrt(2) - 1)`],
      ['roof', `roof = 8 * eaves * #18 / 2`],
      ['shingles with a tenth over', `#25 + 10% to squares`],
      ['deck boards', `#5 / 5 5/8" to ft`, '5 1/2″ boards, 1/8″ gap'],
      ['deck boards with waste', `#27 + 12% to ft`],
      ['joists', `16 * 2" * 7 1/4" * 13' 2" to bf`],
      ['pads', `8 * 18" * 18" * 12" to cu yd`],
      ['rise of the steps', `1' 9 1/2"`],
      ['each of three risers', `riser = #31 / 3`],
      ['old post, measured', `10' 5 7/8"`],
      ['shrunk since it was drawn', `#6 - #33`],
      ['frieze board, long side', `frieze = #2 + 2 * 3/4" * tan 22.5`],
      ['square check, one quarter', `hyp(#1 / 2; #1 / 2)`],
      ['paint, two coats', `2 * #4 * 3' 2" / (350 sq ft/gal) to gal`],
      ['price of decking', `$3.85/ft`],
      ['decking', `#28 * #38`],
      ['crew of three, two days', `3 * 2 * 7 h 30 min`],
      ['wages', `#40 * $38/h`],
      ['decking and wages', `#39 + #41`],
      ['left of the first length', `offcut = 16' - rail`],
      ['left of the second', `offcut += 3' 2 7/16"`],
      ['cut into two blocks', `offcut -= 2 * 7 1/4"`],
      ['packers, three', `offcut -= 3 * 1 1/8"`],
    ],
  },
  {
    title: 'Allotment tool store',
    length: 'mm',
    things: {
      scale: scales([null, 'ratio', '1', '50']),
      setout: setOuts(
        ['Floor frame, taped', 'square-check', { length: '#1', width: '#2', rising: '3004 mm', falling: '2996 mm' }],
        ['Studs, long side', 'spacing-centres', { length: '#1', width: '45 mm', centres: '400 mm' }],
        ['Base', 'slab', { length: '#1 + 200 mm', width: '#2 + 200 mm', depth: '100 mm', yield: '12 l' }],
        [
          'Low wall at the back',
          'wall',
          { length: '#1', height: '600 mm', thick: '140 mm', openings: '400 mm * 200 mm' },
        ],
        ['Fence posts', 'holes', { diameter: '250 mm', depth: '600 mm', count: '7', yield: '12 l' }],
      ),
    },
    lines: [
      ['length outside', `2 m 40`],
      ['depth outside', `1.8 m`],
      ['square check', `hyp(#1; #2)`],
      ['studs at', `#1 / 6`, 'Six spaces'],
      ['wall height, front', `2100 mm`],
      ['fall of the roof', `#2 * 1:8`],
      ['wall height, back', `#5 - #6`],
      ['cladding, all four sides', `2 * #1 * #5 + 2 * #2 * (#5 + #7) / 2`],
      ['boards of 125 mm cover', `#8 / 125 mm to m`],
      ['slab', `(#1 + 200 mm) * (#2 + 200 mm) * 100 mm`],
    ],
  },
  {
    title: 'Chapel porch',
    length: 'ft-in',
    things: {
      setout: setOuts(
        ['Door arch', 'arc', { chord: '#1', rise: '#4' }],
        ['Gable', 'right-triangle', { run: `(#1 + 2 * 6") / 2`, pitch: '10:12' }],
        ['Oval light in the gable', 'ellipse', { long: `2' 6"`, short: `1' 8"` }],
        ['Corner brace', 'triangle', { a: `2' 2"`, b: `1' 6"`, C: '90°' }],
        ['Railing to the steps', 'spacing-members', { length: `4' 7"`, width: '1 1/4"', largest: '4"' }],
        ['Lamp base', 'circle', { around: `3' 1 3/4"` }],
        [
          'Footings of the gate posts',
          'footing',
          {
            footLength: `2'`,
            footWidth: `2'`,
            topLength: `1' 2"`,
            topWidth: `1' 2"`,
            height: `1' 6"`,
            count: '2',
            yield: '0.45 cu ft',
          },
        ],
      ),
    },
    lines: [
      ['opening', `5' 11 3/8"`],
      ['jambs', `2 * 3 3/4"`],
      ['door, cut', `#1 - #2 - 2 * 1/8"`],
      ['arch rise', `1' 2"`],
      ['arch radius', `(#1 / 2)^2 / (2 * #4) + #4 / 2`],
      ['sill board', `#1 + 2 * 4"`],
      ['tread', `11" + 1 1/4"`],
      ['ramp', `1' 2" / (1:12)`, 'One in twelve'],
    ],
  },
];
