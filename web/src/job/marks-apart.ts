import type { Ground } from './ground.ts';
import type { Cell } from './holder.ts';
import type { JobWhereMarksMeet, MarksMet } from './marks-met.ts';

/** Marks that met, and whether somebody has seen that. */
type Seen = MarksMet & { readonly isSeen: boolean };

/** Sets marks apart that were stored under one name on two devices, and holds what is to be said about it. */
export class MarksApart {
  readonly #job: JobWhereMarksMeet;
  readonly #ground: Ground;
  readonly #met: Cell<readonly MarksMet[]>;

  constructor(job: JobWhereMarksMeet) {
    this.#job = job;
    this.#ground = job.ground;
    this.#met = job.ground.holder.cell<readonly MarksMet[]>([]);
  }

  /** Those that nobody has seen yet. */
  get met(): readonly MarksMet[] {
    return this.#met.value;
  }

  get #key(): string {
    return `met.${this.#ground.jobId}`;
  }
  #known(): readonly Seen[] {
    return this.#ground.device.memory.remembered<readonly Seen[]>(this.#key) ?? [];
  }
  #keep(all: readonly Seen[]): void {
    this.#ground.device.memory.remember(this.#key, all);
    this.#met.value = all.filter(({ isSeen }) => !isSeen);
  }

  /** Looks at the marks after lines came from elsewhere. */
  setApart(): void {
    this.#met.value = this.#known().filter(({ isSeen }) => !isSeen);
    const { slate } = this.#job;
    const isTwice = slate.hasTwins || slate.graph.marks().some(({ madeBy }) => madeBy.filter(isKept).length > 1);
    if (this.#ground.isReader || !isTwice) return;
    const { jobId } = this.#ground;
    // Most jobs do without it.
    void import('./marks-met.ts').then(({ marksMet }) => {
      if (this.#ground.jobId !== jobId) return;
      for (const two of marksMet(this.#job)) {
        if (this.#known().some(({ mine, theirs }) => mine === two.mine && theirs === two.theirs)) continue;
        this.#keep([...this.#known(), { ...two, isSeen: false }]);
      }
    });
  }

  see(): void {
    this.#keep(this.#known().map((one) => ({ ...one, isSeen: true })));
  }
}

const isKept = ({ operator }: { readonly operator: string }) => operator === 'keep';
