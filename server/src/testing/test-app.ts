import { randomBytes } from 'node:crypto';
import { fileURLToPath } from 'node:url';
import type { Express } from 'express';
import pg from 'pg';
import { pino } from 'pino';
import request from 'supertest';
import { inject, vi } from 'vitest';
import { createApp, type AppParts } from '../app.ts';
import { openDatabase, type OpenDatabase } from '../db/client.ts';
import { migrateDatabase } from '../db/migrate.ts';
import { JobFeed } from '../features/feed/index.ts';
import { MailStandIn } from '../features/mail/index.ts';
import type { Limits } from '../http/limits.ts';
import { makeMetrics } from '../http/metrics.ts';

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
  /** Gives a guest's account an address, by the link that goes there. */
  claim(browser: Browser, email: string, password: string): Promise<void>;
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
  readonly limits?: Partial<Limits>;
  /** Whether letters get anywhere. */
  readonly sends?: boolean;
}

/** The application on a database of its own, as new. */
export async function startTestApp({ demo = false, limits, sends = true }: TestSettings = {}): Promise<TestApp> {
  const clusterUrl = inject('clusterUrl');
  const name = `test_${randomBytes(6).toString('hex')}`;
  const admin = new pg.Client({ connectionString: clusterUrl });
  await admin.connect();
  await admin.query(`create database ${name}`);
  await admin.end();
  const url = clusterUrl.replace(/\/[^/]*$/, `/${name}`);
  await migrateDatabase(url, MIGRATIONS);
  const database = openDatabase(url, () => undefined);
  const mail = new MailStandIn({ sends });
  const feed = new JobFeed(url, pino({ level: 'silent' }));
  await feed.start();
  const parts = appParts(database);
  const app = createApp({ ...parts, feed, mailer: mail, demo, limits: { ...parts.limits, ...limits } });
  const browser = () => browserOf(app);
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
    claim: async (made, email, password) => {
      await made.post('/api/account/claim').send({ email, password }).expect(200);
      await made
        .post('/api/account/claim/confirm')
        .send({ token: await tokenFor(mail, email, 'confirm') })
        .expect(200);
    },
    close: async () => {
      await feed.close();
      await database.close();
    },
  };
}

export const browserOf = (app: Express): Browser =>
  request.agent(app).set('Host', HOST).set('Origin', `http://${HOST}`);

/** What is in the link of the last letter of a kind to an address. Letters go behind the answer. */
export const tokenFor = (mail: MailStandIn, email: string, page: 'confirm' | 'new-password'): Promise<string> =>
  vi.waitFor(() => {
    const [token] = tokensFor(mail, email, page);
    if (token === undefined) throw new Error(`No letter with a link to ${page} went to ${email}.`);
    return token;
  });

/** The last first. */
export const tokensFor = (mail: MailStandIn, email: string, page: 'confirm' | 'new-password'): string[] =>
  mail
    .sent()
    .filter(({ to }) => to === email)
    .flatMap(({ text }) => new RegExp(`/${page}#(\\S+)`).exec(text)?.[1] ?? []);

/** What an application is made of where a test does not care. */
export function appParts(database: OpenDatabase): AppParts {
  const feed = new JobFeed('postgres://nobody@127.0.0.1:1/none', pino({ level: 'silent' }));
  return {
    database,
    feed,
    metrics: makeMetrics(database.pool, () => feed.size),
    log: pino({ level: 'silent' }),
    secret: 'a secret that is long enough to be one',
    mailer: new MailStandIn({ sends: true }),
    publicUrl: () => `http://${HOST}`,
    demo: false,
    webRoot: undefined,
    trustProxy: 'loopback',
    limits: {
      requestsAMinute: 1_000_000,
      guessesAQuarterHour: 1_000_000,
      passwordsAQuarterHour: 1_000_000,
      lettersAnHour: 1_000_000,
    },
  };
}
