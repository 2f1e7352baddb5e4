/** What is to be done behind the coming frame, in the order in which it was asked for. */
const due = new Set<() => void>();

/**
 * Does something when the coming frame has been painted. Asked for again before that, it is done once. All that waits
 * has one frame and one timer between them, since asking for each has its price in the frame that is to be quick.
 */
export function behindPaint(act: () => void): void {
  if (due.size === 0) requestAnimationFrame(whenIdle);
  due.add(act);
}

/** A key that came meanwhile, and its frame, go first. */
function whenIdle(): void {
  if ('scheduler' in globalThis) void scheduler.postTask(doDue, { priority: 'background' });
  else setTimeout(doDue);
}

function doDue(): void {
  const acts = [...due];
  due.clear();
  for (const act of acts) {
    try {
      act();
    } catch (error) {
      // It is reported like any other that nobody caught, and does not hold up the rest.
      reportError(error);
    }
  }
}
