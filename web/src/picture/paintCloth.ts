import { channelsOf } from '@junctura/core/colour';
import { seededRandom } from '@junctura/core/measure';
import type { Cloth } from '@junctura/core/materials';
import type { Brush, Lens } from './brush.ts';

/** Threads of the weave in one tile, fewer where they are drawn large: over and under join at its edges, however it is woven. */
const TILE_THREADS: Readonly<Record<Cloth['weave'], { readonly close: number; readonly far: number }>> = {
  plain: { close: 12, far: 32 },
  twill: { close: 12, far: 36 },
  satin: { close: 10, far: 30 },
  knit: { close: 12, far: 30 },
  felt: { close: 12, far: 30 },
};
const tileThreads = ({ weave }: Cloth, threadPx: number): number =>
  TILE_THREADS[weave][threadPx > 14 ? 'close' : 'far'];
/** The threads to the centimetre as which fibres of felt are drawn. */
const FELT_PER_CM = 14;
/** The pixels to a thread with which tiles are drawn; the next larger one is scaled down a little, never far. */
const SIZES_PX = [3, 4, 6, 9, 14, 22, 34, 52] as const;
/** Between these sizes of a thread in the picture its weave comes into view, px. */
const COMES_INTO_VIEW = { from: 1.2, to: 7 } as const;

/** Fills the picture with cloth: its colour, and its weave as far as it can be seen. */
export function paintCloth(brush: Brush, cloth: Cloth, colour: string, lens: Lens): void {
  const { width, height } = brush.canvas;
  const threadPx = (lens.pxPerMm * 10) / (cloth.weave === 'felt' ? FELT_PER_CM : cloth.threadsPerCm);
  brush.fillStyle = colour;
  if (threadPx >= COMES_INTO_VIEW.from && threadPx < Infinity) {
    const tile = clothTile(cloth, colour, threadPx);
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

/** Cloth as it is seen at a size of its threads, px: its weave over its colour, a whole number of pixels wide. */
function clothTile(cloth: Cloth, colour: string, threadPx: number): OffscreenCanvas {
  const tilePx = SIZES_PX.find((px) => px >= threadPx) ?? SIZES_PX.at(-1)!;
  const sizePx = Math.round(tileThreads(cloth, tilePx) * threadPx);
  const made = `${cloth.weave} ${cloth.slubs} ${colour} ${tilePx}`;
  return keptTile(`${made} ${sizePx}`, () => {
    const weave = keptTile(made, () => weaveTile(cloth, colour, tilePx));
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
const WEAVE = { width: 0.94, unevenness: 0.24, rise: 0.3, fibres: 0.07 } as const;

/** Whether the thread that runs up and down lies on top where a column and a row cross. */
type WarpOnTop = (column: number, row: number) => boolean;

/** How light each place of a tile is, as a share of the cloth’s own colour. */
type LightAt = (x: number, y: number) => number;

function weaveTile(cloth: Cloth, colour: string, px: number): OffscreenCanvas {
  const size = tileThreads(cloth, px) * px;
  const tile = new OffscreenCanvas(size, size);
  const brush = tile.getContext('2d')!;
  const image = brush.createImageData(size, size);
  const channels = channelsOf(colour);
  const lightAt = LIGHTS[cloth.weave](cloth, px);
  const lights = Float32Array.from({ length: size * size }, (_, i) =>
    Math.min(1.06, lightAt(i % size, Math.floor(i / size))),
  );
  // However near it is seen, cloth has its colour: its hollows are made up for where it is light.
  const usual = lights.reduce((sum, light) => sum + light, 0) / lights.length;
  lights.forEach((light, i) => {
    for (let c = 0; c < 3; c++) image.data[4 * i + c] = Math.round((channels[c]! * light) / usual);
    image.data[4 * i + 3] = 255;
  });
  brush.putImageData(image, 0, 0);
  return tile;
}

/**
 * Warp over weft and weft over warp, threads a little uneven as linen is. Each thread is a ridge that rises where it lies on top; what is
 * highest at a place is seen. The tile’s edges join.
 */
function woven(isOver: WarpOnTop, cloth: Cloth, px: number): LightAt {
  const { weave, slubs } = cloth;
  const threads = tileThreads(cloth, px);
  const random = seededRandom(7);
  const spread = (): number[] => Array.from({ length: threads }, () => random.between(-0.5, 0.5));
  const [warpWidths, weftWidths, warpTones, weftTones, slubAt] = [spread(), spread(), spread(), spread(), spread()];
  const noise = Array.from({ length: 997 }, () => random.between(-0.5, 0.5));
  const wrapped = (index: number): number => (index + threads) % threads;
  const uneven = WEAVE.unevenness * (0.4 + 0.6 * slubs);
  /** From crossing to crossing a thread goes down and up again, or stays where it is. @param at from −½ to ½ of the crossing */
  const rise = (here: boolean, next: boolean, at: number): number =>
    (here ? 1 : -1) * (here === next ? 1 - 0.6 * at * at : Math.cos(Math.PI * at));
  return (x, y) => {
    const [column, row] = [Math.floor(x / px), Math.floor(y / px)];
    const [inX, inY] = [(x + 0.5) / px - column - 0.5, (y + 0.5) / px - row - 0.5];
    // Here and there a weft thread was spun thick for a while.
    const slub = slubs * 0.5 * Math.max(0, Math.cos((x / (threads * px) + slubAt[row]!) * 2 * Math.PI) - 0.8) * 5;
    const halfWarp = (WEAVE.width + uneven * warpWidths[column]!) / 2;
    const halfWeft = (WEAVE.width + uneven * weftWidths[row]! + 0.5 * slub * (slubAt[row]! > 0.3 ? 1 : 0)) / 2;
    // How far the place is from the middle of its warp and weft thread, −1 to 1 at the thread’s sides.
    const [u, v] = [inX / halfWarp, inY / halfWeft];
    const over = isOver(column, row);
    const below = isOver(column, wrapped(row + Math.sign(inY || 1)));
    const beside = isOver(wrapped(column + Math.sign(inX || 1)), row);
    const warpRise = rise(over, below, inY);
    const weftRise = -rise(over, beside, inX);
    const warp = Math.sqrt(Math.max(0, 1 - u * u)) + WEAVE.rise * 2 * warpRise;
    const weft = Math.sqrt(Math.max(0, 1 - v * v)) + WEAVE.rise * 2 * weftRise;
    const isWarp = warp > weft;
    const across = isWarp ? u : v;
    const ridge = Math.sqrt(Math.max(0, 1 - across * across));
    const fibre = noise[(isWarp ? x * 31 + Math.floor(y / 5) : y * 37 + Math.floor(x / 5)) % noise.length]!;
    const tone = (isWarp ? warpTones[column]! : weftTones[row]!) * (0.04 + 0.05 * slubs);
    // In twill and satin the weft is paler: it is not dyed with the warp.
    const weftPale = !isWarp && weave !== 'plain' ? 0.1 : 0;
    const risen = isWarp ? warpRise : weftRise;
    return 0.74 + 0.2 * ridge + 0.07 * risen - 0.05 * across + tone + weftPale + WEAVE.fibres * fibre;
  };
}

/** Loops in ribs, each a V that hangs from the one above. */
function knitted(cloth: Cloth, px: number): LightAt {
  const random = seededRandom(9);
  const noise = Array.from({ length: 997 }, () => random.between(-0.5, 0.5));
  // A rib takes the width of two threads; loops are a whole number in the tile, a little higher than a thread is wide.
  const [rib, loop] = [2 * px, (tileThreads(cloth, px) * px) / Math.round(tileThreads(cloth, px) / 1.2)];
  return (x, y) => {
    const u = (x + 0.5) / rib - Math.floor((x + 0.5) / rib) - 0.5;
    const leg = Math.abs(u) * 2;
    const v = (y + 0.5) / loop + leg * 0.62;
    const within = v - Math.floor(v) - 0.5;
    const round = Math.sqrt(Math.max(0, 1 - (within * 2.05) ** 2));
    const side = Math.sqrt(Math.max(0, 1 - ((leg - 0.5) * 2.1) ** 2));
    const fibre = noise[(x * 13 + Math.floor(y / 3) * 7) % noise.length]!;
    return 0.7 + 0.17 * round + 0.13 * side + 0.05 * fibre - (leg < 0.06 ? 0.08 : 0);
  };
}

/** Fibres matted together, every way, without threads. */
function felted(cloth: Cloth, px: number): LightAt {
  const size = tileThreads(cloth, px) * px;
  const random = seededRandom(5);
  const light = new Float32Array(size * size).fill(0.97);
  const hairs = Math.round((size * size) / (px * px) / 0.35);
  for (let k = 0; k < hairs; k++) {
    let [x, y, angle] = [random.next() * size, random.next() * size, random.next() * 2 * Math.PI];
    const tone = random.between(-0.16, 0.1);
    const bend = random.between(-0.25, 0.25);
    for (let step = 0; step < 2.6 * px; step++) {
      const at = (Math.floor(y + size) % size) * size + (Math.floor(x + size) % size);
      light[at] = light[at]! * 0.6 + (0.96 + tone) * 0.4;
      x += Math.cos(angle);
      y += Math.sin(angle);
      angle += bend / px;
      if (x < 0) x += size;
      if (y < 0) y += size;
    }
  }
  return (x, y) => light[y * size + x]!;
}

const LIGHTS: Readonly<Record<Cloth['weave'], (cloth: Cloth, px: number) => LightAt>> = {
  plain: (cloth, px) => woven((column, row) => (column + row) % 2 === 0, cloth, px),
  twill: (cloth, px) => woven((column, row) => (column + row) % 3 !== 0, cloth, px),
  satin: (cloth, px) => woven((column, row) => (column + 2 * row) % 5 !== 0, cloth, px),
  knit: knitted,
  felt: felted,
};
