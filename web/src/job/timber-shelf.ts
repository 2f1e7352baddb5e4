import { timbersInOrder, type Timber } from '@sprell/core/tables';
import { ShelfThings, type OnShelf, type ShelfJobs } from './shelf.ts';

export type KeptTimber = OnShelf<'timber'>;

/** A person's own table of timber, as it is sold and as it measures. */
export class TimberShelf {
  readonly #kept: ShelfThings<'timber'>;
  readonly #list: { readonly value: readonly KeptTimber[] };

  constructor(jobs: ShelfJobs) {
    this.#kept = new ShelfThings(jobs, 'timber');
    this.#list = jobs.holder.derived(() => timbersInOrder(this.#kept.list));
  }

  get list(): readonly KeptTimber[] {
    return this.#list.value;
  }
  look(): Promise<void> {
    return this.#kept.look();
  }

  /** Keeps a size, in place of the one that is sold by the same name. */
  async save(timber: Timber, inPlaceOf?: string): Promise<void> {
    const before = this.list.find(({ id }) => id === inPlaceOf) ?? this.#called(timber.called);
    await (before === undefined ? this.#kept.add({ ...timber }) : this.#kept.edit(before, { ...timber }));
  }
  /** Adds those that are not there yet. */
  async saveAll(timbers: readonly Timber[]): Promise<void> {
    for (const timber of timbers) if (this.#called(timber.called) === undefined) await this.#kept.add({ ...timber });
  }
  /** @returns how to bring it back */
  async remove(id: string): Promise<() => Promise<void>> {
    const gone = this.list.filter((one) => one.id === id);
    await this.#kept.setDeleted(gone, true);
    return () => this.#kept.setDeleted(gone, false);
  }

  #called(name: string): KeptTimber | undefined {
    return this.list.find(({ called }) => called.toLowerCase() === name.toLowerCase());
  }
}
