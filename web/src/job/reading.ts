import type { JobFields, ReadingWire } from '@sprell/contract';
import { DEFAULT_STYLE, parseRational, type BareUnit, type JigPrograms, type ReadingStyle } from '@sprell/core';
import type { Memory } from '../adapters/local-memory.ts';
import type { Cell, Holder } from './holder.ts';

/** How readings are to differ from what they were; metric steps as exact text, as they are stored. */
export type ReadingChange = Partial<ReadingWire>;

/** A style with some of it changed. */
export function changedStyle(style: ReadingStyle, change: ReadingChange): ReadingStyle {
  const { metricStep, ...rest } = change;
  const step = metricStep === undefined ? undefined : parseRational(metricStep);
  return { ...style, ...rest, ...(step === undefined ? {} : { metricStep: step }) };
}

const withWords = (style: ReadingStyle, names: ReadonlySet<string>, jigs: JigPrograms): ReadingStyle =>
  names.size + jigs.size === 0 ? style : { ...style, names, jigs };

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

/** What the reading needs of the open job. */
interface JobThatReads {
  readonly holder: Holder;
  readonly memory: Memory;
  /** What the job says itself; undefined while none is open. */
  ofJob(): ReadingWire | undefined;
  /** How its figures are written. */
  figures(): Pick<JobFields, 'thousands' | 'decimalComma' | 'currency'> | undefined;
  bareOfJob(): BareUnit | undefined;
  setOfJob(reading: ReadingWire): void;
  /** Marks that are called by a word of the language. */
  words(): ReadonlySet<string>;
  /** Jigs that its entries may use. */
  jigs(): JigPrograms;
}

/** How the open job reads: what it says itself, and before that what was chosen for every job on this device. */
export class JobReading {
  readonly #job: JobThatReads;
  readonly #forAll: Cell<ReadingChange>;
  readonly #bareHere: Cell<BareUnit | undefined>;
  readonly #style: { readonly value: ReadingStyle };

  constructor(job: JobThatReads) {
    this.#job = job;
    this.#forAll = job.holder.cell(job.memory.remembered<ReadingChange>('reading') ?? {});
    this.#bareHere = job.holder.cell(job.memory.remembered<BareUnit>('bare'));
    this.#style = job.holder.derived(() =>
      withWords(
        { ...changedStyle(changedStyle(DEFAULT_STYLE, job.ofJob() ?? {}), this.#forAll.value), ...job.figures() },
        job.words(),
        job.jigs(),
      ),
    );
  }

  /** What a number is that is typed without a unit: as the job says, unless this device says otherwise. */
  get bare(): BareUnit {
    return this.#bareHere.value ?? this.#job.bareOfJob() ?? 'plain';
  }
  /** What this device says of it; undefined where it does as the job says. */
  get bareHere(): BareUnit | undefined {
    return this.#bareHere.value;
  }
  set bareHere(wanted: BareUnit | undefined) {
    this.#bareHere.value = wanted;
    this.#job.memory.remember('bare', wanted);
  }

  get style(): ReadingStyle {
    return this.#style.value;
  }

  /** What was chosen for every job on this device. */
  get forAll(): ReadingChange {
    return this.#forAll.value;
  }

  /** How the lengths of this job read from now on. It goes before what was chosen for every job. */
  set(wanted: ReadingChange): void {
    const reading = this.#job.ofJob();
    if (!reading) return;
    const left = Object.entries(this.#forAll.value).filter(([key]) => !(key in wanted));
    this.#rememberForAll(Object.fromEntries(left));
    this.#job.setOfJob({ ...reading, ...wanted });
  }

  /** How lengths read in every job on this device, whatever the job says. */
  setForAll(wanted: ReadingChange): void {
    this.#rememberForAll({ ...this.#forAll.value, ...wanted });
  }

  #rememberForAll(wanted: ReadingChange): void {
    this.#forAll.value = wanted;
    this.#job.memory.remember('reading', Object.keys(wanted).length === 0 ? undefined : wanted);
  }
}
