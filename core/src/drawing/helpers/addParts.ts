import svgpath from 'svgpath';
import { inverse } from '../../geometry/index.ts';
import { deltaE, labOf } from '../../colour/index.ts';
import {
  editOf,
  freeColourId,
  freeId,
  MAX_PARTS,
  newColour,
  newPart,
  type Edit,
  type PaletteColour,
  type Part,
  type Piece,
} from '../../piece/index.ts';
import { placementMatrix } from '../placedShape.ts';
import type { HelperPart } from './helper.ts';

const DECIMALS = 4;
/** Colours nearer than this (ΔE2000) are drawn as one. */
const SAME_COLOUR = 4;

/**
 * Lays drawn parts in front of everything, in a colour of the palette; the first part of an empty drawing gets a new colour.
 * @param at the middle of what is drawn, on the cloth, mm
 * @returns null where nothing would be added
 */
export function addParts(
  piece: Piece,
  drawn: readonly HelperPart[],
  at: readonly [x: number, y: number],
  label: string,
  colour: string | null = null,
): Edit | null {
  const room = MAX_PARTS - piece.drawing.parts.length;
  if (drawn.length === 0 || room <= 0) return null;
  const taken = new Set(piece.drawing.parts.map(({ id }) => id));
  const groups = new Set(piece.drawing.parts.flatMap(({ group }) => (group === null ? [] : [group])));
  const groupOf = new Map<string, string>();
  const toDrawing = inverse(placementMatrix(piece.placement));
  const laid = (path: string): string =>
    svgpath(path)
      .abs()
      .translate(...at)
      .matrix([...toDrawing])
      .round(DECIMALS)
      .toString();
  const palette =
    piece.palette.length > 0 ? [...piece.palette] : [newColour({ id: 'c1', hex: drawn[0]!.hex ?? '#7a2f3d' })];
  const known = palette.find(({ id }) => id === colour) ?? palette[0]!;
  const parts = drawn.slice(0, room).map((part): Part => {
    const id = freeId(part.name, taken);
    taken.add(id);
    let group: string | null = null;
    if (part.alike !== undefined) {
      group = groupOf.get(part.alike) ?? freeId(part.alike, groups);
      groupOf.set(part.alike, group);
      groups.add(group);
    }
    return newPart({
      id,
      name: part.name,
      kind: part.kind,
      path: laid(part.path),
      colour: part.hex === undefined ? known.id : colourFor(part.hex, palette),
      fillRule: 'evenodd',
      opaque: part.kind === 'area',
      strokeMm: part.kind === 'area' ? null : (part.strokeMm ?? 0.6) / piece.placement.scale,
      group,
      vein: part.vein === undefined ? null : laid(part.vein),
    });
  });
  return editOf(piece, label, [
    [['palette'], palette],
    [
      ['drawing', 'parts'],
      [...piece.drawing.parts, ...parts],
    ],
  ]);
}

/** A colour of the palette that can't be told from this at a glance; where there is none, it is put into it. */
function colourFor(hex: string, palette: PaletteColour[]): string {
  const lab = labOf(hex);
  const near = palette.find((colour) => deltaE(labOf(colour.hex), lab) < SAME_COLOUR);
  if (near) return near.id;
  const id = freeColourId(palette);
  palette.push(newColour({ id, hex }));
  return id;
}
