import type { Lab } from '../colour/index.ts';
import type { PictureBelow } from '../drawing/index.ts';
import type { Polyline, Region } from '../geometry/index.ts';
import type { PictureGuide } from '../stitches/index.ts';
import { Memory, stage } from '../measure/index.ts';
import { cellAt, colourTable, groundBelow, keyAt, labOfKey, type Ground } from './ground.ts';
import { pictureField, type PictureField } from './pictureField.ts';
import { shadeStitches } from './shadeStitches.ts';

/** What a picture asks of the stitches that show it, and the lie of what it shows. */
export interface Painting {
  readonly ground: Ground;
  readonly field: PictureField;
  readonly guide: PictureGuide;
}

/**
 * A region painted from the picture below it.
 * @param strokes along which stitches shall lie, mm on the cloth
 * @param shades in which it is worked
 * @param laidMm the width of the thread as it lies
 * @returns null where there is nothing to paint
 */
export function paintingOf(
  region: Region,
  below: PictureBelow,
  strokes: readonly Polyline[],
  shades: readonly Lab[],
  laidMm: number,
  memory = new Memory(),
): Painting | null {
  const ground = groundBelow(region, below, laidMm, memory);
  if (!ground) return null;
  const labs = colourTable(memory);
  return {
    ground,
    field: memory.made(PICTURE_FIELD, [], { ground, region, strokes }),
    guide: {
      colourAt: (x, y, out) => labOfKey(keyAt(ground.rgb, cellAt(ground, x, y)), out, labs),
      shadesOf: (stitches) => shadeStitches(stitches, ground, shades, laidMm, labs),
    },
  };
}

interface GroundAndStrokes {
  readonly ground: Ground;
  readonly region: Region;
  readonly strokes: readonly Polyline[];
}

/** A stroke bends the field; other shades do not. */
export const PICTURE_FIELD = stage<GroundAndStrokes>()(
  'picture field',
  ['ground', 'region', 'strokes'],
  ({ ground, region, strokes }, memory) => pictureField(ground, region, strokes, 1, memory),
);
