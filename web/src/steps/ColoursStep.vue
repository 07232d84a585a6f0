<script setup lang="ts">
import { deltaE, differenceInWords, labOf } from '@junctura/core/colour';
import { nearestShades, shadeOf, THRUMWICK } from '@junctura/core/materials';
import { setShade, setShades } from '@junctura/core/piece';
import { colourName } from '@junctura/core/plan';
import { NButton, NInput } from 'naive-ui';
import { computed, ref } from 'vue';
import { useBench } from '../stores/bench.ts';

const bench = useBench();
const openId = ref<string | null>(null);
const search = ref('');
const NEAREST = 4;

const entries = computed(() =>
  bench.piece.palette
    .map((colour) => ({
      colour,
      ...colourName(colour),
      parts: bench.piece.drawing.parts.filter((part) => part.colour === colour.id),
      fromDrawn:
        colour.shade === null ? null : differenceInWords(deltaE(labOf(colour.hex), shadeOf(colour.shade)!.lab)),
    }))
    .filter(({ parts }) => parts.length > 0),
);
const unchosen = computed(() => entries.value.filter(({ colour }) => colour.shade === null));

const open = computed(() => entries.value.find(({ colour }) => colour.id === openId.value) ?? null);
const nearest = computed(() =>
  open.value
    ? nearestShades(open.value.colour.hex, NEAREST).map(({ item, difference }) => ({
        shade: item,
        words: differenceInWords(difference),
      }))
    : [],
);
/** The card: families side by side, light above dark. */
const families = computed(() => {
  const wanted = search.value.trim().toLowerCase();
  const byFamily = new Map<string, (typeof THRUMWICK.shades)[number][]>();
  for (const shade of THRUMWICK.shades) {
    if (wanted && !`${shade.name} ${shade.code}`.toLowerCase().includes(wanted)) continue;
    const family = shade.code.slice(0, 2);
    byFamily.set(family, [shade, ...(byFamily.get(family) ?? [])]);
  }
  return [...byFamily.values()];
});

function chooseAll(): void {
  const shades = new Map(unchosen.value.map(({ colour }) => [colour.id, nearestShades(colour.hex, 1)[0]!.item.code]));
  bench.edit(setShades(bench.piece, shades));
}
function show(id: string): void {
  openId.value = openId.value === id ? null : id;
  const parts = entries.value.find(({ colour }) => colour.id === id)?.parts ?? [];
  bench.pick(openId.value === null ? [] : parts.map((part) => part.id));
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
        <div v-if="openId === entry.colour.id" class="choose">
          <p class="small soft">
            Drawn <span class="swatch" :style="{ background: entry.colour.hex }"></span> Nearest in
            {{ THRUMWICK.name }}:
          </p>
          <button
            v-for="{ shade, words } in nearest"
            :key="shade.code"
            type="button"
            class="plain near"
            :class="{ chosen: entry.colour.shade === shade.code }"
            @click="bench.edit(setShade(bench.piece, entry.colour.id, shade.code))"
          >
            <span class="swatch" :style="{ background: shade.hex }"></span> {{ shade.name }}
            <span class="figure soft">{{ shade.code }}</span> <span class="small soft">{{ words }}</span>
          </button>
          <NInput
            v-model:value="search"
            size="small"
            clearable
            placeholder="Search the whole card: pale, slate, wd-…"
            :input-props="{ 'aria-label': 'Search the shade card' }"
          />
          <div class="card">
            <div v-for="family in families" :key="family[0]!.code" class="family">
              <button
                v-for="shade in family"
                :key="shade.code"
                type="button"
                class="plain shade"
                :class="{ chosen: entry.colour.shade === shade.code }"
                :style="{ background: shade.hex }"
                :title="`${shade.name} ${shade.code}`"
                :aria-label="`${shade.name} ${shade.code}`"
                @click="bench.edit(setShade(bench.piece, entry.colour.id, shade.code))"
              ></button>
            </div>
            <p v-if="families.length === 0" class="small soft">
              No shade is called that. Try a tone (deep, pale) or a family (slate, moss stone).
            </p>
          </div>
        </div>
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
.choose {
  display: grid;
  gap: 6px;
  padding: 4px 0 12px 4px;
}
.near {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 3px 6px;
  border-radius: 5px;
}
.near:hover,
.near.chosen {
  background: var(--linen-deep);
}
.small .swatch {
  vertical-align: -5px;
}
.card {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 3px;
}
.family {
  display: grid;
  gap: 0;
  align-content: start;
}
.shade {
  width: 24px;
  height: 24px;
}
.shade:first-child {
  border-radius: 8px 8px 0 0;
}
.shade:last-child {
  border-radius: 0 0 8px 8px;
}
.shade.chosen {
  outline: 3px solid var(--ink);
  outline-offset: -2px;
  border-radius: 4px;
}
</style>
