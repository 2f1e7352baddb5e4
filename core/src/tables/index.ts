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
  type ConversionTable,
  type TableAsked,
} from './conversion-table.ts';
export { pocketCards } from './pocket-card.ts';
export { tapeNeighbours, type TapeNeighbour } from './tape-neighbours.ts';
export { valuesBetween, MOST_VALUES } from '../units/values-between.ts';
