/**
 * Things of a job that are kept whole: each change to one holds all that it says, and two that were made on one state are
 * in conflict. What is the same for all of them is written once, over this.
 */
import type { Change, ChangeResult, ScaleChange, SetOutChange } from './change.ts';
import type { ScaleWire } from './scale.ts';
import type { SetOutWire } from './set-out.ts';

/** Each kind of thing as it stands in a job. */
export interface ThingWires {
  readonly scale: ScaleWire;
  readonly setout: SetOutWire;
}
export type ThingKind = keyof ThingWires;
export type ThingWire = ThingWires[ThingKind];
/** What a thing of a kind says. */
export type ThingContent<Kind extends ThingKind = ThingKind> = Omit<ThingWires[Kind], 'id' | 'revision' | 'deleted'>;

/** Where the things of each kind stand in a job. */
export const THING_LISTS = { scale: 'scales', setout: 'setOuts' } as const;
export const THING_KINDS = Object.keys(THING_LISTS) as readonly ThingKind[];

export type ThingChange = ScaleChange | SetOutChange;

/** A change to a thing, whatever its kind. */
export interface ThingStep {
  readonly kind: ThingKind;
  readonly id: string;
  readonly step: 'add' | 'edit' | 'delete' | 'restore';
  readonly base: number | string | undefined;
  readonly content: ThingContent | undefined;
}

/** Undefined for a change to anything else. */
export function thingStep(change: Change): ThingStep | undefined {
  if (!('scaleId' in change) && !('setOutId' in change)) return undefined;
  const [kind, step] = change.kind.split('.') as [ThingKind, ThingStep['step']];
  const base = 'base' in change ? change.base : undefined;
  const said = change as { readonly scale?: ThingContent; readonly setOut?: ThingContent };
  return {
    kind,
    id: 'scaleId' in change ? change.scaleId : change.setOutId,
    step,
    base,
    content: said.scale ?? said.setOut,
  };
}

/** The change that a step is, as it is sent. */
export function thingChange(id: string, { kind, id: thingId, step, base, content }: ThingStep): ThingChange {
  const names = { scale: ['scaleId', 'scale'], setout: ['setOutId', 'setOut'] } as const;
  const [idName, contentName] = names[kind];
  return {
    id,
    kind: `${kind}.${step}`,
    [idName]: thingId,
    ...(base === undefined ? {} : { base }),
    ...(content === undefined ? {} : { [contentName]: content }),
  } as unknown as ThingChange;
}

/** A thing with its kind. */
export interface KeptThing {
  readonly kind: ThingKind;
  readonly thing: ThingWire;
}

/** The thing that a result speaks of, and whether it is in conflict; undefined for a result of anything else. */
export function thingResult(result: ChangeResult): (KeptThing & { readonly isConflict: boolean }) | undefined {
  if (result.status === 'scale' || result.status === 'scale.conflict')
    return { kind: 'scale', thing: result.scale, isConflict: result.status === 'scale.conflict' };
  if (result.status === 'setout' || result.status === 'setout.conflict')
    return { kind: 'setout', thing: result.setOut, isConflict: result.status === 'setout.conflict' };
  return undefined;
}

/** The answer that holds a thing: done, or not, since it changed. */
export function asThingResult(id: string, { kind, thing }: KeptThing, isConflict: boolean): ChangeResult {
  const status = isConflict ? (`${kind}.conflict` as const) : kind;
  return { id, status, [kind === 'scale' ? 'scale' : 'setOut']: thing } as unknown as ChangeResult;
}
