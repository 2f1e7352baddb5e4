/** How rows stand in columns beside each other. Sizes in CSS pixels. */
export interface Columns {
  readonly perColumn: number;
  readonly rowHeight: number;
  readonly columnWidth: number;
}

/** What a row must and need not be larger than, and what a column must have. */
export interface RowSizes {
  readonly least: number;
  readonly most: number;
  readonly width: number;
}

/**
 * As few columns as give every row its full height; where there is no room for that, as many as there is width for, and
 * lower rows; where even the lowest do not fit, further columns beside them, to be scrolled to.
 */
export function columnsFor(
  count: number,
  room: { readonly width: number; readonly height: number },
  { least, most, width }: RowSizes,
): Columns {
  const fit = Math.max(1, Math.floor(room.width / width));
  const perColumnAt = (rowHeight: number) => Math.max(1, Math.floor(room.height / rowHeight));
  const wanted = Math.min(fit, Math.max(1, Math.ceil(count / perColumnAt(most))));
  const perColumn = Math.min(Math.max(1, Math.ceil(count / wanted)), perColumnAt(least));
  const columns = Math.ceil(count / perColumn);
  return {
    perColumn,
    rowHeight: Math.max(least, Math.min(most, Math.floor(room.height / perColumn))),
    columnWidth: Math.min(width * 1.6, Math.max(width, Math.floor(room.width / Math.max(1, columns)))),
  };
}
