import MiniSearch from 'minisearch';
import { textOf, type HelpGroup } from './help-pages.ts';

/** A page that was found, with the words in it that were looked for. */
export interface HelpFound {
  readonly id: string;
  readonly title: string;
  /** The line of the page where they stand; empty where only its title has them. */
  readonly line: string;
}

interface Entry {
  readonly id: string;
  readonly page: string;
  readonly title: string;
  readonly also: string;
  readonly text: string;
}

const MOST = 12;

/** Finds pages by what people call things: by beginnings of words, and with a letter wrong. */
export function helpSearch(groups: readonly HelpGroup[]): (words: string) => readonly HelpFound[] {
  const pages = groups.flatMap((group) => group.pages);
  const index = new MiniSearch<Entry>({
    fields: ['title', 'also', 'text'],
    storeFields: ['page', 'title', 'text'],
    searchOptions: {
      boost: { title: 4, also: 3 },
      prefix: (term) => term.length > 1,
      fuzzy: (term) => (term.length > 4 ? 0.2 : false),
    },
  });
  index.addAll(
    pages.map((page) => ({ id: page.id, page: page.id, title: page.title, also: page.also, text: textOf(page) })),
  );
  return (words) => {
    // All of the words where some page has them all, else any of them.
    const all = index.search(words, { combineWith: 'AND' });
    const found = all.length > 0 ? all : index.search(words);
    return found.slice(0, MOST).map(({ page, title, text, terms }): HelpFound => {
      const has = (line: string) => terms.some((term: string) => line.toLowerCase().includes(term));
      const line = (text as string).split('\n').find(has) ?? '';
      return { id: String(page), title: String(title), line };
    });
  };
}
