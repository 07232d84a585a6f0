import { regionArea, subtract, type Region } from '../geometry/index.ts';

/** Less than this is the width of a thread at an edge, mm². */
const TOLERANCE_MM2 = 2;

/** How much of what is worked lies outside the form of a finished thing: cut off, or hidden behind it, mm². */
export function lostMm2(worked: Region, form: Region): number {
  if (form.length === 0) return 0;
  const lost = regionArea(subtract(worked, form));
  return lost > TOLERANCE_MM2 ? lost : 0;
}
