import type { RouteRecordRaw } from 'vue-router';

export const scaleRoutes: readonly RouteRecordRaw[] = [
  { path: '/scales', name: 'scales', component: () => import('./ScaleView.vue'), meta: { title: 'Scale rule' } },
];

/** The scale in hand as a strip under the reading; it comes when there is one. */
export const scaleStrip = () => import('./ScaleStrip.vue');
export { OTHER, turnedLabel } from './side-words.ts';
