import { positionBetween } from '@sprell/contract';
import type { SlateRow } from './slate-row.ts';

/** The place above a line, or at the foot. */
export function positionAt(rows: readonly SlateRow[], beforeId: string | undefined): string {
  const index = rows.findIndex(({ line }) => line.id === beforeId);
  const at = index === -1 ? rows.length : index;
  return positionBetween(rows[at - 1]?.line.position, rows[at]?.line.position);
}
