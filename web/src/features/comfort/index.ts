/** Looks, text size and what the bench shows; it comes when it is asked for. */
export const comfortPanel = () => import('./ComfortPanel.vue');
