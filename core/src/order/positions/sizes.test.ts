import { describe, expect, it } from 'vitest';
import { clearInHoopMm, hoopAt, spreadOfPositions } from '../../drawing/index.ts';
import { innerDiameterMm } from '../../materials/index.ts';
import {
  applyEdit,
  plainHoop,
  readPiece,
  setPositions,
  writePiece,
  type HoopPlace,
  type Piece,
} from '../../piece/index.ts';
import { svgPiece } from '../../testing/pieces.ts';
import { planOf } from '../../testing/plans.ts';
import { worksOf } from './findPositions.ts';

/** Two discs 200 mm apart: one of 80 mm, one of 40. */
const TWO = '<circle r="40" fill="#a33"/><circle cx="200" r="20" fill="#35a"/>';
const hoop = plainHoop(125, 10);
const placed = (positions: readonly HoopPlace[]): Piece => {
  const piece = svgPiece(TWO, { hoop });
  const edit = setPositions(piece, positions);
  if (!edit) return piece;
  const changed = applyEdit(piece, edit);
  if (!changed.ok) throw new Error(changed.problem);
  return changed.value;
};

describe('hoop positions of different sizes', () => {
  const middles = planOf(placed([])).parts.map(({ placed: { widest } }): readonly [number, number] => [
    widest!.x,
    widest!.y,
  ]);
  const large: HoopPlace = middles[0]!;
  const small: HoopPlace = [...middles[1]!, 100];

  it('hold each what lies in its own ring', () => {
    const { parts } = planOf(placed([large, small]));
    const works = worksOf(parts, hoop, [large, small]);
    expect(works.map(({ whole }) => whole.length)).toEqual([1, 1]);
    expect(works.map(({ nominalMm }) => nominalMm)).toEqual([125, 100]);
    // A disc of 80 mm in a ring of 74, set to one side: only what of its edge lies there.
    const [x, y] = middles[0]!;
    const tight = worksOf(parts, hoop, [[x + 15, y, 80], small]);
    expect(tight[0]!.whole).toHaveLength(0);
    expect(tight[0]!.portions).toHaveLength(1);
  });

  it('leave room by their own rings', () => {
    const shapes = planOf(placed([])).parts.flatMap(({ placed: { shape } }) => shape.region);
    // The disc of 80 mm in its ring of 119, that of 40 mm in one of 94: the first has less room.
    expect(clearInHoopMm(shapes, hoop, [large, small])).toBeCloseTo(innerDiameterMm(125) / 2 - 40, 1);
    expect(clearInHoopMm(shapes, hoop, [large, [...middles[1]!, 50]])).toBeCloseTo(innerDiameterMm(50) / 2 - 20, 1);
  });

  it('need cloth as far as their rings reach', () => {
    const positions: HoopPlace[] = [
      [0, 0],
      [200, 0, 100],
    ];
    const spread = (places: readonly HoopPlace[]): number => spreadOfPositions(placed(places))[0];
    expect(spread([positions[0]!, [200, 0]])).toBe(200);
    // From −62.5 to 250 instead of 262.5.
    expect(spread(positions)).toBe(187.5);
    expect(spread([positions[0]!])).toBe(0);
  });

  it('are kept in the file, and without a size they are of the piece’s own hoop', () => {
    const piece = placed([large, small]);
    const read = readPiece(writePiece(piece));
    expect(read.ok && read.value.positions).toEqual(piece.positions);
    expect(piece.positions[0]).toHaveLength(2);
    expect(hoopAt(hoop, large)).toBe(hoop);
    expect(hoopAt({ ...hoop, shortMm: 90 }, small)).toMatchObject({ nominalMm: 100, shortMm: null });
  });
});
