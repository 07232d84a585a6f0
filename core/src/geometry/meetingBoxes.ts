import Flatbush from 'flatbush';
import type { Box } from './shapes.ts';

/**
 * For each box the earlier ones that it meets, in rising order; boxes within a margin of each other meet.
 * @param boxes null where there is nothing
 */
export function earlierMeeting(boxes: readonly (Box | null)[], marginMm: number): number[][] {
  const there = boxes.flatMap((box, i) => (box ? [i] : []));
  if (there.length === 0) return boxes.map(() => []);
  const index = new Flatbush(there.length);
  for (const i of there) {
    const { minX, minY, maxX, maxY } = boxes[i]!;
    index.add(minX, minY, maxX, maxY);
  }
  index.finish();
  return boxes.map((box, i) => {
    if (!box) return [];
    const found = index.search(box.minX - marginMm, box.minY - marginMm, box.maxX + marginMm, box.maxY + marginMm);
    return found
      .map((k) => there[k]!)
      .filter((other) => other < i)
      .sort((a, b) => a - b);
  });
}
