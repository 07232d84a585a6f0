import { editOf, type Edit, type Piece } from '../../piece/index.ts';
import * as say from '../words.ts';

/** What tidying changes of a piece. */
export type TidiedDrawing = Pick<Piece, 'palette'> & Pick<Piece['drawing'], 'parts'>;

/** Puts a tidied drawing in the place of another, as one edit; null where nothing would change. */
export function tidyEdit(piece: Piece, { palette, parts }: TidiedDrawing): Edit | null {
  return editOf(piece, say.TIDY_IT, [
    [['palette'], palette],
    [['drawing', 'parts'], parts],
  ]);
}
