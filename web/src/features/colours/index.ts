export { default as ShadePicker } from './ShadePicker.vue';
