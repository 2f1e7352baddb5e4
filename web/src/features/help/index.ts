import type { RouteRecordRaw } from 'vue-router';

export const helpRoutes: readonly RouteRecordRaw[] = [
  { path: '/help', name: 'help', component: () => import('./HelpView.vue') },
  { path: '/licences', name: 'licences', component: () => import('./LicencesView.vue') },
];
