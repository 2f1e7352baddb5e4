import type { Change, KeptThing, LineChange, LineWire, ThingChange } from '@sprell/contract';
import type { JigProgram, JigPrograms } from '@sprell/core';
import type { JigSet } from '@sprell/core/jig';
import { v7 as uuidv7 } from 'uuid';
import type { Device } from '../adapters/device.ts';
import type { JobHead, LocalWrite, Own } from '../adapters/local/local-store.ts';
import { changeSubject } from '../adapters/local/settled.ts';
import type { Cell, Holder } from './holder.ts';
import { JobReading } from './reading.ts';

/** What a change leaves behind: the line or thing as it is now. */
export interface LeftBehind {
  readonly line?: LineWire | undefined;
  readonly thing?: KeptThing;
}

/** A jig that the job has not got yet, ready to run. */
export interface JigAtHand {
  readonly set: JigSet;
  readonly program: JigProgram;
}

/** What all parts of the open job share: its head, who may change it, and the way out for changes. */
export class Ground {
  readonly device: Device;
  readonly holder: Holder;
  readonly reading: JobReading;
  readonly #jigsHere: { readonly value: JigPrograms };
  readonly #head: Cell<JobHead | undefined>;
  readonly #failure: Cell<string | undefined>;
  readonly #words: Cell<ReadonlySet<string>>;
  readonly #jigs: Cell<JigPrograms>;
  readonly #jigsAtHand: Cell<ReadonlyMap<string, JigAtHand>>;
  /** By the id of a line or thing: the change of ours that its state comes from, while its revision is not known yet. */
  #pending = new Map<string, string>();
  /** What this device wrote last, and what it knew then. */
  #own = new Map<string, Own>();
  readonly #write: (what: LocalWrite) => void;

  /** @param write writes a change down on this device, from where it is sent */
  constructor(device: Device, holder: Holder, write: (what: LocalWrite) => void) {
    this.device = device;
    this.holder = holder;
    this.#write = write;
    this.#head = holder.cell<JobHead | undefined>(undefined);
    this.#failure = holder.cell<string | undefined>(undefined);
    this.#words = holder.cell<ReadonlySet<string>>(new Set());
    this.#jigs = holder.cell<JigPrograms>(new Map());
    this.#jigsAtHand = holder.cell<ReadonlyMap<string, JigAtHand>>(new Map());
    this.#jigsHere = holder.derived((): JigPrograms => {
      const { jigs, jigsAtHand } = this;
      if (jigsAtHand.size === 0) return jigs;
      const all = new Map([...jigsAtHand].map(([name, { program }]) => [name, program]));
      for (const name of jigs.keys()) all.set(name, jigs.get(name) as JigProgram);
      return all;
    });
    this.reading = new JobReading({
      holder,
      memory: device.memory,
      ofJob: () => this.head?.reading,
      figures: () => {
        if (!this.head) return undefined;
        const { thousands, decimalComma, currency } = this.head;
        return { thousands, decimalComma, currency };
      },
      words: () => this.#words.value,
      jigs: () => this.#jigsHere.value,
      // Jobs that this device knew before there was such a choice say nothing of it.
      bareOfJob: () => (this.head as Partial<JobHead> | undefined)?.bareNumbers,
      setOfJob: (reading) => {
        if (this.head === undefined || this.refusesReader()) return;
        this.head = { ...this.head, reading };
        const change: Change = { id: uuidv7(), kind: 'job.reading', reading };
        this.#pending.set('job', change.id);
        this.#write({ change });
      },
    });
  }

  /** Undefined while no job is open. */
  get head(): JobHead | undefined {
    return this.#head.value;
  }
  set head(head: JobHead | undefined) {
    this.#head.value = head;
  }

  get jobId(): string | undefined {
    return this.head?.id;
  }

  /** Marks of the job that are called by a word of the language, in lower case. */
  get words(): ReadonlySet<string> {
    return this.#words.value;
  }
  set words(words: ReadonlySet<string>) {
    this.#words.value = words;
  }

  /** Jigs that entries of the job may use, ready to run. */
  get jigs(): JigPrograms {
    return this.#jigs.value;
  }
  set jigs(jigs: JigPrograms) {
    this.#jigs.value = jigs;
  }

  /** Jigs of the account, which an entry may name: one that is kept brings them into the job. */
  get jigsAtHand(): ReadonlyMap<string, JigAtHand> {
    return this.#jigsAtHand.value;
  }
  set jigsAtHand(jigs: ReadonlyMap<string, JigAtHand>) {
    this.#jigsAtHand.value = jigs;
  }

  /** Something that could not be done: a sentence for the person. */
  get failure(): string | undefined {
    return this.#failure.value;
  }
  set failure(sentence: string | undefined) {
    this.#failure.value = sentence;
  }

  /** The job is only to be read here. */
  get isReader(): boolean {
    return this.head?.role === 'read';
  }

  /** As `isReader`, and the person is shown why nothing happens. */
  refusesReader(): boolean {
    if (this.isReader) this.failure = ONLY_READS;
    return this.isReader;
  }

  /** What a change of a line or thing is made on: our change that is not answered yet, or the revision. */
  baseOf({ id, revision }: { readonly id: string; readonly revision: number }): number | string {
    return this.#pending.get(id) ?? revision;
  }

  /** A change of ours to it has not been answered yet. */
  isPending(id: string): boolean {
    return this.#pending.has(id);
  }

  own(id: string): Own | undefined {
    return this.#own.get(id);
  }

  /** What waits, and what is this device's own, of a job that is opened. */
  open(waiting: readonly Change[], own: ReadonlyMap<string, Own>): void {
    this.#pending = new Map(waiting.map((change) => [changeSubject(change), change.id]));
    this.#own = new Map(own);
  }

  /** The same of some lines and things, as the device has it by now. */
  take(ids: Iterable<string>, waiting: readonly Change[], own: ReadonlyMap<string, Own>): void {
    const latest = new Map(waiting.map((change) => [changeSubject(change), change.id]));
    for (const id of ids) {
      setOrDelete(this.#own, id, own.get(id));
      setOrDelete(this.#pending, id, latest.get(id));
    }
  }

  send(change: LineChange | ThingChange, { line, thing }: LeftBehind): void {
    const subject = changeSubject(change);
    this.#own.set(subject, { knew: this.head?.revision ?? 0, by: change.id });
    this.#pending.set(subject, change.id);
    this.#write({ change, ...(line ? { line } : {}), ...(thing ? { thing } : {}) });
  }
}

function setOrDelete<T>(map: Map<string, T>, key: string, value: T | undefined): void {
  if (value === undefined) map.delete(key);
  else map.set(key, value);
}

const ONLY_READS =
  'This job is yours to read, not to change. What you work out stays in the entry: copy it, or use it in a job of your own.';
