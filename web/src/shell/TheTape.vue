<script setup lang="ts">
import { isAccepted, severityOf, stepOf } from '@junctura/core/advice';
import { computed, onMounted, useTemplateRef, watch } from 'vue';
import { RouterLink, useRoute } from 'vue-router';
import { STEPS, type StepId } from './steps.ts';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { useWorkings } from '../session/workings.ts';
import * as say from './words.ts';

/** The steps like marks on a measuring tape; a mark shows what needs a look. */
const props = defineProps<{ step: StepId; pieceId: string }>();

const opened = useOpenedPiece();
const route = useRoute();

const workings = useWorkings();
const open = computed(() => {
  const counts = new Map<StepId, number>();
  for (const finding of workings.current?.findings ?? []) {
    if (isAccepted(opened.piece, finding) || severityOf(finding) === 'note') continue;
    const step = stepOf(finding);
    counts.set(step, (counts.get(step) ?? 0) + 1);
  }
  return counts;
});

/** Where the tape is longer than the window, the present mark lies in its middle. */
const tape = useTemplateRef('tape');
function showHere(): void {
  const [all, here] = [tape.value, tape.value?.querySelector<HTMLElement>('[aria-current]')];
  if (all && here) all.scrollLeft = here.offsetLeft - (all.clientWidth - here.offsetWidth) / 2;
}
onMounted(showHere);
watch([() => props.step, open], showHere, { flush: 'post' });
</script>

<template>
  <nav ref="tape" class="tape" aria-label="Steps">
    <RouterLink
      v-for="(entry, i) in STEPS"
      :key="entry.id"
      :to="{ name: 'piece', params: { id: pieceId, step: entry.id }, query: route.query }"
      class="mark"
      :class="{ here: entry.id === step }"
      :aria-current="entry.id === step ? 'step' : undefined"
      replace
    >
      <span class="figure number">{{ i + 1 }}</span>
      <span class="name">{{ entry.name }}</span>
      <span v-if="open.get(entry.id)" class="look" :title="say.toCheck(open.get(entry.id)!)">
        <span aria-hidden="true">{{ open.get(entry.id) }}</span>
        <span class="visually-hidden">{{ say.toCheck(open.get(entry.id)!) }}</span>
      </span>
    </RouterLink>
  </nav>
</template>

<style scoped>
.tape {
  display: flex;
  min-width: 0;
  flex: 1;
  align-self: stretch;
  background-color: #efdca2;
  background-image:
    repeating-linear-gradient(90deg, rgb(60 45 15 / 55%) 0 1px, transparent 1px 10px),
    repeating-linear-gradient(90deg, rgb(60 45 15 / 75%) 0 1px, transparent 1px 50px);
  background-size:
    100% 6px,
    100% 11px;
  background-position: 0 100%;
  background-repeat: no-repeat;
  border-inline: 4px solid var(--brass);
}
.mark {
  flex: 1;
  display: flex;
  align-items: baseline;
  justify-content: center;
  gap: 5px;
  padding: 11px 3px 15px;
  white-space: nowrap;
  color: #33291a;
  text-decoration: none;
  font-family: var(--serif);
  font-size: 15px;
  position: relative;
  min-width: 0;
}
.mark:hover {
  background: rgb(255 255 255 / 28%);
}
.mark.here {
  font-weight: 650;
}
.mark.here::after {
  content: '';
  position: absolute;
  left: 50%;
  bottom: 0;
  width: 0;
  height: 0;
  border: 8px solid transparent;
  border-bottom-color: var(--madder);
  border-top: 0;
  transform: translateX(-50%);
}
.number {
  font-size: 13px;
  color: #6a5526;
}
.look {
  font-family: var(--sans);
  font-size: 12px;
  font-weight: 600;
  min-width: 18px;
  text-align: center;
  line-height: 18px;
  border-radius: 9px;
  background: #7a2f1c;
  color: #fff;
  padding: 0 4px;
}
:root[data-theme='lamp'] .tape {
  background-color: #b79f62;
}
@media (max-width: 900px) {
  .number {
    display: none;
  }
  .mark {
    font-size: 15px;
  }
}
@media (max-width: 640px) {
  .tape {
    position: relative;
    overflow-x: auto;
  }
  .mark {
    flex: none;
    padding-inline: 9px;
  }
}
</style>
