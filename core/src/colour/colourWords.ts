import { labOf, type Lab } from './colours.ts';

/** Below this chroma a colour is a grey; above the lightnesses and below them white and black. */
const GREY = { chroma: 10, white: 86, black: 26 } as const;
/** Where each family of hues ends, degrees in CIELAB, from magenta round. */
const HUES: readonly (readonly [untilDeg: number, name: string])[] = [
  [10, 'pink'],
  [44, 'red'],
  [70, 'orange'],
  [104, 'yellow'],
  [168, 'green'],
  [225, 'turquoise'],
  [300, 'blue'],
  [335, 'purple'],
  [360, 'pink'],
];
/** Dark oranges and yellows are browns; pale reds are pinks (L). */
const BROWN_BELOW = { orange: 58, yellow: 50 } as const;
const PINK_FROM = 62;
/** Oranges that are duller than this are browns, too, and yellows that are darker as well: tan and fawn (chroma, L). */
const DULL_CHROMA = 42;
const TAN_BELOW = 75;

/**
 * What people call a colour: the plain names that fit it, for a search. A colour between two families has both.
 * @example colourWords('#b8272f') // ['red']
 */
export function colourWords(hex: string): string[] {
  const lab = labOf(hex);
  const hue = ((Math.atan2(lab.b, lab.a) * 180) / Math.PI + 360) % 360;
  const chroma = Math.hypot(lab.a, lab.b);
  if (chroma < GREY.chroma) return lab.l > GREY.white ? ['white'] : lab.l < GREY.black ? ['black'] : ['grey', 'gray'];
  const names = new Set([hue, hue - EDGE_DEG, hue + EDGE_DEG].map((deg) => named((deg + 360) % 360, lab)));
  return [...names];
}
/** This near to another family a colour is called by its name, too, degrees. */
const EDGE_DEG = 4;

function named(hue: number, { l, a, b }: Lab): string {
  const [, name] = HUES.find(([until]) => hue < until) ?? HUES.at(-1)!;
  if (name === 'red' && l >= PINK_FROM) return 'pink';
  if (name === 'orange' && (l < BROWN_BELOW.orange || Math.hypot(a, b) < DULL_CHROMA)) return 'brown';
  const isTan = Math.hypot(a, b) < DULL_CHROMA && l < TAN_BELOW;
  return name === 'yellow' && (l < BROWN_BELOW.yellow || isTan) ? 'brown' : name;
}
