/**
 * Place of the colon that ends the label of an entry ("top rail: 4' 2" * 3"); undefined for an entry without one. A label
 * holds a letter and ends at the first colon, which has a space or nothing behind it.
 */
export function labelColon(source: string): number | undefined {
  const colon = source.search(/[:\uff1a]/u);
  if (colon === -1 || !/^(?:\s|$)/u.test(source.slice(colon + 1))) return undefined;
  return /\p{L}/u.test(source.slice(0, colon)) ? colon : undefined;
}
