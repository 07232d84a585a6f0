import { deltaE, labOf, nearestColours } from '../colour/index.ts';
import { isSameShade, refOf, type Shade, type ShadeRef } from '../materials/index.ts';
import { editOf, type Edit } from './edits.ts';
import { freeColourId } from './ids.ts';
import { newColour, type PaletteColour, type Part, type Pass, type Piece } from './schema.ts';
import * as say from './words.ts';

/** What a colour is worked in: a shade, or two of them in one needle. */
export interface WorkedIn {
  readonly shade: ShadeRef | null;
  readonly second: ShadeRef | null;
}

/** A colour of the palette in a shade, or in two. A colour that gets another shade no longer has its lot. */
export function inShade(colour: PaletteColour, { shade, second }: WorkedIn): PaletteColour {
  const chosen = shade && refOf(shade);
  const lot = isSameShade(colour.shade, chosen) ? colour.lot : null;
  return { ...colour, shade: chosen, second: second && refOf(second), lot };
}

/** The id of the colour of a palette that is worked in this shade alone; where there is none, one is put into it. */
export function colourInShade(palette: PaletteColour[], shade: ShadeRef): string {
  const known = palette.find((colour) => isSameShade(colour.shade, shade) && colour.second === null);
  if (known) return known.id;
  const id = freeColourId(palette);
  palette.push(newColour({ id, hex: shade.hex, shade: refOf(shade) }));
  return id;
}

/**
 * Puts shades into the palette that no part is worked in yet: they stay there until a part takes them, or they are taken out.
 * @param given shades that colours of the palette get in the same edit
 */
export function gatherShades(
  piece: Piece,
  shades: readonly ShadeRef[],
  label = 'Add shades to the palette',
  given: ReadonlyMap<string, WorkedIn> = new Map(),
): Edit | null {
  const palette = piece.palette.map((colour) => {
    const chosen = given.get(colour.id);
    return chosen ? inShade(colour, chosen) : colour;
  });
  shades.forEach((shade) => colourInShade(palette, shade));
  return editOf(piece, label, [[['palette'], palette]]);
}

/** Takes a colour out of the palette that nothing is worked in; null where it is used. */
export function dropColour(piece: Piece, id: string): Edit | null {
  const isUsed =
    piece.finish.edgeColour === id || piece.drawing.parts.some((part) => [...coloursOf(part)].includes(id));
  if (isUsed) return null;
  const without = <T extends { readonly colour: string }>(shades: readonly T[]): T[] =>
    shades.filter(({ colour }) => colour !== id);
  return editOf(piece, 'Remove a colour', [
    [['palette'], piece.palette.filter((colour) => colour.id !== id)],
    [['colourways'], piece.colourways.map((way) => ({ ...way, shades: without(way.shades) }))],
  ]);
}

function* coloursOf({ colour, passes }: Part): Generator<string> {
  yield colour;
  for (const pass of passes ?? []) {
    if (pass.colour) yield pass.colour;
    if (pass.second?.colour) yield pass.second.colour;
    yield* pass.shades;
  }
}

/**
 * Gives colours their shades, and makes one of those that come to the same: drawn a little apart, they are one thread, one row and one
 * skein. The first of them stays.
 */
export function takeShades(piece: Piece, shades: ReadonlyMap<string, WorkedIn>, label: string): Edit | null {
  const stays = new Map<string, string>();
  const palette: PaletteColour[] = [];
  for (const colour of piece.palette) {
    const chosen = shades.get(colour.id);
    const now = chosen ? inShade(colour, chosen) : colour;
    const same = palette.find((other) => isOneThread(other, now));
    if (same && (chosen || shades.has(same.id))) stays.set(colour.id, same.id);
    else palette.push(now);
  }
  const kept = (id: string): string => stays.get(id) ?? id;
  const parts = piece.drawing.parts.map((part) => recoloured(part, kept));
  const { edgeColour } = piece.finish;
  return editOf(piece, label, [
    [['palette'], palette],
    ...(stays.size === 0
      ? []
      : ([
          [['drawing', 'parts'], parts],
          [
            ['colourways'],
            piece.colourways.map((way) => ({ ...way, shades: way.shades.filter(({ colour }) => !stays.has(colour)) })),
          ],
          [['finish', 'edgeColour'], edgeColour && kept(edgeColour)],
        ] as const)),
  ]);
}

/** Two shades nearer than this aren't worth two skeins (ΔE2000). */
const LEAST_APART = 3;

/**
 * Shades for some colours, each different from all others in the palette. The first colour that wants a shade has it; the next that wants the same
 * is given the nearest shade that is free.
 * @param shades what each colour would be worked in
 * @param offers the shades to choose from instead
 */
export function shadesApart(
  { palette }: Pick<Piece, 'palette'>,
  shades: ReadonlyMap<string, WorkedIn>,
  offers: readonly Shade[],
): ReadonlyMap<string, WorkedIn> {
  const taken = palette.filter(({ id, shade }) => shade && !shades.has(id));
  const apart = new Map<string, WorkedIn>();
  for (const colour of palette) {
    const chosen = shades.get(colour.id);
    if (!chosen) continue;
    const now = inShade(colour, chosen);
    const isTaken = taken.some((other) => isOneThread(other, now));
    const labs = taken.flatMap(({ shade }) => (shade ? [labOf(shade.hex)] : []));
    const free = offers.filter(({ lab }) => labs.every((other) => deltaE(lab, other) >= LEAST_APART));
    const [nearest] = isTaken ? nearestColours(labOf(colour.hex), free, 1) : [];
    const worked = nearest ? { shade: refOf(nearest.item), second: null } : chosen;
    apart.set(colour.id, worked);
    taken.push(inShade(colour, worked));
  }
  return apart;
}

/** A part whose colours, and those of its layers, are others. */
function recoloured(part: Part, other: (id: string) => string): Part {
  const pass = (given: Pass): Pass => ({
    ...given,
    colour: given.colour && other(given.colour),
    shades: given.shades.map(other),
    second: given.second && { ...given.second, colour: given.second.colour && other(given.second.colour) },
  });
  return { ...part, colour: other(part.colour), passes: part.passes && part.passes.map(pass) };
}

/**
 * Works some parts of a colour from another dye lot of its shade: lots differ a little, so that each is a thread of its own. The rest stays.
 * @returns null where nothing would change
 */
export function fromAnotherLot(piece: Piece, id: string, parts: ReadonlySet<string>, lot: string): Edit | null {
  const colour = piece.palette.find((entry) => entry.id === id);
  const isOfIt = (part: Part): boolean => parts.has(part.id) && [...coloursOf(part)].includes(id);
  if (!colour || colour.lot === lot || !piece.drawing.parts.some(isOfIt)) return null;
  const palette = [...piece.palette];
  const known = palette.find((entry) => entry.id !== id && isOneThread(entry, { ...colour, lot }));
  const other = known ?? { ...colour, id: freeColourId(palette), lot };
  if (!known) palette.push(other);
  const turned = (own: string): string => (own === id ? other.id : own);
  return editOf(piece, say.fromLot(lot), [
    [['palette'], palette],
    [['drawing', 'parts'], piece.drawing.parts.map((part) => (isOfIt(part) ? recoloured(part, turned) : part))],
    [
      ['colourways'],
      piece.colourways.map((way) => ({
        ...way,
        shades: known
          ? way.shades
          : way.shades.flatMap((shade) => (shade.colour === id ? [shade, { ...shade, colour: other.id }] : [shade])),
      })),
    ],
  ]);
}

/** Whether two colours are worked in one shade of one lot, and mean the same. */
function isOneThread(a: PaletteColour, b: PaletteColour): boolean {
  return (
    a.shade !== null &&
    isSameShade(a.shade, b.shade) &&
    a.second === null &&
    b.second === null &&
    a.lot === b.lot &&
    (a.role === b.role || a.role === '' || b.role === '')
  );
}
