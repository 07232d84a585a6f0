import { labOf } from '../colour/index.ts';
import type { PictureBelow, PlacedShape } from '../drawing/index.ts';
import { laidWidthMm, threadKind } from '../materials/index.ts';
import { coarsePainting, type CoarsePainting } from '../painting/index.ts';
import { isPainting, type Part } from '../piece/index.ts';
import type { PaintedFrom } from './planPass.ts';

/** A painted part as it will about come out, before its stitches are worked. */
export interface CoarsePart extends CoarsePainting {
  readonly part: string;
  /** The colour of each of its shades, `#rrggbb`. */
  readonly hexes: readonly string[];
}

/** Paints coarsely, at once, what will take its time: each part that is painted from a picture, when something of it changed. */
export class CoarseFirst {
  private seen = new Map<string, { placed: PlacedShape; below: PictureBelow; key: string }>();

  /**
   * @param shapes the parts as they lie on the cloth
   * @param widthFactor how wide the person's thread lies, of what is usual
   */
  paint(
    parts: readonly Part[],
    shapes: readonly PlacedShape[],
    { below, hexOf }: PaintedFrom,
    widthFactor: number,
  ): CoarsePart[] {
    const seen: typeof this.seen = new Map();
    const painted = parts.flatMap((part, i): CoarsePart[] => {
      const placed = shapes[i]!;
      const pass = part.passes?.find(isPainting);
      const kind = pass && threadKind(pass.thread);
      if (!kind || placed.kind !== 'area') return [];
      const hexes = pass.shades.map(hexOf);
      const key = JSON.stringify([pass, hexes, widthFactor]);
      const before = this.seen.get(part.id);
      seen.set(part.id, { placed, below, key });
      if (before?.placed === placed && before.below === below && before.key === key) return [];
      const laidMm = laidWidthMm(kind, pass.strands) * widthFactor;
      const found = coarsePainting(placed.shape.region, below, placed.guides, hexes.map(labOf), laidMm);
      return found ? [{ ...found, part: part.id, hexes }] : [];
    });
    this.seen = seen;
    return painted;
  }
}
