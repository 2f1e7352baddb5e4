/**
 * The floor for the server: plain Express routes on the same tables, which look up the same session and do the same
 * transaction, and nothing else: nothing is checked, limited, logged, announced to others or recognised when it is sent twice.
 */
import connectPgSimple from 'connect-pg-simple';
import express from 'express';
import session from 'express-session';
import pg from 'pg';

const pool = new pg.Pool({ connectionString: process.env['DATABASE_URL'], max: 10 });
const app = express();
const Store = connectPgSimple(session);
app.use(
  session({
    name: 'sprell',
    secret: process.env['SPRELL_SECRET'] as string,
    resave: false,
    saveUninitialized: false,
    store: new Store({ pool, tableName: 'session', disableTouch: true }),
  }),
);
app.use(express.json({ limit: '4mb' }));

async function inTransaction<T>(begin: string, work: (client: pg.PoolClient) => Promise<T>): Promise<T> {
  const client = await pool.connect();
  try {
    await client.query(begin);
    const result = await work(client);
    await client.query('commit');
    return result;
  } catch (error) {
    await client.query('rollback');
    throw error;
  } finally {
    client.release();
  }
}

interface Added {
  readonly id: string;
  readonly lineId: string;
  readonly number: number;
  readonly position: string;
  readonly source: string;
}
const accountOf = (request: express.Request) => (request.session as unknown as { accountId: string }).accountId;

/** The lock on the job, its lines, the changes that made them, its counters: the same rows in one transaction. */
app.post('/api/jobs/:jobId/changes', async (request, response) => {
  const { jobId } = request.params;
  const accountId = accountOf(request);
  const { changes } = (request.body ?? { changes: [] }) as { changes: readonly Added[] };
  const answer = await inTransaction('begin', async (client) => {
    const found = await client.query<{ revision: string }>(
      'select revision, next_number from job where id = $1 and owner_id = $2 and deleted_at is null for update',
      [jobId, accountId],
    );
    let revision = Number(found.rows[0]?.revision);
    const results = [];
    for (const { id, lineId, number, position, source } of changes) {
      revision += 1;
      const { rows } = await client.query<object>(
        'insert into line (id, job_id, number, position, source, revision) values ($1, $2, $3, $4, $5, $6) returning *',
        [lineId, jobId, number, position, source, revision],
      );
      results.push(rows[0]);
      await client.query(
        'insert into change (account_id, id, job_id, kind, line_id, payload_hash, revision) values ($1, $2, $3, $4, $5, $6, $7)',
        [accountId, id, jobId, 'line.add', lineId, '', revision],
      );
    }
    await client.query('update job set revision = $2 where id = $1', [jobId, revision]);
    return { revision, results };
  });
  response.json(answer);
});

/** Job, lines and scales of one moment. */
app.get('/api/jobs/:jobId', async (request, response) => {
  const { jobId } = request.params;
  const answer = await inTransaction('begin isolation level repeatable read read only', async (client) => {
    const job = await client.query<object>('select * from job where id = $1 and owner_id = $2 and deleted_at is null', [
      jobId,
      accountOf(request),
    ]);
    const lines = await client.query<object>('select * from line where job_id = $1 order by position, id', [jobId]);
    const scales = await client.query<object>('select * from scale where job_id = $1 order by id', [jobId]);
    return { ...job.rows[0], lines: lines.rows, scales: scales.rows };
  });
  response.json(answer);
});

const server = app.listen(0, '127.0.0.1', () => {
  const address = server.address();
  process.send?.({ listening: typeof address === 'object' && address ? address.port : 0 });
});
process.once('disconnect', () => process.exit(0));
process.once('SIGTERM', () => process.exit(0));
