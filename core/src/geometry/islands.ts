import { isInside, ringArea, type Region, type Ring } from './shapes.ts';
import { placeAt } from './points.ts';

/** The islands of a region: each outer ring with its holes. */
export function islandsOf(region: Region): Region[] {
  const [outer, holes]: [Ring[], Ring[]] = [[], []];
  for (const ring of region) (isOuter(ring, region) ? outer : holes).push(ring);
  const islands = outer.map((ring): Ring[] => [ring]);
  for (const hole of holes) {
    const around = islands
      .filter(([ring]) => isInside([ring!], ...placeAt(hole, 0)))
      .sort(([a], [b]) => Math.abs(ringArea(a!)) - Math.abs(ringArea(b!)));
    around[0]?.push(hole);
  }
  return islands;
}

/** Whether a ring lies in an even number of others. */
function isOuter(ring: Ring, region: Region): boolean {
  const [x, y] = placeAt(ring, 0);
  return region.filter((other) => other !== ring && isInside([other], x, y)).length % 2 === 0;
}
