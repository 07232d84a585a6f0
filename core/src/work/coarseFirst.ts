import { labOf } from '../colour/index.ts';
import type { PictureBelow, PlacedShape } from '../drawing/index.ts';
import type { Polyline, Region } from '../geometry/index.ts';
import { laidWidthMm, threadKind } from '../materials/index.ts';
import { stage, type Memory } from '../measure/index.ts';
import { coarsePainting, type CoarsePainting } from '../painting/index.ts';
import { isPainting, type Part } from '../piece/index.ts';
import type { PaintedFrom } from './planPass.ts';

/** A painted part as it will about come out, before its stitches are worked. */
export interface CoarsePart extends CoarsePainting {
  readonly part: string;
  /** The colour of each of its shades, `#rrggbb`. */
  readonly hexes: readonly string[];
}

interface PaintedRegion {
  readonly region: Region;
  readonly guides: readonly Polyline[];
  readonly below: PictureBelow;
  readonly hexes: readonly string[];
  readonly laidMm: number;
}

export const COARSE_PAINTING = stage<PaintedRegion>()(
  'coarse painting',
  ['region', 'guides', 'below', 'hexes', 'laidMm'],
  ({ region, guides, below, hexes, laidMm }, memory) =>
    coarsePainting(region, below, guides, hexes.map(labOf), laidMm, memory),
);

/** Paints coarsely, at once, what will take its time: each part that is painted from a picture, when something of it changed. */
export class CoarseFirst {
  private shown = new Map<string, CoarsePainting>();

  constructor(private readonly memory: Memory) {}

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
    const shown: typeof this.shown = new Map();
    const fresh = parts.flatMap((part, i): CoarsePart[] => {
      const placed = shapes[i]!;
      const pass = part.passes?.find(isPainting);
      const kind = pass && threadKind(pass.thread);
      if (!kind || placed.kind !== 'area') return [];
      const hexes = pass.shades.map(hexOf);
      const laidMm = laidWidthMm(kind, pass.strands) * widthFactor;
      const { guides, shape } = placed;
      const source = { region: shape.region, guides, below, hexes, laidMm };
      const painting = this.memory.made(COARSE_PAINTING, [part.id], source);
      if (!painting) return [];
      shown.set(part.id, painting);
      return this.shown.get(part.id) === painting ? [] : [{ ...painting, part: part.id, hexes }];
    });
    this.shown = shown;
    return fresh;
  }
}
