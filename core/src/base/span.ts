/** Half-open range of UTF-16 offsets in the entry as it was typed. */
export interface Span {
  readonly start: number;
  readonly end: number;
}

/** A plain copy of the range alone, whatever else the object carries. */
export function spanOf(range: Span): Span {
  return { start: range.start, end: range.end };
}
