<script setup lang="ts">
import { hoopNeeds, innerHalvesMm } from '@junctura/core/materials';
import type { Hoop } from '@junctura/core/piece';
import { computed, useId } from 'vue';
import { looseCloth } from './clothFolds.ts';
import { ringBands, ringMm, SCREW, TAPE_TURN_MM } from '../picture/ringShape.ts';

/** The hoop around the cloth: two rings and a screw; without a hoop, the cut edge of the cloth. */
const props = defineProps<{
  hoop: Hoop | null;
  reachMm: number;
  /** The colour of the cloth where it is seen to fall outside the ring; nothing of it where nothing is said. */
  cloth?: string | undefined;
  /** The colour of what lies about it; the table's where nothing is said. */
  around?: string | undefined;
}>();

const FAR = 4000;
const id = useId();
const halves = computed(() => (props.hoop ? innerHalvesMm(props.hoop) : ([0, 0] as const)));
const inner = computed(() => halves.value[0]);
const short = computed(() => halves.value[1]);
const ring = computed(() => ringMm(inner.value));
const outer = computed(() => inner.value + ring.value);
/** Half of the cloth that is seen where there is no hoop, mm. */
const edgeMm = computed(() => props.reachMm * 0.94);
const square = (half: number): string => `M${-half} ${-half}V${half}H${half}V${-half}Z`;
const outside = computed(() => {
  const r = props.hoop && outer.value - 0.3;
  const big = `M${-FAR} ${-FAR}H${FAR}V${FAR}H${-FAR}Z`;
  if (r === null) return `${big}${square(edgeMm.value)}`;
  const low = r - inner.value + short.value;
  return `${big}M${-r} 0A${r} ${low} 0 1 0 ${r} 0A${r} ${low} 0 1 0 ${-r} 0Z`;
});
/** The cloth outside the ring, as large as it is cut for this hoop. */
const loose = computed(() => {
  if (!props.cloth || !props.hoop) return null;
  const { clothAcrossMm, clothUprightMm } = hoopNeeds(props.hoop, [0, 0]);
  return looseCloth([outer.value, outer.value - inner.value + short.value], [clothAcrossMm / 2, clothUprightMm / 2]);
});
</script>

<template>
  <g class="hoop-ring">
    <path :d="outside" class="table" :style="{ fill: around }" fill-rule="evenodd" />
    <g v-if="!hoop && cloth" :style="{ '--cloth': cloth }">
      <path
        :d="`M${-edgeMm + 1} ${edgeMm + 1.1}H${edgeMm + 1.1}V${-edgeMm + 1}`"
        class="edge-shade"
        stroke-width="2.4"
      />
      <path :d="square(edgeMm + 0.7)" class="frayed" />
    </g>
    <g v-if="loose" class="loose" :clip-path="`url(#${id})`" :style="{ '--cloth': cloth }">
      <clipPath :id="id"><path :d="outside" clip-rule="evenodd" /></clipPath>
      <path :d="loose.edge" class="under" transform="translate(1.2 1.8)" />
      <path :d="loose.edge" class="cloth" :style="{ fill: cloth }" />
      <g class="folds">
        <path v-for="({ d, isLit }, i) in loose.folds" :key="i" :d="d" :class="isLit ? 'lit' : 'dim'" />
      </g>
    </g>
    <g v-if="hoop" fill="none" :class="hoop.ring">
      <ellipse :rx="inner + ring * 0.5" :ry="short + ring * 0.5" class="shade" :stroke-width="ring * 1.5" />
      <ellipse
        v-for="{ tone, out, width } in ringBands(hoop)"
        :key="`${tone} ${out}`"
        :rx="inner + ring * out"
        :ry="short + ring * out"
        :class="tone"
        :stroke-width="ring * width"
      />
      <ellipse
        v-if="hoop.bound"
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
.plastic {
  --wood: #8fb3a8;
  --wood-light: #d9ebe4;
  --wood-dark: #5f8379;
}
/* Threads that came loose along the cut edge, over the shade on the table. */
.frayed {
  fill: none;
  stroke: color-mix(in srgb, var(--cloth) 94%, #2b2013);
  stroke-width: 1.5;
  stroke-dasharray: 0.5 0.6 0.4 0.9 0.6 0.7;
}
.edge-shade {
  fill: none;
  stroke: rgb(50 35 10 / 12%);
}
.under {
  fill: rgb(50 35 10 / 16%);
}
/* Softer than their outlines: cloth has no edge where it folds. */
.folds {
  filter: blur(0.9px);
}
.lit {
  fill: color-mix(in srgb, var(--cloth) 78%, white);
  opacity: 0.5;
}
.dim {
  fill: color-mix(in srgb, var(--cloth) 80%, #2b2013);
  opacity: 0.45;
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
