import type { ListedJob } from '../../job/index.ts';
import { timeWords } from '../../ui/time-words.ts';

/** A job as it is called in a list: where another has the same title, with what tells the two apart. */
export interface ToldApart extends ListedJob {
  readonly tells: string | undefined;
}

/** @param now in milliseconds since 1970 */
export function toldApart(jobs: readonly ListedJob[], now = Date.now()): readonly ToldApart[] {
  const titles = new Map<string, number>();
  for (const { title } of jobs) titles.set(title, (titles.get(title) ?? 0) + 1);
  return jobs.map((job) => {
    const { title, lineCount = 0, changedAt } = job;
    const isAlone = (titles.get(title) ?? 0) < 2;
    const when = changedAt === undefined ? '' : `, ${timeWords(Date.parse(changedAt), now)}`;
    return { ...job, tells: isAlone ? undefined : `${lineCount} ${lineCount === 1 ? 'line' : 'lines'}${when}` };
  });
}
