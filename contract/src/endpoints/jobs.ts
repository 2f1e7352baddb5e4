import { z } from 'zod';
import { BATCH_LIMIT } from '../batch-limit.ts';
import { defineEndpoint } from '../endpoint.ts';
import { LISTS_WIRE } from '../kinds/wires.ts';
import { changeResultWire, sentWire } from '../wire/change.ts';
import { jobFieldsWire } from '../wire/job-fields.ts';
import { lineWire, revisionWire } from '../wire/line.ts';
import { readingWire } from '../wire/reading.ts';

export const roleWire = z.enum(['own', 'edit', 'read']);
export type Role = z.infer<typeof roleWire>;

/**
 * Which history of a job its revisions count in: another one after it was put back from a backup, when devices may know
 * more of it than the server.
 */
const historyWire = z.uuid();

export const jobSummaryWire = z.object({
  id: z.uuid(),
  ...jobFieldsWire.shape,
  history: historyWire,
  revision: revisionWire,
  /** Lines that are worked out. */
  lines: z.int(),
  /** Everybody who sees it, its owner too. */
  people: z.int(),
  role: roleWire,
  /** When something was last changed in it, and when it was deleted. */
  changedAt: z.iso.datetime(),
  deletedAt: z.iso.datetime().nullable(),
});
export type JobSummary = z.infer<typeof jobSummaryWire>;

export const jobWire = z.object({
  id: z.uuid(),
  ...jobFieldsWire.shape,
  reading: readingWire,
  revision: revisionWire,
  history: historyWire,
  /** The history of the backup that it was put back from, and the revision that it was at in it. */
  restoredFrom: historyWire.nullable(),
  restoredRevision: revisionWire,
  /** What the caller may do with it. */
  role: roleWire,
  nextNumber: z.int(),
  lines: z.array(lineWire),
  ...LISTS_WIRE,
});
export type JobWire = z.infer<typeof jobWire>;

const jobParams = z.object({ jobId: z.uuid() });
const nothing = z.undefined();

/** The caller's jobs. */
export const listJobs = defineEndpoint({
  method: 'get',
  access: 'account',
  path: '/api/jobs',
  params: z.object({}),
  body: nothing,
  response: z.array(jobSummaryWire),
});

/** One job with its lines and things; deleted ones come marked, since entries may still name them. */
export const openJob = defineEndpoint({
  method: 'get',
  access: 'account',
  path: '/api/jobs/:jobId',
  params: jobParams,
  body: nothing,
  response: jobWire,
});

/** What changed in a job after a revision: its lines and things alone. */
export const jobSince = defineEndpoint({
  method: 'get',
  access: 'account',
  path: '/api/jobs/:jobId/since/:revision',
  params: z.object({ jobId: z.uuid(), revision: z.coerce.number().pipe(revisionWire) }),
  body: nothing,
  response: jobWire,
});

/** The stream of a job's revisions, as server-sent events: each says that there is more to read up to it. */
export const jobEvents = defineEndpoint({
  method: 'get',
  access: 'account',
  path: '/api/jobs/:jobId/events',
  params: jobParams,
  body: nothing,
  response: z.object({ revision: revisionWire }),
});

/** The one way to write: a batch of changes, applied in order in one transaction, each at most once however often it is sent. */
export const sendChanges = defineEndpoint({
  method: 'post',
  access: 'account',
  path: '/api/jobs/:jobId/changes',
  size: 'batch',
  params: jobParams,
  /** `history`: the one in which the changes were made; where the job has another by now, none of them is done. */
  body: z.strictObject({ changes: z.array(sentWire).min(1).max(BATCH_LIMIT), history: historyWire.optional() }),
  response: z.object({ revision: revisionWire, results: z.array(changeResultWire) }),
});
