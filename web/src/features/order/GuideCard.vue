<script setup lang="ts">
import { guideHtml, guidePages, makeGuide, SHEETS, type Sheet } from '@junctura/core/paper';
import { NButton, NProgress } from 'naive-ui';
import { computed, onBeforeUnmount, reactive, ref, shallowRef, watch } from 'vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import LessonLinks from '../../ui/LessonLinks.vue';
import { firstLessons } from '../../ui/lessonNames.ts';
import PagePreview from '../../ui/PagePreview.vue';
import { fileName, saveFile } from '../../keeping/files.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { usePdf } from '../../session/usePdf.ts';
import { useFinishing } from '../../session/finishing.ts';
import { useSettings } from '../../session/settings.ts';
import { useWorkings } from '../../session/workings.ts';
import { guidePicture } from '../../picture/pictureToPng.ts';
import * as say from './words.ts';
import { pageOf } from '../../session/words.ts';

/** The booklet that a pupil can follow, to print or to read on a phone. */
const opened = useOpenedPiece();
const workings = useWorkings();
const settings = useSettings();
const finishing = useFinishing();
finishing.want();

const options = reactive({
  sheet: 'a4' as Sheet['id'],
  hand: opened.piece.worker.hand,
});
const SHEET_CHOICES = SHEETS.filter(({ id }) => id !== 'a3').map(({ id, name }) => ({ value: id, label: name }));
const HANDS: { value: 'right' | 'left'; label: string }[] = [
  { value: 'right', label: 'Right hand' },
  { value: 'left', label: 'Left hand' },
];

const guide = computed(() =>
  finishing.plan
    ? makeGuide(workings.piece, workings.current!.plan, finishing.plan, { hand: options.hand, units: settings.units })
    : null,
);
const pages = computed(() => {
  const sheet = SHEETS.find(({ id }) => id === options.sheet)!;
  return guide.value ? guidePages(guide.value, sheet) : [];
});

/** The painted picture; while it is painted the share that is done. */
const picture = shallowRef<{ png: Uint8Array; address: string } | null>(null);
const painted = ref(0);
let wanted = 0;
watch(
  () => workings.current,
  async (now) => {
    const mine = ++wanted;
    picture.value = null;
    if (!now) return;
    const png = await guidePicture(workings.piece, now, (share) => {
      painted.value = share;
      return mine === wanted;
    });
    if (mine !== wanted || !png) return;
    picture.value = { png, address: await dataAddress(png) };
  },
  { immediate: true },
);
onBeforeUnmount(() => wanted++);

function dataAddress(png: Uint8Array): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.onerror = () => reject(new Error('the picture could not be read'));
    reader.readAsDataURL(new Blob([png as BlobPart], { type: 'image/png' }));
  });
}

const isReady = computed(() => picture.value !== null && guide.value !== null);

const { isSaving, problem, save } = usePdf();
function pdf(): Promise<void> {
  const pictures: Record<string, Uint8Array> = picture.value ? { piece: picture.value.png } : {};
  return save(pages.value, '-guide.pdf', pictures);
}
function html(): void {
  if (!guide.value) return;
  const text = guideHtml(guide.value, picture.value?.address ?? null);
  saveFile(fileName(opened.piece.name, '-guide.html'), text, 'text/html');
}
</script>

<template>
  <div class="stack">
    <p class="small soft">
      A book for someone who has never seen Junctura. It shows what to lay out, the numbered map, and every step with
      its picture; then the stitches, the whole finish, and your sittings to tick off.
    </p>
    <p class="small soft">
      Basic techniques, in drawings: <LessonLinks :lessons="firstLessons(workings.piece.hoop !== null)" />.
    </p>
    <div class="pair">
      <ChoiceField
        label="Paper"
        :value="options.sheet"
        :options="SHEET_CHOICES"
        @change="(next) => (options.sheet = next)"
      />
      <ChoiceField
        label="Drawings for the"
        :value="options.hand"
        :options="HANDS"
        @change="(next) => (options.hand = next)"
      />
    </div>
    <div class="row">
      <NButton type="primary" size="small" :loading="isSaving" :disabled="!isReady" data-test="guide-pdf" @click="pdf"
        >Save as PDF</NButton
      >
      <NButton size="small" :disabled="!isReady" data-test="guide-html" @click="html">Save as one web page</NButton>
    </div>
    <div v-if="!picture" role="status" class="small">
      Painting the picture…
      <NProgress type="line" :percentage="Math.round(painted * 100)" :height="8" :show-indicator="false" />
    </div>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <div class="pages">
      <PagePreview
        v-for="(page, i) in pages.slice(0, 24)"
        :key="i"
        :page="page"
        :pictures="picture ? { piece: picture.address } : {}"
        :label="pageOf(i + 1, pages.length)"
      />
    </div>
    <p v-if="pages.length > 24" class="small soft">{{ say.morePages(pages.length - 24) }}</p>
  </div>
</template>

<style scoped>
.pages {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 12px;
}
</style>
