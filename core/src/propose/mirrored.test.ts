import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { seededRandom } from '../measure/index.ts';
import { applyEdit, plainPass, setPasses, type Piece } from '../piece/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { degreesApart } from './index.ts';
import { mirroredAngle, mirrorImages } from './mirrored.ts';

const planned = (piece: Piece) => new Planner().plan(piece, USUAL_FACTORS).plan.parts;

/** A wing with no symmetry of its own, in five corners. */
function wing(seed: number): [x: number, y: number][] {
  const random = seededRandom(seed);
  return Array.from({ length: 5 }, (_, i) => {
    const [angle, reach] = [(2 * Math.PI * i) / 5 + random.between(-0.3, 0.3), random.between(4, 9)];
    return [reach * Math.cos(angle) * 1.6, reach * Math.sin(angle)];
  });
}

/** The point in a line through the origin, turned by an angle as seen. */
function reflected([x, y]: [number, number], axis: number): [number, number] {
  const [c, s] = [Math.cos(2 * axis), -Math.sin(2 * axis)];
  return [x * c + y * s, x * s - y * c];
}

const data = (points: readonly [number, number][], dx = 0, dy = 0): string =>
  `M${points.map(([x, y]) => `${(x + dx).toFixed(3)} ${(y + dy).toFixed(3)}`).join('L')}Z`;

/** A wing and its image in a line of this direction. */
function pair(seed: number, axis: number): Piece {
  const [shape, image] = [wing(seed), wing(seed).map((point) => reflected(point, axis))];
  const [dx, dy] = [30 * Math.sin(axis), 30 * Math.cos(axis)];
  return svgPiece(`<path d="${data(shape, -dx, -dy)}" fill="#a33"/><path d="${data(image, dx, dy)}" fill="#a33"/>`);
}

describe('mirrored pairs', () => {
  const cases = [1, 2, 3, 4, 5, 6, 7, 8].flatMap((seed) =>
    [0, 0.5, Math.PI / 2, 2.1].map((axis) => [seed, axis] as const),
  );

  it('lie as each other’s image, in whatever line', () => {
    let straight = 0;
    for (const [seed, axis] of cases) {
      const [first, second] = planned(pair(seed, axis));
      const [a, b] = [first!.passes.at(-1)!, second!.passes.at(-1)!];
      expect(b.stitch, `seed ${seed}, ${axis}`).toBe(a.stitch);
      expect(b.direction).toBe(a.direction);
      if (a.direction !== 'straight') continue;
      straight++;
      const image = mirroredAngle(a.angleDeg, axis);
      expect(degreesApart(b.angleDeg, image), `seed ${seed}, ${axis}`).toBeLessThan(1.5);
    }
    expect(straight).toBeGreaterThan(10);
  });

  it('are found in the line between them; a mere copy is none', () => {
    for (const [seed, axis] of cases) {
      const piece = pair(seed, axis);
      const parts = planned(piece);
      const found = mirrorImages(
        piece.drawing.parts,
        parts.map(({ placed }) => placed),
      );
      expect(found[0]).toBeNull();
      expect(found[1]?.of).toBe(0);
      expect(degreesApart((found[1]!.axis * 180) / Math.PI, (axis * 180) / Math.PI)).toBeLessThan(1.5);
    }
    const copies = svgPiece(`<path d="${data(wing(1))}" fill="#a33"/><path d="${data(wing(1), 40, 9)}" fill="#a33"/>`);
    expect(
      mirrorImages(
        copies.drawing.parts,
        planned(copies).map(({ placed }) => placed),
      ),
    ).toEqual([null, null]);
  });

  it('stay as they are when the other is worked in another way', () => {
    const piece = pair(2, 0.5);
    const pass = { ...plainPass('seed', 'stranded-cotton', 1), angleDeg: 7 };
    const edit = setPasses(piece, new Map([[piece.drawing.parts[0]!.id, [pass]]]), 'x')!;
    const changed = applyEdit(piece, edit);
    if (!changed.ok) throw new Error(changed.problem);
    expect(planned(changed.value)[1]!.passes).toEqual(planned(piece)[1]!.passes);
  });
});
