import type { z } from 'zod';

/** One request and its answer: the server's route and the browser's call are both made from it. */
export interface Endpoint<
  Params extends z.ZodType,
  Body extends z.ZodType,
  Response extends z.ZodType,
  Access extends 'account' | 'anyone' = 'account' | 'anyone',
> {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  /** Who may ask: somebody with an account, a guest's too, or anyone. */
  readonly access: Access;
  /** Path under the server's root, parameters as :name. */
  readonly path: string;
  readonly params: Params;
  readonly body: Body;
  /** What a body may hold: a few values, unless it is a batch of changes. */
  readonly size?: 'batch';
  readonly response: Response;
}

export function defineEndpoint<
  Params extends z.ZodType,
  Body extends z.ZodType,
  Response extends z.ZodType,
  Access extends 'account' | 'anyone',
>(endpoint: Endpoint<Params, Body, Response, Access>): Endpoint<Params, Body, Response, Access> {
  return endpoint;
}
