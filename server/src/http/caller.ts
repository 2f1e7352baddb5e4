import type { RequestHandler, Response } from 'express';

/** Who asks. */
export interface Caller {
  readonly accountId: string;
}

/** Puts the caller where `callerOf` finds it. `find` decides who that is. */
export function identifyCaller(find: () => Promise<Caller>): RequestHandler {
  return async (_request, response, next) => {
    response.locals['caller'] = await find();
    next();
  };
}

export function callerOf(response: Response): Caller {
  return response.locals['caller'] as Caller;
}
