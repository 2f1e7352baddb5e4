import { z } from 'zod';
import type { KindWire } from './kind-wire.ts';
import { itemWire } from './item/wire.ts';
import { jigWire } from './jig/wire.ts';
import { markWire } from './mark/wire.ts';
import { scaleWire } from './scale/wire.ts';
import { sectionWire } from './section/wire.ts';
import { setOutWire } from './set-out/wire.ts';
import { timberWire } from './timber/wire.ts';
import { taxWire } from './tax/wire.ts';
import { versionWire } from './version/wire.ts';

/** The schemas of every kind, in the order of the registry. */
const WIRES = {
  mark: markWire,
  scale: scaleWire,
  setout: setOutWire,
  section: sectionWire,
  version: versionWire,
  tax: taxWire,
  item: itemWire,
  jig: jigWire,
  timber: timberWire,
};
type Wires = typeof WIRES;
export const KIND_WIRES: readonly KindWire[] = Object.values(WIRES);

/** The kinds that this version ships with, by name: what a thing of each says, and how it stands in a job. */
export type ThingWires = { readonly [Name in keyof Wires]: z.output<Wires[Name]['wire']> };
export type ThingContents = { readonly [Name in keyof Wires]: z.output<Wires[Name]['said']> };
/** The things of a job as it is read: a list for each kind, under the name that the kind gives it. */
export type ThingLists = { [Name in keyof Wires as Wires[Name]['list']]: ThingWires[Name][] };
export const LISTS_WIRE = Object.fromEntries(KIND_WIRES.map(({ list, wire }) => [list, z.array(wire)])) as {
  [Name in keyof Wires as Wires[Name]['list']]: z.ZodArray<Wires[Name]['wire']>;
};
