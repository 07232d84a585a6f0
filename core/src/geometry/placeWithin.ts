import type { Box } from './shapes.ts';

/** Where something lies within something larger, as one says it. */
export const PLACES = [
  ['top left', 'top', 'top right'],
  ['left', 'middle', 'right'],
  ['bottom left', 'bottom', 'bottom right'],
] as const;
export type PlaceWithin = (typeof PLACES)[number][number];

/** In which ninth of a box a point lies; a box that is narrow one way has no left and right, or no top and bottom. y points down. */
export function placeWithin({ minX, minY, maxX, maxY }: Box, x: number, y: number): PlaceWithin {
  const [width, height] = [maxX - minX, maxY - minY];
  const column = width < NARROW * height ? 1 : third(x - minX, width);
  const row = height < NARROW * width ? 1 : third(y - minY, height);
  return PLACES[row]![column]!;
}

/** A box is narrow where it is this much smaller one way than the other. */
const NARROW = 0.25;

function third(along: number, whole: number): 0 | 1 | 2 {
  if (whole <= 0) return 1;
  return along < whole / 3 ? 0 : along > (2 * whole) / 3 ? 2 : 1;
}
