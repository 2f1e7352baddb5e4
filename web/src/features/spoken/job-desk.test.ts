import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope } from 'vue';
import { Conversation } from '@sprell/core/conversation';
import { deviceHere } from '../../adapters/device.ts';
import { Jobs } from '../../job/jobs.ts';
import { namesOf, useSaidFields } from '../../live/said-fields.ts';
import { FakeServer } from '../../testing/fake-server.ts';
import { JobDesk } from './job-desk.ts';

let server: FakeServer;
beforeAll(() => import('../../adapters/job-server.ts'));
beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  server = new FakeServer();
  vi.stubGlobal('fetch', server.fetch);
});
afterEach(async () => {
  // What is on its way still goes to this test's server.
  await vi.advanceTimersByTimeAsync(100);
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

async function begin() {
  const jobs = new Jobs(deviceHere());
  await jobs.start();
  const job = jobs.open;
  job.lines.clear();
  const desk = new JobDesk(job);
  const conversation = new Conversation(desk);
  const hear = (text: string) => conversation.hear([{ text }]).says;
  const slate = () => job.slate.rows.map(({ line }) => [line.label, line.source, line.note]);
  return { job, desk, conversation, hear, slate };
}

describe('a conversation about the open job', () => {
  it('lands lines, makes marks, and goes on from the last result', async () => {
    const { job, hear } = await begin();
    hear('nine foot seven and a quarter');
    hear('plus two foot');
    hear('store that as header');
    hear('header times two');
    hear('enter');
    const [first, ...others] = job.slate.rows.map((row) => (row.kind === 'worked' ? row.entry : ''));
    expect(first).toBe(`9' 7 1/4"`);
    expect(others.map((entry) => entry.replace(/#\d+/u, '#n'))).toEqual([`#n + 2'`, 'header = #n', 'header × 2']);
    expect(job.marks.list.some(({ name }) => name === 'header')).toBe(true);
  });

  it('a correction of a line that has landed keeps its place and what it went on from', async () => {
    const { desk, hear } = await begin();
    hear('ten foot');
    hear('plus two foot');
    hear('enter');
    const [before, landed] = desk.lastLines(2);
    hear('no, three foot');
    expect(hear('yes')).toBe(`Line ${landed?.number}.`);
    expect(desk.lastLines(5).map(({ number, answer }) => [number, answer.reading])).toEqual([
      [before?.number, '10′'],
      [landed?.number, '13′'],
    ]);
  });

  it('labels, notes, headings, changes and deletions are steps of the job', async () => {
    const { job, desk, hear, slate } = await begin();
    hear('heading North wall');
    hear('ten foot');
    hear('label that top rail');
    hear('note on that check it');
    expect(slate()).toEqual([
      ['North wall', '', ''],
      ['top rail', `10'`, 'check it'],
    ]);
    const [line] = desk.lastLines(1);
    hear(`change line ${line?.number} to eight foot two`);
    hear('enter');
    expect(slate()[1]).toEqual(['top rail', `8' 2"`, 'check it']);
    hear('undo');
    expect(slate()[1]).toEqual(['top rail', `10'`, 'check it']);
    expect(hear('delete that')).toContain('is deleted; say undo');
    expect(job.slate.rows).toHaveLength(1);
    hear('undo');
    expect(hear('clear the slate')).toBe('Clear 2 lines: are you sure?');
    hear('yes');
    expect(job.slate.rows).toHaveLength(0);
    hear('undo');
    expect(job.slate.rows).toHaveLength(2);
  });

  it('says so where there is no such line', async () => {
    const { hear } = await begin();
    hear('ten foot');
    expect(hear('change line nine hundred to two foot')).toBe('There is no line 900.');
    expect(hear('read line nine hundred')).toBe('There is no line 900.');
  });

  it('fills fields of the room by their names, and puts nothing on the slate', async () => {
    const { job, hear } = await begin();
    const given = new Map<string, string>();
    const scope = effectScope();
    scope.run(() => {
      useSaidFields(() => ({
        fields: [
          {
            id: 'run',
            names: namesOf('Run', 'Run, plate to middle of ridge'),
            put: (entry) => given.set('run', entry),
          },
          { id: 'risers', names: namesOf('Risers'), isPlain: true, put: (entry) => given.set('risers', entry) },
        ],
      }));
    });
    expect(hear('run fourteen foot eight')).toBe('run: 14′ 8″');
    expect(hear('no, nine')).toBe('run: 14′ 9″');
    expect(hear('set the risers to thirteen')).toBe('risers: 13');
    expect(hear('enter')).toBe('risers is set.');
    expect([...given]).toEqual([
      ['run', `14' 9"`],
      ['risers', '13'],
    ]);
    expect(job.slate.rows).toHaveLength(0);
    scope.stop();
    expect(hear('run fourteen foot eight')).not.toContain('run:');
  });
});
