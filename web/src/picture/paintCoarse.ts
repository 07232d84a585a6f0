import type { CoarsePainting } from '@junctura/core/painting';
import type { Brush } from './brush.ts';
import type { Size, View } from './view.ts';

/** Paints broad strokes in their flat shades, shade by shade. */
export function paintCoarse(
  brush: Brush,
  { strokes, shades, widthMm }: CoarsePainting,
  hexes: readonly string[],
  { centreX, centreY, pxPerMm }: View,
  { width, height }: Size,
): void {
  brush.setTransform(pxPerMm, 0, 0, pxPerMm, width / 2 - centreX * pxPerMm, height / 2 - centreY * pxPerMm);
  brush.lineWidth = widthMm;
  brush.lineCap = 'round';
  hexes.forEach((hex, shade) => {
    brush.beginPath();
    for (let i = 0; i < shades.length; i++) {
      if (shades[i] !== shade) continue;
      brush.moveTo(strokes[4 * i]!, strokes[4 * i + 1]!);
      brush.lineTo(strokes[4 * i + 2]!, strokes[4 * i + 3]!);
    }
    brush.strokeStyle = hex;
    brush.stroke();
  });
}
