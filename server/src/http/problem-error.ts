import { PROBLEMS, type Problem, type ProblemCode } from '@sprell/contract';

/** A refusal on its way to the error handler. */
export class ProblemError extends Error {
  readonly code: ProblemCode;
  readonly status: number;
  readonly places: Problem['places'];
  /** Seconds after which it may be asked again. */
  readonly retryAfter: number | undefined;

  constructor(
    code: ProblemCode,
    message: string,
    { places, retryAfter }: { readonly places?: Problem['places']; readonly retryAfter?: number } = {},
  ) {
    super(message);
    this.code = code;
    this.status = PROBLEMS[code];
    this.places = places;
    this.retryAfter = retryAfter;
  }
}
