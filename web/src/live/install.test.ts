import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import { installPrompt } from './install-asked.ts';
import { useInstall } from './install.store.ts';

const MONDAY = new Date('2026-11-30T09:00:00');
const TUESDAY = new Date('2026-12-01T07:00:00');
const prompt = vi.fn(() => Promise.resolve({ outcome: 'accepted' }));
/** A browser that can install says so some time after it opened the page. */
function canInstall(): Event {
  const event = Object.assign(new Event('beforeinstallprompt', { cancelable: true }), { prompt });
  window.dispatchEvent(event);
  return event;
}
beforeEach(() => {
  localStorage.clear();
  installPrompt.value = undefined;
  setActivePinia(createPinia());
  prompt.mockClear();
});

describe('the offer to install', () => {
  it('is made on the second day of work, where the browser can, in place of its own question', () => {
    const install = useInstall();
    expect(canInstall().defaultPrevented).toBe(true);
    expect(install.canInstall).toBe(true);
    install.worked(MONDAY);
    install.worked(MONDAY);
    expect(install.isOffered).toBe(false);
    install.worked(TUESDAY);
    expect(install.isOffered).toBe(true);
  });

  it('is not made where the browser cannot', () => {
    const install = useInstall();
    install.worked(MONDAY);
    install.worked(TUESDAY);
    expect(install.isOffered).toBe(false);
  });

  it('is made once: taken or not, it does not come again, and stays in the settings', async () => {
    const install = useInstall();
    canInstall();
    install.worked(MONDAY);
    install.worked(TUESDAY);
    install.said();
    expect([install.isOffered, install.canInstall]).toEqual([false, true]);
    await install.install();
    expect(prompt).toHaveBeenCalledOnce();
    expect(install.canInstall).toBe(false);
    await nextTick();
    setActivePinia(createPinia());
    const later = useInstall();
    canInstall();
    later.worked(new Date('2026-12-05T09:00:00'));
    expect(later.isOffered).toBe(false);
  });
});
