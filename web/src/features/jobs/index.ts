import type { RouteRecordRaw } from 'vue-router';

export const jobsRoutes: readonly RouteRecordRaw[] = [
  { path: '/jobs', name: 'jobs', component: () => import('./JobsView.vue'), meta: { title: 'Jobs' } },
];

/** Asks somebody who has no job yet how they measure; it comes when there is somebody to ask. */
export const firstQuestion = () => import('./FirstQuestion.vue');
