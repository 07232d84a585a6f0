<script setup lang="ts">
import type { PaintWay } from '@junctura/core/advice';
import { formatDurationRange } from '@junctura/core/measure';
import { NButton } from 'naive-ui';
import { computed, nextTick, onBeforeUnmount, ref, shallowRef } from 'vue';
import { showPicture } from '../../picture/showPicture.ts';
import TheDialog from '../../ui/TheDialog.vue';
import TryingBar from '../../ui/TryingBar.vue';
import { pictures } from '../../workers/workerPool.ts';
import type { JobInput } from '../../workers/jobs.ts';
import * as say from './words.ts';

/** Ways to work a part from the picture below it, side by side, before she begins: painted in fewer shades and in more, and in flat regions. */
const props = defineProps<{ asked: Omit<JobInput<'paintWays'>, 'counts' | 'pixels'>; count: number }>();
const emit = defineEmits<{ close: []; take: [count: number] }>();

const PIXELS = 640;
/** Fewer shades than asked for that are shown beside it. */
const FEWER = 0.5;
const LEAST = 4;
const counts = [...new Set([Math.max(LEAST, Math.round(FEWER * props.count)), props.count])];
const ways = shallowRef<readonly PaintWay[]>([]);
const canvases = ref<HTMLCanvasElement[]>([]);
const problem = ref<string | null>(null);
const isDone = ref(false);
const stop = new AbortController();
onBeforeUnmount(() => stop.abort());

async function show(way: PaintWay, picture: ImageBitmap): Promise<void> {
  ways.value = [...ways.value, way];
  const at = ways.value.length - 1;
  await nextTick();
  showPicture(canvases.value[at], picture);
}

async function tryAll(): Promise<void> {
  const answer = await pictures.ask(
    'paintWays',
    { ...props.asked, counts, pixels: PIXELS },
    { signal: stop.signal, onProgress: ({ way, picture }) => void show(way, picture) },
  );
  if (answer?.ok) isDone.value = true;
  else if (answer) problem.value = say.waysFailed(answer.problem);
}
void tryAll();

const all = counts.length + 1;
const share = computed(() => ways.value.length / all);
const nameOf = ({ kind, shades }: PaintWay): string => (kind === 'flat' ? say.flatIn(shades) : say.paintedIn(shades));
</script>

<template>
  <TheDialog title="Ways to work it from the picture" width="1120px" @close="emit('close')">
    <TryingBar
      v-if="!isDone && !problem"
      :share="share"
      :said="say.waysDone(ways.length, all)"
      can-stop
      @stop="emit('close')"
    />
    <p v-if="problem" role="alert">{{ problem }}</p>
    <ul class="ways">
      <li v-for="way in ways" :key="nameOf(way)">
        <canvas ref="canvases" :aria-label="nameOf(way)"></canvas>
        <h3>{{ nameOf(way) }}</h3>
        <p class="figure">
          {{ say.wayTakes(formatDurationRange(way.hours.p10, way.hours.p90), way.threadM, way.skeins) }}
        </p>
        <p class="small soft">
          {{ say.wayFigures(way.stitches, way.report.deltaE.mean, way.report.floor.mean) }}
        </p>
        <NButton v-if="way.kind === 'painted'" size="small" @click="emit('take', way.shades)">Use this</NButton>
        <p v-else class="small soft">To work it this way, import the picture as areas.</p>
      </li>
    </ul>
  </TheDialog>
</template>

<style scoped>
.ways {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 20px;
  max-height: 76vh;
  overflow: auto;
}
canvas {
  display: block;
  width: 100%;
  aspect-ratio: 1;
  border-radius: 6px;
  background: var(--linen-deep);
}
li > * + * {
  margin-top: 6px;
}
</style>
