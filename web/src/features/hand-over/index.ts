export { default as HandOverDialog } from './HandOverDialog.vue';
