import type { DraftJig } from '@sprell/core/jig';

/** A jig that was begun in another room, on its way to the room of the jigs. */
let waiting: DraftJig | undefined;

export function beginJig(draft: DraftJig): void {
  waiting = draft;
}
/** What was begun elsewhere; it is taken once. */
export function takeJigDraft(): DraftJig | undefined {
  const draft = waiting;
  waiting = undefined;
  return draft;
}
