import type { RouteRecordRaw } from 'vue-router';

export const accountRoutes: readonly RouteRecordRaw[] = [
  {
    path: '/account',
    name: 'account',
    component: () => import('./AccountView.vue'),
    meta: { title: 'Devices and people' },
  },
  ...(['join', 'new-password', 'confirm'] as const).map((purpose) => ({
    path: `/${purpose}`,
    name: purpose,
    component: () => import('./LinkView.vue'),
    props: { purpose },
  })),
];
