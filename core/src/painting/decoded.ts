import { pictureOnCloth, type PictureBelow, type Raster } from '../drawing/index.ts';
import { inverse } from '../geometry/index.ts';
import type { PlanInput } from '../piece/index.ts';

/**
 * Pictures as they were decoded, by their data addresses. Decoding belongs to the browser or to Node: it is done before whatever plans, which is
 * given them.
 */
export type Pictures = ReadonlyMap<string, Raster>;

export const NO_PICTURES: Pictures = new Map([]);

/** The picture below a drawing and how it lies; null where there is none, or it was not decoded. */
export function pictureBelow(
  { drawing: { underlay }, placement }: Pick<PlanInput, 'drawing' | 'placement'>,
  pictures: Pictures,
): PictureBelow | null {
  const picture = underlay && pictures.get(underlay.picture);
  if (!picture) return null;
  // A picture that was decoded smaller than it is has larger pixels.
  const mmPerPx = (underlay.mmPerPx * underlay.widthPx) / picture.width;
  return { picture, toPicture: inverse(pictureOnCloth(placement, { ...underlay, mmPerPx })) };
}
