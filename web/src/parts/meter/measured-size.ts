import { isMetric, reckonTyped, type ReadingStyle } from '@sprell/core';
import type { EntryText } from '../entry/edits.ts';

const METRIC = /^\+?(?<whole>\d+)(?:[.,](?<decimals>\d+))?\s*(?<unit>mm|cm|m|ft|in|"|″)?$/iu;
const FEET_AND_INCHES = /^\d+\s*(?:'|′|ft)\s*\d+(?:\s+\d+\/\d+|[.,]\d+)?\s*(?:"|″|in)?$/iu;

/**
 * What a meter sent as an entry of this job: with its decimal sign, whichever the meter has, and its unit. A meter that sends no
 * unit measures in metres, or in feet where the job does.
 * @returns undefined where it is no size
 */
export function measuredSize(sent: string, style: ReadingStyle): string | undefined {
  const text = sent.trim();
  const point = style.decimalComma ? ',' : '.';
  const groups = METRIC.exec(text)?.groups;
  const size = groups
    ? inUnit(groups['whole'] ?? '', groups['decimals'], groups['unit']?.toLowerCase(), style, point)
    : FEET_AND_INCHES.test(text)
      ? text.replace(/[.,](?=\d)/u, point)
      : undefined;
  if (size === undefined) return undefined;
  return reckonTyped(size, { style, bare: 'plain' }).reading === undefined ? undefined : size;
}

function inUnit(
  whole: string,
  decimals: string | undefined,
  unit: string | undefined,
  style: ReadingStyle,
  point: string,
): string | undefined {
  // A bare count is no measurement.
  if (unit === undefined && decimals === undefined) return undefined;
  const figures = decimals === undefined ? whole : `${whole}${point}${decimals}`;
  const said = unit ?? (isMetric(style.length) ? 'm' : 'ft');
  return said === '"' || said === '″' ? `${figures}"` : `${figures} ${said}`;
}

/** Where something has still to come: at the beginning, behind an operator, a bracket, a label or a name that is stored. */
const OPEN = /(?:^|[-+−×÷*/^(;:=]|\b(?:x|of|per))\s*$/iu;

/**
 * An entry with what a meter sent at its cursor in its place.
 * @param sent exactly as it was typed
 * @returns undefined where the entry is complete already, or where it was not typed into the entry
 */
export function withMeasured(entry: EntryText, sent: string, size: string): EntryText | undefined {
  const before = entry.text.slice(0, entry.from);
  const behind = entry.text.slice(entry.to);
  if (!before.endsWith(sent) || behind.trim() !== '') return undefined;
  const kept = before.slice(0, -sent.length);
  if (!OPEN.test(kept)) return undefined;
  const text = kept + size;
  return { text, from: text.length, to: text.length };
}

/** An entry as it was before a meter typed into it. */
export function withoutMeasured(entry: EntryText, sent: string): EntryText {
  const before = entry.text.slice(0, entry.from);
  if (!before.endsWith(sent)) return entry;
  const kept = before.slice(0, -sent.length);
  return { text: kept + entry.text.slice(entry.to), from: kept.length, to: kept.length };
}

/** A size behind what is written: as it is where something has still to come, added otherwise. */
export const joined = (text: string, size: string): string =>
  OPEN.test(text) ? `${text}${/\S$/u.test(text) ? ' ' : ''}${size}` : `${text.trimEnd()} + ${size}`;
