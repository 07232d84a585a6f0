/**
 * Whether a way behind is the stitch's own: no longer than the run before or after it, and a little more. The return of a satin stitch is as
 * long as the stitch. What is longer only gets to another place, whether the stitch says so or not.
 * @param wayMm the way behind
 * @param runMm the run in front that follows, and `lastRunMm` the one before, mm
 */
export function isOwnWay(wayMm: number, runMm: number, lastRunMm: number): boolean {
  return wayMm <= OWN_WAY.times * Math.max(runMm, lastRunMm) + OWN_WAY.moreMm;
}

const OWN_WAY = { times: 1.3, moreMm: 1 } as const;
