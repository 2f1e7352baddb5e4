import { pino } from 'pino';
import { createApp } from './app.ts';
import { readConfig } from './config.ts';
import { migrateDatabase, openDatabase } from './db/client.ts';
import { localAccount } from './features/accounts/local-account.ts';
import { loadDemo } from './features/demo/load-demo.ts';

/** Reads the configuration, brings the database up to date, listens, and shuts down when told to. */
async function main(): Promise<void> {
  const config = readConfig(process.env);
  const log = pino({ level: config.logLevel });
  await migrateDatabase(config.databaseUrl, config.migrations);
  const database = openDatabase(config.databaseUrl, (error) =>
    log.error({ err: error }, 'An idle connection to the database failed'),
  );
  const accountId = await localAccount(database.db);
  if (config.demo) await loadDemo(database.db, accountId);
  const app = createApp({ db: database.db, log, accountId, webRoot: config.webRoot });
  const server = app.listen(config.port, config.host, (error) => {
    if (error) {
      log.fatal({ err: error }, 'The port cannot be used');
      process.exit(1);
    }
    const address = server.address();
    const port = typeof address === 'object' && address ? address.port : config.port;
    log.info({ port }, 'Listening');
    process.send?.({ listening: port });
  });
  const stop = () => {
    // Requests that were accepted are answered; idle connections are closed at once.
    server.close(() => {
      void database.close().then(() => process.exit(0));
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
