import { modeLrgb, modeRgb, useMode } from 'culori/fn';
import { failure, success, type Outcome } from '../measure/index.ts';
import { hexOf, labOf } from './colours.ts';

const toLinear = useMode(modeLrgb);
const toRgb = useMode(modeRgb);

/** Something in a photograph whose true colour is known: a grey card, or white paper. */
export interface Reference {
  /** As it came out in the photograph. */
  readonly seen: string;
  /** As it truly is. */
  readonly truly: string;
}

/** A reference darker or brighter than this in the photograph tells nothing: its channels are at their ends. */
const READABLE_L = { least: 15, most: 98.5 } as const;

/**
 * Colours of a photograph as they would be in daylight: each channel of light is scaled so that the reference comes out
 * right (von Kries). A photograph in mixed light, or with a reference in shade, cannot be put right so.
 */
export function whiteBalanced(hexes: readonly string[], { seen, truly }: Reference): Outcome<string[]> {
  const { l } = labOf(seen);
  if (l < READABLE_L.least || l > READABLE_L.most) {
    return failure(
      l < READABLE_L.least
        ? 'The reference is almost black in the photograph: press on the grey or white card itself.'
        : 'The reference is overexposed in the photograph: use less light, or press on a grey card instead.',
    );
  }
  const [from, to] = [toLinear(seen)!, toLinear(truly)!];
  const gain = { r: to.r / from.r, g: to.g / from.g, b: to.b / from.b };
  return success(
    hexes.map((hex) => {
      const { r, g, b } = toLinear(hex)!;
      const rgb = toRgb({ mode: 'lrgb', r: r * gain.r, g: g * gain.g, b: b * gain.b });
      return hexOf(rgb.r, rgb.g, rgb.b);
    }),
  );
}
