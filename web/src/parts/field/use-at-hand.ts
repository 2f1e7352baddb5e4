import { useHand } from '../entry/hand.ts';
import { reference } from '../entry/edits.ts';
import { goToEmptyInput } from './size-inputs.ts';

/** Writes a mark, a line or a size into the field that was touched last, or else the first of the screen that is empty. */
export function useAtHand(): (entry: string) => void {
  const hand = useHand();
  return (entry) => {
    if (hand.field === undefined) goToEmptyInput();
    if (hand.field === undefined) return;
    hand.apply((text) => reference(text, entry));
    hand.field.focus();
  };
}
