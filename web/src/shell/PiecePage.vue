<script setup lang="ts">
import { renamePiece } from '@junctura/core/piece';
import { writeSvg } from '@junctura/core/drawing';
import { pictureSvg } from '@junctura/core/paper';
import { X } from '@lucide/vue';
import { useEventListener } from '@vueuse/core';
import { NAlert, NButton } from 'naive-ui';
import { computed, ref, watch } from 'vue';
import { RouterLink, useRoute, useRouter } from 'vue-router';
import HoopView from '../hoop/HoopView.vue';
import SettingsMenu from '../session/SettingsMenu.vue';
import TheTally from './TheTally.vue';
import TheTape from './TheTape.vue';
import MenuButton from '../ui/MenuButton.vue';
import UndoButtons from '../ui/UndoButtons.vue';
import { isTyping, useUndoKeys } from '../ui/useUndoKeys.ts';
import type { Side } from '../picture/paintPicture.ts';
import { fileName, saveFile } from '../keeping/files.ts';
import { STEPS, stepOfId, type StepId } from './steps.ts';
import { useBackFromParts } from './useBackFromParts.ts';
import { useCardSheet } from './useCardSheet.ts';
import { useOpenedPiece } from '../session/openedPiece.ts';
import PieceToOpen from '../session/PieceToOpen.vue';
import { savePiece } from '../session/savePiece.ts';
import { useKeeper } from '../session/keeper.ts';
import { useRecord } from '../session/record.ts';
import { notedUnkept } from '../session/words.ts';
import { useWorkings } from '../session/workings.ts';
import { useSelection } from '../session/selection.ts';
import { useIntake } from '../session/intake.ts';
import * as say from './words.ts';
import { comesLater } from '../ui/comesLater.ts';

/** What is asked for now and then is loaded then. */
const FindingsList = comesLater(() => import('../session/FindingsList.vue'));
const KeysHelp = comesLater(() => import('./KeysHelp.vue'));
const NProgress = comesLater(async () => (await import('../ui/progress.ts')).NProgress);
const EarlierStates = comesLater(() => import('./EarlierStates.vue'));
const ShareDialog = comesLater(async () => (await import('../features/share/index.ts')).ShareDialog);
const FirstLook = comesLater(() => import('./FirstLook.vue'));

const props = defineProps<{ id: string; step: StepId }>();
const opened = useOpenedPiece();
const keeper = useKeeper();
const record = useRecord();
const workings = useWorkings();
const selection = useSelection();
const intake = useIntake();
const router = useRouter();
const route = useRoute();
const hoopView = ref<InstanceType<typeof HoopView> | null>(null);
const card = ref<HTMLElement | null>(null);
const keysShown = ref(false);
const findingsShown = ref(false);
const earlierShown = ref(false);

watch(
  () => [props.step, selection.picked] as const,
  ([step], [before]) => {
    findingsShown.value = false;
    // A list in which a part was picked stays where it is.
    if (step !== before || here.value.isByPart) card.value?.scrollTo({ top: 0 });
  },
);

const here = computed(() => stepOfId(props.step));

const only = computed(() => (here.value.isByColour && selection.picked.length > 0 ? new Set(selection.picked) : null));
useBackFromParts();
const sheet = useCardSheet();
/** Asks nothing of whoever comes back: the address alone says that it is the first time. */
const isFirst = computed(() => route.query['first'] !== undefined);
function lookAround(): void {
  const { first: _, ...query } = route.query;
  void router.replace({ query });
}

useUndoKeys(opened.undo, opened.redo);
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const isCommand = event.ctrlKey || event.metaKey;
  const letter = event.key.toLowerCase();
  const numbered = event.altKey ? STEPS[Number(event.key) - 1] : undefined;
  if (numbered) {
    event.preventDefault();
    void router.replace({ name: 'piece', params: { id: props.id, step: numbered.id }, query: route.query });
  } else if (!isTyping(event) && !isCommand) {
    if (event.key === '?') keysShown.value = true;
    else if (letter === 'f') findingsShown.value = !findingsShown.value;
    else if (letter === 't') hoopView.value?.turnOver();
    else if (event.key === 'Escape' && selection.pen) selection.pen = null;
    else if (event.key === 'Escape') selection.pick([]);
  }
});

/** How much of a picture is painted, from 0 to 1; null while none is under way. */
const painted = ref<number | null>(null);
const pictureProblem = ref<string | null>(null);
async function exportPicture(side: Side): Promise<void> {
  if (!workings.current || painted.value !== null) return;
  painted.value = 0;
  pictureProblem.value = null;
  try {
    const { pictureToPng } = await import('../picture/pictureToPng.ts');
    const png = await pictureToPng(opened.piece, workings.current, side, (share) => {
      if (painted.value === null) return false;
      painted.value = share;
      return true;
    });
    const ending = side === 'front' ? '.png' : '-back.png';
    if (png) saveFile(fileName(opened.piece.name, ending), png as BlobPart, 'image/png');
  } catch (error) {
    pictureProblem.value = say.pictureNotMade(error instanceof Error ? error.message : String(error));
  }
  painted.value = null;
}
function exportSvg(): void {
  if (workings.current)
    saveFile(
      fileName(opened.piece.name, '-picture.svg'),
      pictureSvg(workings.piece, workings.current.plan),
      'image/svg+xml',
    );
}

const shareShown = ref(false);
const MENU = [
  { key: 'bring', label: 'Import a drawing…' },
  { key: 'export', label: 'Save to a file' },
  { key: 'share', label: 'Share: card, picture, video…' },
  { key: 'png', label: 'Picture as PNG, 300 dpi at true size' },
  { key: 'png-back', label: 'Picture of the back as PNG' },
  { key: 'svg', label: 'Picture as SVG' },
  { key: 'drawing', label: 'Drawing as SVG, with its parts and stitches' },
  { key: 'changed', label: 'Update the drawing from a changed file…' },
  { key: 'earlier', label: 'Earlier versions…' },
  { key: 'keys', label: 'Keyboard shortcuts…' },
];
function menu(key: string): void {
  if (key === 'bring') intake.choose();
  else if (key === 'export') savePiece();
  else if (key === 'share') shareShown.value = workings.current !== null;
  else if (key === 'png') void exportPicture('front');
  else if (key === 'png-back') void exportPicture('back');
  else if (key === 'svg') exportSvg();
  else if (key === 'drawing') saveFile(fileName(opened.piece.name, '.svg'), writeSvg(opened.piece), 'image/svg+xml');
  else if (key === 'changed') intake.chooseChanged();
  else if (key === 'earlier') earlierShown.value = true;
  else keysShown.value = true;
}

async function settle(keepMine: boolean): Promise<void> {
  const id = await keeper.settleConflict(keepMine);
  await router.replace({ name: 'piece', params: { id, step: props.step } });
}
function letBeGone(): void {
  keeper.giveUp();
  void router.push({ name: 'bench' });
}
</script>

<template>
  <PieceToOpen :id="id">
    <div class="piece">
      <header class="head">
        <RouterLink to="/" class="home" title="Back to the bench">Junctura</RouterLink>
        <input
          class="name"
          :value="opened.piece.name"
          :title="opened.piece.name"
          maxlength="200"
          aria-label="Name of the piece"
          @input="opened.edit(renamePiece(opened.piece, ($event.target as HTMLInputElement).value))"
          @blur="($event.target as HTMLInputElement).value = opened.piece.name"
        />
        <TheTape :step="step" :piece-id="id" />
        <div class="actions">
          <UndoButtons :of="opened" />
          <MenuButton :options="MENU" @select="menu">File</MenuButton>
          <SettingsMenu />
        </div>
      </header>

      <div class="notices">
        <NAlert v-if="painted !== null" type="info" :show-icon="false">
          {{ say.painting(painted) }}
          <NButton size="tiny" @click="painted = null">Cancel</NButton>
        </NAlert>
        <NAlert v-if="pictureProblem" type="error" closable :show-icon="false" @close="pictureProblem = null">{{
          pictureProblem
        }}</NAlert>
        <NAlert v-if="opened.refused" type="warning" closable :show-icon="false" @close="opened.refused = null">{{
          opened.refused
        }}</NAlert>
        <NAlert v-if="keeper.storageProblem" type="warning" :show-icon="false">
          {{ keeper.storageProblem }} <NButton size="tiny" @click="savePiece">Save to a file</NButton>
          <NButton v-if="keeper.saveState === 'unsaved'" size="tiny" @click="keeper.flush">Try again</NButton>
        </NAlert>
        <NAlert v-if="record.unkept > 0" type="warning" :show-icon="false" data-test="unkept">
          {{ notedUnkept(record.unkept) }} {{ record.problem }}
          <NButton size="tiny" @click="savePiece">Save to a file</NButton>
          <NButton size="tiny" @click="record.keep">Try again</NButton>
        </NAlert>
        <NAlert v-if="workings.problem" type="error" :show-icon="false"
          >{{ workings.problem }}
          <NButton size="tiny" :disabled="!opened.undoLabel" @click="opened.undo">Undo the last change</NButton></NAlert
        >
        <NAlert v-if="keeper.conflict === 'removed'" type="warning" :show-icon="false">
          This piece was removed in another tab, or the browser cleared its storage.
          <NButton size="tiny" @click="keeper.putBack">Restore it from this tab</NButton>
          <NButton size="tiny" @click="letBeGone">Let it go</NButton>
        </NAlert>
        <NAlert v-else-if="keeper.conflict" type="warning" :show-icon="false">
          This piece was changed in another tab, so the changes in this tab are not saved yet.
          <NButton size="tiny" @click="settle(false)">Use the other tab’s version</NButton>
          <NButton size="tiny" @click="settle(true)">Keep mine as a second piece</NButton>
        </NAlert>
      </div>

      <div class="work" :style="{ '--card-share': `${sheet.share.value * 100}%` }">
        <div class="hoop-side">
          <HoopView ref="hoopView" :show="here.shows" :only="only">
            <div v-if="workings.isBusy" class="busy" role="status">
              <span>{{
                workings.isLong
                  ? 'This is taking a long time: there are very many stitches, or a shape is very complicated.'
                  : 'Working out the stitches…'
              }}</span>
              <NProgress
                type="line"
                :percentage="Math.round(workings.share * 100)"
                :height="8"
                :show-indicator="false"
                class="share"
              />
              <NButton size="tiny" @click="workings.cancel">Stop</NButton>
              <NButton v-if="opened.undoLabel" size="tiny" @click="opened.undo">{{
                say.undo(opened.undoLabel)
              }}</NButton>
            </div>
            <div v-else-if="workings.isStopped" class="busy" role="status">
              <span>Stopped: these are the figures from before.</span>
              <NButton size="tiny" @click="workings.resume">Work it out</NButton>
            </div>
            <FirstLook v-if="isFirst && !workings.isBusy" @close="lookAround" />
          </HoopView>
          <component :is="here.belowHoop" v-if="here.belowHoop && workings.current" />
        </div>
        <button
          type="button"
          class="plain handle"
          aria-label="Resize the card"
          @pointerdown="sheet.press"
          @pointermove="sheet.move"
          @pointerup="sheet.release"
          @pointercancel="sheet.release"
          @keydown="sheet.key"
        ></button>
        <aside ref="card" class="card" :aria-label="findingsShown ? 'Things to check' : 'Details'">
          <div v-if="findingsShown" class="stack">
            <div class="row between">
              <h2>Things to check</h2>
              <NButton quaternary size="small" aria-label="Close things to check" @click="findingsShown = false"
                ><X :size="18"
              /></NButton>
            </div>
            <FindingsList />
          </div>
          <component :is="here.card" v-else-if="workings.current" />
          <p v-else class="soft">Working out the stitches…</p>
        </aside>
      </div>

      <TheTally :findings-shown="findingsShown" @findings="findingsShown = !findingsShown" />
      <KeysHelp v-if="keysShown" show @close="keysShown = false" />
      <ShareDialog v-if="shareShown" @close="shareShown = false" />
      <EarlierStates v-if="earlierShown" @close="earlierShown = false" />
    </div>
  </PieceToOpen>
</template>

<style scoped>
.piece {
  height: 100%;
  display: grid;
  grid-template: auto auto minmax(0, 1fr) auto / minmax(0, 1fr);
}
.head {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 0 12px 0 18px;
  border-bottom: 1px solid var(--chalk);
  background: var(--paper);
}
.name {
  font-family: var(--serif);
  font-size: 18px;
  color: var(--ink);
  background: none;
  border: 0;
  border-bottom: 1px dashed var(--chalk);
  padding: 3px 2px;
  width: 150px;
  min-width: 70px;
  text-overflow: ellipsis;
}
.actions {
  display: flex;
  gap: 2px;
  align-items: center;
}
.work {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 392px;
  min-height: 0;
}
.hoop-side {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  min-height: 0;
  min-width: 0;
}
.handle {
  display: none;
}
.card {
  overflow-y: auto;
  padding: 20px 24px 32px;
  background: var(--paper);
  border-left: 1px solid var(--chalk);
}
.between {
  justify-content: space-between;
}
.busy {
  display: flex;
  align-items: center;
  gap: 10px;
  position: absolute;
  bottom: 14px;
  left: 16px;
  background: var(--paper);
  padding: 4px 12px;
  border-radius: 4px;
}
.share {
  width: 120px;
}
@media (max-width: 1100px) {
  .head {
    flex-wrap: wrap;
    padding-top: 4px;
  }
  .head :deep(.tape) {
    order: 5;
    flex-basis: 100%;
    margin: 0 -12px 0 -18px;
  }
  .actions {
    margin-left: auto;
  }
  .work {
    grid-template-columns: minmax(0, 1fr) 340px;
  }
  .card {
    padding: 16px 18px 28px;
  }
}
/* A phone: the hoop above, what is said of it below. */
@media (max-width: 640px) {
  .head {
    gap: 6px;
    padding-inline: 10px 6px;
  }
  .head :deep(.tape) {
    margin: 0 -6px 0 -10px;
  }
  .name {
    flex: 1;
    width: 0;
    min-width: 60px;
  }
  .work {
    grid-template: minmax(0, 1fr) auto minmax(0, var(--card-share)) / minmax(0, 1fr);
  }
  .handle {
    display: block;
    height: 26px;
    touch-action: none;
    cursor: row-resize;
    background: var(--paper);
    border-top: 1px solid var(--chalk);
  }
  .handle::after {
    content: '';
    display: block;
    width: 44px;
    height: 4px;
    margin: 0 auto;
    border-radius: 2px;
    background: var(--ink-soft);
  }
  .card {
    border-left: 0;
    padding-top: 4px;
  }
}
</style>
