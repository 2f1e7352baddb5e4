import { getTableColumns, getTableName } from 'drizzle-orm';
import { generateDrizzleJson, generateMigration } from 'drizzle-kit/api';
import { readFileSync, readdirSync } from 'node:fs';
import { KIND_WIRES, KINDS, THING_KINDS } from '@sprell/contract';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import * as schema from './schema.ts';
import { fieldsOf, tableOf } from './things.ts';

const STANDING = ['id', 'jobId', 'revision', 'createdAt', 'deletedAt'];
interface Json {
  readonly type?: string;
  readonly enum?: readonly string[];
  readonly anyOf?: readonly Json[];
}
const jsonOf = (kind: string, field: string): Json => {
  const fields = KIND_WIRES.find(({ name }) => name === kind)?.fields ?? {};
  return z.toJSONSchema(fields[field] as z.ZodType, { io: 'output' }) as Json;
};

describe.each(THING_KINDS)('things of the kind %s', (name) => {
  it('have a schema, and a table with a column for each field and no other', () => {
    expect(KIND_WIRES.filter((wire) => wire.name === name)).toHaveLength(1);
    expect(Object.keys(schema.THING_TABLES)).toContain(name);
    expect(Object.keys(getTableColumns(tableOf(name))).sort()).toEqual([...STANDING, ...fieldsOf(name)].sort());
    expect(schema.OF_A_JOB).toHaveProperty(getTableName(tableOf(name)), 'job_id');
  });

  it.each(fieldsOf(name))(
    'are null in the column %s where the schema says so, and take what the schema takes',
    (field) => {
      const column = getTableColumns(tableOf(name))[field];
      const json = jsonOf(name, field);
      const forms = json.anyOf ?? [json];
      expect(column?.notNull).toBe(!forms.some(({ type }) => type === 'null'));
      const [form] = forms.filter(({ type }) => type !== 'null');
      expect(column?.getSQLType().endsWith('[]')).toBe(form?.type === 'array');
      expect(column?.enumValues).toEqual(form?.enum);
    },
  );

  it('have fields for their entries, a place where they have an order, and a name in a person’s words', () => {
    const kind = KINDS.find((one) => one.name === name);
    expect(fieldsOf(name)).toEqual(expect.arrayContaining([...(kind?.entries ?? [])]));
    expect(fieldsOf(name).includes('position')).toBe(kind?.isOrdered ?? false);
    expect(kind?.called({})).toMatch(/^the \S/);
    expect(kind?.most).toBeGreaterThan(0);
  });
});

describe('the tables', () => {
  it('are of the kinds that there are, and of no other', () => {
    expect(Object.keys(schema.THING_TABLES).sort()).toEqual([...THING_KINDS].sort());
    expect(new Set(KINDS.map(({ list }) => list)).size).toBe(KINDS.length);
  });

  it('are made by the migrations as the schema says', async () => {
    const folder = new URL('./migrations/meta/', import.meta.url);
    const last =
      readdirSync(folder)
        .filter((file) => file.endsWith('_snapshot.json'))
        .sort()
        .at(-1) ?? '';
    const made = JSON.parse(readFileSync(new URL(last, folder), 'utf8')) as ReturnType<typeof generateDrizzleJson>;
    expect(await generateMigration(made, generateDrizzleJson({ ...schema }))).toEqual([]);
  });

  it('know every kind of change that there is', async () => {
    const { changeWire } = await import('../../../contract/src/wire/change.ts');
    const kinds = JSON.stringify(z.toJSONSchema(changeWire, { io: 'input', unrepresentable: 'any' })).matchAll(
      /"const":"((?:line|job|thing)\.\w+)"/g,
    );
    expect([...new Set([...kinds].map(([, kind]) => kind))].sort()).toEqual([...schema.changeKind.enumValues].sort());
  });
});
