<script setup lang="ts">
import { computed } from 'vue';
import { ringBands, ringMm, SCREW, TAPE_TURN_MM } from '../picture/ringShape.ts';

/** The wooden hoop around the cloth: two rings and a screw; without a hoop, the cut edge of the cloth. */
const props = defineProps<{
  innerMm: number | null;
  reachMm: number;
  shortMm?: number | null;
  /** Whether tape is wound round the inner ring. */
  bound?: boolean;
  /** The colour of what lies about it; the table's where nothing is said. */
  around?: string | undefined;
}>();

const FAR = 4000;
const inner = computed(() => (props.innerMm ?? 0) / 2);
const short = computed(() => (props.shortMm ?? props.innerMm ?? 0) / 2);
const ring = computed(() => ringMm(inner.value));
const outer = computed(() => inner.value + ring.value);
const outside = computed(() => {
  const r = props.innerMm === null ? null : outer.value - 0.3;
  const big = `M${-FAR} ${-FAR}H${FAR}V${FAR}H${-FAR}Z`;
  if (r === null) {
    const s = props.reachMm * 0.94;
    return `${big}M${-s} ${-s}V${s}H${s}V${-s}Z`;
  }
  const low = r - inner.value + short.value;
  return `${big}M${-r} 0A${r} ${low} 0 1 0 ${r} 0A${r} ${low} 0 1 0 ${-r} 0Z`;
});
</script>

<template>
  <g class="hoop-ring">
    <path :d="outside" class="table" :style="{ fill: around }" fill-rule="evenodd" />
    <g v-if="innerMm !== null" fill="none">
      <ellipse :rx="inner + ring * 0.5" :ry="short + ring * 0.5" class="shade" :stroke-width="ring * 1.5" />
      <ellipse
        v-for="{ tone, out, width } in ringBands(bound)"
        :key="`${tone} ${out}`"
        :rx="inner + ring * out"
        :ry="short + ring * out"
        :class="tone"
        :stroke-width="ring * width"
      />
      <ellipse
        v-if="bound"
        :rx="inner + ring * 0.26"
        :ry="short + ring * 0.26"
        class="turns"
        :stroke-width="ring * 0.52"
        :stroke-dasharray="`0.3 ${TAPE_TURN_MM - 0.3}`"
      />
      <g :transform="`translate(0 ${-(outer - inner + short)})`">
        <rect
          v-for="{ x, y, width, height } in SCREW"
          :key="x"
          :x="ring * x"
          :y="ring * y"
          :width="ring * width"
          :height="ring * height"
          :rx="ring * 0.1"
          class="brass"
        />
        <path :d="`M0 ${-ring * 0.5}V${ring * 0.5}`" class="dark" :stroke-width="ring * 0.1" />
      </g>
    </g>
  </g>
</template>

<style scoped>
.hoop-ring {
  pointer-events: none;
}
.table {
  fill: var(--linen-deep);
}
.shade {
  stroke: rgb(50 35 10 / 14%);
}
.wood {
  stroke: var(--wood);
}
.light {
  stroke: var(--wood-light);
}
.tape {
  stroke: #f2ecdf;
}
.turns {
  stroke: var(--wood-dark);
  opacity: 0.5;
}
.dark {
  stroke: var(--wood-dark);
}
.grain {
  stroke: var(--wood-dark);
  opacity: 0.35;
}
.brass {
  fill: var(--brass);
  stroke: var(--wood-dark);
  stroke-width: 0.15;
}
</style>
