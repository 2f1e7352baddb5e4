import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow/latin-600.css';
import '@fontsource/barlow-semi-condensed/latin-500.css';
import '@fontsource/barlow-semi-condensed/latin-600.css';
import './styles/base.css';
import './styles/element.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './app/App.vue';
import { router } from './app/router.ts';
import { beginFirstSteps, FIRST_STEPS } from './features/first-steps/index.ts';

if (location.pathname === FIRST_STEPS) void beginFirstSteps();
else createApp(App).use(createPinia()).use(router).mount('#app');
