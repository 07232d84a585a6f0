export { default as ShareDialog } from './ShareDialog.vue';
