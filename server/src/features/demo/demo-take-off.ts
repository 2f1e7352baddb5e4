import { NEW_ITEM, type Content, type ItemContent } from '@sprell/contract';

/** A row: its name, what it is measured by, and what else is said of it. Sections, taxes and versions by their names. */
type DemoRow = readonly [
  name: string,
  measure: ItemContent['measure'],
  said: Partial<Omit<ItemContent, 'section' | 'tax' | 'versions'>> & { tax?: string; versions?: readonly string[] },
];

const SECTIONS: Readonly<Record<string, readonly DemoRow[]>> = {
  'Deck and steps': [
    [
      'Deck boards',
      'area',
      {
        length: '#5',
        waste: '12%',
        price: '$7.40',
        other: '$6.95',
        per: 'ft2',
        supplier: 'Wrenfield Timber',
        note: 'Larch, 5 1/2″ laid with gaps of 1/8″',
      },
    ],
    [
      'Joists',
      'board',
      {
        count: '16',
        length: `13' 2"`,
        width: '7 1/4"',
        depth: '2"',
        price: '$1.85',
        other: '$1.92',
        per: 'bf',
        supplier: 'Wrenfield Timber',
      },
    ],
    [
      'Rim, eight sides',
      'run',
      {
        count: '8',
        length: '#2',
        pack: `14'`,
        price: '$2.30',
        other: '$2.15',
        per: 'ft',
        supplier: 'Wrenfield Timber',
      },
    ],
    [
      'Treads',
      'run',
      {
        count: '2 * 3',
        length: `4' 6"`,
        pack: `14'`,
        price: '$4.10',
        other: '$4.45',
        per: 'ft',
        supplier: 'Wrenfield Timber',
      },
    ],
    ['Stringers', 'each', { count: '3', price: '$58', other: '$61', supplier: 'Wrenfield Timber' }],
    [
      'Deck screws',
      'each',
      {
        count: 'Deck_boards / 1 sq ft * 3.5',
        pack: '250',
        price: '$18.50',
        other: '$17.20',
        per: 'pack',
        supplier: 'Hatch & Pin',
      },
    ],
  ],
  'Posts, rails and balusters': [
    [
      'Posts in oak',
      'run',
      {
        count: '8',
        length: 'post',
        pack: `10'`,
        price: '$14.20',
        other: '$15.10',
        per: 'ft',
        supplier: 'Wrenfield Timber',
        versions: ['with oak'],
      },
    ],
    [
      'Posts in pine',
      'run',
      {
        count: '8',
        length: 'post',
        pack: `10'`,
        price: '$6.10',
        other: '$5.85',
        per: 'ft',
        supplier: 'Wrenfield Timber',
        versions: ['with pine'],
      },
    ],
    [
      'Top and bottom rails',
      'run',
      {
        count: '2 * 7',
        length: 'rail',
        pack: `16'`,
        price: '$3.35',
        other: '$3.20',
        per: 'ft',
        supplier: 'Wrenfield Timber',
      },
    ],
    [
      'Balusters',
      'each',
      { count: '7 * 13', waste: '5%', price: '$3.80', other: '$3.65', supplier: 'Wrenfield Timber' },
    ],
    [
      'Frieze boards',
      'run',
      {
        count: '8',
        length: 'frieze',
        pack: `12'`,
        price: '$5.60',
        other: '$5.60',
        per: 'ft',
        supplier: 'Wrenfield Timber',
      },
    ],
    [
      'Arch blocks',
      'each',
      { count: '8', price: '$22.50', other: '$24', supplier: 'Wrenfield Timber', note: 'Sawn to the template' },
    ],
  ],
  Roof: [
    [
      'Common rafters',
      'run',
      {
        count: '16',
        length: 'rafter',
        pack: `18'`,
        price: '$2.95',
        other: '$2.80',
        per: 'ft',
        supplier: 'Wrenfield Timber',
      },
    ],
    [
      'Hips',
      'run',
      {
        count: '8',
        length: 'hip',
        pack: `18'`,
        price: '$3.60',
        other: '$3.75',
        per: 'ft',
        supplier: 'Wrenfield Timber',
      },
    ],
    [
      'Roof boards',
      'area',
      { length: 'roof', waste: '8%', price: '$2.10', other: '$2.05', per: 'ft2', supplier: 'Wrenfield Timber' },
    ],
    [
      'Shingles',
      'area',
      {
        length: 'roof',
        waste: '10%',
        pack: '25 sq ft',
        price: '$46',
        other: '$48.50',
        per: 'pack',
        supplier: 'Cedar Yard',
      },
    ],
    [
      'Ridge caps',
      'run',
      { count: '8', length: 'hip', waste: '5%', price: '$4.75', other: '$4.60', per: 'ft', supplier: 'Cedar Yard' },
    ],
    [
      'Lead for the king block',
      'mass',
      { apiece: '14 lb', price: '$3.10', other: '$3.25', per: 'lb', supplier: 'Hatch & Pin' },
    ],
  ],
  'Concrete and fixings': [
    [
      'Pads',
      'volume',
      {
        count: '8',
        length: '18"',
        width: '18"',
        depth: '12"',
        waste: '10%',
        price: '$168',
        other: '$174',
        per: 'yd3',
        supplier: 'Mixwell',
      },
    ],
    [
      'Gravel under the ring',
      'mass',
      { apiece: '2.4 ton', price: '$31', other: '$29.50', per: 'ton', supplier: 'Mixwell' },
    ],
    ['Post shoes', 'each', { count: '8', price: '$41.30', other: '$39.90', supplier: 'Hatch & Pin' }],
    [
      'Bolts',
      'each',
      { count: '8 * 4', pack: '10', price: '$12.80', other: '$12.10', per: 'pack', supplier: 'Hatch & Pin' },
    ],
    ['Grout', 'each', { count: '2', price: '$19.40', other: '$18.75', supplier: 'Mixwell' }],
    [
      'Handrail brackets',
      'each',
      {
        count: '14',
        price: '$6.20',
        other: '$6.35',
        supplier: 'Hatch & Pin',
        leftOut: true,
        note: 'Only if the council asks for a handrail',
      },
    ],
  ],
  'Paint and work': [
    [
      'Paint, two coats',
      'volume',
      { length: '#37', pack: '1 gal', price: '$54', other: '$51.50', per: 'pack', supplier: 'Hatch & Pin' },
    ],
    [
      'Crew of three',
      'hours',
      { count: '3', apiece: '2 * 7 h 30 min', price: '$38', other: '$38', per: 'h', tax: 'no tax' },
    ],
    ['Setting out and survey', 'hours', { apiece: '6 h', price: '$45', other: '$45', per: 'h', tax: 'no tax' }],
    ['Scaffold, two weeks', 'each', { count: '1', price: '$640', other: '$585', supplier: 'High Step Hire' }],
  ],
};

/** The take-off of the bandstand. Every name and price is made up. */
export const DEMO_TAKE_OFF: Readonly<Record<'section' | 'version' | 'tax' | 'item', readonly Content[]>> = {
  section: Object.keys(SECTIONS).map((name) => ({ name })),
  version: [{ name: 'with oak' }, { name: 'with pine' }],
  tax: [
    { name: 'sales tax', rate: '7.5%' },
    { name: 'no tax', rate: '0%' },
  ],
  item: Object.entries(SECTIONS).flatMap(([section, rows]) =>
    rows.map(([name, measure, said]) => ({ ...NEW_ITEM, name, measure, section, ...said })),
  ),
};
