/** Frames and timers by hand: what is due is kept until it is let go. */
import { vi } from 'vitest';

let frames: (() => void)[] = [];

/** To be called before each test; what it returns is to be called behind it. */
export function framesByHand(): () => void {
  frames = [];
  vi.useFakeTimers();
  vi.stubGlobal('requestAnimationFrame', (draw: () => void) => frames.push(draw));
  return () => {
    drawFrame();
    vi.runAllTimers();
    vi.unstubAllGlobals();
    vi.useRealTimers();
  };
}

/** How many frames were asked for and are still to come. */
export const framesAsked = (): number => frames.length;

/** Draws the frame that is due. What is to happen behind it waits for its timers. */
export function drawFrame(): void {
  const due = frames;
  frames = [];
  for (const draw of due) draw();
}
