/**
 * The server's jobs. The schemas that every answer is checked with are a tenth of the application, and nothing on the
 * first screen waits for them: whoever calls, loads this file when it is due (`jobServer`).
 */
import { listJobs, openJob, sendChanges, type Change } from '@sprell/contract';
import { call } from './api-client.ts';

export const list = () => call(listJobs, {});
export const open = (jobId: string) => call(openJob, { jobId });
export const send = (jobId: string, changes: Change[]) => call(sendChanges, { jobId }, { changes });
