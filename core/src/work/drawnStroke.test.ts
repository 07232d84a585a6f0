import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { seededRandom } from '../measure/index.ts';
import { plainPass, type Piece } from '../piece/index.ts';
import { firstPlace, lastPlace, type StitchId } from '../stitches/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import { USUAL_FACTORS } from './index.ts';

/** The path of one stitch on a drawn line, mm, with what it was given. */
function worked(piece: Piece, stitch: StitchId, params = {}, angleDeg: number | null = null) {
  const [part] = piece.drawing.parts;
  const passes = [{ ...plainPass(stitch, 'stranded-cotton', 2), params, angleDeg }];
  const parts = [{ ...part!, passes }];
  const { plan } = new Planner().plan({ ...piece, drawing: { ...piece.drawing, parts } }, USUAL_FACTORS);
  const [pass] = plan.parts[0]!.passes;
  const { path } = pass!.threads[0]!;
  const points = plan.parts[0]!.placed.shape.lines[0]!.points;
  return {
    from: [points[0]!, points[1]!] as const,
    to: [points.at(-2)!, points.at(-1)!] as const,
    xy: path.xy,
    first: firstPlace(path, 0),
    last: lastPlace(path, path.starts.length),
    angleDeg: pass!.angleDeg,
  };
}

function apart([x, y]: readonly [number, number], [a, b]: readonly [number, number]): number {
  return Math.hypot(x - a, y - b);
}

/** Lines of a length that lie in any way, each a piece of its own. */
function lines(seed: number, leastMm: number, mostMm: number): Piece[] {
  const random = seededRandom(seed);
  return Array.from({ length: 12 }, () => {
    const [length, angle] = [random.between(leastMm, mostMm), 2 * Math.PI * random.next()];
    const [x, y] = [30 + length * Math.cos(angle), 30 - length * Math.sin(angle)];
    return svgPiece(`<path d="M30 30L${x} ${y}" fill="none" stroke="#a33" stroke-width="0.6"/>`);
  });
}

/** Lengths are told to a tenth of a millimetre. */
const ROUNDED = 0.08;

describe('one stitch on a drawn line is as long as the line and lies as it lies', () => {
  it('a straight stitch, also where the line is longer than a knot can stand for', () => {
    for (const piece of lines(1, 2, 24)) {
      const { first, last, from, to } = worked(piece, 'straight');
      expect(apart(first, from)).toBeLessThan(ROUNDED);
      expect(apart(last, to)).toBeLessThan(ROUNDED);
    }
  });

  it('a bullion knot, to 25 mm', () => {
    for (const piece of lines(2, 3, 24.5)) {
      const { first, last, from, to } = worked(piece, 'bullion');
      expect(apart(first, from)).toBeLessThan(ROUNDED);
      expect(apart(last, to)).toBeLessThan(ROUNDED);
    }
  });

  it('a loop, whose foot is where the line begins and whose end is tied where it ends', () => {
    for (const piece of lines(3, 3, 14)) {
      const { first, from, to, xy } = worked(piece, 'detached-chain');
      expect(apart(first, from)).toBeLessThan(ROUNDED + 0.4);
      const nearest = Math.min(
        ...Array.from({ length: xy.length / 2 }, (_, i) => apart([xy[2 * i]!, xy[2 * i + 1]!], to)),
      );
      expect(nearest).toBeLessThan(ROUNDED + 0.4);
    }
  });

  it('a fly stitch, whose tail ends where the line does', () => {
    for (const piece of lines(4, 4, 11)) {
      const { last, to } = worked(piece, 'fly');
      expect(apart(last, to)).toBeLessThan(2 * ROUNDED);
    }
  });

  it('and what she says of length and direction stands', () => {
    const [piece] = lines(5, 8, 8.001);
    const { first, last, angleDeg } = worked(piece!, 'straight', { lengthMm: 5 }, 0);
    expect([apart(first, last), angleDeg]).toEqual([expect.closeTo(5, 6), 0]);
  });
});
