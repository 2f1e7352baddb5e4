import { namesOf, type RoomFields } from '../../live/said-fields.ts';
import type { Quantities } from '../../job/quantities.ts';
import { COLUMNS } from './columns.ts';
import type { useRowActs } from './use-row-acts.ts';
import type { Grid } from './use-grid.ts';

/** What of a list of materials is filled by voice: the cells of the row in hand, which is the open one, else the newest. */
export function saidFieldsOf(list: Quantities, acts: ReturnType<typeof useRowActs>, grid: Grid): RoomFields {
  const inHand = () => {
    const id = acts.openId.value ?? grid.at.value?.row ?? acts.newId.value;
    return list.rows.find((row) => row.id === id) ?? list.rows.at(-1);
  };
  const write = (column: string, text: string) => {
    if (inHand() === undefined) acts.add(undefined);
    const row = inHand();
    if (row !== undefined) acts.write(row, column, text);
  };
  const entries = COLUMNS.filter(({ holds }) => holds === 'entry');
  return {
    fields: entries.map(({ id, title }) => ({
      id,
      names: namesOf(title),
      isPlain: id === 'count' || id === 'waste' || id === 'price' || id === 'other',
      put: (entry) => {
        write(id, entry);
      },
    })),
    list: {
      row: (words) => {
        acts.add(list.sections.at(-1)?.id);
        if (words !== '') write('name', words);
      },
      item: (words) => {
        write('name', words);
      },
    },
  };
}
