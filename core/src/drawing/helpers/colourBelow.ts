import { hexOf } from '../../colour/index.ts';
import { boxOf, flattenPath, isInside, mapPoints, type Matrix, placesOf } from '../../geometry/index.ts';
import type { Part } from '../../piece/index.ts';
import type { Raster } from '../pictures/raster.ts';

/** The places across the longer side of a shape that are looked at. */
const PLACES = 32;
const FLAT_MM = 0.2;

/** A picture below the drawing, and how places on the cloth lie in it. */
export interface PictureBelow {
  readonly picture: Raster;
  /** From mm on the cloth to pixels. */
  readonly toPicture: Matrix;
}

/**
 * The colour that a picture has below a shape: of each channel the middle one, so that a few strange pixels change nothing.
 * @param path on the cloth, mm
 * @returns null where the shape lies beside the picture
 */
export function colourBelow(kind: Part['kind'], path: string, { picture, toPicture }: PictureBelow): string | null {
  const places = kind === 'area' ? placesWithin(path) : flattenPath(path, FLAT_MM).flatMap(({ points }) => [...points]);
  const pixels = mapPoints(toPicture, Float64Array.from(places));
  const channels: number[][] = [[], [], []];
  for (const [px, py] of placesOf(pixels)) {
    const [x, y] = [Math.floor(px), Math.floor(py)];
    if (x < 0 || y < 0 || x >= picture.width || y >= picture.height) continue;
    const at = 4 * (y * picture.width + x);
    channels.forEach((channel, k) => channel.push(picture.rgba[at + k]!));
  }
  if (channels[0]!.length === 0) return null;
  const middle = (channel: number[]): number => channel.sort((a, b) => a - b)[channel.length >> 1]!;
  const [r, g, b] = channels.map(middle);
  return hexOf(r! / 255, g! / 255, b! / 255);
}

/** Places on a grid over an area, `x, y, x, y`. */
function placesWithin(path: string): number[] {
  const region = flattenPath(path, FLAT_MM).map(({ points }) => points);
  const box = boxOf(region);
  if (!box) return [];
  const step = Math.max(box.maxX - box.minX, box.maxY - box.minY) / PLACES;
  const places: number[] = [];
  for (let y = box.minY + step / 2; y < box.maxY; y += step) {
    for (let x = box.minX + step / 2; x < box.maxX; x += step) if (isInside(region, x, y)) places.push(x, y);
  }
  return places;
}
