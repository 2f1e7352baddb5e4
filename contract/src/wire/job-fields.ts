import { BARE_UNITS } from '@sprell/core';
import { ROUNDED_AT } from '@sprell/core/quantities';
import { z } from 'zod';
import { isOneLine } from '../text.ts';

const words = (most: number) =>
  z.string().trim().min(1).max(most).refine(isOneLine, 'Control characters are not text.');

export const titleWire = words(120);

/** Most tags of a job, and most characters of one. */
export const TAG_LIMIT = { count: 12, length: 40 } as const;

/** What a job can be for. */
export const HOLDS = ['work', 'jigs'] as const;

/** Signs that an entry reads as money. */
export const CURRENCIES = ['$', '€', '£'] as const;

/**
 * What a job says of itself, apart from how its lengths read. Each field is changed by itself, and of two choices made apart
 * the one that reaches the server last holds: no value and no line is lost by it.
 */
const FIELDS = {
  title: titleWire,
  /** Words to find it by. */
  tags: z.array(words(TAG_LIMIT.length)).max(TAG_LIMIT.count),
  /** Put away: it stands apart in the list of jobs. */
  archived: z.boolean(),
  /** Deleted by its owner. It can be brought back for a month. */
  deleted: z.boolean(),
  /** Digits in groups of three: 10,000. */
  thousands: z.boolean(),
  /** 2,4 instead of 2.4, in what is written and in what is read. */
  decimalComma: z.boolean(),
  currency: z.enum(CURRENCIES),
  /** What a number is that is typed without a unit. What is kept says its units, and means the same whatever this says later. */
  bareNumbers: z.enum(BARE_UNITS),
  /** The step at which money of a take-off is rounded to the coin. */
  moneyRounded: z.enum(ROUNDED_AT),
  /** What it is for: work, or the jigs of an account, which are kept in a job of their own that no list of jobs shows. */
  holds: z.enum(HOLDS),
};

export const jobFieldsWire = z.object(FIELDS);
export type JobFields = z.infer<typeof jobFieldsWire>;

/** Some of them, at least one. */
export const someJobFieldsWire = z
  .strictObject(FIELDS)
  .partial()
  .refine((fields) => Object.keys(fields).length > 0, 'No field is changed.');
