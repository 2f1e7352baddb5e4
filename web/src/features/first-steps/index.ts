/** Where the first steps are: an address of its own, since nothing on that page works on the jobs of the device. */
export const FIRST_STEPS = '/first-steps';

/** Begins the page of the first steps, in place of the application. */
export const beginFirstSteps = () => import('./begin.ts').then(({ begin }) => begin());
