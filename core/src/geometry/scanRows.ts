import type { ScanFrame } from './scanCells.ts';
import type { Region } from './shapes.ts';

/** Stretches shorter than this share of the pitch are left to their neighbours. */
const SHORTEST = 0.3;

/** A run of scanline stretches, each lying beside the last: `u0, u1, v` for each. */
export type RowRun = number[];

/**
 * Covers a region with rows on one grid, whatever its outline does between them, and chains rows that lie beside each other
 * into runs. Unlike cells, runs do not end where the outline wobbles: for outlines with more turns than there are rows.
 */
export function scanRows(region: Region, { ux, uy }: ScanFrame, pitchMm: number): RowRun[] {
  const crossings = crossingsByRow(region, ux, uy, pitchMm);
  const finished: RowRun[] = [];
  let open: RowRun[] = [];
  for (const [row, us] of crossings) {
    const v = (row + 0.5) * pitchMm;
    us.sort((a, b) => a - b);
    const next: RowRun[] = [];
    for (let i = 0; i + 1 < us.length; i += 2) {
      const [u0, u1] = [us[i]!, us[i + 1]!];
      if (u1 - u0 < SHORTEST * pitchMm) continue;
      const at = open.findIndex((run) => meets(run, u0, u1, v, pitchMm));
      const run = at < 0 ? [] : open.splice(at, 1)[0]!;
      run.push(u0, u1, v);
      next.push(run);
    }
    finished.push(...open);
    open = next;
  }
  return [...finished, ...open];
}

/** Whether a run's last stretch lies beside a new one, on the row before. */
function meets(run: RowRun, u0: number, u1: number, v: number, pitchMm: number): boolean {
  const last = run.length - 3;
  const isNext = v - run[last + 2]! < 1.5 * pitchMm;
  const shared = Math.min(u1, run[last + 1]!) - Math.max(u0, run[last]!);
  return isNext && shared > 0.5 * Math.min(u1 - u0, run[last + 1]! - run[last]!);
}

/** Where the outline crosses each row, in order of rows. */
function crossingsByRow(region: Region, ux: number, uy: number, pitchMm: number): [row: number, us: number[]][] {
  const rows = new Map<number, number[]>();
  for (const ring of region) {
    const last = ring.length - 2;
    let [pu, pv] = [ring[last]! * ux + ring[last + 1]! * uy, ring[last + 1]! * ux - ring[last]! * uy];
    for (let i = 0; i < ring.length; i += 2) {
      const [u, v] = [ring[i]! * ux + ring[i + 1]! * uy, ring[i + 1]! * ux - ring[i]! * uy];
      const [low, high] = [Math.min(v, pv), Math.max(v, pv)];
      for (let row = Math.ceil(low / pitchMm - 0.5); (row + 0.5) * pitchMm < high; row++) {
        const at = (row + 0.5) * pitchMm;
        if (at < low) continue;
        const cross = pu + ((u - pu) * (at - pv)) / (v - pv);
        const list = rows.get(row);
        if (list) list.push(cross);
        else rows.set(row, [cross]);
      }
      [pu, pv] = [u, v];
    }
  }
  return [...rows].sort((a, b) => a[0] - b[0]);
}
