import {
  clampChroma,
  differenceCiede2000,
  modeHsl,
  modeHwb,
  modeLab,
  modeLab65,
  modeLch,
  modeOklab,
  modeOklch,
  modeRgb,
  parse,
  useMode,
  type Lab65,
} from 'culori/fn';
import { z } from '../measure/index.ts';

const toRgb = useMode(modeRgb);
// Every way in which style sheets write a colour.
[modeHsl, modeHwb, modeLab, modeLch, modeOklab, modeOklch].forEach((mode) => useMode(mode));
const toLab65 = useMode(modeLab65);
const ciede2000 = differenceCiede2000();

/** A colour as six hexadecimal digits in sRGB: `#2b3a67`. */
export const hexColour = z.string().regex(/^#[0-9a-f]{6}$/, 'a colour such as #2b3a67');

/** CIELAB under D65, the one Lab used throughout. */
export type Lab = Lab65;

/** @throws RangeError where the text is not a six-digit hex colour */
export function labOf(hex: string): Lab {
  const lab = toLab65(hex);
  if (!lab) throw new RangeError(`labOf: expected a colour such as #2b3a67, got '${hex}'`);
  return lab;
}

/** The colour of red, green and blue in sRGB, each 0–1. */
export function labOfRgb(r: number, g: number, b: number): Lab {
  return toLab65({ mode: 'rgb', r, g, b });
}

/** The difference of two colours, CIEDE2000 (CIE 142-2001; Sharma, Wu and Dalal 2005). 1 is about just noticeable. */
export function deltaE(a: Lab, b: Lab): number {
  return ciede2000(a, b);
}

/**
 * Reads a colour as style sheets write it: names, hex, rgb(), hsl(). Transparency is given apart.
 * @returns null where the text is no colour
 */
export function readCssColour(text: string): CssColour | null {
  const colour = parse(text.trim());
  if (!colour) return null;
  const { r, g, b } = toRgb(colour);
  return { hex: hexOf(r, g, b), alpha: colour.alpha ?? 1 };
}

interface CssColour {
  readonly hex: string;
  readonly alpha: number;
}

/** @param r red, green and blue in 0–1; out of range is clamped */
export function hexOf(r: number, g: number, b: number): string {
  const digits = [r, g, b].map((channel) =>
    Math.round(Math.min(1, Math.max(0, channel)) * 255)
      .toString(16)
      .padStart(2, '0'),
  );
  return `#${digits.join('')}`;
}

/** A colour given in CIELAB (D65), drawn in to what a screen can show where it lies outside. */
export function hexOfLab(l: number, a: number, b: number): string {
  const rgb = toRgb(clampChroma({ mode: 'lab65', l, a, b }, 'oklch'));
  return hexOf(rgb.r, rgb.g, rgb.b);
}

/** Red, green and blue of a hex colour, each 0–255. */
export function channelsOf(hex: string): [r: number, g: number, b: number] {
  const value = Number.parseInt(hex.slice(1), 16);
  return [(value >> 16) & 255, (value >> 8) & 255, value & 255];
}

/** What a difference looks like, in words. */
export function differenceInWords(difference: number): string {
  if (difference < 1) return 'the same to the eye';
  if (difference < 3) return 'very close';
  if (difference < 6) return 'close';
  if (difference < 12) return 'related';
  return 'different';
}
