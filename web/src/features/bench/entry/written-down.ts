import { remember, remembered } from '../../../adapters/local-memory.ts';
import { reference } from './edits.ts';

/** The bench's unfinished entry, written down so that it outlives a reload and waits while another screen is open. */
export function writtenDown(): string {
  return remembered<string>('entry') ?? '';
}
export function writeDown(entry: string): void {
  remember('entry', entry === '' ? undefined : entry);
}

/** Puts a mark or a line at the end of the bench's entry, from another screen. */
export function insertAtEnd(name: string): void {
  const text = writtenDown();
  writeDown(reference({ text, from: text.length, to: text.length }, name).text);
}
