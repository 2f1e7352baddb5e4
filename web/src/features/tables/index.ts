import type { RouteRecordRaw } from 'vue-router';

export const tablesRoutes: readonly RouteRecordRaw[] = [
  {
    path: '/tables',
    name: 'tables',
    component: () => import('./TablesView.vue'),
    meta: { title: 'Tables' },
  },
];
