import { onScopeDispose } from 'vue';

/** A field of the screen that can be filled by its name. */
export interface RoomField {
  readonly id: string;
  /** What it is called, as it is said; the first is what it is called back. */
  readonly names: readonly string[];
  /** A number without a unit is a number here, whatever the job says. */
  readonly isPlain?: boolean | undefined;
  put(entry: string): void;
}

/** What of a room can be filled by voice. */
export interface RoomFields {
  readonly fields: readonly RoomField[];
  /** A new row of its list, and what the row in hand is called. */
  readonly list?: { row(words: string): void; item(words: string): void } | undefined;
}

const NO_FIELDS: RoomFields = { fields: [] };
let ofRoom: (() => RoomFields) | undefined;

/** The screen that is shown has fields to be filled by their names, until it is left. */
export function useSaidFields(fields: () => RoomFields): void {
  ofRoom = fields;
  onScopeDispose(() => {
    if (ofRoom === fields) ofRoom = undefined;
  });
}
export const saidFields = (): RoomFields => ofRoom?.() ?? NO_FIELDS;

/** A title as it is said: "Run, plate to middle of ridge" is the run, and all of it. */
export function namesOf(...titles: readonly string[]): readonly string[] {
  const spoken = titles.map((title) =>
    title
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, ' ')
      .trim(),
  );
  return [...new Set(spoken.filter((name) => name !== ''))];
}
