import { jigFileOf, jigMadeFit, type Change, type ThingWire } from '@sprell/contract';
import { SHIPPED_JIGS, type Jig, type JigSet } from '@sprell/core/jig';
import { v7 as uuidv7 } from 'uuid';
import type { Device } from '../adapters/device.ts';
import type { JobHead, LocalWrite } from '../adapters/local/local-store.ts';
import type { Cell, Holder } from './holder.ts';
import { jigOfFile } from './jig-of-file.ts';

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

/** What the shelf needs of the jobs. */
export interface ShelfJobs {
  readonly device: Device;
  readonly holder: Holder;
  /** The jobs of this device, those among them that hold jigs. */
  heads(): Promise<readonly JobHead[]>;
  /** Makes a job that holds jigs, and returns its head. */
  make(): Promise<JobHead>;
  /** Entries may name these. */
  offer(sets: readonly JigSet[]): void;
  /** Writes a change down on this device, from where it is sent. */
  write(what: LocalWrite, head: JobHead): Promise<void>;
}

interface Kept extends ThingWire<'jig'> {
  readonly head: JobHead;
}

/**
 * The jigs of an account: kept in a job of their own, which no list shows, and so shared between its devices, there with no
 * signal, and backed up as everything is. Every version is a thing that never changes.
 */
export class JigShelf {
  readonly #jobs: ShelfJobs;
  readonly #kept: Cell<readonly Kept[]>;
  readonly #list: { readonly value: readonly ShelfJig[] };

  constructor(jobs: ShelfJobs) {
    this.#jobs = jobs;
    this.#kept = jobs.holder.cell<readonly Kept[]>([]);
    this.#list = jobs.holder.derived(() => [...ownOf(this.#kept.value), ...SHIPPED]);
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
    const store = await this.#jobs.device.store();
    const kept: Kept[] = [];
    for (const head of await this.#jobs.heads()) {
      const job = await store.open(head.id);
      const things = (job?.things['jig'] ?? []) as readonly ThingWire<'jig'>[];
      kept.push(...things.filter(({ deleted }) => !deleted).map((thing) => ({ ...thing, head })));
    }
    this.#kept.value = kept;
    this.#jobs.offer(this.list.map(({ set }) => set));
  }

  /** Keeps a jig: as it is where it has a version that is not here yet, else as the next one. @returns it as it was kept */
  async save({ jig: typed, uses }: JigSet): Promise<JigSet> {
    const jig = jigMadeFit(typed);
    const latest = this.find(jig.id);
    const version = latest === undefined ? jig.version : Math.max(jig.version, latest.set.jig.version + 1);
    const set: JigSet = { jig: { ...jig, version }, uses };
    const head = (await this.#jobs.heads())[0] ?? (await this.#jobs.make());
    const { name, title, id } = set.jig;
    const content = { jig: id, version, name, title, file: jigFileOf(set) };
    const thing = { ...content, id: uuidv7(), revision: 0, deleted: false };
    const change: Change = { id: uuidv7(), kind: 'thing.add', of: 'jig', thingId: thing.id, content };
    await this.#jobs.write({ change, thing: { kind: 'jig', thing } }, head);
    await this.look();
    return set;
  }

  /** Deletes every version of a jig of one's own. @returns how to bring them back */
  async remove(id: string): Promise<() => Promise<void>> {
    const gone = this.#kept.value.filter(({ jig }) => jig === id);
    await this.#setDeleted(gone, true);
    return () => this.#setDeleted(gone, false);
  }

  async #setDeleted(things: readonly Kept[], deleted: boolean): Promise<void> {
    const store = await this.#jobs.device.store();
    for (const { head, ...before } of things) {
      const job = await store.open(head.id);
      // Made on our change that is not answered yet, or on the revision.
      const waiting = job?.waiting.findLast((change) => 'thingId' in change && change.thingId === before.id);
      const here = job?.things['jig']?.find(({ id }) => id === before.id);
      const change: Change = {
        id: uuidv7(),
        kind: deleted ? 'thing.delete' : 'thing.restore',
        of: 'jig',
        thingId: before.id,
        base: waiting?.id ?? here?.revision ?? before.revision,
      };
      await this.#jobs.write({ change, thing: { kind: 'jig', thing: { ...before, deleted } } }, head);
    }
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
function ownOf(kept: readonly Kept[]): readonly ShelfJig[] {
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
