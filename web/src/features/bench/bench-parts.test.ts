import { mount, RouterLinkStub } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { computed, ref } from 'vue';
import { DEFAULT_STYLE, reckon } from '@sprell/core';
import SizeText from '../../ui/SizeText.vue';
import { useComfort } from '../../live/comfort.store.ts';
import { readBackOf, type WorkedRow } from '../../job/index.ts';
import ConflictNotice from './ConflictNotice.vue';
import FirstHint from './FirstHint.vue';
import { useHintsThere, type Hint } from './first-hints.ts';
import KeepStateText from '../../parts/head/KeepStateText.vue';
import type { Amount } from './stick/amount.ts';

const squeezed = (text: string) => text.replace(/\s+/g, ' ').trim();

beforeEach(() => {
  localStorage.clear();
  setActivePinia(createPinia());
});

describe('small parts', () => {
  it('fractions are set as fractions, primes apart, and the text stays what it is', () => {
    const size = mount(SizeText, { props: { text: '12′ 4 5⁄8″' } });
    expect(size.text()).toBe('12′ 4 5⁄8″');
    expect(size.get('.size-fraction').text()).toBe('5⁄8');
    expect(size.findAll('.size-prime')).toHaveLength(1);
    // Inches and their fraction stay on one line; a sum may be broken between its sizes.
    const sum = mount(SizeText, { props: { text: '2 × 7 1⁄4″ + 3⁄8″' } });
    expect(sum.findAll('.size-figure').map((figure) => figure.text())).toEqual(['7 1⁄4″']);
    expect(sum.text()).toBe('2 × 7 1⁄4″ + 3⁄8″');
  });

  it.each([
    [{ kind: 'kept' }, 'saved'],
    [{ kind: 'writing' }, 'saving …'],
    [{ kind: 'here', changes: 2, reason: undefined }, 'saved here'],
    [{ kind: 'here', changes: 1, reason: 'away' }, '1 change waiting'],
    [{ kind: 'here', changes: 7, reason: 'away' }, '7 changes waiting'],
  ] as const)('the state %o says %s', (state, words) => {
    expect(mount(KeepStateText, { props: { state }, global: { stubs: { RouterLink: RouterLinkStub } } }).text()).toBe(
      words,
    );
  });

  it('a conflict shows both versions and lets one choose', async () => {
    const line = {
      id: 'a',
      kind: 'worked' as const,
      number: 3,
      position: 'a0',
      source: `9'`,
      label: null,
      note: '',
      revision: 2,
      deleted: false,
    };
    const read = (words: string) => readBackOf(words, DEFAULT_STYLE);
    const kept = { id: 'c', jobId: 'j', lineId: 'a', mine: line, changes: [] };
    const notice = mount(ConflictNotice, {
      props: { read, conflict: { kept, line, mineSays: `6'`, theirsSays: `9'` } },
    });
    expect(squeezed(notice.get('p').text())).toBe(`Line #3 was changed elsewhere too. Yours: 6′ Now it says 9′`);
    await notice.findAll('button')[0]?.trigger('click');
    expect(notice.emitted('choose')).toEqual([['mine']]);
    const gone = mount(ConflictNotice, {
      props: {
        read,
        conflict: {
          kept,
          line: { ...line, deleted: true },
          mineSays: undefined,
          theirsSays: undefined,
        },
      },
    });
    expect(squeezed(gone.get('p').text())).toContain('You took it off the slate. Now it is off the slate.');
    expect(gone.findAll('button').map((button) => button.text())).toEqual(['Delete it', 'Leave it']);
  });
});

describe('hints for the first day', () => {
  it('speak of what is on the bench, and follow it', () => {
    const { comfort } = useComfort();
    const metric = ref(false);
    const entry = ref('');
    const workedRows = ref<readonly WorkedRow[]>([]);
    const inHand = computed(() => (entry.value === '' ? undefined : reckon(entry.value)));
    const amount = computed((): Amount | undefined =>
      inHand.value?.outcome?.kind === 'quantity'
        ? { entry: entry.value, label: undefined, reading: '', quantity: inHand.value.outcome.quantity }
        : undefined,
    );
    const bench = { metric: computed(() => metric.value), workedRows: computed(() => [...workedRows.value]), inHand };
    const there = useHintsThere(bench, amount);
    const hints = () => [...there.value].sort();
    // An empty bench has its keys, and nothing else to speak of.
    expect(hints()).toEqual(['fraction']);
    metric.value = true;
    expect(hints()).toEqual([]);
    entry.value = `5' + 3`;
    expect(hints()).toEqual([]);
    entry.value = `5' + 3"`;
    expect(hints()).toEqual(['finest', 'keep']);
    comfort.showStick = false;
    expect(hints()).toEqual(['finest']);
    workedRows.value = [{} as WorkedRow];
    metric.value = false;
    expect(hints()).toEqual(['edit', 'finest', 'fraction', 'use']);
    comfort.showKeys = false;
    expect(hints()).toEqual(['edit', 'finest', 'use']);
  });

  it('come one at a time, about what is there, and go for good', async () => {
    const hint = mount(FirstHint, { props: { there: new Set<Hint>(['use', 'keep']) } });
    expect(hint.text()).toContain('Touch the figure of a line');
    await hint.get('[data-test=hint-away]').trigger('click');
    expect(hint.text()).toContain('story stick');
    await hint.get('[data-test=hint-away]').trigger('click');
    expect(hint.find('[data-test=hint]').exists()).toBe(false);
    const later = mount(FirstHint, { props: { there: new Set<Hint>(['use']) } });
    expect(later.find('[data-test=hint]').exists()).toBe(false);
  });
});
