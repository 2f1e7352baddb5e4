import type { ReadingWire } from '@sprell/contract';
import { DEFAULT_STYLE, parseRational, type ReadingStyle } from '@sprell/core';
import { computed, shallowRef } from 'vue';
import { remember, remembered } from '../../adapters/local-memory.ts';

/** How readings are to differ from what they were; metric steps as exact text, as they are stored. */
export type ReadingChange = Partial<ReadingWire>;

/** A style with some of it changed. */
export function changedStyle(style: ReadingStyle, change: ReadingChange): ReadingStyle {
  const { metricStep, ...rest } = change;
  const step = metricStep === undefined ? undefined : parseRational(metricStep);
  return { ...style, ...rest, ...(step === undefined ? {} : { metricStep: step }) };
}

/** Where building is done in feet and inches. */
const FEET_AND_INCHES = new Set(['US', 'CA', 'LR', 'MM']);

/** How the first job reads, until somebody says otherwise: as it is measured where this browser is at home. */
export function firstReading(languages: readonly string[] = navigator.languages): ReadingWire {
  const region = languages.map((language) => new Intl.Locale(language).maximize().region).find(Boolean);
  const isMetric = region !== undefined && !FEET_AND_INCHES.has(region);
  return {
    length: isMetric ? 'mm' : 'ft-in',
    finest: 16,
    metricStep: '1',
    rounding: 'nearest',
    fractions: 'lowest',
  };
}

/** How a job reads: what it says itself, and before that what was chosen for good on this device. */
export function useJobReading(ofJob: () => ReadingWire | undefined, tellJob: (reading: ReadingWire) => void) {
  const forGood = shallowRef<ReadingChange>(remembered<ReadingChange>('reading') ?? {});
  const style = computed(() => changedStyle(changedStyle(DEFAULT_STYLE, ofJob() ?? {}), forGood.value));

  /** How the lengths of this job read from now on. It goes before what was chosen for good on this device. */
  function setReading(wanted: ReadingChange): void {
    const reading = ofJob();
    if (!reading) return;
    const left = Object.entries(forGood.value).filter(([key]) => !(key in wanted));
    rememberForGood(Object.fromEntries(left));
    tellJob({ ...reading, ...wanted });
  }

  /** How lengths read in every job on this device, whatever the job says. */
  function setReadingForGood(wanted: ReadingChange): void {
    rememberForGood({ ...forGood.value, ...wanted });
  }

  function rememberForGood(wanted: ReadingChange): void {
    forGood.value = wanted;
    remember('reading', Object.keys(wanted).length === 0 ? undefined : wanted);
  }

  return { style, forGood, setReading, setReadingForGood };
}
