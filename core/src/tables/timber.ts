import type { Issue } from '../base/issue.ts';
import { makeIssue } from '../base/issue.ts';
import { fail, type Result } from '../base/result.ts';
import { fixedValue } from '../jig/fixed-value.ts';
import { signOfValue } from '../number/value.ts';
import type { ReadingStyle } from '../reading/style.ts';
import { LENGTH } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import type { TableText } from './conversion-table.ts';
import { UNIT_FAMILIES } from './unit-families.ts';

/** Timber as it is sold and as it measures: a size that a person looks up. Thickness and width are entries of lengths. */
export interface Timber {
  /** As it is sold: 2x4, 8/4, 45 x 95. */
  readonly called: string;
  readonly thick: string;
  /** Empty where only the thickness has a name: boards of any width. */
  readonly wide: string;
}

/** Longest name of a size as it is sold, in characters. */
export const TIMBER_NAME_LIMIT = 40;

/**
 * What thickness or width comes to.
 * Refused: what names something or does not read (as any entry), what is no length (`timber.no_size`), nothing or less (`timber.no_size`).
 */
export function timberSize(text: string, decimalComma: boolean): Result<Quantity, Issue> {
  const read = fixedValue(text, decimalComma, 'size');
  if (!read.ok) return read;
  const { dimension, value } = read.value;
  if (dimension === LENGTH && signOfValue(value) > 0) return read;
  return fail(makeIssue('timber.no_size', { start: 0, end: text.length }, { size: text.trim() }));
}

/** Whether all of it can be kept: it has a name, a thickness, and a width that is a size or left out. Entries have points. */
export const isTimber = ({ called, thick, wide }: Timber): boolean =>
  called.trim() === called &&
  called !== '' &&
  timberSize(thick, false).ok &&
  (wide === '' || timberSize(wide, false).ok);

/**
 * Softwood as it measures dressed and dry, by the sizes it is sold by. Source: American Softwood Lumber Standard, Voluntary
 * Product Standard PS 20-20 (NIST), tables 2 and 3: minimum dressed sizes at 19 per cent moisture.
 */
export const SOFTWOOD_TIMBERS: readonly Timber[] = [
  ...sizes(1, '3/4"', [2, 3, 4, 6, 8, 10, 12]),
  ...sizes(2, '1 1/2"', [2, 3, 4, 6, 8, 10, 12]),
  ...sizes(4, '3 1/2"', [4, 6, 8, 10, 12]),
];

function sizes(thick: number, dressed: string, widths: readonly number[]): readonly Timber[] {
  // 8 inches and more lose three quarters, the smaller ones half an inch.
  return widths.map((wide) => ({
    called: `${thick}x${wide}`,
    thick: dressed,
    wide: wide < 8 ? `${wide - 1} 1/2"` : `${wide - 1} 1/4"`,
  }));
}

const COLUMNS = [
  { id: 'called', title: 'sold as' },
  { id: 'thick', title: 'thick' },
  { id: 'wide', title: 'wide' },
  { id: 'thick-mm', title: 'thick, mm' },
  { id: 'wide-mm', title: 'wide, mm' },
] as const;

const inOrder = new Intl.Collator('en', { numeric: true });

/** As they stand in a table: 1x4 before 1x12, and 2x4 behind both. */
export const timbersInOrder = <T extends Timber>(timbers: readonly T[]): readonly T[] =>
  [...timbers].sort((a, b) => inOrder.compare(a.called, b.called));

/** The table: as each is sold, and as it measures in fractions of an inch (rounded as the job says) and in millimetres. */
export function timberTable(timbers: readonly Timber[], style: ReadingStyle): TableText {
  const members = ['in-fraction', 'mm'].map((id) => UNIT_FAMILIES.length.find((member) => member.id === id));
  const rows = timbersInOrder(timbers).map(({ called, thick, wide }) => {
    const measured = [thick, wide].map((text) => timberSize(text, false));
    const cells = members.flatMap((member) =>
      measured.map((size) => (size.ok ? member?.read(size.value, style, undefined) : undefined)),
    );
    return { cells: [{ text: called, plain: called }, ...cells] };
  });
  return { columns: COLUMNS, rows };
}
