import type { LineWire } from '@sprell/contract';

/** A change of one's own that met another's: both are kept until one is chosen. */
export interface Conflict {
  readonly line: LineWire;
  readonly mine: LineWire | undefined;
  /** Both as a person reads them; undefined for a line taken off the slate. */
  readonly mineSays: string | undefined;
  readonly theirsSays: string | undefined;
}
