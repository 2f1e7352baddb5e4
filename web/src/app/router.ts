import { createRouter, createWebHistory } from 'vue-router';
import BenchView from '../features/bench/BenchView.vue';

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'bench', component: BenchView },
    { path: '/stick', name: 'stick', component: () => import('../features/stick/StickView.vue') },
    { path: '/scales', name: 'scales', component: () => import('../features/scale/ScaleView.vue') },
    {
      path: '/setting-out/:shape?',
      name: 'setting-out',
      component: () => import('../features/setting-out/SettingOutView.vue'),
      props: ({ params: { shape } }) => ({ shape: typeof shape === 'string' ? shape : '' }),
    },
    { path: '/account', name: 'account', component: () => import('../features/account/AccountView.vue') },
    ...(['join', 'new-password', 'confirm'] as const).map((purpose) => ({
      path: `/${purpose}`,
      name: purpose,
      component: () => import('../features/account/LinkView.vue'),
      props: { purpose },
    })),
    { path: '/help', name: 'help', component: () => import('../features/help/HelpView.vue') },
    { path: '/licences', name: 'licences', component: () => import('../features/help/LicencesView.vue') },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
});
