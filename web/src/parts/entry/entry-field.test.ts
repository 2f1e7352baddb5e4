import { mount } from '@vue/test-utils';
import { reckon } from '@sprell/core';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick, ref } from 'vue';
import { editorIn, pressIn, typeInto } from '../../testing/editing.ts';
import { fraction, insert } from './edits.ts';
import { loadEditor } from './entry-editor.ts';
import EntryField from './EntryField.vue';
import { useHand } from './hand.ts';

const reckoned = (entry: string) => (entry.trim() === '' ? undefined : reckon(entry));

/** Until what is drawn after the frame is there, and what follows from it. */
const frame = () => vi.advanceTimersByTimeAsync(100);
/** Until typing is taken to rest. */
const rest = () => vi.advanceTimersByTimeAsync(1000);

/** The field as the bench holds it: what is typed comes back worked out. */
function anEntry(first = '', more: object = {}) {
  const text = ref(first);
  const field = mount(EntryField, {
    attachTo: document.body,
    props: {
      label: 'Entry',
      text,
      now: () => reckoned(text.value),
      options: () => ({}),
      marks: [{ name: 'rail', reading: '4′' }],
      hasLast: true,
      ownKeys: false,
      ...more,
    },
  });
  const type = async (typed: string) => {
    typeInto(field.element, typed);
    await rest();
  };
  const press = async (key: string) => {
    pressIn(field.element, key);
    await frame();
  };
  return { field, text, type, press, content: () => field.get('[data-test=entry]') };
}

beforeAll(loadEditor);
beforeEach(() => {
  setActivePinia(createPinia());
  vi.useFakeTimers();
});
afterEach(async () => {
  await rest();
  vi.useRealTimers();
  document.body.innerHTML = '';
});

describe('the entry', () => {
  it('lands what is sound at Enter, and nothing else', async () => {
    const { field, type, press } = anEntry();
    await press('Enter');
    await type(`5' + 3`);
    await press('Enter');
    expect(field.emitted('land')).toBeUndefined();
    await type(`5' + 3"`);
    await press('Enter');
    expect(field.emitted('land')).toHaveLength(1);
  });

  it('says what is wrong where it is wrong, and mends it at one touch', async () => {
    const { field, text, type, content } = anEntry();
    await type(`5' + 3`);
    expect(field.get('[role=alert]').text()).toContain('give the plain number a unit');
    expect(content().attributes('aria-invalid')).toBe('true');
    expect(document.getElementById(content().attributes('aria-describedby') ?? '')).not.toBeNull();
    expect(field.find('.entry-wrong').exists()).toBe(true);
    const fixes = field.findAll('.fixes button');
    expect(fixes.map((fix) => fix.text())).toEqual(['3″', '3′', '3 mm']);
    await fixes[1]?.trigger('click');
    expect(text.value).toBe(`5' + 3'`);
    await frame();
    expect(field.find('[role=alert]').exists()).toBe(false);
  });

  it('holds back what it has to say while letters come one after the other, and takes it back with the next one', async () => {
    const { field } = anEntry();
    for (const typed of [`5' +`, `5' + 3`, `5' + 31`]) {
      typeInto(field.element, typed);
      await vi.advanceTimersByTimeAsync(300);
      expect(field.find('[role=alert]').exists()).toBe(false);
    }
    await rest();
    expect(field.get('[role=alert]').text()).toContain('31');
    typeInto(field.element, `5' + 312`);
    await frame();
    expect(field.find('[role=alert]').exists()).toBe(false);
    expect(field.find('.entry-wrong').exists()).toBe(false);
    await rest();
    expect(field.get('[role=alert]').text()).toContain('312');
  });

  it('does not complain of an entry that is not finished until Enter insists, and then only until more is typed', async () => {
    const { field, type, press } = anEntry();
    await type(`(5' + `);
    expect(field.find('[role=alert]').exists()).toBe(false);
    expect(field.get('.entry-ghost').text()).toContain(')');
    await press('Enter');
    expect(field.get('[role=alert]').text()).toContain('stops short');
    await type(`(5' + 3`);
    expect(field.get('[role=alert]').text()).not.toContain('stops short');
    await type('new_name =');
    expect(field.find('[role=alert]').exists()).toBe(false);
    await type(`(5' + 3"`);
    expect(field.find('[role=alert]').exists()).toBe(false);
  });

  it('lets a word that may still become a known one be finished, and says what is wrong when it is not', async () => {
    const { field, type, press } = anEntry();
    await type(`5' + ra`);
    expect(field.find('[role=alert]').exists()).toBe(false);
    await press('Enter');
    expect(field.get('[role=alert]').text()).toContain('no mark called “ra”');
    await type(`5' + rakes`);
    expect(field.get('[role=alert]').text()).toContain('no mark called “rakes”');
    await type(`ra + 5'`);
    expect(field.get('[role=alert]').text()).toContain('no mark called “ra”');
  });

  it('lands an entry whose brackets are closed for it', async () => {
    const { field, type, press } = anEntry();
    await type(`2 * (5' + 3"`);
    await press('Enter');
    expect(field.emitted('land')).toHaveLength(1);
  });

  it('offers the other reading of what could be meant two ways', async () => {
    const { field, text, type } = anEntry();
    await type(`9'-7"`);
    expect(field.get('.taken').text()).toBe('The hyphen joins feet and inches. Or:9′ − 7″');
    await field.get('.taken button').trigger('click');
    expect(reckon(text.value).reading?.text).toBe('8′ 5″');
  });

  it('can be left while a line is edited', async () => {
    const { field, press } = anEntry(`5'`, { editing: true });
    await press('Escape');
    expect(field.emitted('cancel')).toHaveLength(1);
    expect(field.findAll('button').map((button) => button.text())).toEqual(['Cancel', 'Save']);
  });

  it('asks for earlier entries by the arrows, and is cleared at one touch', async () => {
    const { field, press } = anEntry(`5'`);
    await press('ArrowUp');
    await press('ArrowDown');
    expect(field.emitted('recall')).toEqual([[-1], [1]]);
    await field.get('[data-test=clear-entry]').trigger('click');
    expect(field.emitted('clear')).toHaveLength(1);
  });
});

describe('the editor of the entry', () => {
  it('sets fractions, units, names, labels and functions each in their own way', async () => {
    const { field, type } = anEntry();
    await type(`top: hyp(3 1/2"; 4 mm) + rail * #4`);
    const set = (name: string) => field.findAll(`.entry-${name}`).map((part) => part.text());
    expect(set('label')).toEqual(['top', ':']);
    expect(set('fraction')).toEqual(['1/2']);
    expect(set('unit')).toEqual(['mm']);
    expect(set('function')).toEqual(['hyp']);
    expect(set('name')).toEqual(['rail']);
    expect(set('line')).toEqual(['#4']);
  });

  it('shows which brackets belong together at the cursor', async () => {
    const { field, type } = anEntry();
    await type(`2 * (5' + 3")`);
    expect(field.findAll('.entry-paired').map((part) => part.text())).toEqual(['(', ')']);
  });

  it('joins what is pasted of several lines', async () => {
    const { text, type } = anEntry();
    await type(`5'\n  + 3"\n`);
    expect(text.value).toBe(`5' + 3"`);
  });

  it('is what the keys write to, at the cursor', async () => {
    const { text, field, type } = anEntry();
    const hand = useHand();
    await type(`7' + 2'`);
    editorIn(field.element).dispatch({ selection: { anchor: 2 } });
    hand.apply((entry) => fraction(entry, 3, 8));
    expect(text.value).toBe(`7' 3/8″ + 2'`);
    hand.active?.enter();
    expect(field.emitted('land')).toHaveLength(1);
  });

  it('gives the keys back to the bench when a line is no longer written', async () => {
    const bench = anEntry(`1'`);
    const line = anEntry(`2'`, { editing: true });
    const hand = useHand();
    line.field.vm.take();
    hand.apply((entry) => insert(entry, '2'));
    expect([bench.text.value, line.text.value]).toEqual([`1'`, `2'2`]);
    line.field.unmount();
    hand.apply((entry) => insert(entry, '3'));
    expect(bench.text.value).toBe(`1'3`);
    await nextTick();
  });

  it('goes on from the last result when an operator comes first, and takes that away again', async () => {
    const { text, field, press } = anEntry();
    const editor = editorIn(field.element);
    const handlers = editor.state.facet((await import('@codemirror/view')).EditorView.inputHandler);
    handlers.some((handle) => handle(editor, 0, 0, '/', () => editor.state.update({})));
    expect(text.value).toBe('last ÷ ');
    await press('Backspace');
    expect(text.value).toBe('÷');
  });
});
