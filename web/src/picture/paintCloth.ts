import { channelsOf, threadTones } from '@junctura/core/colour';
import { seededRandom } from '@junctura/core/measure';
import type { Cloth } from '@junctura/core/materials';
import type { Brush, Lens } from './brush.ts';

/** Threads of the weave in one tile, and how many pixels one has in it. */
const TILE_THREADS = 24;
const TILE_PX_PER_THREAD = 12;

/** Fills the picture with cloth: its colour, and its weave as far as it can be seen. */
export function paintCloth(brush: Brush, cloth: Cloth, colour: string, lens: Lens): void {
  const { width, height } = brush.canvas;
  brush.fillStyle = colour;
  brush.fillRect(0, 0, width, height);
  if (cloth.threadsPerCm === 0) return;
  const threadPx = (lens.pxPerMm * 10) / cloth.threadsPerCm;
  if (threadPx < 0.5) return;
  const pattern = brush.createPattern(tileOf(colour), 'repeat');
  if (!pattern) return;
  const scale = threadPx / TILE_PX_PER_THREAD;
  const shift = (offset: number): number => -offset * lens.pxPerMm;
  pattern.setTransform(new DOMMatrix([scale, 0, 0, scale, shift(lens.offsetX), shift(lens.offsetY)]));
  brush.globalAlpha = Math.min(1, 0.35 + threadPx / 8);
  brush.fillStyle = pattern;
  brush.fillRect(0, 0, width, height);
  brush.globalAlpha = 1;
}

const tiles = new Map<string, OffscreenCanvas>();
const TILES_KEPT = 4;

/** Tiles depend on nothing but the colour and are kept. */
function tileOf(colour: string): OffscreenCanvas {
  const tile = tiles.get(colour) ?? weaveTile(colour);
  if (!tiles.has(colour) && tiles.size >= TILES_KEPT) tiles.delete(tiles.keys().next().value!);
  tiles.set(colour, tile);
  return tile;
}

/** A plain weave: warp over weft and weft over warp by turns, threads a little uneven as linen is. */
function weaveTile(colour: string): OffscreenCanvas {
  const size = TILE_THREADS * TILE_PX_PER_THREAD;
  const tile = new OffscreenCanvas(size, size);
  const brush = tile.getContext('2d')!;
  const tones = threadTones(colour);
  const random = seededRandom(7);
  const [r, g, b] = channelsOf(colour);
  brush.fillStyle = `rgb(${r * 0.8}, ${g * 0.79}, ${b * 0.77})`;
  brush.fillRect(0, 0, size, size);
  const widths = Array.from({ length: TILE_THREADS * 2 }, () => random.between(0.78, 1));
  for (let row = 0; row < TILE_THREADS; row++) {
    for (let column = 0; column < TILE_THREADS; column++) {
      const isWarpOver = (row + column) % 2 === 0;
      const tone = tones.body[isWarpOver ? 2 + Math.floor(random.next() * 2) : 4 + Math.floor(random.next() * 2)]!;
      const thick = TILE_PX_PER_THREAD * widths[isWarpOver ? column : TILE_THREADS + row]!;
      const [cx, cy] = [(column + 0.5) * TILE_PX_PER_THREAD, (row + 0.5) * TILE_PX_PER_THREAD];
      brush.fillStyle = tone;
      brush.beginPath();
      const [w, h] = isWarpOver ? [thick, TILE_PX_PER_THREAD * 1.16] : [TILE_PX_PER_THREAD * 1.16, thick];
      brush.roundRect(cx - w / 2, cy - h / 2, w, h, TILE_PX_PER_THREAD * 0.3);
      brush.fill();
    }
  }
  return tile;
}
