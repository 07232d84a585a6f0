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
const MINUTES = { bind: 25, tighten: 4, trim: 6, draw: 4, loop: 4 } as const;

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
  const trimStep: FinishStep = {
    id: 'trim',
    text: say.trimRound(trimMm, finish.trimmed === 'after'),
    amounts: { pastRingMm: trimMm },
    seconds: 60 * MINUTES.trim,
    caution: CAUTIONS.scissors,
  };
  const gatherStep: FinishStep = {
    id: 'gather',
    text: say.gather(finish.doubled, GATHER_STITCH_MM, trimMm / 2),
    amounts: { stitches: gathering.stitches, stitchMm: GATHER_STITCH_MM, threadMm: gatherThreadMm },
    seconds: gathering.seconds + 60 * MINUTES.draw,
    caution: null,
  };
  const isLeftIn = finish.mounting === 'left-in';
  // What is left in its hoop is bound before the first stitch, or not at all.
  const boundMm = hoop.bound && !isLeftIn ? tapeMm / 2 : 0;
  return {
    steps: [
      isLeftIn ? TIGHTEN : dressRing(boundMm, cloth.stretches),
      ...(finish.trimmed === 'after' ? [gatherStep, trimStep] : [trimStep, gatherStep]),
      ...(hasDisc ? [discStep] : []),
      {
        id: 'loop',
        text: 'Tie or sew a loop at the screw, which stands at the top, and check that it hangs straight.',
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
      ...(boundMm > 0 ? [amount('ring-tape', 'Tape for the outer hoop', boundMm, 'mm')] : []),
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

const TIGHTEN: FinishStep = {
  id: 'tighten',
  text: 'Leave it in its hoop. Turn the screw to the top, in line with the grain, pull the cloth evenly once more all round, and tighten the screw by hand, then half a turn.',
  amounts: {},
  seconds: 60 * MINUTES.tighten,
  caution: null,
};

const dressRing = (tapeMm: number, isKnit: boolean): FinishStep => ({
  id: 'bind-ring',
  text: say.dressRing(tapeMm > 0, isKnit),
  amounts: tapeMm > 0 ? { tapeMm } : {},
  seconds: 60 * MINUTES.bind,
  caution: CAUTIONS.glue,
});

function nothing({ box }: FinishContext): Omit<EndPlan, 'problems'> {
  const form = [rectangleRing(...middleOfBox(box), box.maxX - box.minX, box.maxY - box.minY)];
  return { steps: [], materials: [], templates: [], look: plainLook(form, WALL) };
}
