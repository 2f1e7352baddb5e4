/** Writing a jig file takes no validator: pages do it before they have one. */
import type { Jig, JigCheck, JigInput, JigSet, JigStep } from '@sprell/core/jig';

/** The format that this version writes, and the latest that it reads. */
export const JIG_FORMAT = 1;

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
