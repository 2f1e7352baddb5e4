/** The address of every screen names its job, so that it can be kept as a bookmark and each tab can have its own. */
import { watch } from 'vue';
import type { RouteLocationNormalizedLoaded, Router } from 'vue-router';
import type { Jobs } from '../job/index.ts';

const ID = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** The job that an address names. */
export function jobIn({ query }: Pick<RouteLocationNormalizedLoaded, 'query'>): string | undefined {
  const { job } = query;
  return typeof job === 'string' && ID.test(job) ? job : undefined;
}

/** The same before there is a router. */
export const jobOfPage = (): string | undefined =>
  jobIn({ query: Object.fromEntries(new URLSearchParams(globalThis.location.search)) });

/** Keeps the address and the open job together: links keep the job, another job is another address, and back goes back. */
export function followAddress(router: Router, jobs: Jobs): void {
  router.beforeEach((to) => {
    const open = jobs.open.head?.id;
    if (jobIn(to) !== undefined || open === undefined) return true;
    return { ...to, query: { ...to.query, job: open } };
  });
  router.afterEach((to) => {
    const wanted = jobIn(to);
    if (wanted !== undefined && jobs.open.head !== undefined && wanted !== jobs.open.head.id) void jobs.openJob(wanted);
  });
  watch(
    () => jobs.open.head?.id,
    (id) => {
      const { currentRoute } = router;
      const { path, query, hash } = currentRoute.value;
      if (id === undefined || jobIn(currentRoute.value) === id) return;
      const to = { path, query: { ...query, job: id }, hash };
      void (jobIn(currentRoute.value) === undefined ? router.replace(to) : router.push(to));
    },
  );
}
