import { EditorState } from '@codemirror/state';
import { EditorView, type DecorationSet } from '@codemirror/view';
import { describe, expect, it } from 'vitest';
import { entryMarking, setFindings, type EntryFindings } from './entry-marking.ts';

const NOTHING: EntryFindings = { wrong: undefined, ghost: '' };

function anEntry(doc: string, findings = NOTHING): EditorState {
  const { state } = EditorState.create({ doc, selection: { anchor: doc.length }, extensions: entryMarking }).update({
    effects: setFindings.of(findings),
  });
  return state;
}

/** What a mark or a ghost stands on, as `class: text`. */
function marked(state: EditorState): string[] {
  const found: string[] = [];
  for (const set of state.facet(EditorView.decorations) as readonly DecorationSet[])
    set.between(0, state.doc.length, (from, to, { spec }) => {
      const { class: name = 'ghost' } = spec as { class?: string };
      found.push(`${name.replace('entry-', '')}: ${state.sliceDoc(from, to)}`);
    });
  return found;
}
const typed = (state: EditorState, insert: string, from = state.doc.length) =>
  state.update({ changes: { from, insert }, selection: { anchor: from + insert.length } }).state;

describe('the marks of an entry', () => {
  it('move along with the text, and what is typed at the end of a part belongs to it until they are made again', () => {
    const before = anEntry(`5' 3/4`);
    expect(marked(before)).toEqual([`prime: '`, 'fraction: 3/4']);
    const letter = typed(before, '8');
    expect(marked(letter)).toEqual([`prime: '`, 'fraction: 3/48']);
    const other = typed(letter, 'm');
    expect(marked(other)).toEqual([`prime: '`, 'fraction: 3/48m']);
    expect(marked(other.update({ effects: setFindings.of(NOTHING) }).state)).toEqual([
      `prime: '`,
      'fraction: 3/48',
      'unit: m',
    ]);
    expect(marked(typed(before, '1', 0))).toEqual([`prime: '`, 'fraction: 3/4']);
  });

  it('keep what is wrong where it stands, and the brackets to come at the end', () => {
    const before = anEntry('(5 + ra', { wrong: { start: 5, end: 7 }, ghost: ')' });
    expect(marked(before)).toContain('wrong: ra');
    expect(marked(before)).toContain('ghost: ');
    const after = typed(before, '12', 0);
    expect(marked(after)).toContain('wrong: ra');
    expect(marked(after.update({ effects: setFindings.of(NOTHING) }).state)).not.toContain('wrong: ra');
  });

  it('leave out a place that the text no longer has', () => {
    expect(marked(anEntry('5', { wrong: { start: 3, end: 9 }, ghost: '' }))).toEqual([]);
    expect(marked(anEntry('5', { wrong: { start: 1, end: 1 }, ghost: '' }))).toEqual([]);
  });

  it('pair the brackets at the cursor as it goes', () => {
    const state = anEntry('(5 + 3) * 2');
    expect(marked(state)).not.toContain('paired: (');
    const moved = state.update({ selection: { anchor: 7 } }).state;
    expect(marked(moved)).toEqual(expect.arrayContaining(['paired: (', 'paired: )']));
  });
});
