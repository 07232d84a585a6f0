import { hoopNeeds, outerHalvesMm, innerHalvesMm } from '../../materials/index.ts';
import { positionsOf } from '../../drawing/index.ts';
import {
  amount,
  CAUTIONS,
  middleOfBox,
  plainLook,
  ringLine,
  sewingThread,
  sheet,
  WALL,
  type EndPlan,
  type FinishContext,
} from '../context.ts';
import type { FinishStep } from '../kinds.ts';
import { ellipseRing } from '../../geometry/index.ts';
import { rectangleRing } from '../outlines.ts';
import { runningAlong, sewn, SEWN_ENDS_MM, whippedAlong } from '../sewing.ts';
import * as say from '../words.ts';

/** Gathering stitches run half-way between the ring and the trimmed edge, so long in front and behind, mm. */
const GATHER_STITCH_MM = 7;
/** The disc behind is smaller than the inside of the ring by this, and whipped on so far apart, mm. */
const DISC = { smallerMm: 4, whipMm: 5, biteMm: 3 } as const;
const LOOP_MM = 150;
const MINUTES = { bind: 25, trim: 6, draw: 4, loop: 4 } as const;

/** Framed in its hoop: the cloth trimmed and gathered behind, a disc whipped over it, a loop to hang it by. */
export function framed(context: FinishContext): EndPlan {
  const { piece, finish, cloth } = context;
  const { hoop } = piece;
  if (!hoop) {
    return {
      ...nothing(context),
      problems: [{ id: 'no-hoop', stops: true, text: 'No hoop is chosen. At Hoop, choose the one it will hang in.' }],
    };
  }
  const { trimMm, gatheringMm, tapeMm } = hoopNeeds(hoop);
  const [x, y] = positionsOf(piece)[0]!;
  const [a, b] = outerHalvesMm(hoop);
  const [innerA, innerB] = innerHalvesMm(hoop);
  const trim = ellipseRing(x, y, a + trimMm, b + trimMm);
  const gather = ellipseRing(x, y, a + trimMm / 2, b + trimMm / 2);
  const disc = ellipseRing(x, y, innerA - DISC.smallerMm / 2, innerB - DISC.smallerMm / 2);
  const gathering = sewn(runningAlong({ points: gather, closed: true }, GATHER_STITCH_MM), cloth.thicknessMm);
  const whipping = sewn(whippedAlong({ points: disc, closed: true }, DISC.whipMm, DISC.biteMm), 2 * cloth.thicknessMm);
  const gatherThreadMm = (finish.doubled ? 2 : 1) * gatheringMm;
  const hasDisc = finish.disc !== 'none';
  const whipThreadMm = whipping.threadMm + SEWN_ENDS_MM;
  const discStep: FinishStep = {
    id: 'disc',
    text: say.whipDisc(finish.disc, DISC.whipMm),
    amounts: {
      acrossMm: 2 * innerA - DISC.smallerMm,
      uprightMm: 2 * innerB - DISC.smallerMm,
      stitches: whipping.stitches,
      threadMm: whipThreadMm,
    },
    seconds: whipping.seconds,
    caution: CAUTIONS.pins,
  };
  return {
    steps: [
      {
        id: 'bind-ring',
        text: hoop.bound
          ? 'Bind or paint the outer ring and let it dry completely; then put the work back in, straight and drum-tight.'
          : 'If you don’t want the outer ring bare, paint, oil or bind it and let it dry completely; then put the work back in, straight and drum-tight.',
        amounts: hoop.bound ? { tapeMm: tapeMm / 2 } : {},
        seconds: 60 * MINUTES.bind,
        caution: CAUTIONS.glue,
      },
      {
        id: 'trim',
        text: say.trimRound(trimMm),
        amounts: { pastRingMm: trimMm },
        seconds: 60 * MINUTES.trim,
        caution: CAUTIONS.scissors,
      },
      {
        id: 'gather',
        text: say.gather(finish.doubled, GATHER_STITCH_MM),
        amounts: { stitches: gathering.stitches, stitchMm: GATHER_STITCH_MM, threadMm: gatherThreadMm },
        seconds: gathering.seconds + 60 * MINUTES.draw,
        caution: null,
      },
      ...(hasDisc ? [discStep] : []),
      {
        id: 'loop',
        text: 'Tie or sew a loop at the screw, and check that it hangs straight.',
        amounts: { loopMm: LOOP_MM },
        seconds: 60 * MINUTES.loop,
        caution: null,
      },
    ],
    materials: [
      ...(hasDisc ? [sewingThread(whipThreadMm)] : []),
      amount('gathering-thread', 'Strong thread for gathering', gatherThreadMm, 'mm'),
      ...(hasDisc
        ? [
            sheet(
              'disc',
              finish.disc === 'felt' ? 'Felt for the back' : 'Card for the back',
              [2 * innerA, 2 * innerB],
              {
                goods: finish.disc === 'felt' ? 'felt' : null,
              },
            ),
          ]
        : []),
      amount('loop', 'Cord or ribbon for hanging', LOOP_MM, 'mm'),
      ...(hoop.bound ? [amount('ring-tape', 'Tape for the outer ring', tapeMm / 2, 'mm')] : []),
    ],
    templates: [
      ...(hasDisc ? [{ id: 'disc', name: 'Back disc', lines: [ringLine('cut', disc)] }] : []),
      {
        id: 'trim',
        name: 'Trim and gathering line',
        lines: [ringLine('cut', trim), ringLine('stitch', gather)],
      },
    ],
    problems: [],
    clothMm: [2 * (a + trimMm), 2 * (b + trimMm)],
    look: {
      ...plainLook([ellipseRing(x, y, innerA, innerB)], WALL),
      isHooped: true,
      lines: [
        {
          kind: 'cord',
          line: { points: Float64Array.of(x - 6, y - b - 26, x, y - b - 44, x + 6, y - b - 26), closed: false },
          widthMm: 1.6,
        },
      ],
    },
  };
}

function nothing({ box }: FinishContext): Omit<EndPlan, 'problems'> {
  const form = [rectangleRing(...middleOfBox(box), box.maxX - box.minX, box.maxY - box.minY)];
  return { steps: [], materials: [], templates: [], look: plainLook(form, WALL) };
}
