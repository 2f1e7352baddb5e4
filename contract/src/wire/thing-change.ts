import type { Content, Thing } from '../kinds/kind.ts';
import { KINDS } from '../kinds/registry.ts';

/** A revision, or the id of the change of one's own that it follows. */
type Base = number | string;

interface OfThing {
  readonly id: string;
  /** The name of the thing's kind. */
  readonly of: string;
  readonly thingId: string;
}

/** A change of one thing of a job, whatever its kind. */
export type ThingChange =
  | (OfThing & { readonly kind: 'thing.add'; readonly content: Content })
  /** All that it says, written whole. */
  | (OfThing & { readonly kind: 'thing.edit'; readonly base: Base; readonly content: Content })
  /** Some of its fields: as they are from now on, and as the author of the change saw them. */
  | (OfThing & { readonly kind: 'thing.set'; readonly base: Base; readonly fields: Content; readonly was: Content })
  /** Another place in its list. The later move holds: it is never a conflict. */
  | (OfThing & { readonly kind: 'thing.move'; readonly base: Base; readonly position: string })
  | (OfThing & { readonly kind: 'thing.delete' | 'thing.restore'; readonly base: Base });

/** The thing that a change speaks of as the change leaves it. */
export function changedThing(thing: Thing, change: ThingChange): Thing {
  switch (change.kind) {
    case 'thing.add':
    case 'thing.edit':
      return { ...thing, ...change.content };
    case 'thing.set':
      return { ...thing, ...change.fields };
    case 'thing.move':
      return { ...thing, position: change.position };
    case 'thing.delete':
    case 'thing.restore':
      return { ...thing, deleted: change.kind === 'thing.delete' };
  }
}

/** A change as it was sent and kept by versions up to November 2026: `scale.edit`, with names for each kind. */
export interface EarlierChange {
  readonly id: string;
  readonly kind: string;
  readonly [name: string]: unknown;
}

/** The form of versions up to November 2026; undefined for a change that they did not know. */
export function earlierForm(change: { readonly kind: string } | ThingChange): EarlierChange | undefined {
  if (!('thingId' in change)) return undefined;
  const names = KINDS.find(({ name }) => name === change.of)?.earlier;
  if (names === undefined || change.kind === 'thing.set' || change.kind === 'thing.move') return undefined;
  return {
    id: change.id,
    kind: change.kind.replace('thing', change.of),
    [names.id]: change.thingId,
    ...('base' in change && { base: change.base }),
    ...('content' in change && { [names.content]: change.content }),
  };
}

/** A change that was kept in the earlier form, in today's; any other as it is. */
export function todaysForm<Change extends { readonly kind: string }>(change: Change | EarlierChange): Change {
  const [of, step] = change.kind.split('.');
  const names = KINDS.find(({ name }) => name === of)?.earlier;
  if (names === undefined) return change as Change;
  const { kind: _, [names.id]: thingId, [names.content]: content, ...rest } = change as EarlierChange;
  const now: unknown = { ...rest, kind: `thing.${step}`, of, thingId, ...(content === undefined ? {} : { content }) };
  return now as Change;
}
