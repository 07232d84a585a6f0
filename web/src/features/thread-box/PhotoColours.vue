<script setup lang="ts">
import { DEFAULT_THREAD } from '@junctura/core/materials';
import type { OwnCard } from '@junctura/core/materials';
import { shortened } from '@junctura/core/measure';
import { newId } from '../../keeping/newId.ts';
import { differenceInWords, labOf, nearestColours, whiteBalanced } from '@junctura/core/colour';
import { NButton, NInput } from 'naive-ui';
import { computed, ref, shallowRef, watch } from 'vue';
import { chooseFile, PICTURES } from '../../keeping/files.ts';
import { CAMERA_URL } from '../../keeping/standIns.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import TheDialog from '../../ui/TheDialog.vue';
import * as say from './words.ts';
import { CHECK_RUNNING } from '../../keeping/words.ts';

/** Colours read off a photograph of threads beside a grey or white card, which puts the light right. */
const emit = defineEmits<{ close: [] }>();

const threads = useThreadBox();
const canvas = ref<HTMLCanvasElement | null>(null);
const image = shallowRef<ImageBitmap | HTMLImageElement | null>(null);
const problem = ref<string | null>(null);
const MOST_PX = 1400;
/** How many pixels round about a press is read over, so that no single one decides. */
const AROUND_PX = 6;

const REFERENCES = [
  { value: '#aaaaaa', label: 'A grey card, 40% reflectance' },
  { value: '#777777', label: 'A grey card, 18% reflectance' },
  { value: '#f2f2f0', label: 'White paper' },
];
const truly = ref(REFERENCES[0]!.value);
const seen = ref<string | null>(null);
const readings = shallowRef<readonly { readonly id: number; readonly hex: string; readonly name: string }[]>([]);
const cardName = ref('From a photograph');
let next = 1;

async function take(file: File | undefined): Promise<void> {
  if (!file) return;
  try {
    show(await createImageBitmap(file, { imageOrientation: 'from-image' }));
  } catch {
    problem.value = say.pictureDamaged(file.name);
  }
}
function choose(): void {
  chooseFile(PICTURES, (chosen) => void take(chosen));
}
function takeSimulated(): void {
  const picture = new Image();
  picture.onload = () => show(picture);
  picture.onerror = () => (problem.value = `The simulated camera doesn’t answer. ${CHECK_RUNNING}`);
  picture.src = CAMERA_URL;
}
function show(picture: ImageBitmap | HTMLImageElement): void {
  problem.value = null;
  seen.value = null;
  readings.value = [];
  image.value = picture;
}
watch([image, canvas], () => {
  const [picture, shown] = [image.value, canvas.value];
  if (!picture || !shown) return;
  const factor = Math.min(1, MOST_PX / Math.max(picture.width, picture.height));
  [shown.width, shown.height] = [Math.round(picture.width * factor), Math.round(picture.height * factor)];
  shown.getContext('2d', { willReadFrequently: true })!.drawImage(picture, 0, 0, shown.width, shown.height);
});

function press(event: MouseEvent): void {
  const shown = canvas.value!;
  const box = shown.getBoundingClientRect();
  const [x, y] = [
    ((event.clientX - box.left) / box.width) * shown.width,
    ((event.clientY - box.top) / box.height) * shown.height,
  ];
  const size = 2 * AROUND_PX + 1;
  const { data } = shown
    .getContext('2d')!
    .getImageData(Math.round(x) - AROUND_PX, Math.round(y) - AROUND_PX, size, size);
  const channel = (k: number): number => {
    const values: number[] = [];
    for (let i = k; i < data.length; i += 4) values.push(data[i]!);
    return values.sort((a, b) => a - b)[values.length >> 1]!;
  };
  const hex = `#${[0, 1, 2].map((k) => channel(k).toString(16).padStart(2, '0')).join('')}`;
  if (seen.value === null) seen.value = hex;
  else readings.value = [...readings.value, { id: next++, hex, name: say.threadN(readings.value.length + 1) }];
}

const balanced = computed(() =>
  seen.value === null
    ? null
    : whiteBalanced(
        readings.value.map(({ hex }) => hex),
        { seen: seen.value, truly: truly.value },
      ),
);
const colours = computed(() => (balanced.value?.ok ? balanced.value.value : []));
const allShades = computed(() => threads.ranges.flatMap(({ shades }) => [...shades]));
function nearest(hex: string): string {
  const [match] = nearestColours(labOf(hex), allShades.value, 1);
  return match ? say.nearest(match.item.name, differenceInWords(match.difference)) : '';
}
function rename(id: number, name: string): void {
  readings.value = readings.value.map((reading) => (reading.id === id ? { ...reading, name } : reading));
}
function keep(): void {
  const id = newId('own-');
  const shades = readings.value.map(({ name }, i) => ({
    range: id,
    code: `p-${i + 1}`,
    name: shortened(name.trim(), 200) || say.threadN(i + 1),
    hex: colours.value[i]!,
  }));
  const card: OwnCard = {
    id,
    name: shortened(cardName.value.trim(), 80) || 'From a photograph',
    thread: DEFAULT_THREAD,
    shades,
  };
  threads.change(say.saveCard(card.name), { ...threads.box, cards: [...threads.box.cards, card] });
  emit('close');
}
</script>

<template>
  <TheDialog title="Colours from a photograph" width="1060px" stays-open @close="emit('close')">
    <div v-if="!image" class="empty">
      <p class="soft">
        Lay your threads beside a grey card or white paper, in one even light, and photograph both. The card shows what
        the light did to the colours; without it they can’t be corrected.
      </p>
      <p v-if="problem" class="warning" role="alert">{{ problem }}</p>
      <div class="row">
        <NButton type="primary" @click="choose">Choose a photograph</NButton>
        <NButton @click="takeSimulated">Use the simulated camera</NButton>
      </div>
    </div>
    <div v-else class="photo">
      <figure>
        <canvas ref="canvas" data-test="photo" @click="press"></canvas>
        <figcaption role="status">
          {{ seen === null ? 'First press on the grey or white card.' : 'Now press on each thread.' }}
        </figcaption>
      </figure>
      <div class="side">
        <ChoiceField label="Reference" :value="truly" :options="REFERENCES" @change="(hex) => (truly = hex)" />
        <p v-if="seen" class="row small">
          In the photograph it is <span class="swatch" :style="{ background: seen }"></span>
          <NButton size="tiny" @click="seen = null">Pick it again</NButton>
        </p>
        <p v-if="balanced && !balanced.ok" class="warning small" role="alert">{{ balanced.problem }}</p>
        <ul data-test="photo-colours">
          <li v-for="(reading, i) in readings" :key="reading.id">
            <span class="two" title="As photographed, and corrected">
              <span :style="{ background: reading.hex }"></span><span :style="{ background: colours[i] }"></span>
            </span>
            <NInput
              :value="reading.name"
              size="small"
              maxlength="200"
              :input-props="{ 'aria-label': say.nameOfThread(i + 1) }"
              @update:value="(name) => rename(reading.id, name)"
            />
            <span v-if="colours[i]" class="small soft wide">{{ nearest(colours[i]!) }}</span>
            <button
              type="button"
              class="plain small soft link"
              @click="readings = readings.filter((other) => other !== reading)"
            >
              Remove
            </button>
          </li>
        </ul>
        <label class="field"
          ><span class="label">Name of the shade card</span
          ><NInput v-model:value="cardName" size="small" maxlength="80"
        /></label>
        <NButton type="primary" size="small" :disabled="colours.length === 0" @click="keep">{{
          say.saveAsCard(colours.length)
        }}</NButton>
      </div>
    </div>
  </TheDialog>
</template>

<style scoped>
.empty {
  display: grid;
  gap: 14px;
  max-width: 60ch;
}
.photo {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 26px;
}
figure {
  margin: 0;
}
canvas {
  width: 100%;
  cursor: crosshair;
  display: block;
  border-radius: 4px;
}
.side {
  display: grid;
  gap: 12px;
  align-content: start;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
  max-height: 320px;
  overflow-y: auto;
}
li {
  display: grid;
  grid-template-columns: 56px 1fr auto;
  gap: 4px 10px;
  align-items: center;
}
.two {
  display: flex;
  height: 26px;
  border-radius: 5px;
  overflow: hidden;
}
.two span {
  flex: 1;
}
.wide {
  grid-column: 2 / 4;
  grid-row: 2;
}
</style>
