/** A slate on a thread of its own, for jobs whose results take longer to work out than a frame. */
import { expose } from 'comlink';
import { Slate, type LineResult, type SlateLine } from '@sprell/core';

let slate = new Slate();

export type WorkedResults = readonly (readonly [id: string, result: LineResult])[];

function resultsOf(ids: readonly string[]): WorkedResults {
  return ids.flatMap((id) => {
    const line = slate.line(id);
    return line ? [[id, line.result] as const] : [];
  });
}

const api = {
  load(lines: readonly SlateLine[], options: { readonly decimalComma: boolean }): WorkedResults {
    slate = new Slate(options);
    slate.load(lines);
    return resultsOf(lines.map(({ id }) => id));
  },
  put(line: SlateLine): WorkedResults {
    return resultsOf(slate.put(line));
  },
  remove(id: string): WorkedResults {
    return resultsOf(slate.remove(id));
  },
};
export type SlateWorker = typeof api;

expose(api);
