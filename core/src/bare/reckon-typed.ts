import { reckon, type Reckoned, type ReckonOptions } from '../evaluate/reckon.ts';
import { withBareUnits, type BareUnit } from './bare-numbers.ts';

export interface TypedOptions extends ReckonOptions {
  /** What a number without a unit is. */
  readonly bare?: BareUnit;
}

/** What is typed, worked out with its numbers as the sizes they are meant for. */
export interface ReckonedTyped extends Reckoned {
  /** The entry as it is kept: with the units that were not typed. */
  readonly written: string;
}

/**
 * Works out what is typed. Where it only makes sense without units for its bare numbers, they have none; places in it, those
 * of an issue among them, are those of what is typed, except at its very end.
 * @example reckonTyped('2400 / 7', { bare: 'mm' }).written // => '2400 mm / 7'
 */
export function reckonTyped(typed: string, options: TypedOptions = {}): ReckonedTyped {
  const written = withBareUnits(typed, options);
  if (written === typed) return { ...reckon(typed, options), written };
  const sized = reckon(written, options);
  if (sized.issue === undefined) return { ...sized, written };
  if (sized.issue.code === 'entry.unfinished') {
    const { start, end } = sized.issue;
    const longer = written.length - typed.length;
    const issue = { ...sized.issue, start: Math.max(0, start - longer), end: Math.max(0, end - longer) };
    return { ...sized, issue, written };
  }
  return { ...reckon(typed, options), written: typed };
}
