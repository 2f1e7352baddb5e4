/**
 * When something was made, in milliseconds since 1970: an id of version 7 begins with that moment (RFC 9562, 5.7), taken
 * from the clock of the device that made it.
 */
export function madeAt(id: string): number {
  return Number.parseInt(id.replaceAll('-', '').slice(0, 12), 16);
}
