import { BODY_BYTES, BODY_VALUES } from '@sprell/contract';
import { json, type RequestHandler } from 'express';

/** Levels of lists and objects in each other; a batch has five. */
const MOST_LEVELS = 12;

/** Bytes of a body that is no batch: the longest one is an address and a password. */
const SMALL = '16kb';

const [QUOTE, BACKSLASH, COMMA] = [0x22, 0x5c, 0x2c];
const [OPEN_LIST, OPEN_OBJECT, CLOSE_LIST, CLOSE_OBJECT] = [0x5b, 0x7b, 0x5d, 0x7d];

/** Whether a JSON text is within the bounds; looked at without making anything of it, in one go over its bytes. */
export function isBounded(text: Uint8Array): boolean {
  let levels = 0;
  let values = 1;
  for (let at = 0; at < text.length; at += 1) {
    const sign = text[at];
    if (sign === QUOTE) at = endOfString(text, at);
    else if (sign === COMMA) values += 1;
    else if (sign === OPEN_LIST || sign === OPEN_OBJECT) {
      levels += 1;
      values += 1;
    } else if (sign === CLOSE_LIST || sign === CLOSE_OBJECT) levels -= 1;
    if (levels > MOST_LEVELS || values > BODY_VALUES) return false;
  }
  return true;
}

function endOfString(text: Uint8Array, start: number): number {
  for (let at = text.indexOf(QUOTE, start + 1); at >= 0; at = text.indexOf(QUOTE, at + 1)) {
    let backslashes = 0;
    while (text[at - 1 - backslashes] === BACKSLASH) backslashes += 1;
    if (backslashes % 2 === 0) return at;
  }
  return text.length;
}

/** A refusal that the error handler knows by its name. */
const refusal = (type: string) => Object.assign(new Error(type), { type });

/** Reads the JSON of a request, in bounds of size, depth and count. */
export function readBody(size: 'small' | 'batch'): RequestHandler {
  return json({
    limit: size === 'small' ? SMALL : BODY_BYTES,
    strict: true,
    verify: (_request, _response, text, encoding) => {
      // In others the signs that are looked for are part of other signs.
      if (encoding.toLowerCase() !== 'utf-8') throw refusal('charset.unsupported');
      if (!isBounded(text)) throw refusal('entity.too.many');
    },
  });
}
