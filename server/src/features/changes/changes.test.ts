import { BATCH_LIMIT, NEW_ITEM, type Change, type ChangeResult } from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { account, job, line, scale, setOut } from '../../db/schema.ts';
import { startTestApp, type Guest, type TestApp } from '../../testing/test-app.ts';

let test: TestApp;
let me: Guest;
let jobId: string;

beforeAll(async () => {
  test = await startTestApp();
  me = await test.guest();
});
afterAll(() => test.close());
beforeEach(async () => {
  jobId = uuidv7();
  await test.database.db.insert(job).values({ id: jobId, ownerId: me.accountId, title: 'Shed', revision: 0 });
});

type Add = Extract<Change, { kind: 'line.add' }>;
const anAdd = (more: Partial<Add> = {}): Add => ({
  id: uuidv7(),
  kind: 'line.add',
  lineId: uuidv7(),
  number: 1,
  position: 'a0',
  source: `5' 3"`,
  label: null,
  note: '',
  ...more,
});
const anEdit = (add: Add, base: number | string, source: string): Change => ({
  id: uuidv7(),
  kind: 'line.edit',
  lineId: add.lineId,
  base,
  position: add.position,
  source,
  label: null,
  note: '',
});

const aReading = (more: object = {}): Change => ({
  id: uuidv7(),
  kind: 'job.reading',
  reading: { length: 'mm', finest: 32, metricStep: '1/2', rounding: 'up', fractions: 'held', ...more },
});

const SCALE = { kind: 'sizes' as const, paper: '1/4"', site: `1'`, name: 'Old drawings' };
const aScale = (scaleId = uuidv7()) => ({
  id: uuidv7(),
  kind: 'thing.add' as const,
  of: 'scale' as const,
  thingId: scaleId,
  content: SCALE,
});

async function send(changes: readonly Change[], to = jobId) {
  const answer = await me.browser.post(`/api/jobs/${to}/changes`).send({ changes });
  return { status: answer.status, body: answer.body as { revision: number; results: ChangeResult[]; code?: string } };
}

async function stored() {
  const answer = await me.browser.get(`/api/jobs/${jobId}`);
  return answer.body as {
    revision: number;
    nextNumber: number;
    reading: object;
    scales: object[];
    setOuts: object[];
    lines: {
      kind: string;
      label: string | null;
      number: number | null;
      source: string;
      deleted: boolean;
      revision: number;
    }[];
  };
}

describe('the one path for writes', () => {
  it('adds, edits, deletes and restores, each with the next revision', async () => {
    const add = anAdd();
    const removal: Change = { id: uuidv7(), kind: 'line.delete', lineId: add.lineId, base: 2 };
    const { body } = await send([add, anEdit(add, 1, `6'`), removal]);
    expect(body.results.map((result) => result.status)).toEqual(['applied', 'applied', 'applied']);
    expect(body.revision).toBe(3);
    expect((await stored()).lines).toMatchObject([{ number: 1, source: `6'`, deleted: true, revision: 3 }]);
    await send([{ id: uuidv7(), kind: 'line.restore', lineId: add.lineId, base: 3 }]);
    expect((await stored()).lines).toMatchObject([{ deleted: false, revision: 4 }]);
  });

  it('applies a change once, however often and however broken up it is sent', async () => {
    const add = anAdd();
    const edit = anEdit(add, add.id, `7'`);
    await send([add]);
    const again = await Promise.all([send([add, edit]), send([add, edit]), send([edit]), send([add])]);
    for (const { body } of again) for (const result of body.results) expect(result.status).toBe('applied');
    const { lines, revision } = await stored();
    expect(lines).toMatchObject([{ source: `7'` }]);
    expect(revision).toBe(2);
  });

  it('refuses a used id with other contents', async () => {
    const add = anAdd();
    await send([add]);
    const { body } = await send([{ ...add, source: '1' }]);
    expect(body.results).toEqual([{ id: add.id, status: 'refused', code: 'change.id_reused' }]);
    expect((await stored()).lines).toMatchObject([{ source: `5' 3"` }]);
  });

  it('answers a change made on an older state with the line as it is, and does the rest of the batch', async () => {
    const add = anAdd();
    await send([add, anEdit(add, 1, `6'`)]);
    const late = anEdit(add, 1, `9'`);
    const other = anAdd({ number: 2, position: 'a1' });
    const { body } = await send([late, other]);
    expect(body.results[0]).toMatchObject({ id: late.id, status: 'conflict', line: { source: `6'`, revision: 2 } });
    expect(body.results[1]).toMatchObject({ status: 'applied' });
    expect((await stored()).lines.map(({ source }) => source)).toEqual([`6'`, `5' 3"`]);
  });

  it('takes only so many lines into a job and so many jobs for an account, and what is there can still be changed', async () => {
    const add = anAdd();
    await send([add]);
    await test.database.pool.query(
      `insert into line (id, job_id, number, position, source, revision)
       select gen_random_uuid(), $1, n, 'a1', '5', n from generate_series(2, 50000) as n`,
      [jobId],
    );
    await test.database.pool.query('update job set revision = 50000, next_number = 50001 where id = $1', [jobId]);
    const more = await send([anAdd({ number: 50_001 })]);
    expect([more.status, more.body.code]).toEqual([409, 'job.full']);
    expect((await send([anEdit(add, 1, `6'`)])).body.results).toMatchObject([{ status: 'applied' }]);

    const other = await test.guest();
    await test.database.pool.query(
      `insert into job (id, owner_id, title, revision) select gen_random_uuid(), $1, 'Shed', 0 from generate_series(1, 2000)`,
      [other.accountId],
    );
    const { reading } = aReading() as { reading: object };
    const wanted = uuidv7();
    const answer = await other.browser
      .post(`/api/jobs/${wanted}/changes`)
      .send({ changes: [{ id: uuidv7(), kind: 'job.add', title: 'One more', reading }] });
    expect([answer.status, (answer.body as { code: string }).code]).toEqual([409, 'account.full']);
    await other.browser.get(`/api/jobs/${wanted}`).expect(404);
  });

  it('gives the later of two equal numbers the next free one, and never a number of a deleted line', async () => {
    const first = anAdd({ number: 5 });
    const second = anAdd({ number: 5, position: 'a1' });
    const { body } = await send([first, { id: uuidv7(), kind: 'line.delete', lineId: first.lineId, base: 1 }, second]);
    expect(body.results[2]).toMatchObject({ status: 'applied', line: { number: 6 } });
    expect((await stored()).nextNumber).toBe(7);
  });

  it('takes batches sent at once one after the other, without a gap or a double', async () => {
    const batches = Array.from({ length: 8 }, (_, batch) =>
      Array.from({ length: 10 }, (__, n) => anAdd({ number: n + 1, position: `a${batch}${n}V` })),
    );
    await Promise.all(batches.map((batch) => send(batch)));
    const { lines, revision } = await stored();
    expect(revision).toBe(80);
    expect(lines.map(({ number }) => number ?? 0).sort((a, b) => a - b)).toEqual(
      Array.from({ length: 80 }, (_, n) => n + 1),
    );
  });

  it('puts words among the lines, which take no number and change as lines do', async () => {
    const { id, lineId, position, source, note } = anAdd({ source: '' });
    const words: Change = { id, kind: 'line.words', lineId, words: 'heading', position, source, label: 'Roof', note };
    const edit = { ...anEdit(anAdd({ lineId }), id, ''), label: 'Roof, south' };
    const { body } = await send([words, words, edit, anAdd({ number: 1, position: 'a1' })]);
    expect(body.results.map(({ status }) => status)).toEqual(['applied', 'applied', 'applied', 'applied']);
    expect(await stored()).toMatchObject({
      nextNumber: 2,
      lines: [
        { kind: 'heading', label: 'Roof, south', number: null },
        { kind: 'worked', number: 1 },
      ],
    });
  });

  it('changes how the job reads, the later choice holding, each done once', async () => {
    const first = aReading();
    const second = aReading({ length: 'ft-in', metricStep: '5' });
    const { body } = await send([first, second]);
    expect(body).toMatchObject({ revision: 2, results: [{ status: 'reads' }, { status: 'reads' }] });
    const again = await send([first]);
    expect(again.body).toMatchObject({
      revision: 2,
      results: [
        {
          status: 'reads',
          reading: { length: 'ft-in', finest: 32, metricStep: '5', rounding: 'up', fractions: 'held' },
        },
      ],
    });
    expect((await stored()).reading).toEqual({
      length: 'ft-in',
      finest: 32,
      metricStep: '5',
      rounding: 'up',
      fractions: 'held',
    });
    const other = { ...aReading({ finest: 8 }), id: first.id };
    expect((await send([other])).body.results).toMatchObject([{ status: 'refused', code: 'change.id_reused' }]);
  });

  it('adds, edits, deletes and restores drawing scales, each once, and answers what was changed meanwhile', async () => {
    const add = aScale();
    const { thingId: scaleId } = add;
    const edit: Change = {
      id: uuidv7(),
      kind: 'thing.edit',
      of: 'scale',
      thingId: scaleId,
      base: add.id,
      content: { ...SCALE, site: `2'` },
    };
    const { body } = await send([add, edit, edit, add]);
    expect(body.results.map(({ status }) => status)).toEqual(['thing', 'thing', 'thing', 'thing']);
    expect(body.revision).toBe(2);
    const late: Change = { id: uuidv7(), kind: 'thing.edit', of: 'scale', thingId: scaleId, base: 1, content: SCALE };
    const off: Change = { id: uuidv7(), kind: 'thing.delete', of: 'scale', thingId: scaleId, base: 2 };
    const next = await send([late, off]);
    expect(next.body.results).toMatchObject([
      { status: 'thing.conflict', of: 'scale', thing: { site: `2'`, revision: 2 } },
      { status: 'thing', thing: { deleted: true, revision: 3 } },
    ]);
    await send([{ id: uuidv7(), kind: 'thing.restore', of: 'scale', thingId: scaleId, base: 3 }]);
    expect((await stored()).scales).toEqual([{ id: scaleId, ...SCALE, site: `2'`, revision: 4, deleted: false }]);
    const { body: none } = await send([
      { id: uuidv7(), kind: 'thing.delete', of: 'scale', thingId: uuidv7(), base: 1 },
      aScale(scaleId),
    ]);
    expect(none.results).toMatchObject([
      { status: 'refused', code: 'thing.not_found' },
      // It says something else by now.
      { status: 'thing.conflict', of: 'scale', thing: { revision: 4 } },
    ]);
  });

  it('moves a row of a list whatever was changed of it meanwhile: the later place holds', async () => {
    const itemId = uuidv7();
    const row = { id: uuidv7(), kind: 'thing.add' as const, of: 'item' as const, thingId: itemId };
    const { body } = await send([{ ...row, content: { ...NEW_ITEM, name: 'Decking', position: 'a1' } }]);
    expect(body.results).toMatchObject([{ status: 'thing', thing: { revision: 1 } }]);
    const of = { of: 'item' as const, thingId: itemId, base: 1 };
    await send([{ ...of, id: uuidv7(), kind: 'thing.set', fields: { count: '12' }, was: { count: '' } }]);
    const { body: moved } = await send([{ ...of, id: uuidv7(), kind: 'thing.move', position: 'a5' }]);
    expect(moved.results).toMatchObject([{ status: 'thing', thing: { count: '12', position: 'a5', revision: 3 } }]);
  });

  it('takes a line that several devices send again, once, and what else it says for another version', async () => {
    const lineId = uuidv7();
    const add = anAdd({ lineId });
    await send([add]);
    const { body } = await send([
      { ...add, id: uuidv7() },
      { ...add, id: uuidv7(), source: `9'` },
    ]);
    const { line: first } = body.results[0] as { line: { source: string; revision: number } };
    expect(body.results).toMatchObject([
      { status: 'applied', line: { id: lineId } },
      { status: 'conflict', line: { id: lineId, source: first.source, revision: first.revision } },
    ]);
  });

  it('does nothing of what was made in another history of the job than it has', async () => {
    const { history, revision } = (await stored()) as unknown as { history: string; revision: number };
    const changes = [anAdd()];
    const path = `/api/jobs/${jobId}/changes`;
    const other = await me.browser.post(path).send({ changes, history: uuidv7() });
    expect([other.status, (other.body as { code: string }).code, (await stored()).revision]).toEqual([
      409,
      'job.restored',
      revision,
    ]);
    await me.browser.post(path).send({ changes, history }).expect(200);
  });

  it('takes one thing that two devices send again as one, unless they say different things of it', async () => {
    const scale = aScale();
    await send([scale]);
    const again = { ...scale, id: uuidv7() };
    const other = { ...scale, id: uuidv7(), content: { ...scale.content, site: `31'` } };
    const { body } = await send([again, other]);
    expect(body.results).toMatchObject([
      { status: 'thing', thing: { revision: 1 } },
      { status: 'thing.conflict', thing: { site: scale.content.site } },
    ]);
  });

  it('keeps setting-outs the same way, field by field, and mixes nothing up with scales', async () => {
    const setOutId = uuidv7();
    const gable = { name: 'Gable', shape: 'right-triangle', answer: '', fields: ['rise', 'run'], entries: [`5'`, ''] };
    const add: Change = { id: uuidv7(), kind: 'thing.add', of: 'setout', thingId: setOutId, content: gable };
    const wider = { ...gable, fields: ['run', 'pitch'], entries: [`6' + rail`, '10:12'] };
    const edit: Change = {
      id: uuidv7(),
      kind: 'thing.edit',
      of: 'setout',
      thingId: setOutId,
      base: add.id,
      content: wider,
    };
    const { body } = await send([add, aScale(), edit, add]);
    expect(body.results.map(({ status }) => status)).toEqual(['thing', 'thing', 'thing', 'thing']);
    expect((await stored()).setOuts).toEqual([{ id: setOutId, ...wider, revision: 3, deleted: false }]);
    expect((await stored()).scales).toHaveLength(1);
    const late: Change = { id: uuidv7(), kind: 'thing.delete', of: 'setout', thingId: setOutId, base: 1 };
    const next = await send([late, { ...late, id: uuidv7(), base: 3 }, { ...late, kind: 'thing.restore', base: 4 }]);
    expect(next.body.results).toMatchObject([
      { status: 'thing.conflict', of: 'setout', thing: { revision: 3 } },
      { status: 'thing', thing: { deleted: true, revision: 4 } },
      { status: 'thing', thing: { deleted: false, revision: 5 } },
    ]);
    const none = await send([
      { ...late, id: uuidv7(), thingId: uuidv7() },
      { ...add, id: uuidv7() },
    ]);
    expect(none.body.results).toMatchObject([{ code: 'thing.not_found' }, { status: 'thing.conflict' }]);
    const uneven = await send([{ ...add, id: uuidv7(), thingId: uuidv7(), content: { ...gable, entries: ['1'] } }]);
    expect(uneven.body.results).toMatchObject([{ status: 'refused', code: 'change.unfit' }]);
  });

  it('reveals nothing to a stranger: a job of somebody else is a job that does not exist, and so is its line', async () => {
    const stranger = uuidv7();
    const theirs = uuidv7();
    const theirLine = uuidv7();
    await test.database.db.insert(account).values({ id: stranger });
    await test.database.db.insert(job).values({ id: theirs, ownerId: stranger, title: 'Theirs', revision: 1 });
    await test.database.db
      .insert(line)
      .values({ id: theirLine, jobId: theirs, number: 1, position: 'a0', source: '1', revision: 1 });
    const foreign = await send([anAdd()], theirs);
    const none = await send([anAdd()], uuidv7());
    expect(foreign.status).toBe(404);
    expect({ ...foreign.body, requestId: '' }).toEqual({ ...none.body, requestId: '' });
    const [theirScale, theirRing] = [uuidv7(), uuidv7()];
    const ring = { name: 'Theirs', shape: 'circle', fields: [], entries: [] };
    await test.database.db.insert(scale).values({ id: theirScale, jobId: theirs, ...SCALE, revision: 1 });
    await test.database.db.insert(setOut).values({ id: theirRing, jobId: theirs, ...ring, revision: 1 });
    const reached = await send([
      anEdit(anAdd({ lineId: theirLine }), 1, 'x'),
      { id: uuidv7(), kind: 'line.delete', lineId: theirLine, base: 1 },
      { id: uuidv7(), kind: 'thing.delete', of: 'scale', thingId: theirScale, base: 1 },
      { id: uuidv7(), kind: 'thing.delete', of: 'setout', thingId: theirRing, base: 1 },
    ]);
    expect(reached.body.results).toMatchObject(
      ['line.not_found', 'line.not_found', 'thing.not_found', 'thing.not_found'].map((code) => ({ code })),
    );
    // An id that is theirs as well is an id like any other here; what is theirs under it stays as it was.
    const added = await send([
      anAdd({ lineId: theirLine }),
      aScale(theirScale),
      {
        id: uuidv7(),
        kind: 'thing.add',
        of: 'setout',
        thingId: theirRing,
        content: { ...ring, name: 'Ours', answer: '' },
      },
    ]);
    expect(added.body.results).toMatchObject([{ status: 'applied' }, { status: 'thing' }, { status: 'thing' }]);
    const { pool } = test.database;
    for (const [table, what] of [
      ['line', { source: '1', revision: '1' }],
      ['scale', { revision: '1', deleted_at: null }],
      ['set_out', { name: 'Theirs', revision: '1' }],
    ] as const)
      expect((await pool.query(`select * from ${table} where job_id = $1`, [theirs])).rows).toMatchObject([what]);
  });
});

describe('bad input', () => {
  const bad: readonly (readonly [string, unknown, string])[] = [
    ['no body', undefined, 'request.invalid'],
    ['an array', [], 'request.invalid'],
    ['no changes', { changes: [] }, 'request.invalid'],
    ['too many changes', { changes: Array.from({ length: BATCH_LIMIT + 1 }, () => anAdd()) }, 'request.invalid'],
    ['an id that is none', { changes: [anAdd({ id: `1'; drop table line; --` })] }, 'request.invalid'],
    [
      'an id of another version',
      { changes: [anAdd({ id: 'e3f6a6e2-1a0c-4a63-9f2b-0f4b7d6f4f11' })] },
      'request.invalid',
    ],
  ];

  it.each(bad)('%s is answered with its code and stores nothing', async (_, body, code) => {
    const answer = await me.browser.post(`/api/jobs/${jobId}/changes`).send(body as object);
    expect(answer.status).toBe(400);
    expect(answer.body).toMatchObject({ code });
    expect(JSON.stringify(answer.body)).not.toMatch(/select|insert|\.ts:|node_modules/i);
    expect(await stored()).toMatchObject({ revision: 0, lines: [] });
  });

  const unfit: readonly (readonly [string, object, string])[] = [
    ['an unknown kind', { kind: 'line.explode' }, 'kind'],
    ['a field too many', { owner: 'me' }, 'owner'],
    ['a number that is no whole one', { number: 1.5 }, 'number'],
    ['a number out of bounds', { number: 1e12 }, 'number'],
    ['a position that is no key', { position: 'a b' }, 'position'],
    ['a place that nothing could be put beside', { position: 'zz' }, 'position'],
    ['a source with a null character', { source: '5\u0000' }, 'source'],
    ['half a character', { source: '\ud800' }, 'source'],
    ['a source that is too long', { source: '1'.repeat(30_000) }, 'source'],
    ['a label that is too long', { label: 'x'.repeat(501) }, 'label'],
    ['a label of the wrong type', { label: { a: 1 } }, 'label'],
  ];
  it.each(unfit)(
    'in one change (%s) is answered with where it is, and those beside it are done',
    async (_, more, where) => {
      const [before, between, behind] = [anAdd(), { ...anAdd(), ...more }, anAdd({ number: 2 })];
      const { status, body } = await send([before, between as Change, behind]);
      expect(status).toBe(200);
      expect(body.results).toMatchObject([
        { id: before.id, status: 'applied' },
        { id: between.id, status: 'refused', code: 'change.unfit' },
        { id: behind.id, status: 'applied' },
      ]);
      expect((body.results[1] as { problem: string }).problem).toContain(where);
      expect((await stored()).lines).toHaveLength(2);
    },
  );

  it('a number far ahead of the others leaves room for those that follow', async () => {
    const { body } = await send([anAdd({ number: 2_000_000_000 }), anAdd({ number: 2 })]);
    expect(body.results).toMatchObject([{ line: { number: 1 } }, { line: { number: 2 } }]);
    expect((await stored()).nextNumber).toBe(3);
  });

  it('that is no JSON, or too much of it, has a code of its own', async () => {
    const post = () => me.browser.post(`/api/jobs/${jobId}/changes`).set('Content-Type', 'application/json');
    expect((await post().send('{"changes": [')).body).toMatchObject({ code: 'request.not_json' });
    const large = await post().send(`{"changes": ["${'x'.repeat(5_000_000)}"]}`);
    expect(large.status).toBe(413);
    expect(large.body).toMatchObject({ code: 'request.too_large' });
  });

  it('in the address is answered too', async () => {
    expect((await me.browser.get('/api/jobs/not-an-id')).status).toBe(400);
    expect((await me.browser.get('/api/nowhere')).body).toMatchObject({ code: 'route.not_found' });
    expect((await me.browser.get('/api/jobs/%E0%A4%A')).status).toBe(400);
  });
});
