import { PROBLEMS, type Problem, type ProblemCode } from '@sprell/contract';

/** A refusal on its way to the error handler. */
export class ProblemError extends Error {
  readonly code: ProblemCode;
  readonly status: number;
  readonly places: Problem['places'];

  constructor(code: ProblemCode, message: string, places?: Problem['places']) {
    super(message);
    this.code = code;
    this.status = PROBLEMS[code];
    this.places = places;
  }
}
