import {
  asOneLine,
  THING_KINDS,
  thingChange,
  type KeptThing,
  type ThingChange,
  type ThingContent,
  type ThingKind,
  type ThingWire,
  type ThingWires,
} from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import { shallowRef, type ShallowRef } from 'vue';
import type { Things } from '../../adapters/local/local-store.ts';
import { NO_THINGS } from '../../adapters/local/settled.ts';
import type { Inverse, ThingInverse } from './undo-stack.ts';

/** What the things of a job need of it. */
export interface JobWithThings {
  /** Nothing may be changed here; whoever tries is told. */
  onlyReads(): boolean;
  baseOf(thing: ThingWire): number | string;
  /** @param kept what the change leaves behind */
  send(change: ThingChange, kept: KeptThing): void;
  pushUndo(step: Inverse): void;
  /** What a thing is called where steps back are told: the scale 1/4″ = 1′. */
  nameOf(kept: KeptThing): string;
}

/** The things of the open job that are kept whole (drawing scales, setting-outs), and every change to them. */
export class JobThings {
  readonly #job: JobWithThings;
  readonly #held: ShallowRef<Things> = shallowRef(NO_THINGS);

  constructor(job: JobWithThings) {
    this.#job = job;
  }

  /** Shows the things of a job that was opened. */
  show(things: Things): void {
    this.#held.value = things;
  }

  /** Those of a kind that were not taken off, the oldest first. */
  list<Kind extends ThingKind>(kind: Kind): readonly ThingWires[Kind][] {
    return (this.#held.value[kind] as readonly ThingWires[Kind][]).filter(({ deleted }) => !deleted);
  }

  find(id: string): KeptThing | undefined {
    for (const kind of THING_KINDS) {
      const thing = this.#held.value[kind].find((one: ThingWire) => one.id === id);
      if (thing) return { kind, thing };
    }
    return undefined;
  }

  /** Puts a thing in its place as it is now, from here or from elsewhere. */
  put({ kind, thing }: KeptThing): void {
    const others = (this.#held.value[kind] as readonly ThingWire[]).filter(({ id }) => id !== thing.id);
    const list = [...others, thing].sort((a, b) => (a.id < b.id ? -1 : 1));
    this.#held.value = { ...this.#held.value, [kind]: list };
  }

  /** Every thing, those that were taken off among them. */
  ids(): readonly string[] {
    return THING_KINDS.flatMap((kind) => this.#held.value[kind].map(({ id }) => id));
  }

  /** A thing that is not here any more goes from this page. */
  forget(id: string): void {
    const kept = this.find(id);
    if (kept === undefined) return;
    const others = (this.#held.value[kept.kind] as readonly ThingWire[]).filter((one) => one.id !== id);
    this.#held.value = { ...this.#held.value, [kept.kind]: others };
  }

  /** @returns its id */
  add<Kind extends ThingKind>(kind: Kind, said: ThingContent<Kind>): string {
    const [id, content] = [uuidv7(), asKept(said)];
    if (this.#job.onlyReads()) return id;
    const kept: KeptThing = { kind, thing: { id, ...content, revision: 0, deleted: false } as unknown as ThingWire };
    this.put(kept);
    this.#job.send(thingChange(uuidv7(), { kind, id, step: 'add', base: undefined, content }), kept);
    const says = `Take ${this.#job.nameOf(kept)} off again`;
    this.#job.pushUndo({ kind: 'thing.delete', thing: kind, thingId: id, says });
    return id;
  }

  edit<Kind extends ThingKind>(thingId: string, content: ThingContent<Kind>): void {
    const step = this.write(thingId, content);
    if (step) this.#job.pushUndo(step);
  }

  /** Writes a thing anew. @returns how to take that back */
  write<Kind extends ThingKind>(thingId: string, content: ThingContent<Kind>): ThingInverse | undefined {
    const kept = this.find(thingId);
    if (!kept || this.#job.onlyReads()) return undefined;
    const { id: _id, revision: _revision, deleted: _deleted, ...before } = kept.thing;
    const says = `Put ${this.#job.nameOf(kept)} back to what it was`;
    this.#write(kept, content);
    return { kind: 'thing.write', thing: kept.kind, thingId, content: before as ThingContent, says };
  }

  remove(thingId: string): void {
    const kept = this.find(thingId);
    if (!kept || this.#job.onlyReads()) return;
    const says = `Bring ${this.#job.nameOf(kept)} back`;
    this.#job.pushUndo({ kind: 'thing.restore', thing: kept.kind, thingId, says });
    this.#setDeleted(kept, true);
  }

  #write({ kind, thing }: KeptThing, said: ThingContent): void {
    const content = asKept(said);
    const base = this.#job.baseOf(thing);
    const written: KeptThing = { kind, thing: { ...thing, ...content } as ThingWire };
    this.put(written);
    this.#job.send(thingChange(uuidv7(), { kind, id: thing.id, step: 'edit', base, content }), written);
  }

  #setDeleted({ kind, thing }: KeptThing, deleted: boolean): void {
    const base = this.#job.baseOf(thing);
    const put: KeptThing = { kind, thing: { ...thing, deleted } };
    this.put(put);
    const step = deleted ? 'delete' : 'restore';
    this.#job.send(thingChange(uuidv7(), { kind, id: thing.id, step, base, content: undefined }), put);
  }

  /**
   * @param isChanged somebody else changed the thing since: it is left so, and what it would have been stands beside it
   * @returns a sentence on a thing that was left so
   */
  takeBack(step: ThingInverse, isChanged: boolean): string | undefined {
    const kept = this.find(step.thingId);
    if (!kept) return undefined;
    if (step.kind === 'thing.restore' || !isChanged) {
      if (step.kind === 'thing.write') this.#write(kept, step.content);
      else this.#setDeleted(kept, step.kind === 'thing.delete');
      return undefined;
    }
    if (step.kind === 'thing.write') this.add(step.thing, step.content as never);
    return this.changedElsewhere(kept);
  }

  /** What a thing says, to be compared. */
  saidNow(id: string): string | undefined {
    const thing = this.find(id)?.thing;
    if (!thing) return undefined;
    const { id: _id, revision: _revision, ...said } = thing;
    return JSON.stringify(Object.entries(said).sort(([a], [b]) => (a < b ? -1 : 1)));
  }

  /** Two versions of a thing both stand in the list. */
  changedElsewhere(kept: KeptThing): string {
    const name = this.#job.nameOf(kept);
    const sentence = `${name.charAt(0).toUpperCase()}${name.slice(1)} was changed elsewhere too.`;
    return `${sentence} It stands as it is there; what you wrote of it stands beside it.`;
  }
}

/** What a thing says, in text that can be kept. */
function asKept<Content extends ThingContent>(said: Content): Content {
  const kept = (value: unknown): unknown =>
    typeof value === 'string' ? asOneLine(value).trim() : Array.isArray(value) ? value.map(kept) : value;
  return Object.fromEntries(Object.entries(said).map(([name, value]) => [name, kept(value)])) as Content;
}
