export {
  acceptFinding,
  groupMembers,
  movePart,
  plainPass,
  removeParts,
  renamePart,
  renamePiece,
  setCloth,
  setGroup,
  setHidden,
  setHoop,
  setMark,
  setPartColour,
  setPasses,
  setShade,
  setShades,
  setUse,
  setWorker,
} from './commands.ts';
export { applyEdit, editOf, invertEdit, mergeEdits, type Edit, type EditStep } from './edits.ts';
export { checkPiece, MAX_PIECE_CHARACTERS, PIECE_EXTENSION, readPiece, writePiece } from './file.ts';
export {
  emptyPiece,
  PIECE_FORMAT,
  PIECE_VERSION,
  pieceSchema,
  type PaletteColour,
  type Part,
  type Pass,
  type Piece,
  type PieceUse,
  type Placement,
} from './schema.ts';
