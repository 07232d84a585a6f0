export { default as PhotoRow } from './PhotoRow.vue';
