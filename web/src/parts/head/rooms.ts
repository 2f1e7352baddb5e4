/** The rooms, in the order in which a job goes through them, as they are called and where they are. */
import {
  Blocks,
  BookOpen,
  Calculator,
  Folders,
  ListChecks,
  PencilRuler,
  Printer,
  Ruler,
  Table2,
  TriangleRight,
  Users,
} from 'lucide-vue-next';
import type { Component } from 'vue';

export interface Room {
  readonly path: string;
  readonly word: string;
  /** What it is for, for somebody who has not been there. */
  readonly about: string;
  readonly icon: Component;
}

export const ROOMS: readonly Room[] = [
  { path: '/', word: 'Bench', about: 'Work out sizes and keep them', icon: Calculator },
  { path: '/setting-out', word: 'Setting out', about: 'Shapes from their sizes', icon: TriangleRight },
  { path: '/stick', word: 'Story stick', about: 'Every mark of the job', icon: Ruler },
  { path: '/scales', word: 'Scale rule', about: 'Sizes on drawings', icon: PencilRuler },
  { path: '/quantities', word: 'Quantities', about: 'What to buy, and what it costs', icon: ListChecks },
  { path: '/jigs', word: 'Jigs', about: 'Sums saved with their inputs', icon: Blocks },
  { path: '/tables', word: 'Tables', about: 'A size in every unit, and tables to print', icon: Table2 },
  { path: '/jobs', word: 'Jobs', about: 'All jobs, and a new one', icon: Folders },
  { path: '/help', word: 'Help', about: 'How to write an entry', icon: BookOpen },
];

/** In the menu alone: seldom wanted, and one touch away by the words that say where changes are kept. */
export const PEOPLE: Room = {
  path: '/account',
  word: 'Devices and people',
  about: 'Your other devices, and who sees this job',
  icon: Users,
};

/** In the menu too: the slate leads there as well. */
export const SHEET: Room = {
  path: '/paper',
  word: 'Job sheet',
  about: 'The job on paper, to print or save',
  icon: Printer,
};

/** Whether an address is in a room: a shape, a jig are within theirs. */
export const isIn = (room: string, path: string): boolean =>
  path === room || (room !== '/' && path.startsWith(`${room}/`));
