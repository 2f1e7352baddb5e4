import { z } from 'zod';
import { isPlace } from '../position.ts';
import { positionWire } from './position.ts';
import { jobFieldsWire, someJobFieldsWire, titleWire } from './job-fields.ts';
import { readingWire } from './reading.ts';
import { KIND_WIRES } from '../kinds/wires.ts';
import type { KindWire } from '../kinds/kind-wire.ts';
import { todaysForm, type EarlierChange, type ThingChange } from './thing-change.ts';
import { labelWire, lineKindWire, lineWire, noteWire, revisionWire, sourceWire } from './line.ts';

/** Every change and everything made has a client-made id, UUID version 7: it can be made with no signal and sent twice. */
const idWire = z.uuidv7();

/**
 * The state of the line that a change was made on: a revision, or, when that was not known yet, the id of the change of
 * one's own that it follows.
 */
const baseWire = z.union([revisionWire, idWire]);

/** What a line says. All of it is sent: a change replaces, and never depends on what the server holds. */
const lineContent = {
  position: positionWire.refine(isPlace, 'No place on a slate.'),
  source: sourceWire,
  label: labelWire.nullable(),
  note: noteWire,
};

/** One step for things of every kind, each with its own schema. */
function ofEachKind<const Step extends ThingChange['kind'], More extends z.ZodRawShape>(
  step: Step,
  more: (kind: KindWire) => More,
) {
  const forms = KIND_WIRES.map((kind) =>
    z.strictObject({ id: idWire, kind: z.literal(step), of: z.literal(kind.name), thingId: idWire, ...more(kind) }),
  );
  return z.discriminatedUnion('of', forms as [(typeof forms)[number], ...typeof forms]);
}

export const changeWire = z.discriminatedUnion('kind', [
  /** A new line. Its number is provisional: where another device took it first, the answer holds another. */
  z.strictObject({
    id: idWire,
    kind: z.literal('line.add'),
    lineId: idWire,
    number: z.int().min(1).max(2_000_000_000),
    ...lineContent,
  }),
  /** A heading or a note among the lines. */
  z.strictObject({
    id: idWire,
    kind: z.literal('line.words'),
    lineId: idWire,
    words: lineKindWire.exclude(['worked']),
    ...lineContent,
  }),
  /** A line edited, as it was seen at `base`. */
  z.strictObject({ id: idWire, kind: z.literal('line.edit'), lineId: idWire, base: baseWire, ...lineContent }),
  z.strictObject({ id: idWire, kind: z.literal('line.delete'), lineId: idWire, base: baseWire }),
  /** Takes a deletion back. */
  z.strictObject({ id: idWire, kind: z.literal('line.restore'), lineId: idWire, base: baseWire }),
  /** A new thing of a kind. */
  ofEachKind('thing.add', ({ said }) => ({ content: said })),
  /** All that it says, as it was seen at `base`. */
  ofEachKind('thing.edit', ({ said }) => ({ base: baseWire, content: said })),
  /** Some of its fields, with what they said as they were seen. */
  ofEachKind('thing.set', ({ some }) => ({ base: baseWire, fields: some, was: some })),
  ofEachKind('thing.move', () => ({ base: baseWire, position: positionWire.refine(isPlace, 'No place in a list.') })),
  ofEachKind('thing.delete', () => ({ base: baseWire })),
  /** Takes a deletion back. */
  ofEachKind('thing.restore', () => ({ base: baseWire })),
  /** The job itself, as the first change that is made to it. */
  z.strictObject({ id: idWire, kind: z.literal('job.add'), title: titleWire, reading: readingWire }),
  /** How the job reads from now on. It changes no value, so it has no base: the later choice holds. */
  z.strictObject({ id: idWire, kind: z.literal('job.reading'), reading: readingWire }),
  /** Some of what the job says of itself. The later choice holds. */
  z.strictObject({ id: idWire, kind: z.literal('job.set'), fields: someJobFieldsWire }),
]);
export type Change = z.infer<typeof changeWire>;
/**
 * A change that is not one of these: too long, a sign that is no text, from a later Sprell. It is answered by itself, so that
 * those beside it are done. `problem` says where it is not taken: "label: Too big".
 */
export const unfitWire = z.looseObject({ id: idWire }).transform((sent) => {
  const [issue] = changeWire.safeParse(sent).error?.issues ?? [];
  const problem = [issue?.path.join('.'), issue?.message].filter(Boolean).join(': ');
  return { id: sent.id, kind: 'unfit' as const, problem: problem.slice(0, 300) };
});
export type UnfitChange = z.infer<typeof unfitWire>;

/** A change as it is sent by a page that was opened before November 2026 and not loaded again since. It is answered so, too. */
export const earlierWire = z.looseObject({ id: idWire, kind: z.string() }).transform((sent, context) => {
  const { data } = changeWire.safeParse(todaysForm<Change>(sent as EarlierChange));
  if (data !== undefined) return { id: sent.id, kind: 'earlier' as const, change: data };
  context.addIssue('It is in no form that there was.');
  return z.NEVER;
});
/** What a batch is made of. */
export const sentWire = z.union([changeWire, earlierWire, unfitWire]);
export type SentChange = z.infer<typeof sentWire>;

/** A change of one line. */
export type LineChange = Extract<Change, { lineId: string }>;
function resultOfEachKind<const Status extends 'thing' | 'thing.conflict'>(status: Status) {
  const forms = KIND_WIRES.map(({ name, wire }) =>
    z.object({ id: z.uuid(), status: z.literal(status), of: z.literal(name), thing: wire }),
  );
  return z.discriminatedUnion('of', forms as [(typeof forms)[number], ...typeof forms]);
}

/** What became of one change. */
export const changeResultWire = z.discriminatedUnion('status', [
  /** Done, now or when it was sent before. */
  z.object({ id: z.uuid(), status: z.literal('applied'), line: lineWire }),
  /** The job reads so now; by now perhaps another way again. */
  z.object({ id: z.uuid(), status: z.literal('reads'), reading: readingWire, job: jobFieldsWire }),
  /** The same, of a change of what the job says of itself. */
  z.object({ id: z.uuid(), status: z.literal('job'), reading: readingWire, job: jobFieldsWire }),
  /** The line changed since `base`; nothing was done. The line as it is now. */
  z.object({ id: z.uuid(), status: z.literal('conflict'), line: lineWire }),
  /** The thing as it is now: done, or changed since `base`, so that nothing was done. */
  resultOfEachKind('thing'),
  resultOfEachKind('thing.conflict'),
  /** Not possible: nothing was done. An id that is taken, unknown, or of a change sent before with other contents; or unfit. */
  z.object({
    id: z.uuid(),
    status: z.literal('refused'),
    code: z.enum([
      'change.id_reused',
      'change.unfit',
      'job.not_yours',
      'line.id_unusable',
      'line.not_found',
      'thing.not_found',
      'thing.too_many',
    ]),
    /** For one that is unfit: where, in the words of the schema. */
    problem: z.string().optional(),
  }),
]);
export type ChangeResult = z.infer<typeof changeResultWire>;
