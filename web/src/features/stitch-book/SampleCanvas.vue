<script setup lang="ts">
import type { PlannedPass } from '@junctura/core/work';
import { clothOf, DEFAULT_CLOTH } from '@junctura/core/materials';
import { Move } from '@junctura/core/stitches';
import { onMounted, ref, watch } from 'vue';
import { paintPicture, type Side } from '../../picture/paintPicture.ts';
import { looseScene } from '../../picture/scene.ts';
import type { Sample } from '@junctura/core/paper';

/** A sample as it looks so far: worked up to a number of moves, from the front or from behind. */
const props = defineProps<{
  sample: Sample;
  moves?: number;
  side?: Side;
  width: number;
  hex: string;
  mirrored?: boolean;
}>();
const canvas = ref<HTMLCanvasElement | null>(null);

const CLOTH_COLOUR = '#ece5d6';

/** The pass cut short after some of its moves; a loop that is being laid is seen as far as it goes. */
function upTo(pass: PlannedPass, moves: number): PlannedPass {
  const { codes, xy } = pass.path;
  const isHeld = codes[moves - 1] === Move.via || codes[moves - 1] === Move.under;
  const shown = { codes: [...codes.slice(0, moves)], xy: [...xy.slice(0, moves * 2)] };
  if (isHeld) {
    shown.codes.push(Move.down);
    shown.xy.push(...shown.xy.slice(-2));
  }
  const path = { ...pass.path, codes: Uint8Array.from(shown.codes), xy: Float32Array.from(shown.xy) };
  return { ...pass, path, threads: [{ ...pass.threads[0]!, path }] };
}

function paint(): void {
  const target = canvas.value;
  if (!target) return;
  const { box, pass } = props.sample;
  const ratio = window.devicePixelRatio || 1;
  const pxPerMm = (props.width * ratio) / (box.maxX - box.minX);
  const size = { width: Math.round(props.width * ratio), height: Math.round((box.maxY - box.minY) * pxPerMm) };
  Object.assign(target, size);
  const side = props.side ?? 'front';
  const middle = (box.minX + box.maxX) / 2;
  const view = { centreX: side === 'back' ? -middle : middle, centreY: (box.minY + box.maxY) / 2, pxPerMm };
  const shown = props.moves === undefined ? pass : upTo(pass, props.moves);
  const scene = looseScene(clothOf(DEFAULT_CLOTH), CLOTH_COLOUR, [shown], props.hex);
  for (const _ of paintPicture(target.getContext('2d')!, scene, view, size, side));
}

onMounted(paint);
watch(() => [props.sample, props.moves, props.side, props.width, props.hex], paint);
</script>

<template>
  <canvas
    ref="canvas"
    class="sample"
    :class="{ mirrored }"
    :style="{ width: `${width}px` }"
    aria-hidden="true"
  ></canvas>
</template>

<style scoped>
.sample {
  display: block;
  border-radius: 8px;
}
.mirrored {
  transform: scaleX(-1);
}
</style>
