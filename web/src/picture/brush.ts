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
