/** What the painter needs of a 2D canvas, on the page or off it. */
export type Brush = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D;

/** The map from mm on the cloth to pixels, and the part of the cloth (mm) that is in the picture. */
export interface Lens {
  readonly pxPerMm: number;
  readonly offsetX: number;
  readonly offsetY: number;
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** How places on the cloth come to lie in the picture. */
export interface Sight {
  toX(x: number): number;
  toY(y: number): number;
  /** Whether anything within a margin (mm) of a stretch is in the picture. */
  sees(x0: number, y0: number, x1: number, y1: number, marginMm: number): boolean;
}

export function through({ pxPerMm, offsetX, offsetY, minX, minY, maxX, maxY }: Lens): Sight {
  return {
    toX: (x) => (x - offsetX) * pxPerMm,
    toY: (y) => (y - offsetY) * pxPerMm,
    sees: (x0, y0, x1, y1, margin) =>
      Math.max(x0, x1) + margin >= minX &&
      Math.min(x0, x1) - margin <= maxX &&
      Math.max(y0, y1) + margin >= minY &&
      Math.min(y0, y1) - margin <= maxY,
  };
}
