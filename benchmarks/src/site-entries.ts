/** Sixteen entries of 10 to 60 characters as they come up on a site, and the same sums in the words of mathjs. */
export const SITE_ENTRIES: readonly { readonly entry: string; readonly translated: string }[] = [
  { entry: `34' 5 3/16" + 21' 9"`, translated: '(34 ft + (5 + 3/16) inch) + (21 ft + 9 inch)' },
  { entry: `9'-7 1/4" + 2' 9 3/8"`, translated: '(9 ft + (7 + 1/4) inch) + (2 ft + (9 + 3/8) inch)' },
  { entry: `182' 4" / 6`, translated: '(182 ft + 4 inch) / 6' },
  { entry: `(12' 3 5/8" - 2 * 3 1/2") / 7`, translated: '((12 ft + (3 + 5/8) inch) - 2 * ((3 + 1/2) inch)) / 7' },
  { entry: `26' 4" - 2 * 5 1/2"`, translated: '(26 ft + 4 inch) - 2 * ((5 + 1/2) inch)' },
  { entry: `13 * 1 1/2" + 14 * 7 9/16"`, translated: '13 * ((1 + 1/2) inch) + 14 * ((7 + 9/16) inch)' },
  { entry: `2400 mm - 3 * 45 mm`, translated: '2400 mm - 3 * (45 mm)' },
  { entry: `2.4 m + 1.25 m + 16 cm`, translated: '2.4 m + 1.25 m + 16 cm' },
  { entry: `8' 1 1/8" - 3/4" - 1 1/2"`, translated: '(8 ft + (1 + 1/8) inch) - (3/4) inch - ((1 + 1/2) inch)' },
  { entry: `(3' 6 1/2" + 2' 11") * 4`, translated: '((3 ft + (6 + 1/2) inch) + (2 ft + 11 inch)) * 4' },
  { entry: `10' 6" / 2 + 1' 6"`, translated: '(10 ft + 6 inch) / 2 + (1 ft + 6 inch)' },
  { entry: `16' 4-3/4" - 3-5/8"`, translated: '(16 ft + (4 + 3/4) inch) - ((3 + 5/8) inch)' },
  {
    entry: `(5' 11 3/8" - 7 1/2" - 2 * 1/8") / 2`,
    translated: '((5 ft + (11 + 3/8) inch) - ((7 + 1/2) inch) - 2 * ((1/8) inch)) / 2',
  },
  {
    entry: `4 * (2' 3 1/4" + 5/8") + 3 * (1' 10 1/2")`,
    translated: '4 * ((2 ft + (3 + 1/4) inch) + (5/8) inch) + 3 * (1 ft + (10 + 1/2) inch)',
  },
  { entry: `1' 9 1/2" / 3`, translated: '(1 ft + (9 + 1/2) inch) / 3' },
  {
    entry: `87' 3 1/8" - 8 * (5 1/2" + 3/16") - 2 * 1' 4"`,
    translated: '(87 ft + (3 + 1/8) inch) - 8 * ((5 + 1/2) inch + (3/16) inch) - 2 * (1 ft + 4 inch)',
  },
];
