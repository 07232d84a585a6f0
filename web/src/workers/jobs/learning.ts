import type { Raster } from '@junctura/core/drawing';
import type { Pictures } from '@junctura/core/painting';
import { isPainted, type PlanInput } from '@junctura/core/piece';
import { pixelsOfAddress } from '../openPicture.ts';

/** More than this along the longer side no hoop piece can show, px. */
const LONGEST_PX = 2400;
/** How many pictures are kept decoded: those that were asked for last. */
const MOST_KEPT = 2;
const decoded = new Map<string, Raster>();

/** The picture below a drawing, decoded. One that can't be read is as good as none: the plan says so. */
export async function picturesOf({ drawing: { underlay } }: Pick<PlanInput, 'drawing'>): Promise<Pictures> {
  if (!underlay) return new Map();
  const { picture: address } = underlay;
  const pixels = decoded.get(address) ?? (await pixelsOfAddress(address, LONGEST_PX));
  if (!pixels) return new Map();
  decoded.delete(address);
  decoded.set(address, pixels);
  for (const oldest of [...decoded.keys()].slice(0, -MOST_KEPT)) decoded.delete(oldest);
  return new Map([[address, pixels]]);
}

/** The same, where something is painted from it. */
export async function paintedPicturesOf(piece: Pick<PlanInput, 'drawing'>): Promise<Pictures> {
  return isPainted(piece.drawing) ? picturesOf(piece) : new Map();
}
