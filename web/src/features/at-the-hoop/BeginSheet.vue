<script setup lang="ts">
import { clothOf } from '@junctura/core/materials';
import { formatDurationRange, formatThread } from '@junctura/core/measure';
import { NButton } from 'naive-ui';
import { behindCloth } from '@junctura/core/transfer';
import { computed, ref } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import LessonLinks from '../../ui/LessonLinks.vue';
import { firstLessons } from '../../ui/lessonNames.ts';
import { useSettings } from '../../session/settings.ts';
import { useWorkings } from '../../session/workings.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';
import * as say from './words.ts';
import { redrawFirst, lengthsToLayOut } from '../../session/words.ts';

/** Before a sitting: what to lay out, how to sit, needles and pins counted out. */
const emit = defineEmits<{ begin: [needles: number]; handOver: [] }>();
const opened = useOpenedPiece();
const settings = useSettings();
const workings = useWorkings();
const work = useWorkSoFar();

const counted = ref<number | null>(null);
const needles = computed(() => counted.value ?? work.needlesWanted);
const cloth = computed(() => clothOf(opened.piece.cloth.kind));
const lessons = computed(() => firstLessons(opened.piece.hoop !== null));
/** What has to lie behind the cloth before the first stitch; null: nothing, or it was begun. */
const behind = computed(() => {
  if (!work.plan || work.soFar!.done.length > 0) return null;
  const { stabiliser, sizeMm } = behindCloth(workings.piece, work.plan);
  return sizeMm && stabiliser;
});
</script>

<template>
  <section class="sheet begin" data-test="begin-sheet">
    <div class="scrolls">
      <p v-if="work.soFar!.needlesMissing > 0" class="warn" role="alert">
        {{ say.needlesMissing(work.soFar!.needlesMissing) }}
      </p>
      <h2>{{ work.soFar!.done.length === 0 ? 'Before you start' : 'Before you carry on' }}</h2>
      <ul v-if="work.needs" class="needs">
        <li v-for="length in work.needs.lengths" :key="length.key">
          <i :style="{ background: length.hex }"></i
          >{{ lengthsToLayOut(length.name, length.count, length.strands, formatThread(length.cutMm, settings.units)) }}
        </li>
        <li>{{ say.needles(work.needs.needles) }}</li>
        <li v-if="work.needs.drawn.length > 0">{{ redrawFirst(work.needs.drawn) }}</li>
        <li v-if="behind">{{ say.layBehindFirst(behind.inSentence) }}</li>
        <li>
          {{
            opened.piece.hoop
              ? say.clothInHoop(
                  cloth.name,
                  opened.piece.positions.length > 1 ? work.needs.positions : [],
                  cloth.stretches,
                )
              : say.clothInHand(cloth.name, cloth.stretches)
          }}
        </li>
        <li v-if="work.soFar!.done.length === 0" data-test="first-lessons">
          New to this? See the drawings: <LessonLinks :lessons="lessons" />
        </li>
        <li class="soft">{{ say.posture(opened.piece.hoop !== null) }}</li>
      </ul>
      <NButton data-test="hand-over" @click="emit('handOver')">Send to another device…</NButton>
      <p v-if="work.left" class="soft">
        {{ say.leftAtPace(formatDurationRange(work.left.seconds.p10 / 3600, work.left.seconds.p90 / 3600)) }}
      </p>
    </div>
    <div class="count">
      <span>Needles and pins out</span>
      <NButton aria-label="One fewer" @click="counted = Math.max(0, needles - 1)">−</NButton>
      <strong class="figure" data-test="needles-out">{{ needles }}</strong>
      <NButton aria-label="One more" @click="counted = needles + 1">+</NButton>
    </div>
    <button type="button" class="go" data-test="begin" @click="emit('begin', needles)">Start stitching</button>
  </section>
</template>

<style src="./sheet.css" scoped></style>
<style scoped>
/* What is laid out scrolls; what is counted and pressed stays below it, and covers nothing. */
.begin {
  overflow: hidden;
  align-content: stretch;
  grid-template-rows: minmax(0, 1fr) auto auto;
}
.scrolls {
  overflow-y: auto;
  display: grid;
  gap: 12px;
  align-content: start;
}
/* On a phone that lies on its side both stand beside each other. */
@media (max-height: 500px) {
  .begin {
    grid-template: minmax(0, 1fr) auto / minmax(0, 1fr) minmax(220px, 40%);
  }
  .scrolls {
    grid-row: 1 / 3;
  }
  .count {
    align-self: end;
  }
}
</style>
