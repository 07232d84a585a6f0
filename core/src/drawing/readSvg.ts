import { parseJson, shortened, failure, success, type Outcome } from '../measure/index.ts';
import { checkPiece, emptyPiece, MAX_PARTS, type Piece } from '../piece/index.ts';
import { centred } from './fit.ts';
import { groupLikeParts } from './likeParts.ts';
import { designCircle } from './designCircle.ts';
import { physicalMm, PLAIN_UNIT_MM, readSvgLength } from './svg/lengths.ts';
import type { Viewport } from './svg/outlines.ts';
import { viewBoxTransform } from './svg/transforms.ts';
import { DrawingFault, readViewBox, SvgWalker, type Told } from './svg/walk.ts';
import { readXmlTree, type SvgElement } from './svg/xmlTree.ts';
import { partsOf } from './svgParts.ts';
import { IDENTITY, type Matrix } from '../geometry/index.ts';
import * as say from './words.ts';

/**
 * Reads an SVG drawing into a new piece: parts in mm from back to front, its colours, what could not be read.
 * The drawing is laid at its own size in the middle of the cloth, in no hoop.
 * @param id the id of the new piece
 * @param name the name of the piece and of the source, as a rule the file's
 */
export function readSvg(source: string, id: string, name: string): Outcome<Piece> {
  const tree = readXmlTree(source);
  if (!tree.ok) return tree;
  try {
    const { matrix, unitMm, viewport, isPhysical } = rootFrame(tree.value);
    const restored = restoredPiece(tree.value, viewport, id);
    if (restored) return success(restored);
    const walker = new SvgWalker(tree.value);
    walker.walk(matrix, viewport);
    const { parts, palette } = partsOf(walker.shapes);
    if (parts.length > MAX_PARTS) {
      return failure(say.tooManyParts(parts.length, MAX_PARTS));
    }
    const notes = notesOf(walker.told);
    if (parts.length === 0) {
      return failure(say.nothingToStitch(notes[0] ?? 'Draw areas or lines with a fill or a stroke.'));
    }
    const blank = emptyPiece(id, shortened(name, 200));
    const piece = inTheMiddle({
      ...blank,
      placement: { ...blank.placement, isSizeSet: isPhysical },
      drawing: {
        source: shortened(name, 200),
        unitMm,
        hidden: 'cut',
        notes,
        underlay: null,
        parts: groupLikeParts(parts),
      },
      palette,
    });
    // What could not be opened again must not be taken in.
    const checked = checkPiece(piece);
    return checked.ok
      ? checked
      : failure(checked.problem.replace('The piece file is', 'The drawing makes a piece that is'));
  } catch (error) {
    if (error instanceof DrawingFault) return failure(error.message);
    throw error;
  }
}

function inTheMiddle(piece: Piece): Piece {
  const circle = designCircle(piece);
  return circle ? { ...piece, placement: centred(piece.placement, circle, 1) } : piece;
}

/**
 * The piece that a file was written from, with its shapes as they are drawn now; null where the file kept none that makes sense: then
 * only its shapes are read. In such a file a user unit is a millimetre of the drawing.
 */
function restoredPiece(root: SvgElement, viewport: Viewport, id: string): Piece | null {
  const piece = keptPiece(root.attributes['data-junctura']);
  if (!piece) return null;
  const walker = new SvgWalker(root);
  walker.walk(IDENTITY, viewport);
  const { parts, palette } = partsOf(walker.shapes, piece.palette);
  const checked = checkPiece({ ...piece, id, palette, drawing: { ...piece.drawing, parts } });
  return checked.ok && parts.length > 0 ? checked.value : null;
}

/** Checked only as far as it is used here; the rest is checked with the whole piece. */
function keptPiece(text: string | undefined): Piece | null {
  if (text === undefined) return null;
  try {
    const { piece } = parseJson(text) as { piece?: Piece };
    const isColour = (colour: unknown): boolean => {
      const { id, hex } = (colour ?? {}) as Record<string, unknown>;
      return typeof id === 'string' && typeof hex === 'string';
    };
    const isWhole = Array.isArray(piece?.palette) && piece.palette.every(isColour) && typeof piece.drawing === 'object';
    return isWhole ? piece : null;
  } catch {
    return null;
  }
}

/** How user units become millimetres: by the physical size of the drawing where it has one, else 96 to the inch. */
function rootFrame(root: SvgElement): { matrix: Matrix; unitMm: number; viewport: Viewport; isPhysical: boolean } {
  const { width, height, preserveAspectRatio } = root.attributes;
  for (const [key, text] of Object.entries({ width, height })) {
    if ((readSvgLength(text)?.value ?? 1) <= 0) {
      throw new DrawingFault(say.noSize(root.line, key, String(text)));
    }
  }
  const box = readViewBox(root);
  const [widthMm, heightMm] = [physicalMm(width), physicalMm(height)];
  const isPhysical = widthMm !== null || heightMm !== null;
  if (!box) {
    const size = (mm: number | null, text: string | undefined): number =>
      mm === null ? (readSvgLength(text)?.value ?? 300) : mm / PLAIN_UNIT_MM;
    const viewport = { width: size(widthMm, width), height: size(heightMm, height) };
    return { matrix: [PLAIN_UNIT_MM, 0, 0, PLAIN_UNIT_MM, 0, 0], unitMm: PLAIN_UNIT_MM, viewport, isPhysical };
  }
  const [, , boxWidth, boxHeight] = box;
  const unitMm = isPhysical ? null : PLAIN_UNIT_MM;
  const place = {
    x: 0,
    y: 0,
    width: unitMm === null ? (widthMm ?? (heightMm! * boxWidth) / boxHeight) : boxWidth * unitMm,
    height: unitMm === null ? (heightMm ?? (widthMm! * boxHeight) / boxWidth) : boxHeight * unitMm,
  };
  const matrix = viewBoxTransform(box, place, preserveAspectRatio);
  const viewport = { width: boxWidth, height: boxHeight };
  return { matrix, unitMm: Math.sqrt(matrix[0] * matrix[3]), viewport, isPhysical };
}

function notesOf(told: Told): string[] {
  return [...told].map(([what, count]) => say.LEFT_OUT[what]!(count));
}
