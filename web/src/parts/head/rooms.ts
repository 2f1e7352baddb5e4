/** The rooms, in the order in which a job goes through them, as they are called and where they are. */
export interface Room {
  readonly path: string;
  readonly word: string;
  /** What it is for, for somebody who has not been there. */
  readonly about: string;
}

export const ROOMS: readonly Room[] = [
  { path: '/', word: 'Bench', about: 'Work out sizes and keep them' },
  { path: '/setting-out', word: 'Setting out', about: 'Shapes from their sizes' },
  { path: '/stick', word: 'Story stick', about: 'Every mark of the job' },
  { path: '/scales', word: 'Scale rule', about: 'Sizes on drawings' },
  { path: '/quantities', word: 'Quantities', about: 'What to buy, and what it costs' },
  { path: '/jigs', word: 'Jigs', about: 'Sums saved with their inputs' },
  { path: '/tables', word: 'Tables', about: 'A size in every unit, and tables to print' },
  { path: '/jobs', word: 'Jobs', about: 'All jobs, and a new one' },
  { path: '/help', word: 'Help', about: 'How to write an entry' },
];

/** Whether an address is in a room: a shape, a jig are within theirs. */
export const isIn = (room: string, path: string): boolean =>
  path === room || (room !== '/' && path.startsWith(`${room}/`));
