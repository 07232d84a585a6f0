import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { polylineLength, ringArea, ringStretch } from '../geometry/index.ts';
import { plainPass, type Pass, type Piece } from '../piece/index.ts';
import { circle } from '../testing/shapes.ts';
import { svgPiece } from '../testing/pieces.ts';
import { outlineRun, outlineSide } from './outlineRun.ts';
import { USUAL_FACTORS, type PlannedPart } from './index.ts';

const R = 20;
const outline = (change: Partial<Pass>): Pass => ({
  ...plainPass('stem', 'stranded-cotton', 1),
  role: 'outline',
  ...change,
});

/** A disc of 20 mm about the middle of the cloth, outlined so, and turned so far. */
function discWith(pass: Pass, turnDeg = 0): { planned: PlannedPart; piece: Piece } {
  const drawn = svgPiece(`<circle cx="0" cy="0" r="${R}" fill="#a33"/>`);
  const parts = [{ ...drawn.drawing.parts[0]!, passes: [pass] }];
  const placement = { ...drawn.placement, scale: 1, turnDeg, xMm: 0, yMm: 0 };
  const piece = { ...drawn, placement, drawing: { ...drawn.drawing, parts } };
  return { piece, planned: new Planner().plan(piece, USUAL_FACTORS).plan.parts[0]! };
}
const runOf = (pass: Pass, turnDeg = 0): ReturnType<typeof outlineRun> =>
  outlineRun(discWith(pass, turnDeg).planned.placed, pass);

describe('where an outline goes', () => {
  it.each([0, 4, -6])('is all round, %f mm inside the edge', (insetMm) => {
    const [line, ...others] = runOf(outline({ insetMm }));
    expect(others).toEqual([]);
    expect(line!.closed).toBe(true);
    expect(polylineLength(line!)).toBeCloseTo(2 * Math.PI * (R - insetMm), 0);
    // The area lies to the left as one goes: seen with y down, its turned area is negative.
    expect(ringArea(line!.points)).toBeLessThan(0);
  });

  it.each([0, 30, 200])(
    'is half of a disc on the side in the shade, and the other half in the light, turned by %i°',
    (turnDeg) => {
      const { placed } = discWith(outline({}), turnDeg).planned;
      let whole = 0;
      for (const [side, sign] of [
        ['shaded', 1],
        ['lit', -1],
      ] as const) {
        const [line] = runOf(outline({ points: outlineSide(placed, side)! }), turnDeg);
        expect(line!.closed).toBe(false);
        whole += polylineLength(line!);
        expect(polylineLength(line!)).toBeCloseTo(Math.PI * R, 0);
        for (let i = 0; i < line!.points.length; i += 2) {
          expect(sign * (line!.points[i]! + line!.points[i + 1]!)).toBeGreaterThan(-1);
        }
      }
      expect(whole).toBeCloseTo(2 * Math.PI * R, 0);
    },
  );

  it('is the stretch between two points, however far inside, the long way where they are told the other way round', () => {
    const quarter = runOf(
      outline({
        insetMm: 3,
        points: [
          [R, 0],
          [0, -R],
        ],
      }),
    )[0]!;
    const rest = runOf(
      outline({
        insetMm: 3,
        points: [
          [0, -R],
          [R, 0],
        ],
      }),
    )[0]!;
    expect(polylineLength(quarter)).toBeCloseTo((Math.PI / 2) * (R - 3), 0);
    expect(polylineLength(rest)).toBeCloseTo(1.5 * Math.PI * (R - 3), 0);
  });

  it('takes about as much less thread as it is shorter', () => {
    const threadMm = (pass: Pass): number => discWith(pass).planned.passes[0]!.quantities.frontMm;
    const { placed } = discWith(outline({})).planned;
    const half = threadMm(outline({ points: outlineSide(placed, 'shaded')! }));
    expect(half / threadMm(outline({}))).toBeCloseTo(0.5, 1);
    expect(threadMm(outline({ insetMm: 10 })) / threadMm(outline({}))).toBeCloseTo(0.5, 1);
  });

  it('is nothing where it is set in beyond the middle', () => {
    expect(runOf(outline({ insetMm: 30 }))).toEqual([]);
    expect(
      runOf(
        outline({
          insetMm: 30,
          points: [
            [R, 0],
            [0, -R],
          ],
        }),
      ),
    ).toEqual([]);
  });
});

describe('a stretch of a ring', () => {
  it('and the stretch from its end to its beginning are the whole ring, wherever they begin and end', () => {
    const ring = circle(10);
    const whole = polylineLength({ points: ring, closed: true });
    for (let k = 0; k < 60; k++) {
      const [a, b] = [k * 0.7, k * 1.9 + 0.3];
      const at = (angle: number) => [10 * Math.cos(angle), 10 * Math.sin(angle)] as const;
      const one = ringStretch(ring, at(a), at(b));
      const other = ringStretch(ring, at(b), at(a));
      const sum = polylineLength({ points: one, closed: false }) + polylineLength({ points: other, closed: false });
      expect(sum).toBeCloseTo(whole, 6);
    }
  });

  it('goes once round where it begins just after its end, on one edge', () => {
    const square = Float64Array.of(0, 0, 10, 0, 10, 10, 0, 10);
    const nearly = ringStretch(square, [6, 0], [4, 0]);
    expect(polylineLength({ points: nearly, closed: false })).toBeCloseTo(38, 9);
    expect([...ringStretch(square, [4, 0], [6, 0])]).toEqual([4, 0, 6, 0]);
  });
});
