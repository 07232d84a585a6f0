import { regionArea, subtract, type Region, type Ring } from '../geometry/index.ts';
import type { Plan } from '../thread/index.ts';

/** The ends of a line that someone drew round something may lie apart by this, mm. */
const CLOSED_MM = 1;
/** What of the work may lie outside by the width of a thread, mm². */
const OUTSIDE_MM2 = 1;

/** The rings that were drawn to sew along. */
export function sewingRings({ parts }: Plan): Ring[] {
  return parts.flatMap(({ part, placed: { shape } }) => {
    if (part.marking !== 'sew') return [];
    const lines = shape.lines.filter(({ points, closed }) => closed || endsMeet(points)).map(({ points }) => points);
    return [...shape.region, ...lines];
  });
}

function endsMeet(points: Float64Array): boolean {
  const [x, y] = [points.at(-2)! - points[0]!, points.at(-1)! - points[1]!];
  return points.length >= 6 && Math.hypot(x, y) <= CLOSED_MM;
}

/** The smallest outline that was drawn to sew along and holds all that is worked; null: there is none. */
export function drawnOutline(plan: Plan, worked: Region): Ring | null {
  const holding = sewingRings(plan).filter((ring) => regionArea(subtract(worked, [ring])) <= OUTSIDE_MM2);
  return holding.reduce<Ring | null>(
    (least, ring) => (least && regionArea([least]) <= regionArea([ring]) ? least : ring),
    null,
  );
}
