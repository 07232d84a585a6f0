<script setup lang="ts">
import { markOf } from '@junctura/core/materials';
import { NButton, NCheckbox } from 'naive-ui';
import { computed, ref } from 'vue';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { usePhotographs } from '../../session/photographs.ts';
import { useWorkSoFar } from '../../session/workSoFar.ts';
import * as say from './words.ts';

/** At the end of a sitting: needles and pins counted in, the ring taken off, the cover closed. */
const emit = defineEmits<{ end: [needles: number | null, isTakenOff: boolean]; close: [] }>();
const opened = useOpenedPiece();
const work = useWorkSoFar();

const out = computed(() => work.soFar?.needlesOut ?? null);
const counted = ref<number | null>(null);
const needles = computed(() => counted.value ?? out.value ?? 0);
const isTakenOff = ref(false);
const photographs = usePhotographs();
const before = photographs.all.length;
const fades = computed(() => markOf(opened.piece.mark).staysDays !== null);
</script>

<template>
  <div class="veil" role="dialog" aria-modal="true" aria-label="End the sitting">
    <section class="sheet card">
      <h2>Before you put it away</h2>
      <div class="count">
        <span>Needles and pins in</span>
        <NButton aria-label="One fewer" @click="counted = Math.max(0, needles - 1)">−</NButton>
        <strong class="figure" data-test="needles-in">{{ needles }}</strong>
        <NButton aria-label="One more" @click="counted = needles + 1">+</NButton>
      </div>
      <p v-if="needles !== (out ?? 0)" class="warn" role="alert">
        {{ say.wentOut(out ?? 0) }}
      </p>
      <ul class="needs">
        <li v-if="opened.piece.hoop">
          Take the hoop off, or loosen it: left on, it marks the cloth.
          <NCheckbox v-model:checked="isTakenOff" data-test="taken-off">The hoop is off</NCheckbox>
        </li>
        <li v-if="fades">
          The mark may fade before next time: check that you can still see the lines of the next step.
        </li>
        <li>Cover the work to keep off light and dust.</li>
      </ul>
      <NButton data-test="photograph" @click="photographs.take">Take a photograph</NButton>
      <p v-if="photographs.problem" class="warn" role="alert">{{ photographs.problem }}</p>
      <p v-else-if="photographs.all.length > before" class="soft" role="status">
        It is saved with the piece in this browser.
      </p>
      <button type="button" class="go" data-test="close-sitting" @click="emit('end', counted ?? out, isTakenOff)">
        End the sitting
      </button>
      <NButton @click="emit('close')">Carry on stitching</NButton>
    </section>
  </div>
</template>

<style src="./sheet.css" scoped></style>
<style scoped>
.veil {
  position: fixed;
  inset: 0;
  display: grid;
  place-items: center;
  background: rgb(0 0 0 / 55%);
}
.card {
  width: min(94vw, 460px);
  max-height: 94dvh;
  border-radius: 10px;
}
</style>
