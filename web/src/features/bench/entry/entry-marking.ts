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

const findings = StateField.define<EntryFindings>({
  create: () => ({ wrong: undefined, ghost: '' }),
  update: (value, transaction) => {
    const found = transaction.effects.find((effect) => effect.is(setFindings));
    if (found) return found.value as EntryFindings;
    // Until the reader has seen the new text, what it said of the old one is nowhere.
    return transaction.docChanged ? { wrong: undefined, ghost: '' } : value;
  },
});

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

const markOf = (name: string) => Decoration.mark({ class: name });
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

function decorateFindings(state: EditorState): DecorationSet {
  const { wrong, ghost } = state.field(findings);
  const { length } = state.doc;
  const ranges = [];
  if (wrong && wrong.start < wrong.end && wrong.end <= length) ranges.push(WRONG.range(wrong.start, wrong.end));
  if (ghost !== '') ranges.push(Decoration.widget({ widget: new GhostWidget(ghost), side: 1 }).range(length));
  return Decoration.set(ranges, true);
}

export const entryMarking = [
  findings,
  EditorView.decorations.compute(['doc', 'selection'], decorate),
  EditorView.decorations.compute(['doc', findings], decorateFindings),
];
