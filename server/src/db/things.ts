/** Things of every kind as rows, by the registry of kinds. */
import { KIND_WIRES, kindNamed, type Content, type Thing } from '@sprell/contract';
import { getTableColumns } from 'drizzle-orm';
import type { PgColumn } from 'drizzle-orm/pg-core';
import { THING_TABLES, type ThingTable } from './schema.ts';

/** A thing as a row in JSON: what it says, with what is the same for every kind. */
export type ThingRow = Content & {
  readonly id: string;
  readonly jobId: string;
  readonly revision: number;
  readonly deletedAt: string | null;
};

/** @throws where the kind has no table: `kinds.test.ts` sees to that */
export function tableOf(kind: string): ThingTable {
  const table = THING_TABLES[kindNamed(kind).name];
  if (table === undefined) throw new Error(`There is no table for things of the kind ${kind}.`);
  return table;
}

const fieldNames = new Map(KIND_WIRES.map(({ name, fields }) => [name, Object.keys(fields)]));
/** The names of what a thing of a kind says. */
export const fieldsOf = (kind: string): readonly string[] => fieldNames.get(kind) ?? [];

/** The columns of what a thing of a kind says. */
export function thingColumns(kind: string): Readonly<Record<string, PgColumn>> {
  const columns: Readonly<Record<string, PgColumn>> = getTableColumns(tableOf(kind));
  return Object.fromEntries(fieldsOf(kind).map((name) => [name, columns[name] as PgColumn]));
}

/** A row as it is sent to others. */
export function thingToWire(kind: string, row: ThingRow): Thing {
  const content = Object.fromEntries(fieldsOf(kind).map((name) => [name, row[name]]));
  return { id: row.id, ...content, revision: row.revision, deleted: row.deletedAt !== null };
}
