<script setup lang="ts">
import type { Page, PageItem } from '@junctura/core/paper';

/** A page to print, small, as it will come out. */
defineProps<{ page: Page; label: string }>();

type LineItem = Extract<PageItem, { type: 'line' }>;

function pathOf({ points, closed }: LineItem): string {
  let path = '';
  for (let i = 0; i < points.length; i += 2)
    path += `${i === 0 ? 'M' : 'L'}${points[i]!.toFixed(2)} ${points[i + 1]!.toFixed(2)}`;
  return closed ? `${path}Z` : path;
}
const grey = (value: number): string => `rgb(${value * 255} ${value * 255} ${value * 255})`;
</script>

<template>
  <svg class="page" :viewBox="`0 0 ${page.widthMm} ${page.heightMm}`" role="img" :aria-label="label">
    <template v-for="(item, i) in page.items" :key="i">
      <path
        v-if="item.type === 'line'"
        :d="pathOf(item)"
        fill="none"
        :stroke="grey(item.grey)"
        :stroke-width="Math.max(0.35, item.widthMm)"
        :stroke-dasharray="item.dashMm ?? undefined"
      />
      <text
        v-else
        :x="item.x"
        :y="item.y"
        :font-size="item.sizeMm"
        :text-anchor="item.align === 'centre' ? 'middle' : 'start'"
        :fill="grey(item.grey)"
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
</style>
