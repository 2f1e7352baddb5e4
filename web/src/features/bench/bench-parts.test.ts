import { mount } from '@vue/test-utils';
import { DEFAULT_STYLE, EMPTY_SCOPE, parse, reckon, Slate, wholeTimes, type ReadingStyle } from '@sprell/core';
import { afterEach, describe, expect, it } from 'vitest';
import { nextTick, ref } from 'vue';
import SizeText from '../../ui/SizeText.vue';
import type { SlateRow } from '../job/job.store.ts';
import ConflictNotice from './ConflictNotice.vue';
import EntryField from './EntryField.vue';
import KeepStateText from './KeepStateText.vue';
import { readLine } from './line-reading.ts';
import ReadingPanel from './ReadingPanel.vue';
import SlateRowView from './SlateRowView.vue';

const METRIC: ReadingStyle = { ...DEFAULT_STYLE, length: 'mm' };
const reckoned = (entry: string) => (entry === '' ? undefined : reckon(entry));
const squeezed = (text: string) => text.replace(/\s+/g, ' ').trim();

/** The field as the bench holds it: what is typed comes back worked out. */
function anEntry(first = '', more: object = {}) {
  const text = ref(first);
  const field = mount(EntryField, {
    attachTo: document.body,
    props: {
      label: 'Entry',
      modelValue: text.value,
      reckoned: reckoned(first),
      'onUpdate:modelValue': (typed: string) => {
        text.value = typed;
        void field.setProps({ modelValue: typed, reckoned: reckoned(typed) });
      },
      ...more,
    },
  });
  return { field, text, input: field.get('input') };
}

afterEach(() => {
  document.body.innerHTML = '';
});

describe('the entry', () => {
  it('lands what is sound at Enter, and nothing else', async () => {
    const { field, input } = anEntry();
    await input.trigger('keydown', { key: 'Enter' });
    await input.setValue(`5' + 3`);
    await input.trigger('keydown', { key: 'Enter' });
    expect(field.emitted('land')).toBeUndefined();
    await input.setValue(`5' + 3"`);
    await input.trigger('keydown', { key: 'Enter' });
    expect(field.emitted('land')).toHaveLength(1);
  });

  it('says what is wrong, and mends it at one touch', async () => {
    const { field, text, input } = anEntry();
    await input.setValue(`5' + 3`);
    expect(field.get('[role=alert]').text()).toContain('give the plain number a unit');
    expect(input.attributes('aria-invalid')).toBe('true');
    const fixes = field.findAll('.fixes button');
    expect(fixes.map((fix) => fix.text())).toEqual(['3″', '3′', '3 mm']);
    await fixes[1]?.trigger('click');
    expect(text.value).toBe(`5' + 3'`);
    expect(field.find('[role=alert]').exists()).toBe(false);
  });

  it('does not complain of an entry that is not finished until Enter insists, and then only until more is typed', async () => {
    const { field, input } = anEntry();
    await input.setValue(`(5' + `);
    expect(field.find('[role=alert]').exists()).toBe(false);
    expect(field.get('.ghost').text()).toContain(')');
    await input.trigger('keydown', { key: 'Enter' });
    expect(field.get('[role=alert]').text()).toContain('stops short');
    await input.setValue(`(5' + 3`);
    expect(field.get('[role=alert]').text()).not.toContain('stops short');
    await input.setValue(`(5' + 3"`);
    expect(field.find('[role=alert]').exists()).toBe(false);
  });

  it('lands an entry whose brackets are closed for it', async () => {
    const { field, input } = anEntry();
    await input.setValue(`2 * (5' + 3"`);
    await input.trigger('keydown', { key: 'Enter' });
    expect(field.emitted('land')).toHaveLength(1);
  });

  it('can be left while a line is written anew', async () => {
    const { field, input } = anEntry(`5'`, { editing: true });
    await input.trigger('keydown', { key: 'Escape' });
    expect(field.emitted('cancel')).toHaveLength(1);
    expect(field.findAll('button').map((button) => button.text())).toEqual(['Leave', 'Keep']);
  });
});

describe('the reading', () => {
  function aReading(entry: string, style = DEFAULT_STYLE) {
    const { entry: tree } = parse(entry);
    return mount(ReadingPanel, {
      props: {
        reckoned: reckon(entry, { style }),
        resting: undefined,
        style,
        whole: tree && wholeTimes(tree, entry, EMPTY_SCOPE),
      },
    });
  }

  it('stands large over its cost, its exact form and every other way it reads', () => {
    const panel = aReading(`(12' 3 5/8" - 2 * 3 1/2") / 7`);
    expect(panel.get('[data-test=reading]').text()).toBe('1′ 8 1⁄16″');
    expect(panel.get('[data-test=cost]').text()).toBe('full by 0.027″ (0.7 mm)');
    expect(squeezed(panel.get('[data-test=exact]').text())).toBe('exactly 20 5⁄56″');
    expect(panel.findAll('.also div').map((row) => squeezed(row.text()))).toEqual([
      'inches20 1⁄16″',
      'decimal feet1.6741 ft',
      'millimetres510 mm',
      'metres0.51 m',
    ]);
  });

  it('leaves out the way it reads already', () => {
    expect(
      aReading('2400 mm', METRIC)
        .findAll('.also dt')
        .map((name) => name.text()),
    ).not.toContain('millimetres');
  });

  it('answers a comparison, and says how often a size goes', async () => {
    expect(aReading(`5' > 4'`).get('[data-test=reading]').text()).toBe('yes');
    const panel = aReading(`24' 5" / 16"`);
    expect(squeezed(panel.get('[data-test=whole]').text())).toContain('18 times, 5″ left over');
    await panel.get('[data-test=whole] button').trigger('click');
    expect(panel.emitted('use')).toEqual([['mod(24′ 5″; 16″)']]);
  });

  it('shows the last line while nothing is typed, and its problem when it has one', () => {
    const panel = mount(ReadingPanel, {
      props: { reckoned: undefined, resting: reckon('1 / 0'), style: DEFAULT_STYLE, whole: undefined },
    });
    expect(panel.get('.problem').text()).toContain('divides by nothing');
  });
});

describe('a line of the slate', () => {
  function aRow(source: string, more: object = {}) {
    const slate = new Slate();
    slate.load([{ id: 'a', number: 3, position: 'a0', source }]);
    const row: SlateRow = {
      line: {
        id: 'a',
        number: 3,
        position: 'a0',
        source,
        label: 'top rail',
        note: 'planed',
        revision: 1,
        deleted: false,
      },
      entry: `top rail: ${source}`,
      worked: slate.line('a') as SlateRow['worked'],
    };
    return mount(SlateRowView, {
      props: { row, style: DEFAULT_STYLE, editing: false, changed: false, scope: slate.scope('a'), ...more },
      attachTo: document.body,
    });
  }

  it('shows number, label, note, read-back and reading, and says what rounding did', () => {
    expect(squeezed(aRow(`1' / 13`).get('.body').text())).toBe('#3top rail1′ ÷ 13planed15⁄16″shy');
  });

  it('shows the sentence where there is no reading', () => {
    expect(aRow(`5' + 3`).get('.problem').text()).toContain('unit');
  });

  it('asks to be written anew and to be taken off', async () => {
    const row = aRow(`5'`);
    await row.get('.body').trigger('click');
    await row.get('.remove').trigger('click');
    expect([row.emitted('edit')?.length, row.emitted('remove')?.length]).toEqual([1, 1]);
  });

  it('is written anew with its label, and kept', async () => {
    const row = aRow(`5'`, { editing: true });
    await nextTick();
    const input = row.get('input');
    expect((input.element as HTMLInputElement).value).toBe(`top rail: 5'`);
    await input.setValue(`top rail: 6'`);
    await input.trigger('keydown', { key: 'Enter' });
    expect(row.emitted('keep')).toEqual([[`top rail: 6'`]]);
  });

  it('reads yes or no for a comparison', () => {
    const slate = new Slate();
    slate.load([{ id: 'a', number: 1, position: 'a0', source: `5' < 4'` }]);
    expect(readLine(slate.line('a') as never, DEFAULT_STYLE)).toMatchObject({
      answer: 'no',
      reading: undefined,
      problem: undefined,
    });
  });
});

describe('small parts', () => {
  it('fractions are set as fractions, primes apart, and the text stays what it is', () => {
    const size = mount(SizeText, { props: { text: '12′ 4 5⁄8″' } });
    expect(size.text()).toBe('12′ 4 5⁄8″');
    expect(size.get('.fraction').text()).toBe('5⁄8');
    expect(size.findAll('.prime')).toHaveLength(1);
  });

  it.each([
    [{ kind: 'kept' }, 'kept on the server'],
    [{ kind: 'sending' }, 'keeping …'],
    [{ kind: 'waiting', changes: 1, reason: 'away' }, '1 change waiting'],
    [{ kind: 'waiting', changes: 7, reason: 'away' }, '7 changes waiting'],
  ] as const)('the state %o says %s', (state, words) => {
    expect(mount(KeepStateText, { props: { state } }).text()).toBe(words);
  });

  it('a conflict shows both versions and lets one choose', async () => {
    const line = {
      id: 'a',
      number: 3,
      position: 'a0',
      source: `9'`,
      label: null,
      note: '',
      revision: 2,
      deleted: false,
    };
    const notice = mount(ConflictNotice, {
      props: { conflict: { line, mine: line, mineSays: `6'`, theirsSays: `9'` } },
    });
    expect(squeezed(notice.get('p').text())).toBe(`Line #3 was changed elsewhere too. Yours: 6' Now it says 9'`);
    await notice.findAll('button')[0]?.trigger('click');
    expect(notice.emitted('choose')).toEqual([['mine']]);
    const gone = mount(ConflictNotice, {
      props: {
        conflict: { line: { ...line, deleted: true }, mine: undefined, mineSays: undefined, theirsSays: undefined },
      },
    });
    expect(squeezed(gone.get('p').text())).toContain('You took it off the slate. Now it is off the slate.');
    expect(gone.findAll('button')).toHaveLength(1);
  });
});
