import { z } from 'zod';

/** Everything a request can be refused for, with the status that goes with it. The one registry. */
export const PROBLEMS = {
  'request.invalid': 400,
  'request.not_json': 400,
  'request.too_large': 413,
  'request.foreign': 403,
  'request.too_many': 429,
  'account.needed': 401,
  'account.wrong': 401,
  'account.email_taken': 409,
  'password.weak': 400,
  'account.claimed': 409,
  'code.unknown': 404,
  'password.needed': 409,
  'job.read_only': 403,
  'job.not_owner': 403,
  'job.not_found': 404,
  'job.full': 409,
  'job.restored': 409,
  'account.full': 409,
  'route.not_found': 404,
  'server.unavailable': 503,
  'server.failed': 500,
} as const;

export type ProblemCode = keyof typeof PROBLEMS;

/** The one error body. A client switches on `code`; `places` point into the request. */
export const problemWire = z.object({
  code: z.enum(Object.keys(PROBLEMS) as [ProblemCode, ...ProblemCode[]]),
  message: z.string(),
  requestId: z.string(),
  places: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
});
export type Problem = z.infer<typeof problemWire>;
