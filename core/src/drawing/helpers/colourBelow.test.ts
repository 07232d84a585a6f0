import { describe, expect, it } from 'vitest';
import { emptyPiece, applyEdit, type Piece } from '../../piece/index.ts';
import { addParts, colourBelow } from './index.ts';

/** A picture of 100 × 100 pixels, left half red and right half blue, one pixel in seven white. */
const width = 100;
const rgba = new Uint8ClampedArray(width * width * 4);
for (let i = 0; i < width * width; i++) {
  rgba.set(i % 7 === 0 ? [255, 255, 255, 255] : i % width < 50 ? [170, 51, 51, 255] : [51, 51, 170, 255], 4 * i);
}
const picture = { width, height: width, rgba };
/** Two pixels to the millimetre, its middle in the middle of the hoop. */
const below = { picture, toPicture: [2, 0, 0, 2, 50, 50] as const };

describe('what is drawn over a picture', () => {
  it.each([
    ['area', 'M-20 -10H-5V10H-20Z', '#aa3333'],
    ['area', 'M5 -10H20V10H5Z', '#3333aa'],
    ['line', 'M-20 0L-5 3', '#aa3333'],
    // Most of it lies in the red half.
    ['area', 'M-20 -10H6V10H-20Z', '#aa3333'],
  ] as const)('an %s has the colour that is there, whatever stray pixels it holds: %s', (kind, path, hex) => {
    expect(colourBelow(kind, path, below)).toBe(hex);
  });

  it('has none beside the picture', () => {
    expect(colourBelow('area', 'M40 0H60V10H40Z', below)).toBeNull();
  });

  it('shares the colour of the palette that it can hardly be told from, and else brings its own', () => {
    const drawn = (piece: Piece, hex: string): Piece => {
      const edit = addParts(piece, [{ name: 'Area 1', kind: 'area', path: 'M0 0H9V9Z', hex }], [0, 0], 'x')!;
      const outcome = applyEdit(piece, edit);
      if (!outcome.ok) throw new Error(outcome.problem);
      return outcome.value;
    };
    const first = drawn(emptyPiece('p', 'P'), '#aa3333');
    expect(first.palette.map(({ hex }) => hex)).toEqual(['#aa3333']);
    const near = drawn(first, '#ab3433');
    expect(near.palette).toHaveLength(1);
    const other = drawn(near, '#3333aa');
    expect(other.palette.map(({ hex }) => hex)).toEqual(['#aa3333', '#3333aa']);
    expect(new Set(other.drawing.parts.map(({ colour }) => colour)).size).toBe(2);
  });
});
