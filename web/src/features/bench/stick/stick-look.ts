import { reactive, ref } from 'vue';
import { useKept } from '../../../live/use-kept.ts';
import type { MarkOrder } from '../../../parts/marks/mark-order.ts';

/** How the stick is looked at, on this device. */
export interface StickLook {
  order: MarkOrder;
  /** Shows what lies between marks in place of their sizes. */
  gaps: boolean;
  /** Every mark stands in the place of the slate. */
  laidOut: boolean;
}

/** The look that was left; all but the gaps, which are a glance, stays for the next day. */
export function useStickLook(): StickLook {
  return reactive({
    order: useKept<MarkOrder>('stick.order', 'size'),
    gaps: ref(false),
    laidOut: useKept('stick.laid-out', false),
  });
}
