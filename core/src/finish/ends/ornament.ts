import { boxOf, offset, polylineLength, regionArea, placesOf } from '../../geometry/index.ts';
import {
  amount,
  CAUTIONS,
  USUAL_LENGTHS,
  plainLook,
  ringLine,
  sewingThread,
  sheet,
  WALL,
  type EndPlan,
  type FinishContext,
} from '../context.ts';
import { NOTCH, notchesOf, openingOn, outerRings, sizeOf } from '../outlines.ts';
import { ornamentOutline } from '../ornamentShape.ts';
import { puffedHeights, puffedVolumeMm3 } from '../puffed.ts';
import { backStitched, laddered, sewn, SEWN_ENDS_MM } from '../sewing.ts';
import * as say from '../words.ts';

const SEAM_STITCH_MM = 2.5;
const LADDER_STITCH_MM = 4;
const CORD_MM = 250;
/** Loose filling as it is stuffed, g in a mm³ (0.03 g/cm³). */
const STUFFING_G_MM3 = 0.03 / 1000;
const MINUTES = { cut: 10, turn: 8, stuff: 10, cord: 5 } as const;
const SECONDS_A_NOTCH = 4;
const SECONDS_A_GRAM = 40;

/** A stuffed ornament: two pieces sewn right sides together, turned, stuffed and closed, with a cord to hang it by. */
export function ornament(context: FinishContext): EndPlan {
  const { finish, circle, cloth, drawn } = context;
  const seamMm = finish.seamMm ?? USUAL_LENGTHS.ornament.seamMm;
  const margin = finish.marginMm ?? USUAL_LENGTHS.ornament.marginMm;
  const isDrawn = drawn !== null && (finish.shape === null || finish.shape === 'drawn');
  const shape = finish.shape === null || finish.shape === 'drawn' ? 'disc' : finish.shape;
  const form = isDrawn ? [drawn] : ornamentOutline(shape, context, circle, margin);
  const seam = form[0]!;
  const cut = outerRings(offset([seam], seamMm));
  const { opening, rest } = openingOn(seam, finish.openingMm);
  const notches = notchesOf(seam, seamMm);
  const seamSewn = sewn(backStitched(rest, SEAM_STITCH_MM), 2 * cloth.thicknessMm);
  const closing = sewn(laddered(polylineLength(opening), LADDER_STITCH_MM), cloth.thicknessMm);
  const heights = puffedHeights([seam]);
  const volumeMm3 = heights ? puffedVolumeMm3(heights) : 0;
  const grams = volumeMm3 * STUFFING_G_MM3;
  const seamThreadMm = seamSewn.threadMm + SEWN_ENDS_MM;
  const closeThreadMm = closing.threadMm + SEWN_ENDS_MM;
  const size = sizeOf(cut);
  const hang = highest(seam);
  return {
    steps: [
      {
        id: 'cut-out',
        text: say.cutFront(seamMm),
        amounts: { areaMm2: 2 * regionArea(cut), seamMm },
        seconds: 60 * MINUTES.cut,
        caution: CAUTIONS.scissors,
      },
      {
        id: 'seam',
        text: say.seamOpening(polylineLength(opening)),
        amounts: {
          seamLineMm: polylineLength(rest),
          openingMm: polylineLength(opening),
          stitches: seamSewn.stitches,
          threadMm: seamThreadMm,
        },
        seconds: seamSewn.seconds,
        caution: CAUTIONS.pins,
      },
      {
        id: 'notch',
        text:
          notches.length > 0
            ? say.notches(notches.length)
            : 'Trim the seam allowance a little; no curve is tight enough to need notches.',
        amounts: { notches: notches.length, everyMm: NOTCH.everyMm },
        seconds: notches.length * SECONDS_A_NOTCH + 30,
        caution: CAUTIONS.scissors,
      },
      {
        id: 'turn',
        text: 'Turn it right side out through the opening, and ease the seam out with something blunt.',
        amounts: {},
        seconds: 60 * MINUTES.turn,
        caution: null,
      },
      {
        id: 'stuff',
        text: say.stuff(grams),
        amounts: { volumeMm3, stuffingG: grams },
        seconds: 60 * MINUTES.stuff + grams * SECONDS_A_GRAM,
        caution: CAUTIONS.children,
      },
      {
        id: 'close',
        text: 'Turn in the edges of the opening and close it with ladder stitch.',
        amounts: { stitches: closing.stitches, threadMm: closeThreadMm },
        seconds: closing.seconds,
        caution: CAUTIONS.pins,
      },
      {
        id: 'cord',
        text: 'Sew a hanging cord into the top, and pull hard at it once to test it.',
        amounts: { cordMm: CORD_MM },
        seconds: 60 * MINUTES.cord,
        caution: CAUTIONS.children,
      },
    ],
    materials: [
      sheet('back', 'Cloth for the back', size),
      amount('stuffing', 'Filling', grams, 'g'),
      amount('cord', 'Hanging cord', CORD_MM, 'mm'),
      sewingThread(seamThreadMm + closeThreadMm),
    ],
    templates: [
      {
        id: 'ornament',
        name: 'Ornament, front and back',
        lines: [
          ...cut.map((ring) => ringLine('cut', ring)),
          { kind: 'seam', line: rest },
          { kind: 'fold', line: opening },
          ...notches.map((line) => ({ kind: 'mark' as const, line })),
        ],
      },
    ],
    problems: [],
    clothMm: size,
    look: {
      ...plainLook([seam], WALL),
      heights,
      lines: [
        {
          kind: 'cord',
          widthMm: 1.6,
          line: {
            points: Float64Array.of(hang[0] - 2, hang[1] + 1, hang[0], hang[1] - CORD_MM / 4, hang[0] + 2, hang[1] + 1),
            closed: false,
          },
        },
      ],
    },
  };
}

/** Where a thing hangs from: its highest place near its middle. */
function highest(ring: Float64Array): readonly [x: number, y: number] {
  const { minX, minY, maxX } = boxOf([ring])!;
  const middle = (minX + maxX) / 2;
  let best: readonly [number, number] = [middle, Infinity];
  for (const [x, y] of placesOf(ring)) {
    if (Math.abs(x - middle) < (maxX - minX) * 0.08 && y < best[1]) best = [x, y];
  }
  return best[1] < Infinity ? best : [middle, minY];
}
