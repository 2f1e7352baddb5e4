import { callNow, type CallAt } from './call-now.ts';

/** What stands before a bracket that opens a call. */
const CALLED = /(?<name>\p{L}[\p{L}\p{N}_]*)\s*$/u;

/** The innermost call around a place in an entry; undefined where it stands in none. */
export function callAt(text: string, at: number): CallAt | undefined {
  let argument = 0;
  let depth = 0;
  for (let n = at - 1; n >= 0; n -= 1) {
    const sign = text[n];
    if (sign === ')') depth += 1;
    else if (sign === ';' && depth === 0) argument += 1;
    else if (sign === '(') {
      if (depth > 0) depth -= 1;
      else {
        const name = CALLED.exec(text.slice(0, n))?.groups?.['name'];
        if (name !== undefined) return { name: name.toLowerCase(), argument };
        // A bracket of a sum: what stands around it may be a call still.
        argument = 0;
      }
    }
  }
  return undefined;
}

/** @param found by {@link callAt}; nothing is drawn again where it is the same */
export function showCall(found: CallAt | undefined): void {
  const { value: now } = callNow;
  if (now?.name !== found?.name || now?.argument !== found?.argument) callNow.value = found;
}
