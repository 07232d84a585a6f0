export { default as ShadePicker } from './ShadePicker.vue';
export { default as ErrorCurve } from './ErrorCurve.vue';
