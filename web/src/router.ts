import { createRouter, createWebHistory } from 'vue-router';
import BenchPage from './pages/BenchPage.vue';
import { STEPS } from './steps/steps.ts';

const stepIds = STEPS.map((step) => step.id).join('|');

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'bench', component: BenchPage },
    {
      path: `/piece/:id/:step(${stepIds})`,
      name: 'piece',
      component: () => import('./pages/PiecePage.vue'),
      props: true,
    },
    { path: '/piece/:id', redirect: (to) => ({ name: 'piece', params: { ...to.params, step: STEPS[0]!.id } }) },
    { path: '/stitches/compare', name: 'compare', component: () => import('./pages/ComparePage.vue') },
    { path: '/stitches/knots', name: 'knots', component: () => import('./pages/KnotsPage.vue') },
    { path: '/stitches/practice', name: 'practice', component: () => import('./pages/PracticePage.vue') },
    { path: '/stitches/:id?', name: 'book', component: () => import('./pages/BookPage.vue'), props: true },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
});
