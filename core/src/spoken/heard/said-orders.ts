import { PLAIN_ORDERS, type PlainOrder } from './orders.ts';

/** What each order does, in the words of the help. */
const DOES: Readonly<Record<PlainOrder, string>> = {
  enter: 'puts what is shown where it goes',
  yes: 'answers a question; without one, puts what is shown where it goes',
  no: 'answers a question; without one, leaves what is shown',
  undo: 'takes the last step back',
  redo: 'does it again',
  'read-again': 'says the last answer again',
  repeat: 'takes the last step again, on its result',
  rounding: 'says what rounding cost',
  exact: 'says the exact value',
  clear: 'deletes every line, once you say yes',
  help: 'shows what can be said',
  stop: 'listens no longer, until the word that wakes it',
};

/** Orders with something named in them, an example of each kind. */
export const ORDER_EXAMPLES: Readonly<Record<string, readonly string[]>> = {
  'reads lines out': ['what were the last three', 'read line four', 'what was the last one'],
  'puts another entry into a line': ['change line four to eight foot two'],
  'deletes a line': ['delete line four', 'delete that', 'take line four out'],
  'gives a line its label': ['label that top rail', 'label line four ridge'],
  'writes words among the lines': ['heading north wall', 'note check the corner', 'note on line two: out of square'],
  'fills a field of the room by its name': ['run fourteen foot eight', 'set the rise to nine foot'],
  'adds a row to the quantities': ['new row studs', 'item joist hangers'],
};

/** Everything that is done at a word, with the ways of saying it. */
export const ORDERS_SAID: readonly { readonly does: string; readonly phrases: readonly string[] }[] = [
  ...(Object.keys(DOES) as PlainOrder[]).map((order) => ({ does: DOES[order], phrases: PLAIN_ORDERS[order] })),
  ...Object.entries(ORDER_EXAMPLES).map(([does, phrases]) => ({ does, phrases })),
];
