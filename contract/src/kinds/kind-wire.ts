import { z } from 'zod';
import { isPlace } from '../position.ts';
import { revisionWire } from '../wire/line.ts';
import { positionWire } from '../wire/position.ts';
import type { Content, Kind } from './kind.ts';

/** What holds for the things of a kind, as it is checked wherever they come in. */
export interface KindWire<Name extends string = string, List extends string = string, Said extends Content = Content> {
  readonly name: Name;
  readonly list: List;
  /** The fields of what a thing says. */
  readonly fields: z.ZodRawShape;
  /** What a thing says, whole. */
  readonly said: z.ZodType<Said>;
  /** Some of its fields. */
  readonly some: z.ZodType<Partial<Said>>;
  /** A thing as it stands. */
  readonly wire: z.ZodType<Said & { id: string; revision: number; deleted: boolean }>;
}

/**
 * The schemas of a kind.
 * @param fields what a thing of it says, field by field; the place of one that has an order is added here
 * @param check what holds between the fields, beyond what each says of itself
 */
export function kindWire<const Name extends string, const List extends string, Fields extends z.ZodRawShape>(
  kind: Kind & { readonly name: Name; readonly list: List },
  fields: Fields,
  check: (said: z.ZodObject<Fields, z.core.$strict>) => z.ZodType<z.output<z.ZodObject<Fields>>> = (said) => said,
): KindWire<Name, List, z.output<z.ZodObject<Fields>> & Content> {
  const place = kind.isOrdered ? { position: positionWire.refine(isPlace, 'No place in a list.') } : {};
  const all = { ...fields, ...place };
  return {
    name: kind.name,
    list: kind.list,
    fields: all,
    said: check(z.strictObject(all)) as never,
    some: z.strictObject(all).partial() as never,
    wire: z.object({ id: z.uuid(), ...all, revision: revisionWire, deleted: z.boolean() }) as never,
  };
}
