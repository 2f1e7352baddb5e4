import { divideRational } from '../number/rational.ts';
import { subtractValue } from '../number/value.ts';
import type { ReadingStyle } from '../reading/style.ts';
import { LENGTH } from '../units/dimension.ts';
import type { Quantity } from '../units/quantity.ts';
import { KELVIN_AT_ZERO, unitById } from '../units/unit-table.ts';
import { valuesBetween } from '../units/values-between.ts';
import { familyOf, UNIT_FAMILIES, type FamilyMember, type FamilyReading } from './unit-families.ts';

/** A table as it stands on paper and in a file. */
export interface TableText {
  readonly columns: readonly { readonly id: string; readonly title: string }[];
  readonly rows: readonly { readonly cells: readonly (CellText | undefined)[] }[];
}
export interface CellText {
  readonly text: string;
  /** As it is typed. */
  readonly plain: string;
}

/** A table to read, touch or print: one value a row, each in several ways. */
export interface ConversionTable {
  readonly columns: readonly FamilyMember[];
  readonly rows: readonly ConversionRow[];
}
export interface ConversionRow {
  readonly quantity: Quantity;
  /** One for each column; undefined where the value cannot be written so. */
  readonly cells: readonly (FamilyReading | undefined)[];
}

/** What is asked of a table. */
export interface TableAsked {
  readonly from: Quantity;
  readonly to: Quantity;
  readonly step: Quantity;
  /** Members of the family by their ids, in the order in which they stand. */
  readonly columns: readonly string[];
  /** Decimals of all columns that have any; undefined for those of each unit. */
  readonly decimals: number | undefined;
}

/** A step of so many degrees, out of a temperature that says so many: 5 °C of a step is five kelvin, not 278. */
export function degreesStep(step: Quantity, scale: 'celsius' | 'fahrenheit'): Quantity {
  return { value: subtractValue(step.value, KELVIN_AT_ZERO[scale]), dimension: step.dimension };
}

/**
 * A table of values from one to another. Undefined where the three are not of one kind, go nowhere, are not exact, or would make
 * more than a thousand rows.
 */
export function conversionTable(asked: TableAsked, style: ReadingStyle): ConversionTable | undefined {
  const values = valuesBetween(asked.from, asked.to, asked.step);
  const kind = familyOf(asked.from.dimension);
  if (values === undefined || kind === undefined) return undefined;
  const fine = styleFor(asked.step, style);
  const columns = asked.columns.flatMap((id) => UNIT_FAMILIES[kind].find((member) => member.id === id) ?? []);
  const rows = values.map((quantity) => ({
    quantity,
    cells: columns.map((member) => member.read(quantity, fine, asked.decimals)),
  }));
  return { columns, rows };
}

/** A table in thirty-seconds shows thirty-seconds, though the tape of the job stops at sixteenths. */
function styleFor({ value, dimension }: Quantity, style: ReadingStyle): ReadingStyle {
  if (dimension !== LENGTH || value.kind !== 'rational') return style;
  const { den } = divideRational(value, unitById('in').factor);
  const isDivision = typeof den === 'number' && den > style.finest && den <= 128 && (den & (den - 1)) === 0;
  return isDivision ? { ...style, finest: den } : style;
}
