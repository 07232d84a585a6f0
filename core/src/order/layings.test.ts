import { describe, expect, it } from 'vitest';
import { regionArea, regionPerimeter } from '../geometry/index.ts';
import { seededRandom } from '../measure/index.ts';
import { plainScrap, type Piece } from '../piece/index.ts';
import { demoPiece, svgPiece } from '../testing/pieces.ts';
import { planOf } from '../testing/plans.ts';
import type { Plan } from '../thread/index.ts';
import { layingsOf } from './layings.ts';
import { countSteps, numberedSteps } from './stepNumbers.ts';

/** Areas of a drawing as scraps, by their places from back to front. */
function withScraps(piece: Piece, depths: readonly number[]): Piece {
  const parts = piece.drawing.parts.map((part, i) =>
    depths.includes(i) ? { ...part, scrap: plainScrap('#7a9a5a') } : part,
  );
  return { ...piece, drawing: { ...piece.drawing, parts } };
}

/** A disc with another, a quarter of it, in its middle. */
const NESTED = '<circle r="30" fill="#5a7"/><circle r="15" fill="#a33"/>';

describe('a scrap of cloth', () => {
  it('keeps its whole shape below what is stitched on it, and is whipped along all of its edge', () => {
    const [leaf] = planOf(withScraps(svgPiece(NESTED), [0])).parts;
    expect(leaf!.placed.areaMm2 / (Math.PI * 900)).toBeCloseTo(1, 2);
    expect(regionPerimeter(leaf!.placed.shape.region) / (2 * Math.PI * 30)).toBeCloseTo(1, 2);
    // As thread it would be a ring: the middle is cut away.
    const [cut] = planOf(svgPiece(NESTED)).parts;
    expect(regionArea(cut!.placed.shape.region) / (Math.PI * (900 - 225))).toBeCloseTo(1, 2);
  });

  it.each([1, 2, 3, 4, 5, 6])(
    'is laid before all that holds it or lies on it, and as late as that allows (seed %i)',
    (seed) => {
      const random = seededRandom(seed);
      const shapes = Array.from({ length: 9 }, () => {
        const [x, y, r] = [random.between(0, 60), random.between(0, 60), random.between(4, 16)];
        return `<circle cx="${x}" cy="${y}" r="${r}" fill="${random.next() < 0.5 ? '#a33' : '#35a'}"/>`;
      });
      const plan = planOf(withScraps(svgPiece(shapes.join('')), [1, 3, 4, 6]));
      const laid = layingsOf(plan.order, plan.parts);
      expect(laid.length).toBeGreaterThan(0);
      const isUpon = (front: number, back: number): boolean => meets(plan, front, back);
      for (const { depth, at } of laid) {
        const tied = plan.order.flatMap((step, i) => (step.depth === depth || isUpon(step.depth, depth) ? [i] : []));
        expect(at).toBeLessThanOrEqual(Math.min(...tied));
        // Nothing waits for it that does not lie on it: the step before which it is laid does, or lies on a scrap that does.
        const later = laid.filter((other) => other.at === at && isUpon(other.depth, depth));
        expect(at === Math.min(...tied) || later.length > 0).toBe(true);
      }
      const places = laid.map(({ at }) => at);
      expect(places).toEqual([...places].sort((a, b) => a - b));
    },
  );

  it('is a step with a number of its own, each number once', () => {
    const plan = planOf(demoPiece('moth-on-oak-leaf'));
    const steps = numberedSteps(plan);
    const numbers = steps.flatMap(({ number, lays }) => [...lays.map((laying) => laying.number), number]);
    expect(numbers).toEqual(numbers.map((_, i) => i + 1));
    expect(countSteps(steps)).toBe(numbers.length);
    const scraps = plan.parts.filter(({ part }) => part.scrap).length;
    expect(steps.flatMap(({ lays }) => lays)).toHaveLength(scraps);
    expect(scraps).toBeGreaterThan(2);
  });
});

/** Whether one disc lies on another by more than its edge, by their middles and radii. */
function meets({ parts }: Plan, front: number, back: number): boolean {
  const [a, b] = [parts[front]!.placed, parts[back]!.placed];
  if (front <= back || !a.box || !b.box) return false;
  // What is seen of the one in front must reach into the one behind: asked of points within it.
  const ring = a.shape.region.flatMap((points) => [...points]);
  const r = (b.box.maxX - b.box.minX) / 2;
  const [x, y] = [(b.box.maxX + b.box.minX) / 2, (b.box.maxY + b.box.minY) / 2];
  for (let i = 0; i < ring.length; i += 2) if (Math.hypot(ring[i]! - x, ring[i + 1]! - y) < r - 0.8) return true;
  return false;
}
