import type { Endpoint } from '@sprell/contract';
import type { Request, RequestHandler, Router } from 'express';
import type { z } from 'zod';
import { readBody } from './body.ts';
import { callerOf, type Caller } from './caller.ts';
import { ProblemError } from './problem-error.ts';

interface Asked<Params, Body, Access> {
  readonly params: Params;
  readonly body: Body;
  readonly accountId: Access extends 'anyone' ? string | undefined : string;
  readonly caller: Caller;
}

/** The address of an endpoint as routes behind `/api` see it. */
export const behindApi = (path: string) => path.replace(/^\/api(?=\/)/, '');

/**
 * Mounts an endpoint: checks what came in against its schemas, hands the handler typed values, sends what it returns.
 * A handler throws `ProblemError` for a refusal; Express passes it on to the error handler.
 */
export function serve<
  Params extends z.ZodType,
  Body extends z.ZodType,
  Response extends z.ZodType,
  Access extends 'account' | 'anyone',
>(
  router: Router,
  endpoint: Endpoint<Params, Body, Response, Access>,
  handler: (asked: Asked<z.output<Params>, z.output<Body>, Access>) => Promise<z.input<Response>>,
): void {
  const handle: RequestHandler = async (request, response) => {
    const caller = callerOf(request);
    const { accountId } = caller;
    const params = checked(endpoint.params, request.params, 'params');
    const body = checked(endpoint.body, bodyOf(request), 'body');
    const asked = { params, body, accountId, caller } as Asked<z.output<Params>, z.output<Body>, Access>;
    response.json(await handler(asked));
  };
  const path = behindApi(endpoint.path);
  if (endpoint.method === 'get') router.get(path, knows(endpoint.access), handle);
  else router[endpoint.method](path, knows(endpoint.access), READERS[endpoint.size ?? 'small'], handle);
}

const READERS = { small: readBody('small'), batch: readBody('batch') };

/** Nothing is read of what somebody sends who may not ask. */
function knows(access: 'account' | 'anyone'): RequestHandler {
  return ({ session }, _response, next) => {
    if (session.accountId === undefined && access !== 'anyone')
      throw new ProblemError('account.needed', 'Nobody is signed in here.');
    next();
  };
}

const SHORT = 120;
const shortly = (text: string) => (text.length > SHORT ? `${text.slice(0, SHORT)} …` : text);

function bodyOf(request: Request): unknown {
  return request.method === 'GET' ? undefined : (request.body as unknown);
}

function checked<Schema extends z.ZodType>(schema: Schema, value: unknown, where: string): z.output<Schema> {
  const result = schema.safeParse(value);
  if (result.success) return result.data;
  // A few places help, said shortly; more would only repeat what was sent.
  const places = result.error.issues
    .slice(0, 10)
    .map(({ path, message }) => ({ path: shortly([where, ...path].join('.')), message: shortly(message) }));
  throw new ProblemError('request.invalid', 'The request is not what this address takes.', { places });
}
