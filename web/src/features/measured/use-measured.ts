import { freeNames, nameIssue } from '@sprell/core';
import { useRoute, useRouter } from 'vue-router';
import { useHand } from '../../parts/entry/hand.ts';
import { writeDown, writtenDown } from '../../parts/entry/written-down.ts';
import { joined } from '../../parts/meter/measured-size.ts';
import { useJob } from '../../live/use-jobs.ts';
import type { Measured } from '../../live/meter.store.ts';

/** What can be done with sizes that were measured. */
export function useMeasured() {
  const job = useJob();
  const hand = useHand();
  const [router, route] = [useRouter(), useRoute()];
  const names = () => job.marks.list.map(({ name }) => name);
  return {
    canWrite: () => !job.isReader,
    toSlate: ({ size }: Measured) => void job.lines.land(size),
    /** All as lines, in the order in which they were measured, and one undo. */
    allToSlate: (list: readonly Measured[]) => {
      const entries = [...list].reverse().map(
        ({ size }) =>
          () =>
            size,
      );
      job.lines.landAll(entries, `Remove the ${entries.length} measured lines`);
    },
    /** @returns the name that it has now */
    asMark: ({ size }: Measured, wanted: string): string | undefined => {
      const name = wanted.trim() === '' ? freeNames(names(), 1)[0] : wanted.trim();
      if (name === undefined || nameIssue(name) !== undefined) return undefined;
      job.lines.land(`${name} = ${size}`);
      return name;
    },
    freeName: () => freeNames(names(), 1)[0] ?? '',
    /** Into the entry of the bench, wherever one is. */
    intoEntry: async ({ size }: Measured) => {
      const behind = (text: string) => joined(text, size);
      if (route.path === '/')
        hand.apply(({ text }) => ({ text: behind(text), from: behind(text).length, to: behind(text).length }));
      else {
        writeDown(behind(writtenDown()));
        await router.push('/');
      }
    },
  };
}
