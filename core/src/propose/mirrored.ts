import type { PlacedShape, ShapePair } from '../drawing/index.ts';
import { reachInside, ringArea, type Region, segmentsOf } from '../geometry/index.ts';
import { Memory, stage } from '../measure/index.ts';
import type { Part } from '../piece/index.ts';

/** The directions in which an outline is looked at from its middle, and how near to its image's it lies, as a share of its size. */
const DIRECTIONS = 24;
const ALIKE = 0.03;
/** Areas that differ by more than this share are no images of each other. */
const AREA_STEP = Math.log(1.03);
/** The most earlier parts of a colour and size that are looked at. */
const MOST_LOOKED_AT = 8;

type Measured = Pick<PlacedShape, 'shape' | 'areaMm2'>;

interface Outline {
  readonly x: number;
  readonly y: number;
  /** How far the outline lies from the middle in a direction as seen, radians; mm. */
  readonly reach: (angle: number) => number;
  readonly sizeMm: number;
}

function outlineOf({ shape, areaMm2 }: Measured): Outline {
  const [x, y] = middleOfArea(shape.region);
  return {
    x,
    y,
    reach: (angle) => reachInside(shape.region, x, y, Math.cos(angle), -Math.sin(angle)),
    sizeMm: Math.sqrt(areaMm2),
  };
}

/** The centre of gravity of a region; rings that are holes run the other way round and take away. */
function middleOfArea(region: Region): [x: number, y: number] {
  let [all, sumX, sumY] = [0, 0, 0];
  for (const ring of region) {
    const area = ringArea(ring);
    let [cx, cy] = [0, 0];
    for (const [[ax, ay], [bx, by]] of segmentsOf({ points: ring, closed: true })) {
      const cross = ax * by - bx * ay;
      cx += (ax + bx) * cross;
      cy += (ay + by) * cross;
    }
    all += area;
    sumX += cx / 6;
    sumY += cy / 6;
  }
  return all === 0 ? [0, 0] : [sumX / all, sumY / all];
}

/** The direction of the line in which two areas are images of each other, radians as seen; null where they are not, or are mere copies. */
function mirrorOf({ a, b }: { readonly a: Measured; readonly b: Measured }): number | null {
  const [first, second] = [outlineOf(a), outlineOf(b)];
  const [dx, dy] = [second.x - first.x, second.y - first.y];
  if (Math.hypot(dx, dy) < ALIKE * first.sizeMm) return null;
  const axis = Math.atan2(-dy, dx) + Math.PI / 2;
  const isAlike = (turned: (angle: number) => number): boolean =>
    Array.from({ length: DIRECTIONS }, (_, i) => (2 * Math.PI * (i + 0.5)) / DIRECTIONS).every(
      (angle) => Math.abs(first.reach(angle) - second.reach(turned(angle))) <= ALIKE * first.sizeMm,
    );
  if (isAlike((angle) => angle)) return null;
  return isAlike((angle) => 2 * axis - angle) ? axis : null;
}

export const MIRROR_LINE = stage<ShapePair>()('mirror line', ['a', 'b'], mirrorOf);

/** Of which earlier part a part is the mirror image, and in which line. */
export interface Mirrored {
  readonly of: number;
  /** Radians, as seen. */
  readonly axis: number;
}

/** For each part the first before it of which it is the mirror image; null where there is none, and for what was chosen. */
export function mirrorImages(
  parts: readonly Part[],
  shapes: readonly PlacedShape[],
  memory = new Memory(),
): (Mirrored | null)[] {
  const bySize = new Map<string, number[]>();
  return parts.map((part, i) => {
    const placed = shapes[i]!;
    if (part.kind !== 'area' || !placed.box) return null;
    const step = Math.round(Math.log(placed.areaMm2) / AREA_STEP);
    const key = `${part.colour} ${step}`;
    const before = bySize.get(key);
    const alike = (): number[] =>
      [step - 1, step, step + 1].flatMap(
        (near) => bySize.get(`${part.colour} ${near}`)?.slice(0, MOST_LOOKED_AT) ?? [],
      );
    const candidates = part.passes !== null || part.differs ? [] : alike().sort((a, b) => a - b);
    if (before) before.push(i);
    else bySize.set(key, [i]);
    for (const of of candidates.slice(0, MOST_LOOKED_AT)) {
      const earlier = shapes[of]!;
      const axis = memory.made(MIRROR_LINE, [earlier.partId, placed.partId], { a: earlier, b: placed });
      if (axis !== null) return { of, axis };
    }
    return null;
  });
}

/** A direction as it lies in the mirror, degrees from 0 to 180. */
export function mirroredAngle(angleDeg: number, axis: number): number {
  return ((((2 * axis * 180) / Math.PI - angleDeg) % 180) + 180) % 180;
}
