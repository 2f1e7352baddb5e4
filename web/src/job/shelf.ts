import type { Change, ThingContent, ThingWire } from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Device } from '../adapters/device.ts';
import type { JobHead, LocalWrite } from '../adapters/local/local-store.ts';
import type { Cell, Holder } from './holder.ts';
import { isWork } from './is-work.ts';
import { newJob } from './new-job.ts';
import { firstReading } from './reading.ts';

/** What an account has for all of its jobs. */
export type ShelfKind = 'jig' | 'timber';

/** What the shelf needs of the jobs. */
export interface ShelfJobs {
  readonly device: Device;
  readonly holder: Holder;
  /** What is written down on this device, from where it is sent. */
  readonly written: { keep(what: LocalWrite, head: JobHead): void; readonly done: Promise<unknown> };
}

/** The jobs of this device that are shelves of this account. */
async function shelves({ device, written }: ShelfJobs): Promise<readonly JobHead[]> {
  await written.done;
  const heads = await (await device.store()).heads();
  return heads.filter((head) => !isWork(head) && !head.deleted && head.role === 'own');
}
function make({ written }: ShelfJobs): JobHead {
  const { head, whats } = newJob({ title: 'Jigs', reading: firstReading(), fields: { holds: 'jigs' } });
  for (const what of whats) written.keep(what, head);
  return head;
}

export type OnShelf<Kind extends ShelfKind> = ThingWire<Kind> & { readonly head: JobHead };

/**
 * Things of one kind that an account has for all of its jobs: kept in a job of their own, which no list shows, and so shared
 * between its devices, there with no signal, and backed up as everything is.
 */
export class ShelfThings<Kind extends ShelfKind> {
  readonly #jobs: ShelfJobs;
  readonly #kind: Kind;
  readonly #kept: Cell<readonly OnShelf<Kind>[]>;

  constructor(jobs: ShelfJobs, kind: Kind) {
    this.#jobs = jobs;
    this.#kind = kind;
    this.#kept = jobs.holder.cell<readonly OnShelf<Kind>[]>([]);
  }

  get list(): readonly OnShelf<Kind>[] {
    return this.#kept.value;
  }

  /** Looks at what this device has of them by now. */
  async look(): Promise<void> {
    const store = await this.#jobs.device.store();
    const kept: OnShelf<Kind>[] = [];
    for (const head of await shelves(this.#jobs)) {
      const things = ((await store.open(head.id))?.things[this.#kind] ?? []) as readonly ThingWire<Kind>[];
      kept.push(...things.filter(({ deleted }) => !deleted).map((thing) => ({ ...thing, head })));
    }
    this.#kept.value = kept;
  }

  async add(content: ThingContent<Kind>): Promise<void> {
    const head = (await shelves(this.#jobs))[0] ?? make(this.#jobs);
    const id = uuidv7();
    const change: Change = { id: uuidv7(), kind: 'thing.add', of: this.#kind, thingId: id, content };
    await this.#write(change, { ...content, id, revision: 0, deleted: false } as ThingWire<Kind>, head);
    await this.look();
  }

  async edit(before: OnShelf<Kind>, content: ThingContent<Kind>): Promise<void> {
    const change = { ...(await this.#onto(before)), kind: 'thing.edit', content } as const;
    await this.#write(change, { ...withoutHead(before), ...content }, before.head);
    await this.look();
  }

  /** Deletes things, or brings them back. */
  async setDeleted(things: readonly OnShelf<Kind>[], deleted: boolean): Promise<void> {
    for (const before of things) {
      const change = { ...(await this.#onto(before)), kind: deleted ? 'thing.delete' : 'thing.restore' } as const;
      await this.#write(change, { ...withoutHead(before), deleted }, before.head);
    }
    await this.look();
  }

  /** A change of a thing, made on our own change that is not answered yet, or on the revision. */
  async #onto({ id, head, revision }: OnShelf<Kind>) {
    const job = await (await this.#jobs.device.store()).open(head.id);
    const waiting = job?.waiting.findLast((change) => 'thingId' in change && change.thingId === id);
    const here = job?.things[this.#kind]?.find((one) => one.id === id);
    return { id: uuidv7(), of: this.#kind, thingId: id, base: waiting?.id ?? here?.revision ?? revision };
  }

  async #write(change: Change, thing: ThingWire<Kind>, head: JobHead): Promise<void> {
    this.#jobs.written.keep({ change, thing: { kind: this.#kind, thing } }, head);
    await this.#jobs.written.done;
  }
}

function withoutHead<Kind extends ShelfKind>(kept: OnShelf<Kind>): ThingWire<Kind> {
  const { head: _head, ...thing } = kept;
  return thing as unknown as ThingWire<Kind>;
}
