/** Most changes in one batch; a longer outbox is sent in several. */
export const BATCH_LIMIT = 2000;
/** Most values in one body, lists and objects among them: what is read costs time by the value. */
export const BODY_VALUES = 40_000;
/** Most bytes in one body. */
export const BODY_BYTES = 4_000_000;

/** Room for what stands around the changes, and for signs that take several bytes. */
const [VALUES, CHARACTERS] = [BODY_VALUES - 5_000, BODY_BYTES / 4];

/** How many changes, from the first on, go into one batch: at least one, and no more than the server reads at once. */
export function batchSize(changes: readonly unknown[]): number {
  let [values, characters] = [0, 0];
  for (const [at, change] of changes.entries()) {
    const text = JSON.stringify(change);
    // Those that stand within a text are counted along: it is no more than this.
    values += text.split(/[,[{]/).length;
    characters += text.length;
    if (at === BATCH_LIMIT || (at > 0 && (values > VALUES || characters > CHARACTERS))) return at;
  }
  return changes.length;
}
