import type { End } from './finish.ts';
import type { Piece, PieceUse } from './schema.ts';

/** What a piece usually ends as, by what it is for. */
export const END_OF_USE: Readonly<Record<PieceUse, End>> = {
  framed: 'framed',
  handled: 'cushion',
  worn: 'garment',
  washed: 'hemmed',
  patch: 'patch',
  ornament: 'ornament',
  whitework: 'whitework',
};

/** What a piece ends as: as it was chosen, else as is usual for what it is for. */
export function endOf(piece: Pick<Piece, 'use' | 'finish'>): End {
  return piece.finish.end ?? END_OF_USE[piece.use];
}
