import { problemWire, type Endpoint } from '@sprell/contract';
import type { z } from 'zod';
import { RequestFailure } from './request-failure.ts';

/** Calls an endpoint of the contract. @throws {RequestFailure} */
export async function call<Params extends z.ZodType, Body extends z.ZodType, Response extends z.ZodType>(
  endpoint: Endpoint<Params, Body, Response>,
  params: z.input<Params>,
  body?: z.input<Body>,
): Promise<z.output<Response>> {
  const path = endpoint.path.replace(/:(\w+)/g, (_, name: string) =>
    encodeURIComponent(String((params as Record<string, unknown>)[name])),
  );
  const answer = await fetch(path, {
    method: endpoint.method.toUpperCase(),
    // Before files that only come along: pictures, what is loaded for later.
    priority: 'high',
    ...(body === undefined ? {} : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
  }).catch(() => {
    throw new RequestFailure('offline', 'The server cannot be reached.');
  });
  const text: unknown = await answer.json().catch(() => undefined);
  if (answer.ok) return endpoint.response.parse(text);
  const problem = problemWire.safeParse(text);
  throw problem.success
    ? new RequestFailure(problem.data.code, problem.data.message)
    : new RequestFailure(
        answer.status >= 500 ? 'server.unavailable' : 'server.failed',
        `The server answered ${answer.status}.`,
      );
}
