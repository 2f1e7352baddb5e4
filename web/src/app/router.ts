import { createRouter, createWebHistory } from 'vue-router';
import { accountRoutes } from '../features/account/index.ts';
import { benchRoutes } from '../features/bench/index.ts';
import { jigsRoutes } from '../features/jigs/index.ts';
import { jobsRoutes } from '../features/jobs/index.ts';
import { helpRoutes } from '../features/help/index.ts';
import { paperRoutes } from '../features/paper/index.ts';
import { quantitiesRoutes } from '../features/quantities/index.ts';
import { scaleRoutes } from '../features/scale/index.ts';
import { settingOutRoutes } from '../features/setting-out/index.ts';
import { tablesRoutes } from '../features/tables/index.ts';
import { stickRoutes } from '../features/stick/index.ts';

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    ...benchRoutes,
    ...stickRoutes,
    ...scaleRoutes,
    ...settingOutRoutes,
    ...quantitiesRoutes,
    ...paperRoutes,
    ...jigsRoutes,
    ...tablesRoutes,
    ...jobsRoutes,
    ...accountRoutes,
    ...helpRoutes,
    { path: '/:rest(.*)*', redirect: '/' },
  ],
});
