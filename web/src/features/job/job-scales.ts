import type { ScaleChange, ScaleWire } from '@sprell/contract';
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
import { v7 as uuidv7 } from 'uuid';
import { computed, ref, shallowRef, type Ref } from 'vue';
import { remember, remembered } from '../../adapters/local-memory.ts';
import type { Inverse, ScaleContent } from './undo-stack.ts';

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
  baseOf(scale: ScaleWire): number | string;
  /** @param scale what the change leaves behind */
  send(change: ScaleChange, scale: ScaleWire): void;
  pushUndo(step: Inverse): void;
}

interface InHand {
  readonly scaleId: string;
  /** The side that what is typed lies on. */
  readonly from: Side;
}

/** The drawing scales of the open job, which of them is in hand, and every change to them. */
export function useScales(job: JobWithScales) {
  const held = shallowRef<readonly ScaleWire[]>([]);
  const inHand = ref<InHand>();

  /** Shows the scales of a job that was opened. */
  function showScales(loaded: readonly ScaleWire[]): void {
    held.value = loaded;
    inHand.value = remembered<InHand>(`scale.${job.jobId()}`);
  }

  const scales = computed<readonly JobScale[]>(() =>
    held.value
      .filter(({ deleted }) => !deleted)
      .map(({ id, kind, paper, site, name }) => {
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
    const { outcome } = reckon(source, { scope: job.scope(), style: job.style.value });
    const exact = outcome?.kind === 'quantity' ? exactText(outcome.quantity, job.style.value)?.plain : undefined;
    return exact ?? source.trim();
  }
  const asKept = ({ kind, paper, site, name }: ScaleContent): ScaleContent => ({
    kind,
    paper: standalone(paper),
    site: standalone(site),
    name: name === null || name.trim() === '' ? null : name.trim(),
  });

  function put(scale: ScaleWire): void {
    const others = held.value.filter(({ id }) => id !== scale.id);
    held.value = [...others, scale].sort((a, b) => (a.id < b.id ? -1 : 1));
  }

  /** Adds a scale and takes it in hand. */
  function addScale(content: ScaleContent): void {
    const scale = { id: uuidv7(), ...asKept(content), revision: 0, deleted: false };
    put(scale);
    job.send({ id: uuidv7(), kind: 'scale.add', scaleId: scale.id, scale: asKept(content) }, scale);
    job.pushUndo({ kind: 'scale.delete', scaleId: scale.id, says: `Take the scale ${titleOf(scale)} off again` });
    takeScale(scale.id);
  }

  function editScale(scaleId: string, content: ScaleContent): void {
    const scale = held.value.find(({ id }) => id === scaleId);
    if (!scale) return;
    const { kind, paper, site, name } = scale;
    const says = `Put the scale back to ${titleOf(scale)}`;
    job.pushUndo({ kind: 'scale.write', scaleId, content: { kind, paper, site, name }, says });
    writeScale(scale, asKept(content));
  }

  function removeScale(scaleId: string): void {
    const scale = held.value.find(({ id }) => id === scaleId);
    if (!scale) return;
    job.pushUndo({ kind: 'scale.restore', scaleId, says: `Bring the scale ${titleOf(scale)} back` });
    setScaleDeleted(scale, true);
  }

  function writeScale(scale: ScaleWire, content: ScaleContent): void {
    const base = job.baseOf(scale);
    const written = { ...scale, ...content };
    put(written);
    job.send({ id: uuidv7(), kind: 'scale.edit', scaleId: scale.id, base, scale: content }, written);
  }
  function setScaleDeleted(scale: ScaleWire, deleted: boolean): void {
    const base = job.baseOf(scale);
    put({ ...scale, deleted });
    const kind = deleted ? 'scale.delete' : 'scale.restore';
    job.send({ id: uuidv7(), kind, scaleId: scale.id, base }, { ...scale, deleted });
  }

  const titleOf = (scale: ScaleWire) => scale.name ?? definitionText(scale, job.style.value);

  /**
   * @param isChanged somebody else changed the scale since: it is left so, and what it would have been stands beside it
   * @returns the title of a scale that was left so
   */
  function takeScaleBack(step: Extract<Inverse, { scaleId: string }>, isChanged: boolean): string | undefined {
    const scale = scaleOf(step.scaleId);
    if (!scale) return undefined;
    if (step.kind === 'scale.restore' || !isChanged) {
      if (step.kind === 'scale.write') writeScale(scale, step.content);
      else setScaleDeleted(scale, step.kind === 'scale.delete');
      return undefined;
    }
    if (step.kind === 'scale.write') addScale(step.content);
    return titleOf(scale);
  }

  function saidNow(id: string): string | undefined {
    const scale = scaleOf(id);
    return scale && JSON.stringify([scale.deleted, scale.kind, scale.paper, scale.site, scale.name]);
  }

  const scaleOf = (scaleId: string) => held.value.find(({ id }) => id === scaleId);

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
    inner: { showScales, put, scaleOf, saidNow, takeScaleBack, titleOf },
  };
}

/** Two versions of a scale both stand in the list. */
export const changedElsewhere = (title: string) =>
  `The scale ${title} was changed elsewhere too. It stands as it is there; what you wrote of it stands beside it.`;

/** A definition as it was understood: 1/4″ = 1′; 1:20; 11 3/8″ is 12′ 6″. */
export function definitionText({ kind, paper, site }: ScaleDefinition, style: ReadingStyle): string {
  const readBack = (source: string) => {
    const { entry } = parse(source, style);
    return entry === undefined ? source : printEntry(entry, style);
  };
  return `${readBack(paper)}${{ sizes: ' = ', ratio: ':', copy: ' is ' }[kind]}${readBack(site)}`;
}
