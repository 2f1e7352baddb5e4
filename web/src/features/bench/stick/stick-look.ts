import { reactive, ref, watch } from 'vue';
import { remember, remembered } from '../../../adapters/local-memory.ts';
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
  const look = reactive({
    order: ref(remembered<MarkOrder>('stick.order') ?? 'size'),
    gaps: ref(false),
    laidOut: ref(remembered<boolean>('stick.laid-out') === true),
  });
  watch(
    () => look.order,
    (order) => remember('stick.order', order),
  );
  watch(
    () => look.laidOut,
    (laidOut) => remember('stick.laid-out', laidOut ? true : undefined),
  );
  return look;
}
