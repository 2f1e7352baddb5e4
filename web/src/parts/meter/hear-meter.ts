import type { ReadingStyle } from '@sprell/core';
import type { EntryHandle } from '../entry/hand.ts';
import { Bursts } from './bursts.ts';
import { measuredSize, withMeasured, withoutMeasured } from './measured-size.ts';

/** What a meter's keys meet on the page. */
export interface MeterPage {
  readonly style: () => ReadingStyle;
  /** The entry in which the cursor stands; undefined where it stands in none. */
  readonly entry: () => { readonly handle: EntryHandle; readonly isBenchs: boolean } | undefined;
  /** @param isLoose no field took it */
  readonly hold: (size: string, isLoose: boolean) => void;
}

const isField = (element: Element | null): boolean =>
  element instanceof HTMLElement && (element.isContentEditable || element.matches('input, textarea, select'));

/**
 * Hears what a meter types, on every key before the page does. Where the cursor stands in a field for sizes, what it sent goes in
 * as an entry of the job; where it stands in none, no button is pressed by it.
 */
export function hearMeter(page: MeterPage): (event: KeyboardEvent) => void {
  const bursts = new Bursts();
  return (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const sent = bursts.key(event.key, event.timeStamp);
    const isElsewhere = !isField(document.activeElement);
    if (sent === undefined) {
      // The space before a unit presses the button that has the focus.
      if (event.key === ' ' && isElsewhere && bursts.isUnderWay) event.preventDefault();
      return;
    }
    const size = measuredSize(sent, page.style());
    if (size === undefined) return;
    const stop = () => {
      event.preventDefault();
      event.stopPropagation();
    };
    if (isElsewhere) {
      stop();
      page.hold(size, true);
      return;
    }
    const entry = page.entry();
    // A field of words, a search: it has what was typed into it.
    if (entry === undefined) return;
    const { handle, isBenchs } = entry;
    const now = handle.read();
    // It was typed somewhere else: the keys and the cursor may be in two fields for a moment.
    if (!now.text.slice(0, now.from).endsWith(sent)) return;
    const taken = withMeasured(now, sent, size);
    if (taken) {
      if (taken.text !== now.text) handle.apply(() => taken);
      page.hold(size, false);
    } else if (isBenchs) {
      // The entry is complete already: it stays as it was, and the size is held.
      stop();
      handle.apply(() => withoutMeasured(now, sent));
      page.hold(size, true);
    } else {
      // A field has one size: measured again, it is the new one.
      handle.apply(() => ({ text: size, from: size.length, to: size.length }));
      page.hold(size, false);
    }
  };
}
