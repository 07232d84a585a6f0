<script setup lang="ts">
import { hoopAboutAll } from '@junctura/core/drawing';
import { formatDurationRange, formatLength, formatThread } from '@junctura/core/measure';
import { NButton, NCheckbox, NProgress, NRadioButton, NRadioGroup } from 'naive-ui';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { fileName, saveFile } from '../../keeping/files.ts';
import { filmType, growingFilm } from '../../picture/growingFilm.ts';
import { paintedToTheEnd, shownPng } from '../../picture/pictureToPng.ts';
import { CARD_SIZES, paintCard, type CardShape } from '../../picture/shareCard.ts';
import { paintShown, viewOfAll } from '../../picture/shownPiece.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSettings } from '../../session/settings.ts';
import { useWorkings } from '../../session/workings.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';
import TheDialog from '../../ui/TheDialog.vue';
import * as say from './words.ts';

/** The piece to be shown to friends: a card with its name and what it takes, the picture alone, or a film of how it grows. */
const emit = defineEmits<{ close: [] }>();
const opened = useOpenedPiece();
const workings = useWorkings();
const work = useWorkSoFar();
const settings = useSettings();

type What = CardShape | 'picture' | 'film';
const WHATS: readonly { value: What; label: string }[] = [
  { value: 'upright', label: 'Card, upright' },
  { value: 'across', label: 'Card, wide' },
  { value: 'picture', label: 'Picture' },
  { value: 'film', label: 'Video' },
];
const what = ref<What>('upright');
const hasRing = ref(true);
const hasCloth = ref(true);
const showing = computed(() => ({ ring: hasRing.value && hasCloth.value, cloth: hasCloth.value }));
const PREVIEW_PX = 560;

const words = computed(() => {
  const { hoop, name } = opened.piece;
  const tally = workings.tally!;
  return {
    name,
    lines: [
      say.sizeAndHoop(
        formatLength(tally.widthMm, settings.units),
        formatLength(tally.heightMm, settings.units),
        hoop && formatLength(hoop.nominalMm, settings.units),
      ),
      say.stitchesAndThread(tally.stitches, formatThread(tally.threadMm, settings.units)),
      say.coloursAndHours(workings.current!.plan.colours.length, formatDurationRange(work.hours!.p10, work.hours!.p90)),
    ],
    sign: 'Junctura',
  };
});

const preview = ref<HTMLCanvasElement | null>(null);
const size = computed(() =>
  what.value === 'upright' || what.value === 'across'
    ? CARD_SIZES[what.value]
    : { width: PREVIEW_PX, height: PREVIEW_PX },
);
/** What is painted is given up when something else is to be shown. */
let turn = 0;
const isPainted = ref(false);
async function show(): Promise<void> {
  const canvas = preview.value;
  const current = workings.current;
  if (!canvas || !current) return;
  isPainted.value = false;
  Object.assign(canvas, size.value);
  const brush = canvas.getContext('2d')!;
  const { piece } = opened;
  await document.fonts.ready;
  const strokes =
    what.value === 'upright' || what.value === 'across'
      ? paintCard(brush, piece, current, what.value, words.value, (side) => {
          const image = new OffscreenCanvas(side, side);
          return { image, brush: image.getContext('2d')! };
        })
      : paintShown(
          brush,
          piece,
          current,
          viewOfAll(piece, current, PREVIEW_PX, showing.value),
          size.value,
          showing.value,
        );
  const own = ++turn;
  if (await paintedToTheEnd(strokes, 1, () => own === turn)) isPainted.value = true;
}
watch([preview, what, showing, () => workings.current], show, { immediate: true, flush: 'post' });

/** How much of what is being saved is done, 0–1; null: nothing is. */
const saved = ref<number | null>(null);
const problem = ref<string | null>(null);
let stop = new AbortController();
onBeforeUnmount(() => {
  turn++;
  stop.abort();
});
async function save(): Promise<void> {
  if (!workings.current || saved.value !== null) return;
  saved.value = 0;
  problem.value = null;
  stop = new AbortController();
  const { piece } = opened;
  const tell = (share: number): void => void (saved.value = share);
  try {
    if (what.value === 'film') {
      const film = await growingFilm(piece, workings.current, tell, stop.signal);
      if (film) saveFile(fileName(piece.name, film.type === 'video/mp4' ? '.mp4' : '.webm'), film, film.type);
    } else if (what.value === 'picture') {
      const png = await shownPng(piece, workings.current, showing.value, (share) => {
        tell(share);
        return !stop.signal.aborted;
      });
      if (png) saveFile(fileName(piece.name, '.png'), png as BlobPart, 'image/png');
    } else {
      const blob = await new Promise<Blob | null>((resolve) => preview.value!.toBlob(resolve, 'image/png'));
      if (blob) saveFile(fileName(piece.name, `-card-${what.value}.png`), blob, 'image/png');
    }
  } catch (error) {
    problem.value = say.notMade(error instanceof Error ? error.message : String(error));
  }
  saved.value = null;
}
</script>

<template>
  <TheDialog title="Share the piece" width="940px" @close="emit('close')">
    <div class="share">
      <div class="preview">
        <canvas
          ref="preview"
          :class="{ bare: !hasCloth && what === 'picture' }"
          :data-painted="isPainted"
          role="img"
          :aria-label="say.previewOf(opened.piece.name)"
        ></canvas>
      </div>
      <div class="stack">
        <NRadioGroup v-model:value="what" name="what" size="small" aria-label="What to make">
          <NRadioButton v-for="{ value, label } in WHATS" :key="value" :value="value">{{ label }}</NRadioButton>
        </NRadioGroup>
        <template v-if="what === 'picture'">
          <p class="small soft">300 dots to the inch, at true size when printed.</p>
          <NCheckbox v-model:checked="hasCloth">Include the cloth (otherwise transparent)</NCheckbox>
          <NCheckbox v-if="hoopAboutAll(opened.piece)" v-model:checked="hasRing" :disabled="!hasCloth"
            >Include the hoop</NCheckbox
          >
        </template>
        <p v-else-if="what === 'film'" class="small soft">
          {{
            filmType()
              ? 'Twelve seconds from bare cloth to the last stitch, in the order of work; under 10 MB. It is recorded as it plays.'
              : 'This browser can’t record videos: use another browser, or make a card.'
          }}
        </p>
        <p v-else class="small soft">
          {{ say.cardSize(size.width, size.height) }}
        </p>
        <div v-if="saved !== null" class="row" role="status">
          <NProgress type="line" :percentage="Math.round(saved * 100)" :height="8" :show-indicator="false" />
          <NButton size="tiny" @click="stop.abort()">Cancel</NButton>
        </div>
        <p v-if="problem" role="alert">{{ problem }}</p>
        <NButton
          type="primary"
          data-test="save-share"
          :disabled="saved !== null || !isPainted || (what === 'film' && filmType() === null)"
          @click="save"
          >Save it</NButton
        >
        <p class="small soft">It is made in this browser and saved as a file: nothing is sent anywhere.</p>
      </div>
    </div>
  </TheDialog>
</template>

<style scoped>
.share {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(220px, 350px);
  gap: 24px;
}
.preview {
  display: grid;
  place-items: center;
  background: var(--linen-deep);
  border-radius: 6px;
  padding: 12px;
}
canvas {
  max-width: 100%;
  max-height: 62vh;
  box-shadow: var(--shadow);
}
/* What is transparent is seen on squares. */
.bare {
  background: repeating-conic-gradient(#d9d4ca 0 25%, #fff 0 50%) 0 0 / 20px 20px;
}
@media (max-width: 700px) {
  .share :deep(.n-radio-button) {
    padding: 0 9px;
  }
  .share {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
