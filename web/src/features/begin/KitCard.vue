<script setup lang="ts">
import { guidePages, makeGuide, SHEETS, shoppingList, shoppingPages, type Sheet } from '@junctura/core/paper';
import { NButton } from 'naive-ui';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import ChoiceField from '../../ui/ChoiceField.vue';
import { guidePicture } from '../../picture/pictureToPng.ts';
import { useFinishing } from '../../session/finishing.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { usePdf } from '../../session/usePdf.ts';
import { useSettings } from '../../session/settings.ts';
import { useShop } from '../../session/shop.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import { useWorkings } from '../../session/workings.ts';

/** All that is needed to stitch, as one file: the pattern at true size, what to buy, the guide. */
defineProps<{ isChosen: boolean }>();
const opened = useOpenedPiece();
const workings = useWorkings();
const settings = useSettings();
const shop = useShop();
const threads = useThreadBox();
const router = useRouter();
const finishing = useFinishing();
finishing.want();

const sheetId = ref<Sheet['id']>('a4');
const CHOICES = SHEETS.filter(({ id }) => id !== 'a3').map(({ id, name }) => ({ value: id, label: name }));
const { isSaving, problem, save } = usePdf();
const isPainting = ref(false);

async function saveKit(): Promise<void> {
  const { current, piece } = workings;
  if (!current || !finishing.plan) return;
  const sheet = SHEETS.find(({ id }) => id === sheetId.value)!;
  const rows = shoppingList(piece, current.plan, workings.reaches, shop.stock, settings.units, {
    finishing: finishing.plan.materials,
    clothMm: finishing.plan.clothMm,
    basket: threads.box.basket,
  });
  const guide = makeGuide(piece, current.plan, finishing.plan, { hand: piece.worker.hand, units: settings.units });
  isPainting.value = true;
  const png = await guidePicture(piece, current, () => true);
  isPainting.value = false;
  const pages = [...shoppingPages(piece, rows, shop.stock?.coin ?? settings.rate.coin), ...guidePages(guide, sheet)];
  await save(pages, '-kit.pdf', png ? { piece: png } : {});
}
function start(): void {
  void router.push({ name: 'at-the-hoop', params: { id: opened.piece.id } });
}
</script>

<template>
  <section aria-labelledby="kit" data-test="kit">
    <h2 id="kit">Your kit</h2>
    <p class="small soft">One file with the pattern at true size, what is still to buy, and the guide, step by step.</p>
    <ChoiceField label="Paper" :value="sheetId" :options="CHOICES" @change="(next) => (sheetId = next)" />
    <div class="row">
      <NButton
        :type="isChosen ? 'primary' : 'default'"
        size="large"
        :loading="isPainting || isSaving"
        :disabled="workings.isStale || finishing.isBusy || !finishing.plan"
        data-test="save-kit"
        @click="saveKit"
        >Save the kit as a PDF</NButton
      >
      <NButton size="large" data-test="start" @click="start">Start stitching</NButton>
    </div>
    <p v-if="problem" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 12px;
  justify-items: start;
}
h2 {
  margin: 0;
}
</style>
