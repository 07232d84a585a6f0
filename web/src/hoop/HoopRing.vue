<script setup lang="ts">
import { computed } from 'vue';

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
/** Turns of tape lie side by side, mm. */
const TAPE_TURN_MM = 6;
const inner = computed(() => (props.innerMm ?? 0) / 2);
const short = computed(() => (props.shortMm ?? props.innerMm ?? 0) / 2);
const ring = computed(() => Math.max(3.4, inner.value * 0.075));
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
      <ellipse :rx="inner + ring * 0.26" :ry="short + ring * 0.26" class="wood" :stroke-width="ring * 0.52" />
      <template v-if="bound">
        <ellipse :rx="inner + ring * 0.26" :ry="short + ring * 0.26" class="tape" :stroke-width="ring * 0.52" />
        <ellipse
          :rx="inner + ring * 0.26"
          :ry="short + ring * 0.26"
          class="turns"
          :stroke-width="ring * 0.52"
          :stroke-dasharray="`0.3 ${TAPE_TURN_MM - 0.3}`"
        />
      </template>
      <ellipse v-else :rx="inner + ring * 0.08" :ry="short + ring * 0.08" class="light" :stroke-width="ring * 0.09" />
      <ellipse :rx="inner + ring * 0.52" :ry="short + ring * 0.52" class="gap" :stroke-width="ring * 0.05" />
      <ellipse :rx="inner + ring * 0.77" :ry="short + ring * 0.77" class="wood" :stroke-width="ring * 0.46" />
      <ellipse :rx="inner + ring * 0.68" :ry="short + ring * 0.68" class="light" :stroke-width="ring * 0.12" />
      <ellipse
        v-for="grain in [0.3, 0.42, 0.84, 0.92]"
        :key="grain"
        :rx="inner + ring * grain"
        :ry="short + ring * grain"
        class="grain"
        :stroke-width="ring * 0.018"
      />
      <g :transform="`translate(0 ${-(outer - inner + short)})`">
        <rect :x="-ring * 0.5" :y="-ring * 0.5" :width="ring" :height="ring" :rx="ring * 0.12" class="brass" />
        <rect
          :x="-ring * 1.05"
          :y="-ring * 0.28"
          :width="ring * 2.3"
          :height="ring * 0.3"
          :rx="ring * 0.1"
          class="brass"
        />
        <rect
          :x="ring * 1.1"
          :y="-ring * 0.46"
          :width="ring * 0.4"
          :height="ring * 0.66"
          :rx="ring * 0.1"
          class="brass"
        />
        <path :d="`M0 ${-ring * 0.5}V${ring * 0.5}`" class="gap" :stroke-width="ring * 0.1" />
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
.gap {
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
