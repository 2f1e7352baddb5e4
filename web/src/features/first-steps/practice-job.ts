import { firstReading, type Jobs } from '../../job/index.ts';

/** A job to practise on; those of before are gone. @param units `metres` or `feet`, or else what this browser's country measures in */
export async function makePractice(jobs: Jobs, units?: string): Promise<void> {
  const before = jobs.current.map(({ id }) => id);
  const usual = firstReading();
  const length = units === undefined ? usual.length : units === 'metres' ? 'mm' : 'ft-in';
  await jobs.make({
    title: 'First steps',
    reading: { ...usual, length },
    fields: { bareNumbers: length === 'mm' ? 'mm' : 'plain' },
  });
  for (const id of before) await jobs.set(id, { deleted: true });
}
