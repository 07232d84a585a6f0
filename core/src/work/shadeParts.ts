import { passesAsWorked, type PlannedPart } from './plannedPart.ts';
import type { ShadeRef } from '../materials/index.ts';
import { colourInShade, editOf, type Edit, type PaletteColour, type Pass, type Piece } from '../piece/index.ts';
import { stitchKind } from '../stitches/index.ts';
import * as say from './words.ts';

/** Whether a part can be worked in several shades: any area, and a line whose stitch hands them on. */
export function takesShades({ part, placed, passes }: PlannedPart): boolean {
  if (!placed.box) return false;
  return part.kind === 'area' || (part.kind === 'line' && keepsStitch({ passes }));
}

/** Whether a part keeps its stitch when it is worked in several shades. */
export function keepsStitch({ passes }: Pick<PlannedPart, 'passes'>): boolean {
  return passes.every(({ role, stitch }) => role !== 'filling' || stitchKind(stitch).canShade);
}

/**
 * Shades parts from one shade to the next: each filling is worked in them, in long-and-short where its stitch cannot be shaded.
 * Shades that the palette does not have are put into it.
 * @param shades from where the rows begin, two or more
 */
export function shadeParts(piece: Piece, parts: readonly PlannedPart[], shades: readonly ShadeRef[]): Edit | null {
  const palette: PaletteColour[] = [...piece.palette];
  const ids = shades.map((shade) => colourInShade(palette, shade));
  const shadedParts = new Map(parts.filter(takesShades).map((planned) => [planned.part.id, planned]));
  if (shadedParts.size === 0 || ids.length < 2) return null;
  const shaded = (pass: Pass): Pass => {
    if (pass.role !== 'filling') return pass;
    const keeps = stitchKind(pass.stitch).canShade;
    return {
      ...pass,
      ...(keeps ? {} : { stitch: 'long-short' as const, params: {}, strands: 1 }),
      shades: ids,
      shadeStrands: [],
    };
  };
  return editOf(piece, say.shadeIn(ids.length), [
    [['palette'], palette],
    [
      ['drawing', 'parts'],
      piece.drawing.parts.map((part) => {
        const planned = shadedParts.get(part.id);
        return planned ? { ...part, passes: passesAsWorked({ part, passes: planned.passes }).map(shaded) } : part;
      }),
    ],
  ]);
}
