/** How thick a coil is, in bundles. */
const COIL_BUNDLES = 2.1;
/** The share of a knot's volume that is thread. */
const FILLED = 0.7;

/**
 * The diameter of a round knot from the thread wound into it: its volume is the thread's over 0.7, d = ∛(6V / π).
 * @param bundleMm the diameter of the needle thread as a round bundle
 * @param coreMm what it was wound on
 */
export function knotDiameterMm(wraps: number, bundleMm: number, coreMm: number): number {
  const threadMm = wraps * Math.PI * (coreMm + bundleMm);
  const volume = ((Math.PI / 4) * bundleMm ** 2 * threadMm) / FILLED;
  return Math.cbrt((6 * volume) / Math.PI);
}

/** How thick a coil of wraps is: its thread round that on which it lies. */
export function coilThicknessMm(bundleMm: number): number {
  return COIL_BUNDLES * bundleMm;
}

/** The wraps of a coil that cover a span: each takes 0.85 of the round bundle. */
export function wrapsToCover(spanMm: number, bundleMm: number): number {
  return Math.max(1, Math.round(spanMm / (0.85 * bundleMm)));
}
