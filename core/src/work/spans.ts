import type { PlannedPass } from './plannedPart.ts';
import { Move } from '../stitches/index.ts';
import { stage } from '../measure/index.ts';

/** The longest straight stretch of thread on top, mm. */
export const LONGEST_FRONT_RUN = stage<PlannedPass>()('longest run on the front', ['path'], ({ path }): number => {
  let longest = 0;
  for (let i = 1; i < path.codes.length; i++) {
    if (path.codes[i] !== Move.down || path.codes[i - 1] !== Move.up) continue;
    const run = Math.hypot(path.xy[2 * i]! - path.xy[2 * i - 2]!, path.xy[2 * i + 1]! - path.xy[2 * i - 1]!);
    longest = Math.max(longest, run);
  }
  return longest;
});
