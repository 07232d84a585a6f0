import { DEFAULT_THREAD, laidWidthMm, RANGES, refOf, threadKind, type ShadeRef } from '../materials/index.ts';
import { coloursPainted, growShades, pictureBelow, type Pictures } from '../painting/index.ts';
import {
  colourInShade,
  editOf,
  plainPass,
  type Edit,
  type PaletteColour,
  type Pass,
  type Piece,
} from '../piece/index.ts';
import { passesAsWorked, type PlannedPart } from './plannedPart.ts';
import * as say from './words.ts';

/**
 * Paints an area from the picture below it: its filling becomes needle painting in one strand, in these shades. What else is worked of it
 * stays, but for padding. Shades that the palette does not have are put into it; the colour that the part was drawn in goes, where nothing else is
 * of it and nobody chose a shade for it.
 */
export function paintPart(piece: Piece, planned: PlannedPart, shades: readonly ShadeRef[]): Edit | null {
  if (planned.part.kind !== 'area' || shades.length === 0) return null;
  const palette: PaletteColour[] = [...piece.palette];
  const ids = [...new Set(shades.map((shade) => colourInShade(palette, shade)))];
  const passes = passesAsWorked(planned);
  const before = passes.find(({ role }) => role === 'filling');
  const same = before?.stitch === 'needle-painting' ? before : null;
  const painted: Pass = {
    ...(same ?? plainPass('needle-painting', before?.thread ?? DEFAULT_THREAD, 1)),
    strands: 1,
    shades: ids,
  };
  const kept = passes.filter(({ role }) => role !== 'filling' && role !== 'padding');
  const [below, above] = [kept.filter(({ role }) => role === 'edge'), kept.filter(({ role }) => role !== 'edge')];
  const { colour: drawnIn } = planned.part;
  const isElsewhere = piece.drawing.parts.some(
    ({ id, colour, passes: own }) =>
      (id !== planned.part.id && colour === drawnIn) || own?.some((pass) => pass.colour === drawnIn),
  );
  const isKept = ({ id, shade }: PaletteColour): boolean =>
    id !== drawnIn || isElsewhere || shade !== null || ids.includes(id);
  return editOf(piece, say.paintIn(ids.length), [
    [['palette'], palette.filter(isKept)],
    [
      ['drawing', 'parts'],
      piece.drawing.parts.map((part) =>
        part.id === planned.part.id ? { ...part, colour: ids[0]!, passes: [...below, painted, ...above] } : part,
      ),
    ],
  ]);
}

/**
 * Paints an area from the picture below it in the shades of stranded cotton that suit it best.
 * @returns null where there is no area, or no picture below it
 */
export function paintInCotton(piece: Piece, planned: PlannedPart, count: number, pictures: Pictures): Edit | null {
  const below = pictureBelow(piece, pictures);
  if (!below) return null;
  const colours = coloursPainted(planned.placed.shape.region, below, laidWidthMm(threadKind(DEFAULT_THREAD), 1));
  const cotton = RANGES.filter(({ thread }) => thread === DEFAULT_THREAD).flatMap(({ shades }) => [...shades]);
  return paintPart(piece, planned, growShades(colours, cotton, count).shades.map(refOf));
}
