/** Things of a job: what is the same for all of them is written once, over the registry of their kinds. */
import type { Content, Kind, Thing } from './kind.ts';
import { KINDS } from './registry.ts';
import type { ThingContents, ThingLists, ThingWires } from './wires.ts';

/** The kinds that this version ships with. */
export type ThingKind = keyof ThingWires;
export type ThingWire<Name extends ThingKind> = ThingWires[Name];
export type ThingContent<Name extends ThingKind> = ThingContents[Name];
export type MarkWire = ThingWire<'mark'>;
export type ScaleWire = ThingWire<'scale'>;
export type SetOutWire = ThingWire<'setout'>;

export const THING_KINDS: readonly string[] = KINDS.map(({ name }) => name);

const byName = new Map(KINDS.map((kind) => [kind.name, kind]));
/** @throws where there is no such kind: what names one has been checked against the registry before */
export function kindNamed(name: string): Kind {
  const kind = byName.get(name);
  if (kind === undefined) throw new Error(`There is no kind of thing called ${name}.`);
  return kind;
}

/** The things of a job, by the name of their kind. */
export type Things = Readonly<Record<string, readonly Thing[]>>;
/** A thing with the name of its kind. */
export interface KeptThing {
  readonly kind: string;
  readonly thing: Thing;
}

/** A list for every kind. */
export const thingsBy = (of: (kind: string) => readonly Thing[]): Things =>
  Object.fromEntries(THING_KINDS.map((kind) => [kind, of(kind)]));
export const NO_THINGS: Things = thingsBy(() => []);
/** All of them in one list. */
export const allThings = (things: Things): readonly Thing[] => THING_KINDS.flatMap((kind) => things[kind] ?? []);

/** The things of a job as the server sends them. */
export function thingsOf(job: ThingLists): Things {
  const lists = new Map<string, readonly Thing[]>(Object.entries(job));
  return thingsBy((kind) => lists.get(kindNamed(kind).list) ?? []);
}
/** And as it is sent. */
export const listsOf = (things: Things): ThingLists =>
  Object.fromEntries(KINDS.map(({ name, list }) => [list, [...(things[name] ?? [])]])) as ThingLists & object;

/** What a thing says, without what is the same for things of every kind. */
export function contentOf({ id: _id, revision: _revision, deleted: _deleted, ...content }: Thing): Content {
  return content;
}

/** Two values of a field are the same. */
export const isSameValue = (one: unknown, other: unknown): boolean => JSON.stringify(one) === JSON.stringify(other);

/** Two contents say the same, in whatever order their fields stand. */
export function isSameContent(one: Content, other: Content): boolean {
  const names = new Set([...Object.keys(one), ...Object.keys(other)]);
  return [...names].every((name) => isSameValue(one[name], other[name]));
}
