import type { RouteRecordRaw } from 'vue-router';

export const quantitiesRoutes: readonly RouteRecordRaw[] = [
  {
    path: '/quantities',
    name: 'quantities',
    component: () => import('./QuantitiesView.vue'),
    meta: { title: 'Quantities' },
  },
];
