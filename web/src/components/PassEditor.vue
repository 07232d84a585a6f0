<script setup lang="ts">
import { strandChoices, threadKind, THREAD_KINDS, NEEDLE_NAMES } from '@junctura/core/materials';
import { formatFine, roundTo } from '@junctura/core/measure';
import type { Pass } from '@junctura/core/piece';
import { canWork, type PlannedPart } from '@junctura/core/plan';
import { STITCHES, stitchKind, type NumberParam, type ChoiceParam, type StitchId } from '@junctura/core/stitches';
import { NInputNumber, NSelect } from 'naive-ui';
import { computed } from 'vue';

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
function setParam(key: string, param: NumberParam | ChoiceParam, value: number | string | null): void {
  if (value === null) return;
  emit('change', { params: { [key]: value } }, `Change: ${param.label.toLowerCase()}`, `param-${key}`);
}
function setAngle(value: number | null): void {
  if (value !== null) emit('change', { angleDeg: ((value % 180) + 180) % 180 }, 'Turn the stitches', 'angle');
}
const dial = computed(() => {
  const angle = (pass.value.angleDeg * Math.PI) / 180;
  return { dx: Math.cos(angle) * 12, dy: -Math.sin(angle) * 12 };
});
</script>

<template>
  <div class="editor">
    <div class="field wide">
      <span id="stitch-label" class="label">Stitch</span>
      <NSelect
        :value="pass.stitch"
        :options="stitches"
        size="small"
        aria-labelledby="stitch-label"
        data-test="stitch"
        @update:value="setStitch"
      />
    </div>
    <div class="field">
      <span id="thread-label" class="label">Thread</span>
      <NSelect
        :value="pass.thread"
        :options="threads"
        size="small"
        aria-labelledby="thread-label"
        :consistent-menu-width="false"
        @update:value="setThread"
      />
    </div>
    <div class="field">
      <span id="strands-label" class="label">Strands</span>
      <NSelect
        :value="pass.strands"
        :options="strands"
        size="small"
        aria-labelledby="strands-label"
        data-test="strands"
        :consistent-menu-width="false"
        @update:value="
          (n: number) => emit('change', { strands: n }, `Work with ${n} ${n === 1 ? 'strand' : 'strands'}`, null)
        "
      />
    </div>
    <div v-if="kind.hasDirection" class="field">
      <label :for="`angle-${index}`">Direction</label>
      <div class="row angle">
        <svg viewBox="-14 -14 28 28" width="28" height="28" aria-hidden="true">
          <circle r="13" fill="none" stroke="var(--chalk)" />
          <line :x1="-dial.dx" :y1="-dial.dy" :x2="dial.dx" :y2="dial.dy" stroke="var(--madder)" stroke-width="2" />
        </svg>
        <NInputNumber
          :value="roundTo(pass.angleDeg, 1)"
          size="small"
          :step="5"
          :min="-360"
          :max="360"
          :input-props="{ id: `angle-${index}` }"
          @update:value="setAngle"
        >
          <template #suffix>°</template>
        </NInputNumber>
      </div>
    </div>
    <div v-for="{ key, param, value } in params" :key="key" class="field">
      <label :for="`param-${index}-${key}`" :title="param.hint">{{ param.label }}</label>
      <NInputNumber
        v-if="param.type === 'number'"
        :value="roundTo(Number(value), 2)"
        size="small"
        :min="param.min"
        :max="param.max"
        :step="param.step"
        :input-props="{ id: `param-${index}-${key}` }"
        @update:value="(next) => setParam(key, param, next)"
      >
        <template #suffix>{{ param.unit }}</template>
      </NInputNumber>
      <NSelect
        v-else
        :value="String(value)"
        size="small"
        :options="[...param.options]"
        :aria-label="param.label"
        :consistent-menu-width="false"
        @update:value="(next: string) => setParam(key, param, next)"
      />
    </div>
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
.angle {
  flex-wrap: nowrap;
  gap: 8px;
}
</style>
