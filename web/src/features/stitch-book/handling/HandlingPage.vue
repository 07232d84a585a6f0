<script setup lang="ts">
import { NInput } from 'naive-ui';
import { computed, nextTick, onMounted, ref } from 'vue';
import { useRoute } from 'vue-router';
import ChoiceField from '../../../ui/ChoiceField.vue';
import { useOpenedPiece } from '../../../session/openedPiece.ts';
import BookHeader from '../BookHeader.vue';
import HandlingDrawing from './HandlingDrawing.vue';
import { firstLessons, LESSON_NAMES } from '../../../ui/lessonNames.ts';
import { findLessons, LESSONS } from './lessons.ts';

/** Short lessons in the handling that nobody draws. */
const opened = useOpenedPiece();
const route = useRoute();
const search = ref('');
const hand = ref<'right' | 'left'>(opened.piece.worker.hand);
const HANDS: { value: 'right' | 'left'; label: string }[] = [
  { value: 'right', label: 'right hand' },
  { value: 'left', label: 'left hand' },
];
const found = computed(() => findLessons(search.value));
const first = LESSONS.filter(({ id }) => firstLessons(true).includes(id));
onMounted(async () => {
  await nextTick();
  if (route.hash) document.querySelector(route.hash)?.scrollIntoView();
});
</script>

<template>
  <main class="handling">
    <BookHeader />
    <div class="body">
      <div class="top">
        <NInput
          v-model:value="search"
          size="small"
          clearable
          placeholder="Search: thread, knot, hoop, unpick…"
          :input-props="{ 'aria-label': 'Search the lessons' }"
        />
        <ChoiceField label="For the" :value="hand" :options="HANDS" @change="(side) => (hand = side)" />
      </div>
      <p v-if="search === ''" class="soft">
        For a first sitting, these are enough:
        <template v-for="({ id }, i) in first" :key="id"
          ><template v-if="i > 0">, </template><a :href="`#${id}`">{{ LESSON_NAMES[id] }}</a></template
        >.
      </p>
      <p v-if="found.length === 0" class="soft" role="status">
        No lesson has that name. Try: start, finish, tight, twist.
      </p>
      <section v-for="lesson in found" :id="lesson.id" :key="lesson.id" data-test="lesson">
        <h2>{{ lesson.name }}</h2>
        <ol>
          <li v-for="({ say, figures }, i) in lesson.drawings" :key="i">
            <HandlingDrawing :figures="figures" :mirrored="hand === 'left'" :label="say" />
            <p>{{ say }}</p>
          </li>
        </ol>
        <p v-if="lesson.caution" class="small caution">{{ lesson.caution }}</p>
      </section>
    </div>
  </main>
</template>

<style scoped>
.handling {
  height: 100%;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
}
.body {
  overflow-y: auto;
  padding: 20px 28px 48px;
  display: grid;
  gap: 18px;
  align-content: start;
}
.top {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(140px, 100%), 320px));
  gap: 14px;
  align-items: end;
}
section {
  scroll-margin-top: 12px;
}
ol {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(250px, 100%), 1fr));
  gap: 14px 18px;
}
li {
  display: grid;
  gap: 6px;
  align-content: start;
}
li p {
  margin: 0;
  max-width: 44ch;
}
.caution {
  margin: 8px 0 0;
  padding-left: 10px;
  border-left: 3px solid var(--madder);
}
a {
  color: var(--ink);
}
</style>
