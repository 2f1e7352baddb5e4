import { mount } from '@vue/test-utils';
import { DEFAULT_STYLE, Slate } from '@sprell/core';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import { loadEditor } from '../../../parts/entry/entry-editor.ts';
import { editorIn, pressIn, typeInto } from '../../../testing/editing.ts';
import type { SlateRow, WorkedRow } from '../../../job/index.ts';
import { readLine } from '../../../parts/slate/line-reading.ts';
import { finder } from './search.ts';
import { runOf, slateText } from './slate-text.ts';
import SelectionSums from './SelectionSums.vue';
import SlateRowView from './SlateRowView.vue';
import WordsForm from './WordsForm.vue';
import WordsRowView from './WordsRowView.vue';

const squeezed = (text: string) => text.replace(/\s+/g, ' ').trim();
const aLine = { id: 'a', kind: 'worked', position: 'a0', label: null, note: '', revision: 1, deleted: false } as const;

function workedRows(...sources: readonly string[]): WorkedRow[] {
  const slate = new Slate();
  slate.load(sources.map((source, at) => ({ id: `l${at}`, number: at + 1, position: `a${at}`, source })));
  return sources.map((source, at) => ({
    kind: 'worked',
    line: { ...aLine, id: `l${at}`, number: at + 1, source },
    entry: source,
    worked: slate.line(`l${at}`) as WorkedRow['worked'],
  }));
}

const withAll = (rows: readonly WorkedRow[], all: readonly SlateRow[] = rows) => ({
  rows,
  all,
  style: DEFAULT_STYLE,
  placing: false,
});

function aRow(source: string, more: object = {}) {
  const [made] = workedRows(source) as [WorkedRow];
  const row: WorkedRow = {
    ...made,
    line: { ...made.line, label: 'top rail', note: 'planed' },
    entry: `top rail: ${source}`,
  };
  return mount(SlateRowView, {
    props: {
      row,
      style: DEFAULT_STYLE,
      draftStyle: DEFAULT_STYLE,
      bare: 'plain',
      editing: false,
      changed: false,
      used: false,
      scopeOf: () => new Slate().scope(),
      marks: [],
      ownKeys: false,
      open: false,
      isStop: true,
      selected: undefined,
      jigOf: () => undefined,
      ...more,
    },
    attachTo: document.body,
  });
}

beforeAll(loadEditor);
beforeEach(() => setActivePinia(createPinia()));
afterEach(() => {
  document.body.innerHTML = '';
});

describe('a line of the slate', () => {
  it('shows number, label, note, read-back and reading, and says what rounding did', () => {
    const row = aRow(`1' / 13`);
    expect(squeezed(row.get('.body').text())).toBe('#1top rail1′ ÷ 13planed');
    expect(squeezed(row.get('[data-test=result]').text())).toBe('15⁄16″shy');
  });

  it('shows the sentence where there is no reading, and no figure to use', () => {
    const row = aRow(`5' + 3`);
    expect(row.get('.problem').text()).toContain('unit');
    expect(row.find('[data-test=result]').exists()).toBe(false);
  });

  it('is used by its figure, edited by its words', async () => {
    const row = aRow(`5'`);
    await row.get('.body').trigger('click');
    await row.get('[data-test=result]').trigger('click');
    expect([row.emitted('edit'), row.emitted('use')]).toEqual([[[]], [['result']]]);
  });

  it('offers the rest behind the dots', async () => {
    const row = aRow(`5'`, { open: true });
    for (const what of ['use-entry', 'insert', 'up', 'down', 'remove'])
      await row.get(`[data-test=${what}]`).trigger('click');
    expect(row.emitted('use')).toEqual([['entry']]);
    expect(row.emitted('move')).toEqual([[-1], [1]]);
    expect([row.emitted('insert')?.length, row.emitted('remove')?.length]).toEqual([1, 1]);
    await row.get('[data-test=note]').trigger('click');
    await vi.dynamicImportSettled();
    const field = row.get<HTMLInputElement>('[data-test=note-field]');
    expect(field.element.value).toBe('planed');
    await field.setValue('sawn');
    await row.get('form').trigger('submit');
    expect(row.emitted('note')).toMatchObject([['sawn', { note: 'planed' }]]);
  });

  it('is moved by Alt and an arrow, unless it is being written', async () => {
    const row = aRow(`5'`);
    await row.trigger('keydown', { key: 'ArrowUp', altKey: true });
    await row.trigger('keydown', { key: 'ArrowDown' });
    await row.setProps({ editing: true });
    await row.trigger('keydown', { key: 'ArrowUp', altKey: true });
    expect(row.emitted('move')).toEqual([[-1]]);
  });

  it('is edited with its label, worked out at each key, and kept', async () => {
    const row = aRow(`5'`, { editing: true });
    await nextTick();
    await nextTick();
    expect(editorIn(row.element).state.doc.toString()).toBe(`top rail: 5'`);
    typeInto(row.element, `top rail: 6' * 2`);
    await nextTick();
    await nextTick();
    expect(row.emitted('draft')?.at(-1)).toMatchObject([{ reading: { text: '12′' } }]);
    pressIn(row.element, 'Enter');
    expect(row.emitted('keep')).toEqual([[`top rail: 6' * 2`]]);
  });

  it('reads yes or no for a comparison', () => {
    const [row] = workedRows(`5' < 4'`) as [WorkedRow];
    expect(readLine(row.worked, DEFAULT_STYLE)).toMatchObject({ answer: 'no', reading: undefined, problem: undefined });
  });
});

describe('what is selected', () => {
  it('shows sum, mean, largest and smallest, and lands a sum that stays alive', async () => {
    const sums = mount(SelectionSums, { props: withAll(workedRows(`5'`, `7' 6"`, `1/2"`)) });
    expect(squeezed(sums.text())).toContain('3 selected');
    expect(sums.findAll('.figure').map((figure) => squeezed(figure.text()))).toEqual([
      'sum 12′ 6 1⁄2″',
      'mean 4′ 2 3⁄16″',
      'largest 7′ 6″',
      'smallest 1⁄2″',
    ]);
    await sums.get('[data-test=land-sum]').trigger('click');
    expect(sums.emitted('sum')).toEqual([['sum(#1..#3)']]);
  });

  it('says that kinds which do not add up do not, and leaves out lines without a result', () => {
    const mixed = mount(SelectionSums, { props: withAll(workedRows(`5'`, '3 kg')) });
    expect(mixed.text()).toContain('different kinds');
    const broken = mount(SelectionSums, { props: withAll(workedRows(`5'`, '1/0')) });
    expect(broken.findAll('.figure b').map((figure) => figure.text())).toEqual(['5′', '5′', '5′', '5′']);
  });
});

describe('the slate as text', () => {
  const [rail, post, sum, broken] = workedRows(`5'`, `7' 6 1/2" / 4`, '#1 + #2', '1/0') as [
    WorkedRow,
    WorkedRow,
    WorkedRow,
    WorkedRow,
  ];
  const words = (kind: 'heading' | 'note', text: string): SlateRow => ({
    kind,
    words: text,
    line: { ...aLine, id: text, kind, number: null, source: '' },
  });
  const labelled: WorkedRow = { ...post, line: { ...post.line, label: 'post', note: 'oak\nplaned' } };

  it('reads well in a message: number, label, sum, result, full or shy, notes beneath', () => {
    const rows = [
      words('heading', 'Porch'),
      rail,
      labelled,
      words('note', 'ask'),
      words('heading', 'Roof'),
      sum,
      broken,
    ];
    expect(slateText(rows, DEFAULT_STYLE)).toBe(
      [
        'Porch',
        '#1 5′',
        '#2 post: 7′ 6 1⁄2″ ÷ 4 = 1′ 10 5⁄8″',
        '    oak',
        '    planed',
        'ask',
        '',
        'Roof',
        '#3 #1 + #2 = 6′ 10 5⁄8″',
        '#4 1/0 = A fraction cannot have 0 at the bottom; write another denominator.',
      ].join('\n'),
    );
    const third = workedRows(`10' / 3.1`);
    expect(slateText(third, DEFAULT_STYLE)).toBe('#1 10′ ÷ 3.1 = 3′ 2 11⁄16″, full');
  });

  it('knows lines that stand together, whatever words are between them', () => {
    const rows = [rail, words('note', 'ask'), post, sum];
    const run = (...chosen: readonly WorkedRow[]) => runOf(rows, new Set(chosen.map(({ line }) => line.id)));
    expect(run(rail, post)).toBe('#1..#2');
    expect(run(post, sum)).toBe('#2..#3');
    expect([run(rail, sum), run(rail), run()]).toEqual([undefined, undefined, undefined]);
  });
});

describe('search', () => {
  it.each([
    ['#1', [1, 3]],
    ['#2', [2]],
    ['kg', [2]],
    ['#1 * 2', [3]],
    ['nothing', []],
    [`60"`, [1]],
    [`10'`, [3]],
    ['1.524 m', [1]],
    ['ANY', []],
  ])('%s finds %o', (words, numbers) => {
    const rows = workedRows(`5'`, '3 kg', '#1 * 2', '#10 * 3');
    expect(rows.filter(finder(words, DEFAULT_STYLE)).map(({ line }) => line.number)).toEqual(numbers);
  });
});

describe('words among the lines', () => {
  it('are a heading or a plain note, and never nothing', async () => {
    const form = mount(WordsForm, { attachTo: document.body });
    await form.trigger('submit');
    await form.get('input').setValue('Roof');
    await form.trigger('submit');
    await form.findAll('.kind')[1]?.trigger('click');
    await form.trigger('submit');
    expect(form.emitted('keep')).toEqual([
      ['heading', 'Roof'],
      ['note', 'Roof'],
    ]);
  });

  it('are edited where they stand', async () => {
    const row = mount(WordsRowView, {
      props: {
        row: { kind: 'heading', words: 'Roof', line: { ...aLine, kind: 'heading', number: null, source: '' } },
        editing: false,
        open: false,
        isStop: true,
      },
    });
    expect(row.get('h3').text()).toBe('Roof');
    await row.setProps({ editing: true });
    await vi.dynamicImportSettled();
    await row.get('input').setValue('Roof, south side');
    await row.get('form').trigger('submit');
    expect(row.emitted('keep')).toEqual([['Roof, south side']]);
  });
});
