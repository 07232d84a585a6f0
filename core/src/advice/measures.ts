import type { PlacedShape } from '../drawing/index.ts';
import { tightestRadiusMm } from '../geometry/index.ts';
import type { PlannedPass } from '../plan/index.ts';
import { Move } from '../stitches/index.ts';

/** Remembers what a function found for an object that never changes. */
function remembered<T extends object>(measure: (object: T) => number): (object: T) => number {
  const found = new WeakMap<T, number>();
  return (object) => {
    const known = found.get(object) ?? measure(object);
    found.set(object, known);
    return known;
  };
}

/** The tightest bend of a part's lines, mm radius; Infinity where nothing bends. */
export const tightestBendMm = remembered<PlacedShape>(({ shape }) => Math.min(...shape.lines.map(tightestRadiusMm)));

/** The longest straight stretch of thread on top, mm. */
export const longestFrontRunMm = remembered<PlannedPass>(({ path }) => {
  let longest = 0;
  for (let i = 1; i < path.codes.length; i++) {
    if (path.codes[i] !== Move.down || path.codes[i - 1] !== Move.up) continue;
    const run = Math.hypot(path.xy[2 * i]! - path.xy[2 * i - 2]!, path.xy[2 * i + 1]! - path.xy[2 * i - 1]!);
    longest = Math.max(longest, run);
  }
  return longest;
});
