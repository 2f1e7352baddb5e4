import { useEventListener } from '@vueuse/core';
import { useHand } from '../entry/hand.ts';
import { useMeter } from '../../live/meter.store.ts';
import { useJob } from '../../live/use-jobs.ts';
import { hearMeter } from './hear-meter.ts';

/** Hears measuring tools that type, in every room, as long as its component is there. */
export function listenToMeter(): void {
  const job = useJob();
  const hand = useHand();
  const meter = useMeter();
  const hear = hearMeter({
    style: () => job.style,
    entry: () => {
      const at = document.activeElement;
      if (at?.matches('input[data-size-input]') && hand.field) return { handle: hand.field, isBenchs: false };
      return at?.closest('[data-test=entry]') && hand.active ? { handle: hand.active, isBenchs: true } : undefined;
    },
    hold: (size, isLoose) => {
      meter.hold(size, isLoose);
    },
  });
  useEventListener(window, 'keydown', hear, { capture: true });
}
