import { defineStore } from 'pinia';
import { ref } from 'vue';

/** Whether the panel for speaking lies over the screen. It never opens by itself, and after a reload it is closed. */
export const useSpokenPanel = defineStore('spoken', () => {
  const open = ref(false);
  /** Counts what was put on the slate by voice: the bench shows its foot. */
  const landed = ref(0);
  return { open, landed };
});
