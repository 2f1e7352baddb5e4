import { computed, nextTick, ref } from 'vue';
import { useEventListener } from '@vueuse/core';
import { useJob } from '../../live/use-jobs.ts';
import { useShownVersion } from '../../live/shown-version.ts';
import type { JobRow, JobSection, Quantities } from '../../job/quantities.ts';
import { shownIn } from './columns.ts';
import { sortedRows, type SortedBy } from './sorted.ts';

/** Which rows are shown, and in which order: those of one version, those that are looked for. No figure changes by it. */
export function useShown(list: Quantities, onEnd: () => void) {
  const job = useJob();
  const { versions, versionNow } = useShownVersion(list);

  const sought = ref('');
  const isSearching = ref(false);
  /** Rows that were asked for by what is wrong with them. */
  const only = ref<ReadonlySet<string>>();
  const sortedBy = ref<SortedBy>();
  const isWhole = computed(
    () => sought.value.trim() === '' && only.value === undefined && sortedBy.value === undefined,
  );

  const isOfVersion = ({ item }: JobRow) =>
    item.versions.length === 0 || item.versions.includes(versionNow.value ?? '');
  function isShown(row: JobRow): boolean {
    const words = sought.value.trim().toLowerCase();
    const { item, cells } = row;
    const said = [item.name, item.supplier, item.note, ...Object.values(cells), shownIn(row, 'quantity', job.style)];
    return (
      isOfVersion(row) &&
      (only.value === undefined || only.value.has(row.id)) &&
      (words === '' || said.some((text) => text.toLowerCase().includes(words)))
    );
  }
  const ofVersion = computed(() => list.rows.filter(isOfVersion));
  const sections = computed<readonly JobSection[]>(() =>
    list.sections.flatMap((section) => {
      const rows = sortedRows(section.rows.filter(isShown), sortedBy.value, job.style);
      return isWhole.value || rows.length > 0 ? [{ ...section, rows }] : [];
    }),
  );
  const rows = computed(() => sections.value.flatMap((section) => section.rows));

  async function find(): Promise<void> {
    isSearching.value = true;
    await nextTick();
    document.querySelector<HTMLInputElement>('[data-test=find-row]')?.focus();
  }
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.key !== 'f' || (!event.ctrlKey && !event.metaKey) || event.defaultPrevented) return;
    event.preventDefault();
    void find();
  });
  function showAll(): void {
    isSearching.value = false;
    sought.value = '';
    only.value = undefined;
    sortedBy.value = undefined;
    onEnd();
  }
  function sort(column: string): void {
    const now = sortedBy.value;
    if (now?.column !== column) sortedBy.value = { column, isDown: false };
    else sortedBy.value = now.isDown ? undefined : { column, isDown: true };
  }
  return {
    versions,
    versionNow,
    sought,
    isSearching,
    only,
    sortedBy,
    isWhole,
    ofVersion,
    sections,
    rows,
    find,
    showAll,
    sort,
  };
}
export type Shown = ReturnType<typeof useShown>;
