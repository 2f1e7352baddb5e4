import type { RouteRecordRaw } from 'vue-router';
import BenchView from './BenchView.vue';

/** The bench is the first screen: it comes with the page. */
export const benchRoutes: readonly RouteRecordRaw[] = [
  { path: '/', name: 'bench', component: BenchView, meta: { title: 'Bench' } },
];
