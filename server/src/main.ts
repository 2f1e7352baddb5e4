import { pino } from 'pino';
import { createApp } from './app.ts';
import { readConfig } from './config.ts';
import { openDatabase } from './db/client.ts';
import { migrateDatabase } from './db/migrate.ts';
import { keepPruned } from './db/prune.ts';
import { JobFeed } from './features/feed/index.ts';
import { MailStandIn, smtpMailer } from './features/mail/index.ts';
import { makeMetrics, serveMetrics } from './http/metrics.ts';

/** Reads the configuration, brings the database up to date, listens, and shuts down on a signal. */
async function main(): Promise<void> {
  const config = readConfig(process.env);
  const log = pino({ level: config.logLevel });
  const isPooled = config.directUrl !== undefined;
  const direct = config.directUrl ?? config.databaseUrl;
  await migrateDatabase(direct, config.migrations, { isPooled });
  const lost = (error: Error) =>
    // No more of it: the pool hangs the whole connection on it, its key among that.
    log.error({ reason: error.message }, 'An idle connection to the database failed');
  const database = openDatabase(config.databaseUrl, lost, { isPooled });
  const feed = new JobFeed(direct, log);
  await feed.start();
  const mailer =
    config.smtpUrl === undefined
      ? new MailStandIn({ sends: config.demo })
      : smtpMailer(config.smtpUrl, config.mailFrom);
  let publicUrl = config.publicUrl;
  const metrics = makeMetrics(database.pool, () => feed.size);
  const watched = config.metricsPort === undefined ? undefined : serveMetrics(metrics, config.metricsPort);
  const stopPruning = keepPruned(database.pool, log);
  const app = createApp({
    database,
    feed,
    metrics,
    log,
    secret: config.secret,
    mailer,
    publicUrl: () => publicUrl ?? '',
    demo: config.demo,
    webRoot: config.webRoot,
    trustProxy: config.trustProxy,
    limits: config,
  });
  const server = app.listen(config.port, config.host, (error) => {
    if (error) {
      log.fatal({ err: error }, 'The port cannot be used');
      process.exit(1);
    }
    const address = server.address();
    const port = typeof address === 'object' && address ? address.port : config.port;
    publicUrl ??= `http://127.0.0.1:${port}`;
    log.info({ port }, 'Listening');
    process.send?.({ listening: port });
  });
  let isStopping = false;
  server.prependListener('request', (_request, response) => {
    // A connection that is kept for the next request would keep the server; the client opens another, or waits.
    response.once('finish', () => {
      if (isStopping) setImmediate(() => server.closeIdleConnections());
    });
    if (isStopping) response.setHeader('Connection', 'close');
  });
  const stop = () => {
    if (isStopping) return;
    isStopping = true;
    // Requests that were accepted are answered, and their changes are announced; streams end at once.
    feed.endAll();
    stopPruning();
    watched?.close();
    server.close(() => {
      void feed
        .close()
        .then(() => database.close())
        .then(() => process.exit(0));
    });
    server.closeIdleConnections();
    setTimeout(() => process.exit(1), 10_000).unref();
  };
  process.once('SIGTERM', stop);
  process.once('SIGINT', stop);
  // The start command holds this channel: when it dies, even by kill -9, the server goes with it.
  process.once('disconnect', stop);
}

await main();
