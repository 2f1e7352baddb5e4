import { MEASURES, PRICE_UNIT_IDS } from '@sprell/core/quantities';
import { z } from 'zod';
import { isOneLine } from '../../text.ts';
import { noteWire, sourceWire } from '../../wire/line.ts';
import { kindWire } from '../kind-wire.ts';
import { itemKind } from './kind.ts';

const words = z.string().trim().max(200).refine(isOneLine, 'Control characters are not text.');
const MOST_VERSIONS = 20;

/** A row of a take-off: what it is, what it is measured by, and an entry in each cell; empty for nothing. */
export const itemWire = kindWire(itemKind, {
  name: words,
  /** The section that it stands in; null for none. One that was deleted counts as none. */
  section: z.uuid().nullable(),
  measure: z.enum(MEASURES),
  count: sourceWire,
  length: sourceWire,
  width: sourceWire,
  depth: sourceWire,
  /** The mass or the time of one. */
  apiece: sourceWire,
  /** Openings and the like. */
  less: sourceWire,
  waste: sourceWire,
  /** What is in a pack, a sheet, a stock length. */
  pack: sourceWire,
  price: sourceWire,
  /** A second price, to be compared. */
  other: sourceWire,
  /** What the prices are for, where they do not say so themselves. */
  per: z.enum(PRICE_UNIT_IDS as [(typeof PRICE_UNIT_IDS)[number]]),
  /** Pieces are cut whole from a stock length. */
  cutWhole: z.boolean(),
  supplier: words,
  note: noteWire,
  leftOut: z.boolean(),
  /** Null for the first tax of the list. */
  tax: z.uuid().nullable(),
  /** The versions of the list that have it; none for all of them. */
  versions: z.array(z.uuid()).max(MOST_VERSIONS),
});
