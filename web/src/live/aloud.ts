import { ref, type Ref } from 'vue';
import type { ReadingStyle } from '@sprell/core';

/**
 * What is said to somebody who does not see the screen, its sizes in words. The words are loaded when something is first
 * said; what is said later stands, whichever comes first.
 */
export function useAloud(style: () => ReadingStyle): {
  readonly said: Ref<string>;
  readonly say: (text: string) => void;
} {
  const said = ref('');
  let turn = 0;
  async function speak(text: string): Promise<void> {
    turn += 1;
    const mine = turn;
    const { inWords } = await import('@sprell/core/spoken');
    if (mine === turn) said.value = inWords(text, style());
  }
  const say = (text: string) => {
    // With no signal on the very first day there are no words for it yet: it is said as it is written.
    void speak(text).catch(() => (said.value = text));
  };
  return { said, say };
}
