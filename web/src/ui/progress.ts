/** Shown where something takes long, and loaded then. */
export { NProgress } from 'naive-ui';
