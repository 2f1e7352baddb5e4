/**
 * Place of the colon that ends the label of an entry ("top rail: 4' 2" * 3"); undefined for an entry without one. A label
 * holds a letter and ends at the first colon that has a space or nothing behind it: that of "door 6:8 head: 5'" is the second.
 */
export function labelColon(source: string): number | undefined {
  const colon = source.search(/[:\uff1a](?:\s|$)/u);
  if (colon === -1) return undefined;
  return /\p{L}/u.test(source.slice(0, colon)) ? colon : undefined;
}
