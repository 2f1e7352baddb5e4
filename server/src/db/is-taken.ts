/** PostgreSQL's own code for a second row with a unique value, https://www.postgresql.org/docs/15/errcodes-appendix.html. */
const UNIQUE_VIOLATION = '23505';

/** Whether the database refused a row since another has its unique value, somewhere among the causes of an error. */
export function isTaken(error: unknown): boolean {
  for (let cause: unknown = error; cause instanceof Error; cause = cause.cause)
    if ((cause as { code?: string }).code === UNIQUE_VIOLATION) return true;
  return false;
}
