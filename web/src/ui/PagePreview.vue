<script setup lang="ts">
import { pathData } from '@junctura/core/geometry';
import type { Page } from '@junctura/core/paper';

/** A page to print, small, as it will come out. */
defineProps<{ page: Page; label: string; pictures?: Readonly<Record<string, string>> }>();

const DECIMALS = 2;
const grey = (value: number): string => `rgb(${value * 255} ${value * 255} ${value * 255})`;
</script>

<template>
  <svg class="page" :viewBox="`0 0 ${page.widthMm} ${page.heightMm}`" role="img" :aria-label="label">
    <template v-for="(item, i) in page.items" :key="i">
      <path
        v-if="item.type === 'line'"
        :d="pathData(item, DECIMALS)"
        fill="none"
        :stroke="item.hex ?? grey(item.grey)"
        :stroke-width="Math.max(0.35, item.widthMm)"
        :stroke-dasharray="item.dashMm ?? undefined"
      />
      <path
        v-else-if="item.type === 'strokes'"
        :d="item.lines.map((points) => pathData({ points, closed: false }, DECIMALS)).join('')"
        class="thread"
        :stroke="item.hex"
        :stroke-width="item.widthMm"
      />
      <image
        v-else-if="item.type === 'picture'"
        :href="pictures?.[item.name]"
        :x="item.x"
        :y="item.y"
        :width="item.widthMm"
        :height="item.heightMm"
      />
      <text
        v-else
        :x="item.x"
        :y="item.y"
        :font-size="item.sizeMm"
        :text-anchor="item.align === 'centre' ? 'middle' : 'start'"
        :fill="grey(item.grey)"
        :font-weight="item.isBold ? 600 : undefined"
      >
        {{ item.text }}
      </text>
    </template>
  </svg>
</template>

<style scoped>
.page {
  background: #fff;
  width: 100%;
  box-shadow: 0 1px 5px rgb(0 0 0 / 25%);
  font-family: var(--sans);
}
.thread {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
