import { EMPTY_SCOPE, type Scope } from '../evaluate/scope.ts';
import { reckon } from '../evaluate/reckon.ts';
import type { ReadingStyle } from '../reading/style.ts';
import { CELLS, type CellName, type Measure } from '../quantities/measure.ts';
import type { TakeOffRow, WorkedRow } from '../quantities/row.ts';
import { TakeOff } from '../quantities/take-off.ts';

type Given = Partial<Record<CellName, string>> & Partial<Omit<TakeOffRow, 'cells' | 'measure'>>;

let made = 0;
/** A row with what a test says of it. */
export function aRow(measure: Measure, given: Given = {}): TakeOffRow {
  const cells = Object.fromEntries(CELLS.map((cell) => [cell, given[cell] ?? ''])) as TakeOffRow['cells'];
  made += 1;
  return {
    id: given.id ?? `row-${made}`,
    name: given.name,
    measure,
    cells,
    per: given.per ?? 'each',
    isCutWhole: given.isCutWhole ?? true,
    section: given.section,
    tax: given.tax,
    isLeftOut: given.isLeftOut ?? false,
    versions: given.versions ?? [],
  };
}

/** Marks of a job, by name. */
export function marksOf(marks: Readonly<Record<string, string>>): Scope {
  return {
    ...EMPTY_SCOPE,
    mark: (name) => {
      const outcome = marks[name] === undefined ? undefined : reckon(marks[name]).outcome;
      return outcome?.kind === 'quantity' ? { ok: true, quantity: outcome.quantity } : undefined;
    },
    names: () => Object.keys(marks),
  };
}

export function worked(row: TakeOffRow, scope: Scope = EMPTY_SCOPE, style?: ReadingStyle): WorkedRow {
  const list = new TakeOff(style, scope);
  list.load([row]);
  return list.get(row.id) as WorkedRow;
}
