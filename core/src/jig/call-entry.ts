import type { JigProgram } from '../notation/ast.ts';

/**
 * The entry that runs a jig with these inputs: what puts an answer on the slate as a line that lives on.
 * @param given an entry for each input, in their order; empty for its usual value
 * @param answer name of the answer; the first of them where it is undefined
 * @example callEntry({ name: 'decking', inputs: [{ name: 'run' }], answers: [0], steps: [{ name: 'boards' }] }, ["12'"]) // => "decking(run = 12')"
 */
export function callEntry(
  program: Pick<JigProgram, 'name' | 'answers'> & {
    readonly inputs: readonly { readonly name: string }[];
    readonly steps: readonly { readonly name: string }[];
  },
  given: readonly string[],
  answer?: string,
): string {
  const [first] = program.answers;
  const isFirst = answer === undefined || program.steps[first ?? 0]?.name === answer;
  const values = program.inputs.flatMap(({ name }, place) => {
    const text = given[place]?.trim() ?? '';
    return text === '' ? [] : [`${name} = ${text}`];
  });
  return `${isFirst ? '' : `${answer} from `}${program.name}(${values.join('; ')})`;
}
