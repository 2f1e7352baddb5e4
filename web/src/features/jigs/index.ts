import type { RouteRecordRaw } from 'vue-router';

export const jigsRoutes: readonly RouteRecordRaw[] = [
  {
    path: '/jigs/:jig?',
    name: 'jigs',
    component: () => import('./JigsView.vue'),
    meta: { title: 'Jigs' },
    props: ({ params: { jig } }) => ({ jig: typeof jig === 'string' ? jig : '' }),
  },
];
