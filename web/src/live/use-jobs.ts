import { defineStore } from 'pinia';
import { computed, markRaw, onScopeDispose, shallowRef } from 'vue';
import { deviceHere } from '../adapters/device.ts';
import { jobOfPage } from './job-address.ts';
import { Jobs, type JobSearch, type OpenJob } from '../job/index.ts';

/** Everything that the jobs hold as values that screens follow. */
const useStore = defineStore('jobs', () => {
  const jobs = new Jobs(deviceHere(), { cell: shallowRef, derived: computed }, jobOfPage());
  onScopeDispose(() => {
    jobs.dispose();
  });
  return { jobs: markRaw(jobs) };
});

/** The jobs of this device. */
export function useJobs(): Jobs {
  return useStore().jobs;
}

/** The open job, live. */
export function useJob(): OpenJob {
  return useStore().jobs.open;
}

/** Looks through the jobs of this device, until its screen is left. It comes when it is first asked. */
export function useJobSearch(): Pick<JobSearch, 'find'> {
  let search: Promise<JobSearch> | undefined;
  onScopeDispose(() => void search?.then((one) => one.dispose()));
  return {
    find: async (...asked) => {
      search ??= import('../job/job-search.ts').then((made) => new made.JobSearch(deviceHere()));
      return (await search).find(...asked);
    },
  };
}
