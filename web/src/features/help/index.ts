import type { RouteRecordRaw } from 'vue-router';

export const helpRoutes: readonly RouteRecordRaw[] = [
  { path: '/help', name: 'help', component: () => import('./HelpView.vue'), meta: { title: 'Help' } },
  { path: '/licences', name: 'licences', component: () => import('./LicencesView.vue'), meta: { title: 'Licences' } },
];
