import { flushPromises, mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { createMemoryHistory, createRouter } from 'vue-router';
import { driftOf, DEFAULT_STYLE, runningMarks, SOLVERS, solve, type Answer, type Figure } from '@sprell/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FakeServer, newDevice } from '../../testing/fake-server.ts';
import { useJob, useJobs } from '../../live/use-jobs.ts';
import { MarkStories } from '../../job/mark-story.ts';
import { driftWords } from './drift-words.ts';
import { layOut, reachOf, wordsWithRoom } from '../../parts/figure/figure-layout.ts';
import { figureSheet } from '../../parts/figure/figure-sheet.ts';
import { PICTURES } from './samples.ts';
import PickList from '../../ui/PickList.vue';
import SettingOutView from './SettingOutView.vue';
import { wantedWords } from './wanted-words.ts';

const squeezed = (text: string) => text.replace(/\s+/g, ' ').trim();

describe('a figure laid out', () => {
  const triangle = PICTURES['right-triangle'] as Figure;

  it('is to scale, upright, and keeps clear of the edges', () => {
    const { lines } = layOut(triangle, 800, 500);
    const [rise, run] = ['rise', 'run'].map(
      (field) => lines.find((line) => line.field === field && line.look === 'body')?.d,
    );
    const ends = (d = '') => [...d.matchAll(/[-\d.]+ [-\d.]+/g)].map(([pair]) => pair.split(' ').map(Number));
    const long = (d?: string) => {
      const [[x1 = 0, y1 = 0] = [], [x2 = 0, y2 = 0] = []] = ends(d);
      return Math.hypot(x2 - x1, y2 - y1);
    };
    expect(long(run) / long(rise)).toBeCloseTo(9 / 6, 2);
    const [[, foot = 0] = [], [, head = 0] = []] = ends(rise);
    expect(head).toBeLessThan(foot);
    for (const { d, look } of lines)
      if (look === 'body')
        for (const [x = 0, y = 0] of ends(d)) {
          expect(x).toBeGreaterThan(70);
          expect(x).toBeLessThan(730);
          expect(y).toBeGreaterThan(70);
          expect(y).toBeLessThan(430);
        }
  });

  it('has words for every size and angle, none where it is only a picture, and grows about its middle', () => {
    const { words } = layOut(triangle, 800, 500);
    expect(words.map(({ field }) => field)).toEqual(['run', 'rise', 'diagonal', 'foot', 'head']);
    expect(layOut(triangle, 92, 52, { bare: true }).words).toEqual([]);
    const closer = layOut(triangle, 800, 500, { look: { zoom: 2, dx: 10, dy: 0 } });
    expect(closer.lines[0]?.d).not.toBe(layOut(triangle, 800, 500).lines[0]?.d);
  });

  it('can be moved and drawn smaller, so that its words stay in the picture', () => {
    const longOf = () => 14 * 9;
    const reach = (ways: Parameters<typeof layOut>[3]) => reachOf(layOut(triangle, 500, 400, ways), longOf);
    const [left, right] = reach({});
    expect(right).toBeGreaterThan(500);
    const [movedLeft, movedRight] = reach({ aside: 20, look: { zoom: 1, dx: (500 - left - right) / 2, dy: 0 } });
    expect(movedLeft).toBeGreaterThanOrEqual(0);
    expect(movedRight).toBeLessThanOrEqual(500);
  });

  it('is there for every shape that can be chosen', () => {
    for (const { id } of SOLVERS) expect(PICTURES[id]?.parts.length, id).toBeGreaterThan(2);
    for (const none of ['constructor', 'toString', '__proto__']) expect(PICTURES[none], none).toBeUndefined();
  });
});

describe('words', () => {
  it('say what is still missing', () => {
    const title = (id: string) => id.toUpperCase();
    expect(wantedWords([], title)).toBeUndefined();
    expect(wantedWords([['a'], ['b'], ['c']], title)).toBe('Enter one more: A, B or C.');
    expect(
      wantedWords(
        [
          ['a', 'b'],
          ['a', 'c'],
        ],
        title,
      ),
    ).toBe('Enter two more of: A, B, C.');
  });

  it('say what stepping off comes to', () => {
    const solver = SOLVERS.find(({ id }) => id === 'spacing-gaps') as (typeof SOLVERS)[number];
    const words = (count: string, finest: number) => {
      const style = { ...DEFAULT_STYLE, finest };
      const [answer] = solve(solver, [
        ['length', '100"'],
        ['width', '2"'],
        ['count', count],
      ]).answers;
      return driftWords(driftOf(runningMarks(answer as Answer, 'gaps', 'near', style), style), style);
    };
    expect(words('9', 8)).toBe(
      'Measure from one end: stepped off to 1⁄8″, the ninth member stands 1⁄2″ past its place.',
    );
    expect(words('22', 8)).toContain('the 22nd member stands');
    expect(words('6', 2)).toContain('short of its place');
    expect(words('1', 8)).toContain('in the same places');
  });
});

describe('the screen', () => {
  let server: FakeServer;
  beforeEach(() => {
    localStorage.clear();
    server = new FakeServer();
    newDevice();
    vi.stubGlobal('fetch', server.fetch);
    setActivePinia(createPinia());
  });
  afterEach(async () => {
    // What is on its way still goes to this test's server, and not to the next one's.
    const jobs = useJobs();
    const job = useJob();
    await vi.waitFor(() => expect(job.head === undefined || jobs.keepState.kind === 'kept').toBe(true));
    vi.unstubAllGlobals();
  });

  async function open(shape: string) {
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [{ path: '/:rest(.*)*', component: { template: '<i />' } }],
    });
    const view = mount(SettingOutView, { props: { shape }, global: { plugins: [router] }, attachTo: document.body });
    await vi.waitFor(() => expect(useJob().head).toBeDefined());
    await flushPromises();
    const row = (field: string) => view.get(`[data-field=${field}]`);
    const found = (field: string) => view.get(`[data-answer=${field}]`);
    return {
      view,
      row,
      found,
      type: (field: string, entry: string) => row(field).get('input').setValue(entry),
      reading: (field: string) => {
        const answer = view.find(`[data-answer=${field}] .reading`);
        return squeezed((answer.exists() ? answer : view.get(`[data-field=${field}] .says`)).text());
      },
    };
  }

  it('solves as sizes are written, says what is missing, and puts results on the slate alive', async () => {
    const { view, found, type, reading } = await open('right-triangle');
    const job = useJob();
    job.lines.land(`12'`);
    await type('rise', `9'`);
    expect(view.get('[data-test=wanted]').text()).toBe('Enter one more: Run, Diagonal or Slope or angle.');
    await type('run', '#1');
    expect(['diagonal', 'pitch', 'foot', 'area'].map(reading)).toEqual(['15′', '9:12', '≈ 36.87°', '54 sq ft']);
    await found('diagonal').get('[data-test=to-slate]').trigger('click');
    await found('pitch').get('[data-test=to-slate]').trigger('click');
    await found('diagonal').get('[data-test=to-stick]').trigger('click');
    expect(job.slate.rows.slice(1).map((one) => one.kind === 'worked' && one.entry)).toEqual([
      `diagonal: hyp(9'; #1)`,
      `slope or angle: atan(9' / #1) to slope`,
      `diagonal = hyp(9'; #1)`,
    ]);
    job.lines.edit(job.slate.rows[0]?.line.id as string, `40'`);
    await flushPromises();
    expect(job.marks.list[0]?.reading).toBe('41′');
    expect(reading('diagonal')).toBe('41′');
    view.unmount();
  });

  it('names what contradicts and takes it out, and keeps what was written for each shape', async () => {
    const { view, type, reading } = await open('right-triangle');
    for (const [field, entry] of [
      ['rise', `9'`],
      ['run', `12'`],
      ['diagonal', `16'`],
    ] as const)
      await type(field, entry);
    expect(squeezed(view.get('.problem').text())).toContain('Diagonal comes out at 15′ from the rest.');
    await view.get('[data-test=take-out]').trigger('click');
    expect(reading('diagonal')).toBe('15′');
    await view.setProps({ shape: 'arc' });
    await type('chord', `8'`);
    await type('radius', `3'`);
    expect(view.get('.problem').text()).toBe('The chord is longer than the circle is wide; give a larger radius.');
    await type('radius', `5'`);
    expect(reading('rise')).toBe('2′');
    await view.findAll('.answers input')[1]?.setValue();
    expect(reading('rise')).toBe('8′');
    await view.setProps({ shape: 'right-triangle' });
    expect(reading('diagonal')).toBe('15′');
    await view.get('[data-test=clear]').trigger('click');
    expect(reading('diagonal')).toBe('');
    view.unmount();
  });

  it('writes a mark or a line into the field in hand, and mends a plain number', async () => {
    const { view, row, type, reading } = await open('circle');
    const job = useJob();
    job.lines.land(`post = 4'`);
    await flushPromises();
    await row('radius').get('input').trigger('focus');
    await view.get('.mark').trigger('click');
    expect(reading('diameter')).toBe('8′');
    await view.get('[data-test=clear]').trigger('click');
    await type('diameter', '3');
    expect(row('diameter').text()).toContain('Diameter is a length, and this is a plain number.');
    await row('diameter').get('.issue button').trigger('click');
    expect(reading('radius')).toBe('1 1⁄2″');
    view.unmount();
  });

  const button = (view: Awaited<ReturnType<typeof open>>['view'], name: string) => view.get(`[data-test=${name}]`);

  it('keeps what stands in the fields under a name, opens it again, and keeps changes or both', async () => {
    const { view, type, reading } = await open('right-triangle');
    const job = useJob();
    job.lines.land(`rail = 12'`);
    await type('rise', `9'`);
    await type('run', 'rail');
    await button(view, 'set-out-name').setValue('Gable');
    await view.get('form.keep').trigger('submit');
    expect(job.setOuts.list).toMatchObject([{ name: 'Gable', shape: 'right-triangle' }]);
    await type('rise', `5'`);
    expect(reading('diagonal')).toBe('13′');
    await button(view, 'keep-another').trigger('click');
    expect(job.setOuts.list.map(({ givens }) => Object.fromEntries(givens)['rise'])).toEqual([`9'`, `5'`]);
    await button(view, 'set-out-name').setValue('Gable, south');
    await view.get('form.keep').trigger('submit');
    await view.get('[data-kept=Gable]').trigger('click');
    expect(reading('diagonal')).toBe('15′');
    await button(view, 'go-back').trigger('click');
    expect(reading('diagonal')).toBe('13′');
    // What it is worked out from goes on.
    job.lines.edit(job.slate.rows[0]?.line.id as string, `rail = 1'`);
    await view.get('[data-kept=Gable]').trigger('click');
    expect(reading('run')).toBe('1′');
    await button(view, 'remove-set-out').trigger('click');
    expect(job.setOuts.list.map(({ name }) => name)).toEqual(['Gable, south']);
    job.steps.undo();
    expect(job.setOuts.list.map(({ name }) => name)).toEqual(['Gable', 'Gable, south']);
    job.steps.undo();
    expect(job.slate.rows[0]).toMatchObject({ entry: `rail = 12'` });
    view.unmount();
  });

  it('keeps which of two answers was looked at, and follows a mark to its new name', async () => {
    const { view, type, reading } = await open('arc');
    const job = useJob();
    job.lines.land(`span = 8'`);
    await type('chord', 'span');
    await type('radius', `5'`);
    await view.findAll('.answers input')[1]?.setValue();
    await button(view, 'set-out-name').setValue('Moon gate');
    await view.get('form.keep').trigger('submit');
    new MarkStories(job).rename('span', 'gate');
    expect(job.setOuts.list[0]).toMatchObject({
      answer: 'the large arc',
      givens: [
        ['chord', 'gate'],
        ['radius', `5'`],
      ],
    });
    await button(view, 'clear').trigger('click');
    await view.get('[data-kept="Moon gate"]').trigger('click');
    expect(reading('rise')).toBe('8′');
    job.steps.undo();
    expect(job.setOuts.list[0]?.givens[0]).toEqual(['chord', 'span']);
    view.unmount();
  });

  it('is named among what uses a line or a mark that is to go, and keeps its value where that is wanted', async () => {
    const { view, type, reading } = await open('right-triangle');
    const job = useJob();
    job.lines.land(`3'`);
    job.lines.land(`wide = 4'`);
    await type('rise', '#1');
    await type('run', '2 * wide / 2');
    await button(view, 'set-out-name').setValue('Gable');
    await view.get('form.keep').trigger('submit');
    const [line, mark] = job.slate.rows.map((row) => row.line.id) as [string, string];
    expect(job.lines.usersOf(line)).toBe('#1 is used by the setting-out Gable.');
    expect(job.lines.usersOf(mark)).toBe('#2 is used by the setting-out Gable.');
    expect(new MarkStories(job).of('wide')?.usedBy).toEqual(['the setting-out Gable']);
    job.lines.removeKeepingValue(line);
    expect(job.setOuts.list[0]?.givens).toEqual([
      ['rise', `(36")`],
      ['run', '2 * wide / 2'],
    ]);
    await flushPromises();
    new MarkStories(job).removeMarks(['wide'], true);
    expect(job.setOuts.list[0]?.givens[1]).toEqual(['run', `2 * (48") / 2`]);
    await flushPromises();
    expect(reading('diagonal')).toBe('5′');
    job.steps.undo();
    job.steps.undo();
    expect(job.setOuts.list[0]?.givens).toEqual([
      ['rise', '#1'],
      ['run', '2 * wide / 2'],
    ]);
    view.unmount();
  });

  it('stores lines by their ids, and is there again on another device', async () => {
    const { view, type } = await open('circle');
    const job = useJob();
    job.lines.land(`4'`);
    await type('radius', '#1 / 2');
    await button(view, 'set-out-name').setValue('Lamp base');
    await view.get('form.keep').trigger('submit');
    await vi.waitFor(() => {
      expect(server.things.size).toBe(1);
    });
    const [kept] = [...server.things.values()];
    expect(kept).toMatchObject({
      kind: 'setout',
      thing: { fields: ['radius'], entries: [`#{${job.slate.rows[0]?.line.id}} / 2`] },
    });
    view.unmount();
    newDevice();
    setActivePinia(createPinia());
    const again = await open('circle');
    await again.view.get('[data-kept="Lamp base"]').trigger('click');
    expect(again.reading('radius')).toBe('2′');
    again.view.unmount();
  });

  it('says within which limits it keeps, the true size of what is rounded, and volumes in the unit that is chosen', async () => {
    const steps = await open('steps');
    await steps.type('total', `9'`);
    await steps.type('going', '10"');
    expect(steps.view.get('[data-test=keeps]').text()).toBe('Within your limits.');
    await steps.found('line').trigger('click');
    expect(squeezed(steps.found('line').get('[data-test=true-size]').text())).toMatch(/^(full|shy) by /);
    steps.view.unmount();
    const slab = await open('slab');
    const job = useJob();
    for (const [field, entry] of [
      ['length', `18'`],
      ['width', `9'`],
      ['depth', '6"'],
    ] as const)
      await slab.type(field, entry);
    expect(slab.reading('volume')).toBe('81 cu ft');
    // A share reads as it is written: no 0.05, no 0.333333.
    await slab.type('waste', '1/3');
    expect([slab.reading('waste'), slab.reading('order')]).toEqual(['33.33%', '108 cu ft']);
    await slab.view.getComponent(PickList).setValue('cu yd');
    expect(slab.reading('volume')).toBe('3 cu yd');
    await slab.found('volume').get('[data-test=to-slate]').trigger('click');
    expect(job.slate.rows.at(-1)).toMatchObject({ entry: `volume: 18' * 9' * 6" * 1 to cu yd` });
    slab.view.unmount();
  });

  it('lists the jacks of a roof as they are cut', async () => {
    const { view, type } = await open('jacks');
    for (const [field, entry] of [
      ['run', `6'`],
      ['pitch', '9:12'],
      ['centres', `2'`],
    ] as const)
      await type(field, entry);
    const jacks = view
      .findAll('[data-test=jacks] li')
      .map((one) => ['.along', '.size'].map((part) => squeezed(one.get(part).text())));
    expect(jacks).toEqual([
      ['2′', '2′ 6″'],
      ['4′', '5′'],
    ]);
    view.unmount();
  });
});

describe('words on a figure', () => {
  const at = (field: string, x: number, y: number, anchor: 'start' | 'middle' | 'end' = 'middle') => ({
    field,
    x,
    y,
    anchor,
    text: undefined,
  });
  const shown = (words: readonly ReturnType<typeof at>[], first?: string) =>
    wordsWithRoom(words, ({ field }) => (field === 'none' ? undefined : '12′ 4″'), 20, first).map(({ field }) => field);

  it('are left out where they would lie over one another, those of the field in hand last', () => {
    const words = [at('a', 100, 50), at('b', 120, 55), at('c', 300, 50), at('none', 500, 50)];
    expect(shown(words)).toEqual(['a', 'c']);
    expect(shown(words, 'b')).toEqual(['b', 'c']);
    // Sixty pixels long: end to end there is room, and a line further down as well.
    expect(shown([at('a', 100, 50, 'end'), at('b', 100, 50, 'start'), at('c', 100, 72)])).toEqual(['a', 'b', 'c']);
  });
});

describe('a figure on paper', () => {
  it('is drawn by a common scale, with its sizes, within the edges of the sheet', () => {
    const { shapes, width, height } = figureSheet(PICTURES['right-triangle'] as Figure, {
      sheet: 'a4',
      metric: true,
      title: 'Shed: gable',
      readings: { rise: '6′', run: '9′' },
      sizes: [
        ['Rise', '6′'],
        ['Run', '9′'],
      ],
    });
    const text = shapes.flatMap((shape) => (shape.kind === 'text' ? [shape.text] : []));
    expect(text).toEqual(expect.arrayContaining(['Shed: gable', 'Scale 1:20.', '6′', '9′', 'Rise', 'Run']));
    const lines = shapes.flatMap((shape) => (shape.kind === 'line' && shape.weight === 'heavy' ? [shape] : []));
    const long = lines.map(({ x1, y1, x2, y2 }) => Math.hypot(x2 - x1, y2 - y1));
    // 9′ are 2743.2 mm, and 6′ 1828.8.
    expect(long).toContainEqual(expect.closeTo(2743.2 / 20, 6));
    expect(long).toContainEqual(expect.closeTo(1828.8 / 20, 6));
    for (const { x1, y1 } of lines) {
      expect(x1).toBeGreaterThan(10);
      expect(x1).toBeLessThan(width - 10);
      expect(y1).toBeGreaterThan(10);
      expect(y1).toBeLessThan(height - 10);
    }
  });
});
