import type { RouteRecordRaw } from 'vue-router';

export const settingOutRoutes: readonly RouteRecordRaw[] = [
  {
    path: '/setting-out/:shape?',
    name: 'setting-out',
    component: () => import('./SettingOutView.vue'),
    meta: { title: 'Setting out' },
    props: ({ params: { shape } }) => ({ shape: typeof shape === 'string' ? shape : '' }),
  },
];
