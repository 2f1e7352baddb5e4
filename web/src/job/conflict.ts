import type { LineWire } from '@sprell/contract';
import type { KeptConflict } from '../adapters/local/local-store.ts';

/** A change of one's own that met another's: both are kept until one is chosen. */
export interface Conflict {
  readonly kept: KeptConflict;
  /** The line as it stands. */
  readonly line: LineWire;
  /** Both as a person reads them; undefined for a deleted line. */
  readonly mineSays: string | undefined;
  readonly theirsSays: string | undefined;
}
