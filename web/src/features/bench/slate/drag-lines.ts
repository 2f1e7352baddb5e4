import Sortable from 'sortablejs';

/**
 * Lets lines be dragged by their grips. The slate is drawn from its own order, so what was dragged is put back where it
 * was taken from, and only the places are reported: from which to which, counted among the lines that are drawn.
 * @returns what ends it
 */
export function dragLines(items: HTMLElement, moved: (from: number, to: number) => void): () => void {
  const sortable = Sortable.create(items, {
    handle: '.grip',
    animation: 120,
    forceFallback: true,
    onEnd: ({ oldIndex, newIndex, item, from }) => {
      if (oldIndex === undefined || newIndex === undefined || oldIndex === newIndex) return;
      const others = [...from.children].filter((child) => child !== item);
      from.insertBefore(item, others[oldIndex] ?? null);
      moved(oldIndex, newIndex);
    },
  });
  return () => {
    sortable.destroy();
  };
}
