import { EditorState } from '@codemirror/state';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { LateEditor } from './LateEditor.ts';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => {
  vi.advanceTimersByTime(1000);
  vi.useRealTimers();
  vi.restoreAllMocks();
});

function anEditor() {
  const measured: string[] = [];
  const frames: (() => void)[] = [];
  const editor = new LateEditor({ state: EditorState.create({ doc: `5'` }), parent: document.body });
  // The editor asks its own window for frames.
  vi.spyOn(window, 'requestAnimationFrame').mockImplementation((draw) => frames.push(draw as () => void));
  vi.spyOn(globalThis, 'requestAnimationFrame').mockImplementation((draw) => frames.push(draw as () => void));
  const paint = () => {
    for (const draw of frames.splice(0)) draw();
    vi.advanceTimersByTime(50);
  };
  // What was asked for while it was made.
  vi.advanceTimersByTime(200);
  for (let n = 0; n < 3; n += 1) paint();
  const ask = (name: string, then?: () => void) => {
    editor.requestMeasure({
      read: () => {
        measured.push(name);
        then?.();
      },
    });
  };
  return { editor, ask, paint, measured, frames };
}

describe('an editor that measures late', () => {
  it('measures in the frame behind the one that is to be quick, all that was asked for together', () => {
    const { editor, ask, paint, measured } = anEditor();
    ask('cursor');
    ask('suggestions');
    expect(measured).toEqual([]);
    paint();
    expect(measured).toEqual([]);
    paint();
    expect(measured).toEqual(['cursor', 'suggestions']);
    for (let n = 0; n < 4; n += 1) paint();
    editor.destroy();
  });

  it('measures at once what is asked for while it measures, and then rests', () => {
    const { editor, ask, paint, measured, frames } = anEditor();
    ask('cursor', () => ask('what hangs on it'));
    for (let n = 0; n < 6; n += 1) paint();
    expect(measured).toEqual(['cursor', 'what hangs on it']);
    expect(frames).toEqual([]);
    editor.destroy();
  });
});
