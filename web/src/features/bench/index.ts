import type { RouteLocation, RouteLocationRaw, RouteRecordRaw } from 'vue-router';
import { insertAtEnd } from '../../parts/entry/written-down.ts';
import BenchView from './BenchView.vue';
import { sharedText } from './shared-text.ts';

/** Text that another application shared stands in the entry, behind what was written there. */
function takeShared({ query }: RouteLocation): RouteLocationRaw {
  const text = sharedText(query);
  if (text !== '') insertAtEnd(text);
  return { path: '/', query: {}, replace: true };
}

export { BenchView };

/** The bench is the first screen: it comes with the page. */
export const benchRoutes: readonly RouteRecordRaw[] = [
  { path: '/', name: 'bench', component: BenchView, meta: { title: 'Bench' } },
  { path: '/shared', name: 'shared', redirect: takeShared },
];
