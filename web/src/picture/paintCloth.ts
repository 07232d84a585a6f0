import { channelsOf } from '@junctura/core/colour';
import { seededRandom } from '@junctura/core/measure';
import type { Cloth } from '@junctura/core/materials';
import type { Brush, Lens } from './brush.ts';

/** Threads of the weave in one tile, fewer where they are drawn large; even, so that over and under join. */
const tileThreads = (threadPx: number): number => (threadPx > 14 ? 12 : 32);
/** Tiles are drawn with so many pixels to a thread; the next larger one is scaled down a little, never far. */
const SIZES_PX = [3, 4, 6, 9, 14, 22, 34, 52] as const;
/** Between these sizes of a thread in the picture its weave comes into view, px. */
const COMES_INTO_VIEW = { from: 1.2, to: 7 } as const;

/** Fills the picture with cloth: its colour, and its weave as far as it can be seen. */
export function paintCloth(brush: Brush, cloth: Cloth, colour: string, lens: Lens): void {
  const { width, height } = brush.canvas;
  const threadPx = (lens.pxPerMm * 10) / cloth.threadsPerCm;
  brush.fillStyle = colour;
  if (threadPx >= COMES_INTO_VIEW.from && threadPx < Infinity) {
    const tile = clothTile(colour, threadPx);
    const pattern = brush.createPattern(tile, 'repeat');
    // Whole pixels: a pattern that is only moved is laid many times as fast as one that is scaled.
    const shift = (offset: number): number => Math.round(-offset * lens.pxPerMm) % tile.width;
    pattern?.setTransform(new DOMMatrix([1, 0, 0, 1, shift(lens.offsetX), shift(lens.offsetY)]));
    if (pattern) brush.fillStyle = pattern;
  }
  brush.fillRect(0, 0, width, height);
}

const tiles = new Map<string, OffscreenCanvas>();
const TILES_KEPT = 8;

/** A tile depends on nothing but its key, and is kept. */
function keptTile(key: string, make: () => OffscreenCanvas): OffscreenCanvas {
  const tile = tiles.get(key) ?? make();
  if (!tiles.has(key) && tiles.size >= TILES_KEPT) tiles.delete(tiles.keys().next().value!);
  tiles.set(key, tile);
  return tile;
}

/** Cloth as it is seen at a size of its threads, px: its weave over its colour, so many whole pixels wide. */
function clothTile(colour: string, threadPx: number): OffscreenCanvas {
  const tilePx = SIZES_PX.find((px) => px >= threadPx) ?? SIZES_PX.at(-1)!;
  const sizePx = Math.round(tileThreads(tilePx) * threadPx);
  return keptTile(`${colour} ${tilePx} ${sizePx}`, () => {
    const weave = keptTile(`${colour} ${tilePx}`, () => weaveTile(colour, tilePx));
    const tile = new OffscreenCanvas(sizePx, sizePx);
    const brush = tile.getContext('2d')!;
    brush.fillStyle = colour;
    brush.fillRect(0, 0, sizePx, sizePx);
    const pattern = brush.createPattern(weave, 'repeat');
    if (!pattern) return tile;
    const scale = sizePx / weave.width;
    pattern.setTransform(new DOMMatrix([scale, 0, 0, scale, 0, 0]));
    const seen = (threadPx - COMES_INTO_VIEW.from) / (COMES_INTO_VIEW.to - COMES_INTO_VIEW.from);
    brush.globalAlpha = Math.min(0.9, 0.14 + seen * 0.8);
    brush.fillStyle = pattern;
    brush.fillRect(0, 0, sizePx, sizePx);
    return tile;
  });
}

/** How deep the hollows between threads are, and how far threads rise and sink. */
const WEAVE = { width: 0.94, unevenness: 0.16, rise: 0.3, fibres: 0.07 } as const;

/**
 * A plain weave: warp over weft and weft over warp by turns, threads a little uneven as linen is. Each thread is a ridge
 * that rises where it lies on top; what is highest at a place is seen. The tile's edges join.
 */
function weaveTile(colour: string, px: number): OffscreenCanvas {
  const threads = tileThreads(px);
  const size = threads * px;
  const tile = new OffscreenCanvas(size, size);
  const brush = tile.getContext('2d')!;
  const image = brush.createImageData(size, size);
  const random = seededRandom(7);
  const channels = channelsOf(colour);
  const spread = (): number[] => Array.from({ length: threads }, () => random.between(-0.5, 0.5));
  const [warpWidths, weftWidths, warpTones, weftTones] = [spread(), spread(), spread(), spread()];
  const noise = Array.from({ length: 997 }, () => random.between(-0.5, 0.5));
  for (let y = 0; y < size; y++) {
    const row = Math.floor(y / px);
    for (let x = 0; x < size; x++) {
      const column = Math.floor(x / px);
      // How far the place is from the middle of its warp and weft thread, −1 to 1 at the thread's sides.
      const halfWarp = (WEAVE.width + WEAVE.unevenness * warpWidths[column]!) / 2;
      const halfWeft = (WEAVE.width + WEAVE.unevenness * weftWidths[row]!) / 2;
      const u = ((x + 0.5) / px - column - 0.5) / halfWarp;
      const v = ((y + 0.5) / px - row - 0.5) / halfWeft;
      const sign = (row + column) % 2 === 0 ? 1 : -1;
      const warpRise = sign * Math.cos(Math.PI * ((y + 0.5) / px - row - 0.5));
      const weftRise = -sign * Math.cos(Math.PI * ((x + 0.5) / px - column - 0.5));
      const warp = Math.sqrt(Math.max(0, 1 - u * u)) + WEAVE.rise * 2 * warpRise;
      const weft = Math.sqrt(Math.max(0, 1 - v * v)) + WEAVE.rise * 2 * weftRise;
      const isWarp = warp > weft;
      const across = isWarp ? u : v;
      const ridge = Math.sqrt(Math.max(0, 1 - across * across));
      const fibre = noise[(isWarp ? x * 31 + Math.floor(y / 5) : y * 37 + Math.floor(x / 5)) % noise.length]!;
      const tone = (isWarp ? warpTones[column]! : weftTones[row]!) * 0.05;
      const rise = isWarp ? warpRise : weftRise;
      const light = 0.74 + 0.2 * ridge + 0.07 * rise - 0.05 * across + tone + WEAVE.fibres * fibre;
      const at = 4 * (y * size + x);
      for (let c = 0; c < 3; c++) image.data[at + c] = channels[c]! * Math.min(1.06, light);
      image.data[at + 3] = 255;
    }
  }
  brush.putImageData(image, 0, 0);
  return tile;
}
