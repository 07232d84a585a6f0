import { createRouter, type RouteLocationRaw, type Router, type RouterHistory, type RouteRecordRaw } from 'vue-router';
import { DEMOS } from '../keeping/demos.ts';
import { useKeeper } from '../session/keeper.ts';
import { useSettings } from '../session/settings.ts';
import { loaded } from '../ui/comesLater.ts';
import { finishTyping } from '../ui/typing.ts';
import { PAGES } from './pages.ts';
import { STEPS } from './steps.ts';

/** The very first visit opens on a piece to look at; from then on this is the bench. */
function welcome(): RouteLocationRaw | true {
  const settings = useSettings();
  if (settings.welcomed) return true;
  settings.welcomed = true;
  return { name: 'piece', params: { id: DEMOS[0]!.id, step: 'stitches' }, query: { first: '' } };
}

/** A piece is always looked at in one of its steps. */
function atStep({ params, query }: { params: Record<string, unknown>; query: object }): RouteLocationRaw | true {
  if (STEPS.some(({ id }) => id === params['step'])) return true;
  return { name: 'piece', params: { id: String(params['id']), step: STEPS[0]!.id }, query: { ...query } };
}

const ROUTES: readonly RouteRecordRaw[] = [
  {
    name: 'bench',
    path: PAGES.bench,
    component: () => loaded(() => import('../features/bench/BenchPage.vue')),
    beforeEnter: welcome,
  },
  {
    name: 'begin-name',
    path: PAGES['begin-name'],
    component: () => loaded(() => import('../features/begin/NamePage.vue')),
  },
  {
    name: 'begin-motif',
    path: PAGES['begin-motif'],
    component: () => loaded(() => import('../features/begin/MotifPage.vue')),
  },
  {
    name: 'begin',
    path: PAGES.begin,
    component: () => loaded(() => import('../features/begin/QuestionsPage.vue')),
    props: true,
  },
  {
    name: 'piece',
    path: PAGES.piece,
    component: () => loaded(() => import('./PiecePage.vue')),
    props: true,
    beforeEnter: atStep,
  },
  {
    name: 'light-table',
    path: PAGES['light-table'],
    component: () => loaded(() => import('../features/transfer/LightTablePage.vue')),
    props: true,
  },
  {
    name: 'at-the-hoop',
    path: PAGES['at-the-hoop'],
    component: () => loaded(() => import('../features/at-the-hoop/HoopPage.vue')),
    props: true,
  },
  {
    name: 'take',
    path: PAGES.take,
    component: () => loaded(() => import('../features/hand-over/TakePage.vue')),
    props: true,
  },
  {
    name: 'threads',
    path: PAGES.threads,
    component: () => loaded(() => import('../features/thread-box/ThreadsPage.vue')),
  },
  {
    name: 'compare',
    path: PAGES.compare,
    component: () => loaded(() => import('../features/stitch-book/ComparePage.vue')),
  },
  { name: 'knots', path: PAGES.knots, component: () => loaded(() => import('../features/stitch-book/KnotsPage.vue')) },
  {
    name: 'handling',
    path: PAGES.handling,
    component: () => loaded(() => import('../features/stitch-book/handling/HandlingPage.vue')),
  },
  {
    name: 'practice',
    path: PAGES.practice,
    component: () => loaded(() => import('../features/stitch-book/PracticePage.vue')),
  },
  {
    name: 'book',
    path: PAGES.book,
    component: () => loaded(() => import('../features/stitch-book/BookPage.vue')),
    props: true,
  },
  { path: '/:rest(.*)*', redirect: '/' },
];

/** The ways through the application, each opened by its address. */
export function makeRouter(history: RouterHistory): Router {
  const router = createRouter({ history, routes: ROUTES });
  // Whoever goes elsewhere while typing has typed it: a field says what it holds when it loses the focus.
  router.beforeEach((to, from) => {
    if (to.path !== from.path) finishTyping();
  });

  // A piece is not left before it is kept; where it can’t be, the person decides.
  router.beforeEach((to, from) => {
    const piece = from.params['id'];
    return piece === undefined || to.params['id'] === piece ? true : useKeeper().letGo();
  });
  return router;
}
