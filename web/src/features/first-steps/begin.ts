import { createPinia } from 'pinia';
import { createApp } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';
import { beginPractice } from '../../adapters/practice-device.ts';
import FirstSteps from './FirstSteps.vue';

/** The bench by itself on a device for practice. Other rooms are not there: what would lead to one stays where it is. */
export function begin(): void {
  beginPractice();
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:rest(.*)*', component: FirstSteps }],
  });
  createApp(FirstSteps).use(createPinia()).use(router).mount('#app');
}
