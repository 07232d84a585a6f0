<script setup lang="ts">
import { newId } from '../../keeping/newId.ts';
import {
  isConvex,
  pageAspect,
  pageWidthMm,
  WHOLE,
  type Corner,
  type Corners,
  type PictureOptions,
} from '@junctura/core/drawing';
import type { Piece } from '@junctura/core/piece';
import { useDebounceFn } from '@vueuse/core';
import { NButton, NCheckbox, NProgress } from 'naive-ui';
import { computed, onBeforeUnmount, reactive, ref, shallowRef, watch } from 'vue';
import { PictureClient } from '../../workers/pictureClient.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import LengthField from '../../ui/LengthField.vue';
import NumberField from '../../ui/NumberField.vue';
import PictureHandles from './PictureHandles.vue';
import TheDialog from '../../ui/TheDialog.vue';
import * as say from './words.ts';

/** A picture on its way to becoming parts: squared up, sized, read by its lines or its colours. */
const props = defineProps<{ file: File }>();
/** `done` says where to go on: what is to be painted, where parts are painted. */
const emit = defineEmits<{
  done: [piece: Piece, step: 'drawing' | 'stitches'];
  refused: [problem: string];
  close: [];
}>();

const client = new PictureClient(props.file);
const src = ref('');
const size = shallowRef<{ width: number; height: number } | null>(null);
const problem = ref<string | null>(null);
const share = ref<number | null>(null);
const result = shallowRef<Piece | null>(null);
const name = props.file.name.replace(/\.[a-z]+$/i, '');

const options = reactive({
  as: 'colours' as PictureOptions['as'],
  widthMm: 150,
  colours: 10,
  leastMm2: 6,
  smoothMm: 0.4,
  darkness: 0.5,
  leavesGround: true,
});
const corners = shallowRef<Corners>(WHOLE);
const knownEnds = shallowRef<readonly [Corner, Corner] | null>(null);
const knownMm = ref(100);
const WAYS: { value: PictureOptions['as']; label: string }[] = [
  { value: 'colours', label: 'By its colours: areas to fill' },
  { value: 'lines', label: 'By its lines: along their middle' },
  { value: 'ink', label: 'By its lines: as areas of ink' },
  { value: 'below', label: 'As a picture below, to draw over and paint from' },
  { value: 'whole', label: 'All of it as one part, to be painted' },
];

/** Whether parts are found in it, by colours or lines. */
const isRead = computed(() => options.as !== 'below' && options.as !== 'whole');

const measuredMm = computed(() => {
  if (!knownEnds.value || !size.value) return options.widthMm;
  const aspect = pageAspect(corners.value, size.value.width, size.value.height);
  return pageWidthMm(corners.value, ...knownEnds.value, aspect, knownMm.value);
});
const widthMm = computed(() => Math.min(2000, Math.max(5, measuredMm.value || 5)));

/** Whether something else is asked for than was read last, or is being read. */
let isDue = false;
async function read(): Promise<void> {
  if (!size.value) return;
  isDue = false;
  if (!isConvex(corners.value)) {
    stop();
    result.value = null;
    problem.value = 'The corners cross: drag them to the corners of the page, going round in order.';
    return;
  }
  problem.value = null;
  share.value = 0;
  const outcome = await client.read(
    { ...options, widthMm: widthMm.value, corners: corners.value },
    newId(),
    name,
    (done) => (share.value = done),
  );
  if (outcome === null) return;
  share.value = null;
  if (outcome.ok) result.value = outcome.value;
  else {
    result.value = null;
    problem.value = outcome.problem;
  }
}
/** What was asked for while the picture was being opened is read as soon as it is open, and not a second time. */
const readSoon = useDebounceFn(() => {
  if (isDue && !isClosed) void read();
}, 350);

let isClosed = false;

function stop(): void {
  client.stop();
  share.value = null;
}

void (async () => {
  const opened = await client.open();
  if (!opened.ok) {
    emit('refused', `${props.file.name}: ${opened.problem}`);
    return;
  }
  size.value = opened.value;
  src.value = URL.createObjectURL(opened.value.preview);
  void read();
})();
watch([() => ({ ...options }), corners, widthMm], () => {
  // What was found before, or is being found, is no longer what is asked for: it can't be used meanwhile.
  client.stop();
  share.value ??= 0;
  isDue = true;
  void readSoon();
});
onBeforeUnmount(() => {
  isClosed = true;
  client.close();
  URL.revokeObjectURL(src.value);
});

const hexOf = computed(() => new Map(result.value?.palette.map(({ id, hex }) => [id, hex])));
const aspect = computed(() => (size.value ? pageAspect(corners.value, size.value.width, size.value.height) : 1));
const viewBox = computed(() => `0 0 ${widthMm.value} ${widthMm.value * aspect.value}`);
function measure(isOn: boolean): void {
  knownEnds.value = isOn
    ? [
        [0.25, 0.5],
        [0.75, 0.5],
      ]
    : null;
}
</script>

<template>
  <TheDialog title="From a picture" width="1120px" stays-open @close="emit('close')">
    <div class="pictures">
      <figure>
        <PictureHandles
          v-if="size"
          :src="src"
          :corners="corners"
          :ends="knownEnds"
          @corners="corners = $event"
          @ends="knownEnds = $event"
        />
        <figcaption class="small soft">Drag the corners to straighten and crop the picture.</figcaption>
      </figure>
      <figure>
        <svg v-if="result" class="result" :viewBox="viewBox" role="img" aria-label="The parts found">
          <path
            v-for="part in result.drawing.parts"
            :key="part.id"
            :d="part.path"
            :fill="part.kind === 'area' ? hexOf.get(part.colour) : 'none'"
            fill-rule="evenodd"
            :stroke="hexOf.get(part.colour)"
            :stroke-width="part.strokeMm ?? 0.1"
          />
        </svg>
        <div v-else class="result empty soft">{{ share === null ? 'Nothing yet' : 'Finding parts…' }}</div>
        <figcaption class="small" role="status">
          <span v-if="share !== null" class="reading">
            <NProgress type="line" :percentage="Math.round(share * 100)" :height="8" :show-indicator="false" />
            <NButton size="tiny" @click="stop">Stop</NButton>
          </span>
          <span v-else-if="result">
            {{ say.partsAndColours(result.drawing.parts.length, result.palette.length) }}
          </span>
        </figcaption>
      </figure>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div class="options">
      <ChoiceField label="Read the picture" :value="options.as" :options="WAYS" @change="options.as = $event" />
      <LengthField
        v-if="!knownEnds"
        label="Width of the page"
        :value-mm="options.widthMm"
        :min-mm="5"
        :max-mm="2000"
        @change="options.widthMm = $event"
      />
      <LengthField
        v-else
        label="Length of the red line"
        :value-mm="knownMm"
        :min-mm="1"
        :max-mm="2000"
        @change="knownMm = $event"
      />
      <NumberField
        v-if="options.as === 'colours'"
        label="Colours"
        :value="options.colours"
        :min="2"
        :max="40"
        unit=""
        @change="options.colours = $event"
      />
      <NumberField
        v-else-if="isRead"
        label="Include faint lines"
        :value="Math.round(options.darkness * 100)"
        :min="0"
        :max="100"
        :step="5"
        unit="%"
        @change="options.darkness = $event / 100"
      />
      <NumberField
        v-if="isRead"
        label="Ignore specks smaller than"
        :value="options.leastMm2"
        :min="0"
        :max="400"
        :step="2"
        unit="mm²"
        @change="options.leastMm2 = $event"
      />
      <NumberField
        v-if="isRead"
        label="Smooth by"
        :value="options.smoothMm"
        :min="0"
        :max="5"
        :step="0.1"
        unit="mm"
        @change="options.smoothMm = $event"
      />
    </div>
    <div class="foot">
      <NCheckbox :checked="knownEnds !== null" @update:checked="measure">I know a length on it</NCheckbox>
      <NCheckbox v-if="options.as === 'colours'" v-model:checked="options.leavesGround">
        Leave the background bare
      </NCheckbox>
      <span class="spacer"></span>
      <NButton @click="emit('close')">Cancel</NButton>
      <NButton
        type="primary"
        :disabled="!result || share !== null"
        @click="emit('done', result!, options.as === 'whole' ? 'stitches' : 'drawing')"
        >{{
          result && !isRead
            ? 'Use this picture'
            : result
              ? say.useParts(result.drawing.parts.length)
              : 'Use these parts'
        }}</NButton
      >
    </div>
  </TheDialog>
</template>

<style scoped>
.pictures {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 22px;
  align-items: start;
}
figure {
  margin: 0;
  display: grid;
  gap: 6px;
}
.result {
  width: 100%;
  max-height: 400px;
  background: #fdfbf6;
}
.empty {
  display: grid;
  place-items: center;
  aspect-ratio: 4 / 3;
}
.reading {
  display: flex;
  gap: 12px;
  align-items: center;
}
.options {
  display: grid;
  grid-template-columns: 1.5fr repeat(4, 1fr);
  gap: 10px 16px;
  margin-top: 14px;
}
.foot {
  display: flex;
  gap: 18px;
  align-items: center;
  margin-top: 18px;
}
.spacer {
  flex: 1;
}
.problem {
  border-left: 4px solid var(--madder);
  padding: 6px 12px;
  margin-top: 10px;
}
@media (max-width: 900px) {
  .options {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
