<script setup lang="ts">
import { newId } from '../../keeping/newId.ts';
import { bestShades, deltaE, inColours, labOf, nearestColours } from '@junctura/core/colour';
import { DEFAULT_THREAD, refOf, type Shade, type OwnCard } from '@junctura/core/materials';
import { gatherShades, colourName } from '@junctura/core/piece';
import { NButton, NCheckbox } from 'naive-ui';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { blobOfAddress, chooseFile, PICTURES } from '../../keeping/files.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import type { PalettePicture } from '../../workers/jobs.ts';
import { WorkerClient } from '../../workers/workerClient.ts';
import ErrorCurve from '../../ui/ErrorCurve.vue';
import NumberField from '../../ui/NumberField.vue';
import TheDialog from '../../ui/TheDialog.vue';
import * as say from './words.ts';

/** Shades for a picture: few to begin with, each next the one that brings the picture nearest; a press on the picture adds the one there. */
const emit = defineEmits<{ close: [] }>();

const opened = useOpenedPiece();

const workings = useWorkings();
const threads = useThreadBox();
/** The number of colours that stand for the picture. */
const COLOURS = 64;
const MOST = 24;
const count = ref(5);
const ownedOnly = ref(false);
const inThreads = ref(true);
const file = shallowRef<Blob | null>(null);
const picture = shallowRef<PalettePicture | null>(null);
const problem = ref<string | null>(null);
const isReading = ref(false);
/** Shades that were pressed on the picture: they are there whatever else is. */
const kept = shallowRef<readonly Shade[]>([]);
const dropped = shallowRef<ReadonlySet<Shade>>(new Set());
const canvas = ref<HTMLCanvasElement | null>(null);
const client = new WorkerClient();
let reading: AbortController | null = null;
function stop(): void {
  reading?.abort();
  isReading.value = false;
}

async function take(blob: Blob | undefined): Promise<void> {
  if (!blob) return;
  stop();
  reading = new AbortController();
  file.value = blob;
  isReading.value = true;
  problem.value = null;
  const answer = await client.ask('palette', { file: blob, colours: COLOURS }, { signal: reading.signal });
  if (answer === null) return;
  isReading.value = false;
  const outcome = answer.ok ? answer.value : answer;
  if (outcome.ok) picture.value = outcome.value;
  else problem.value = say.pictureUnreadable(outcome.problem);
}
function choose(): void {
  chooseFile(PICTURES, (chosen) => void take(chosen));
}
/** The picture below the drawing is the first to be asked. */
const below = blobOfAddress(opened.piece.drawing.underlay?.picture ?? '');
if (below) void take(below);
onBeforeUnmount(() => client.close());

const candidates = computed((): Shade[] => {
  const offers = threads.offersIn(workings.kinds);
  const all = ownedOnly.value ? offers.owned : offers.all;
  return [...kept.value, ...all.filter((shade) => !kept.value.includes(shade) && !dropped.value.has(shade))];
});
/** All shades that could come next, in the order in which they help: as many are taken as are wanted. */
const choice = computed(() => {
  if (!picture.value) return null;
  return bestShades(picture.value.colours, candidates.value, Math.max(MOST, kept.value.length), kept.value);
});
const chosen = computed(() => choice.value?.shades.slice(0, Math.max(count.value, kept.value.length)) ?? []);

function add(event: MouseEvent): void {
  const shown = canvas.value;
  if (!shown || !picture.value) return;
  const { width, height, rgba } = picture.value.small;
  const box = shown.getBoundingClientRect();
  const [x, y] = [
    Math.floor(((event.clientX - box.left) / box.width) * width),
    Math.floor(((event.clientY - box.top) / box.height) * height),
  ];
  const at = 4 * (Math.min(height - 1, Math.max(0, y)) * width + Math.min(width - 1, Math.max(0, x)));
  const hex = `#${[0, 1, 2].map((k) => rgba[at + k]!.toString(16).padStart(2, '0')).join('')}`;
  const [nearest] = nearestColours(labOf(hex), candidates.value, 1);
  if (!nearest || kept.value.includes(nearest.item)) return;
  if (!chosen.value.includes(nearest.item)) count.value = Math.min(MOST, count.value + 1);
  kept.value = [...kept.value, nearest.item];
}
function drop(shade: Shade): void {
  kept.value = kept.value.filter((other) => other !== shade);
  dropped.value = new Set([...dropped.value, shade]);
}

watch([picture, chosen, inThreads, canvas], () => {
  const shown = canvas.value;
  if (!shown || !picture.value) return;
  const { width, height, rgba } = picture.value.small;
  [shown.width, shown.height] = [width, height];
  const pixels = inThreads.value
    ? inColours(
        picture.value.small,
        chosen.value.map(({ hex }) => hex),
      )
    : rgba;
  shown.getContext('2d')!.putImageData(new ImageData(new Uint8ClampedArray(pixels), width, height), 0, 0);
});

/** Each colour of the piece in the nearest of the chosen shades that none nearer to it has taken. */
function giveToPiece(): void {
  const open = opened.piece.palette.map((colour) => ({ id: colour.id, lab: labOf(colourName(colour).hex) }));
  const ranked = open
    .flatMap(({ id, lab }) => chosen.value.map((shade) => ({ id, shade, difference: deltaE(lab, shade.lab) })))
    .sort((a, b) => a.difference - b.difference);
  const given = new Map<string, Shade>();
  const taken = new Set<Shade>();
  for (const { id, shade } of ranked) {
    if (given.has(id) || (taken.has(shade) && taken.size < chosen.value.length)) continue;
    given.set(id, shade);
    taken.add(shade);
  }
  const shades = new Map([...given].map(([id, shade]) => [id, { shade: refOf(shade), second: null }]));
  // What no colour of the piece took is gathered: it stays in the palette until a part is worked in it.
  opened.edit(gatherShades(opened.piece, chosen.value.map(refOf), 'Use the palette of a picture', shades));
  emit('close');
}
function gather(): void {
  opened.edit(gatherShades(opened.piece, chosen.value.map(refOf)));
  emit('close');
}
function keepAsCard(): void {
  const name = say.fromPicture(chosen.value.length);
  const card: OwnCard = { id: newId('own-'), name, thread: DEFAULT_THREAD, shades: chosen.value.map(refOf) };
  threads.change('Save a shade card', { ...threads.box, cards: [...threads.box.cards, card] });
  emit('close');
}
</script>

<template>
  <TheDialog title="Palette from a picture" width="1060px" stays-open @close="emit('close')">
    <div v-if="!picture" class="empty">
      <p class="soft">
        Use a photograph, a print or a scrap of cloth: Junctura finds the nearest threads, starting with a few. Screens
        distort colour, so hold the threads against the real thing before you buy.
      </p>
      <p v-if="isReading" role="status">
        Finding shades…
        <NButton size="small" @click="stop">Stop</NButton>
      </p>
      <p v-if="problem" role="alert" class="problem">{{ problem }}</p>
      <NButton v-if="!isReading" type="primary" @click="choose">Choose a picture</NButton>
    </div>
    <div v-else class="palette">
      <figure>
        <canvas ref="canvas" data-test="palette-picture" @click="add"></canvas>
        <figcaption class="small soft">
          Press on the picture to pick up the shade at that place, such as an eye.
        </figcaption>
      </figure>
      <div class="side">
        <div class="pair">
          <NumberField
            label="Shades"
            :value="Math.max(count, kept.length)"
            :min="Math.max(1, kept.length)"
            :max="MOST"
            unit=""
            @change="(n) => (count = n)"
          />
          <div>
            <NCheckbox v-model:checked="inThreads" size="small">In these threads</NCheckbox>
            <NCheckbox v-model:checked="ownedOnly" size="small">Only threads I own</NCheckbox>
          </div>
        </div>
        <ErrorCurve v-if="choice" :errors="choice.errors" :count="chosen.length" @choose="(n) => (count = n)" />
        <ul data-test="palette-shades">
          <li v-for="shade in chosen" :key="`${shade.range} ${shade.code}`">
            <span class="swatch" :style="{ background: shade.hex }"></span>
            <span
              >{{ shade.name }} <span class="figure soft small">{{ shade.code }}</span></span
            >
            <span v-if="kept.includes(shade)" class="small soft">picked</span>
            <button type="button" class="plain small soft drop" @click="drop(shade)">
              Remove<span class="visually-hidden"> {{ shade.name }}</span>
            </button>
          </li>
        </ul>
        <p v-if="chosen.length === 0" class="small soft">
          There are no shades to choose from: add threads to your box, or use all shade cards.
        </p>
        <div class="row">
          <NButton type="primary" size="small" :disabled="chosen.length === 0" @click="giveToPiece"
            >Recolour the piece</NButton
          >
          <NButton size="small" :disabled="chosen.length === 0" data-test="gather" @click="gather"
            >Only add to the palette</NButton
          >
          <NButton size="small" :disabled="chosen.length === 0" @click="keepAsCard">Save as a shade card</NButton>
          <NButton size="small" quaternary @click="choose">Choose another picture</NButton>
        </div>
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
.problem {
  color: var(--weld);
}
.palette {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 360px;
  gap: 26px;
}
figure {
  margin: 0;
}
canvas {
  width: 100%;
  cursor: crosshair;
  border-radius: 4px;
  display: block;
}
.side {
  display: grid;
  gap: 10px;
  align-content: start;
}
.pair {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 16px;
  align-items: end;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 3px;
  max-height: 300px;
  overflow-y: auto;
}
li {
  display: flex;
  gap: 9px;
  align-items: center;
}
.drop {
  margin-left: auto;
  text-decoration: underline;
  padding: 3px 0;
}
@media (max-width: 900px) {
  .palette {
    grid-template-columns: 1fr;
  }
}
</style>
