import { isMetric, kindOf, readQuantity, reckonTyped, type Issue, type Quantity } from '@sprell/core';
import { callEntry, fixedValue, readJig, runJig, writtenSteps, type JigInput, type JigSet } from '@sprell/core/jig';
import { computed } from 'vue';
import { useJob } from '../../live/use-jobs.ts';
import { useKept } from '../../live/use-kept.ts';

/** What was typed for the inputs of a jig, by their names. */
export type Typed = Readonly<Record<string, string>>;

/** One input as it stands in the room. */
export interface GivenInput {
  readonly input: JigInput;
  /** What holds where nothing is typed. */
  readonly offered: string;
  readonly quantity: Quantity | undefined;
  /** In the way of this input alone. */
  readonly issue: Issue | undefined;
}

/** A jig in the open job, run as its inputs are written. What was typed is kept on this device for each job and jig. */
export function useJigRun(set: () => JigSet) {
  const job = useJob();
  const typed = useKept<Record<string, string>>(() => `jig.${job.head?.id}.${set().jig.id}`, {});
  const read = computed(() => readJig(set()));
  const offeredFor = ({ usual, metric }: JigInput) => (isMetric(job.style.length) && metric !== '' ? metric : usual);

  const work = (text: string, { kind }: JigInput) =>
    reckonTyped(text, {
      scope: job.slate.scope(),
      style: job.style,
      bare: kind === 'length' ? job.reading.bare : 'plain',
    });

  /** What a text comes to for an input: nothing typed is what is offered, and a number without a unit is in the input's own. */
  function quantityOf(input: JigInput, text: string): Quantity | undefined {
    if (text.trim() === '') {
      const value = fixedValue(offeredFor(input), set().jig.decimalComma, input.title);
      return value.ok ? value.value : undefined;
    }
    const { issue, outcome } = work(entryFor(input, text), input);
    return issue === undefined && outcome?.kind === 'quantity' ? outcome.quantity : undefined;
  }
  const quantitiesFor = (texts: Typed) => set().jig.inputs.map((input) => quantityOf(input, texts[input.name] ?? ''));

  /** Undefined while an input cannot be worked out. */
  function runWith(texts: Typed) {
    const { program } = read.value;
    if (program === undefined) return undefined;
    const unread = set().jig.inputs.some(
      (input) => (texts[input.name] ?? '').trim() !== '' && quantityOf(input, texts[input.name] ?? '') === undefined,
    );
    return unread ? undefined : runJig(program, quantitiesFor(texts));
  }

  const run = computed(() => runWith(typed.value));
  const inputs = computed((): readonly GivenInput[] =>
    set().jig.inputs.map((input) => {
      const issue = run.value?.ok === false ? run.value.issue : undefined;
      const isIts = issue !== undefined && 'input' in issue.fields && issue.fields.input === input.name;
      return {
        input,
        offered: offeredFor(input),
        quantity: quantityOf(input, typed.value[input.name] ?? ''),
        issue: isIts ? issue : undefined,
      };
    }),
  );
  /** What an input was taken for: a number without a unit in the unit of the input. */
  const readingOf = (place: number): string | undefined => {
    const quantity = run.value?.ok ? run.value.value.inputs[place] : undefined;
    return quantity && readQuantity(quantity, job.style).text;
  };
  const stepsOf = (texts: Typed) => {
    const ran = runWith(texts);
    const { program } = read.value;
    return ran?.ok && program ? writtenSteps(program, ran.value, job.style) : [];
  };
  const steps = computed(() => stepsOf(typed.value));

  /** An entry for an input, with the unit that was not typed. */
  function entryFor(input: JigInput, text: string): string {
    const { usual } = input;
    if (text.trim() === '') return offeredFor(input) === usual ? '' : offeredFor(input);
    const { written, outcome } = work(text, input);
    const isBare =
      outcome?.kind === 'quantity' && kindOf(outcome.quantity.dimension) === 'number' && input.kind !== 'number';
    if (!isBare || input.unit === '') return written.trim();
    return /^[\d.,/ ]+$/.test(written) ? `${written.trim()} ${input.unit}` : `(${written.trim()}) ${input.unit}`;
  }
  /** The entry that comes to an answer in the job: the jig comes into the job for it. */
  function entryOf(answer: string): string | undefined {
    const { program } = read.value;
    const name = program && job.jigs.bring(set());
    if (program === undefined || name === undefined) return undefined;
    const texts = set().jig.inputs.map((input) => entryFor(input, typed.value[input.name] ?? ''));
    return callEntry({ ...program, name }, texts, answer);
  }

  function give(name: string, text: string): void {
    const others = Object.entries(typed.value).filter(([one]) => one !== name);
    typed.value = Object.fromEntries(text === '' ? others : [...others, [name, text]]);
  }
  const replace = (texts: Typed) => {
    typed.value = { ...texts };
  };
  return { typed, read, run, inputs, steps, readingOf, stepsOf, quantityOf, quantitiesFor, entryOf, give, replace };
}
export type JigRunning = ReturnType<typeof useJigRun>;
