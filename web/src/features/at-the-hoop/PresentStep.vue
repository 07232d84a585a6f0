<script setup lang="ts">
import { formatList } from '@junctura/core/measure';
import { needleName } from '@junctura/core/order';
import { parkedDuring, stepNeedle } from '@junctura/core/thread';
import { Undo2 } from '@lucide/vue';
import { NButton } from 'naive-ui';
import { computed } from 'vue';
import { useWorkSoFar } from '../../session/workSoFar.ts';
import { useStepNote } from './stepNote.ts';
import type { MoreTopic } from './moreTopics.ts';
import { figureText, firstLines, glanced } from '@junctura/core/paper';
import * as say from './words.ts';

/** The present step in words: what, how, in which thread, how far the needle reaches. What is asked meanwhile stands above it. */
defineProps<{ staysAwake: boolean }>();
const emit = defineEmits<{ topic: [topic: MoreTopic] }>();
const work = useWorkSoFar();
const stepNote = useStepNote();

const present = computed(() => work.present);
const colour = computed(() => work.colourBy(work.present?.colour));

/** What is on the needle for the present step, and which needles wait beside it. */
const needle = computed(() => {
  const own = work.plan && present.value && stepNeedle(work.plan, present.value);
  if (!own) return null;
  const lasts = own.stitches === null ? 'It is enough for the whole step.' : say.enoughFor(own.stitches);
  return { share: Math.max(0.05, own.share), text: lasts };
});
/** Its figures in one line, and what is done before the first stitch; the rest of what the guide says is one press away. */
const figures = computed(() => (stepNote.present ? glanced(stepNote.present).map(figureText).join(' · ') : ''));
const first = computed(() => (stepNote.present ? firstLines(stepNote.present) : []));

const parked = computed(() =>
  work.plan && present.value ? parkedDuring(work.plan, present.value).map((id) => work.colourBy(id)) : [],
);
function later(): void {
  if (present.value) void work.note({ type: 'step-later', step: present.value.key });
}
</script>

<template>
  <section class="step">
    <slot />
    <h2 data-test="present">{{ work.partNameOf(present) }}</h2>
    <p class="what">
      {{ say.stitchAndLayer(work.stitchName(present), present?.journey === null ? work.layerOf(present) : '') }}
    </p>
    <p class="thread">
      <i class="bar" :style="{ background: colour.hex }"></i>
      <span>{{ say.threadOf(colour.name, present!.strands, needleName(present!.needle)) }}</span>
    </p>
    <p class="figures" data-test="figures">{{ figures }}</p>
    <p class="told" data-test="told">{{ [...first, needle?.text ?? ''].join(' ') }}</p>
    <div v-if="needle" class="needle">
      <span class="gauge" aria-hidden="true"
        ><b :style="{ width: `${Math.round(needle.share * 100)}%`, background: colour.hex }"></b
      ></span>
      <span v-if="parked.length > 0" class="parked" data-test="parked">
        <span class="soft">Parked needles:</span>
        <i v-for="(own, i) in parked" :key="i" :style="{ background: own.hex }" :title="own.name"></i>
        <span class="visually-hidden">{{ formatList(parked.map(({ name }) => name)) }}</span>
      </span>
    </div>
    <p v-if="!staysAwake" class="soft small">This browser can’t keep the screen on.</p>
    <div class="side">
      <NButton :disabled="!work.canTakeBack" data-test="back" @click="work.takeBack"><Undo2 :size="18" />Undo</NButton>
      <NButton data-test="how" @click="emit('topic', 'how')">How it is worked</NButton>
      <NButton data-test="later" @click="later">Later</NButton>
      <NButton data-test="part" @click="emit('topic', 'part')">Part of it</NButton>
      <NButton data-test="wrong" @click="emit('topic', 'wrong')">Something is wrong</NButton>
    </div>
  </section>
</template>

<style scoped>
.step {
  display: grid;
  gap: 5px;
  padding: 8px 16px;
  background: var(--paper);
}
.step h2 {
  font-size: calc(28px * var(--type));
  line-height: 1.15;
  overflow-wrap: anywhere;
}
.what {
  font-size: calc(20px * var(--type));
  line-height: 1.25;
}
.thread {
  display: flex;
  align-items: center;
  gap: 10px;
}
.bar {
  flex: none;
  width: 44px;
  height: 14px;
  border-radius: 7px;
  border: 1px solid rgb(0 0 0 / 20%);
}
.figures,
.told {
  font-size: calc(16px * var(--type));
}
.figures,
.told,
.thread {
  line-height: 1.3;
}
.needle {
  display: flex;
  align-items: center;
  gap: 10px;
  font-size: 15px;
}
.gauge {
  flex: 1;
  height: 6px;
  border-radius: 3px;
  background: var(--chalk);
  overflow: hidden;
}
.gauge b {
  display: block;
  height: 100%;
}
.parked {
  display: flex;
  align-items: center;
  gap: 6px;
  font-size: calc(16px * var(--type));
}
.parked i {
  width: 22px;
  height: 10px;
  border-radius: 5px;
  border: 1px solid rgb(0 0 0 / 20%);
}
.side {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
@media (min-width: 760px) and (orientation: landscape) {
  .step {
    align-content: start;
    overflow-y: auto;
  }
}
/* A phone on its side: what can be pressed is in reach without scrolling. */
@media (max-height: 480px) and (orientation: landscape) {
  .step {
    gap: 3px;
    padding: 6px 16px;
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .step > * {
    grid-column: 1;
  }
  .step h2 {
    font-size: calc(22px * var(--type));
  }
  .what {
    font-size: calc(17px * var(--type));
  }
  .thread,
  .figures,
  .told,
  .needle {
    font-size: 14px;
    line-height: 1.25;
  }
  .bar {
    width: 34px;
  }
  .step .side {
    grid-area: 1 / 2 / span 9 / 3;
    align-content: start;
    flex-wrap: nowrap;
    flex-direction: column;
    gap: 4px;
  }
}
</style>
