import { EditorView } from '@codemirror/view';
import { behindPaint } from '../../../ui/behind-paint.ts';

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
}
