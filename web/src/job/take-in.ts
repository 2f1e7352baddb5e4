import { kindNamed, KINDS, mergeOf, positionsBetween, type JobInside, type Merge } from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import { insideOfOpen } from './job-inside.ts';
import type { OpenJob } from './open-job.ts';
import type { Inverse } from './undo-stack.ts';

/** Why another job cannot come into the open one: a sentence; undefined where it can. */
export function whyNotInto(job: OpenJob, theirs: JobInside, merge: Merge): string | undefined {
  if (job.isReader) return 'This job is only to be read here.';
  if (theirs.fields.decimalComma !== job.style.decimalComma)
    return `The one job writes ${theirs.fields.decimalComma ? '2,4' : '2.4'} and the other ${theirs.fields.decimalComma ? '2.4' : '2,4'}, so that its entries would read otherwise here. Open it as a new job.`;
  const full = KINDS.find(({ name, most }) => {
    const added = merge.addedThings.filter(({ kind }) => kind === name).length;
    return added > 0 && job.things.list(name).length + added > most;
  });
  return full && `A job has room for ${full.most} of the ${full.list}, and these would be more. Open it as a new job.`;
}

/** What another job would change in the open one, as that stands now. */
export function mergeInto(job: OpenJob, theirs: JobInside): Merge | undefined {
  const mine = insideOfOpen(job);
  return mine && mergeOf(mine, theirs, job.slate.nextNumber, uuidv7);
}

/**
 * Takes another job into the open one: what is not there comes to the foot, what differs is as the other one says. One step.
 * @returns why not, where it was not done
 */
export function takeIn(job: OpenJob, theirs: JobInside): string | undefined {
  const merge = mergeInto(job, theirs);
  if (merge === undefined) return 'No job is open.';
  const why = whyNotInto(job, theirs, merge);
  if (why !== undefined || job.ground.refusesReader()) return why;
  const { slate, things, undoLog } = job;
  const steps: Inverse[] = [];
  undoLog.see();
  slate.together(() => {
    for (const { kind, id, content } of merge.addedThings) {
      const place = kindNamed(kind).isOrdered === true ? { position: things.placeBefore(kind, undefined) } : {};
      things.addAlong(kind, id, { ...content, ...place });
      // A mark is what its lines make it: it goes from sight with them.
      if (kind !== 'mark') steps.push({ kind: 'thing.delete', thing: kind, thingId: id, says: '' });
    }
    for (const { before, content } of merge.changedThings) {
      const step = things.write(before.id, content);
      if (step) steps.push(step);
    }
    for (const { before, after } of merge.changedLines) {
      const { position, source, label, note } = before;
      slate.write(before, { position, ...after });
      steps.push({ kind: 'write', lineId: before.id, content: { position, source, label, note }, says: '' });
    }
    const last = [...slate.all()].reduce((most, { position }) => (position > most ? position : most), '');
    const positions = positionsBetween(last === '' ? undefined : last, undefined, merge.addedLines.length);
    merge.addedLines.forEach(({ line }, at) => {
      slate.add({ ...line, position: positions[at] as string, revision: 0, deleted: false }, false);
      steps.push({ kind: 'delete', lineId: line.id, says: '' });
    });
  });
  if (steps.length > 0)
    undoLog.push({ kind: 'many', steps: steps.reverse(), says: `Take “${theirs.fields.title}” out of this job again` });
  return undefined;
}
