import { randomBytes } from 'node:crypto';
import { fileURLToPath } from 'node:url';
import type { Express } from 'express';
import pg from 'pg';
import { pino } from 'pino';
import request from 'supertest';
import { inject } from 'vitest';
import { createApp, type AppParts } from '../app.ts';
import { migrateDatabase, openDatabase, type OpenDatabase } from '../db/client.ts';
import { JobFeed } from '../features/feed/job-feed.ts';
import { MailStandIn } from '../features/mail/mailer.ts';
import type { Limits } from '../http/limits.ts';

const MIGRATIONS = fileURLToPath(new URL('../db/migrations', import.meta.url));

export interface TestApp {
  readonly app: Express;
  readonly database: OpenDatabase;
  readonly url: string;
  readonly mail: MailStandIn;
  /** A browser that nobody has signed in to. */
  browser(): Browser;
  /** A browser with a guest's account of its own. */
  guest(): Promise<Guest>;
  close(): Promise<void>;
}

/** Keeps cookies and says where it comes from, as a browser does. */
export type Browser = ReturnType<typeof request.agent>;
export interface Guest {
  readonly browser: Browser;
  readonly accountId: string;
}

const HOST = 'sprell.test';

export interface TestSettings {
  readonly demo?: boolean;
  readonly limits?: Limits;
}

/** The application on a database of its own, as new. */
export async function startTestApp({ demo = false, limits }: TestSettings = {}): Promise<TestApp> {
  const clusterUrl = inject('clusterUrl');
  const name = `test_${randomBytes(6).toString('hex')}`;
  const admin = new pg.Client({ connectionString: clusterUrl });
  await admin.connect();
  await admin.query(`create database ${name}`);
  await admin.end();
  const url = clusterUrl.replace(/\/[^/]*$/, `/${name}`);
  await migrateDatabase(url, MIGRATIONS);
  const database = openDatabase(url, () => undefined);
  const mail = new MailStandIn();
  const feed = new JobFeed(url, pino({ level: 'silent' }));
  await feed.start();
  const app = createApp({ ...appParts(database), feed, mailer: mail, demo, ...(limits ? { limits } : {}) });
  const browser = () => request.agent(app).set('Host', HOST).set('Origin', `http://${HOST}`);
  return {
    app,
    database,
    url,
    mail,
    browser,
    guest: async () => {
      const made = browser();
      const { body } = await made.post('/api/account/guest').send({}).expect(200);
      return { browser: made, accountId: (body as { id: string }).id };
    },
    close: async () => {
      await feed.close();
      await database.close();
    },
  };
}

/** What an application is made of where a test does not care. */
export function appParts(database: OpenDatabase): AppParts {
  return {
    database,
    feed: new JobFeed('postgres://nobody@127.0.0.1:1/none', pino({ level: 'silent' })),
    log: pino({ level: 'silent' }),
    secret: 'a secret that is long enough to be one',
    mailer: new MailStandIn(),
    resetLink: (token) => `http://${HOST}/new-password#${token}`,
    demo: false,
    webRoot: undefined,
    trustProxy: 'loopback',
    limits: { requestsAMinute: 1_000_000, guessesAQuarterHour: 1_000_000 },
  };
}
