import type { LineWire } from '../wire/line.ts';
import type { Thing } from '../kinds/kind.ts';
import { KINDS } from '../kinds/registry.ts';
import type { Things } from '../kinds/thing.ts';
import type { Sign } from './references.ts';

/** A thing that stands, with the key that it has in a file. */
export interface Keyed {
  readonly key: string;
  readonly thing: Thing;
}

/**
 * What things of a job are called in a file: by their names where they have one, with a number where several have the same, and
 * by what they are where they have none. The keys of a job and of a copy of it are the same.
 */
export class Keys {
  /** In the order in which they stand in a file, by the name of their kind. */
  readonly things: ReadonlyMap<string, readonly Keyed[]>;
  readonly #byId = new Map<string, { readonly list: string; readonly key: string }>();
  readonly #lines: ReadonlyMap<string, number>;

  constructor(lines: readonly LineWire[], things: Things) {
    this.#lines = new Map(lines.flatMap(({ id, number }) => (number === null ? [] : [[id, number] as const])));
    this.things = new Map(
      KINDS.map(({ name, list, isOrdered }) => {
        const keyed = keysFor(name, inOrder(things[name] ?? [], isOrdered === true));
        for (const { key, thing } of keyed) this.#byId.set(thing.id, { list, key });
        return [name, keyed];
      }),
    );
  }

  /** The key of a thing among its kind. */
  ofThing(id: string): string | undefined {
    return this.#byId.get(id)?.key;
  }
  /** As an entry names it. */
  inEntry(id: string, sign: Sign): string | undefined {
    if (sign === '#') return this.#lines.get(id)?.toString();
    const found = this.#byId.get(id);
    if (found === undefined) return undefined;
    return found.list === (sign === '@' ? 'marks' : 'jigs') ? found.key : `${found.list}.${found.key}`;
  }
}

const LAST = Number.MAX_SAFE_INTEGER;
/** By their places; what has none, as it came to the job. */
function inOrder(things: readonly Thing[], isOrdered: boolean): readonly Thing[] {
  const place = ({ position }: Thing) => (isOrdered && typeof position === 'string' ? position : '');
  return things
    .filter(({ deleted }) => !deleted)
    .sort((a, b) => compare(place(a), place(b)) || since(a) - since(b) || compare(a.id, b.id));
}
const since = ({ revision }: Thing) => revision || LAST;
const compare = (a: string, b: string) => (a < b ? -1 : Number(a > b));

function keysFor(kind: string, things: readonly Thing[]): readonly Keyed[] {
  const taken = new Set<string>();
  return things.map((thing) => {
    const wanted = wordOf(thing) ?? kind;
    let key = wanted;
    for (let n = 2; taken.has(key); n += 1) key = `${wanted}_${n}`;
    taken.add(key);
    return { key, thing };
  });
}

/** What a thing is called, as one word in lower case. */
function wordOf({ name, title, called }: Thing): string | undefined {
  const said = [name, title, called].find((one) => typeof one === 'string' && one !== '') as string | undefined;
  const word = said
    ?.normalize('NFC')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '_')
    .replace(/^_+|_+$/gu, '')
    .slice(0, 60);
  return word === '' ? undefined : word;
}
