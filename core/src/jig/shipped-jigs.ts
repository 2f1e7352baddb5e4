import type { InputKind, Jig, JigCheck, JigInput, JigRepeat, JigStep } from './jig.ts';

/**
 * Jigs that Sprell ships with, each a whole jig as anybody could have written it. Their checks were worked out by hand from the
 * figures beside them; a test runs them all.
 */

interface InputOptions {
  readonly unit?: string;
  readonly metric?: string;
  readonly whole?: boolean;
  readonly least?: string;
  readonly most?: string;
  readonly hint?: string;
}

function input(name: string, title: string, kind: InputKind, usual: string, options: InputOptions = {}): JigInput {
  const none = { unit: '', metric: '', whole: false, least: '', most: '', hint: '' };
  return { ...none, name, title, kind, usual, ...options };
}
const length = (name: string, title: string, usual: string, metric: string, options: InputOptions = {}): JigInput =>
  input(name, title, 'length', usual, { unit: 'in', least: '0"', metric, ...options });
const count = (name: string, title: string, usual: string, options: InputOptions = {}): JigInput =>
  input(name, title, 'number', usual, { whole: true, least: '0', ...options });
const spare = (usual: string, title = 'To spare'): JigInput =>
  input('spare', title, 'number', usual, { least: '0%', most: '100%', hint: 'A part of it: 10%' });

const step = (name: string, title: string, entry: string, note = '', repeat: JigRepeat | null = null): JigStep => ({
  name,
  title,
  note,
  entry,
  isAnswer: false,
  repeat,
});
const answer = (name: string, title: string, entry: string, note = '', repeat: JigRepeat | null = null): JigStep => ({
  ...step(name, title, entry, note, repeat),
  isAnswer: true,
});
const check = (title: string, inputs: readonly string[], name: string, comesTo: string, within = ''): JigCheck => ({
  title,
  inputs,
  answer: name,
  comesTo,
  within,
});

type Shipped = Omit<Jig, 'id' | 'version' | 'decimalComma'>;

const SHIPPED: readonly Shipped[] = [
  {
    name: 'decking',
    title: 'Decking boards and gaps',
    about: 'How many boards cover a deck, how wide the last one is ripped, and the gap that saves ripping it.',
    inputs: [
      length('width', 'Width across the boards', `12'`, '3.6 m', { unit: 'ft' }),
      length('board', 'Width of a board', '5 1/2"', '140 mm', { least: '1/2"' }),
      length('gap', 'Gap between boards', '1/8"', '5 mm'),
      length('run', 'Length of the deck along the boards', `16'`, '4.8 m', { unit: 'ft' }),
    ],
    steps: [
      answer(
        'boards',
        'Boards',
        'up((width + gap) / (board + gap))',
        'The last gap is none: that is why one is added.',
      ),
      step('covered', 'Covered by whole boards', 'boards * board + (boards - 1) * gap'),
      answer('last_board', 'Last board, ripped to', 'board - (covered - width)'),
      step('unripped', 'Boards that fit whole', 'down((width + gap) / (board + gap))'),
      answer(
        'even_gap',
        'Gap that needs no ripping',
        'if(unripped > 1; (width - unripped * board) / (unripped - 1); gap)',
        'With one board less, where the last would be ripped.',
      ),
      answer('boards_length', 'Boards in all, end to end', 'boards * run'),
    ],
    checks: [
      // 144 1/8 over 5 5/8 is 25.6; 26 boards and 25 gaps cover 146 1/8.
      check('12 ft of 5 1/2 boards', [`12'`, '5 1/2"', '1/8"', `16'`], 'boards', '26'),
      check('the last of them', [`12'`, '5 1/2"', '1/8"', `16'`], 'last_board', '3 3/8"'),
      // 144 less 25 times 5 1/2 is 6 1/2, over 24 gaps.
      check('the even gap', [`12'`, '5 1/2"', '1/8"', `16'`], 'even_gap', '13/48"'),
      check('all boards', [`12'`, '5 1/2"', '1/8"', `16'`], 'boards_length', `416'`),
      check('that comes out even', ['1155 mm', '140 mm', '5 mm', '3 m'], 'last_board', '140 mm'),
    ],
  },
  {
    name: 'studs',
    title: 'Studs in a wall, with openings',
    about: 'Studs at even centres, less those that an opening takes out, and those that stand beside it.',
    inputs: [
      length('wall', 'Length of the wall', `16'`, '4.8 m', { unit: 'ft' }),
      length('centres', 'Centres', '16"', '400 mm', { least: '1"' }),
      count('openings', 'Openings', '1'),
      length('opening', 'Width of one opening', `3'`, '900 mm', { unit: 'ft' }),
      count('beside', 'Studs beside one opening', '4', { hint: 'Full and short ones, both sides together' }),
    ],
    steps: [
      step('on_centres', 'On centres', 'up(wall / centres) + 1', 'One more than there are spaces.'),
      step('left_out', 'Left out for openings', 'openings * down(opening / centres)'),
      answer('studs', 'Studs', 'on_centres - left_out + openings * beside'),
      answer('plates', 'Plates, three in all', '3 * wall'),
    ],
    checks: [
      // 12 spaces, 13 studs, 2 of them in the opening, 4 beside it.
      check('16 ft with one door', [`16'`, '16"', '1', `3'`, '4'], 'studs', '15'),
      check('no opening', [`16'`, '16"', '0', `3'`, '4'], 'studs', '13'),
      check('metric', ['4.8 m', '400 mm', '2', '900 mm', '4'], 'studs', '17'),
      check('plates', [`16'`, '16"', '1', `3'`, '4'], 'plates', `48'`),
    ],
  },
  {
    name: 'sheets',
    title: 'Sheets for an area',
    about: 'Whole sheets that an area takes, with some to spare.',
    inputs: [
      input('area', 'Area', 'area', '320 sq ft', { unit: 'sq ft', metric: '30 m2', least: '0 sq ft' }),
      length('long', 'Length of a sheet', `8'`, '2440 mm', { unit: 'ft', least: '1"' }),
      length('wide', 'Width of a sheet', `4'`, '1220 mm', { unit: 'ft', least: '1"' }),
      spare('10%'),
    ],
    steps: [
      step('sheet', 'One sheet', 'long * wide'),
      step('needed', 'With some to spare', 'area * (1 + spare)'),
      answer('sheets', 'Sheets', 'up(needed / sheet)'),
      answer('over', 'Over and above the area', 'sheets * sheet - area'),
    ],
    checks: [
      // 352 over 32.
      check('320 sq ft', ['320 sq ft', `8'`, `4'`, '10%'], 'sheets', '11'),
      check('what is over', ['320 sq ft', `8'`, `4'`, '10%'], 'over', '32 sq ft'),
      check('a little more', ['321 sq ft', `8'`, `4'`, '10%'], 'sheets', '12'),
    ],
  },
  {
    name: 'tiles',
    title: 'Tiles, laid from the middle',
    about: 'Rows and tiles for a floor, with the same cut at both ends and never less than half a tile.',
    inputs: [
      length('floor_long', 'Length of the floor', `10'`, '3 m', { unit: 'ft' }),
      length('floor_wide', 'Width of the floor', `8'`, '2.4 m', { unit: 'ft' }),
      length('tile_long', 'Tile, along the length', '12"', '300 mm', { least: '1/2"' }),
      length('tile_wide', 'Tile, along the width', '12"', '300 mm', { least: '1/2"' }),
      length('joint', 'Joint', '1/8"', '3 mm'),
      spare('10%'),
    ],
    steps: [
      step('fits_long', 'Tiles that fit along', '(floor_long + joint) / (tile_long + joint)'),
      step('fits_wide', 'Tiles that fit across', '(floor_wide + joint) / (tile_wide + joint)'),
      answer('rows', 'Rows along', 'up(fits_long)'),
      answer('columns', 'Rows across', 'up(fits_wide)'),
      answer(
        'end_cut',
        'Cut at both ends, along',
        'if(fits_long == down(fits_long); tile_long; (floor_long - (rows - 2) * (tile_long + joint) - joint) / 2)',
      ),
      answer(
        'side_cut',
        'Cut at both sides, across',
        'if(fits_wide == down(fits_wide); tile_wide; (floor_wide - (columns - 2) * (tile_wide + joint) - joint) / 2)',
      ),
      answer('tiles_wanted', 'Tiles to order', 'up(rows * columns * (1 + spare))'),
    ],
    checks: [
      // 120 1/8 over 12 1/8 is 9.9: 8 whole ones with their joints take 97, and 22 7/8 are left for two cuts.
      check('along', [`10'`, `8'`, '12"', '12"', '1/8"', '10%'], 'end_cut', '11 7/16"'),
      check('rows', [`10'`, `8'`, '12"', '12"', '1/8"', '10%'], 'rows', '10'),
      // 8 across: 6 whole ones take 72 3/4.
      check('across', [`10'`, `8'`, '12"', '12"', '1/8"', '10%'], 'side_cut', '11 9/16"'),
      check('to order', [`10'`, `8'`, '12"', '12"', '1/8"', '10%'], 'tiles_wanted', '88'),
      check('comes out even', ['3027 mm', '2.4 m', '300 mm', '300 mm', '3 mm', '10%'], 'end_cut', '300 mm'),
    ],
  },
  {
    name: 'board_feet',
    title: 'Board feet of a stack',
    about: 'The board measure of so many boards of one size, and what they cost by the board foot.',
    inputs: [
      count('boards', 'Boards', '40'),
      length('thick', 'Thickness', '2"', '50 mm'),
      length('wide', 'Width', '6"', '150 mm'),
      length('long', 'Length', `12'`, '3.6 m', { unit: 'ft' }),
      input('price', 'Price', 'rate', '1.10 $/bf', { unit: '$/bf', least: '0 $/bf' }),
    ],
    steps: [
      answer('measure', 'Board measure', 'boards * thick * wide * long to bf'),
      answer('apiece', 'One board', 'thick * wide * long to bf'),
      answer('cost', 'Cost', 'measure * price'),
    ],
    checks: [
      check('40 of 2 by 6', ['40', '2"', '6"', `12'`, '1.10 $/bf'], 'measure', '480 bf'),
      check('cost', ['40', '2"', '6"', `12'`, '1.10 $/bf'], 'cost', '$528'),
      check('one', ['40', '2"', '6"', `12'`, '1.10 $/bf'], 'apiece', '12 bf'),
    ],
  },
  {
    name: 'post_holes',
    title: 'Concrete for round post holes',
    about: 'Concrete for round holes with square posts in them, and the bags that make it.',
    inputs: [
      count('posts', 'Posts', '8'),
      length('across', 'Hole, across', '12"', '300 mm'),
      length('deep', 'Hole, deep', `3'`, '900 mm', { unit: 'ft' }),
      length('post', 'Side of a post', '5 1/2"', '140 mm', { hint: '0 for a hole without one' }),
      input('bag', 'A bag makes', 'volume', '0.6 cu ft', { unit: 'cu ft', metric: '10 l', least: '0.001 cu ft' }),
    ],
    steps: [
      step('hole', 'One hole', 'pi * (across / 2)^2 * deep'),
      step('taken', 'Taken up by a post', 'post^2 * deep'),
      answer('concrete', 'Concrete', 'posts * (hole - taken)'),
      answer('bags', 'Bags', 'up(concrete / bag)'),
    ],
    checks: [
      // π × 36 × 36 less 30.25 × 36 is 2,982.5 cu in a hole; 8 of them are 13.808 cu ft.
      check('8 posts', ['8', '12"', `3'`, '5 1/2"', '0.6 cu ft'], 'concrete', '13.808 cu ft', '0.001 cu ft'),
      check('bags', ['8', '12"', `3'`, '5 1/2"', '0.6 cu ft'], 'bags', '24'),
      check('no post in it', ['1', '2 m', '1 m', '0', '10 l'], 'concrete', 'pi * 1 m3'),
    ],
  },
  {
    name: 'fence',
    title: 'Fence with gates',
    about: 'Posts, rails and pales of a fence in even bays, with gates in it.',
    inputs: [
      length('run', 'Length of the fence', `100'`, '30 m', { unit: 'ft' }),
      count('gates', 'Gates', '1'),
      length('gate', 'Width of a gate', `4'`, '1.2 m', { unit: 'ft' }),
      length('bay', 'Widest bay', `8'`, '2.4 m', { unit: 'ft', least: '1"' }),
      count('rails', 'Rails in a bay', '3'),
      length('pale', 'Width of a pale', '5 1/2"', '140 mm', { least: '1/4"' }),
      length('gap', 'Gap between pales', '2"', '50 mm'),
    ],
    steps: [
      step('fenced', 'Fenced, without the gates', 'run - gates * gate'),
      answer('bays', 'Bays', 'up(fenced / bay)'),
      answer('even_bay', 'One bay, all alike', 'if(bays > 0; fenced / bays; bay)'),
      answer('posts', 'Posts', 'bays + 1 + gates', 'A gate has a post on either side.'),
      answer('rail', 'Rails, end to end', 'rails * fenced'),
      answer('pales', 'Pales', 'up(fenced / (pale + gap))'),
    ],
    checks: [
      check('bays', [`100'`, '1', `4'`, `8'`, '3', '5 1/2"', '2"'], 'bays', '12'),
      check('posts', [`100'`, '1', `4'`, `8'`, '3', '5 1/2"', '2"'], 'posts', '14'),
      check('rails', [`100'`, '1', `4'`, `8'`, '3', '5 1/2"', '2"'], 'rail', `288'`),
      // 1,152 over 7 1/2 is 153.6.
      check('pales', [`100'`, '1', `4'`, `8'`, '3', '5 1/2"', '2"'], 'pales', '154'),
      check('a bay', [`90'`, '0', `4'`, `8'`, '3', '5 1/2"', '2"'], 'even_bay', `7' 6"`),
    ],
  },
  {
    name: 'gravel',
    title: 'Gravel by depth, and its mass',
    about: 'Loose gravel for an area at a depth, with what is lost by compacting it, and what it weighs.',
    inputs: [
      input('area', 'Area', 'area', '200 sq ft', { unit: 'sq ft', metric: '20 m2', least: '0 sq ft' }),
      length('deep', 'Depth when compacted', '4"', '100 mm'),
      input('settles', 'Lost by compacting', 'number', '15%', { least: '0%', most: '100%' }),
      input('density', 'Density, loose', 'rate', '100 lb/cu ft', {
        unit: 'lb/cu ft',
        metric: '1600 kg/m3',
        least: '0 lb/cu ft',
        hint: 'Ask the pit; 95 to 110 lb/cu ft is common',
      }),
    ],
    steps: [
      step('compacted', 'Compacted', 'area * deep'),
      answer('loose', 'Loose, to order', 'compacted * (1 + settles) to cu yd'),
      answer('mass', 'Mass', 'loose * density'),
    ],
    checks: [
      // 200 by 1/3 ft is 66 2/3 cu ft, and 15 % more.
      check('to order', ['200 sq ft', '4"', '15%', '100 lb/cu ft'], 'loose', '76 2/3 cu ft'),
      check('mass', ['200 sq ft', '4"', '15%', '100 lb/cu ft'], 'mass', '7666 2/3 lb'),
      check('metric', ['20 m2', '100 mm', '0%', '1600 kg/m3'], 'mass', '3200 kg'),
    ],
  },
  {
    name: 'paint',
    title: 'Paint by coats',
    about: 'Paint for an area less its openings, in so many coats, and whole cans of it.',
    inputs: [
      input('area', 'Area', 'area', '600 sq ft', { unit: 'sq ft', metric: '55 m2', least: '0 sq ft' }),
      input('openings', 'Less openings', 'area', '60 sq ft', { unit: 'sq ft', metric: '5 m2', least: '0 sq ft' }),
      count('coats', 'Coats', '2', { least: '1' }),
      input('covers', 'Covers', 'rate', '350 sq ft/gal', {
        unit: 'sq ft/gal',
        metric: '10 m2/l',
        least: '0.01 sq ft/gal',
        hint: 'As it says on the can',
      }),
      input('can', 'A can holds', 'volume', '1 gal', { unit: 'gal', metric: '2.5 l', least: '0.001 gal' }),
    ],
    steps: [
      step('painted', 'Painted, all coats', '(area - openings) * coats'),
      answer('amount', 'Paint', 'painted / covers'),
      answer('cans', 'Cans', 'up(amount / can)'),
    ],
    checks: [
      // 1,080 over 350 is 3.086 gallons.
      check('amount', ['600 sq ft', '60 sq ft', '2', '350 sq ft/gal', '1 gal'], 'amount', '1080/350 gal'),
      check('cans', ['600 sq ft', '60 sq ft', '2', '350 sq ft/gal', '1 gal'], 'cans', '4'),
      check('metric', ['55 m2', '5 m2', '2', '10 m2/l', '2.5 l'], 'cans', '4'),
    ],
  },
  {
    name: 'fall',
    title: 'Fall over a run',
    about: 'How much a drain, a path or a gutter falls over its length, and how much at every stake on the way.',
    inputs: [
      length('run', 'Length of the run', `40'`, '12 m', { unit: 'ft' }),
      input('slope', 'Fall', 'slope', '1:80', { least: '0:1', hint: '1 in 80 is written 1:80' }),
      length('every', 'A stake every', `5'`, '2 m', { unit: 'ft', least: '1"' }),
    ],
    steps: [
      answer('drop', 'Fall over the run', 'run * slope'),
      step('stakes', 'Stakes behind the first', 'down(run / every)'),
      answer('drops', 'Below the first stake', 'n * every * slope', '', {
        counter: 'n',
        from: '1',
        to: 'max(stakes; 1)',
        take: 'list',
      }),
    ],
    checks: [
      check('40 ft at 1 in 80', [`40'`, '1:80', `5'`], 'drop', '6"'),
      check('12 m at 1 in 60', ['12 m', '1:60', '2 m'], 'drop', '200 mm'),
    ],
  },
  {
    name: 'taper',
    title: 'Taper per foot',
    about: 'How much a post, a leg or a board tapers in a foot, and how wide it is on the way.',
    inputs: [
      length('wide', 'Wide end', '10"', '250 mm'),
      length('narrow', 'Narrow end', '7"', '175 mm'),
      length('long', 'Length', `6'`, '1.8 m', { unit: 'ft', least: '1/8"' }),
      count('places', 'Places to mark', '6', { least: '1', most: '100' }),
    ],
    steps: [
      step('difference', 'Wide less narrow', 'wide - narrow'),
      answer('per_foot', 'Taper in a foot', `difference / long * 1'`),
      answer('per_side', 'On either side, in a foot', 'per_foot / 2'),
      answer('angle', 'Angle of one side', 'atan(difference / 2 / long)'),
      answer('widths', 'Width at each place', 'wide - difference * n / places', 'From the wide end.', {
        counter: 'n',
        from: '1',
        to: 'places',
        take: 'list',
      }),
    ],
    checks: [
      check('10 to 7 in 6 ft', ['10"', '7"', `6'`, '6'], 'per_foot', '1/2"'),
      check('a side', ['10"', '7"', `6'`, '6'], 'per_side', '1/4"'),
      // atan(1.5 / 72).
      check('the angle', ['10"', '7"', `6'`, '6'], 'angle', '1.19349 deg', '0.00001 deg'),
    ],
  },
  {
    name: 'batter',
    title: 'Batter of a wall',
    about: 'A wall that leans back: how thick it is at its foot, how far it steps back, and what it takes.',
    inputs: [
      length('high', 'Height', `6'`, '1.8 m', { unit: 'ft' }),
      input('lean', 'Batter', 'slope', '1:6', { least: '0:1', hint: 'Back for so much up: 1:6' }),
      length('top', 'Thick at the top', '12"', '300 mm'),
      length('run', 'Length of the wall', `20'`, '6 m', { unit: 'ft' }),
    ],
    steps: [
      answer('back', 'Steps back', 'high * lean'),
      answer('bottom', 'Thick at the foot', 'top + back'),
      answer('face', 'Along the face', 'hyp(high; back)'),
      answer('stone', 'What it takes', '(top + bottom) / 2 * high * run'),
    ],
    checks: [
      check('1 in 6 over 6 ft', [`6'`, '1:6', '12"', `20'`], 'back', `1'`),
      check('foot', [`6'`, '1:6', '12"', `20'`], 'bottom', `2'`),
      check('face', [`6'`, '1:6', '12"', `20'`], 'face', `sqrt(37) * 1'`),
      // (1 + 2) / 2 by 6 by 20.
      check('stone', [`6'`, '1:6', '12"', `20'`], 'stone', '180 cu ft'),
    ],
  },
];

/** Version 1 of each: ids of their own, which the same jig has on every device. */
export const SHIPPED_JIGS: readonly Jig[] = SHIPPED.map((jig, place) => ({
  id: `00000000-0000-4000-8000-${(0x5712e_0000 + place).toString(16).padStart(12, '0')}`,
  version: 1,
  decimalComma: false,
  ...jig,
}));
