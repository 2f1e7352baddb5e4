import type { JobFields } from './wire/job-fields.ts';

/** A new job, and one that was made before jobs had these. Apart from the schemas, which a page does not need at its start. */
export const NEW_JOB: Omit<JobFields, 'title'> = {
  tags: [],
  archived: false,
  deleted: false,
  thousands: false,
  decimalComma: false,
  currency: '$',
  bareNumbers: 'plain',
  moneyRounded: 'row',
  holds: 'work',
};

const NAMES = ['title', ...Object.keys(NEW_JOB)] as readonly (keyof JobFields)[];

/** What a job says of itself, out of all that is known of it. */
export const jobFieldsOf = (job: JobFields): JobFields =>
  Object.fromEntries(NAMES.map((name) => [name, job[name]])) as JobFields;

/** The fields that a change names, with what it says of them. */
export const namedFields = (fields: { readonly [Name in keyof JobFields]?: JobFields[Name] | undefined }) =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as Partial<JobFields>;

/** A deleted job can be brought back for so long. */
export const DELETED_KEPT_DAYS = 30;
