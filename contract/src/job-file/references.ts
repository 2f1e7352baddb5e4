/**
 * How an entry of a job file names what it refers to: #{12} is line 12, @{rail} the mark rail, @{items.deck_boards} a row of
 * the quantities, %{decking} a jig, each by the key that it has in the file. #{}, @{} and %{} named something that is gone. A
 * sign with two brackets, as in #{{, is a sign and a bracket that somebody typed.
 */
const STORED = /([#@%])\{(?:([0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12})\})?/gu;
const IN_FILE = /([#@%])\{(\{|([^{}]*)\})/gu;

export type Sign = '#' | '@' | '%';

/** A stored entry as a file has it. @param keyOf undefined for what is gone */
export const withKeys = (stored: string, keyOf: (id: string, sign: Sign) => string | undefined): string =>
  stored.replace(STORED, (_, sign: Sign, id: string | undefined) =>
    id === undefined ? `${sign}{{` : `${sign}{${keyOf(id, sign) ?? ''}}`,
  );

/** An entry of a file in other words. @param say for an empty key, something that was gone */
export const shownFrom = (entry: string, say: (key: string, sign: Sign) => string): string =>
  entry.replace(IN_FILE, (_, sign: Sign, rest: string, key: string | undefined) =>
    rest === '{' ? `${sign}{` : say(key ?? '', sign),
  );

/** An entry of a file as it is stored. @param idOf for an empty key, which named what is gone, an id that nothing has */
export const withIds = (entry: string, idOf: (key: string, sign: Sign) => string): string =>
  shownFrom(entry, (key, sign) => `${sign}{${idOf(key, sign)}}`);
