import { bestShades, coloursOfPicture, type Lab, type PictureColour, type ShadeChoice } from '../colour/index.ts';
import type { PictureBelow } from '../drawing/index.ts';
import { isInside, type Region } from '../geometry/index.ts';
import { Memory } from '../measure/index.ts';
import { groundBelow, type Ground } from './ground.ts';

/** The number of colours that stand for what is painted. */
const COLOURS = 160;
/** A colour counts by this power of its share: an eye is small, but it is what one looks at. */
const TELLING = 0.8;
/** What lies in an eye counts this many times. */
const EYE_COUNTS = 8;
/** A shade to be bought must lessen the error by this factor more than one that is owned. */
const TO_BUY = 1.04;
/** About how many places of the picture are looked at. */
const PLACES = 250_000;

/** What matters most in a picture: a place on the cloth and how far it reaches, mm. */
export type Eye = readonly [x: number, y: number, rMm: number];

/** The colours that a region shows of the picture below it, with what lies in eyes weighing more. */
export function coloursPainted(
  region: Region,
  below: PictureBelow,
  laidMm: number,
  eyes: readonly Eye[] = [],
  memory = new Memory(),
): PictureColour[] {
  const ground = groundBelow(region, below, laidMm, memory);
  return ground ? coloursOfPicture(pixelsWithin(ground, region, eyes), COLOURS) : [];
}

function pixelsWithin(
  ground: Ground,
  region: Region,
  eyes: readonly Eye[],
): { width: number; height: number; rgba: Uint8ClampedArray } {
  const { columns, rows, stepMm, x0, y0, rgb } = ground;
  const every = Math.max(1, Math.round(Math.sqrt((columns * rows) / PLACES)));
  const bytes: number[] = [];
  for (let row = 0; row < rows; row += every) {
    for (let column = 0; column < columns; column += every) {
      const [x, y] = [x0 + column * stepMm, y0 + row * stepMm];
      if (!isInside(region, x, y)) continue;
      const at = 3 * (row * columns + column);
      const times = eyes.some(([ex, ey, r]) => Math.hypot(x - ex, y - ey) <= r) ? EYE_COUNTS : 1;
      for (let k = 0; k < times; k++) bytes.push(rgb[at]!, rgb[at + 1]!, rgb[at + 2]!, 255);
    }
  }
  return { width: bytes.length / 4, height: 1, rgba: Uint8ClampedArray.from(bytes) };
}

/**
 * Shades for a painting, grown one by one: each the one that lessens the error most, those that are owned before those to be bought.
 * @param pinned are there whatever else is
 * @param isOwned whether a shade need not be bought
 */
export function growShades<T extends { readonly lab: Lab }>(
  colours: readonly PictureColour[],
  shades: readonly T[],
  count: number,
  { pinned = [], isOwned = () => true }: { pinned?: readonly T[]; isOwned?: (shade: T) => boolean } = {},
): ShadeChoice<T> {
  const all = [...pinned, ...shades.filter((shade) => !pinned.includes(shade))];
  return bestShades(colours, all, count, pinned, {
    telling: TELLING,
    dearness: (shade) => (isOwned(shade) ? 1 : TO_BUY),
  });
}
