import { LIMITS } from '@sprell/core';
import { asOneLine } from '@sprell/contract';

/** What may be asked for in the address of a page. */
type Query = Readonly<Record<string, string | null | readonly (string | null)[]>>;

/** What the share sheet of a device hands over, as one entry: the text, else the title. No more of it than an entry holds. */
export function sharedText(query: Query): string {
  const [text = ''] = ['text', 'title'].flatMap((name) => {
    const said = query[name];
    return typeof said === 'string' && said.trim() !== '' ? [said] : [];
  });
  return asOneLine(text).replace(/\s+/gu, ' ').trim().slice(0, LIMITS.characters);
}
