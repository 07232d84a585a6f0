<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import { useSelection } from '../../session/selection.ts';
import { useWorkings } from '../../session/workings.ts';
import AllParts from './AllParts.vue';

/** How parts are worked: the list of them, or the card of what is picked, which is loaded when something is. */
const PartCard = defineAsyncComponent(() => import('./PartCard.vue'));
const workings = useWorkings();
const selection = useSelection();
const forAll = ref(true);
const planned = computed(() => (selection.isListing ? null : workings.plannedOf(selection.pickedPart?.id)));
</script>

<template>
  <PartCard v-if="planned" v-model:for-all="forAll" :planned="planned" />
  <AllParts v-else />
</template>
