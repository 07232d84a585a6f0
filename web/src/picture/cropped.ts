import type { PlacedShape } from '@junctura/core/drawing';
import { intersect } from '@junctura/core/geometry';

/** A little more than is shown is worked, so that its edges are not seen. */
const ROOM = 1.2;

/** Of a large area only what is shown is worked, so that typing never waits for it: a square about its widest place. */
export function cropped(placed: PlacedShape, shownMm: number): PlacedShape {
  if (placed.areaMm2 < shownMm ** 2) return placed;
  const { box } = placed;
  const centre =
    placed.widest ?? (box ? { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 } : { x: 0, y: 0 });
  const half = (shownMm * ROOM) / 2;
  const [left, right, top, bottom] = [centre.x - half, centre.x + half, centre.y - half, centre.y + half];
  const frame = Float64Array.of(left, top, right, top, right, bottom, left, bottom);
  return { ...placed, shape: { ...placed.shape, region: intersect(placed.shape.region, [frame]) } };
}
