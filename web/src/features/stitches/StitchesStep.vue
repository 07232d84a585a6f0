<script setup lang="ts">
import { computed, ref } from 'vue';
import { useSelection } from '../../session/selection.ts';
import { useWorkings } from '../../session/workings.ts';
import AllParts from './AllParts.vue';
import { comesLater } from '../../ui/comesLater.ts';

/** How parts are worked: the list of them, or the card of what is picked, which is loaded when something is. */
const PartCard = comesLater(() => import('./PartCard.vue'));
const workings = useWorkings();
const selection = useSelection();
const forAll = ref(true);
const planned = computed(() => (selection.isListing ? null : workings.plannedOf(selection.pickedPart?.id)));
</script>

<template>
  <PartCard v-if="planned" v-model:for-all="forAll" :planned="planned" />
  <AllParts v-else />
</template>
