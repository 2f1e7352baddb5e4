/** The offer to install; it comes behind the page. */
export { default as InstallOffer } from './InstallOffer.vue';
