/** The door of job files: it comes with the first file that somebody saves or opens. */
import { heavyWork, HeavyWorkEnded } from '../adapters/heavy-work.ts';
import type { JobFileReader, ReadJobFile } from './read-job-file.ts';

export { countsOf, fileOf, insideOf, zipOf } from './job-inside.ts';
export { readingOf, shownIn } from './closed-job.ts';
export { mergeInto, takeIn, whyNotInto } from './take-in.ts';
export type { ReadJobFile } from './read-job-file.ts';

/** Reads a job file on a thread of its own. It is ended with the signal. */
export async function readOnThread(file: File, signal: AbortSignal): Promise<ReadJobFile> {
  const thread = heavyWork<JobFileReader>(
    () => new Worker(new URL('./job-file-worker.ts', import.meta.url), { type: 'module' }),
  );
  try {
    return await thread.ask(async (reader) => (await reader.read(file)) as unknown as ReadJobFile, { signal });
  } catch (error) {
    if (!(error instanceof HeavyWorkEnded)) throw error;
    const sentence = 'This file could not be read; it may be too large for this device.';
    return { ok: false, problem: { place: '', sentence } };
  } finally {
    thread.dispose();
  }
}
