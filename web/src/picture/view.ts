/** What of the cloth is seen, and how large: the point (mm) in the middle of the canvas and the scale. */
export interface View {
  readonly centreX: number;
  readonly centreY: number;
  readonly pxPerMm: number;
}

export interface Size {
  readonly width: number;
  readonly height: number;
}

export const ZOOM = { min: 0.4, max: 240 } as const;

/** The view in which a circle of the cloth fills a window. */
export function viewOf(radiusMm: number, { width, height }: Size, centreX = 0, centreY = 0): View {
  return { centreX, centreY, pxPerMm: Math.max(ZOOM.min, Math.min(width, height) / (2 * radiusMm)) };
}

/** The view enlarged by a factor about a point of the window, which stays where it is. */
export function zoomed(view: View, factor: number, atX: number, atY: number, { width, height }: Size): View {
  const pxPerMm = Math.min(ZOOM.max, Math.max(ZOOM.min, view.pxPerMm * factor));
  const x = view.centreX + (atX - width / 2) / view.pxPerMm;
  const y = view.centreY + (atY - height / 2) / view.pxPerMm;
  return {
    centreX: x - (atX - width / 2) / pxPerMm,
    centreY: y - (atY - height / 2) / pxPerMm,
    pxPerMm,
  };
}

export function panned(view: View, dxPx: number, dyPx: number): View {
  return { ...view, centreX: view.centreX - dxPx / view.pxPerMm, centreY: view.centreY - dyPx / view.pxPerMm };
}

/** CSS pixels that make a millimetre on a screen, by what a bar of 100 mm measures on it. */
export function truePxPerMm(screenBarMm: number): number {
  return (96 / 25.4) * (100 / screenBarMm);
}

/** Moves a canvas that was painted in one view to where it belongs in another, until it is painted anew. */
export function followView(canvas: HTMLCanvasElement | null, painted: View | null, view: View): void {
  if (!canvas || !painted) return;
  const factor = view.pxPerMm / painted.pxPerMm;
  const dx = (painted.centreX - view.centreX) * view.pxPerMm;
  const dy = (painted.centreY - view.centreY) * view.pxPerMm;
  canvas.style.transform = `translate(${dx}px, ${dy}px) scale(${factor})`;
}
