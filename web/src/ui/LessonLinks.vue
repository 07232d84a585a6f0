<script setup lang="ts">
import { RouterLink } from 'vue-router';
import { LESSON_NAMES, type LessonId } from './lessonNames.ts';

/** Links to lessons in handling, each opened beside what one is at. */
defineProps<{ lessons: readonly LessonId[] }>();
</script>

<template>
  <span>
    <template v-for="(id, i) in lessons" :key="id"
      ><template v-if="i > 0">, </template
      ><RouterLink :to="{ name: 'handling', hash: `#${id}` }" target="_blank">{{
        LESSON_NAMES[id]
      }}</RouterLink></template
    >
  </span>
</template>

<style scoped>
a {
  color: inherit;
}
</style>
