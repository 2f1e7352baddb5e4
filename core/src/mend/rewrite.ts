import type { Span } from '../base/span.ts';

/** The entry with what stands at a place written differently; what is left of the spaces around nothing is one. */
export function rewrite(source: string, { start, end }: Span, text: string): string {
  const before = source.slice(0, start);
  const after = source.slice(end);
  return (text === '' && /\s$/.test(before) ? `${before}${after.trimStart()}` : `${before}${text}${after}`).trim();
}
