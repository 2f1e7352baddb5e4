import { localStore } from '../../adapters/local/local-store-loader.ts';
import { remember, remembered } from '../../adapters/local-memory.ts';
import { reference } from './edits.ts';

/** The bench's unfinished entry and when it was written. */
interface WrittenDown {
  readonly text: string;
  readonly at: number;
}
const KEY = 'entry';

/** The unfinished entry, written down so that it outlives a reload and waits while another screen is open. */
export function writtenDown(): string {
  return remembered<WrittenDown>(KEY)?.text ?? '';
}

/**
 * Writes it down twice: where it is read at once, and where it outlives a browser that is killed or a power cut, which
 * may take what was written the other way a moment ago.
 */
export function writeDown(text: string): void {
  const written: WrittenDown = { text, at: Date.now() };
  remember(KEY, written);
  void localStore()
    .then((local) => local.setNote(KEY, written))
    .catch(() => undefined);
}

/** What was written down later than what `writtenDown` knows of; undefined where nothing was. */
export async function writtenDownLater(): Promise<string | undefined> {
  const kept = (await (await localStore()).note(KEY)) as WrittenDown | undefined;
  return kept !== undefined && kept.at > (remembered<WrittenDown>(KEY)?.at ?? 0) ? kept.text : undefined;
}

/** Puts a mark or a line at the end of the bench's entry, from another screen. */
export function insertAtEnd(name: string): void {
  const text = writtenDown();
  writeDown(reference({ text, from: text.length, to: text.length }, name).text);
}
