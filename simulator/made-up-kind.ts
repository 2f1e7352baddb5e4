/**
 * A kind of thing as a later version may bring one, put in by its test in the three places where a kind is put in: the
 * registry, the schemas and the tables. It has an order, and its fields are changed separately.
 */
import { sql } from 'drizzle-orm';
import { check, integer, pgTable, text } from 'drizzle-orm/pg-core';
import { z } from 'zod';
import { kindWire } from '../contract/src/kinds/kind-wire.ts';
import type { Kind } from '../contract/src/kinds/kind.ts';
import type { thingKeys, thingRow } from '../server/src/db/schema.ts';

export const offcutKind = {
  name: 'offcut',
  list: 'offcuts',
  isOrdered: true,
  entries: ['length'],
  together: 'fields',
  called: ({ name }) => `the offcut ${typeof name === 'string' ? name : ''}`.trim(),
  most: 40,
} as const satisfies Kind;

export const offcutWire = kindWire(offcutKind, {
  name: z.string().trim().min(1).max(40),
  length: z.string().max(200),
  count: z.int().min(1),
  note: z.string().max(200).nullable(),
});

export const offcutTable = (row: typeof thingRow, keys: typeof thingKeys) =>
  pgTable(
    'offcut',
    {
      ...row(),
      position: text('position').notNull(),
      name: text('name').notNull(),
      length: text('length').notNull(),
      count: integer('count').notNull(),
      note: text('note'),
    },
    (table) => [...keys('offcut', table), check('offcut_count', sql`${table.count} > 0`)],
  );

/** What it is put into; for `vi.mock` of each. */
export const inRegistry = ({ KINDS }: { KINDS: readonly Kind[] }) => ({ KINDS: [...KINDS, offcutKind] });
export const inWires = ({ KIND_WIRES, LISTS_WIRE }: { KIND_WIRES: readonly object[]; LISTS_WIRE: object }) => ({
  KIND_WIRES: [...KIND_WIRES, offcutWire],
  LISTS_WIRE: { ...LISTS_WIRE, offcuts: z.array(offcutWire.wire) },
});
export function inSchema<
  Schema extends { thingRow: typeof thingRow; thingKeys: typeof thingKeys; THING_TABLES: object },
>(schema: Schema) {
  const offcut = offcutTable(schema.thingRow, schema.thingKeys);
  return { ...schema, offcut, THING_TABLES: { ...schema.THING_TABLES, offcut } };
}
