/** Writing a jig file takes no validator: pages do it before they have one. */
import { JIG_LIMITS, type Jig, type JigCheck, type JigInput, type JigSet, type JigStep } from '@sprell/core/jig';
import { asOneLine, asText } from './text.ts';

/** The format that this version writes, and the latest that it reads. */
export const JIG_FORMAT = 1;

/** Text in one line, no longer than it may be; spaces at its ends are nobody's. */
const fit = (text: string, most: number): string => asOneLine(asOneLine(text).trim().slice(0, most)).trimEnd();
const ENTRY = 500;
const UNIT = 40;
/** No name is longer; what is, is refused as a name, and not cut into another one. */
const NAME = 200;

/**
 * A jig as it can be kept: what people type and paste is made text of one line, and titles and hints are cut where they are too
 * long. What the page makes of it the schema of the file takes; names and entries are left to `readJig`, which says what is wrong.
 */
export function jigMadeFit<Made extends Omit<Jig, 'id' | 'version'>>(jig: Made): Made {
  const { title, note } = JIG_LIMITS;
  return {
    ...jig,
    name: fit(jig.name, NAME),
    title: fit(jig.title, title),
    about: asText(asText(jig.about).trim().slice(0, JIG_LIMITS.about)),
    inputs: jig.inputs.slice(0, JIG_LIMITS.inputs).map((input) => ({
      ...input,
      ...{ name: fit(input.name, NAME), title: fit(input.title, title), hint: fit(input.hint, title) },
      ...{ unit: fit(input.unit, UNIT), usual: fit(input.usual, ENTRY), metric: fit(input.metric, ENTRY) },
      ...{ least: fit(input.least, ENTRY), most: fit(input.most, ENTRY) },
    })),
    steps: jig.steps.map((step) => ({
      ...step,
      ...{ name: fit(step.name, NAME), title: fit(step.title, title), note: fit(step.note, note) },
      entry: fit(step.entry, ENTRY),
      repeat: step.repeat && {
        ...step.repeat,
        ...{
          counter: fit(step.repeat.counter, NAME),
          from: fit(step.repeat.from, ENTRY),
          to: fit(step.repeat.to, ENTRY),
        },
      },
    })),
    checks: jig.checks.slice(0, JIG_LIMITS.checks).map((check) => ({
      ...check,
      ...{ title: fit(check.title, title), inputs: check.inputs.map((text) => fit(text, ENTRY)) },
      ...{ answer: fit(check.answer, NAME), comesTo: fit(check.comesTo, ENTRY), within: fit(check.within, ENTRY) },
    })),
  };
}

/** A jig as a file. The same jig gives the same bytes, in whatever order its parts stood. */
export function jigFileOf({ jig, uses }: JigSet): string {
  return JSON.stringify({ sprell: 'jig', format: JIG_FORMAT, jig: inOrder(jig), uses: uses.map(inOrder) });
}

function inOrder({ id, version, name, title, about, decimalComma, inputs, steps, checks }: Jig): Jig {
  return {
    ...{ id, version, name, title, about, decimalComma },
    inputs: inputs.map(inputInOrder),
    steps: steps.map(stepInOrder),
    checks: checks.map(checkInOrder),
  };
}

function inputInOrder({ name, title, kind, unit, usual, metric, whole, least, most, hint }: JigInput): JigInput {
  return { name, title, kind, unit, usual, metric, whole, least, most, hint };
}

function stepInOrder({ name, title, note, entry, isAnswer, repeat }: JigStep): JigStep {
  const { counter = '', from = '', to = '', take = 'sum' } = repeat ?? {};
  return { name, title, note, entry, isAnswer, repeat: repeat && { counter, from, to, take } };
}

function checkInOrder({ title, inputs, answer, comesTo, within }: JigCheck): JigCheck {
  return { title, inputs: [...inputs], answer, comesTo, within };
}
