/**
 * Many distance meters are keyboards to the device that they are coupled with: they type "3.425 m" and Enter, faster than anybody
 * could. This tells such a burst from what a person types.
 */

/** The longest between two of its keys, in milliseconds; a person needs 60 at the least, and more for another finger. */
const APART = 45;
/**
 * The shortest rest before it: whoever presses the button of a meter types nothing meanwhile. Keys of a hand that a busy device
 * brings late, and then all at once, have none.
 */
const REST = 300;
/** The shortest that a meter sends: a figure, a point, a decimal and a unit, or as many. */
const SHORTEST = 4;
const ENDS = new Set(['Enter', 'Tab']);

/** The keys of a page, as they come. */
export class Bursts {
  #text = '';
  #last = -Infinity;
  /** The rest before its first key. */
  #rest = 0;

  /** Keys that came one behind the other so fast that no hand pressed them. */
  get isUnderWay(): boolean {
    return this.#rest >= REST && this.#text.length >= SHORTEST - 1;
  }

  /**
   * @param key as a keyboard event names it
   * @param time when it was pressed, in milliseconds
   * @returns what was sent, where this key ends it
   */
  key(key: string, time: number): string | undefined {
    const rest = time - this.#last;
    const isFast = rest <= APART;
    this.#last = time;
    if (ENDS.has(key)) {
      const sent = isFast && this.#rest >= REST && this.#text.length >= SHORTEST ? this.#text : undefined;
      this.#text = '';
      return sent;
    }
    // Shift and the like send nothing themselves.
    if (key.length > 1) return undefined;
    if (!isFast) this.#rest = rest;
    this.#text = isFast ? this.#text + key : key;
    return undefined;
  }
}
