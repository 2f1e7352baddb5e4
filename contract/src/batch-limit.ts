/** Most changes in one batch; a longer outbox is sent in several. */
export const BATCH_LIMIT = 200;
