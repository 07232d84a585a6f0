import { labOf, nextRung } from '../colour/index.ts';
import { isSameShade, shippedRange, refOf } from '../materials/index.ts';
import { editOf, type Edit } from './edits.ts';
import { newColour, type Level, type PaletteColour, type PartLevel, type Piece } from './schema.ts';
import * as say from './words.ts';
import { colourName, shadesOf } from './workedColours.ts';

/** The id of a rung of a colour’s ladder; the colour itself is a rung, too, under its own id. */
const rungId = (colour: string, rung: number): string => `${colour}-rung-${rung}`;
const isRungOf = (id: string, colour: string): boolean => id.startsWith(`${colour}-rung-`);

/** The shades in which a colour is shaded, from dark to light: itself and what the level of the piece put beside it; itself alone where there is nothing. */
export function ladderOf(palette: readonly PaletteColour[], colour: string): string[] {
  const rungs = palette.filter(({ id }) => id === colour || isRungOf(id, colour));
  return [...rungs].sort((a, b) => labOf(colourName(a).hex).l - labOf(colourName(b).hex).l).map(({ id }) => id);
}

/** A palette without the rungs that a level put into it and no part is worked in by choice. */
export function withoutLadders(palette: readonly PaletteColour[], parts: Piece['drawing']['parts']): PaletteColour[] {
  const chosen = new Set(
    parts.flatMap(({ colour, passes }) => [
      colour,
      ...(passes ?? []).flatMap((pass) => [...pass.shades, ...(pass.colour === null ? [] : [pass.colour])]),
    ]),
  );
  const isRung = ({ id }: PaletteColour): boolean => palette.some((other) => isRungOf(id, other.id));
  return palette.filter((colour) => !isRung(colour) || chosen.has(colour.id));
}

/**
 * Stitches as much of a piece as a level says, and of some parts more or less. What the person chose of a part stays.
 * @param of the level of the parts for which it is another than that of the piece
 * @param shaded the ids of the colours in which richly worked parts are shaded
 */
export function setLevels(
  piece: Piece,
  level: Level,
  of: ReadonlyMap<string, PartLevel>,
  shaded: ReadonlySet<string>,
): Edit | null {
  const parts = piece.drawing.parts.map((part) => {
    const own = of.get(part.id) ?? null;
    return own === part.level ? part : { ...part, level: own };
  });
  const palette = withoutLadders(piece.palette, piece.drawing.parts);
  const grown = palette.flatMap((colour) =>
    shaded.has(colour.id) && ladderOf(palette, colour.id).length < 2 ? [colour, ...rungsBeside(colour)] : [colour],
  );
  return editOf(piece, say.useLevel(level), [
    [['level'], level],
    [['palette'], grown],
    [['drawing', 'parts'], parts],
  ]);
}

/** The shades of the same card that lie a step lighter and a step darker than that of a colour; near black or white, two steps the same way. */
function rungsBeside(colour: PaletteColour): PaletteColour[] {
  const shade = shadesOf(colour).first;
  const range = shippedRange(shade.range);
  const own = range?.shades.find((one) => isSameShade(one, shade));
  if (!range || !own) return [];
  const lighter = nextRung([own], range.shades);
  const darker = lighter && nextRung([lighter, own], range.shades);
  return [lighter, darker].flatMap((rung, i) =>
    rung ? [newColour({ id: rungId(colour.id, i + 1), hex: rung.hex, shade: refOf(rung) })] : [],
  );
}
