import type { RouteRecordRaw } from 'vue-router';

export const stickRoutes: readonly RouteRecordRaw[] = [
  { path: '/stick', name: 'stick', component: () => import('./StickView.vue'), meta: { title: 'Story stick' } },
];
