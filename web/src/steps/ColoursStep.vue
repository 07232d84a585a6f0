<script setup lang="ts">
import { deltaE, differenceInWords, labOf } from '@junctura/core/colour';
import { nearestShade } from '@junctura/core/materials';
import { setShade, setShades } from '@junctura/core/piece';
import { colourName, usesColour } from '@junctura/core/plan';
import { NButton } from 'naive-ui';
import { computed, ref } from 'vue';
import ShadePicker from '../components/ShadePicker.vue';
import { useBench } from '../stores/bench.ts';

const bench = useBench();
const openId = ref<string | null>(null);

const entries = computed(() =>
  bench.piece.palette
    .map((colour) => ({
      colour,
      ...colourName(colour),
      parts: (bench.workings?.plan.parts ?? [])
        .filter((planned) => planned.part.colour === colour.id || usesColour(planned, colour.id))
        .map(({ part }) => part),
      fromDrawn: colour.shade === null ? null : differenceInWords(deltaE(labOf(colour.hex), labOf(colour.shade.hex))),
    }))
    .filter(({ parts }) => parts.length > 0),
);
const unchosen = computed(() => entries.value.filter(({ colour }) => colour.shade === null));

function chooseAll(): void {
  const shades = new Map(
    unchosen.value.map(({ colour }) => [colour.id, { shade: nearestShade(colour.hex).item, second: null }]),
  );
  bench.edit(setShades(bench.piece, shades));
}
function show(id: string): void {
  openId.value = openId.value === id ? null : id;
  bench.pickColour(openId.value);
}
</script>

<template>
  <div class="stack">
    <h2>Colours</h2>
    <p class="soft">A screen or a printer lies about colour: hold the thread against the cloth before you buy.</p>
    <NButton v-if="unchosen.length > 0" type="primary" size="small" @click="chooseAll">
      {{ unchosen.length === 1 ? 'Take the nearest shade' : `Take the nearest shade for ${unchosen.length} colours` }}
    </NButton>
    <ul class="colours">
      <li v-for="entry in entries" :key="entry.colour.id">
        <button
          type="button"
          class="plain colour"
          :aria-expanded="openId === entry.colour.id"
          @click="show(entry.colour.id)"
        >
          <span class="skein" :style="{ background: entry.hex }"></span>
          <span>
            <strong>{{ entry.name }}</strong><br />
            <span class="small soft">
              {{ entry.parts.length }} {{ entry.parts.length === 1 ? 'part' : 'parts'
              }}<template v-if="entry.fromDrawn"> · {{ entry.fromDrawn }} as drawn</template
              ><template v-else> · as drawn, no shade chosen</template>
            </span>
          </span>
        </button>
        <ShadePicker
          v-if="openId === entry.colour.id"
          :hex="entry.colour.hex"
          :chosen="entry.colour.shade"
          @choose="(shade) => bench.edit(setShade(bench.piece, entry.colour.id, shade))"
        />
      </li>
    </ul>
  </div>
</template>

<style scoped>
.colours {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 6px;
}
.colour {
  display: flex;
  gap: 12px;
  align-items: center;
  width: 100%;
  padding: 6px 8px;
  margin: 0 -8px;
  border-radius: 8px;
}
.colour:hover {
  background: var(--linen-deep);
}
.skein {
  flex: none;
  width: 56px;
  height: 26px;
  border-radius: 13px;
  background-image: repeating-linear-gradient(
    96deg,
    rgb(255 255 255 / 16%) 0 1.5px,
    transparent 1.5px 4px,
    rgb(0 0 0 / 14%) 4px 5px
  );
  background-blend-mode: normal;
  box-shadow: inset 0 -5px 7px -4px rgb(0 0 0 / 35%);
}
</style>
