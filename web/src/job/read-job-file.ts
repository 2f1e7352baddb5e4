import { JOB_FILE_LIMIT, jobOfFile, type FileRead, type JobWire } from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';

export type ReadJobFile = FileRead<JobWire>;

/** More than any job takes, whatever its signs take in the file. */
const MOST_BYTES = 4 * JOB_FILE_LIMIT;

/** Reads a file that somebody chose. Never throws for what is in it. */
export async function readJobFile(file: Blob): Promise<ReadJobFile> {
  if (file.size > MOST_BYTES)
    return {
      ok: false,
      problem: { place: '', sentence: `This file is too large for a job: ${Math.round(file.size / 1e6)} MB.` },
    };
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(await file.arrayBuffer());
  } catch {
    return { ok: false, problem: { place: '', sentence: 'This is no job file: it is no text.' } };
  }
  const read = jobOfFile(text, uuidv7);
  return read.ok ? { ok: true, value: read.value } : read;
}

/** What the thread of job files does. */
export interface JobFileReader {
  readonly read: typeof readJobFile;
}
