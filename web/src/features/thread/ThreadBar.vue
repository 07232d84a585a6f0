<script setup lang="ts">
import { formatThread } from '@junctura/core/measure';
import { computed } from 'vue';
import { useSettings } from '../../session/settings.ts';

/** Where thread goes: a length of it, divided, with each share named. */
const props = defineProps<{
  frontMm: number;
  backMm: number;
  wrapMm: number;
  throughMm: number;
  slackMm: number;
  lostMm: number;
}>();

const settings = useSettings();
const shares = computed(() => {
  const all = [
    { id: 'front', name: 'on the front', mm: props.frontMm },
    { id: 'back', name: 'on the back', mm: props.backMm },
    { id: 'wrap', name: 'in wraps', mm: props.wrapMm },
    { id: 'through', name: 'through the cloth', mm: props.throughMm },
    { id: 'slack', name: 'slack', mm: props.slackMm },
    { id: 'lost', name: 'lost in starting and fastening off', mm: props.lostMm },
  ].filter(({ mm }) => mm >= 5);
  const sum = all.reduce((total, { mm }) => total + mm, 0) || 1;
  return all.map((share) => ({ ...share, percent: (share.mm / sum) * 100 }));
});
const amount = (mm: number): string => formatThread(mm, settings.units);
</script>

<template>
  <div class="thread-bar">
    <div class="bar" aria-hidden="true">
      <span v-for="share in shares" :key="share.id" :class="share.id" :style="{ width: `${share.percent}%` }"></span>
    </div>
    <ul>
      <li v-for="share in shares" :key="share.id">
        <i :class="share.id" aria-hidden="true"></i><span class="figure">{{ amount(share.mm) }}</span> {{ share.name }}
      </li>
    </ul>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  height: 12px;
  border-radius: 6px;
  overflow: hidden;
  gap: 1px;
}
.front {
  background: var(--madder);
}
.back {
  background: repeating-linear-gradient(90deg, var(--ink-soft) 0 4px, transparent 4px 7px), var(--chalk);
}
.wrap {
  background: var(--moss);
}
.through {
  background: var(--ink);
}
.slack {
  background: var(--chalk);
}
.lost {
  background: repeating-linear-gradient(45deg, var(--weld) 0 3px, transparent 3px 6px), var(--weld-ground);
}
ul {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  margin: 5px 0 0;
  padding: 0;
  font-size: 13px;
  color: var(--ink-soft);
}
i {
  display: inline-block;
  width: 10px;
  height: 10px;
  border-radius: 2px;
  margin-right: 5px;
}
</style>
