import { defineStore } from 'pinia';
import { computed, markRaw, onScopeDispose, shallowRef } from 'vue';
import { deviceHere } from '../adapters/device.ts';
import { Jobs, type OpenJob } from '../job/index.ts';

/** Everything that the jobs hold as values that screens follow. */
const useStore = defineStore('jobs', () => {
  const jobs = new Jobs(deviceHere(), { cell: shallowRef, derived: computed });
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
