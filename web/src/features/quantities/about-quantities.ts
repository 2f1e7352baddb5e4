/** What help says of quantities. */
export const ABOUT_QUANTITIES: readonly (readonly [what: string, says: string])[] = [
  [
    'Measured by',
    'A row is counted, or measured by length, area, volume, board measure, mass or hours. That decides which of its cells count: the others are hatched.',
  ],
  [
    'Cells',
    'Each takes an entry as the bench does, with marks, lines (#7) and the quantities of other rows by their names. Write Deck_boards for the row called Deck boards.',
  ],
  ['Less', 'Doors, windows and other openings, taken off a length, an area or a volume.'],
  ['Waste', '8, 8% and 0.08 are all 8 per cent.'],
  [
    'Pack',
    'A pack, a sheet or a stock length: as many whole ones are ordered as are needed. From stock lengths pieces are cut whole, unless the row says that they are joined.',
  ],
  [
    'Price',
    'Choose what it is for, or write it with its unit: $4.20/ft. On a run in metres a price by the foot comes out right.',
  ],
  ['Totals', 'Of every row that is there, wherever it stands; rows that are left out are added up by themselves.'],
  [
    'Rows from elsewhere',
    'Paste them into the list, or open a CSV or XLSX file: nothing is added before you have seen how it was read.',
  ],
];

/** Its keys on a keyboard. */
export const QUANTITY_KEYS: readonly (readonly [keys: string, about: string])[] = [
  ['Arrows, Home, End, Page', 'from cell to cell; with Shift rows are chosen'],
  ['Enter, F2', 'writes in the cell; Escape leaves it as it was'],
  ['Tab', 'on to the next cell that can be written in'],
  ['Ctrl+Enter, Ctrl+Shift+Enter', 'a new row below, above'],
  ['Ctrl+D, Ctrl+Shift+D', 'fills the chosen rows down; duplicates them'],
  ['Alt+Up, Alt+Down', 'moves the chosen rows, from section to section too'],
  ['Ctrl+C, Ctrl+X, Ctrl+V', 'copies, cuts and pastes rows'],
  ['Delete, Ctrl+Delete', 'empties the cell; deletes the rows'],
  ['Ctrl+F', 'finds rows'],
];
