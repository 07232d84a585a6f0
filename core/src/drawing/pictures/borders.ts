import type { Place } from '../../geometry/index.ts';
import { smoothPath, smoothRing } from './smoothPath.ts';

/** A border between two regions, walked so that one lies on its left and the other on its right. */
interface Chain {
  readonly from: number;
  readonly to: number;
  readonly left: number;
  readonly right: number;
  readonly points: Place[];
  readonly isLoop: boolean;
}

/** Right, down, left, up on the lattice of pixel corners. */
const STEPS: readonly Place[] = [
  [1, 0],
  [0, 1],
  [-1, 0],
  [0, -1],
];
/** What lies outside the picture. */
const OUTSIDE = -1;

/**
 * The outlines of labelled regions as path data in pixels. Each border is smoothed once and shared by both sides, so neighbours meet
 * without gaps.
 * @param labels one number for each pixel, row by row from the top, from 0
 * @returns for each label path data of its rings, to be filled evenodd
 */
export function outlinesOf(
  labels: Int32Array,
  width: number,
  height: number,
  tolerancePx: number,
): Map<number, string> {
  const chains = chainsOf(labels, width, height);
  const paths = new Map<number, string>();
  const add = (label: number, path: string): void => {
    if (label !== OUTSIDE) paths.set(label, (paths.get(label) ?? '') + path);
  };
  const bySide = new Map<number, Map<number, { chain: Chain; isForward: boolean }[]>>();
  const note = (label: number, start: number, chain: Chain, isForward: boolean): void => {
    if (label === OUTSIDE) return;
    const starts = bySide.get(label) ?? new Map<number, { chain: Chain; isForward: boolean }[]>();
    bySide.set(label, starts);
    starts.set(start, [...(starts.get(start) ?? []), { chain, isForward }]);
  };
  for (const chain of chains) {
    if (chain.isLoop) {
      const ring = smoothRing(chain.points, tolerancePx);
      add(chain.left, ring);
      add(chain.right, ring);
    } else {
      note(chain.left, chain.from, chain, true);
      note(chain.right, chain.to, chain, false);
    }
  }
  for (const [label, starts] of bySide) add(label, ringsFrom(starts, tolerancePx));
  return paths;
}

function ringsFrom(starts: Map<number, { chain: Chain; isForward: boolean }[]>, tolerancePx: number): string {
  let path = '';
  for (const [start, leaving] of starts) {
    while (leaving.length > 0) {
      let ring = '';
      for (let at = start; ;) {
        const next = starts.get(at)?.pop();
        if (!next) break;
        const { chain, isForward } = next;
        const piece = smoothPath(isForward ? chain.points : [...chain.points].reverse(), tolerancePx);
        ring += ring === '' ? piece : piece.replace(/^M[^A-Z]*/, '');
        at = isForward ? chain.to : chain.from;
        if (at === start) break;
      }
      path += `${ring}Z`;
    }
  }
  return path;
}

/** All borders between differing pixels, cut where three or more regions meet. */
function chainsOf(labels: Int32Array, width: number, height: number): Chain[] {
  const columns = width + 1;
  const labelAt = (x: number, y: number): number =>
    x < 0 || y < 0 || x >= width || y >= height ? OUTSIDE : labels[y * width + x]!;
  /** What lies left and right of the border that leaves a lattice place in a direction; equal where there is none. */
  const sides = (x: number, y: number, direction: number): [left: number, right: number] => {
    switch (direction) {
      case 0:
        return [labelAt(x, y - 1), labelAt(x, y)];
      case 1:
        return [labelAt(x, y), labelAt(x - 1, y)];
      case 2:
        return [labelAt(x - 1, y), labelAt(x - 1, y - 1)];
      default:
        return [labelAt(x - 1, y - 1), labelAt(x, y - 1)];
    }
  };
  const leaves = (x: number, y: number, direction: number): boolean => {
    const [left, right] = sides(x, y, direction);
    return left !== right;
  };
  const degree = (x: number, y: number): number => STEPS.reduce((sum, _, d) => sum + (leaves(x, y, d) ? 1 : 0), 0);
  // A bit for each border that was walked, at the place that it leaves.
  const walked = new Uint8Array(columns * (height + 1));
  const chains: Chain[] = [];

  const walk = (x0: number, y0: number, d0: number, isLoop: boolean): void => {
    const [left, right] = sides(x0, y0, d0);
    const points: Place[] = isLoop ? [] : [[x0, y0]];
    let [x, y, d] = [x0, y0, d0];
    for (;;) {
      const [dx, dy] = STEPS[d]!;
      walked[y * columns + x]! |= 1 << d;
      points.push([x + dx / 2, y + dy / 2]);
      [x, y] = [x + dx, y + dy];
      walked[y * columns + x]! |= 1 << ((d + 2) % 4);
      if (isLoop ? x === x0 && y === y0 : degree(x, y) !== 2) break;
      d = STEPS.findIndex((_, next) => next !== (d + 2) % 4 && leaves(x, y, next));
    }
    if (!isLoop) points.push([x, y]);
    chains.push({ from: y0 * columns + x0, to: y * columns + x, left, right, points, isLoop });
  };

  for (const isLoop of [false, true]) {
    for (let y = 0; y <= height; y++) {
      for (let x = 0; x <= width; x++) {
        if (!isLoop && degree(x, y) === 2) continue;
        for (let d = 0; d < 4; d++) {
          if (leaves(x, y, d) && !(walked[y * columns + x]! & (1 << d))) walk(x, y, d, isLoop);
        }
      }
    }
  }
  return chains;
}
