<script setup lang="ts">
import { cornersOf, joinParts, lineToArea, nudgeParts, outlineToLine, simplifyParts } from '@junctura/core/drawing';
import {
  movePart,
  removeParts,
  renamePart,
  setGroup,
  setHidden,
  setLocked,
  setShown,
  setUnderlay,
} from '@junctura/core/piece';
import { NButton, NCheckbox, NInput, NRadio, NRadioGroup } from 'naive-ui';
import { computed, ref } from 'vue';
import PickedBar from '../../session/PickedBar.vue';
import PickSeveral from '../../session/PickSeveral.vue';
import DrawingParts from './DrawingParts.vue';
import TidyDrawing from './TidyDrawing.vue';
import ProposeSubject from './ProposeSubject.vue';

import NumberField from '../../ui/NumberField.vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSelection, type Pen } from '../../session/selection.ts';
import { useSettings } from '../../session/settings.ts';
import { KIND_WORDS, partSize } from '../../session/words.ts';
import * as say from './words.ts';
import { comesLater } from '../../ui/comesLater.ts';

/** Loaded when it is asked for: the alphabets’ reader is large. */
const HelperPanel = comesLater(() => import('./HelperPanel.vue'));

const opened = useOpenedPiece();

const workings = useWorkings();

const selection = useSelection();
const settings = useSettings();
const part = computed(() => selection.pickedPart);
const placed = computed(() => workings.plannedOf(part.value?.id)?.placed ?? null);
const like = computed(() => {
  const group = part.value?.group ?? null;
  return group === null ? [] : opened.piece.drawing.parts.filter((other) => other.group === group);
});
const several = computed(() => selection.picked.length > 1);
const joined = computed(() => joinParts(opened.piece, selection.picked));
const isHelping = ref(false);

function makeGroup(): void {
  const taken = new Set(opened.piece.drawing.parts.map((other) => other.group));
  let n = 1;
  while (taken.has(`g${n}`)) n++;
  opened.edit(setGroup(opened.piece, selection.picked, `g${n}`));
}

/** With nothing picked a pen draws parts; with the knife it cuts the picked one. */
function draw(draws: Pen['draws']): void {
  selection.pen =
    selection.pen?.draws === draws ? null : { draws, part: draws === 'knife' ? (part.value?.id ?? '') : '', pass: 0 };
}
const PENS = [
  { draws: 'area', label: 'Area' },
  { draws: 'line', label: 'Line' },
  { draws: 'spot', label: 'Dots' },
] as const;

const toleranceMm = ref(0.2);
const simplified = computed(() => {
  if (!part.value) return null;
  const edit = simplifyParts(opened.piece, [part.value.id], toleranceMm.value);
  const after = (edit?.steps[0]?.after as typeof opened.piece.drawing.parts | undefined)?.find(
    ({ id }) => id === part.value!.id,
  );
  // What would have more corners than before is no simpler.
  return edit && after && cornersOf(after) < cornersOf(part.value) ? { edit, corners: cornersOf(after) } : null;
});
const NUDGES = [
  { label: 'Left', x: -0.5, y: 0, sign: '←' },
  { label: 'Right', x: 0.5, y: 0, sign: '→' },
  { label: 'Up', x: 0, y: -0.5, sign: '↑' },
  { label: 'Down', x: 0, y: 0.5, sign: '↓' },
] as const;

const underlay = computed(() => opened.piece.drawing.underlay);
function strengthen(percent: number): void {
  if (underlay.value)
    opened.edit(setUnderlay(opened.piece, { ...underlay.value, strength: percent / 100 }, 'Change the picture below'));
}
</script>

<template>
  <HelperPanel v-if="isHelping" @close="isHelping = false" />
  <div v-else-if="several && !selection.isListing" class="stack">
    <h2>{{ say.partsPicked(selection.picked.length) }}</h2>
    <p class="soft">Grouped parts are worked the same way: a choice for one applies to all.</p>
    <div class="row">
      <NButton size="small" type="primary" @click="makeGroup">Group them</NButton>
      <NButton size="small" :disabled="!joined" @click="opened.edit(joined)">Join into one</NButton>
      <NButton size="small" @click="opened.edit(setShown(opened.piece, selection.picked, false))">Leave out</NButton>
      <NButton size="small" @click="opened.edit(removeParts(opened.piece, selection.picked))">Remove them</NButton>
      <NButton size="small" quaternary @click="selection.pick([])">All parts</NButton>
    </div>
    <p v-if="!joined" class="small soft">To join parts, select unlocked parts of the same kind.</p>
  </div>

  <div v-else-if="part && placed && !selection.isListing" class="stack">
    <button type="button" class="plain soft small" @click="selection.pick([])">‹ All parts</button>
    <div class="field">
      <label for="part-name">Name</label>
      <NInput
        :key="`${part.id} ${part.name}`"
        :default-value="part.name"
        size="small"
        maxlength="200"
        :input-props="{ id: 'part-name' }"
        @change="(name) => opened.edit(renamePart(opened.piece, part!.id, name))"
      />
    </div>
    <p>
      {{ KIND_WORDS[part.kind] }}, {{ partSize(placed, settings.units) }}.
      <span v-if="!part.shown" class="soft">Left out: it is not stitched and hides nothing.</span>
      <span v-else-if="placed.behind.length > 0" class="soft">Part of it lies behind other parts and is cut away.</span>
    </p>
    <p v-if="like.length > 1">
      {{ say.oneOfLike(like.length) }}
      <button type="button" class="plain link" @click="opened.edit(setGroup(opened.piece, [part!.id], null))">
        Take it out of the group
      </button>
    </p>
    <div class="row">
      <NButton size="small" @click="opened.edit(movePart(opened.piece, part!.id, 'front'))">Bring forward</NButton>
      <NButton size="small" @click="opened.edit(movePart(opened.piece, part!.id, 'back'))">Send back</NButton>
      <NButton size="small" @click="opened.edit(setShown(opened.piece, [part!.id], !part!.shown))">
        {{ part.shown ? 'Leave out' : 'Show again' }}
      </NButton>
      <NButton size="small" @click="opened.edit(setLocked(opened.piece, [part!.id], !part!.locked))">
        {{ part.locked ? 'Unlock' : 'Lock' }}
      </NButton>
      <NButton size="small" :disabled="part.locked" @click="opened.edit(removeParts(opened.piece, [part!.id]))"
        >Remove</NButton
      >
    </div>
    <hr class="rule" />
    <h3>Its shape</h3>
    <p v-if="part.locked" class="small soft">It is locked: unlock it to change its shape.</p>
    <template v-else>
      <div class="row">
        <NButton
          v-if="part.kind !== 'spot'"
          size="small"
          :type="selection.pen?.draws === 'knife' ? 'primary' : 'default'"
          @click="draw('knife')"
          >Cut in two</NButton
        >
        <NButton v-if="part.kind === 'area'" size="small" @click="opened.edit(outlineToLine(opened.piece, [part!.id]))"
          >Stitch its outline only</NButton
        >
        <NButton v-if="part.kind === 'line'" size="small" @click="opened.edit(lineToArea(opened.piece, [part!.id]))"
          >Turn into an area</NButton
        >
      </div>
      <div class="row">
        <span class="small soft">Nudge by 0.5 mm</span>
        <NButton
          v-for="way in NUDGES"
          :key="way.label"
          size="small"
          :aria-label="way.label"
          @click="opened.edit(nudgeParts(opened.piece, [part!.id], way.x, way.y))"
          >{{ way.sign }}</NButton
        >
      </div>
      <div v-if="part.kind !== 'spot'" class="simplify">
        <NumberField
          label="Smooth out wobbles smaller than"
          :value="toleranceMm"
          :min="0.05"
          :max="5"
          :step="0.05"
          unit="mm"
          @change="toleranceMm = $event"
        />
        <NButton size="small" :disabled="!simplified" @click="opened.edit(simplified!.edit)">
          {{ say.simplify(cornersOf(part), simplified?.corners ?? cornersOf(part)) }}
        </NButton>
      </div>
    </template>
  </div>

  <div v-else class="stack">
    <h2>Drawing</h2>
    <p class="soft">
      {{ say.partsOfDrawing(opened.piece.drawing.parts.length, opened.piece.drawing.source) }}
    </p>
    <TidyDrawing />
    <div class="row" role="group" aria-label="Draw a part">
      <span class="small soft">Draw</span>
      <NButton
        v-for="pen in PENS"
        :key="pen.draws"
        size="small"
        :type="selection.pen?.draws === pen.draws ? 'primary' : 'default'"
        :aria-pressed="selection.pen?.draws === pen.draws"
        @click="draw(pen.draws)"
        >{{ pen.label }}</NButton
      >
      <NButton size="small" @click="isHelping = true">Petals, letters, borders…</NButton>
    </div>
    <ul v-if="opened.piece.drawing.notes.length > 0" class="notes">
      <li v-for="note in opened.piece.drawing.notes" :key="note">{{ note }}</li>
    </ul>
    <NCheckbox v-if="underlay" v-model:checked="settings.keepsToEdges" size="small"
      >Snap my strokes to edges and lines in the picture below</NCheckbox
    >
    <div v-if="underlay" class="simplify">
      <NumberField
        label="Picture below, strength"
        :value="Math.round(underlay.strength * 100)"
        :min="0"
        :max="100"
        :step="10"
        unit="%"
        @change="strengthen"
      />
      <NButton size="small" @click="opened.edit(setUnderlay(opened.piece, null, 'Remove the picture below'))"
        >Remove it</NButton
      >
    </div>
    <ProposeSubject v-if="underlay" />
    <fieldset>
      <legend class="small soft">Where parts overlap</legend>
      <NRadioGroup
        :value="opened.piece.drawing.hidden"
        name="hidden"
        @update:value="(value) => opened.edit(setHidden(opened.piece, value))"
      >
        <NRadio value="cut">Cut away hidden areas</NRadio>
        <NRadio value="keep">Stitch hidden areas too</NRadio>
      </NRadioGroup>
    </fieldset>
    <PickSeveral />
    <PickedBar />
    <DrawingParts />
  </div>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}
.notes {
  margin: 0;
  padding: 8px 12px 8px 28px;
  background: var(--weld-ground);
  border-radius: 6px;
}
.simplify {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 12px;
  align-items: end;
}
</style>
