import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/source-serif-4/wght.css';
import './ui/styles/tokens.css';
import './ui/styles/base.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import { createWebHistory } from 'vue-router';
import App from './shell/App.vue';
import { keepApplication } from './offline/newVersion.ts';
import { makeRouter } from './shell/router.ts';

createApp(App).use(createPinia()).use(makeRouter(createWebHistory())).mount('#app');
keepApplication();
