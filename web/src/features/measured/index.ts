/** What measuring tools sent, and a simulated one. Each comes when it is asked for. */
export const measuredPanel = () => import('./MeasuredPanel.vue');
export const meterNotice = () => import('./MeterNotice.vue');
export const simulatedMeter = () => import('./SimulatedMeter.vue');
