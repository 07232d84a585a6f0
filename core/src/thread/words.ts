import { byCount } from '../measure/index.ts';

export const otherLotFrom = (part: string): string => `Use another dye lot from “${part}” on`;

/** How often something is enough; what is nearly sure is never told as sure. */
export function enoughTimes(odds: number): string {
  if (odds >= 1) return 'enough every time';
  const percent = Math.min(99, Math.round(100 * odds));
  if (percent === 0) return 'not enough';
  return byCount(percent, { one: 'enough once in 100 times', other: `enough ${percent} times out of 100` });
}
