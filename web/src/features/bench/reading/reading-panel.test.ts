import { flushPromises, mount, type VueWrapper } from '@vue/test-utils';
import { DEFAULT_STYLE, EMPTY_SCOPE, parse, reckon, wholeTimes, type Reckoned, type ReadingStyle } from '@sprell/core';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { shallowRef } from 'vue';
import { useComfort } from '../../../live/comfort.store.ts';
import ReadingPanel from './ReadingPanel.vue';

const copied: string[] = [];
vi.mock(import('@vueuse/core'), async (importOriginal) => ({
  ...(await importOriginal()),
  useClipboard: (() => ({ copy: (text: string) => Promise.resolve(void copied.push(text)) })) as never,
}));

const METRIC: ReadingStyle = { ...DEFAULT_STYLE, length: 'mm' };
const squeezed = (text: string) => text.replace(/\s+/g, ' ').trim();

async function aReading(
  entry: string,
  {
    style = DEFAULT_STYLE,
    resting,
    ...more
  }: { style?: ReadingStyle; resting?: Reckoned; [more: string]: unknown } = {},
) {
  const inHand = shallowRef(entry === '' ? undefined : reckon(entry, { style }));
  const { entry: tree } = parse(entry);
  const panel: VueWrapper<InstanceType<typeof ReadingPanel>> = mount(ReadingPanel, {
    props: {
      inHand: () => inHand.value,
      resting: () => resting,
      line: '#3',
      change: {},
      style,
      whole: () => tree && wholeTimes(tree, EMPTY_SCOPE),
      ...more,
    },
  });
  // The other units are drawn later.
  await flushPromises();
  const write = async (text: string) => {
    inHand.value = text === '' ? undefined : reckon(text);
    await panel.vm.$nextTick();
  };
  return Object.assign(panel, { write });
}

beforeAll(() => import('./AlsoReads.vue'));
beforeEach(() => setActivePinia(createPinia()));
afterEach(() => {
  vi.useRealTimers();
  vi.restoreAllMocks();
});

describe('the reading', () => {
  it('says that more sizes are multiplied than a volume has', async () => {
    const panel = await aReading(`5' * 3' * 2' * 1'`);
    expect(panel.get('[data-test=too-many]').text()).toContain('4 sizes are multiplied');
    expect((await aReading(`5' * 3' * 2'`)).find('[data-test=too-many]').exists()).toBe(false);
    expect((await aReading(`6 lb`)).find('[data-test=too-many]').exists()).toBe(false);
  });

  it('stands large over its cost, its exact form and every other way it reads', async () => {
    const panel = await aReading(`(12' 3 5/8" - 2 * 3 1/2") / 7`);
    expect(panel.get('[data-test=reading]').text()).toBe('1′ 8 1⁄16″');
    expect(panel.get('[data-test=cost]').text()).toBe('full by 0.027″ (0.7 mm)');
    expect(panel.get('[data-test=exact]').text()).toBe('20 5⁄56″');
    expect(panel.findAll('[data-test=also]').map((other) => squeezed(other.text()))).toEqual([
      '510 mm',
      '20 1⁄16″',
      '0.51 m',
      '1.6741 ft',
      '51 cm',
      '0.558 yd',
      '20.089 in',
    ]);
  });

  it.each([
    [`9' 7"`, 'exact'],
    ['5 + 6', 'exact'],
    [`12' * 10'`, 'exact'],
    ['1 / 3', 'rounded'],
  ])('says of %s that it is %s', async (entry, cost) => {
    expect((await aReading(entry)).get('[data-test=cost]').text()).toBe(cost);
  });

  it('leaves out the way it reads already, and makes another the main one at a touch', async () => {
    const panel = await aReading('2400 mm', { style: METRIC });
    expect(panel.findAll('[data-test=also]').map((other) => other.text())).not.toContain('2400 mm');
    await panel.get('[aria-label="Read it in feet and inches"]').trigger('click');
    expect(panel.emitted('change')).toEqual([[{ length: 'ft-in' }]]);
  });

  it('reads an area in another unit by words at the end of the entry', async () => {
    const panel = await aReading(`12' * 10'`);
    const found = panel.findAll('.lead').map((lead) => lead.attributes('aria-label'));
    expect(found.length).toBeGreaterThan(2);
    for (const lead of panel.findAll('.lead')) await lead.trigger('click');
    for (const [words] of panel.emitted('readAs') as [string][])
      expect(reckon(`12' * 10' ${words}`).issue, words).toBeUndefined();
    expect(panel.emitted('readAs')).toContainEqual(['to m2']);
  });

  it('answers a comparison, and says how often a size goes', async () => {
    expect((await aReading(`5' > 4'`)).get('[data-test=reading]').text()).toBe('yes');
    const panel = await aReading(`24' 5" / 16"`);
    expect(squeezed(panel.get('[data-test=whole]').text())).toContain('18 times, 5″ left over');
    await panel.get('[data-test=whole] button').trigger('click');
    expect(panel.emitted('use')).toEqual([['mod(24′ 5″; 16″)']]);
  });

  it('says of a spacing that it is one, and by how much two sizes differ', async () => {
    const spacing = await aReading(`24' @ 16"`);
    expect(spacing.get('[data-test=read-back]').text()).toBe('24′ ÷ 16″');
    expect(squeezed(spacing.get('[data-test=whole]').text())).toContain('18 spacings, 0″ left over');
    const compared = await aReading(`5' > 4' 7/8"`);
    expect(compared.get('[data-test=reading]').text()).toBe('yes');
    expect(squeezed(compared.get('[data-test=difference]').text())).toBe('They differ by 11 1⁄8″');
    expect((await aReading(`5' == 60"`)).find('[data-test=difference]').exists()).toBe(false);
  });

  it('shows the last line while nothing is typed, and its problem when it has one', async () => {
    const panel = await aReading('', { resting: reckon('1 / 0') });
    expect(panel.get('.problem').text()).toContain('divides by zero');
  });

  it('is copied as it is shown, and as it is exactly', async () => {
    const panel = await aReading(`10' / 7`);
    await panel.get('[data-test=copy]').trigger('click');
    await flushPromises();
    await panel.get('[data-test=copy-exact]').trigger('click');
    await flushPromises();
    await panel.findAll('[data-test=also]')[0]?.trigger('click');
    await flushPromises();
    expect(copied).toEqual([`1' 5 1/8"`, '17 1/7"', '435 mm']);
  });

  it('is spoken once typing rests, not at every key', async () => {
    vi.useFakeTimers();
    const panel = await aReading(`5'`);
    for (const entry of [`5' +`, `5' + 1`, `5' + 12"`]) {
      await panel.write(entry);
      vi.advanceTimersByTime(200);
      await panel.vm.$nextTick();
      expect(panel.get('[data-test=spoken]').text()).toBe('');
    }
    vi.advanceTimersByTime(700);
    vi.useRealTimers();
    await vi.waitFor(() => expect(panel.get('[data-test=spoken]').text()).toBe('six feet'));
  });

  it('leaves out what is not wanted on the screen', async () => {
    const panel = await aReading(`5'`);
    expect([panel.find('.tape').exists(), panel.find('.also').exists()]).toEqual([true, true]);
    Object.assign(useComfort().comfort, { showTape: false, showAlsoReads: false });
    await panel.vm.$nextTick();
    expect([panel.find('.tape').exists(), panel.find('.also').exists()]).toEqual([false, false]);
  });
});

describe('how a reading is changed where it stands', () => {
  it('offers finest mark, rounding and unit, each behind one touch', async () => {
    const panel = await aReading(`5' 3/32"`);
    await panel.get('[data-test=finest]').trigger('click');
    await panel.get('[data-option="32"]').trigger('click');
    await panel.get('[data-test=rounding]').trigger('click');
    await panel.findAll('.option')[1]?.trigger('click');
    await panel.get('[data-test=length]').trigger('click');
    await panel.get('[data-option=mm]').trigger('click');
    expect(panel.emitted('change')).toEqual([[{ finest: 32 }], [{ rounding: 'up' }], [{ length: 'mm' }]]);
  });

  it('offers the steps of a metric tape for a metric reading, and fractions held or in lowest terms for the other', async () => {
    const metric = await aReading('1 m / 3', { style: METRIC });
    expect(metric.get('[data-test=finest]').text()).toBe('to 1 mm');
    await metric.get('[data-test=finest]').trigger('click');
    expect(metric.findAll('[data-option]').map((option) => option.text())).toEqual(['10', '5', '1', '0.5', '0.1']);
    await metric.get('[data-option="1/2"]').trigger('click');
    expect(metric.emitted('change')).toEqual([[{ metricStep: '1/2' }]]);
    const inches = await aReading(`3/16"`);
    await inches.get('[data-test=finest]').trigger('click');
    await inches.get('[data-option=held]').trigger('click');
    expect(inches.emitted('change')).toEqual([[{ fractions: 'held' }]]);
  });

  it('says for what a change holds, and lets it hold for more', async () => {
    expect((await aReading(`5'`)).find('[data-test=reading-scope]').exists()).toBe(false);
    const panel = await aReading(`5'`, { change: { finest: 32 } });
    expect(panel.get('[data-test=reading-scope]').text()).toContain('For this reading only.');
    await panel.get('[data-test=for-the-job]').trigger('click');
    await panel.get('[data-test=for-good]').trigger('click');
    expect(panel.emitted('widen')).toEqual([['job'], ['always']]);
  });

  it('can be written on the line that is looked at', async () => {
    const panel = await aReading('', { resting: reckon(`5'`), change: { finest: 32 } });
    expect(panel.get('[data-test=reading-scope]').text()).toContain('Just for now.');
    await panel.get('[data-test=for-the-line]').trigger('click');
    expect(panel.emitted('widen')).toEqual([['line']]);
  });

  it('has no marks to choose for what is no length', async () => {
    expect((await aReading('3 kg')).find('[data-test=finest]').exists()).toBe(false);
  });

  describe('while an entry is written letter by letter', () => {
    beforeEach(() => Object.assign(useComfort().comfort, { showTape: true, showAlsoReads: true }));
    /** The next letters, once what follows them by a frame is there. */
    async function write(panel: Awaited<ReturnType<typeof aReading>>, entry: string) {
      await panel.write(entry);
      await new Promise((resolve) => requestAnimationFrame(() => setTimeout(() => setTimeout(resolve))));
    }
    const classes = (panel: Awaited<ReturnType<typeof aReading>>) =>
      ['unread', 'bare'].filter((name) => panel.classes(name));

    it('keeps what stands around it in its place, out of sight, while the entry has no reading', async () => {
      const panel = await aReading(`5' 3"`);
      const tape = panel.get('.tape').element;
      await write(panel, `5' 3" + 1`);
      expect(panel.get('[data-test=reading]').text()).toBe('');
      expect(classes(panel)).toEqual(['unread']);
      expect(panel.get('.tape').element).toBe(tape);
      await write(panel, `5' 3" + 1"`);
      expect(classes(panel)).toEqual([]);
      expect(panel.get('.tape').element).toBe(tape);
      expect(panel.findAll('[data-test=also]').map((other) => squeezed(other.text()))).toContain('1626 mm');
    });

    it('keeps the tape and the units of the size before, out of sight, while figures have no unit', async () => {
      const panel = await aReading(`5' 3"`);
      const tape = panel.get('.tape').element;
      await write(panel, '9');
      expect(panel.get('[data-test=reading]').text()).toBe('9');
      expect(classes(panel)).toEqual(['bare']);
      expect(panel.get('.tape').element).toBe(tape);
      await write(panel, `9'`);
      expect(classes(panel)).toEqual([]);
      expect(panel.get('.tape').element).toBe(tape);
      expect(panel.get('.tape').attributes('aria-label')).toContain('9′');
    });

    it('has none where nothing was before, nor beside a number that rests on the slate', async () => {
      const panel = await aReading('9');
      expect(panel.find('.tape').exists()).toBe(false);
      const landed = await aReading(`5'`, { resting: reckon('9') });
      await write(landed, '');
      expect(landed.get('[data-test=reading]').text()).toBe('9');
      expect(classes(landed)).toEqual([]);
      expect(landed.find('.tape').exists()).toBe(false);
    });
  });
});
