import type { NumberedStep, Step } from '../../order/index.ts';
import type { Plan } from '../../thread/index.ts';

/** What is numbered: the part of a step, or those of several that are worked one after the other; mm on the cloth. */
export interface StepPlace {
  readonly numbers: readonly string[];
  readonly x: number;
  readonly y: number;
  readonly roomMm: number;
  readonly others: readonly (readonly [x: number, y: number])[];
}

/** Steps by the parts that they work: all layers of a part are numbered side by side. */
export function placesOfSteps(
  { parts, order }: Pick<Plan, 'parts' | 'order'>,
  steps: readonly NumberedStep[],
): StepPlace[] {
  const byParts = new Map<string, { numbers: string[]; depths: number[]; first: Step | null }>();
  for (const { from, to, number, lays } of steps) {
    for (const laying of lays) {
      const key = String(laying.depth);
      const entry = byParts.get(key) ?? { numbers: [], depths: [laying.depth], first: null };
      byParts.set(key, entry);
      entry.numbers.push(String(laying.number));
    }
    const first = order[from]!;
    const depths = [...new Set(order.slice(from, to).map(({ depth }) => depth))];
    // The zones of one part lie in different places.
    const key = first.zone > 0 || first.isPortion ? `${number}` : depths.join(' ');
    const entry = byParts.get(key) ?? { numbers: [], depths, first };
    byParts.set(key, entry);
    entry.numbers.push(String(number));
  }
  return [...byParts.values()].map(({ numbers, depths, first }) => {
    const isPiece = first !== null && (first.zone > 0 || first.isPortion);
    const [anchor, ...others] = isPiece
      ? [[...middleOfStep(first), 0] as const]
      : depths.map((depth) => anchorOf(parts[depth]!.placed));
    return { numbers, x: anchor![0], y: anchor![1], roomMm: anchor![2], others: others.map(([x, y]) => [x, y]) };
  });
}

function middleOfStep({ from, to }: Step): [number, number] {
  return [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
}

/** Where a shape is pointed at, and how much room it has there. */
function anchorOf({ widest, shape }: Plan['parts'][number]['placed']): readonly [x: number, y: number, room: number] {
  if (widest) return [widest.x, widest.y, widest.r];
  const line = shape.lines[0]?.points;
  if (line && line.length >= 2) {
    const middle = 2 * Math.floor(line.length / 4);
    return [line[middle]!, line[middle + 1]!, 0];
  }
  return [shape.spots[0] ?? 0, shape.spots[1] ?? 0, 0];
}
