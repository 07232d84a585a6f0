/** Nominal sizes of round hoops in mm (about 4 to 12 in). */
export const HOOP_SIZES_MM = [100, 125, 150, 180, 200, 230, 250, 300] as const;

/** The inside of a ring is smaller than its nominal size by about this much. */
const RING_MM = 6;

/** Air between the design and the ring. */
export const AIR_MM = { least: 10, usual: 12, raised: 20 } as const;

export const HOOP_RANGE_MM = { min: 50, max: 600 } as const;

export function innerDiameterMm(nominalMm: number): number {
  return nominalMm - RING_MM;
}

/** Cloth to cut for a hoop: 50 mm all round to work in. */
export function clothCutMm(nominalMm: number): number {
  return nominalMm + 2 * 50;
}
