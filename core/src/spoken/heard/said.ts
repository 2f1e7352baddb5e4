/** Phrases as the help shows them, apart from the grammar that reads them. */
export { ORDERS_SAID } from './said-orders.ts';
export { SAID_IN_SHORT } from './said-in-short.ts';
export { SAID_LINES, SAID_MARKS, SAID_PHRASES } from './said-phrases.ts';
