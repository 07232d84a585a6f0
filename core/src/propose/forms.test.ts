import { describe, expect, it } from 'vitest';
import { ShapePlacer, type PlacedShape } from '../drawing/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import { formOf, type FormKind } from './index.ts';

function placed(body: string): PlacedShape {
  return new ShapePlacer().place(svgPiece(body))[0]!;
}

/** Shapes in their own place, turned and moved: what a form is does not depend on where it lies. */
const SHAPES: readonly (readonly [what: string, path: string, kind: FormKind])[] = [
  ['a coin', 'M-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0Z', 'disc'],
  ['an almond', 'M0 0C8 -7 22 -7 30 0C22 7 8 7 0 0Z', 'leaf'],
  ['a bent leaf', 'M0 0C6 -10 20 -14 32 -6C24 2 8 4 0 0Z', 'leaf'],
  ['a drop', 'M0 0C-7 8 -7 20 0 20C7 20 7 8 0 0Z', 'petal'],
  ['a half ring', 'M0 0A20 20 0 0 1 40 0H34A14 14 0 0 0 6 0Z', 'strip'],
  ['a whole ring', 'M-12 0a12 12 0 1 0 24 0a12 12 0 1 0 -24 0ZM-8 0a8 8 0 1 1 16 0a8 8 0 1 1 -16 0Z', 'strip'],
  ['a T', 'M0 0H20V4H12V24H8V4H0Z', 'strip'],
  ['an S that comes back to where it headed', 'M0 0C14 -16 26 16 40 0L42 4C28 20 14 -10 3 5Z', 'strip'],
  ['a beam', 'M0 0H40V6H0Z', 'bar'],
  ['a book', 'M0 0H30V24H0Z', 'block'],
];

describe('what an area is like', () => {
  it.each(SHAPES)('%s', (_what, path, kind) => {
    for (const [turn, x, y] of [
      [0, 100, 100],
      [37, 300, 210],
      [151, 500, 90],
    ] as const) {
      const form = formOf(
        placed(`<path d="${path}" fill-rule="evenodd" fill="#a33" transform="translate(${x} ${y}) rotate(${turn})"/>`),
      );
      expect(form.kind, `turned by ${turn}`).toBe(kind);
    }
  });

  it.each([
    ['a door with a round head', 'M0 10A10 10 0 0 1 20 10V36H0Z'],
    ['a flower pot', 'M0 0H30L25 28H5Z'],
    ['a wall with rounded corners', 'M3 0H27Q30 0 30 3V21Q30 24 27 24H3Q0 24 0 21V3Q0 0 3 0Z'],
  ])('%s is worked as a block', (_what, path) => {
    expect(formOf(placed(`<path d="${path}" fill="#a33"/>`)).kind).toBe('block');
  });

  it('hair on a head is no leaf', () => {
    const hair = placed('<path d="M-12 0C-12 -16 12 -16 12 0C8 -4 -8 -4 -12 0Z" fill="#a33"/>');
    expect(formOf(hair).kind).not.toBe('leaf');
  });

  it.each([
    ['a roof', 'M0 0L14 -9L28 0Z'],
    ['a sail', 'M0 0V-26L16 0Z'],
    ['a whale', 'M0 0C6 -12 30 -14 40 -4L50 -12L48 -2L52 6L40 2C30 10 8 10 0 0Z'],
    ['a hill that is flat below', 'M0 0C10 -16 24 -16 34 0Z'],
  ])('%s is no leaf', (_what, path) => {
    expect(formOf(placed(`<path d="${path}" fill="#a33" transform="translate(60 60)"/>`)).kind).not.toBe('leaf');
  });

  it('measures width, length and turn by its strokes', () => {
    const ring = formOf(
      placed(`<path d="${SHAPES[5]![1]}" fill-rule="evenodd" fill="#a33" transform="translate(60 60)"/>`),
    );
    expect(ring.widthMm).toBeCloseTo(4, 0);
    expect(ring.lengthMm / (2 * Math.PI * 10)).toBeCloseTo(1, 1);
    expect(Math.abs(ring.turnDeg - 360)).toBeLessThan(40);
    expect(ring.branches).toBe(true);
  });
});
