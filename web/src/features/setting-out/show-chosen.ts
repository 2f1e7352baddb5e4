import { onMounted, watch, type Ref } from 'vue';

/** Keeps the chosen card of a row that is longer than the screen in view. @param chosen which it is, to be followed */
export function useShowChosen(row: Readonly<Ref<HTMLElement | undefined>>, chosen: () => unknown): void {
  function show(): void {
    row.value?.querySelector('.chosen')?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }
  onMounted(show);
  watch(chosen, show, { flush: 'post' });
}
