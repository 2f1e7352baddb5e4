import type { LengthStyle } from '@sprell/core';

/** A made-up job: its lines as a person would type them, numbered from 1 in this order. */
export interface DemoJob {
  readonly title: string;
  readonly length: LengthStyle;
  readonly lines: readonly (readonly [label: string | null, source: string, note?: string])[];
  /** Headings, by the number of the line that each stands above. */
  readonly headings?: Readonly<Record<number, string>>;
  readonly scales?: readonly DemoScale[];
}

/** What a drawing is called, and so much on it for so much on site. */
type DemoScale = readonly [name: string | null, kind: 'sizes' | 'ratio' | 'copy', paper: string, site: string];

/** Three jobs of a crew of three. Every name, figure and price is made up. */
export const DEMO_JOBS: readonly DemoJob[] = [
  {
    title: 'Bandstand, Quill Park',
    length: 'ft-in',
    scales: [
      ['Old drawings', 'sizes', '1/4"', `1'`],
      ['Post shoes', 'ratio', '1', '20'],
      ['Roof plan, a poor copy', 'copy', '6 3/8"', `26' 4"`],
    ],
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
    scales: [[null, 'ratio', '1', '50']],
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
