import type { JigSet } from '@sprell/core/jig';
import { JigShelf } from './jig-shelf.ts';
import type { ShelfJobs } from './shelf.ts';
import { TimberShelf } from './timber-shelf.ts';

/** What an account has for all of its jobs. */
export class AccountShelf {
  readonly jigs: JigShelf;
  readonly timbers: TimberShelf;

  /** @param offer entries may name these jigs */
  constructor(jobs: ShelfJobs, offer: (sets: readonly JigSet[]) => void) {
    this.jigs = new JigShelf(jobs, offer);
    this.timbers = new TimberShelf(jobs);
  }

  /** Looks at what this device has of it by now. */
  async look(): Promise<void> {
    await Promise.all([this.jigs.look(), this.timbers.look()]);
  }
}
