import { PIECE_EXTENSION, writePiece } from '@junctura/core/piece';
import { fileName, saveFile } from '../keeping/files.ts';
import { useOpenedPiece } from './openedPiece.ts';
import { useRecord } from './record.ts';

/** Hands the open piece with its record to the person as a file. */
export function savePiece(): void {
  const { piece } = useOpenedPiece();
  saveFile(fileName(piece.name, PIECE_EXTENSION), writePiece(piece, useRecord().entries), 'application/json');
}
