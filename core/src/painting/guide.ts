import type { Lab } from '../colour/index.ts';
import type { PictureBelow } from '../drawing/index.ts';
import type { Polyline, Region } from '../geometry/index.ts';
import type { PictureGuide } from '../stitches/index.ts';
import { cellAt, groundBelow, keyAt, labOfKey, type Ground } from './ground.ts';
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
): Painting | null {
  const ground = groundBelow(region, below, laidMm);
  if (!ground) return null;
  return {
    ground,
    field: fieldOf(ground, region, strokes),
    guide: {
      colourAt: (x, y, out) => labOfKey(keyAt(ground.rgb, cellAt(ground, x, y)), out),
      shadesOf: (stitches) => shadeStitches(stitches, ground, shades, laidMm),
    },
  };
}

let lastField: { ground: Ground; strokes: string; field: PictureField } | null = null;

/** A stroke bends the field; other shades do not. */
function fieldOf(ground: Ground, region: Region, drawn: readonly Polyline[]): PictureField {
  const strokes = drawn.map(({ points }) => points.join(' ')).join('|');
  if (lastField?.ground !== ground || lastField.strokes !== strokes) {
    lastField = { ground, strokes, field: pictureField(ground, region, drawn) };
  }
  return lastField.field;
}
