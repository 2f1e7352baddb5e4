/** Measuring tools that type. They are listened to once the page is there. */
export { default as MeasuredTools } from './MeasuredTools.vue';
