/** A field of a thing with each text in it in other words: one text, or lists of them. What is no text stays as it is. */
export function eachText(value: unknown, of: (text: string) => unknown): unknown {
  if (typeof value === 'string') return of(value);
  return Array.isArray(value) ? value.map((one) => eachText(one, of)) : value;
}
