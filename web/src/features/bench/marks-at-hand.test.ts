import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { defineComponent, nextTick, ref } from 'vue';
import { FakeServer, newDevice } from '../../testing/fake-server.ts';
import { framesByHand } from '../../testing/frames.ts';
import { forDrawing } from '../../ui/drawn.ts';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import { useMarksAtHand } from './marks-at-hand.ts';
import { useReckoning } from './reckoning.ts';
import { useScaleAtHand } from './scale-at-hand.ts';

let server: FakeServer;
beforeEach(() => {
  localStorage.clear();
  server = new FakeServer();
  newDevice();
  vi.stubGlobal('fetch', server.fetch);
  setActivePinia(createPinia());
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** The bench without its picture: an entry, and what can be done with it. No frame is ever drawn here. */
async function aBench() {
  const job = useJob();
  await useJobs().start();
  await vi.waitFor(() => expect(job.head).toBeDefined());
  framesByHand();
  const entry = ref('');
  let parts: ReturnType<typeof useMarksAtHand> & ReturnType<typeof useScaleAtHand>;
  mount(
    defineComponent({
      setup() {
        const reckoning = useReckoning(entry);
        const landed = () => (entry.value = '');
        parts = {
          ...useMarksAtHand(reckoning, { above: () => undefined, landed }),
          ...useScaleAtHand(reckoning, { landed }),
        };
        return () => forDrawing(parts.shownAmount.value)?.reading ?? 'nothing';
      },
    }),
  );
  const entries = () => job.slate.rows.map((row) => (row.kind === 'worked' ? row.entry : ''));
  return { job, entry, entries, at: () => parts };
}

describe('what is touched before anything is drawn', () => {
  it('posts what stands in the entry, and not what is shown still', async () => {
    const { job, entry, entries, at } = await aBench();
    job.lines.land(`kb = 4'`);
    job.marks.takeInHand('kb');
    entry.value = `3/8"`;
    // Not a tick, not a frame: the stick still shows the last result.
    expect(forDrawing(at().shownAmount.value)?.reading).not.toBe('3⁄8″');
    at().post('add');
    entry.value = `1/8"`;
    at().post('subtract');
    expect(entries()).toEqual([`kb = 4'`, `kb += 3/8"`, `kb -= 1/8"`]);
    expect(job.steps.undoSays).toBe('Put 1⁄8″ back on kb');
  });

  it('posts the last result where the entry is empty, and the last posting again', async () => {
    const { job, entries, at } = await aBench();
    job.lines.land(`kb = 4'`);
    job.lines.land(`7"`);
    job.marks.takeInHand('kb');
    at().post('add');
    at().post('add');
    expect(entries().slice(2)).toEqual(['kb += #2', 'kb += #2']);
  });

  it('keeps what stands in the entry under the name that is asked for', async () => {
    const { entry, entries, at } = await aBench();
    entry.value = `sill: 2' 6"`;
    at().keepAs('sill');
    entry.value = `9"`;
    at().keepNew();
    expect(entries()).toEqual([`sill: sill = 2' 6"`, `A = 9"`]);
  });

  it('posts nothing of another kind, says why, and posts the number with its unit at the next touch', async () => {
    const { job, entry, entries, at } = await aBench();
    job.lines.land(`kb = 4'`);
    job.marks.takeInHand('kb');
    entry.value = '3';
    at().post('add');
    expect(entries()).toEqual([`kb = 4'`]);
    expect(at().refusal.value).toMatchObject({ operator: 'add', mark: 'kb', kinds: ['length', 'number'] });
    entry.value = '5';
    at().postAs('"');
    expect(entries()).toEqual([`kb = 4'`, `kb += (5)"`]);
    await nextTick();
    expect(at().refusal.value).toBeUndefined();
  });

  it('posts to the mark that is in hand by then, also where another device changed it meanwhile', async () => {
    const { job, entry, entries, at } = await aBench();
    job.lines.land(`kb = 4'`);
    job.lines.land(`kc = 5'`);
    job.marks.takeInHand('kb');
    entry.value = `1"`;
    job.marks.takeInHand('kc');
    at().post('add');
    expect(entries()[2]).toBe('kc += 1"');
  });

  it('turns what stands in the entry at the scale in hand', async () => {
    const { job, entry, entries, at } = await aBench();
    job.scales.add({ kind: 'sizes', paper: '1/4"', site: `1'`, name: null });
    job.lines.land(`1"`);
    entry.value = `2"`;
    at().landTurned();
    expect(entries().slice(1)).toEqual([`2"`, expect.stringContaining('#2 * 48')]);
  });
});

describe('an entry that is landed before a job is open', () => {
  it('waits for it, and is there then', async () => {
    const [job, jobs] = [useJob(), useJobs()];
    job.lines.land(`5'`);
    job.lines.land('last * 2');
    expect(job.slate.rows).toEqual([]);
    await jobs.start();
    await vi.waitFor(() =>
      expect(job.slate.rows.map((row) => (row.kind === 'worked' ? row.entry : ''))).toEqual([`5'`, '#1 * 2']),
    );
  });
});
