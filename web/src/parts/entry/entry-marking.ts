/** How the parts of an entry are set while it is typed: fractions as fractions, units and names apart, brackets in pairs. */
import { RangeSetBuilder, StateEffect, StateField, type EditorState } from '@codemirror/state';
import { Decoration, EditorView, WidgetType, type DecorationSet } from '@codemirror/view';
import { bracketsAt, rolesOf, type Span } from '@sprell/core';

/** What the reader had to say of the text as it stands. */
export interface EntryFindings {
  /** The place that is wrong. */
  readonly wrong: Span | undefined;
  /** Closing brackets that are still to come. */
  readonly ghost: string;
}

export const setFindings = StateEffect.define<EntryFindings>();

class GhostWidget extends WidgetType {
  readonly #text: string;

  constructor(text: string) {
    super();
    this.#text = text;
  }

  override eq(other: GhostWidget): boolean {
    return other.#text === this.#text;
  }

  toDOM(): HTMLElement {
    const ghost = document.createElement('span');
    ghost.className = 'entry-ghost';
    ghost.textContent = this.#text;
    ghost.setAttribute('aria-hidden', 'true');
    return ghost;
  }
}

/** What is typed at the end of a part belongs to it until it is marked again: so the page need not be changed. */
const markOf = (name: string) => Decoration.mark({ class: name, inclusiveEnd: true });
const ROLE_MARKS = new Map(
  ['label', 'fraction', 'prime', 'unit', 'function', 'name', 'word', 'line', 'operator'].map((role) => [
    role,
    markOf(`entry-${role}`),
  ]),
);
const PAIRED = markOf('entry-paired');
const ALONE = markOf('entry-alone');
const WRONG = markOf('entry-wrong');

function decorate(state: EditorState): DecorationSet {
  const source = state.doc.toString();
  const tokens = rolesOf(source);
  const pair = bracketsAt(tokens, state.selection.main.head);
  const builder = new RangeSetBuilder<Decoration>();
  for (const { start, end, role } of tokens) {
    const decoration = pair?.includes(start) === true ? (pair.length === 2 ? PAIRED : ALONE) : ROLE_MARKS.get(role);
    if (decoration) builder.add(start, end, decoration);
  }
  return builder.finish();
}

function decorateFindings(state: EditorState, { wrong, ghost }: EntryFindings): DecorationSet {
  const { length } = state.doc;
  const ranges = [];
  if (wrong && wrong.start < wrong.end && wrong.end <= length) ranges.push(WRONG.range(wrong.start, wrong.end));
  if (ghost !== '') ranges.push(Decoration.widget({ widget: new GhostWidget(ghost), side: 1 }).range(length));
  return Decoration.set(ranges, true);
}

interface Marking {
  readonly roles: DecorationSet;
  readonly found: DecorationSet;
}

/**
 * The marks of an entry. Where its text changes they move along with it, and are made again when what the reader has to
 * say of it comes, behind the frame that shows the letter and its reading: another mark has the line made again on the
 * page, and the cursor put in it once more.
 */
export const entryMarking = StateField.define<Marking>({
  create: (state) => ({ roles: decorate(state), found: Decoration.none }),
  update({ roles, found }, { state, changes, docChanged, selection, effects }) {
    const findings = effects.find((effect) => effect.is(setFindings));
    if (findings) return { roles: decorate(state), found: decorateFindings(state, findings.value as EntryFindings) };
    if (docChanged) return { roles: roles.map(changes), found: found.map(changes) };
    return { roles: selection ? decorate(state) : roles, found };
  },
  provide: (field) => [
    EditorView.decorations.from(field, ({ roles }) => roles),
    EditorView.decorations.from(field, ({ found }) => found),
  ],
});
