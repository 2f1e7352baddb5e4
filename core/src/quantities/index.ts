/** Take-offs: not part of the first screen. */
export {
  ABOUT_MEASURES,
  CELLS,
  countsIn,
  MEASURES,
  PRICE_UNIT_IDS,
  PRICE_UNITS,
  priceUnitsFor,
  type CellName,
  type Measure,
  type PriceUnit,
} from './measure.ts';
export { toCoins } from './coins.ts';
export { cellName, type RowCost, type TakeOffRow, type WorkedRow } from './row.ts';
export { rateOf, type Rate } from './rate.ts';
export { TakeOff } from './take-off.ts';
export {
  isInVersion,
  plus as plusSums,
  ROUNDED_AT,
  totalsOf,
  type RoundedAt,
  type Sums,
  type TakeOffTotals,
  type Tax,
  type TotalsOf,
} from './totals.ts';
export { readMoney, readRate, readRowQuantity, rowEntry, rowSays } from './says.ts';
export { hintsOf, type RowHint } from './hints.ts';
export { BLOCK_COLUMNS, fromHeads, planOfBlock, type BlockColumn, type BlockPlan } from './block-columns.ts';
export { HEADING, readBlock, saidBy, type BlockCell, type BlockRow } from './block.ts';
export { flatTableOf, workbookOf, type FlatTable, type Workbook, type WorkbookCell } from './workbook.ts';
export { listSheets } from './paper.ts';
export type { WrittenList, WrittenRow } from './written-list.ts';
export { nominalSection } from './nominal.ts';
export { orderList, type SupplierOrder } from './order-list.ts';
export { filledDown } from './fill-down.ts';
