/** Reads job files on a thread of its own: a large one takes longer than a frame. */
import { expose } from 'comlink';
import { readJobFile, type JobFileReader } from './read-job-file.ts';

expose({ read: readJobFile } satisfies JobFileReader);
