import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/source-serif-4/wght.css';
import './ui/styles/tokens.css';
import './ui/styles/base.css';
import { promiseTimeout } from '@vueuse/core';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import { createWebHistory } from 'vue-router';
import App from './shell/App.vue';
import { keepApplication } from './offline/newVersion.ts';
import { useSettings } from './session/settings.ts';
import { makeRouter } from './shell/router.ts';

/** Storage that answers later than this is not waited for, ms: the page opens as it was set last, as far as it knows. */
const SETTINGS_MS = 800;

const app = createApp(App).use(createPinia());
await Promise.race([useSettings().load(), promiseTimeout(SETTINGS_MS)]);
app.use(makeRouter(createWebHistory())).mount('#app');
keepApplication();
