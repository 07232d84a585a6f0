/** A split stitch comes up through the last one at a third of it from its end, so two thirds of its length are won. */
export const SPLIT_ADVANCE = 2 / 3;
/** The part of a step by which a stitch reaches into the next. */
const OVERLAP_STEPS = 1 / SPLIT_ADVANCE - 1;

/** Where the stitch that begins at station i ends: half a step beyond station i + 1, or at the end of the line. */
export function splitEnd(stations: Float64Array, i: number): number {
  const last = stations.length - 1;
  if (i + 1 >= last) return stations[last]!;
  return stations[i + 1]! + OVERLAP_STEPS * (stations[i + 2]! - stations[i + 1]!);
}
