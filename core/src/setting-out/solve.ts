import { makeShapeIssue, type ShapeIssue } from '../base/issue.ts';
import { reckon, type ReckonOptions } from '../evaluate/reckon.ts';
import { EMPTY_SCOPE } from '../evaluate/scope.ts';
import { mended } from '../mend/mend.ts';
import { equalValue, signOfValue, valueToNumber, wholeValue } from '../number/value.ts';
import { DEFAULT_STYLE, isMetric } from '../reading/style.ts';
import { ANGLE, AREA, kindOf, LENGTH, PLAIN, SLOPE, VOLUME, type Dimension } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import { rootText } from './root-search.ts';
import type { Answer, Check, Field, FieldKind, Known, Otherwise, Rule, Solver, Sizes, Solved } from './solver.ts';

const DIMENSIONS: Readonly<Record<FieldKind, readonly Dimension[]>> = {
  length: [LENGTH],
  area: [AREA],
  volume: [VOLUME],
  angle: [ANGLE],
  pitch: [SLOPE, ANGLE, PLAIN],
  count: [PLAIN],
  number: [PLAIN],
};
const WANTED: Readonly<Record<FieldKind, string>> = {
  length: 'a length',
  area: 'an area',
  volume: 'a volume',
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
  const issues: Record<string, ShapeIssue | undefined> = {};
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
    const follows = closure(solver, new Set(given.keys()), 'firm').has(id)
      ? workOut(solver, given, options)
      : undefined;
    if (follows === undefined) given.set(id, read);
    else contradiction ??= contradicted(id, read, follows.worlds);
  }
  for (const field of solver.asks ?? []) {
    const read =
      field.otherwise &&
      !given.has(field.id) &&
      issues[field.id] === undefined &&
      readGiven(field, otherwise(field.otherwise, options), options);
    if (read && !('issue' in read)) given.set(field.id, { ...read, how: 'assumed' });
  }
  const wanted = wantedFor(solver, new Set(given.keys()));
  if (contradiction !== undefined) return { answers: [], issues, wanted: [], contradiction, impossible: undefined };
  const { worlds, impossible } = workOut(solver, given, options);
  const answers = worlds.map(({ title, known }): Answer => {
    const sizes: Sizes = Object.fromEntries([...known].map(([id, one]) => [id, sizeOf(one.quantity)]));
    const breaks = notHeld(solver, known, undefined, options, true).map(({ code }) =>
      makeShapeIssue(code, NOWHERE, {}),
    );
    const keeps =
      breaks.length === 0 && solver.checks.some(({ limit, from }) => limit && from.every((id) => known.has(id)));
    return { title, known: Object.fromEntries(known), breaks, keeps, figure: solver.draw(sizes) };
  });
  return { answers, issues, wanted, contradiction: undefined, impossible };
}

/** What a limit is where nobody says, in the units of the job. */
function otherwise({ imperial, metric }: Otherwise, { style = DEFAULT_STYLE }: ReckonOptions): string {
  return isMetric(style.length) ? metric : imperial;
}

/** All that can stand in a formula. */
const fieldsOf = ({ fields, asks = [] }: Solver): readonly Field[] => [...fields, ...asks];

function readGiven(field: Field, entry: string, options: ReckonOptions): Known | { readonly issue: ShapeIssue } {
  const reckoned = reckon(entry, options);
  const { outcome, parsed } = reckoned;
  const issue = mended(reckoned, options);
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
    return {
      issue: makeShapeIssue('shape.kind', span, { field: field.title, kind, wanted: WANTED[field.kind] }, fixes),
    };
  }
  if (isTooLittle(field, quantity)) return { issue: makeShapeIssue('shape.nothing', span, { field: field.title }) };
  if (field.kind === 'count' && wholeValue(quantity.value) === undefined)
    return { issue: makeShapeIssue('shape.whole', span, { field: field.title }) };
  return { quantity, entry: entry.trim(), how: 'given' };
}

function isTooLittle({ orNothing }: Field, { value }: Quantity): boolean {
  const sign = signOfValue(value);
  return orNothing === true ? sign < 0 : sign <= 0;
}

/** The fields that follow from others, by the rules alone. */
function closure(solver: Solver, start: ReadonlySet<string>, which: 'all' | 'firm' = 'all'): ReadonlySet<string> {
  const reached = new Set(start);
  for (let before = -1; before !== reached.size;) {
    before = reached.size;
    for (const { gives, from, ifOpen } of solver.rules)
      if (from.every((id) => reached.has(id)) && (which === 'all' || ifOpen !== true)) reached.add(gives);
  }
  return reached;
}

/** Sets of more fields are looked for where there are few to choose from. */
const [MOST_WANTED, MOST_OF_FEW, FEW] = [3, 6, 9];

/** Which fields would make the rest follow: one where one is enough, else two, and so on. */
function wantedFor(solver: Solver, given: ReadonlySet<string>): readonly (readonly string[])[] {
  const all = (ids: ReadonlySet<string>) => solver.fields.every(({ id, besides }) => besides === true || ids.has(id));
  const reached = closure(solver, given);
  if (all(reached)) return [];
  const open = fieldsOf(solver)
    .filter((field) => field.given && !reached.has(field.id))
    .map(({ id }) => id);
  const most = open.length <= FEW ? MOST_OF_FEW : MOST_WANTED;
  for (let count = 1; count <= most; count += 1) {
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
  readonly impossible: ShapeIssue | undefined;
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
  const firm = ready.filter(({ ifOpen }) => ifOpen !== true);
  return firm.find((rule) => 'entry' in rule && typeof rule.entry === 'string') ?? firm[0] ?? ready[0];
}

function apply(
  solver: Solver,
  rule: Rule,
  world: World,
  options: ReckonOptions,
): readonly (World | { readonly refused: ShapeIssue })[] {
  return answersOf(solver, rule, world, options).map((found) => {
    if ('refused' in found) return found;
    const { title, quantity, entry } = found;
    const field = fieldsOf(solver).find(({ id }) => id === rule.gives);
    if (field && isTooLittle(field, quantity))
      return { refused: makeShapeIssue('shape.nothing', NOWHERE, { field: field.title }) };
    const known = new Map(world.known).set(rule.gives, { quantity, entry, how: 'found' });
    const refused = broken(solver, known, rule.gives, options);
    return refused === undefined ? { title, known } : { refused };
  });
}

/** Nobody typed what is refused here. */
const NOWHERE = { start: 0, end: 0 };

interface Found {
  readonly title: string;
  readonly quantity: Quantity;
  readonly entry: string;
}

function answersOf(
  solver: Solver,
  rule: Rule,
  { title, known }: World,
  options: ReckonOptions,
): readonly (Found | { readonly refused: ShapeIssue })[] {
  if ('search' in rule) {
    const roots = rule.search((id) => (known.get(id) as Known).quantity.value);
    if (roots.length === 0) return [{ refused: makeShapeIssue(rule.none, NOWHERE, {}) }];
    return roots.map(({ title: own, root }) => ({
      title: own === '' ? title : own,
      quantity: { value: root, dimension: rule.dimension },
      entry: `${rootText(root)}${rule.unit}`,
    }));
  }
  const forms = typeof rule.entry === 'string' ? [{ title, entry: rule.entry }] : rule.entry;
  return forms.map((form) => {
    const { outcome, issue } = reckonOver(form.entry, solver, known, options);
    return outcome?.kind === 'quantity'
      ? { title: form.title, quantity: outcome.quantity, entry: written(form.entry, known) }
      : { refused: issue ?? makeShapeIssue('shape.none', NOWHERE, {}) };
  });
}

/** The first check that does not hold, of those that a field takes part in; of all of them without one. */
function broken(
  solver: Solver,
  known: ReadonlyMap<string, Known>,
  field: string | undefined,
  options: ReckonOptions,
): ShapeIssue | undefined {
  const [found] = notHeld(solver, known, field, options, false);
  return found && makeShapeIssue(found.code, NOWHERE, {});
}

/** @param isLimit whether limits are looked at, which a shape may break, or what no shape can be without */
function notHeld(
  solver: Solver,
  known: ReadonlyMap<string, Known>,
  field: string | undefined,
  options: ReckonOptions,
  isLimit: boolean,
): readonly Check[] {
  return solver.checks.filter(({ from, entry, limit = false }) => {
    if (limit !== isLimit || !from.every((id) => known.has(id))) return false;
    if (field !== undefined && !from.includes(field)) return false;
    const { outcome } = reckonOver(entry, solver, known, options);
    return outcome?.kind !== 'answer' || !outcome.yes;
  });
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
