import { TREATMENT } from './thresholds.ts';
import { describe, expect, it } from 'vitest';
import { deltaE, labOf } from '../colour/index.ts';
import { ShapePlacer, type PlacedShape } from '../drawing/index.ts';
import { distanceToOutline, earlierMeeting, type Box } from '../geometry/index.ts';
import { seededRandom } from '../measure/index.ts';
import { newColour, emptyPiece, newPart, type Part, type Piece, colourName } from '../piece/index.ts';
import { Neighbours } from './neighbours.ts';

const HEXES = ['#aa3344', '#ab3446', '#779933', '#335577'];
const SEEDS = [1, 2, 3, 4, 5, 6];

/** Patches on a wobbly grid: some touch along a side, some only at a corner, some not at all. */
function patchwork(seed: number): Piece {
  const random = seededRandom(seed);
  const parts = Array.from({ length: 36 }, (_, i): Part => {
    const [x, y] = [(i % 6) * 6 + random.between(-0.6, 0.6), Math.floor(i / 6) * 6 + random.between(-0.6, 0.6)];
    return newPart({
      id: `p${i}`,
      name: `p${i}`,
      kind: i % 7 === 0 ? 'line' : 'area',
      path: `M${x} ${y}h6v${random.between(3, 6)}h-6z`,
      colour: `c${Math.floor(random.next() * HEXES.length)}`,
      opaque: true,
      strokeMm: null,
    });
  });
  const piece = emptyPiece('x', 'x');
  const palette = HEXES.map((hex, i) => newColour({ id: `c${i}`, hex }));
  return { ...piece, palette, drawing: { ...piece.drawing, parts } };
}

/** The slow, obvious way: every corner stretch of one outline against every edge of the other. */
function touchSlowly(a: PlacedShape, b: PlacedShape): boolean {
  if (a.kind !== 'area' || b.kind !== 'area') return false;
  let alongMm = 0;
  for (const ring of a.shape.region) {
    for (let i = 0; i < ring.length; i += 2) {
      const k = (i + 2) % ring.length;
      const [dx, dy] = [ring[k]! - ring[i]!, ring[k + 1]! - ring[i + 1]!];
      const pieces = Math.max(1, Math.ceil(Math.hypot(dx, dy) / 0.5));
      for (let j = 0; j < pieces; j++) {
        const t = (j + 0.5) / pieces;
        const isNear =
          distanceToOutline(b.shape.region, ring[i]! + t * dx, ring[i + 1]! + t * dy) < TREATMENT.touchingMm;
        if (isNear) alongMm += Math.hypot(dx, dy) / pieces;
      }
    }
  }
  return alongMm >= TREATMENT.touchingAlongMm;
}

describe('neighbours', () => {
  it.each(SEEDS)('are those that a look at every pair finds (seed %i)', (seed) => {
    const piece = patchwork(seed);
    const shapes = new ShapePlacer().place(piece);
    const neighbours = new Neighbours(piece, shapes);
    const lab = (part: Part) => labOf(colourName(piece.palette.find(({ id }) => id === part.colour)!).hex);
    let found = 0;
    piece.drawing.parts.forEach((part, i) => {
      const slow = piece.drawing.parts.slice(0, i).flatMap((other, j) => {
        const isAlike = part.colour === other.colour || deltaE(lab(part), lab(other)) < TREATMENT.nearEqual;
        return isAlike && touchSlowly(shapes[i]!, shapes[j]!) ? [j] : [];
      });
      expect(neighbours.alikeBefore(i)).toEqual(slow);
      found += slow.length;
    });
    expect(found).toBeGreaterThan(0);
  });
});

describe('earlierMeeting', () => {
  it.each(SEEDS)('finds what comparing all boxes finds (seed %i)', (seed) => {
    const random = seededRandom(seed);
    const boxes = Array.from({ length: 80 }, (): Box | null => {
      const [minX, minY] = [random.between(0, 50), random.between(0, 50)];
      const box = { minX, minY, maxX: minX + random.between(0, 6), maxY: minY + random.between(0, 6) };
      return random.next() < 0.1 ? null : box;
    });
    for (const margin of [0, 0.5]) {
      const slow = boxes.map((a, i) =>
        boxes.slice(0, i).flatMap((b, j) => {
          const meets =
            a &&
            b &&
            a.minX - margin <= b.maxX &&
            b.minX <= a.maxX + margin &&
            a.minY - margin <= b.maxY &&
            b.minY <= a.maxY + margin;
          return meets ? [j] : [];
        }),
      );
      expect(earlierMeeting(boxes, margin)).toEqual(slow);
    }
    expect(earlierMeeting([], 1)).toEqual([]);
    expect(earlierMeeting([null, null], 1)).toEqual([[], []]);
  });
});
