import { coloursOfPicture, deltaE, labOf, type Lab, type PictureColour } from '../colour/index.ts';
import { shrunk, type PictureBelow } from '../drawing/index.ts';
import type { Region } from '../geometry/index.ts';
import { Memory } from '../measure/index.ts';
import { blur } from './blur.ts';
import { groundBelow, shareBeside } from './ground.ts';
import { lightnessOfCells } from './light.ts';

/** What speaks against painting from a picture as it is, with its figures. */
export type PictureFault =
  /** A thread is finer than a pixel. */
  | { readonly id: 'coarse'; readonly pxPerMm: number; readonly wantedPxPerMm: number }
  /** How wide its sharpest edges are on the cloth, mm. */
  | { readonly id: 'blurred'; readonly edgeMm: number }
  /** The share of it that is too dark, or too bright, to tell anything. */
  | { readonly id: 'dark' | 'bright'; readonly share: number }
  /** The share of it that is further from every thread than ten ΔE. */
  | { readonly id: 'out-of-reach'; readonly share: number; readonly hex: string }
  /** What should be white or grey is not. */
  | { readonly id: 'cast'; readonly hex: string }
  /** The share of the part that lies beside the picture. */
  | { readonly id: 'beside'; readonly share: number }
  /** Everything in it is of one colour. */
  | { readonly id: 'plain' };

/** What a picture comes to in thread, and what speaks against it. */
export interface PictureJudgement {
  /** The smallest thing that a thread can show, mm and pixels of the picture. */
  readonly detailMm: number;
  readonly detailPx: number;
  readonly faults: readonly PictureFault[];
}

/** What is smaller than three threads is a dot. */
const DETAIL_WIDTHS = 3;
const PX_TO_A_WIDTH = 1.2;
/** Edges softer than this many mm look out of focus in thread. */
const SOFT_MM = 2.2;
const DARK_L = 9;
const BRIGHT_L = 98;
const MUCH = 0.25;
const FAR = 10;
const OFF_WHITE = 9;

/**
 * Whether a picture will do for painting a region.
 * @param colours of what is painted
 * @param shades that can be had
 */
export function judgePicture(
  region: Region,
  below: PictureBelow,
  laidMm: number,
  colours: readonly PictureColour[],
  shades: readonly { readonly lab: Lab }[],
  memory = new Memory(),
): PictureJudgement | null {
  const ground = groundBelow(region, below, laidMm, memory);
  if (!ground) return null;
  const [a, b, c, d] = below.toPicture;
  const pxPerMm = Math.sqrt(Math.abs(a * d - b * c));
  const faults: PictureFault[] = [];
  const beside = shareBeside(region, below);
  if (beside > 0.02) faults.push({ id: 'beside', share: beside });
  const wantedPxPerMm = PX_TO_A_WIDTH / laidMm;
  if (pxPerMm < wantedPxPerMm) faults.push({ id: 'coarse', pxPerMm, wantedPxPerMm });
  const light = lightnessOfCells(ground.rgb);
  const spread = spreadOf(light);
  if (spread < 1) faults.push({ id: 'plain' });
  else {
    const edgeMm = softness(light, ground.columns, ground.rows) * ground.stepMm;
    if (edgeMm > SOFT_MM) faults.push({ id: 'blurred', edgeMm });
  }
  const share = (test: (l: number) => boolean): number =>
    light.reduce((sum, l) => sum + (test(l) ? 1 : 0), 0) / light.length;
  const dark = share((l) => l < DARK_L);
  const bright = share((l) => l > BRIGHT_L);
  if (dark > MUCH) faults.push({ id: 'dark', share: dark });
  if (bright > MUCH) faults.push({ id: 'bright', share: bright });
  faults.push(...reachOf(colours, shades), ...castOf(coloursOfPicture(shrunk(below.picture, CAST_PX), CAST_COLOURS)));
  const detailMm = DETAIL_WIDTHS * laidMm;
  return { detailMm, detailPx: detailMm * pxPerMm, faults };
}

function spreadOf(light: Float32Array): number {
  const mean = light.reduce((sum, l) => sum + l, 0) / light.length;
  return Math.sqrt(light.reduce((sum, l) => sum + (l - mean) ** 2, 0) / light.length);
}

/** How wide the steepest edges are, in cells: the whole range of lightness over its steepest change. */
function softness(light: Float32Array, columns: number, rows: number): number {
  const calm = light.slice();
  blur(calm, columns, rows, 1.5);
  const slopes: number[] = [];
  for (let row = 1; row < rows - 1; row += 2) {
    for (let column = 1; column < columns - 1; column += 2) {
      const at = row * columns + column;
      slopes.push(Math.hypot(calm[at + 1]! - calm[at - 1]!, calm[at + columns]! - calm[at - columns]!) / 2);
    }
  }
  slopes.sort((x, y) => x - y);
  const sorted = [...light].sort((x, y) => x - y);
  const range = sorted[Math.floor(0.98 * sorted.length)]! - sorted[Math.floor(0.02 * sorted.length)]!;
  return range / Math.max(1e-6, slopes[Math.floor(0.998 * slopes.length)] ?? 0);
}

/** How much of a picture no thread comes near, and of what colour the most of that is. */
function reachOf(colours: readonly PictureColour[], shades: readonly { readonly lab: Lab }[]): PictureFault[] {
  const far = colours.filter(({ hex }) => {
    const lab = labOf(hex);
    return shades.every((shade) => deltaE(lab, shade.lab) > FAR);
  });
  const share = far.reduce((sum, colour) => sum + colour.share, 0);
  return share > 0.05 ? [{ id: 'out-of-reach', share, hex: far[0]!.hex }] : [];
}

/** The light of a picture is told by all of it, seen small. */
const CAST_PX = 240;
const CAST_COLOURS = 48;

/** The lightest of a picture is most often white: where it is strongly tinted, the light was. */
function castOf(colours: readonly PictureColour[]): PictureFault[] {
  const light = colours
    .map(({ hex, share }) => ({ hex, share, lab: labOf(hex) }))
    .sort((a, b) => b.lab.l - a.lab.l)
    .filter(({ share }) => share > 0.002);
  const [lightest] = light;
  if (!lightest || lightest.lab.l < 60) return [];
  const mean = light.reduce((sum, { lab, share }) => ({ a: sum.a + lab.a * share, b: sum.b + lab.b * share }), {
    a: 0,
    b: 0,
  });
  const isTinted = Math.hypot(lightest.lab.a, lightest.lab.b) > OFF_WHITE && Math.hypot(mean.a, mean.b) > OFF_WHITE;
  const isSameWay = lightest.lab.a * mean.a + lightest.lab.b * mean.b > 0;
  return isTinted && isSameWay && lightest.lab.l > 75 ? [{ id: 'cast', hex: lightest.hex }] : [];
}
