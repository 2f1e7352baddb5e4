import type { RouteRecordRaw } from 'vue-router';

export const paperRoutes: readonly RouteRecordRaw[] = [
  { path: '/paper', name: 'paper', component: () => import('./JobSheetView.vue'), meta: { title: 'Job sheet' } },
];

/** The job sheet as it was set up last, for the browser's own print command. */
export const printedJobSheet = () => import('./PrintedJobSheet.vue');
