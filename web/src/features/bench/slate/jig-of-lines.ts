import { exactText, readQuantity, type Quantity, type ReadingStyle, type Slate } from '@sprell/core';
import { jigFromLines, type ChosenLine, type DraftJig, type KnownValue, type LinesAround } from '@sprell/core/jig';
import { isWorked, type SlateRow } from '../../../job/index.ts';

/** A jig of the chosen lines, as they stand on the slate; headings and notes among them are left out. */
export function jigOfLines(rows: readonly SlateRow[], graph: Slate, style: ReadingStyle): DraftJig {
  const lines = rows.flatMap((row): ChosenLine[] =>
    row.kind === 'worked' && isWorked(row.line)
      ? [{ number: row.line.number, source: row.entry, note: row.line.note }]
      : [],
  );
  return jigFromLines(lines, aroundOf(graph, style));
}

function aroundOf(graph: Slate, style: ReadingStyle): LinesAround {
  const known = (quantity: Quantity | undefined): KnownValue | undefined =>
    quantity && { quantity, entry: exactText(quantity, style)?.plain ?? readQuantity(quantity, style).plain };
  const resultOf = (number: number) => {
    const result = graph.lineNumbered(number)?.result;
    return result?.ok ? result.quantity : undefined;
  };
  return {
    options: style,
    madeBy: (mark) => graph.markLines(mark).map(({ line }) => line.number),
    run: (from, to) => {
      const numbers = graph.lines().flatMap(({ line, parsed }) => {
        const isComparison = parsed.entry?.expr.kind === 'compare';
        return isComparison ? [] : [line.number];
      });
      return numbers.slice(numbers.indexOf(from), numbers.indexOf(to) + 1);
    },
    lineValue: (number) => known(resultOf(number)),
    markValue: (name) => {
      const found = graph.scope().mark(name.toLowerCase());
      return known(found?.ok ? found.quantity : undefined);
    },
    beforePosting: (number) => {
      const name = graph.lineNumbered(number)?.parsed.entry?.assignment?.name;
      const lines = name === undefined ? [] : graph.markLines(name);
      const before = lines[lines.findIndex(({ line }) => line.number === number) - 1]?.result;
      return known(before?.ok ? before.quantity : undefined);
    },
  };
}
