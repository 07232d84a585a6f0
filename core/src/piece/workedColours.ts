import { mixed } from '../colour/index.ts';
import { stage } from '../measure/index.ts';
import { nearestShade, type ShadeRef } from '../materials/index.ts';
import type { PaletteColour } from './schema.ts';
import * as say from './words.ts';

/** What a colour is worked in: the shade that was chosen, or the one that it is nearest to; a second where two share the needle. */
export function shadesOf({ hex, shade, second }: PaletteColour): { first: ShadeRef; second: ShadeRef | null } {
  return { first: shade ?? nearestShade(hex).item, second };
}

/** A colour by its shade, or by the shade that it is nearest to. */
export function colourName({ hex, shade, second }: Pick<PaletteColour, 'hex' | 'shade' | 'second'>): {
  readonly name: string;
  readonly hex: string;
} {
  if (shade && second) {
    return { name: `${shade.name} with ${second.name}`, hex: mixed(shade.hex, second.hex) };
  }
  if (shade) return { name: `${shade.name} (${shade.code})`, hex: shade.hex };
  const { item } = nearestShade(hex);
  return { name: say.nearShade(item.name, item.code), hex };
}

export const COLOUR_NAME = stage<PaletteColour>()('colour name', ['hex', 'shade', 'second'], colourName);

/** A colour of a piece by its id. @throws where the palette has none of it: parts and passes name only colours that are there */
export function colourOf({ palette }: { readonly palette: readonly PaletteColour[] }, id: string): PaletteColour {
  const colour = palette.find((entry) => entry.id === id);
  if (!colour) throw new RangeError(`colourOf: the palette has no '${id}'`);
  return colour;
}

/** What is shown of a colour that is gone from the palette. */
const GONE = { name: '', hex: '#8a8a86' } as const;

/**
 * A colour as it is shown beside a plan: one that was just taken out of the palette is grey, and has no name, until the plan that names it has
 * followed.
 */
export function shownColour(
  { palette }: { readonly palette: readonly PaletteColour[] },
  id: string | undefined,
): { readonly name: string; readonly hex: string } {
  const colour = palette.find((entry) => entry.id === id);
  return colour ? colourName(colour) : GONE;
}
