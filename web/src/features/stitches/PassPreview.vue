<script setup lang="ts">
import { planPass, workSettings } from '@junctura/core/work';
import type { PlacedShape } from '@junctura/core/drawing';
import { clothOf } from '@junctura/core/materials';
import type { Pass } from '@junctura/core/piece';
import { onMounted, ref, watch } from 'vue';
import { cropped } from '../../picture/cropped.ts';
import { paintPicture } from '../../picture/paintPicture.ts';
import { looseScene } from '../../picture/scene.ts';
import { useSettings } from '../../session/settings.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';

/** A part as it would look worked this way, drawn by the stitch itself. */
const props = defineProps<{ placed: PlacedShape; pass: Pass & { angleDeg: number }; hex: string; size?: number }>();

const opened = useOpenedPiece();
const settings = useSettings();
const canvas = ref<HTMLCanvasElement | null>(null);
/** At most this much of the cloth is shown, so that stitches can be made out. */
const WIDEST_MM = 26;
const LEAST_MM = 6;

function paint(): void {
  const { box } = props.placed;
  const target = canvas.value;
  if (!target || !box) return;
  const pixels = Math.round((props.size ?? 84) * (window.devicePixelRatio || 1));
  target.width = target.height = pixels;
  const across = Math.min(WIDEST_MM, Math.max(LEAST_MM, box.maxX - box.minX, box.maxY - box.minY) * 1.12);
  const centre = props.placed.widest ?? { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
  const planned = planPass(
    cropped(props.placed, WIDEST_MM),
    { ...props.pass, reason: '' },
    workSettings(opened.piece, 1, settings.factors),
  );
  const isWhole = across < WIDEST_MM;
  const view = {
    centreX: isWhole ? (box.minX + box.maxX) / 2 : centre.x,
    centreY: isWhole ? (box.minY + box.maxY) / 2 : centre.y,
    pxPerMm: pixels / across,
  };
  const { cloth } = opened.piece;
  const scene = looseScene(clothOf(cloth.kind), cloth.colour, [planned], props.hex);
  for (const _ of paintPicture(target.getContext('2d')!, scene, view, { width: pixels, height: pixels }, 'front'));
}

onMounted(paint);
watch(() => [props.placed, props.pass, props.hex, opened.piece.cloth], paint);
</script>

<template>
  <canvas
    ref="canvas"
    class="preview"
    :style="{ width: `${size ?? 84}px`, height: `${size ?? 84}px` }"
    aria-hidden="true"
  ></canvas>
</template>

<style scoped>
.preview {
  border-radius: 6px;
  display: block;
  flex: none;
}
</style>
