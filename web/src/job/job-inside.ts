import { fileJobOf, jobFieldsOf, jobFileOf, thingsBy, type JobInside, type JobWire } from '@sprell/contract';
import type { LocalJob } from '../adapters/local/local-store.ts';
import type { JobPlan } from './new-job.ts';
import { ALL_PARTS } from './job-parts.ts';
import type { OpenJob } from './open-job.ts';

/** What of a job goes into a file, as this device has it. */
export const insideOf = ({ head, lines, things }: Pick<LocalJob, 'head' | 'lines' | 'things'>): JobInside => ({
  fields: jobFieldsOf(head),
  reading: head.reading,
  lines,
  things,
});

/** The same of the open job, as it stands on this page. */
export function insideOfOpen(job: OpenJob): JobInside | undefined {
  const { head } = job;
  return head && insideOf({ head, lines: [...job.slate.all()], things: thingsBy((kind) => job.things.list(kind)) });
}

export const fileOf = (job: LocalJob): string => jobFileOf(insideOf(job));

/** A job of a file as a new one of one's own. */
export function planOf({ lines, reading, ...job }: JobWire, things: LocalJob['things']): JobPlan {
  const { title, ...fields } = jobFieldsOf(job);
  return { title, reading, fields, from: { job: { lines, things }, parts: ALL_PARTS } };
}

/**
 * Several jobs as one zip, each a job file under its title.
 * @returns bytes; the same jobs give the same bytes
 */
export async function zipOf(
  jobs: readonly LocalJob[],
  nameOf: (title: string) => string,
): Promise<Uint8Array<ArrayBuffer>> {
  const { strToU8, zipSync } = await import('fflate');
  const files: Record<string, Uint8Array> = {};
  for (const job of jobs) {
    const name = nameOf(job.head.title);
    let free = name;
    for (let n = 2; free in files; n += 1) free = name.replace(/(?=\.)/u, `-${n}`);
    files[free] = strToU8(fileOf(job));
  }
  // Jobs have no time of their own in a file; 1980 is the earliest that a zip can say.
  return zipSync(files, { mtime: new Date(1980, 0, 1, 12) }) as Uint8Array<ArrayBuffer>;
}

/** How much a file holds, in words: "46 lines, 9 marks". */
export function countsOf(job: JobInside): string {
  const file = fileJobOf(job);
  const lines = file.slate.filter(({ kind, deleted }) => kind === 'worked' && deleted !== true).length;
  const counts = [
    [lines, 'line', 'lines'],
    [file.marks?.length ?? 0, 'mark', 'marks'],
    [file.scales?.length ?? 0, 'scale', 'scales'],
    [file.setOuts?.length ?? 0, 'setting-out', 'settings-out'],
    [file.items?.length ?? 0, 'row of quantities', 'rows of quantities'],
    [file.jigs?.length ?? 0, 'jig', 'jigs'],
  ] as const;
  const said = counts.flatMap(([count, one, many]) => (count === 0 ? [] : [`${count} ${count === 1 ? one : many}`]));
  return said.length === 0 ? 'nothing but its set-up' : said.join(', ');
}
