import {
  clampChroma,
  filterDeficiencyDeuter,
  filterDeficiencyProt,
  filterDeficiencyTrit,
  modeLrgb,
  modeOklch,
  modeRgb,
  modeXyz65,
  useMode,
} from 'culori/fn';
import { normalShareWithin } from '../measure/index.ts';
import { deltaE, hexOf, labOf } from './colours.ts';

const toLinear = useMode(modeLrgb);
const toRgb = useMode(modeRgb);
const toXyz = useMode(modeXyz65);
const toOklch = useMode(modeOklch);

/** Ways in which a piece is seen: as it is, by a lamp, without colour, by the three common kinds of colour blindness. */
export const SEEING = ['daylight', 'lamp', 'grey', 'protan', 'deutan', 'tritan'] as const;
export type Seeing = (typeof SEEING)[number];

const DEFICIENCY = {
  protan: filterDeficiencyProt(1),
  deutan: filterDeficiencyDeuter(1),
  tritan: filterDeficiencyTrit(1),
} as const;

/** Bradford's cone responses (Lindbloom; ICC.1:2010, annex E). */
const CONES = [
  [0.8951, 0.2664, -0.1614],
  [-0.7502, 1.7135, 0.0367],
  [0.0389, -0.0685, 1.0296],
] as const;
const FROM_CONES = [
  [0.9869929, -0.1470543, 0.1599627],
  [0.4323053, 0.5183603, 0.0492912],
  [-0.0085287, 0.0400428, 0.9684867],
] as const;
const D65 = [0.95047, 1, 1.08883] as const;
/** CIE illuminant A: an incandescent or warm-white lamp. */
const LAMP = [1.0985, 1, 0.35585] as const;
/** The eye takes this much of a lamp’s tint for white (CIECAM02 gives 0.7 to 0.9 in a lit room). */
const ADAPTED = 0.75;

type Triple = readonly [number, number, number];

function times(rows: readonly Triple[], [x, y, z]: Triple): [number, number, number] {
  return rows.map((row) => row[0] * x + row[1] * y + row[2] * z) as [number, number, number];
}

/** How much brighter each cone sees by the lamp, less what the eye makes up for. */
const LAMP_GAIN = ((): Triple => {
  const [lamp, day] = [times(CONES, LAMP), times(CONES, D65)];
  return lamp.map((cone, i) => (cone / day[i]!) ** (1 - ADAPTED)) as unknown as Triple;
})();

function byLamp(hex: string): string {
  const { x, y, z } = toXyz(hex)!;
  const cones = times(CONES, [x, y, z]).map((cone, i) => cone * LAMP_GAIN[i]!) as unknown as Triple;
  const [lx, ly, lz] = times(FROM_CONES, cones);
  const rgb = toRgb({ mode: 'xyz65', x: lx, y: ly, z: lz });
  return hexOf(rgb.r, rgb.g, rgb.b);
}

function inGrey(hex: string): string {
  const { y } = toXyz(hex)!;
  const rgb = toRgb({ mode: 'lrgb', r: y, g: y, b: y });
  return hexOf(rgb.r, rgb.g, rgb.b);
}

/**
 * A colour as it is seen in some way. Lamp-light is reckoned from the colour alone (Bradford, incomplete adaptation): two
 * dyes that match by day may differ more than this says. Colour blindness after Machado, Oliveira and Fernandes (2009).
 */
export function seenAs(hex: string, seeing: Seeing): string {
  if (seeing === 'daylight') return hex;
  if (seeing === 'lamp') return byLamp(hex);
  if (seeing === 'grey') return inGrey(hex);
  const rgb = toRgb(DEFICIENCY[seeing](toRgb(hex)!))!;
  return hexOf(rgb.r, rgb.g, rgb.b);
}

/** A colour turned round the circle of hues by degrees, its strength (OKLCH chroma) times a factor; greys stay grey. */
export function turnedColour(hex: string, hueDeg: number, chroma: number): string {
  const { l, c, h = 0 } = toOklch(hex)!;
  const rgb = toRgb(clampChroma({ mode: 'oklch', l, c: c * chroma, h: c < GREY ? h : h + hueDeg }, 'oklch'));
  return hexOf(rgb.r, rgb.g, rgb.b);
}
/** Colours weaker than this are seen as grey, OKLCH chroma. */
const GREY = 0.025;

/** Two colours as fine threads mix in the eye: the mean of their light, with a share of the second. */
export function mixed(a: string, b: string, shareOfB = 0.5): string {
  const [one, two] = [toLinear(a)!, toLinear(b)!];
  const mix = (x: number, y: number): number => x + (y - x) * shareOfB;
  const rgb = toRgb({ mode: 'lrgb', r: mix(one.r, two.r), g: mix(one.g, two.g), b: mix(one.b, two.b) });
  return hexOf(rgb.r, rgb.g, rgb.b);
}

/**
 * At arm's length the eye blurs colour like a Gaussian of this deviation on the cloth: it tells about 11 changes of colour
 * in a degree (Mullen 1985), which is one in 0.95 mm at 600 mm.
 */
export const ARMS_LENGTH_BLUR_MM = 0.95 / 2 / Math.SQRT2;

/** How much of its own colour a stripe of a width keeps at arm's length, 0–1; the rest is what lies beside it. */
export function keptAtArmsLength(widthMm: number): number {
  return normalShareWithin(widthMm / (2 * ARMS_LENGTH_BLUR_MM));
}

/** How far two colours that touch lie apart, CIEDE2000, in each way of seeing and at arm's length. */
export type Separation = Readonly<Record<Seeing | 'armsLength', number>> & { readonly lightness: number };

/** @param widthsMm how wide the narrowest stretch of each colour is where they touch */
export function separation(a: string, b: string, widthsMm: readonly [number, number]): Separation {
  const apart = (seeing: Seeing): number => deltaE(labOf(seenAs(a, seeing)), labOf(seenAs(b, seeing)));
  const [keptA, keptB] = widthsMm.map(keptAtArmsLength) as [number, number];
  const far = deltaE(labOf(mixed(a, b, (1 - keptA) / 2)), labOf(mixed(b, a, (1 - keptB) / 2)));
  return {
    ...(Object.fromEntries(SEEING.map((seeing) => [seeing, apart(seeing)])) as Record<Seeing, number>),
    armsLength: far,
    lightness: Math.abs(labOf(a).l - labOf(b).l),
  };
}
