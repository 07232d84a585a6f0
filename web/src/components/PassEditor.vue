<script setup lang="ts">
import { strandChoices, threadKind, THREAD_KINDS, NEEDLE_NAMES } from '@junctura/core/materials';
import { formatFine, roundTo } from '@junctura/core/measure';
import type { Pass } from '@junctura/core/piece';
import { canWork, type PlannedPart } from '@junctura/core/plan';
import { STITCHES, stitchKind, type StitchId } from '@junctura/core/stitches';
import { computed } from 'vue';
import ChoiceField from './ChoiceField.vue';
import NumberField from './NumberField.vue';

/** One layer of a part: stitch, thread, strands, direction and the stitch's own parameters. */
const props = defineProps<{ planned: PlannedPart; index: number }>();
const emit = defineEmits<{ change: [change: Partial<Pass>, label: string, mergeKey: string | null] }>();

const pass = computed(() => props.planned.passes[props.index]!);
const kind = computed(() => stitchKind(pass.value.stitch));
const stitches = computed(() =>
  STITCHES.filter(({ id }) => canWork(id, props.planned.placed)).map(({ id, name }) => ({ value: id, label: name })),
);
const threads = THREAD_KINDS.map(({ id, name }) => ({ value: id, label: name }));
const strands = computed(() =>
  strandChoices(threadKind(pass.value.thread)!).map((n) => ({
    value: n,
    label: n === 12 ? '12 (six, folded)' : String(n),
  })),
);
const params = computed(() =>
  Object.entries(kind.value.params).map(([key, param]) => ({ key, param, value: pass.value.params[key]! })),
);

function setStitch(stitch: StitchId): void {
  emit('change', { stitch, params: {}, angleDeg: null }, `Work in ${stitchKind(stitch).name.toLowerCase()}`, null);
}
function setThread(thread: string): void {
  const choices = strandChoices(threadKind(thread)!);
  const now = pass.value.strands;
  emit('change', { thread, strands: choices.includes(now) ? now : choices[0]! }, 'Change the thread', null);
}
function setStrands(strands: number): void {
  emit('change', { strands }, `Work with ${strands} ${strands === 1 ? 'strand' : 'strands'}`, null);
}
function setParam(key: string, label: string, value: number | string): void {
  emit('change', { params: { [key]: value } }, `Change: ${label.toLowerCase()}`, `param-${key}`);
}
function setAngle(value: number): void {
  emit('change', { angleDeg: ((value % 180) + 180) % 180 }, 'Turn the stitches', 'angle');
}
const dial = computed(() => {
  const angle = (pass.value.angleDeg * Math.PI) / 180;
  return { dx: Math.cos(angle) * 12, dy: -Math.sin(angle) * 12 };
});
</script>

<template>
  <div class="editor">
    <ChoiceField class="wide" label="Stitch" :value="pass.stitch" :options="stitches" @change="setStitch" />
    <ChoiceField label="Thread" :value="pass.thread" :options="threads" @change="setThread" />
    <ChoiceField label="Strands" :value="pass.strands" :options="strands" @change="setStrands" />
    <NumberField
      v-if="kind.hasDirection"
      label="Direction"
      :value="roundTo(pass.angleDeg, 1)"
      :min="-360"
      :max="360"
      :step="5"
      unit="°"
      @change="setAngle"
    >
      <svg class="dial" viewBox="-14 -14 28 28" width="28" height="28" aria-hidden="true">
        <circle r="13" fill="none" stroke="var(--chalk)" />
        <line :x1="-dial.dx" :y1="-dial.dy" :x2="dial.dx" :y2="dial.dy" stroke="var(--madder)" stroke-width="2" />
      </svg>
    </NumberField>
    <template v-for="{ key, param, value } in params" :key="key">
      <NumberField
        v-if="param.type === 'number'"
        :label="param.label"
        :hint="param.hint"
        :value="roundTo(Number(value), 2)"
        :min="param.min"
        :max="param.max"
        :step="param.step"
        :unit="param.unit"
        @change="(next) => setParam(key, param.label, next)"
      />
      <ChoiceField
        v-else
        :label="param.label"
        :value="String(value)"
        :options="param.options"
        @change="(next) => setParam(key, param.label, next)"
      />
    </template>
    <p class="wide small soft">
      Lies {{ formatFine(pass.laidMm) }} wide · {{ NEEDLE_NAMES[pass.needle.family] }} needle {{ pass.needle.size }} ({{
        formatFine(pass.needle.shaftMm)
      }}). Needles are sharp: count them out and in.
    </p>
  </div>
</template>

<style scoped>
.editor {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 14px;
}
.wide {
  grid-column: 1 / -1;
}
.dial {
  flex: none;
}
</style>
