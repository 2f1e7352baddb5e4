export {
  FAMILY_KINDS,
  familyOf,
  familyReadings,
  UNIT_FAMILIES,
  type FamilyKind,
  type FamilyMember,
  type FamilyReading,
} from './unit-families.ts';
export {
  conversionTable,
  degreesStep,
  type ConversionRow,
  type CellText,
  type ConversionTable,
  type TableAsked,
  type TableText,
} from './conversion-table.ts';
export { pocketCards } from './pocket-card.ts';
export {
  isTimber,
  SOFTWOOD_TIMBERS,
  TIMBER_NAME_LIMIT,
  timberSize,
  timbersInOrder,
  timberTable,
  type Timber,
} from './timber.ts';
export { tapeNeighbours, type TapeNeighbour } from './tape-neighbours.ts';
export { valuesBetween, MOST_VALUES } from '../units/values-between.ts';
