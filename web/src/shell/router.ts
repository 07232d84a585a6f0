import { createRouter, createWebHistory, type RouteLocationRaw } from 'vue-router';
import { DEMOS } from '../keeping/demos.ts';
import BenchPage from '../features/bench/BenchPage.vue';
import { STEPS } from './steps.ts';
import { useSettings } from '../session/settings.ts';

const stepIds = STEPS.map((step) => step.id).join('|');

/** The very first visit opens on a piece to look at; from then on this is the bench. */
function welcome(): RouteLocationRaw | true {
  const settings = useSettings();
  if (settings.welcomed) return true;
  settings.welcomed = true;
  return { name: 'piece', params: { id: DEMOS[0]!.id, step: 'stitches' } };
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'bench', component: BenchPage, beforeEnter: welcome },
    {
      path: `/piece/:id/:step(${stepIds})`,
      name: 'piece',
      component: () => import('./PiecePage.vue'),
      props: true,
    },
    { path: '/piece/:id', redirect: (to) => ({ name: 'piece', params: { ...to.params, step: STEPS[0]!.id } }) },
    {
      path: '/light-table/:id',
      name: 'light-table',
      component: () => import('../features/transfer/LightTablePage.vue'),
      props: true,
    },
    { path: '/threads', name: 'threads', component: () => import('../features/thread-box/ThreadsPage.vue') },
    { path: '/stitches/compare', name: 'compare', component: () => import('../features/stitch-book/ComparePage.vue') },
    { path: '/stitches/knots', name: 'knots', component: () => import('../features/stitch-book/KnotsPage.vue') },
    {
      path: '/stitches/practice',
      name: 'practice',
      component: () => import('../features/stitch-book/PracticePage.vue'),
    },
    {
      path: '/stitches/:id?',
      name: 'book',
      component: () => import('../features/stitch-book/BookPage.vue'),
      props: true,
    },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
});
