import { parse } from '../notation/parser.ts';
import { labelColon } from '../notation/label.ts';
import { namesIn } from '../notation/names.ts';
import { withPlaces } from '../notation/rewrite.ts';
import { scan, tokensOf, type ScanOptions } from '../notation/scanner.ts';
import { DOTS, LINE } from '../notation/token.ts';
import { nameFromLabel } from '../stick/mark-name.ts';
import type { Quantity } from '../units/quantity.ts';
import { kindOfDimension } from './input-kind.ts';
import type { Jig, JigInput, JigStep } from './jig.ts';

/** A line of the slate that is to be a step. */
export interface ChosenLine {
  readonly number: number;
  /** As shown, with #n and names. */
  readonly source: string;
  readonly note: string;
}

/** What is asked of the slate that the lines stand on. */
export interface LinesAround {
  readonly options: ScanOptions;
  /** Numbers of the lines that make a mark or post to it, as they stand. */
  madeBy(mark: string): readonly number[];
  /** Numbers of a run of lines that hold values, as they stand. */
  run(from: number, to: number): readonly number[];
  /** What a line, or a mark, comes to, and an entry of exactly that. */
  lineValue(number: number): KnownValue | undefined;
  markValue(name: string): KnownValue | undefined;
  /** What the mark came to before a line posted to it. */
  beforePosting(number: number): KnownValue | undefined;
}
export interface KnownValue {
  readonly quantity: Quantity;
  readonly entry: string;
}

/** A jig that is being written: it has no id yet. */
export type DraftJig = Omit<Jig, 'id' | 'version'>;

/**
 * A jig of lines of the slate: each a step, in an order in which every step stands behind those that it uses. What they use of
 * the job beside them becomes an input, with its value as the usual one. The lines that no other of them uses are the answers.
 * It comes to the same as the lines do.
 * @param lines as they stand on the slate; those that cannot be read are left out
 */
export function jigFromLines(lines: readonly ChosenLine[], around: LinesAround): DraftJig {
  return new FromLines(lines, around).jig();
}

interface ReadLine extends ChosenLine {
  readonly name: string;
  readonly title: string;
  /** The entry without what stands in front of it. */
  readonly body: string;
  /** What a posting adds to: the mark as the line before left it. */
  readonly posts: { readonly sign: string; readonly mark: string; readonly before: number | undefined } | undefined;
}

class FromLines {
  readonly #around: LinesAround;
  readonly #lines: readonly ReadLine[];
  readonly #byNumber: ReadonlyMap<number, ReadLine>;
  readonly #taken: string[] = [];
  readonly #inputs: JigInput[] = [];
  /** What was used of the job, and the input that stands for it. */
  readonly #inputOf = new Map<string, string>();

  constructor(lines: readonly ChosenLine[], around: LinesAround) {
    this.#around = around;
    const chosen = new Set(lines.map(({ number }) => number));
    // A mark is what its last line makes it, and that one has its name before all others.
    for (const { source } of lines) {
      const name = parse(source, around.options).entry?.assignment?.name;
      if (name !== undefined && this.#isWhole(name, chosen) && !this.#isTaken(name)) this.#taken.push(name);
    }
    this.#lines = lines.flatMap((line) => this.#read(line, chosen) ?? []);
    this.#byNumber = new Map(this.#lines.map((line) => [line.number, line]));
  }

  jig(): DraftJig {
    const uses = new Map<number, ReadonlySet<number>>();
    const steps = new Map<number, JigStep>();
    for (const line of this.#lines) {
      const used = new Set<number>();
      steps.set(line.number, this.#step(line, used));
      uses.set(line.number, used);
    }
    const isUsed = new Set([...uses.values()].flatMap((used) => [...used]));
    const ordered = inTurn([...steps.keys()], uses).map((number) => ({
      ...(steps.get(number) as JigStep),
      isAnswer: !isUsed.has(number),
    }));
    const title = ordered.find(({ isAnswer }) => isAnswer)?.title ?? '';
    return {
      name: nameFromLabel(title) ?? 'my_jig',
      title,
      about: '',
      decimalComma: this.#around.options.decimalComma === true,
      inputs: this.#inputs,
      steps: ordered,
      checks: [],
    };
  }

  #read(line: ChosenLine, chosen: ReadonlySet<number>): ReadLine | undefined {
    const { source, number } = line;
    const { entry, issues } = parse(source, this.#around.options);
    if (entry === undefined || issues.length > 0) return undefined;
    const { assignment, label } = entry;
    const chain = assignment ? this.#around.madeBy(assignment.name) : [];
    const isMark = assignment !== undefined && this.#isWhole(assignment.name, chosen) && chain.at(-1) === number;
    const name = isMark ? assignment.name : this.#free(label ?? assignment?.name ?? `step_${number}`);
    const at = chain.indexOf(number);
    const posts =
      assignment && assignment.operator !== 'keep'
        ? {
            sign: assignment.operator === 'add' ? '+' : '−',
            mark: assignment.name,
            before: chosen.has(chain[at - 1] ?? 0) ? chain[at - 1] : undefined,
          }
        : undefined;
    const front = assignment?.end ?? (labelColon(source) ?? -1) + 1;
    return { ...line, name, title: label ?? name.replaceAll('_', ' '), body: source.slice(front).trim(), posts };
  }

  /** Every line that makes the mark or posts to it is chosen. */
  #isWhole(mark: string, chosen: ReadonlySet<number>): boolean {
    const chain = this.#around.madeBy(mark);
    return chain.length > 0 && chain.every((number) => chosen.has(number));
  }

  #isTaken(name: string): boolean {
    return this.#taken.some((other) => other.toLowerCase() === name.toLowerCase());
  }

  #free(wanted: string): string {
    const name = nameFromLabel(wanted, this.#taken) ?? (nameFromLabel('step', this.#taken) as string);
    this.#taken.push(name);
    return name;
  }

  /** @param used takes the numbers of the lines among the chosen that this one needs */
  #step(line: ReadLine, used: Set<number>): JigStep {
    const entry = this.#withNames(line.body, used);
    const { name, title, note, posts } = line;
    const step = { name, title, note, isAnswer: false, repeat: null };
    if (posts === undefined) return { ...step, entry };
    const before =
      posts.before === undefined
        ? this.#inputFor(`${posts.mark} before #${line.number}`, posts.mark, this.#around.beforePosting(line.number))
        : this.#nameOfLine(posts.before, used);
    return { ...step, entry: `${before} ${posts.sign} (${entry})` };
  }

  /** The body of a line with the names of steps and inputs in place of lines and marks. */
  #withNames(body: string, used: Set<number>): string {
    const { options } = this.#around;
    const tokens = tokensOf(scan(body, options));
    const places: { readonly start: number; readonly end: number; readonly text: () => string }[] = [];
    for (let at = 0; at < tokens.length; at += 1) {
      const token = tokens[at];
      if (token?.kind !== LINE) continue;
      const number = Number(body.slice(token.start + 1, token.end));
      const last = tokens[at + 1]?.kind === DOTS ? tokens[at + 2] : undefined;
      const run = last ? this.#around.run(number, Number(body.slice(last.start + 1, last.end))) : [number];
      places.push({
        start: token.start,
        end: (last ?? token).end,
        text: () => run.map((one) => this.#nameOfLine(one, used)).join('; '),
      });
      if (last) at += 2;
    }
    for (const { start, end, name } of namesIn(body, options))
      places.push({ start, end, text: () => this.#nameOfMark(name, used) });
    return withPlaces(
      body,
      places.sort((a, b) => a.start - b.start),
      ({ text }) => text(),
    );
  }

  #nameOfLine(number: number, used: Set<number>): string {
    const line = this.#byNumber.get(number);
    if (line === undefined) return this.#inputFor(`#${number}`, `line ${number}`, this.#around.lineValue(number));
    used.add(number);
    return line.name;
  }

  #nameOfMark(mark: string, used: Set<number>): string {
    const chain = this.#around.madeBy(mark);
    const last = chain.at(-1);
    if (last === undefined || !chain.every((number) => this.#byNumber.has(number)))
      return this.#inputFor(mark, mark, this.#around.markValue(mark));
    return this.#nameOfLine(last, used);
  }

  /** The input that stands for a line or a mark of the job. */
  #inputFor(what: string, title: string, value: KnownValue | undefined): string {
    const key = what.toLowerCase();
    const known = this.#inputOf.get(key);
    if (known !== undefined) return known;
    const name = this.#free(title);
    const { kind, unit } = kindOfDimension(value?.quantity.dimension ?? 0);
    this.#inputs.push({
      name,
      title: title.replaceAll('_', ' '),
      kind,
      unit,
      usual: value?.entry ?? '',
      metric: '',
      whole: false,
      least: '',
      most: '',
      hint: '',
    });
    this.#inputOf.set(key, name);
    return name;
  }
}

/** Each behind those that it uses, else as they stand. The slate has no circle, and so there is none here. */
function inTurn(numbers: readonly number[], uses: ReadonlyMap<number, ReadonlySet<number>>): readonly number[] {
  const order = new Set<number>();
  const enter = (number: number) => {
    if (order.has(number)) return;
    for (const used of uses.get(number) ?? []) enter(used);
    order.add(number);
  };
  numbers.forEach(enter);
  return [...order];
}
