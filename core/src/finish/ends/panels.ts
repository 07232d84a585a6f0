import { offset, polylineLength, regionArea, type Polyline } from '../../geometry/index.ts';
import { careWords } from '../before.ts';
import {
  CAUTIONS,
  fusingProblems,
  isFused,
  USUAL_LENGTHS,
  middleOfBox,
  plainLook,
  ringLine,
  sewingThread,
  sheet,
  threadEnds,
  TABLE,
  type EndPlan,
  type FinishContext,
} from '../context.ts';
import type { FinishStep, Template } from '../kinds.ts';
import { hemmedAbout, shirtAbout } from '../garmentShape.ts';
import { grown, outerRings, rectangleRing, sizeOf } from '../outlines.ts';
import { backStitched, sewn, SEWN_ENDS_MM, together, whippedAlong } from '../sewing.ts';
import * as say from '../words.ts';

const SEAM_STITCH_MM = 2.5;
/** Backing reaches so far beyond what is stitched, and is tacked on in stitches so long, mm. */
const BACKING = { beyondMm: 8, tackMm: 7, biteMm: 2, roundMm: 6 } as const;
/** The two halves of a cushion's back overlap by this, mm. */
const OVERLAP_MM = 100;
const SECONDS_A_KNOT = 12;

/** Every start and end secured: thread works loose on what is worn, washed or handled. */
function anchored({ plan }: FinishContext): FinishStep {
  const ends = threadEnds(plan);
  return {
    id: 'anchor-knots',
    text: 'Go from part to part and anchor every start and end there: a tiny stitch through the knot, and the tail woven in once more. Thread works loose on things that are worn or washed.',
    amounts: { ends },
    seconds: ends * SECONDS_A_KNOT,
    caution: null,
  };
}

/** A backing behind what is stitched, so that nothing scratches and nothing pulls. */
function backing(context: FinishContext): { steps: FinishStep[]; template: Template; materials: EndPlan['materials'] } {
  const { cloth } = context;
  const shape = outerRings(offset(grown(context, BACKING.beyondMm + BACKING.roundMm), -BACKING.roundMm));
  const lines = shape.map((ring): Polyline => ({ points: ring, closed: true }));
  const areaMm2 = regionArea(shape);
  const isFusible = isFused(context);
  const tacked = together(
    lines.map((line) => sewn(whippedAlong(line, BACKING.tackMm, BACKING.biteMm), cloth.thicknessMm)),
  );
  const threadMm = isFusible ? 0 : tacked.threadMm + SEWN_ENDS_MM;
  return {
    steps: [
      {
        id: isFusible ? 'web' : 'backing',
        text: isFusible ? say.fuseSoft(cloth.iron === 'hot') : say.sewBacking(BACKING.tackMm),
        amounts: { areaMm2, ...(isFusible ? {} : { stitches: tacked.stitches, everyMm: BACKING.tackMm, threadMm }) },
        seconds: isFusible ? 480 : tacked.seconds + 300,
        caution: isFusible ? CAUTIONS.iron : CAUTIONS.pins,
      },
    ],
    template: {
      id: 'backing',
      name: 'Backing',
      lines: lines.map((line) => ({ kind: 'cut', line })),
    },
    materials: [
      sheet('backing', isFusible ? 'Soft fusible backing' : 'Soft backing', sizeOf(shape), { goods: 'backing' }),
      ...(threadMm > 0 ? [sewingThread(threadMm)] : []),
    ],
  };
}

function care(context: FinishContext): FinishStep {
  return {
    id: 'care',
    text: say.careStep(careWords(context)),
    amounts: {},
    seconds: 180,
    caution: context.piece.use === 'worn' ? CAUTIONS.children : null,
  };
}

export function garment(context: FinishContext): EndPlan {
  const { behind, finish, box } = context;
  // What was fused or tacked behind before the first stitch stays, and is backing enough unless another was chosen.
  const isBacked = behind.leavesBy === 'trimming' && finish.backing === null;
  const { steps, template, materials } = isBacked ? { steps: [], template: null, materials: [] } : backing(context);
  return {
    anchors: [anchored(context)],
    steps: [...steps, care(context)],
    materials,
    templates: template ? [template] : [],
    problems: isBacked ? [] : fusingProblems(context),
    look: seamed(shirtAbout(box)),
  };
}

/** Something that was made before it was stitched on, on a table, with its seams. */
function seamed({ form, seams }: ReturnType<typeof shirtAbout>): EndPlan['look'] {
  const lines = seams.map((line) => ({ kind: 'seam' as const, line, widthMm: SEAM_WIDTH_MM }));
  return { ...plainLook(form, TABLE), lines };
}

const SEAM_WIDTH_MM = 1.1;

/** Already hemmed: pressed, and done. */
export function hemmed(context: FinishContext): EndPlan {
  return {
    anchors: [anchored(context)],
    steps: [care(context)],
    materials: [],
    templates: [],
    problems: [],
    look: seamed(hemmedAbout(context.worked, ...middleOfBox(context.box))),
  };
}

/** A cushion or flat bag: a front, and a back of two halves that overlap, with a seam all round. */
export function cushion(context: FinishContext): EndPlan {
  const { box, finish, cloth, worked } = context;
  const seamMm = finish.seamMm ?? USUAL_LENGTHS.cushion.seamMm;
  const margin = finish.marginMm ?? USUAL_LENGTHS.cushion.marginMm;
  const [x, y] = middleOfBox(box);
  const least: readonly [number, number] = [box.maxX - box.minX, box.maxY - box.minY];
  const [width, height] = finish.sizeMm ?? [least[0] + 2 * margin, least[1] + 2 * margin];
  const front = rectangleRing(x, y, width, height);
  const cut: readonly [number, number] = [width + 2 * seamMm, height + 2 * seamMm];
  const half: readonly [number, number] = [width + 2 * seamMm, height / 2 + OVERLAP_MM / 2 + seamMm + 2 * seamMm];
  const edge: Polyline = { points: front, closed: true };
  const seam = sewn(backStitched(edge, SEAM_STITCH_MM), 2 * cloth.thicknessMm);
  const threadMm = seam.threadMm + SEWN_ENDS_MM;
  const { steps, template, materials } = backing(context);
  const isTooSmall = width < least[0] || height < least[1];
  const round = outerRings(offset(offset([front], -18), 18));
  return {
    anchors: [anchored(context)],
    steps: [
      ...steps,
      {
        id: 'panels',
        text: say.cutPanels(cut, half),
        amounts: { acrossMm: cut[0], uprightMm: cut[1], backUprightMm: half[1], seamMm },
        seconds: 1500,
        caution: CAUTIONS.scissors,
      },
      {
        id: 'seam',
        text: say.joinBack(OVERLAP_MM, seamMm),
        amounts: { seamLineMm: polylineLength(edge), stitches: seam.stitches, threadMm },
        seconds: seam.seconds,
        caution: CAUTIONS.pins,
      },
      care(context),
    ],
    materials: [
      ...materials.filter(({ id }) => id !== 'sewing-thread'),
      sheet('back-half', 'Cloth for the back, two halves', half, { quantity: 2 }),
      sewingThread(threadMm + materials.reduce((sum, one) => sum + (one.id === 'sewing-thread' ? one.quantity : 0), 0)),
    ],
    templates: [
      template,
      {
        id: 'panel',
        name: 'Front panel',
        lines: [
          ringLine('cut', rectangleRing(x, y, ...cut)),
          { kind: 'seam', line: edge },
          ...outerRings(worked).map((ring) => ringLine('mark', ring)),
        ],
      },
    ],
    problems: [
      ...fusingProblems(context),
      ...(isTooSmall
        ? [
            {
              id: 'panel-too-small' as const,
              stops: true,
              text: say.panelTooSmall([width, height], least),
            },
          ]
        : []),
    ],
    clothMm: cut,
    look: plainLook(round, TABLE),
  };
}
