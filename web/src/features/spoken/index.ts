/** Speaking in place of typing. It comes when it is asked for. */
export const spokenPanel = () => import('./SpokenPanel.vue');
