import { z } from 'zod';

const flag = z
  .enum(['0', '1'])
  .default('0')
  .transform((text) => text === '1');

const environment = z.object({
  DATABASE_URL: z.url({ protocol: /^postgres(ql)?$/ }),
  PORT: z.coerce.number().int().min(0).max(65535).default(4600),
  /** Loopback unless told otherwise. */
  HOST: z.string().default('127.0.0.1'),
  /** Folder of the built web application; without it only the API is served. */
  SPRELL_WEB_ROOT: z.string().optional(),
  /** Folder of the SQL migrations. */
  SPRELL_MIGRATIONS: z.string(),
  /** Set by the demo start alone: a new database is filled with the made-up jobs. */
  SPRELL_DEMO: flag,
  SPRELL_LOG: z.enum(['silent', 'error', 'warn', 'info', 'debug']).default('info'),
});

export interface Config {
  readonly databaseUrl: string;
  readonly port: number;
  readonly host: string;
  readonly webRoot: string | undefined;
  readonly migrations: string;
  readonly demo: boolean;
  readonly logLevel: string;
}

/** The environment, checked once. @throws {z.ZodError} when a variable is missing or wrong. */
export function readConfig(variables: Readonly<Record<string, string | undefined>>): Config {
  const read = environment.parse(variables);
  return {
    databaseUrl: read.DATABASE_URL,
    port: read.PORT,
    host: read.HOST,
    webRoot: read.SPRELL_WEB_ROOT,
    migrations: read.SPRELL_MIGRATIONS,
    demo: read.SPRELL_DEMO,
    logLevel: read.SPRELL_LOG,
  };
}
