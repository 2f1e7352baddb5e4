import type { ReadingForm } from '@sprell/core';

/** A unit that what is poured can be read in. */
export interface VolumeUnit {
  /** Its words behind `to` in an entry, which also identify it in what is kept. */
  readonly words: string;
  readonly title: string;
  readonly form: ReadingForm;
}

const unit = (words: string, title: string, of: string, power: number): VolumeUnit => ({
  words,
  title,
  form: { units: [{ unit: of, power }] },
});

export const VOLUME_UNITS: readonly VolumeUnit[] = [
  unit('cu ft', 'cubic feet', 'ft', 3),
  unit('cu yd', 'cubic yards', 'yd', 3),
  unit('m3', 'cubic metres', 'm', 3),
  unit('l', 'litres', 'l', 1),
  unit('gal', 'gallons', 'gal', 1),
];

/** Where the unit that was chosen stands among what is given: no field of any shape. */
export const VOLUMES_IN = 'volumesIn';
