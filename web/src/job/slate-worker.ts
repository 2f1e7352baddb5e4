/** A slate on a thread of its own, for jobs whose results take longer to work out than a frame. */
import { expose } from 'comlink';
import { Slate, type LineResult, type SlateLine } from '@sprell/core';

let slate = new Slate();

/** How entries are read, and the jigs that they may use: plain data. */
export type SlateOptions = NonNullable<ConstructorParameters<typeof Slate>[0]>;

export type WorkedResults = readonly (readonly [id: string, result: LineResult])[];

/** A line that is new or different, or one that is gone. */
export type SlateChange = { readonly put: SlateLine } | { readonly remove: string };

function resultsOf(ids: readonly string[]): WorkedResults {
  return ids.flatMap((id) => {
    const line = slate.line(id);
    return line ? [[id, line.result] as const] : [];
  });
}

const api = {
  load(lines: readonly SlateLine[], options: SlateOptions): WorkedResults {
    slate = new Slate(options);
    slate.load(lines);
    return resultsOf(lines.map(({ id }) => id));
  },
  change(changes: readonly SlateChange[]): WorkedResults {
    const ids = new Set<string>();
    for (const change of changes)
      for (const id of 'put' in change ? slate.put(change.put) : slate.remove(change.remove)) ids.add(id);
    return resultsOf([...ids]);
  },
};
export type SlateWorker = typeof api;

expose(api);
