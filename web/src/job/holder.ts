/** A value that may change. */
export interface Cell<T> {
  value: T;
}

/** How the open job holds what a screen shows: as plain values, or so that a screen follows them (`live/use-jobs.ts`). */
export interface Holder {
  /** A change of `value` is one of identity: what is in it is never changed in place. */
  cell<T>(first: T): Cell<T>;
  /** A value that follows from cells. */
  derived<T>(work: () => T): { readonly value: T };
}

export const plainHolder: Holder = {
  cell: (first) => ({ value: first }),
  derived: (work) => ({
    get value() {
      return work();
    },
  }),
};
