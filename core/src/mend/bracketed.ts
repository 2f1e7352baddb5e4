import type { Span } from '../base/span.ts';

/** Whether one pair of brackets goes around all of a text. */
export function isBracketed(text: string): boolean {
  if (!text.startsWith('(') || !text.endsWith(')')) return false;
  let depth = 0;
  for (let at = 0; at < text.length - 1; at += 1) {
    if (text[at] === '(') depth += 1;
    else if (text[at] === ')') depth -= 1;
    if (depth === 0) return false;
  }
  return true;
}

/** Text of a node without the brackets around all of it. */
export function bare(source: string, node: Span): string {
  const text = source.slice(node.start, node.end).trim();
  return isBracketed(text) ? text.slice(1, -1) : text;
}
