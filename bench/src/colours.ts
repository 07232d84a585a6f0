import { USUAL_FACTORS } from '@junctura/core/work';
import { drawNeeds } from '@junctura/core/thread';
import { coloursOfPicture, deltaE, labOf, nearestColours } from '@junctura/core/colour';
import { Planner } from '@junctura/core/advice';
import { THRUMWICK } from '@junctura/core/materials';
import { seededRandom } from '@junctura/core/measure';
import type { Piece } from '@junctura/core/piece';
import { medianMs } from './median.ts';
import { photograph } from './intake.ts';

const [COLOURS, SHADES] = [40, 500];

/** Matching colours to shades against the bare loop over the formula. */
export function benchMatching(): string[] {
  const random = seededRandom(2);
  const some = () => {
    const hex = `#${Math.floor(random.next() * 0xffffff)
      .toString(16)
      .padStart(6, '0')}`;
    return { hex, lab: labOf(hex) };
  };
  const colours = Array.from({ length: COLOURS }, some);
  const shades = Array.from({ length: SHADES }, some);
  let sink = 0;
  const loop = medianMs(() => {
    for (const colour of colours) for (const shade of shades) sink += deltaE(colour.lab, shade.lab);
  }, 15);
  const match = medianMs(() => {
    for (const colour of colours) sink += nearestColours(colour.lab, shades, 4)[0]!.difference;
  }, 15);
  if (!Number.isFinite(sink)) throw new Error('a difference is not a number');
  return [`matching ${COLOURS} colours to ${SHADES} shades / bare loop over the formula: ${(match / loop).toFixed(2)}`];
}

/** One pass of k-means over every pixel, in typed arrays: the floor below which no palette by k-means comes. */
function onePass(rgba: Uint8ClampedArray, centres: Float64Array): Float64Array {
  const count = centres.length / 3;
  const sums = new Float64Array(count * 4);
  for (let i = 0; i < rgba.length; i += 4) {
    const r = rgba[i]!;
    const g = rgba[i + 1]!;
    const b = rgba[i + 2]!;
    let best = 0;
    let least = Infinity;
    for (let k = 0; k < count; k++) {
      const dr = r - centres[3 * k]!;
      const dg = g - centres[3 * k + 1]!;
      const db = b - centres[3 * k + 2]!;
      const distance = dr * dr + dg * dg + db * db;
      if (distance < least) [best, least] = [k, distance];
    }
    sums[4 * best]! += r;
    sums[4 * best + 1]! += g;
    sums[4 * best + 2]! += b;
    sums[4 * best + 3]! += 1;
  }
  return sums;
}

/** A palette of a photograph against one full pass of k-means. */
export function benchPalette(): string[] {
  const picture = photograph();
  const wanted = 24;
  const centres = Float64Array.from({ length: wanted * 3 }, (_, i) => (i * 89) % 256);
  let sink = 0;
  const pass = medianMs(() => (sink += onePass(picture.rgba, centres)[3]!), 3);
  const palette = medianMs(() => (sink += coloursOfPicture(picture, wanted).length), 3);
  if (sink === 0) throw new Error('no palette was taken');
  return [
    `a palette of ${wanted} of a 12 megapixel picture / one full pass of k-means: ${(palette / pass).toFixed(2)}`,
  ];
}

const RUNS = 10_000;

/** Working a piece ten thousand times by chance against planning it once. */
export function benchOdds(piece: Piece): string[] {
  const { plan } = new Planner().plan(piece, USUAL_FACTORS);
  let sink = THRUMWICK.shades.length;
  const loads = plan.colours.map((need) => need.loads);
  const odds = medianMs(() => (sink += drawNeeds(loads, RUNS, plan.spread)[0]![0]!), 7);
  const one = medianMs(() => (sink += new Planner().plan(piece, USUAL_FACTORS).plan.totals.stitches), 7);
  if (!Number.isFinite(sink)) throw new Error('a draw is not a number');
  return [`working ${piece.name} ${RUNS} times by chance / one plan: ${(odds / one).toFixed(2)}`];
}
