import type { z } from 'zod';

/** One request and its answer: the server's route and the browser's call are both made from it. */
export interface Endpoint<Params extends z.ZodType, Body extends z.ZodType, Response extends z.ZodType> {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  /** Path under the server's root, parameters as :name. */
  readonly path: string;
  readonly params: Params;
  readonly body: Body;
  readonly response: Response;
}

export function defineEndpoint<Params extends z.ZodType, Body extends z.ZodType, Response extends z.ZodType>(
  endpoint: Endpoint<Params, Body, Response>,
): Endpoint<Params, Body, Response> {
  return endpoint;
}
