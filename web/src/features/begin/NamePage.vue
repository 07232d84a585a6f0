<script setup lang="ts">
import { leastHeightMm, type LetterFont } from '@junctura/core/drawing';
import { AIR_MM, DEFAULT_THREAD, innerDiameterMm, laidWidthMm, threadKind } from '@junctura/core/materials';
import { formatFine, type Outcome } from '@junctura/core/measure';
import { stitchKind } from '@junctura/core/stitches';
import { NButton, NInput } from 'naive-ui';
import { computed, ref, shallowRef, watch } from 'vue';
import ChoiceField from '../../ui/ChoiceField.vue';
import { ALPHABETS, loadAlphabet, type AlphabetId } from '../drawing/index.ts';
import { useIntake } from '../../session/intake.ts';
import BeginHeader from './BeginHeader.vue';
import { FRAMES } from './motifs.ts';
import { insideOf, nameDrawing } from './nameDrawing.ts';
import * as say from './words.ts';

/** A name or a word, laid out as large as there is room, with what goes round it. */
const intake = useIntake();
const text = ref('');
const alphabet = ref<AlphabetId>('flowing');
const way = ref<'line' | 'arc'>('line');
const NOTHING = 'nothing';
/** A wreath is what most would put round a name. */
const around = ref<string>(FRAMES[0]?.id ?? NOTHING);
const colour = ref('#27406b');

const font = shallowRef<Outcome<LetterFont> | null>(null);
watch(
  alphabet,
  async (id) => {
    const read = await loadAlphabet(id);
    if (id === alphabet.value) font.value = read;
  },
  { immediate: true },
);
const alphabets = ALPHABETS.map(({ id, name }) => ({ value: id, label: name }));
const WAYS: { value: 'line' | 'arc'; label: string }[] = [
  { value: 'line', label: 'On a straight line' },
  { value: 'arc', label: 'In an arc' },
];
const rounds = [...FRAMES.map(({ id, name }) => ({ value: id, label: name })), { value: NOTHING, label: 'Nothing' }];
const INKS = [
  ['Indigo', '#27406b'],
  ['Madder', '#a8323a'],
  ['Green', '#2f5a46'],
  ['Plum', '#6b3f66'],
  ['Black', '#2b2f36'],
] as const;

const drawing = computed(() => {
  if (!font.value?.ok || text.value.trim() === '') return null;
  const frame = FRAMES.find(({ id }) => id === around.value);
  return nameDrawing(font.value.value, {
    text: text.value.trim(),
    way: way.value,
    frame: frame ? insideOf(frame.drawing) : null,
    colour: colour.value,
  });
});
const preview = computed(() =>
  drawing.value?.ok ? `data:image/svg+xml;charset=utf-8,${encodeURIComponent(drawing.value.value.svg)}` : null,
);
const problem = computed(() => {
  if (font.value && !font.value.ok) return font.value.problem;
  return drawing.value && !drawing.value.ok ? drawing.value.problem : null;
});
/** How high the letters come out in a usual hoop, and how high they have to be for their thread, mm. */
const height = computed(() => {
  if (!font.value?.ok || !drawing.value?.ok) return null;
  const acrossMm = innerDiameterMm(USUAL_HOOP_MM) - 2 * AIR_MM.usual;
  const widths = font.value.value.kind === 'line' ? stitchKind('whipped-back').coverWidths : 1;
  const threadMm = widths * laidWidthMm(threadKind(DEFAULT_THREAD), STRANDS);
  const [mm, leastMm] = [
    Math.round(acrossMm * drawing.value.value.letterShare),
    Math.ceil(leastHeightMm(font.value.value, text.value.trim(), threadMm)),
  ];
  return { mm, leastMm };
});
const USUAL_HOOP_MM = 150;
const STRANDS = 2;

function begin(): void {
  if (!drawing.value?.ok) return;
  void intake.begin(new File([drawing.value.value.svg], `${text.value.trim()}.svg`, { type: 'image/svg+xml' }));
}
</script>

<template>
  <main class="page">
    <BeginHeader
      title="A name or a word"
      about="Type it and see it in the hoop. Letters are drawn in the order in which you write them."
    />
    <div class="two">
      <div class="fields">
        <label class="big">
          <span>Name or word</span>
          <NInput
            v-model:value="text"
            size="large"
            placeholder="Ada"
            maxlength="40"
            :input-props="{ 'aria-label': 'Name or word', autocapitalize: 'words', enterkeyhint: 'done' }"
            @keydown.enter="begin"
          />
        </label>
        <ChoiceField label="Letters" :value="alphabet" :options="alphabets" @change="(next) => (alphabet = next)" />
        <ChoiceField label="Laid out" :value="way" :options="WAYS" @change="(next) => (way = next)" />
        <ChoiceField label="Round it" :value="around" :options="rounds" @change="(next) => (around = next)" />
        <div class="inks" role="group" aria-label="Colour of the letters">
          <button
            v-for="[name, hex] in INKS"
            :key="hex"
            type="button"
            class="plain ink"
            :aria-label="name"
            :title="name"
            :aria-pressed="colour === hex"
            :style="{ background: hex }"
            @click="colour = hex"
          ></button>
        </div>
        <p v-if="problem" role="alert">{{ problem }}</p>
        <p v-else-if="height" class="small soft" data-test="letter-height">
          {{ say.letterHeight(formatFine(height.mm), formatFine(height.leastMm), height.mm >= height.leastMm) }}
        </p>
        <NButton type="primary" size="large" :disabled="!drawing?.ok" data-test="begin-name" @click="begin"
          >Go on</NButton
        >
      </div>
      <div class="hoop" aria-hidden="true">
        <img v-if="preview" :src="preview" alt="" />
        <p v-else class="soft">Your word appears here.</p>
      </div>
    </div>
  </main>
</template>

<style scoped>
.page {
  max-width: 1000px;
  margin: 0 auto;
  padding: 24px 34px 60px;
  display: grid;
  gap: 22px;
}
.two {
  display: grid;
  grid-template-columns: minmax(260px, 1fr) minmax(0, 1.2fr);
  gap: 36px;
  align-items: start;
}
.fields {
  display: grid;
  gap: 14px;
}
.big {
  display: grid;
  gap: 4px;
}
.inks {
  display: flex;
  gap: 10px;
}
.ink {
  width: 44px;
  height: 44px;
  border-radius: 50%;
  border: 3px solid transparent;
}
.ink[aria-pressed='true'] {
  border-color: var(--weld);
}
.hoop {
  aspect-ratio: 1;
  display: grid;
  place-items: center;
  border-radius: 50%;
  border: 10px solid var(--hoop-wood, #c9995f);
  background: var(--paper);
}
.hoop img {
  width: 82%;
}
@media (width < 700px) {
  .page {
    padding: 12px 16px 40px;
  }
  .two {
    grid-template-columns: 1fr;
    gap: 18px;
  }
  .hoop {
    max-width: 300px;
    width: 100%;
    justify-self: center;
    order: -1;
  }
}
</style>
