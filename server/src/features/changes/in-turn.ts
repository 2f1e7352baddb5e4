/**
 * Work on one thing, one after the other; on different things at the same time. What two processes do at once the database
 * keeps apart, but the losers have to retry, and among forty somebody always loses.
 */
export class InTurn {
  readonly #last = new Map<string, Promise<unknown>>();

  /** On how many things something is being done. */
  get busy(): number {
    return this.#last.size;
  }

  do<T>(key: string, work: () => Promise<T>): Promise<T> {
    const before = this.#last.get(key);
    const done = before === undefined ? work() : before.then(work);
    const settled = done.then(
      () => undefined,
      () => undefined,
    );
    this.#last.set(key, settled);
    void settled.then(() => {
      if (this.#last.get(key) === settled) this.#last.delete(key);
    });
    return done;
  }
}
