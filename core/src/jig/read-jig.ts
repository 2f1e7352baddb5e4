import { makeIssue, type Issue } from '../base/issue.ts';
import { foldEntry } from '../evaluate/fold.ts';
import type {
  Entry,
  Expr,
  JigProgram,
  JigPrograms,
  ProgramInput,
  ProgramLimit,
  ProgramRepeat,
  ProgramStep,
} from '../notation/ast.ts';
import { COUNT_WORDS } from '../notation/functions.ts';
import { parse } from '../notation/parser.ts';
import { nodesOf } from '../notation/parts.ts';
import type { ScanOptions } from '../notation/scanner.ts';
import { fixedValue } from './fixed-value.ts';
import { nameIssue } from '../stick/mark-name.ts';
import { multiplyValue } from '../number/value.ts';
import { kindOf, PLAIN, type Dimension } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import {
  JIG_LIMITS,
  KIND_OF_INPUT,
  type Jig,
  type JigInput,
  type JigRepeat,
  type JigSet,
  type JigStep,
} from './jig.ts';

/** Where in a jig something is wrong. */
export interface JigPlace {
  /** The jig's own name, where it is one that another uses; undefined for the jig itself. */
  readonly jig: string | undefined;
  readonly part: 'jig' | 'input' | 'step' | 'check';
  /** Which input, step or check, from 0. */
  readonly index: number;
  /** The field of it: entry, usual, least, name. */
  readonly field: string;
}

/** Something that is wrong in a jig: what, where in the text of the field, and in which field. */
export interface JigTrouble extends JigPlace {
  readonly issue: Issue;
}

/** A jig made ready to run, or what keeps it from that: everything, not the first alone. */
export interface ReadJig {
  readonly program: JigProgram | undefined;
  readonly troubles: readonly JigTrouble[];
}

/**
 * Makes a jig ready to run: its entries read, what they name found, its limits kept. Never throws, whatever the jig holds.
 * What it refuses: a name of a mark or a line, of a later step, a circle of jigs, more than 500 steps, a unit or a value of
 * another kind, no answer. Its fields are of the right types and not too long: the schema of the jig file makes sure of that.
 */
export function readJig({ jig, uses }: JigSet): ReadJig {
  const troubles: JigTrouble[] = [];
  const count = [jig, ...uses].reduce((sum, { steps }) => sum + steps.length, 0);
  const at: JigPlace = { jig: undefined, part: 'jig', index: 0, field: 'steps' };
  if (count > JIG_LIMITS.steps)
    return refused(at, makeIssue('jig.steps_many', NOWHERE, { count: `${count}`, limit: `${JIG_LIMITS.steps}` }));
  const byName = new Map(uses.map((one) => [one.name.toLowerCase(), one]));
  if (byName.size < uses.length) return refused({ ...at, field: 'uses' }, twice(doubleName(uses)));
  const circle = circleIn(jig, byName);
  if (circle) return refused({ ...at, field: 'uses' }, makeIssue('jig.circle', NOWHERE, { chain: circle.join(' → ') }));

  const programs = new Map<string, JigProgram>();
  for (const one of inTurn(uses, byName)) {
    const read = new JigReader(one, programs, one.name).read();
    troubles.push(...read.troubles);
    if (read.program) programs.set(one.name.toLowerCase(), read.program);
  }
  const own = new JigReader(jig, programs, undefined).read();
  troubles.push(...own.troubles);
  return { program: troubles.length === 0 ? own.program : undefined, troubles };
}

const NOWHERE = { start: 0, end: 0 };
const refused = (place: JigPlace, issue: Issue): ReadJig => ({ program: undefined, troubles: [{ ...place, issue }] });
const twice = (name: string): Issue => makeIssue('jig.name_twice', { start: 0, end: name.length }, { name });

function doubleName(jigs: readonly Jig[]): string {
  const names = jigs.map(({ name }) => name.toLowerCase());
  return names.find((name, at) => names.indexOf(name) !== at) ?? '';
}

/** What the steps of a jig call, as a jig is called: whatever word stands before a bracket in one of its entries; in lower case. */
export function calledIn({ steps }: Pick<Jig, 'steps'>): readonly string[] {
  const entries = steps.flatMap(({ entry, repeat }) => [entry, repeat?.from ?? '', repeat?.to ?? '']);
  const words = entries.flatMap((entry) =>
    [...entry.matchAll(/(\p{L}[\p{L}\p{N}_]*)\s*\(/gu)].map((match) => (match[1] as string).toLowerCase()),
  );
  return [...new Set(words)];
}

const usedBy = (jig: Jig, among: ReadonlyMap<string, unknown>): readonly string[] =>
  calledIn(jig).filter((word) => among.has(word));

/** A chain of jigs that leads back to its first; undefined where there is none. */
function circleIn(jig: Jig, byName: ReadonlyMap<string, Jig>): readonly string[] | undefined {
  const all = new Map([[jig.name.toLowerCase(), jig], ...byName]);
  const done = new Set<string>();
  const walk = (name: string, path: readonly string[]): readonly string[] | undefined => {
    const met = path.indexOf(name);
    if (met !== -1) return [...path.slice(met), name];
    if (done.has(name)) return undefined;
    for (const next of usedBy(all.get(name) as Jig, all)) {
      const found = walk(next, [...path, name]);
      if (found) return found;
    }
    done.add(name);
    return undefined;
  };
  for (const name of all.keys()) {
    const found = walk(name, []);
    if (found) return found;
  }
  return undefined;
}

/** Each behind those that it uses. There is no circle. */
function inTurn(jigs: readonly Jig[], byName: ReadonlyMap<string, Jig>): readonly Jig[] {
  const order = new Set<Jig>();
  const enter = (jig: Jig) => {
    if (order.has(jig)) return;
    for (const name of usedBy(jig, byName)) enter(byName.get(name) as Jig);
    order.add(jig);
  };
  jigs.forEach(enter);
  return [...order];
}

/** Reads one jig; those that it uses are read already. */
class JigReader {
  readonly #jig: Jig;
  readonly #options: ScanOptions;
  readonly #as: string | undefined;
  readonly #troubles: JigTrouble[] = [];
  /** Names that a step may use, in lower case: the inputs and the steps before it. */
  readonly #known = new Set<string>();

  constructor(jig: Jig, programs: JigPrograms, as: string | undefined) {
    this.#jig = jig;
    this.#options = { decimalComma: jig.decimalComma, jigs: programs };
    this.#as = as;
  }

  read(): ReadJig {
    const { name, steps, inputs } = this.#jig;
    this.#checkName({ part: 'jig', index: 0 }, name, new Set());
    const readInputs = inputs.map((input, index) => this.#input(input, index));
    const readSteps = steps.map((step, index) => this.#step(step, index));
    this.#checks();
    const answers = steps.flatMap(({ isAnswer }, index) => (isAnswer ? [index] : []));
    if (answers.length === 0)
      this.#refuse({ part: 'jig', index: 0, field: 'steps' }, makeIssue('jig.no_answer', NOWHERE, {}));
    const isSound = this.#troubles.length === 0;
    const program = { name, inputs: readInputs, steps: readSteps as ProgramStep[], answers };
    return { program: isSound ? program : undefined, troubles: this.#troubles };
  }

  /** A check is about an answer, and gives no more than the jig takes. */
  #checks(): void {
    const { checks, steps, inputs } = this.#jig;
    checks.forEach((check, index) => {
      const place = { part: 'check', index } as const;
      if (!steps.some(({ name, isAnswer }) => isAnswer && name === check.answer))
        this.#refuse({ ...place, field: 'answer' }, makeIssue('jig.check_answer', NOWHERE, { answer: check.answer }));
      const given = check.inputs.length;
      if (given > inputs.length)
        this.#refuse(
          { ...place, field: 'inputs' },
          makeIssue('jig.check_inputs', NOWHERE, { given: `${given}`, takes: `${inputs.length}` }),
        );
    });
  }

  #refuse(place: Omit<JigPlace, 'jig'>, issue: Issue): undefined {
    this.#troubles.push({ jig: this.#as, ...place, issue });
    return undefined;
  }

  /** A name is a word that means nothing else, and one thing's alone. */
  #checkName(place: Omit<JigPlace, 'jig' | 'field'>, name: string, others: ReadonlySet<string>): void {
    const at = { ...place, field: 'name' };
    const issue = others.has(name.toLowerCase()) ? twice(name) : nameIssue(name);
    if (issue) this.#refuse(at, issue);
  }

  #input(input: JigInput, index: number): ProgramInput {
    const { name, title, kind, whole } = input;
    const part = 'input';
    this.#checkName({ part, index }, name, this.#known);
    this.#known.add(name.toLowerCase());
    const ofUnit = this.#unit(input, index);
    const dimension = kind === 'rate' ? (ofUnit?.dimension ?? PLAIN) : KIND_OF_INPUT[kind];
    const valueOf = (field: 'usual' | 'least' | 'most', title_: string): Quantity | undefined => {
      const text = input[field];
      if (text.trim() === '') return undefined;
      const quantity = this.#fixed(text, { part, index, field }, title_);
      return quantity && this.#ofKind(quantity, dimension, ofUnit, { part, index, field }, title_);
    };
    const limitOf = (field: 'least' | 'most', title_: string): ProgramLimit | undefined => {
      const quantity = valueOf(field, title_);
      return quantity && { quantity, text: input[field].trim() };
    };
    return {
      name,
      title: title.trim() === '' ? name : title,
      dimension,
      unit: ofUnit && (kind === 'number' || kind === 'temperature') ? undefined : ofUnit,
      usual: valueOf('usual', 'The usual value'),
      whole,
      least: limitOf('least', 'The least'),
      most: limitOf('most', 'The most'),
    };
  }

  /** One of the unit of an input; undefined where it has none, or one that is none of its kind. */
  #unit({ kind, unit }: JigInput, index: number): Quantity | undefined {
    const place = { part: 'input', index, field: 'unit' } as const;
    const dimension = kind === 'rate' ? undefined : KIND_OF_INPUT[kind];
    if (unit.trim() === '')
      return kind === 'rate' ? this.#refuse(place, makeIssue('jig.unit_missing', NOWHERE, {})) : undefined;
    const one = fixedValue(`1 ${unit}`, this.#jig.decimalComma, unit);
    if (one.ok && (dimension === undefined || one.value.dimension === dimension)) return one.value;
    const wanted = dimension === undefined ? 'rate' : kindOf(dimension);
    return this.#refuse(place, makeIssue('jig.unit', { start: 0, end: unit.length }, { unit, wanted }));
  }

  /** A value that is not of the input's kind is refused; a number without a unit is in the input's own. */
  #ofKind(
    quantity: Quantity,
    dimension: Dimension,
    unit: Quantity | undefined,
    place: Omit<JigPlace, 'jig'>,
    field: string,
  ): Quantity | undefined {
    if (quantity.dimension === dimension) return quantity;
    if (quantity.dimension === PLAIN && unit !== undefined)
      return { value: multiplyValue(quantity.value, unit.value), dimension };
    const kinds = { field, kind: kindOf(quantity.dimension), wanted: kindOf(dimension) };
    return this.#refuse(place, makeIssue('jig.field_kind', NOWHERE, kinds));
  }

  /** What an entry that names nothing comes to. */
  #fixed(text: string, place: Omit<JigPlace, 'jig'>, field: string): Quantity | undefined {
    const result = fixedValue(text, this.#jig.decimalComma, field);
    return result.ok ? result.value : this.#refuse(place, result.issue);
  }

  #step(step: JigStep, index: number): ProgramStep | undefined {
    const { name, title } = step;
    this.#checkName({ part: 'step', index }, name, this.#known);
    const counter = step.repeat?.counter;
    if (counter !== undefined)
      this.#checkName({ part: 'step', index }, counter, new Set([...this.#known, name.toLowerCase()]));
    const entry = this.#entry(step.entry, { part: 'step', index, field: 'entry' }, counter);
    const repeat = step.repeat ? this.#repeat(step.repeat, index) : undefined;
    this.#known.add(name.toLowerCase());
    if (entry === undefined || (step.repeat !== null && repeat === undefined)) return undefined;
    return { name, title: title.trim() === '' ? name : title, written: entry, entry: foldEntry(entry), repeat };
  }

  #repeat({ counter, from, to, take }: JigRepeat, index: number): ProgramRepeat | undefined {
    const first = this.#entry(from, { part: 'step', index, field: 'from' }, undefined);
    const last = this.#entry(to, { part: 'step', index, field: 'to' }, undefined);
    return first && last && { counter, from: first.expr, to: last.expr, take };
  }

  /** An entry of a step, whose names are all known. @param counter what a repeated step counts by */
  #entry(text: string, place: Omit<JigPlace, 'jig'>, counter: string | undefined): Entry | undefined {
    const { entry, issues } = parse(text, this.#options);
    const [issue] = issues;
    if (entry === undefined || issue !== undefined)
      return this.#refuse(place, issue ?? makeIssue('entry.empty', NOWHERE, {}));
    if (entry.assignment)
      return this.#refuse(place, makeIssue('jig.assigns', entry.assignment, { name: entry.assignment.name }));
    const stranger = this.#strangerIn(entry.expr, counter);
    if (stranger) return this.#refuse(place, stranger);
    return entry;
  }

  /** The first thing in an expression that a jig knows nothing of. */
  #strangerIn(expr: Expr, counter: string | undefined): Issue | undefined {
    const [found] = strangers(expr, (name) => this.#known.has(name) || name === counter?.toLowerCase());
    if (found === undefined) return undefined;
    if (found.kind !== 'mark') {
      const line =
        found.kind === 'line' ? `#${found.number}` : found.kind === 'run' ? `#${found.from}` : 'the last one';
      return makeIssue('jig.uses_line', found, { line });
    }
    const { name } = found;
    const isLater = this.#jig.steps.some((step) => step.name.toLowerCase() === name.toLowerCase());
    return makeIssue(isLater ? 'jig.step_later' : 'jig.uses_mark', found, { name });
  }
}

type Stranger = Extract<Expr, { readonly kind: 'mark' | 'line' | 'run' | 'last' }>;

/** Names and lines in an expression that are not known, in the order in which they stand. */
function strangers(expr: Expr, isKnown: (name: string) => boolean): readonly Stranger[] {
  return nodesOf(expr)
    .filter((node): node is Stranger => {
      if (node.kind !== 'mark') return node.kind === 'line' || node.kind === 'run' || node.kind === 'last';
      const name = node.name.toLowerCase();
      return !isKnown(name) && !COUNT_WORDS.has(name) && name !== 'it';
    })
    .sort((a, b) => a.start - b.start);
}
