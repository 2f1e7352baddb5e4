import { defineStore } from 'pinia';
import { toReactive } from '@vueuse/core';
import { ref, watch } from 'vue';
import { useKept } from './use-kept.ts';

export type Look = 'timber' | 'night' | 'sun';
export type TextSize = 'usual' | 'large' | 'largest';

/** How the bench suits the person at it. Of this device: a phone on site and a laptop in the van want different things. */
export interface Comfort {
  look: Look;
  textSize: TextSize;
  /** Keys and targets for a gloved thumb. */
  gloves: boolean;
  /** The story stick, and the keys that are used most, at the left. */
  leftHanded: boolean;
  /** A short buzz at each key, where the device can. */
  tick: boolean;
  showKeys: boolean;
  showTape: boolean;
  showAlsoReads: boolean;
  showStick: boolean;
  /** First-run hints that were put away. */
  hintsSeen: string[];
}

const DEFAULTS: Comfort = {
  look: 'timber',
  textSize: 'usual',
  gloves: false,
  leftHanded: false,
  tick: false,
  showKeys: true,
  showTape: true,
  showAlsoReads: true,
  showStick: true,
  hintsSeen: [],
};

/** Colours of the browser's own frame around each look. */
const FRAME: Readonly<Record<Look, string>> = { timber: '#efe4cf', night: '#1b1d20', sun: '#ffffff' };

export const useComfort = defineStore('comfort', () => {
  const comfort = toReactive(useKept<Comfort>('comfort', DEFAULTS));

  watch(comfort, show, { deep: true, immediate: true });

  function show(): void {
    const { dataset } = document.documentElement;
    dataset['look'] = comfort.look;
    dataset['text'] = comfort.textSize;
    dataset['hand'] = comfort.leftHanded ? 'left' : 'right';
    dataset['gloves'] = String(comfort.gloves);
    document.querySelector('meta[name=theme-color]')?.setAttribute('content', FRAME[comfort.look]);
  }

  function tick(): void {
    if (comfort.tick && 'vibrate' in navigator) navigator.vibrate(8);
  }

  function putAway(hint: string): void {
    if (!comfort.hintsSeen.includes(hint)) comfort.hintsSeen.push(hint);
  }

  /** The settings lie over the screen. */
  const open = ref(false);
  return { comfort, tick, putAway, open };
});
