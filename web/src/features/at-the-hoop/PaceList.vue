<script setup lang="ts">
import type { Pace } from '@junctura/core/log';
import { plural } from '@junctura/core/measure';
import { stitchKind } from '@junctura/core/stitches';
import { computed, ref } from 'vue';
import { NButton } from 'naive-ui';
import * as say from './words.ts';

/** How quick she is in each kind of stitch, against the usual. */
const props = defineProps<{ pace: Pace }>();

/** How wide a bar can be, and what fills it: twice as long as usual, or half. */
const HALF_PX = 44;
/** How many are shown first: those that are known best. */
const FIRST = 8;
const showsAll = ref(false);

const rows = computed(() =>
  [...props.pace.stitches]
    .sort(([, a], [, b]) => b.records - a.records)
    .map(([stitch, { factor, records }]) => {
      return {
        stitch,
        name: stitchKind(stitch).name,
        steps: plural(records, 'step'),
        told: say.pace(factor) ?? 'at the usual pace',
        px: Math.max(-1, Math.min(1, Math.log2(factor))) * HALF_PX,
      };
    }),
);
</script>

<template>
  <section v-if="rows.length > 0" aria-label="Your pace by stitch">
    <table data-test="pace">
      <caption class="soft">
        Your pace by stitch, compared with the usual
      </caption>
      <tbody>
        <tr v-for="row in showsAll ? rows : rows.slice(0, FIRST)" :key="row.stitch">
          <th scope="row">{{ row.name }}</th>
          <td class="soft small">{{ row.steps }}</td>
          <td class="beside">
            <svg :width="HALF_PX * 2" height="12" aria-hidden="true">
              <rect :x="HALF_PX + Math.min(0, row.px)" y="2" :width="Math.abs(row.px)" height="8" class="bar" />
              <line :x1="HALF_PX" y1="0" :x2="HALF_PX" y2="12" class="usual" />
            </svg>
          </td>
          <td class="figure">{{ row.told }}</td>
        </tr>
      </tbody>
    </table>
    <NButton v-if="rows.length > FIRST && !showsAll" size="small" @click="showsAll = true">{{
      say.allStitches(rows.length)
    }}</NButton>
  </section>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
caption {
  text-align: left;
  padding-bottom: 4px;
}
th {
  text-align: left;
  font-weight: 400;
}
td {
  padding: 2px 0 2px 10px;
  white-space: nowrap;
}
/* What the bar shows is said beside it: on the narrowest screens the words have the room. */
@media (max-width: 360px) {
  .beside {
    display: none;
  }
}
.bar {
  fill: var(--madder);
  opacity: 0.55;
}
.usual {
  stroke: var(--ink-soft);
}
</style>
