import type { RouteRecordRaw } from 'vue-router';

export { ABOUT_QUANTITIES, QUANTITY_KEYS } from './about-quantities.ts';

export const quantitiesRoutes: readonly RouteRecordRaw[] = [
  {
    path: '/quantities',
    name: 'quantities',
    component: () => import('./QuantitiesView.vue'),
    meta: { title: 'Quantities' },
  },
];
