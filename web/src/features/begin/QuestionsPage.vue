<script setup lang="ts">
import PieceToOpen from '../../session/PieceToOpen.vue';
import FourQuestions from './FourQuestions.vue';

/** What is asked of a new piece before it is planned: each question can be left out. */
defineProps<{ id: string }>();
</script>

<template>
  <PieceToOpen :id="id"><FourQuestions /></PieceToOpen>
</template>
