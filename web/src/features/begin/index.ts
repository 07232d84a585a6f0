export { default as BeginDoors } from './BeginDoors.vue';
export { default as ThreeVersions } from './ThreeVersions.vue';
