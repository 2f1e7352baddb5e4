/**
 * Rows as JSON, to and from PostgreSQL, by the names that the columns have here. Many rows of several tables come in one
 * answer and go in one statement; times are text on the way.
 */
import { getTableColumns, sql, type Placeholder, type SQL } from 'drizzle-orm';
import type { PgColumn, PgTable } from 'drizzle-orm/pg-core';

/** A row as it is in JSON. */
export type JsonRow<Row> = {
  [Name in keyof Row]: Row[Name] extends Date ? string : Row[Name] extends Date | null ? string | null : Row[Name];
};

type Columns = Readonly<Record<string, PgColumn | SQL>>;

/** One object; names are ours and never come from outside. */
export function jsonOf(columns: Columns): SQL {
  const parts = Object.entries(columns).map(([name, column]) => sql`${sql.raw(`'${name}'`)}, ${column}`);
  return sql`json_build_object(${sql.join(parts, sql`, `)})`;
}

/** A list of objects, empty where nothing is found. `rest` stands behind the list's objects: from, where. */
export function jsonList<Row>(columns: Columns, order: SQL | undefined, rest: SQL): SQL<readonly Row[]> {
  const ordered = order ? sql` order by ${order}` : sql``;
  return sql`(select coalesce(json_agg(${jsonOf(columns)}${ordered}), '[]') ${rest})`;
}

/** One object with a list, or anything else, under each name; names are ours and never come from outside. */
export function jsonObject(parts: readonly (readonly [name: string, value: SQL])[]): SQL {
  return sql`(select ${jsonOf(Object.fromEntries(parts))})`;
}

interface Taken {
  /** Columns that the table fills in. */
  readonly leftOut: readonly string[];
  /** Columns that are the same in all rows. */
  readonly fixed: Readonly<Record<string, Placeholder>>;
}

/** Rows given as JSON, as a table called `given` with the columns of another. */
export function givenRows(table: PgTable, rows: Placeholder, { leftOut, fixed }: Taken) {
  const columns = Object.entries(getTableColumns(table)).filter(([name]) => !leftOut.includes(name));
  const quoted = (name: string) => sql.raw(`"${name}"`);
  const types = columns
    .filter(([name]) => !(name in fixed))
    .map(([name, column]) => sql`${quoted(name)} ${sql.raw(column.getSQLType())}`);
  return {
    /** Into these columns … */
    into: sql.join(
      columns.map(([, column]) => quoted(column.name)),
      sql`, `,
    ),
    /** … go these. */
    select: sql`select ${sql.join(
      columns.map(([name, column]) => {
        const same = fixed[name];
        return same ? sql`${same}::${sql.raw(column.getSQLType())}` : quoted(name);
      }),
      sql`, `,
    )} from json_to_recordset(${rows}) as given(${sql.join(types, sql`, `)})`,
  };
}

/** For `on conflict do update`: the named columns as they were to be put in. */
export function asGiven(table: PgTable, names: readonly string[]): SQL {
  const columns: Readonly<Record<string, PgColumn | undefined>> = getTableColumns(table);
  const parts = names.map((name) => {
    const column = sql.raw(`"${columns[name]?.name}"`);
    return sql`${column} = excluded.${column}`;
  });
  return sql.join(parts, sql`, `);
}
