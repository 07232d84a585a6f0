<script setup lang="ts">
import {
  addParts,
  HELPERS,
  layOutLetters,
  leastHeightMm,
  type HelperPart,
  type LetterFont,
} from '@junctura/core/drawing';
import { DEFAULT_THREAD, laidWidthMm, threadKind } from '@junctura/core/materials';
import { failure, success, type Outcome } from '@junctura/core/measure';
import { stitchKind } from '@junctura/core/stitches';
import { NButton, NInput } from 'naive-ui';
import { computed, reactive, ref, shallowRef, watch } from 'vue';
import { partPath } from '../../hoop/usePartPaths.ts';
import { ALPHABETS, loadAlphabet, type AlphabetId } from './letterFonts.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSelection } from '../../session/selection.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import LengthField from '../../ui/LengthField.vue';
import NumberField from '../../ui/NumberField.vue';
import * as say from './words.ts';

/** What draws parts by itself: petals, leaves, borders, grids, seeds and lettering. */
const emit = defineEmits<{ close: [] }>();
const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();

const LETTERING = 'lettering';
const chosen = ref<string>(HELPERS[0]!.id);
const choices = [
  { value: LETTERING, label: 'Lettering' },
  ...HELPERS.map(({ id, name }) => ({ value: id, label: name })),
];
const helper = computed(() => HELPERS.find(({ id }) => id === chosen.value) ?? null);
const values = reactive<Record<string, Record<string, number>>>(
  Object.fromEntries(
    HELPERS.map(({ id, params }) => [
      id,
      Object.fromEntries(Object.entries(params).map(([key, { usual }]) => [key, usual])),
    ]),
  ),
);
const at = reactive({ x: 0, y: 0 });

const letters = reactive({
  text: '',
  alphabet: 'plain' as AlphabetId,
  heightMm: 10,
  spacingMm: 0.4,
  arcMm: 0,
});
const ALONG = { none: 'none', part: 'part' } as const;
const along = ref<'none' | 'part'>('none');
const font = shallowRef<Outcome<LetterFont> | null>(null);
watch(
  () => letters.alphabet,
  async (id) => {
    const read = await loadAlphabet(id);
    if (id === letters.alphabet) font.value = read;
  },
  { immediate: true },
);
const alphabets = ALPHABETS.map(({ id, name }) => ({ value: id, label: name }));
/** The line that is picked, for letters to stand on. */
const pickedLine = computed(() => {
  const planned = workings.plannedOf(selection.picked[0]);
  return planned?.placed.shape.lines[0] ?? null;
});
const STRANDS = 2;
const leastMm = computed(() => {
  if (!font.value?.ok) return 0;
  // Letters of lines are proposed in whipped rows, which are wider than their thread.
  const widths = font.value.value.kind === 'line' ? stitchKind('whipped-back').coverWidths : 1;
  return leastHeightMm(font.value.value, letters.text, widths * laidWidthMm(threadKind(DEFAULT_THREAD), STRANDS));
});

const drawn = computed<Outcome<HelperPart[]>>(() => {
  if (helper.value) {
    const there = workings.current?.plan.parts.map(({ placed }) => placed) ?? [];
    return success(helper.value.draw(values[helper.value.id]!, there, [at.x, at.y]));
  }
  if (!font.value) return failure('Loading the alphabet…');
  if (!font.value.ok) return font.value;
  const line = along.value === 'part' ? pickedLine.value : null;
  return layOutLetters(font.value.value, letters.text, { ...letters, along: line });
});
const box = computed(() => {
  const circle = workings.current?.plan.design.circle;
  const arc = chosen.value === LETTERING ? Math.abs(letters.arcMm) + letters.heightMm * 1.5 : 0;
  const away = Math.max(Math.abs(at.x), Math.abs(at.y));
  const reach = Math.max(circle ? Math.hypot(circle.x, circle.y) + circle.r : 40, 40, arc + away);
  return `${-reach} ${-reach} ${2 * reach} ${2 * reach}`;
});
/** Letters along a line that is picked lie on the cloth already. */
const place = computed<[number, number]>(() =>
  chosen.value === LETTERING && along.value === 'part' && pickedLine.value ? [0, 0] : [at.x, at.y],
);

function add(): void {
  if (!drawn.value.ok) return;
  const { label } = choices.find(({ value }) => value === chosen.value)!;
  const before = new Set(opened.piece.drawing.parts.map(({ id }) => id));
  opened.edit(
    addParts(opened.piece, drawn.value.value, place.value, say.addHelper(label), selection.pickedPart?.colour ?? null),
  );
  selection.pick(opened.piece.drawing.parts.filter(({ id }) => !before.has(id)).map(({ id }) => id));
  emit('close');
}
</script>

<template>
  <div class="stack">
    <button type="button" class="plain soft small" @click="emit('close')">‹ All parts</button>
    <h2>Draw by rule</h2>
    <ChoiceField label="Shape" :value="chosen" :options="choices" @change="chosen = $event" />
    <p v-if="helper" class="small soft">{{ helper.purpose }}</p>
    <svg class="preview" :viewBox="box" role="img" aria-label="Preview of what will be added">
      <path
        v-for="planned in workings.current?.plan.parts ?? []"
        :key="planned.part.id"
        :d="partPath(planned.placed)"
        class="there"
      />
      <g :transform="`translate(${place[0]} ${place[1]})`">
        <path
          v-for="(part, i) in drawn.ok ? drawn.value : []"
          :key="i"
          :d="part.path"
          :class="part.kind"
          fill-rule="evenodd"
        />
      </g>
    </svg>
    <template v-if="helper">
      <div class="pair">
        <template v-for="(param, key) in helper.params" :key="`${helper.id}-${key}`">
          <LengthField
            v-if="param.unit === 'mm'"
            :label="param.name"
            :value-mm="values[helper.id]![key]!"
            :min-mm="param.min"
            :max-mm="param.max"
            :step-mm="param.step"
            @change="values[helper.id]![key] = $event"
          />
          <NumberField
            v-else
            :label="param.name"
            :value="values[helper.id]![key]!"
            :min="param.min"
            :max="param.max"
            :step="param.step"
            :unit="param.unit"
            @change="values[helper!.id]![key] = $event"
          />
        </template>
      </div>
    </template>
    <template v-else>
      <div class="field">
        <label for="letters">Text</label>
        <NInput
          v-model:value="letters.text"
          size="small"
          placeholder="Slack water"
          maxlength="120"
          :input-props="{ id: 'letters' }"
        />
      </div>
      <ChoiceField
        label="Alphabet"
        :value="letters.alphabet"
        :options="alphabets"
        @change="letters.alphabet = $event"
      />
      <div class="pair">
        <LengthField
          label="Height of capitals"
          :value-mm="letters.heightMm"
          :min-mm="2"
          :max-mm="300"
          :step-mm="0.5"
          @change="letters.heightMm = $event"
        />
        <LengthField
          label="Letter spacing"
          :value-mm="letters.spacingMm"
          :min-mm="-5"
          :max-mm="50"
          :step-mm="0.1"
          @change="letters.spacingMm = $event"
        />
        <LengthField
          label="Arc radius (0: straight)"
          :value-mm="letters.arcMm"
          :min-mm="-400"
          :max-mm="400"
          @change="letters.arcMm = $event"
        />
        <ChoiceField
          v-if="pickedLine"
          label="Follow"
          :value="along"
          :options="[
            { value: ALONG.none, label: 'nothing' },
            { value: ALONG.part, label: 'the selected line' },
          ]"
          @change="along = $event"
        />
      </div>
      <p v-if="letters.heightMm < leastMm" class="small problem" role="alert">
        {{ say.lettersTooSmall(STRANDS, leastMm) }}
      </p>
      <p v-else-if="leastMm > 0" class="small soft">{{ say.lettersFrom(STRANDS, leastMm) }}</p>
    </template>
    <div class="pair">
      <LengthField label="From centre, right" :value-mm="at.x" :min-mm="-500" :max-mm="500" @change="at.x = $event" />
      <LengthField label="From centre, down" :value-mm="at.y" :min-mm="-500" :max-mm="500" @change="at.y = $event" />
    </div>
    <p v-if="!drawn.ok" class="small problem" role="alert">{{ drawn.problem }}</p>
    <p v-else-if="drawn.value.length === 0" class="small problem" role="alert">
      There is no room for anything: change the sizes above.
    </p>
    <div class="row">
      <NButton type="primary" size="small" :disabled="!drawn.ok || drawn.value.length === 0" @click="add">
        {{ say.addCount(drawn.ok ? drawn.value.length : 0) }}
      </NButton>
    </div>
  </div>
</template>

<style scoped>
.preview {
  width: 100%;
  max-height: 230px;
  background: var(--linen);
  border-radius: 8px;
}
.preview path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.3px;
  vector-effect: non-scaling-stroke;
  stroke-linecap: round;
}
.preview .there {
  stroke: var(--chalk);
  stroke-width: 1px;
}
.preview .area {
  fill: color-mix(in srgb, var(--madder) 30%, transparent);
}
.preview .spot {
  stroke-width: 4px;
}
.problem {
  border-left: 3px solid var(--weld);
  padding-left: 8px;
}
</style>
