import {
  KINDS,
  asOneLine,
  changedThing,
  contentOf,
  isSameValue,
  kindNamed,
  NO_THINGS,
  positionBetween,
  thingsBy,
  comparePlaces,
  type Content,
  type KeptThing,
  type Thing,
  type ThingChange,
  type ThingContent,
  type ThingKind,
  type Things,
  type ThingWire,
} from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Ground } from './ground.ts';
import type { Cell } from './holder.ts';
import type { UndoLog } from './undo-log.ts';
import type { ThingInverse } from './undo-stack.ts';

/** What came of a step back. */
export interface TakenBack {
  /** How to do again what was taken back. */
  readonly again?: ThingInverse;
  /** A sentence on a thing that was left as it is. */
  readonly left?: string;
}

/** Changes that are one step together. */
export interface ThingSteps {
  /** Adds a thing; of a kind that has an order, at the end unless it says its position. @returns its id */
  readonly add: (kind: string, said: Content) => string;
  readonly write: (thingId: string, said: Content) => void;
  readonly move: (thingId: string, position: string) => void;
  readonly remove: (thingId: string) => void;
}

type Change = ThingChange extends infer Each
  ? Each extends ThingChange
    ? Omit<Each, 'id' | 'of' | 'thingId'>
    : never
  : never;

/** The things of the open job, of every kind, and every change to them. */
export class JobThings {
  readonly #ground: Ground;
  readonly #undoLog: UndoLog;
  readonly #onChanged: (kind: string) => void;
  readonly #held: Cell<Things>;

  /** @param onChanged is called when things of a kind were changed here */
  constructor(ground: Ground, undoLog: UndoLog, onChanged: (kind: string) => void) {
    this.#ground = ground;
    this.#undoLog = undoLog;
    this.#onChanged = onChanged;
    this.#held = ground.holder.cell(NO_THINGS);
  }

  /** Shows the things of a job that is opened. */
  open(things: Things): void {
    const oldestFirst = (list: readonly Thing[] = []) => [...list].sort((a, b) => (a.id < b.id ? -1 : 1));
    this.#held.value = thingsBy((kind) => oldestFirst(things[kind]));
  }

  /** Those of a kind that are not deleted: in their order, or the oldest first. */
  list<Kind extends ThingKind>(kind: Kind): readonly ThingWire<Kind>[];
  list(kind: string): readonly Thing[];
  list(kind: string): readonly Thing[] {
    const standing = this.#of(kind).filter(({ deleted }) => !deleted);
    return kindNamed(kind).isOrdered ? [...standing].sort(byPlace) : standing;
  }

  #of(kind: string): readonly Thing[] {
    return this.#held.value[kind] ?? [];
  }

  /** Every entry that a thing holds, as it is stored, with its place among those of the thing. */
  entries(): readonly { readonly thingId: string; readonly place: string; readonly source: string }[] {
    return KINDS.flatMap(({ name, entries }) =>
      this.list(name).flatMap((thing) =>
        entries.flatMap((field) =>
          [thing[field]]
            .flat()
            .flatMap((source, at) =>
              typeof source === 'string' && source !== ''
                ? [{ thingId: thing.id, place: `${field} ${at}`, source }]
                : [],
            ),
        ),
      ),
    );
  }

  find(id: string): KeptThing | undefined {
    for (const [kind, list] of Object.entries(this.#held.value)) {
      const thing = list.find((one) => one.id === id);
      if (thing) return { kind, thing };
    }
    return undefined;
  }

  /** Puts a thing in its place as it is now, from here or from elsewhere. */
  put({ kind, thing }: KeptThing): void {
    const list = [...this.#of(kind)];
    // By id: what comes last is nearly always the latest.
    let at = list.length;
    while (at > 0 && (list[at - 1] as Thing).id >= thing.id) at -= 1;
    list.splice(at, list[at]?.id === thing.id ? 1 : 0, thing);
    this.#held.value = { ...this.#held.value, [kind]: list };
  }

  /** Every thing, deleted ones included. */
  ids(): readonly string[] {
    return Object.values(this.#held.value).flatMap((list) => list.map(({ id }) => id));
  }

  /** A thing that is not here any more goes from this page. */
  forget(id: string): void {
    const kept = this.find(id);
    if (kept === undefined) return;
    this.#held.value = { ...this.#held.value, [kept.kind]: this.#of(kept.kind).filter((one) => one.id !== id) };
  }

  /**
   * Several changes of things as one step that can be taken back.
   * @param says what undoing it is called
   */
  inOneStep(says: string, work: (steps: ThingSteps) => void): void {
    if (this.#ground.refusesReader()) return;
    const done: ThingInverse[] = [];
    this.#undoLog.see();
    const keptOf = (id: string) => this.find(id) as KeptThing;
    work({
      add: (kind, said) => {
        const { id, step } = this.#added(kind, said);
        if (step) done.push(step);
        return id;
      },
      write: (id, said) => done.push(...[this.write(id, said) ?? []].flat()),
      move: (id, position) => {
        const { kind, thing } = keptOf(id);
        done.push({ kind: 'thing.move', thing: kind, thingId: id, position: String(placeOf(thing)), says: '' });
        this.#moveTo({ kind, thing }, position);
      },
      remove: (id) => {
        const kept = keptOf(id);
        done.push({ kind: 'thing.restore', thing: kept.kind, thingId: id, says: '' });
        this.#setDeleted(kept, true);
      },
    });
    if (done.length > 0) this.#undoLog.push({ kind: 'many', steps: done.reverse(), says });
  }

  /** A place in the list of a kind: before another thing, or at the end. */
  placeBefore(kind: string, beforeId: string | undefined): string {
    return this.#placeBefore(kind, beforeId);
  }

  /**
   * Adds a thing: of a kind that has an order, at its end or before another.
   * @returns its id
   */
  add<Kind extends ThingKind>(kind: Kind, said: ThingContent<Kind>): string;
  add(kind: string, said: Content, beforeId?: string): string;
  add(kind: string, said: Content, beforeId?: string): string {
    const { id, step } = this.#added(kind, said, beforeId);
    if (step) this.#undoLog.push(step);
    return id;
  }

  /** @returns its id, and how to take that back; without that where it was not added */
  #added(kind: string, said: Content, beforeId?: string): { readonly id: string; readonly step?: ThingInverse } {
    const id = uuidv7();
    const { isOrdered, most, called } = kindNamed(kind);
    const { style } = this.#ground.reading;
    if (this.#ground.refusesReader()) return { id };
    if (this.#of(kind).length >= most) {
      this.#ground.failure = `This job has ${most} of these, and no more fit. ${capital(called(said, style))} was not added.`;
      return { id };
    }
    const content = asKept(
      isOrdered ? { position: said['position'] ?? this.#placeBefore(kind, beforeId), ...said } : said,
    );
    const kept: KeptThing = { kind, thing: { ...content, id, revision: 0, deleted: false } };
    this.#send(kept, { kind: 'thing.add', content });
    return { id, step: { kind: 'thing.delete', thing: kind, thingId: id, says: `Remove ${this.#nameOf(kept)}` } };
  }

  /**
   * Adds a thing that comes along with something else: there is no step back for it alone.
   * @returns whether there was room for it
   */
  addAlong(kind: string, id: string, content: Content): boolean {
    if (this.#of(kind).length >= kindNamed(kind).most) return false;
    const kept: KeptThing = { kind, thing: { ...content, id, revision: 0, deleted: false } };
    this.#send(kept, { kind: 'thing.add', content });
    return true;
  }

  /** Writes a thing, as one step that can be taken back. */
  edit<Kind extends ThingKind>(thingId: string, content: ThingContent<Kind>): void;
  edit(thingId: string, content: Content): void;
  edit(thingId: string, content: Content): void {
    const step = this.write(thingId, content);
    if (step) this.#undoLog.push(step);
  }

  /**
   * Writes what a thing says, whole or some fields of it.
   * @returns how to take that back; undefined where nothing was written
   */
  write(thingId: string, content: Content): ThingInverse | undefined {
    const kept = this.find(thingId);
    if (!kept || this.#ground.refusesReader()) return undefined;
    const says = `Put ${this.#nameOf(kept)} back to what it was`;
    const before = contentOf(kept.thing);
    this.#write(kept, content);
    return { kind: 'thing.write', thing: kept.kind, thingId, content: before, says };
  }

  /** Moves a thing of a kind that has an order: before another, or to the end. */
  move(thingId: string, beforeId: string | undefined): void {
    const kept = this.find(thingId);
    if (!kept || this.#ground.refusesReader()) return;
    const says = `Put ${this.#nameOf(kept)} back where it was`;
    const was = contentOf(kept.thing)['position'];
    this.#moveTo(kept, this.#placeBefore(kept.kind, beforeId, thingId));
    this.#undoLog.push({ kind: 'thing.move', thing: kept.kind, thingId, position: String(was), says });
  }

  remove(thingId: string): void {
    const kept = this.find(thingId);
    if (!kept || this.#ground.refusesReader()) return;
    const says = `Bring ${this.#nameOf(kept)} back`;
    this.#undoLog.push({ kind: 'thing.restore', thing: kept.kind, thingId, says });
    this.#setDeleted(kept, true);
  }

  /** What a thing is called in a sentence: the scale 1/4″ = 1′. */
  nameOf(id: string): string {
    const kept = this.find(id);
    return kept ? this.#nameOf(kept) : '';
  }
  #nameOf({ kind, thing }: KeptThing): string {
    return kindNamed(kind).called(contentOf(thing), this.#ground.reading.style);
  }

  #placeBefore(kind: string, beforeId: string | undefined, movedId?: string): string {
    const others = this.list(kind).filter(({ id }) => id !== movedId);
    const at = others.findIndex(({ id }) => id === beforeId);
    const [before, after] = at < 0 ? [others.at(-1), undefined] : [others[at - 1], others[at]];
    return positionBetween(placeOf(before), placeOf(after));
  }

  #write(kept: KeptThing, said: Content): void {
    const { kind, thing } = kept;
    const now = asKept({ ...contentOf(thing), ...said });
    if (kindNamed(kind).together === 'beside') {
      this.#send(kept, { kind: 'thing.edit', base: this.#ground.baseOf(thing), content: now });
      return;
    }
    const fields = Object.fromEntries(Object.entries(now).filter(([name, value]) => !isSameValue(thing[name], value)));
    if (Object.keys(fields).length === 0) return;
    const was = Object.fromEntries(Object.keys(fields).map((name) => [name, thing[name]]));
    this.#send(kept, { kind: 'thing.set', base: this.#ground.baseOf(thing), fields, was });
  }

  #moveTo(kept: KeptThing, position: string): void {
    this.#send(kept, { kind: 'thing.move', base: this.#ground.baseOf(kept.thing), position });
  }

  #setDeleted(kept: KeptThing, deleted: boolean): void {
    this.#send(kept, { kind: deleted ? 'thing.delete' : 'thing.restore', base: this.#ground.baseOf(kept.thing) });
  }

  #send({ kind, thing }: KeptThing, step: Change): void {
    const change: ThingChange = { id: uuidv7(), of: kind, thingId: thing.id, ...step };
    const kept: KeptThing = { kind, thing: changedThing(thing, change) };
    this.put(kept);
    this.#ground.send(change, { thing: kept });
    this.#onChanged(kind);
  }

  /** @param isChanged somebody else changed the thing since: it is left so, and what it would have been is kept next to it */
  takeBack(step: ThingInverse, isChanged: boolean): TakenBack {
    const kept = this.find(step.thingId);
    if (!kept) return {};
    const { thing: kind, thingId, says } = step;
    if (isChanged && step.kind !== 'thing.restore' && step.kind !== 'thing.move') {
      if (kindNamed(kind).together === 'last')
        return { left: `${capital(this.#nameOf(kept))} was changed elsewhere since. It stands as it is there.` };
      if (step.kind === 'thing.write') this.add(kind, step.content);
      return { left: this.changedElsewhere(kept) };
    }
    const before = contentOf(kept.thing);
    switch (step.kind) {
      case 'thing.write':
        this.#write(kept, step.content);
        return { again: { kind: 'thing.write', thing: kind, thingId, content: before, says } };
      case 'thing.move':
        this.#moveTo(kept, step.position);
        return { again: { kind: 'thing.move', thing: kind, thingId, position: String(before['position']), says } };
      case 'thing.delete':
      case 'thing.restore':
        this.#setDeleted(kept, step.kind === 'thing.delete');
        return {
          again: { kind: step.kind === 'thing.delete' ? 'thing.restore' : 'thing.delete', thing: kind, thingId, says },
        };
    }
  }

  /** What a thing says, to be compared. */
  contentNow(id: string): string | undefined {
    const thing = this.find(id)?.thing;
    if (!thing) return undefined;
    const { id: _id, revision: _revision, position: _position, ...said } = thing;
    return JSON.stringify(Object.entries(said).sort(([a], [b]) => (a < b ? -1 : 1)));
  }

  /** Two versions of a thing both stand in the list. */
  changedElsewhere(kept: KeptThing): string {
    const sentence = `${capital(this.#nameOf(kept))} was changed elsewhere too.`;
    return `${sentence} It stands as it is there; what you wrote of it stands beside it.`;
  }
}

const capital = (words: string) => `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
const placeOf = (thing: Thing | undefined) => thing && String(thing['position']);
const byPlace = (a: Thing, b: Thing) =>
  comparePlaces({ id: a.id, position: String(a['position']) }, { id: b.id, position: String(b['position']) });

/** What a thing says, in text that can be kept. */
function asKept(said: Content): Content {
  const kept = (value: unknown): unknown =>
    typeof value === 'string' ? asOneLine(value).trim() : Array.isArray(value) ? value.map(kept) : value;
  return Object.fromEntries(Object.entries(said).map(([name, value]) => [name, kept(value)]));
}
