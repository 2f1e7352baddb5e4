import { shallowRef } from 'vue';

/** The function or jig whose arguments are being written. */
export interface CallAt {
  readonly name: string;
  /** Which argument the cursor is in, from 0. */
  readonly argument: number;
}

/** The call of the entry that has the cursor. */
export const callNow = shallowRef<CallAt>();
