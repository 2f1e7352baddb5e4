import { createServer, type Server } from 'node:http';
import type { RequestHandler } from 'express';
import type pg from 'pg';
import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';

/** Seconds: a touch is answered in a few milliseconds, and what takes a second is felt. */
const BUCKETS = [0.002, 0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10];

export interface Metrics {
  readonly registry: Registry;
  /** Counts each request with how long it took. */
  readonly requests: RequestHandler;
  /** Counts what became of changes. */
  readonly changes: Counter<'status'>;
}

/** What to watch of this process, in the words of Prometheus. Nothing in it names a person, a job or what is in it. */
export function makeMetrics(pool: pg.Pool, openStreams: () => number): Metrics {
  const registry = new Registry();
  const registers = [registry];
  collectDefaultMetrics({ register: registry });
  const took = new Histogram({
    name: 'sprell_request_seconds',
    help: 'How long requests took, by their route and answer.',
    labelNames: ['method', 'route', 'status'],
    buckets: BUCKETS,
    registers,
  });
  const changes = new Counter({
    name: 'sprell_changes_total',
    help: 'Changes by what became of them: applied, conflict, refused.',
    labelNames: ['status'],
    registers,
  });
  new Gauge({
    name: 'sprell_streams_open',
    help: 'Devices that listen to a job.',
    registers,
    collect() {
      this.set(openStreams());
    },
  });
  new Gauge({
    name: 'sprell_database_connections',
    help: 'Connections to the database: all, idle, and requests that wait for one.',
    labelNames: ['state'],
    registers,
    collect() {
      this.set({ state: 'all' }, pool.totalCount);
      this.set({ state: 'idle' }, pool.idleCount);
      this.set({ state: 'waited for' }, pool.waitingCount);
    },
  });
  return {
    registry,
    changes,
    requests: (request, response, next) => {
      const done = took.startTimer({ method: request.method });
      response.once('close', () => {
        // A stream is open for as long as somebody listens: that says nothing.
        if (String(response.getHeader('content-type')).startsWith('text/event-stream')) return;
        const { route, baseUrl } = request as { route?: { path?: unknown }; baseUrl: string };
        const path = typeof route?.path === 'string' ? `${baseUrl}${route.path}` : 'other';
        done({ route: path, status: String(response.statusCode) });
      });
      next();
    },
  };
}

/** Answers `/metrics` at a port of its own, on loopback: no proxy hands it on by mistake. */
export function serveMetrics({ registry }: Metrics, port: number): Server {
  return createServer((request, response) => {
    if (request.url !== '/metrics') {
      response.writeHead(404).end();
      return;
    }
    registry.metrics().then(
      (text) => response.writeHead(200, { 'Content-Type': registry.contentType }).end(text),
      () => response.writeHead(500).end(),
    );
  }).listen(port, '127.0.0.1');
}
