import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { nextTick } from 'vue';
import { useComfort } from './comfort.store.ts';

beforeEach(() => {
  localStorage.clear();
  setActivePinia(createPinia());
});

describe('comfort', () => {
  it('is shown at once, and is there again after a reload', async () => {
    const { comfort } = useComfort();
    Object.assign(comfort, { look: 'night', textSize: 'largest', gloves: true, leftHanded: true });
    await nextTick();
    const { look, text, gloves, hand } = document.documentElement.dataset;
    expect([look, text, gloves, hand]).toEqual(['night', 'largest', 'true', 'left']);
    setActivePinia(createPinia());
    expect(useComfort().comfort).toMatchObject({ look: 'night', gloves: true, showKeys: true });
  });

  it('knows which hints were put away', async () => {
    const { putAway } = useComfort();
    putAway('keep');
    putAway('keep');
    await nextTick();
    setActivePinia(createPinia());
    expect(useComfort().comfort.hintsSeen).toEqual(['keep']);
  });
});
