<script setup lang="ts">
import { pictureOnCloth } from '@junctura/core/drawing';
import { compose } from '@junctura/core/geometry';
import { computed } from 'vue';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { useSelection } from '../session/selection.ts';
import type { View } from '../picture/view.ts';

/** The picture that a part is painted from, over its stitches: all of it, over the left half of the view, or what differs, the lighter the more. */
const props = defineProps<{ view: View; size: { width: number; height: number } }>();
const opened = useOpenedPiece();
const selection = useSelection();

const underlay = computed(() => opened.piece.drawing.underlay);
const transform = computed(() => {
  const { centreX, centreY, pxPerMm } = props.view;
  const { width, height } = props.size;
  const toScreen = [pxPerMm, 0, 0, pxPerMm, width / 2 - centreX * pxPerMm, height / 2 - centreY * pxPerMm] as const;
  return `matrix(${compose(toScreen, pictureOnCloth(opened.piece.placement, underlay.value!)).join(',')})`;
});
</script>

<template>
  <div v-if="underlay" class="over" :class="selection.looking" aria-hidden="true">
    <img :src="underlay.picture" :width="underlay.widthPx" :height="underlay.heightPx" :style="{ transform }" alt="" />
  </div>
</template>

<style scoped>
.over {
  position: absolute;
  inset: 0;
  overflow: hidden;
  pointer-events: none;
}
.half {
  clip-path: inset(0 50% 0 0);
}
.difference {
  mix-blend-mode: difference;
}
img {
  position: absolute;
  left: 0;
  top: 0;
  transform-origin: 0 0;
  max-width: none;
}
</style>
