import type { ProblemCode } from '@sprell/contract';

/** A request that was not answered as hoped: the server's problem, or `offline` when it could not be reached. */
export class RequestFailure extends Error {
  readonly code: ProblemCode | 'offline';

  constructor(code: ProblemCode | 'offline', message: string) {
    super(message);
    this.code = code;
  }
}
