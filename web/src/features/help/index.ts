import type { RouteRecordRaw } from 'vue-router';

export const helpRoutes: readonly RouteRecordRaw[] = [
  {
    path: '/help/:page?',
    name: 'help',
    component: () => import('./HelpView.vue'),
    props: ({ params, hash }) => ({ page: String(params['page'] ?? '') || hash.slice(1) }),
    meta: { title: 'Help' },
  },
  { path: '/licences', name: 'licences', component: () => import('./LicencesView.vue'), meta: { title: 'Licences' } },
];
