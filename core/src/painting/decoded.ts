import { pictureOnCloth, type PictureBelow, type Raster } from '../drawing/index.ts';
import { inverse } from '../geometry/index.ts';
import type { PlanInput } from '../piece/index.ts';

/** So many pictures are kept decoded. */
const MOST_KEPT = 2;
const decoded = new Map<string, Raster>();
/** How a picture lies is one object as long as nothing of it changes. */
let last: { picture: Raster; place: string; below: PictureBelow } | null = null;

/**
 * Tells what a picture’s data address decodes to. Decoding belongs to the browser or to Node; it is done once, before whatever plans.
 */
export function learnPicture(address: string, picture: Raster): void {
  decoded.delete(address);
  decoded.set(address, picture);
  for (const oldest of [...decoded.keys()].slice(0, -MOST_KEPT)) decoded.delete(oldest);
}

/** Whether a picture was decoded already. */
export function isLearnt(address: string): boolean {
  return decoded.has(address);
}

/** The picture below a drawing and how it lies; null where there is none, or it was never decoded. */
export function pictureBelow({
  drawing: { underlay },
  placement,
}: Pick<PlanInput, 'drawing' | 'placement'>): PictureBelow | null {
  const picture = underlay && decoded.get(underlay.picture);
  if (!picture) return null;
  // A picture that was decoded smaller than it is has larger pixels.
  const mmPerPx = (underlay.mmPerPx * underlay.widthPx) / picture.width;
  const toCloth = pictureOnCloth(placement, { ...underlay, mmPerPx });
  const place = toCloth.join(' ');
  if (last?.picture !== picture || last.place !== place) {
    last = { picture, place, below: { picture, toPicture: inverse(toCloth) } };
  }
  return last.below;
}
