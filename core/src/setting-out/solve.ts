import { makeIssue, type Issue } from '../base/issue.ts';
import { reckon, type ReckonOptions } from '../evaluate/reckon.ts';
import { EMPTY_SCOPE } from '../evaluate/scope.ts';
import { equalValue, signOfValue, valueToNumber, wholeValue } from '../number/value.ts';
import { ANGLE, AREA, kindOf, LENGTH, PLAIN, SLOPE, type Dimension } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import type { Answer, Field, FieldKind, Known, Rule, Solver, Sizes, Solved } from './solver.ts';

const DIMENSIONS: Readonly<Record<FieldKind, readonly Dimension[]>> = {
  length: [LENGTH],
  area: [AREA],
  angle: [ANGLE],
  pitch: [SLOPE, ANGLE, PLAIN],
  count: [PLAIN],
  number: [PLAIN],
};
const WANTED: Readonly<Record<FieldKind, string>> = {
  length: 'a length',
  area: 'an area',
  angle: 'an angle',
  pitch: 'a slope or an angle',
  count: 'a count',
  number: 'a plain number',
};

/** What is typed in a field of a shape: entries by field, in the order in which they were given. */
export type Givens = readonly (readonly [field: string, entry: string])[];

/** One way the shape can be, while it is worked out. */
interface World {
  readonly title: string;
  readonly known: ReadonlyMap<string, Known>;
}

/**
 * Works a shape out from what is given: any sizes from which the rest follows. Exact wherever the formulae are.
 * @param givens the later one of two that contradict is the one that is told of; blank ones count for nothing
 */
export function solve(solver: Solver, givens: Givens, options: ReckonOptions = {}): Solved {
  const issues: Record<string, Issue | undefined> = {};
  const given = new Map<string, Known>();
  let contradiction: Solved['contradiction'];
  for (const [id, entry] of givens) {
    const field = fieldsOf(solver).find((one) => one.id === id);
    if (field?.given !== true || entry.trim() === '') continue;
    const read = readGiven(field, entry, options);
    if ('issue' in read) {
      issues[id] = read.issue;
      continue;
    }
    // What follows from the rest may be given as well, where it agrees.
    const follows = closure(solver, new Set(given.keys())).has(id) ? workOut(solver, given, options) : undefined;
    if (follows === undefined) given.set(id, read);
    else contradiction ??= contradicted(id, read, follows.worlds);
  }
  const wanted = wantedFor(solver, new Set(given.keys()));
  if (contradiction !== undefined) return { answers: [], issues, wanted: [], contradiction, impossible: undefined };
  const { worlds, impossible } = workOut(solver, given, options);
  const answers = worlds.map(({ title, known }): Answer => {
    const sizes: Sizes = Object.fromEntries([...known].map(([id, one]) => [id, sizeOf(one.quantity)]));
    return { title, known: Object.fromEntries(known), figure: solver.draw(sizes) };
  });
  return { answers, issues, wanted, contradiction: undefined, impossible };
}

/** All that can stand in a formula. */
const fieldsOf = ({ fields, asks = [] }: Solver): readonly Field[] => [...fields, ...asks];

function readGiven(field: Field, entry: string, options: ReckonOptions): Known | { readonly issue: Issue } {
  const { outcome, issue, parsed } = reckon(entry, options);
  if (issue !== undefined && outcome === undefined) return { issue };
  const quantity = outcome?.kind === 'quantity' ? outcome.quantity : undefined;
  const span = { start: 0, end: parsed.source.length };
  if (quantity === undefined || !DIMENSIONS[field.kind].includes(quantity.dimension)) {
    const kind = quantity ? kindOf(quantity.dimension) : 'answer';
    const units =
      field.kind === 'length' && quantity?.dimension === PLAIN
        ? ['"', "'", ' mm', ' m']
        : field.kind === 'angle' && quantity?.dimension === PLAIN
          ? ['°']
          : [];
    const fixes = units.map((unit) => ({ label: `${entry.trim()}${unit}`, entry: `${entry.trim()}${unit}` }));
    return { issue: makeIssue('shape.kind', span, { field: field.title, kind, wanted: WANTED[field.kind] }, fixes) };
  }
  if (signOfValue(quantity.value) <= 0) return { issue: makeIssue('shape.nothing', span, { field: field.title }) };
  if (field.kind === 'count' && wholeValue(quantity.value) === undefined)
    return { issue: makeIssue('shape.whole', span, { field: field.title }) };
  return { quantity, entry: entry.trim(), how: 'given' };
}

/** The fields that follow from others, by the rules alone. */
function closure(solver: Solver, start: ReadonlySet<string>): ReadonlySet<string> {
  const reached = new Set(start);
  for (let before = -1; before !== reached.size;) {
    before = reached.size;
    for (const { gives, from } of solver.rules) if (from.every((id) => reached.has(id))) reached.add(gives);
  }
  return reached;
}

/** Which fields would make the rest follow: one where one is enough, else two, else three. */
function wantedFor(solver: Solver, given: ReadonlySet<string>): readonly (readonly string[])[] {
  const all = (ids: ReadonlySet<string>) => solver.fields.every(({ id, besides }) => besides === true || ids.has(id));
  const reached = closure(solver, given);
  if (all(reached)) return [];
  const open = fieldsOf(solver)
    .filter((field) => field.given && !reached.has(field.id))
    .map(({ id }) => id);
  for (let count = 1; count <= 3; count += 1) {
    const enough = choose(open, count).filter((more) => all(closure(solver, new Set([...given, ...more]))));
    if (enough.length > 0) return enough;
  }
  return [open];
}

function choose(from: readonly string[], count: number): readonly (readonly string[])[] {
  if (count === 0) return [[]];
  return from.flatMap((first, at) => choose(from.slice(at + 1), count - 1).map((rest) => [first, ...rest]));
}

interface WorkedOut {
  readonly worlds: readonly World[];
  readonly impossible: Issue | undefined;
}

function workOut(solver: Solver, given: ReadonlyMap<string, Known>, options: ReckonOptions): WorkedOut {
  let worlds: readonly World[] = [{ title: '', known: given }];
  let impossible = broken(solver, given, undefined, options);
  if (impossible !== undefined) return { worlds: [], impossible };
  for (;;) {
    const next: World[] = [];
    for (const world of worlds) {
      const step = firstStep(solver, world);
      const made = step === undefined ? [world] : apply(solver, step, world, options);
      for (const one of made)
        if ('refused' in one) impossible ??= one.refused;
        else next.push(one);
    }
    const isDone = next.length === worlds.length && next.every((world, at) => world === worlds[at]);
    worlds = next;
    if (isDone) break;
  }
  return { worlds, impossible: worlds.length > 0 ? undefined : impossible };
}

/** The rule to go on with: one with a single answer before one with two. */
function firstStep(solver: Solver, { known }: World): Rule | undefined {
  const ready = solver.rules.filter(({ gives, from }) => !known.has(gives) && from.every((id) => known.has(id)));
  return ready.find(({ entry }) => typeof entry === 'string') ?? ready[0];
}

function apply(
  solver: Solver,
  rule: Rule,
  world: World,
  options: ReckonOptions,
): readonly (World | { readonly refused: Issue })[] {
  const forms = typeof rule.entry === 'string' ? [{ title: world.title, entry: rule.entry }] : rule.entry;
  return forms.map(({ title, entry }) => {
    const { outcome, issue } = reckonOver(entry, solver, world.known, options);
    const place = { start: 0, end: entry.length };
    if (outcome?.kind !== 'quantity') return { refused: issue ?? makeIssue('shape.none', place, {}) };
    const { quantity } = outcome;
    if (signOfValue(quantity.value) <= 0) {
      const field = solver.fields.find(({ id }) => id === rule.gives);
      return { refused: makeIssue('shape.nothing', place, { field: field?.title ?? rule.gives }) };
    }
    const known = new Map(world.known).set(rule.gives, { quantity, entry: written(entry, world.known), how: 'found' });
    const refused = broken(solver, known, rule.gives, options);
    return refused === undefined ? { title, known } : { refused };
  });
}

/** The first check that does not hold, of those that a field takes part in; of all of them without one. */
function broken(
  solver: Solver,
  known: ReadonlyMap<string, Known>,
  field: string | undefined,
  options: ReckonOptions,
): Issue | undefined {
  const found = solver.checks.find(({ from, entry }) => {
    if (!from.every((id) => known.has(id)) || (field !== undefined && !from.includes(field))) return false;
    const { outcome } = reckonOver(entry, solver, known, options);
    return outcome?.kind !== 'answer' || !outcome.yes;
  });
  return found && makeIssue(found.code, { start: 0, end: found.entry.length }, {});
}

const FIELD = /\{(\w+)(?:\.(ratio|angle))?\}/g;

/** A field as the formula wants it: a pitch as rise over run or as an angle. */
function inFormula(text: string, { quantity }: Known, as: string | undefined): string {
  const isAngle = quantity.dimension === ANGLE;
  if (as === 'ratio' && isAngle) return `tan(${text})`;
  if (as === 'angle' && !isAngle) return `atan(${text})`;
  return bound(text);
}

/** A formula over what is known, each field standing for its value: how it was worked out does not count here. */
function reckonOver(entry: string, solver: Solver, known: ReadonlyMap<string, Known>, options: ReckonOptions) {
  const { scope = EMPTY_SCOPE } = options;
  const fields = fieldsOf(solver);
  const at = (name: string) => fields[Number(/^field_(\d+)$/.exec(name)?.[1] ?? NaN)];
  const formula = entry.replace(FIELD, (_, id: string, as?: string) => {
    const name = `field_${fields.findIndex((field) => field.id === id)}`;
    return inFormula(name, known.get(id) as Known, as);
  });
  return reckon(formula, {
    ...options,
    scope: {
      ...scope,
      mark: (name) => {
        const quantity = known.get(at(name)?.id ?? '')?.quantity;
        return quantity ? { ok: true, quantity } : scope.mark(name);
      },
    },
  });
}

/** The formula written out over what was given, for a line of the slate. */
function written(entry: string, known: ReadonlyMap<string, Known>): string {
  return entry.replace(FIELD, (_, id: string, as?: string) => {
    const one = known.get(id) as Known;
    return inFormula(one.entry, one, as);
  });
}

/** One value wherever it stands: a mark, #n, a plain number, feet or inches alone are; anything else is put in brackets. */
function bound(source: string): string {
  return /^(#?\w+|[\d.]+['"°]?)$/.test(source) ? source : `(${source})`;
}

function contradicted(id: string, given: Known, worlds: readonly World[]): Solved['contradiction'] {
  const found = worlds.flatMap(({ known }) => known.get(id)?.quantity ?? []);
  if (found.some((one) => isSame(one, given.quantity))) return undefined;
  return found[0] && { field: id, comesOutAt: found[0] };
}

function isSame(one: Quantity, other: Quantity): boolean {
  if (one.dimension === other.dimension) return equalValue(one.value, other.value);
  return Math.abs(sizeOf(one) - sizeOf(other)) < 1e-12;
}

/** A double for a picture. */
function sizeOf({ value }: Quantity): number {
  return valueToNumber(value);
}
