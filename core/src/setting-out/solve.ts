import { makeShapeIssue, type Issue, type ShapeIssue } from '../base/issue.ts';
import { fail, type Result } from '../base/result.ts';
import { arcTangent, tangent } from '../evaluate/angles.ts';
import { evaluate, type Outcome } from '../evaluate/evaluate.ts';
import { reckon, type ReckonOptions } from '../evaluate/reckon.ts';
import { EMPTY_SCOPE } from '../evaluate/scope.ts';
import { mended } from '../mend/mend.ts';
import { parse } from '../notation/parser.ts';
import { isWhole, makeRational, ONE } from '../number/rational.ts';
import {
  absValue,
  compareValue,
  divideValue,
  isZero,
  signOfValue,
  subtractValue,
  valueToNumber,
} from '../number/value.ts';
import { readQuantity } from '../reading/read-quantity.ts';
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
  share: [PLAIN],
};
const WANTED: Readonly<Record<FieldKind, string>> = {
  length: 'a length',
  area: 'an area',
  volume: 'a volume',
  angle: 'an angle',
  pitch: 'a slope or an angle',
  count: 'a count',
  share: 'a share, such as 10% or 1/3',
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
 * @param givens the later one of two that contradict is the one that is reported; blank ones count for nothing
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
      ? workOut(solver, given, NONE, options)
      : undefined;
    const found = follows?.worlds.flatMap(({ known }) => known.get(id) ?? []);
    if (found === undefined) given.set(id, read);
    else if (!found.some((one) => agrees(field, read, one, options)))
      contradiction ??= contradicted(field, read, found);
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
  const refuse = (against: Solved['contradiction']): Solved => ({
    answers: [],
    issues,
    wanted: [],
    contradiction: against,
    impossible: undefined,
  });
  if (contradiction !== undefined) return refuse(contradiction);
  // What is wrong with an entry is said at its field, and nothing else is put in its place.
  const unread = new Set(Object.keys(issues));
  const { worlds, impossible } = workOut(solver, given, unread, options);
  const order = givens.map(([id]) => id);
  const against = worlds.map((world) => disagreement(solver, world, order, options));
  const sound = worlds.filter((_, at) => against[at] === undefined);
  if (sound.length === 0 && against[0] !== undefined) return refuse(against[0]);
  const answers = withoutTwins(sound).map(({ title, known }): Answer => {
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

const NONE: ReadonlySet<string> = new Set();

/**
 * What was given last of what does not fit the rest once limits are assumed: a volume with a count of one that nobody
 * gave. What was chosen within a limit may be chosen otherwise and contradicts nothing.
 */
function disagreement(
  solver: Solver,
  world: World,
  order: readonly string[],
  options: ReckonOptions,
): Solved['contradiction'] {
  const { known } = world;
  for (const id of [...order].reverse()) {
    const given = known.get(id);
    const field = fieldsOf(solver).find((one) => one.id === id);
    if (given?.how !== 'given' || field === undefined) continue;
    for (const rule of solver.rules) {
      if (rule.gives !== id || rule.ifOpen === true || !rule.from.every((from) => known.has(from))) continue;
      if (rule.from.some((from) => known.get(from)?.isLoose) || !holds(rule, solver, known, options)) continue;
      const found = answersOf(solver, rule, world, options).flatMap((one) => ('refused' in one ? [] : [one]));
      if (found.length > 0 && !found.some((one) => agrees(field, given, one, options)))
        return contradicted(field, given, found);
    }
  }
  return undefined;
}

/** Two ways that come to the same in every size are one: an arc over its own diameter is no flatter or larger one. */
function withoutTwins(worlds: readonly World[]): readonly World[] {
  const apart = worlds.filter((world, at) => !worlds.slice(0, at).some((other) => isTwin(world, other)));
  const [only] = apart;
  return apart.length === 1 && worlds.length > 1 && only ? [{ ...only, title: '' }] : apart;
}

function isTwin({ known }: World, other: World): boolean {
  return [...known].every(([id, { quantity }]) => {
    const same = other.known.get(id)?.quantity;
    return same?.dimension === quantity.dimension && compareValue(same.value, quantity.value) === 0;
  });
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
  const written = entry.trim();
  if (quantity !== undefined && isBareZero(field, quantity))
    return { quantity: { value: quantity.value, dimension: only(field) }, entry: zeroOf(field, options), how: 'given' };
  if (quantity === undefined || !DIMENSIONS[field.kind].includes(quantity.dimension)) {
    const kind = quantity ? kindOf(quantity.dimension) : 'answer';
    const units = quantity?.dimension === PLAIN && !written.includes('%') ? unitsOf(field, options) : [];
    const fixes = units.map((unit) => ({ label: `${written}${unit}`, entry: `${written}${unit}` }));
    return {
      issue: makeShapeIssue('shape.kind', span, { field: field.title, kind, wanted: WANTED[field.kind] }, fixes),
    };
  }
  if (isTooLittle(field, quantity))
    return { issue: makeShapeIssue(field.mayBeZero ? 'shape.below' : 'shape.nothing', span, { field: field.title }) };
  if (field.kind === 'count' && !(quantity.value.kind === 'rational' && isWhole(quantity.value)))
    return { issue: makeShapeIssue('shape.whole', span, { field: field.title }) };
  if (field.kind === 'pitch' && isBareSlope(written, quantity)) return { issue: whichSlope(field, written, options) };
  if (field.kind === 'share' && !written.includes('%') && compareValue(quantity.value, ONE) >= 0)
    return {
      quantity: { value: divideValue(quantity.value, makeRational(100)), dimension: PLAIN },
      entry: `(${written})%`,
      how: 'given',
    };
  return { quantity, entry: written, how: 'given' };
}

/** A plain 0 is nothing in any unit. */
function isBareZero({ kind }: Field, { value, dimension }: Quantity): boolean {
  return dimension === PLAIN && isZero(value) && !DIMENSIONS[kind].includes(PLAIN);
}

/** The dimension of a field of one kind alone. */
function only({ kind }: Field): Dimension {
  return DIMENSIONS[kind][0] ?? PLAIN;
}

/** Units that a plain number in a field was most likely meant in, those of the job first. */
function unitsOf({ kind }: Field, { style = DEFAULT_STYLE }: ReckonOptions): readonly string[] {
  const imperial = UNITS[kind]?.imperial ?? [];
  const metric = UNITS[kind]?.metric ?? [];
  return isMetric(style.length) ? [...metric, ...imperial] : [...imperial, ...metric];
}

const UNITS: Readonly<
  Partial<Record<FieldKind, { readonly imperial: readonly string[]; readonly metric: readonly string[] }>>
> = {
  length: { imperial: ['"', "'"], metric: [' mm', ' m'] },
  area: { imperial: [' sq ft'], metric: [' m2'] },
  volume: { imperial: [' cu yd', ' cu ft'], metric: [' m3'] },
  angle: { imperial: ['°'], metric: [] },
};

function zeroOf(field: Field, options: ReckonOptions): string {
  return `0${unitsOf(field, options)[0] ?? ''}`;
}

/** A plain number of one and more, typed by itself, is hardly ever rise over run: 6 is 6:12 to a roofer. */
function isBareSlope(written: string, { value, dimension }: Quantity): boolean {
  return dimension === PLAIN && /^\d+(?:[.,]\d+)?(?:\s+\d+\/\d+)?$/.test(written) && compareValue(value, ONE) >= 0;
}

function whichSlope({ title }: Field, written: string, { style = DEFAULT_STYLE }: ReckonOptions): ShapeIssue {
  const tight = written.replace(/\s+/, ' ');
  const [slope, angle] = [`${tight}:12`, `${tight}°`];
  const meant = isMetric(style.length) ? [angle, `${tight}%`, slope] : [slope, angle];
  const fixes = meant.map((entry) => ({ label: entry, entry }));
  return makeShapeIssue('shape.slope', { start: 0, end: written.length }, { field: title, number: tight }, fixes);
}

function isTooLittle({ mayBeZero }: Field, { value }: Quantity): boolean {
  const sign = signOfValue(value);
  return mayBeZero === true ? sign < 0 : sign <= 0;
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

/** @param unread fields that say something which cannot be read: nothing is worked out in their place */
function workOut(
  solver: Solver,
  given: ReadonlyMap<string, Known>,
  unread: ReadonlySet<string>,
  options: ReckonOptions,
): WorkedOut {
  let worlds: readonly World[] = [{ title: '', known: given }];
  let impossible = broken(solver, given, undefined, options);
  if (impossible !== undefined) return { worlds: [], impossible };
  for (;;) {
    const next: World[] = [];
    for (const world of worlds) {
      const step = firstStep(solver, world, unread, options);
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
function firstStep(
  solver: Solver,
  { known }: World,
  unread: ReadonlySet<string>,
  options: ReckonOptions,
): Rule | undefined {
  const ready = solver.rules.filter(
    (rule) =>
      !known.has(rule.gives) &&
      !unread.has(rule.gives) &&
      rule.from.every((id) => known.has(id)) &&
      holds(rule, solver, known, options),
  );
  const firm = ready.filter(({ ifOpen }) => ifOpen !== true);
  return firm.find((rule) => 'entry' in rule && typeof rule.entry === 'string') ?? firm[0] ?? ready[0];
}

/** Whether a rule is there for these sizes. */
function holds({ when }: Rule, solver: Solver, known: ReadonlyMap<string, Known>, options: ReckonOptions): boolean {
  if (when === undefined) return true;
  const outcome = reckonOver(when, solver, known, options);
  return outcome.ok && outcome.value.kind === 'answer' && outcome.value.yes;
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
    const isLoose = rule.ifOpen === true || rule.from.some((id) => world.known.get(id)?.isLoose);
    const known = new Map(world.known).set(rule.gives, {
      quantity,
      entry,
      how: 'found',
      ...(isLoose ? { isLoose } : {}),
    });
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
    const outcome = reckonOver(form.entry, solver, known, options);
    if (outcome.ok && outcome.value.kind === 'quantity')
      return { title: form.title, quantity: outcome.value.quantity, entry: written(form.entry, known) };
    const issue = outcome.ok || rule.none !== undefined ? undefined : outcome.issue;
    return { refused: issue ?? makeShapeIssue(rule.none ?? 'shape.none', NOWHERE, {}) };
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
    const outcome = reckonOver(entry, solver, known, options);
    return !outcome.ok || outcome.value.kind !== 'answer' || !outcome.value.yes;
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
function reckonOver(
  entry: string,
  solver: Solver,
  known: ReadonlyMap<string, Known>,
  { scope = EMPTY_SCOPE, style = DEFAULT_STYLE }: ReckonOptions,
): Result<Outcome, Issue> {
  const fields = fieldsOf(solver);
  const at = (name: string) => fields[Number(/^field_(\d+)$/.exec(name)?.[1] ?? NaN)];
  const formula = entry.replace(FIELD, (_, id: string, as?: string) => {
    const name = `field_${fields.findIndex((field) => field.id === id)}`;
    return inFormula(name, known.get(id) as Known, as);
  });
  const { entry: tree, issues } = parse(formula, { decimalComma: style.decimalComma });
  if (tree === undefined) return fail(issues[0] as Issue);
  return evaluate(tree, {
    ...scope,
    mark: (name) => {
      const quantity = known.get(at(name)?.id ?? '')?.quantity;
      return quantity ? { ok: true, quantity } : scope.mark(name);
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

/** What was given against what the rest comes to, read in the kind that it was given in. */
function contradicted(field: Field, given: Known, found: readonly Pick<Known, 'quantity'>[]): Solved['contradiction'] {
  const [first] = found;
  return first && { field: field.id, comesOutAt: alike(field, first.quantity, given.quantity.dimension) };
}

/** A pitch in the kind that another is given in: an angle as one, all else as a slope. */
function alike({ kind }: Field, quantity: Quantity, dimension: Dimension): Quantity {
  if (kind !== 'pitch') return quantity;
  if (dimension === ANGLE)
    return quantity.dimension === ANGLE ? quantity : { value: arcTangent(quantity.value), dimension: ANGLE };
  const ratio = quantity.dimension === ANGLE ? tangent(quantity.value) : quantity.value;
  return ratio ? { value: ratio, dimension: SLOPE } : quantity;
}

/**
 * Whether a size that was given is the one that was found: to the finest division that a person reads, since that is how
 * well it was measured, or read off Sprell itself. Counts and shares agree exactly.
 */
function agrees(
  field: Field,
  given: Pick<Known, 'quantity'>,
  found: Pick<Known, 'quantity'>,
  { style = DEFAULT_STYLE }: ReckonOptions,
): boolean {
  const one = alike(field, given.quantity, given.quantity.dimension);
  const other = alike(field, found.quantity, given.quantity.dimension);
  if (one.dimension !== other.dimension) return false;
  const apart = absValue(subtractValue(one.value, other.value));
  if (field.kind === 'count' || field.kind === 'share') return isZero(apart);
  return compareValue(apart, readQuantity(other, style).step) < 0;
}

/** A double for a picture. */
function sizeOf({ value }: Quantity): number {
  return valueToNumber(value);
}
