import { pictureOnCloth, type EdgesBelow, type Raster } from '@junctura/core/drawing';
import { inverse } from '@junctura/core/geometry';
import { blobOfAddress } from '../keeping/files.ts';
import { useBench } from '../stores/bench.ts';
import { useSettings } from '../stores/settings.ts';
import { drawnSmall, openPicture, pixelsOf } from '../workers/openPicture.ts';

/** A hand is led to edges no further away than this on the screen, px. */
const REACH_PX = 14;

/** The picture below the drawing, whose edges lead a drawing hand. */
export function usePictureBelow(): { edges(pxPerMm: number): Promise<EdgesBelow | null> } {
  const bench = useBench();
  const settings = useSettings();
  let opened: { address: string; picture: Promise<Raster | null> } | null = null;

  async function open(address: string): Promise<Raster | null> {
    const blob = blobOfAddress(address);
    const bitmap = blob && (await openPicture(blob));
    return bitmap?.ok ? pixelsOf(drawnSmall(bitmap.value, Infinity)) : null;
  }

  return {
    /** @param pxPerMm how large the cloth is shown. Null where there is no picture, or the hand is not to be led. */
    async edges(pxPerMm) {
      const { underlay } = bench.piece.drawing;
      if (!underlay || underlay.strength === 0 || !settings.keepsToEdges) return null;
      if (opened?.address !== underlay.picture) opened = { address: underlay.picture, picture: open(underlay.picture) };
      const picture = await opened.picture;
      if (!picture) return null;
      const toPicture = inverse(pictureOnCloth(bench.piece.placement, underlay));
      return { picture, toPicture, reachMm: REACH_PX / pxPerMm };
    },
  };
}
