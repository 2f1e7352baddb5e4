import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick, ref } from 'vue';
import { drawFrame, framesAsked, framesByHand } from '../testing/frames.ts';
import { afterPaint } from './after-paint.ts';
import { forDrawing, type Drawn } from './drawn.ts';

beforeEach(framesByHand);

function follower() {
  const typed = ref('');
  const seen: string[] = [];
  const panel = mount({
    setup: () => {
      const late = afterPaint(() => typed.value);
      return () => {
        seen.push(forDrawing(late.value));
        return forDrawing(late.value);
      };
    },
  });
  const type = async (text: string) => {
    typed.value = text;
    await nextTick();
  };
  return { typed, seen, panel, type };
}

describe('what follows by a frame', () => {
  it('is there from the start, and changes once the frame that shows the reading has been drawn', async () => {
    const { panel, type } = follower();
    await type('5′');
    expect(panel.text()).toBe('');
    drawFrame();
    await nextTick();
    // In the frame itself nothing is done: it is behind it.
    expect(panel.text()).toBe('');
    vi.runAllTimers();
    await nextTick();
    expect(panel.text()).toBe('5′');
  });

  it('makes its room in the same frame when it first comes, if that is wanted, and is late from then on', async () => {
    const found = ref<string>();
    const panel = mount({
      setup: () => {
        const late = afterPaint(() => found.value, { firstAtOnce: true });
        return () => forDrawing(late.value) ?? 'nothing';
      },
    });
    const find = async (text: string | undefined) => {
      found.value = text;
      await nextTick();
    };
    await find('5′');
    expect(panel.text()).toBe('5′');
    await find('5′ 3″');
    expect(panel.text()).toBe('5′');
    drawFrame();
    vi.runAllTimers();
    await nextTick();
    expect(panel.text()).toBe('5′ 3″');
    await find(undefined);
    drawFrame();
    vi.runAllTimers();
    await find('7′');
    expect(panel.text()).toBe('nothing');
  });

  it('passes over what came faster than frames', async () => {
    const { seen, type } = follower();
    for (const text of ['5', '5′', '5′ 3', '5′ 3″']) await type(text);
    drawFrame();
    vi.runAllTimers();
    await nextTick();
    expect(seen).toEqual(['', '5′ 3″']);
  });

  it('takes the last word, also of what came between the frame and what is behind it', async () => {
    const { panel, type } = follower();
    await type('5′');
    drawFrame();
    await type('5′ 3″');
    vi.runAllTimers();
    await nextTick();
    expect(panel.text()).toBe('5′ 3″');
    expect(framesAsked()).toBe(0);
  });

  it('is let go of with what shows it', async () => {
    const { panel, seen, type } = follower();
    await type('5′');
    panel.unmount();
    drawFrame();
    vi.runAllTimers();
    await nextTick();
    expect(seen).toEqual(['']);
  });
});

describe('a value kept for drawing', () => {
  it('is nothing that an action can be given', () => {
    const post = (amount: { readonly entry: string }) => amount.entry;
    const late = { entry: '5′' } as unknown as Drawn<{ readonly entry: string }>;
    // @ts-expect-error -- the very thing that is to be impossible
    expect(post(late)).toBe('5′');
    // @ts-expect-error -- nor can anything of it be read
    expect(late.entry).toBe('5′');
    expect(forDrawing(late).entry).toBe('5′');
  });
});
