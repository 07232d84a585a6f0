import { pictureOnCloth, type EdgesBelow, type PictureBelow, type Raster } from '@junctura/core/drawing';
import { inverse } from '@junctura/core/geometry';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { useSettings } from '../session/settings.ts';
import { pixelsOfAddress } from '../workers/openPicture.ts';

/** A hand is led to edges no further away than this on the screen, px. */
const REACH_PX = 14;

/** The picture below the drawing: its edges lead a drawing hand, its colours are those of what is drawn over them. */
export function usePictureBelow(): {
  picture(): Promise<PictureBelow | null>;
  edges(pxPerMm: number): Promise<EdgesBelow | null>;
} {
  const opened = useOpenedPiece();
  const settings = useSettings();
  let below: { address: string; picture: Promise<Raster | null> } | null = null;

  /** The picture and how it lies; null where there is none in view. */
  async function picture(): Promise<PictureBelow | null> {
    const { underlay } = opened.piece.drawing;
    if (!underlay || underlay.strength === 0) return null;
    if (below?.address !== underlay.picture)
      below = { address: underlay.picture, picture: pixelsOfAddress(underlay.picture, Infinity) };
    const read = await below.picture;
    return read && { picture: read, toPicture: inverse(pictureOnCloth(opened.piece.placement, underlay)) };
  }

  return {
    picture,
    /** @param pxPerMm how large the cloth is shown. Null where there is no picture, or the hand is not to be led. */
    async edges(pxPerMm) {
      const read = settings.keepsToEdges ? await picture() : null;
      return read && { ...read, reachMm: REACH_PX / pxPerMm };
    },
  };
}
