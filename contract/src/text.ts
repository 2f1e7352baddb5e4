/**
 * What text may hold that is kept: the page makes it so before it keeps it, and the schemas ask for the same. Apart from
 * the schemas, which a page has no need of at its start.
 */

/** Most characters of a label or heading: an entry holds no more, so that no label of one is longer. */
export const LABEL_LIMIT = 500;

// PostgreSQL stores no null character, and the others have no business in one line; a tab is a space as good as any.
// eslint-disable-next-line no-control-regex -- control characters are what is looked for
const CONTROL = /[\u0000-\u0008\u000a-\u001f]/g;
const NULL = /\u0000/g; // eslint-disable-line no-control-regex -- as above
/** Half of a character that takes two: no text, and nothing that UTF-8 can hold. Text that is cut anywhere has them. */
const HALF_CHARACTER = /\p{Surrogate}/gu;

/** Text as it can be kept in one line: spaces for what has no business there. */
export const asOneLine = (text: string): string => text.replace(CONTROL, ' ').replace(HALF_CHARACTER, '');

/** Text of several lines as it can be kept. */
export const asText = (text: string): string => text.replace(NULL, ' ').replace(HALF_CHARACTER, '');

export const isOneLine = (text: string): boolean => asOneLine(text) === text;
export const isText = (text: string): boolean => asText(text) === text;
