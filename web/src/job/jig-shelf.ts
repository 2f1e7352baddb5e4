import { jigFileOf, jigMadeFit } from '@sprell/contract';
import { SHIPPED_JIGS, type Jig, type JigSet } from '@sprell/core/jig';
import { jigOfFile } from './jig-of-file.ts';
import { ShelfThings, type OnShelf, type ShelfJobs } from './shelf.ts';

/** A jig of the account, or one that ships: its latest version, and the versions there are. */
export interface ShelfJig {
  /** The jig, the same for all of its versions. */
  readonly id: string;
  readonly set: JigSet;
  /** It came with Sprell: it cannot be changed, but a copy of it can. */
  readonly isShipped: boolean;
  /** Those before it, the latest first. */
  readonly earlier: readonly JigSet[];
}

/** The jigs of an account. Every version is a thing that never changes. */
export class JigShelf {
  readonly #kept: ShelfThings<'jig'>;
  readonly #list: { readonly value: readonly ShelfJig[] };
  readonly #offer: (sets: readonly JigSet[]) => void;

  /** @param offer entries may name these */
  constructor(jobs: ShelfJobs, offer: (sets: readonly JigSet[]) => void) {
    this.#kept = new ShelfThings(jobs, 'jig');
    this.#list = jobs.holder.derived(() => [...ownOf(this.#kept.list), ...SHIPPED]);
    this.#offer = offer;
  }

  /** One's own first, by their titles; then those that ship. */
  get list(): readonly ShelfJig[] {
    return this.#list.value;
  }
  find(id: string): ShelfJig | undefined {
    return this.list.find((one) => one.id === id);
  }

  /** Looks at what this device has of them by now. */
  async look(): Promise<void> {
    await this.#kept.look();
    this.#offer(this.list.map(({ set }) => set));
  }

  /** Keeps a jig: as it is where it has a version that is not here yet, else as the next one. @returns it as it was kept */
  async save({ jig: typed, uses }: JigSet): Promise<JigSet> {
    const jig = jigMadeFit(typed);
    const latest = this.find(jig.id);
    const version = latest === undefined ? jig.version : Math.max(jig.version, latest.set.jig.version + 1);
    const set: JigSet = { jig: { ...jig, version }, uses };
    const { name, title, id } = set.jig;
    await this.#kept.add({ jig: id, version, name, title, file: jigFileOf(set) });
    await this.look();
    return set;
  }

  /** Deletes every version of a jig of one's own. @returns how to bring them back */
  async remove(id: string): Promise<() => Promise<void>> {
    const gone = this.#kept.list.filter(({ jig }) => jig === id);
    await this.#setDeleted(gone, true);
    return () => this.#setDeleted(gone, false);
  }

  async #setDeleted(things: readonly OnShelf<'jig'>[], deleted: boolean): Promise<void> {
    await this.#kept.setDeleted(things, deleted);
    await this.look();
  }
}

const SHIPPED: readonly ShelfJig[] = SHIPPED_JIGS.map((jig: Jig) => ({
  id: jig.id,
  set: { jig, uses: [] },
  isShipped: true,
  earlier: [],
}));

/** The jigs of what is kept, each with its versions. */
function ownOf(kept: readonly OnShelf<'jig'>[]): readonly ShelfJig[] {
  const versions = new Map<string, JigSet[]>();
  for (const { jig, file } of kept) {
    const set = jigOfFile(file);
    if (set) versions.set(jig, [...(versions.get(jig) ?? []), set]);
  }
  return [...versions]
    .map(([id, sets]): ShelfJig | undefined => {
      const [set, ...earlier] = sets.sort((a, b) => b.jig.version - a.jig.version);
      return set && { id, set, isShipped: false, earlier };
    })
    .filter((one) => one !== undefined)
    .sort((a, b) => a.set.jig.title.localeCompare(b.set.jig.title));
}
