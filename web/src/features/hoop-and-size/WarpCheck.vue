<script setup lang="ts">
import { WARP_LIMIT, warpOf } from '@junctura/core/materials';
import type { Hoop } from '@junctura/core/piece';
import { computed } from 'vue';
import LengthField from '../../ui/LengthField.vue';
import * as say from './words.ts';

type Warp = NonNullable<Hoop['warp']>;

/** Whether cloth was mounted true: a drawn circle measured both ways, and what to loosen where it became an oval. */
const props = defineProps<{ warp: Warp | null }>();
const emit = defineEmits<{ measured: [warp: Warp] }>();

const START: Warp = { drawnMm: 50, uprightMm: 50, acrossMm: 50 };
const shown = computed(() => props.warp ?? START);
const warpShare = computed(() => warpOf(shown.value));
function measure(change: Partial<Warp>): void {
  emit('measured', { ...shown.value, ...change });
}

/** The circle as drawn, and what became of it, made stronger by a factor. */
const DRAWN = 22;
const STRONGER = 3;
function drawn(diameterMm: number): number {
  const factor = 1 + (diameterMm / shown.value.drawnMm - 1) * STRONGER;
  return DRAWN * Math.max(0.6, Math.min(1.3, factor));
}
</script>

<template>
  <section class="stack">
    <hr class="rule" />
    <h3>Is the cloth out of round?</h3>
    <p class="small soft">
      Draw a circle on the cloth before you put it in the hoop, and measure it both ways in the hoop: pulled unevenly it
      becomes an oval, and so does the design.
    </p>
    <div class="triple">
      <LengthField
        label="Drawn"
        :value-mm="shown.drawnMm"
        :min-mm="10"
        :max-mm="600"
        @change="(mm) => measure({ drawnMm: mm })"
      />
      <LengthField
        label="Up and down"
        :value-mm="shown.uprightMm"
        :min-mm="5"
        :max-mm="1200"
        :step-mm="0.5"
        @change="(mm) => measure({ uprightMm: mm })"
      />
      <LengthField
        label="Across"
        :value-mm="shown.acrossMm"
        :min-mm="5"
        :max-mm="1200"
        :step-mm="0.5"
        @change="(mm) => measure({ acrossMm: mm })"
      />
    </div>
    <div v-if="warp" class="warp" data-test="warp">
      <svg viewBox="-30 -30 60 60" aria-hidden="true">
        <circle :r="DRAWN" class="true" />
        <ellipse :rx="drawn(warp.acrossMm)" :ry="drawn(warp.uprightMm)" class="now" />
      </svg>
      <p v-if="Math.abs(warpShare) > WARP_LIMIT">
        {{ say.outOfRound(warpShare) }}
      </p>
      <p v-else>{{ say.roundEnough(WARP_LIMIT) }}</p>
    </div>
  </section>
</template>

<style scoped>
.triple {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 10px 14px;
}
.warp {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 14px;
  align-items: center;
}
.warp circle,
.warp ellipse {
  fill: none;
  stroke-width: 1.2;
}
.true {
  stroke: var(--chalk);
  stroke-dasharray: 3 2;
}
.now {
  stroke: var(--madder);
}
</style>
