export { default as FinishSteps } from './FinishSteps.vue';
