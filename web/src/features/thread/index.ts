export { default as ThreadBar } from './ThreadBar.vue';
