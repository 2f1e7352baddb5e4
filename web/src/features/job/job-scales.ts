import {
  exactText,
  parse,
  printEntry,
  readScale,
  reckon,
  referencesOf,
  type DrawingScale,
  type ReadingStyle,
  type ScaleDefinition,
  type ScaleIssue,
  type Scope,
  type Side,
} from '@sprell/core';
import { computed, ref, type Ref } from 'vue';
import { remember, remembered } from '../../adapters/local-memory.ts';
import type { JobThings } from './job-things.ts';
import type { ScaleContent } from './undo-stack.ts';

/** A drawing scale of the job, worked out. */
export interface JobScale {
  readonly id: string;
  /** What the drawing is called, or else the scale itself. */
  readonly title: string;
  /** The scale as it was defined: 1/4″ = 1′. */
  readonly says: string;
  readonly content: ScaleContent;
  /** Undefined for one that does not work out. */
  readonly scale: DrawingScale | undefined;
}

/** What the scales need of the open job. */
export interface JobWithScales {
  readonly style: Readonly<Ref<ReadingStyle>>;
  jobId(): string | undefined;
  scope(): Scope;
  /** The same with every change worked out. */
  freshScope(): Scope;
  readonly things: JobThings;
}

interface InHand {
  readonly scaleId: string;
  /** The side that what is typed lies on. */
  readonly from: Side;
}

/** The drawing scales of the open job, which of them is in hand, and every change to them. */
export function useScales(job: JobWithScales) {
  const inHand = ref<InHand>();

  /** What was in hand in a job that was opened. */
  function showScaleInHand(): void {
    inHand.value = remembered<InHand>(`scale.${job.jobId()}`);
  }

  const scales = computed<readonly JobScale[]>(() =>
    job.things.list('scale').map(({ id, kind, paper, site, name }) => {
      const content = { kind, paper, site, name };
      const read = readScale(content, { style: job.style.value });
      const says = definitionText(content, job.style.value);
      return { id, title: name ?? says, says, content, scale: read.ok ? read.value : undefined };
    }),
  );
  const scaleInHand = computed(() => scales.value.find(({ id, scale }) => id === inHand.value?.scaleId && scale));
  const scaleSide = computed<Side>(() => inHand.value?.from ?? 'paper');

  function keepInHand(now: InHand | undefined): void {
    inHand.value = now;
    remember(`scale.${job.jobId()}`, now);
  }
  /** Takes a scale in hand; undefined puts it away. */
  function takeScale(scaleId: string | undefined): void {
    keepInHand(scaleId === undefined ? undefined : { scaleId, from: scaleSide.value });
  }
  function setScaleSide(from: Side): void {
    if (inHand.value) keepInHand({ ...inHand.value, from });
  }

  /** A definition works out in the job as it is now: what is wrong, or nothing. */
  function scaleIssue(definition: ScaleDefinition): ScaleIssue | undefined {
    const read = readScale(definition, { scope: job.scope(), style: job.style.value });
    return read.ok ? undefined : read.issue;
  }

  /** A side without references: a drawing's scale does not change with the job. */
  function standalone(source: string): string {
    const { lines, marks, runs } = referencesOf(parse(source, job.style.value).entry);
    if (lines.length + marks.length + runs.length === 0) return source.trim();
    const { outcome } = reckon(source, { scope: job.freshScope(), style: job.style.value });
    const exact = outcome?.kind === 'quantity' ? exactText(outcome.quantity, job.style.value)?.plain : undefined;
    return exact ?? source.trim();
  }
  const asKept = ({ kind, paper, site, name }: ScaleContent): ScaleContent => ({
    kind,
    paper: standalone(paper),
    site: standalone(site),
    name: name === null || name.trim() === '' ? null : name.trim(),
  });

  /** Adds a scale and takes it in hand. */
  function addScale(content: ScaleContent): void {
    takeScale(job.things.add('scale', asKept(content)));
  }
  function editScale(scaleId: string, content: ScaleContent): void {
    job.things.edit<'scale'>(scaleId, asKept(content));
  }
  function removeScale(scaleId: string): void {
    job.things.remove(scaleId);
  }

  return {
    scales,
    scaleInHand,
    scaleSide,
    takeScale,
    setScaleSide,
    scaleIssue,
    addScale,
    editScale,
    removeScale,
    showScaleInHand,
  };
}

/** A definition as it was understood: 1/4″ = 1′; 1:20; 11 3/8″ is 12′ 6″. */
export function definitionText({ kind, paper, site }: ScaleDefinition, style: ReadingStyle): string {
  const readBack = (source: string) => {
    const { entry } = parse(source, style);
    return entry === undefined ? source : printEntry(entry, style);
  };
  return `${readBack(paper)}${{ sizes: ' = ', ratio: ':', copy: ' is ' }[kind]}${readBack(site)}`;
}
