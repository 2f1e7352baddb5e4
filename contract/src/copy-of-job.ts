import { withOtherIds } from '@sprell/core';
import { eachText } from './kinds/each-text.ts';
import { KINDS } from './kinds/registry.ts';
import { NEW_JOB } from './job-fields.ts';
import { contentOf, thingsOf } from './kinds/thing.ts';
import type { Content } from './kinds/kind.ts';
import type { JobWire } from './endpoints/jobs.ts';
import type { Change } from './wire/change.ts';

/**
 * The changes that make a copy of a job: its lines with the numbers that they have, and its things of every kind. What
 * entries in it refer to is the copy's own. A deleted line is copied where an entry still refers to it.
 * @param newId gives an id of version 7, a later one each time
 * @returns the first of them makes the job
 */
export function copyOfJob(job: JobWire, title: string, newId: () => string): readonly Change[] {
  const ids = new Map<string, string>();
  const copied = (id: string): string => {
    const known = ids.get(id) ?? newId();
    ids.set(id, known);
    return known;
  };
  /** Entries hold lines and marks by their ids, in whatever field they stand. */
  const ofTheCopy = (value: unknown) => eachText(value, (text) => withOtherIds(text, copied));

  const ofTheCopyById = (value: unknown) => eachText(value, copied);

  const standingOf = (kind: string) => (thingsOf(job)[kind] ?? []).filter(({ deleted }) => !deleted);
  // In the order in which they stand, whatever names them first: things that have no place are told apart by it.
  for (const { name } of KINDS) for (const thing of standingOf(name)) copied(thing.id);
  const things = KINDS.flatMap(({ name, entries, refers = [] }) =>
    standingOf(name).map((thing): Change => {
      const content: Content = contentOf(thing);
      const held = Object.fromEntries([
        ...entries.map((field) => [field, ofTheCopy(content[field])] as const),
        ...refers.map((field) => [field, ofTheCopyById(content[field])] as const),
      ]);
      return {
        id: newId(),
        kind: 'thing.add',
        of: name,
        thingId: copied(thing.id),
        content: { ...content, ...held },
      };
    }),
  );
  const standing = job.lines
    .filter(({ deleted }) => !deleted)
    .map(({ id, source }) => ({ id, source: ofTheCopy(source) }));
  const sources = new Map(standing.map(({ id, source }) => [id, source as string]));
  const lines = job.lines
    .filter(({ id, deleted }) => !deleted || ids.has(id))
    .flatMap((line): readonly Change[] => {
      const { kind, number, position, label, note, deleted } = line;
      const lineId = copied(line.id);
      const said = { lineId, position, source: sources.get(line.id) ?? String(ofTheCopy(line.source)), label, note };
      const add: Change =
        kind === 'worked'
          ? { id: newId(), kind: 'line.add', number: number ?? 1, ...said }
          : { id: newId(), kind: 'line.words', words: kind, ...said };
      return deleted ? [add, { id: newId(), kind: 'line.delete', lineId, base: add.id }] : [add];
    });
  // Marks come before the lines that name them.
  const { tags, thousands, decimalComma, currency, bareNumbers, moneyRounded, holds } = job;
  const said = { tags, thousands, decimalComma, currency, bareNumbers, moneyRounded, holds };
  const isUsual = Object.entries(said).every(
    ([name, value]) => JSON.stringify(value) === JSON.stringify(NEW_JOB[name as keyof typeof NEW_JOB]),
  );
  return [
    { id: newId(), kind: 'job.add', title, reading: job.reading },
    ...(isUsual ? [] : [{ id: newId(), kind: 'job.set' as const, fields: said }]),
    ...things,
    ...lines,
  ];
}
