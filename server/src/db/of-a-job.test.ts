import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aLine } from '../testing/a-line.ts';
import { claimed } from '../testing/people.ts';
import { startTestApp, type TestApp } from '../testing/test-app.ts';
import { OF_A_JOB } from './schema.ts';

/**
 * The tables of a job can be spread over machines by the job, as extensions for PostgreSQL do that shard by a column: keys
 * that hold on one machine have to carry that column, and a statement that names it is asked of one machine alone.
 */
let test: TestApp;
beforeAll(async () => {
  test = await startTestApp();
});
afterAll(() => test.close());

/** Of accounts, and of the server itself. */
const APART = ['account', 'claim', 'guess_count', 'guest_key', 'one_time_code', 'session'];
const ROWS = async <Row extends object>(text: string) => (await test.database.pool.query<Row>(text)).rows;

describe('the catalogue', () => {
  it('has no table that belongs neither to a job nor to accounts', async () => {
    const tables = await ROWS<{ name: string }>(
      `select relname as name from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace`,
    );
    expect(tables.map(({ name }) => name).sort()).toEqual([...Object.keys(OF_A_JOB), ...APART].sort());
  });

  it('has the job in every primary, unique and foreign key of what belongs to one', async () => {
    const keys = await ROWS<{ table: string; key: string; columns: string[]; other: string | null }>(`
      select c.relname as table, k.conname as key, f.relname as other,
        array(select a.attname::text from unnest(k.conkey) n join pg_attribute a on a.attrelid = c.oid and a.attnum = n) as columns
      from pg_constraint k join pg_class c on c.oid = k.conrelid left join pg_class f on f.oid = k.confrelid
      where k.contype in ('p', 'u', 'f') and c.relnamespace = 'public'::regnamespace
      union all
      select c.relname, i.relname, null,
        array(select a.attname::text from unnest(x.indkey::int2[]) n join pg_attribute a on a.attrelid = c.oid and a.attnum = n)
      from pg_index x join pg_class c on c.oid = x.indrelid join pg_class i on i.oid = x.indexrelid
      where x.indisunique and c.relnamespace = 'public'::regnamespace`);
    const ofAJob: Readonly<Record<string, string | undefined>> = OF_A_JOB;
    const wrong = keys.filter(({ table, columns, other }) => {
      const column = ofAJob[table];
      // What lies apart names no job either: the two may be on different machines.
      if (column === undefined) return other !== null && other in ofAJob;
      return !columns.includes(column) || (other !== null && !(other in ofAJob));
    });
    expect(keys.length).toBeGreaterThan(20);
    expect(wrong).toEqual([]);
  });
});

/** What is asked of all jobs of an account, or of a link of an earlier version: of every machine, and rarely. */
const OF_MANY = [
  // The list of jobs, and how many there are.
  /^select .*\(select count\(\*\)::int from "line".* where \("job"\."owner_id" = \$\d+ or \("job_member"\."role" is not null/s,
  /^select count\(\*\) from "job" where "job"\."owner_id" = \$1$/,
  // A guest's jobs go along into the account that its browser signs in to.
  /^update "job" set "owner_id" = \$1 where "job"\."owner_id" = \$2$/,
  /^(update|delete from) "job_member" .*"account_id" = \$\d/s,
];

/** Each table of a job that a statement speaks of, with whether it says which job is meant. */
function unnamed(statement: string): string[] {
  return Object.entries(OF_A_JOB).flatMap(([table, column]) => {
    const places = [...statement.matchAll(new RegExp(`(?:from|join|into|update) "${table}"`, 'g'))];
    if (places.length === 0) return [];
    const named = new RegExp(
      // By a value, by the job that the statement names, or put in with it.
      `"${table}"\\."${column}" = (?:\\$\\d+|"job"\\."id")|"job"\\."id" = "${table}"\\."${column}"` +
        (table === 'job' ? `|"job"\\."id" = "\\w+"\\."job_id"` : '') +
        `|insert into "${table}" \\((?=[^)]*"${column}")|update "${table}" set [^;]*?where ${column} = \\$\\d+`,
      'g',
    );
    return [...statement.matchAll(named)].length >= places.length ? [] : [table];
  });
}

describe('every statement that reads or writes a job', () => {
  it('names it', async () => {
    const said = new Set<string>();
    const client = pg.Client.prototype as unknown as { query: (this: unknown, ...given: unknown[]) => unknown };
    const { query } = client;
    client.query = function (...given) {
      const [asked] = given as [string | { readonly text?: string }];
      said.add((typeof asked === 'string' ? asked : (asked.text ?? '')).replace(/\s+/g, ' ').trim());
      return query.apply(this, given);
    };
    try {
      const owner = await test.guest();
      const mate = await claimed(test);
      const jobId = uuidv7();
      const reading = { length: 'mm', finest: 16, metricStep: '1', rounding: 'nearest', fractions: 'lowest' };
      const post = (path: string, body: object, { browser } = owner) => browser.post(path).send(body).expect(200);
      const send = (...changes: object[]) => post(`/api/jobs/${jobId}/changes`, { changes });
      const [scaleId, setOutId] = [uuidv7(), uuidv7()];
      const scale = { kind: 'sizes', paper: '1/4"', site: `1'`, name: null };
      const setOut = { name: 'Ring', shape: 'circle', answer: '', fields: [], entries: [] };
      const line = aLine(1);
      await send({ id: uuidv7(), kind: 'job.add', title: 'Shed', reading }, line);
      await send(
        { ...aLine(0), kind: 'line.words', words: 'heading', number: undefined },
        {
          id: uuidv7(),
          kind: 'line.edit',
          lineId: line.lineId,
          base: line.id,
          position: 'a0',
          source: '6',
          label: null,
          note: '',
        },
        { id: uuidv7(), kind: 'line.delete', lineId: line.lineId, base: 3 },
        { id: uuidv7(), kind: 'job.reading', reading: { ...reading, finest: 32 } },
        { id: uuidv7(), kind: 'thing.add', of: 'scale', thingId: scaleId, content: scale },
        { id: uuidv7(), kind: 'thing.add', of: 'setout', thingId: setOutId, content: setOut },
      );
      const get = (path: string, { browser } = owner) => browser.get(path).expect(200);
      await get(`/api/jobs/${jobId}`);
      await get(`/api/jobs/${jobId}/since/0`);
      await get('/api/jobs');
      const { body } = await post(`/api/jobs/${jobId}/invitations`, { role: 'edit' });
      await post('/api/invitations/accept', { token: (body as { token: string }).token }, mate);
      await get(`/api/jobs/${jobId}/members`);
      await owner.browser.delete(`/api/jobs/${jobId}/members/${mate.accountId}`).expect(200);
      await owner.browser.delete(`/api/jobs/${jobId}/invitations`).expect(200);
      await post('/api/account/sign-in', { email: mate.email, password: 'plumb and square' });
    } finally {
      client.query = query;
    }
    const ofJobs = [...said].filter((statement) =>
      Object.keys(OF_A_JOB).some((table) => new RegExp(`(?:from|join|into|update) "${table}"`).test(statement)),
    );
    expect(ofJobs.length).toBeGreaterThan(12);
    const ofOne = ofJobs.filter((statement) => !OF_MANY.some((many) => many.test(statement)));
    expect(ofOne.length).toBeGreaterThan(8);
    // Nor is anything asked at once of what may lie on different machines.
    const speaksOf = (table: string) => (statement: string) =>
      new RegExp(`(?:from|join|into|update) "${table}"`).test(statement);
    expect(ofJobs.filter((statement) => APART.some((table) => speaksOf(table)(statement)))).toEqual([]);
    expect(ofOne.map((statement) => [unnamed(statement), statement]).filter(([tables]) => tables?.length)).toEqual([]);
  });

  it('would be found out if it did not', () => {
    expect(unnamed('select 1 from "line" where "line"."id" = $1')).toEqual(['line']);
    expect(unnamed('select 1 from "line" where "line"."job_id" = $2 and "line"."id" = $1')).toEqual([]);
    expect(unnamed('select (select 1 from "line" where "line"."job_id" = $2), (select 2 from "line")')).toEqual([
      'line',
    ]);
    expect(unnamed('insert into "scale" ("id", "name") values ($1, $2)')).toEqual(['scale']);
  });
});
