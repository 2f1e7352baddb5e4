import { shallowRef } from 'vue';
import type { Memory } from '../../adapters/local-memory.ts';
import type { JobLines } from './job-marks.ts';
import type { MarksMet, OwnLines } from './marks-met.ts';

/** Marks that met, and whether somebody has seen that. */
type Seen = MarksMet & { readonly isSeen: boolean };

/** Sets marks apart that were stored under one name on two devices, and holds what is to be said about it. */
export function useMarksApart(job: JobLines, ours: OwnLines & { readonly memory: Memory; isReader(): boolean }) {
  /** What was not seen yet. */
  const met = shallowRef<readonly MarksMet[]>([]);
  const key = () => `met.${job.jobId()}`;
  const known = () => ours.memory.remembered<readonly Seen[]>(key()) ?? [];

  function keep(all: readonly Seen[]): void {
    ours.memory.remember(key(), all);
    met.value = all.filter(({ isSeen }) => !isSeen);
  }

  /** Looks at the marks after lines came from elsewhere. */
  function setMarksApart(): void {
    met.value = known().filter(({ isSeen }) => !isSeen);
    const isTwice = job
      .slate()
      .marks()
      .some(({ madeBy }) => madeBy.filter(isKept).length > 1);
    if (ours.isReader() || !isTwice) return;
    const jobId = job.jobId();
    // Most jobs do without it.
    void import('./marks-met.ts').then(({ marksMet, setApart }) => {
      if (job.jobId() !== jobId) return;
      for (const two of marksMet(job, ours)) {
        if (known().some(({ mine, theirs }) => mine === two.mine && theirs === two.theirs)) continue;
        keep([...known(), { ...two, mineIs: setApart(job, ours, two), isSeen: false }]);
      }
    });
  }

  function seeMet(): void {
    keep(known().map((one) => ({ ...one, isSeen: true })));
  }

  return { met, setMarksApart, seeMet };
}

const isKept = ({ operator }: { readonly operator: string }) => operator === 'keep';
