import { EditorView } from '@codemirror/view';
import { behindPaint } from '../../ui/behind-paint.ts';

/**
 * An editor that measures itself in the frame behind the one that shows a letter: in a line where nothing has to be
 * scrolled, what it measures puts no letter elsewhere.
 */
export class LateEditor extends EditorView {
  /** What asks to be measured while that is done is measured along with it. Nothing is set here: asked for while it is made. */
  declare private isMeasuring?: boolean;

  override requestMeasure(request?: Parameters<EditorView['requestMeasure']>[0]): void {
    if (this.isMeasuring === true) super.requestMeasure(request);
    else
      behindPaint(() => {
        // Frames that are asked for one after the other come one after the other: these stand around the measuring.
        requestAnimationFrame(() => (this.isMeasuring = true));
        super.requestMeasure(request);
        requestAnimationFrame(() => (this.isMeasuring = false));
      });
  }

  /**
   * Puts the browser's cursor where the editor has it. Parts that are marked again right after the entry was gone to carry the
   * browser's cursor to the front, and there the editor takes it for what it is itself about to mend, and lets it be: what
   * is typed next would stand in front of what is there.
   */
  keepCursor(): void {
    if (!this.hasFocus || this.composing) return;
    const shown = this.contentDOM.ownerDocument.getSelection();
    const { anchor, head } = this.state.selection.main;
    const isAt = (node: Node | null | undefined, offset: number, place: number): boolean =>
      node !== null && node !== undefined && this.contentDOM.contains(node) && this.posAtDOM(node, offset) === place;
    if (
      !shown ||
      (isAt(shown.anchorNode, shown.anchorOffset, anchor) && isAt(shown.focusNode, shown.focusOffset, head))
    )
      return;
    const from = this.domAtPos(anchor);
    const to = this.domAtPos(head);
    shown.setBaseAndExtent(from.node, from.offset, to.node, to.offset);
  }
}
