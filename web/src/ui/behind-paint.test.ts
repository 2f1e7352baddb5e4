import { beforeEach, describe, expect, it, vi } from 'vitest';
import { drawFrame, framesAsked, framesByHand } from '../testing/frames.ts';
import { behindPaint } from './behind-paint.ts';

beforeEach(framesByHand);

const paint = (): void => {
  drawFrame();
  vi.runAllTimers();
};

describe('what is done behind a frame', () => {
  it('waits for one frame all together, in the order asked for, each once', () => {
    const done: string[] = [];
    const first = () => done.push('first');
    const second = () => done.push('second');
    for (const act of [first, second, first]) behindPaint(act);
    expect(framesAsked()).toBe(1);
    expect(done).toEqual([]);
    paint();
    expect(done).toEqual(['first', 'second']);
    paint();
    expect(done).toHaveLength(2);
  });

  it('waits for a frame of its own when asked for by something that was due', () => {
    const done: string[] = [];
    behindPaint(() => {
      done.push('now');
      behindPaint(() => done.push('next'));
    });
    paint();
    expect(done).toEqual(['now']);
    paint();
    expect(done).toEqual(['now', 'next']);
  });

  it('is not held up by one that fails, which is reported', () => {
    const reported = vi.fn();
    vi.stubGlobal('reportError', reported);
    const done: string[] = [];
    behindPaint(() => {
      throw new Error('spilt');
    });
    behindPaint(() => done.push('after'));
    paint();
    expect(done).toEqual(['after']);
    expect(reported).toHaveBeenCalledWith(new Error('spilt'));
  });
});
