import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick, ref } from 'vue';
import { editorIn } from '../../testing/editing.ts';
import { fraction } from './edits.ts';
import { loadEditor } from './entry-editor.ts';
import EntryField from './EntryField.vue';
import { useHand } from './hand.ts';

const waiting: (() => void)[] = [];
/** The lines of the job are there: what was held back for them is loaded. */
const come = () => {
  for (const load of waiting.splice(0)) load();
};
vi.mock('../../ui/behind-lines.ts', () => ({
  behindLines: async (load: () => Promise<unknown>) => {
    await new Promise<void>((resolve) => waiting.push(resolve));
    return load();
  },
}));

function anEntry(first = '') {
  const text = ref(first);
  const field = mount(EntryField, {
    attachTo: document.body,
    props: {
      label: 'Entry',
      text,
      now: () => ({ parsed: { ghost: '' } }) as never,
      options: () => ({}),
      marks: [],
      hasLast: true,
      ownKeys: false,
    },
  });
  const input = () => field.get<HTMLInputElement>('input[data-test=entry]');
  return { field, text, input };
}
beforeEach(() => {
  setActivePinia(createPinia());
  document.body.innerHTML = '';
});

describe('an entry whose editor has not come yet', () => {
  // The order matters: once the editor has come it is there for every entry of the page.
  it('is written, keyed, landed, left, recalled and taken back in a plain field', async () => {
    const { field, text, input } = anEntry();
    const hand = useHand();
    await input().setValue(`5'`);
    hand.apply((entry) => fraction(entry, 3, 8));
    await nextTick();
    expect([text.value, input().element.selectionStart]).toEqual([`5' 3/8″`, 7]);
    expect(hand.active?.undo()).toBe(true);
    expect(hand.active?.undo()).toBe(true);
    expect(text.value).toBe('');
    await nextTick();
    // There is nothing left to take back here: the slate is next.
    expect(hand.active?.undo()).toBe(false);
    for (const key of ['Enter', 'Escape', 'ArrowUp', 'ArrowDown']) await input().trigger('keydown', { key });
    expect(field.emitted()).toMatchObject({ land: [[]], cancel: [[]], recall: [[-1], [1]] });
    field.unmount();
  });

  it('goes on from the last result at an operator, and backspace takes that away', async () => {
    const { text, input, field } = anEntry();
    input().element.dispatchEvent(new InputEvent('beforeinput', { data: '*', cancelable: true, bubbles: true }));
    await nextTick();
    expect(text.value).toBe('last × ');
    await input().trigger('keydown', { key: 'Backspace' });
    expect(text.value).toBe('×');
    const paste = (pasted: string) => {
      const event = new Event('paste', { cancelable: true }) as Event & { clipboardData: object };
      event.clipboardData = { getData: () => pasted };
      input().element.setSelectionRange(0, 1);
      input().element.dispatchEvent(event);
    };
    // One line with its break is an entry; several may be several entries, and the bench is asked.
    paste(` 1'\n`);
    expect(text.value).toBe(`1'`);
    paste(` 1'\n 2'\n`);
    expect([text.value, field.emitted('pasteLines')]).toEqual([`1'`, [[` 1'\n 2'\n`]]]);
    field.unmount();
  });

  it('goes over to the editor with what is written, the cursor in its place, and not in the middle of a letter', async () => {
    const { field, text, input } = anEntry();
    input().element.focus();
    await input().setValue(`5' + 2`);
    input().element.setSelectionRange(2, 4);
    const focused = vi.spyOn(HTMLElement.prototype, 'focus');
    await input().trigger('compositionstart');
    come();
    await loadEditor();
    await nextTick();
    expect(field.find('input').exists()).toBe(true);
    await input().trigger('compositionend');
    await vi.waitFor(() => expect(field.find('.cm-editor').exists()).toBe(true));
    await nextTick();
    const editor = editorIn(field.element);
    const { from, to } = editor.state.selection.main;
    expect([editor.state.doc.toString(), from, to]).toEqual([`5' + 2`, 2, 4]);
    expect(focused.mock.instances).toContain(editor.contentDOM);
    expect(field.find('input').exists()).toBe(false);
    useHand().apply((entry) => ({ text: `${entry.text}"`, from: 7, to: 7 }));
    expect(text.value).toBe(`5' + 2"`);
    field.unmount();
  });
});
