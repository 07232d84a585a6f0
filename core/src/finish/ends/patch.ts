import { polylineLength, regionArea, type Polyline } from '../../geometry/index.ts';
import { clothOf, type Cloth } from '../../materials/index.ts';
import {
  CAUTIONS,
  fusingProblems,
  hexOf,
  isFused,
  plainLook,
  sewingThread,
  sheet,
  workEdge,
  type EndPlan,
  type FinishContext,
} from '../context.ts';
import type { FinishProblem, FinishStep } from '../kinds.ts';
import { edgeLine, outerRings, patchOutline, sizeOf, tightTurns } from '../outlines.ts';
import { sewn, SEWN_ENDS_MM, sewnOn, together } from '../sewing.ts';
import * as say from '../words.ts';

/** What is laid behind, mm thick. */
const WEB_MM = 0.1;
/** Cloth left outside the edge until it is worked, and how wide beyond the outline web and felt are cut, mm. */
const ROUGH_MM = 10;
/** Each stitch goes through patch and cloth together, with a thimble: 8 to 10 minutes for sixteen through denim, s. */
const SEW_ON = { everyMm: 25, biteMm: 3, findSeconds: 30 } as const;
const MINUTES = { web: 10, backing: 8, sewnBacking: 12, cut: 12, peel: 3, ironOn: 6 } as const;
const LEAST_PITCH_MM = 0.3;

/** A patch: backed, edged through all its layers by the piece's own thread, cut close or cut first, sewn or ironed on. */
export function patch(context: FinishContext): EndPlan {
  const { finish, cloth, drawn } = context;
  const { form, islands, closedBays } =
    drawn && finish.shape !== 'outline'
      ? { form: [drawn], islands: 1, closedBays: 0 }
      : patchOutline(context, finish.borderMm, finish.islands === 'bridge', finish.cornerMm);
  const outer = new Set(outerRings(form));
  const lines = form.map((ring): Polyline => edgeLine(ring, !outer.has(ring)));
  const onto = clothOf(finish.onto);
  const isIroned = finish.attached === 'ironed' && onto.iron === 'hot' && cloth.iron === 'hot';
  const felt = clothOf('felt');
  const throughMm = cloth.thicknessMm + WEB_MM + (isIroned ? 0 : felt.thicknessMm);
  const isOvercast = finish.edge === 'overcast';
  const isCutFirst = finish.edgeOrder === 'after-cutting';
  // Both stitches lie thread by thread: the pitch is the width of the thread as it lies.
  const edge = workEdge(
    context,
    lines,
    finish.edge,
    (laidMm) => ({
      heightMm: finish.borderMm,
      pitchMm: Math.max(LEAST_PITCH_MM, laidMm),
      ...(isOvercast ? { side: 'inside' } : {}),
    }),
    throughMm,
  );
  const outlineMm = lines.reduce((sum, line) => sum + polylineLength(line), 0);
  const ontoMm = throughMm + onto.thicknessMm;
  const { bays, corners } = tightTurns(lines);
  const areaMm2 = regionArea(form);
  const isFusible = isIroned || isFused(context);
  const roughCut: FinishStep = {
    id: 'cut-out',
    text: isCutFirst ? say.cutExactly(finish.borderMm) : say.roughCut(finish.borderMm, ROUGH_MM),
    amounts: { outlineMm, beyondMm: isCutFirst ? 0 : ROUGH_MM },
    seconds: isCutFirst ? 60 * MINUTES.cut : 300,
    caution: CAUTIONS.scissors,
  };
  const backed: FinishStep = isIroned
    ? {
        id: 'web',
        text: 'Iron fusible web onto the back, as its maker’s sheet says, and leave its paper on: it keeps the edge firm while you work it.',
        amounts: { areaMm2 },
        seconds: 60 * MINUTES.web,
        caution: CAUTIONS.iron,
      }
    : isFusible
      ? {
          id: 'web',
          text: 'Iron fusible web onto the back, let it cool, peel off the paper, and press felt onto it through a cloth: a hot iron flattens felt. It can’t be removed.',
          amounts: { areaMm2 },
          seconds: 60 * (MINUTES.web + MINUTES.backing),
          caution: CAUTIONS.iron,
        }
      : {
          id: 'backing',
          text: 'Pin felt behind the work and tack it along the outline.',
          amounts: { areaMm2 },
          seconds: 60 * MINUTES.sewnBacking,
          caution: CAUTIONS.pins,
        };
  const edged: FinishStep = {
    id: 'edge',
    text: say.workEdge({
      isOvercast,
      layers: isIroned ? 'web' : isFusible ? 'web-and-felt' : 'felt',
      isCut: isCutFirst,
      bays,
      corners,
      strands: edge.pass.strands,
      borderMm: finish.borderMm,
    }),
    amounts: { ...edge.amounts, outlineMm, heightMm: finish.borderMm, throughMm, bays, corners },
    seconds: edge.seconds,
    caution: 'Use a thimble and short lengths: the needle goes through all the layers.',
  };
  const cutClose: FinishStep = {
    id: 'cut-close',
    text: 'Cut all layers close to the edge stitches, never into one, the tips of the corners a little round. Do it only after the edge is worked.',
    amounts: { outlineMm },
    seconds: 60 * MINUTES.cut,
    caution: CAUTIONS.scissors,
  };
  const on = isIroned ? ironedOn(onto, Math.max(LEAST_HELD, corners), ontoMm) : sewnOnto(lines, ontoMm);
  const threadMm = on.threadMm + SEWN_ENDS_MM;
  return {
    // What is cut first is backed before: both are cut along one line.
    steps: [...(isCutFirst ? [backed, roughCut, edged] : [roughCut, backed, edged, cutClose]), ...on.steps],
    materials: [
      edge.material,
      ...(isIroned ? [] : [sheet('felt', 'Felt for the back', plus(sizeOf(form), ROUGH_MM), { goods: 'felt' })]),
      ...(isFusible ? [sheet('web', 'Fusible web', plus(sizeOf(form), ROUGH_MM), { goods: 'web' })] : []),
      sewingThread(threadMm),
    ],
    templates: [{ id: 'patch', name: 'Outline of the patch', lines: lines.map((line) => ({ kind: 'cut', line })) }],
    problems: [
      ...problemsOf(context, islands, closedBays),
      ...(finish.attached === 'ironed' && !isIroned
        ? [
            {
              id: 'no-iron' as const,
              stops: false,
              text: say.notIroned((onto.iron === 'hot' ? cloth : onto).inSentence),
            },
          ]
        : []),
    ],
    clothMm: plus(sizeOf(form), ROUGH_MM),
    look: {
      ...plainLook(form, {
        kind: 'cloth',
        cloth: onto,
        colour: finish.onto === 'denim' ? '#33465f' : '#a89878',
      }),
      edges: [{ pass: edge.pass, colour: hexOf(context, context.colour) }],
    },
  };
}

/** How a patch gets onto its cloth, with the sewing thread that it takes. */
interface PutOn {
  readonly steps: readonly FinishStep[];
  readonly threadMm: number;
}

function sewnOnto(lines: readonly Polyline[], ontoMm: number): PutOn {
  const sewing = together(
    lines.map((line) => sewn(sewnOn(line, SEW_ON.everyMm, SEW_ON.biteMm), ontoMm, SEW_ON.findSeconds)),
  );
  const step: FinishStep = {
    id: 'sew-on',
    text: say.sewOn(SEW_ON.everyMm),
    amounts: { stitches: sewing.stitches, everyMm: SEW_ON.everyMm, threadMm: sewing.threadMm + SEWN_ENDS_MM },
    seconds: sewing.seconds,
    caution: CAUTIONS.pins,
  };
  return { steps: [step], threadMm: sewing.threadMm };
}

/** A patch without corners is held at its four sides. */
const LEAST_HELD = 4;

/** The paper off, pressed from the inside, held at its corners: each by a stitch over the edge and one beside it. */
function ironedOn({ inSentence }: Cloth, corners: number, ontoMm: number): PutOn {
  const line: Polyline = { points: Float64Array.of(0, 0, corners * SEW_ON.everyMm, 0), closed: false };
  const held = sewn(sewnOn(line, SEW_ON.everyMm, SEW_ON.biteMm), ontoMm, SEW_ON.findSeconds);
  return {
    steps: [
      {
        id: 'peel',
        text: 'Peel the paper off the back, starting at a corner; scratch it with a needle if it won’t start.',
        amounts: {},
        seconds: 60 * MINUTES.peel,
        caution: null,
      },
      {
        id: 'iron-on',
        text: say.ironOn(inSentence),
        amounts: {},
        seconds: 60 * MINUTES.ironOn,
        caution: CAUTIONS.iron,
      },
      {
        id: 'corners',
        text: say.holdCorners(held.stitches),
        amounts: { stitches: held.stitches, threadMm: held.threadMm + SEWN_ENDS_MM },
        seconds: held.seconds,
        caution: CAUTIONS.pins,
      },
    ],
    threadMm: held.threadMm,
  };
}

function problemsOf(context: FinishContext, islands: number, closedBays: number): FinishProblem[] {
  const problems: (FinishProblem | false)[] = [
    islands > 1 &&
      context.finish.islands === null && {
        id: 'two-islands',
        stops: true,
        text: say.islands(islands),
      },
    closedBays > 0 && {
      id: 'closed-bay',
      stops: false,
      text: say.closedInlets(closedBays),
    },
  ];
  // A patch that is ironed on has web whatever its backing.
  const fusing = context.finish.attached === 'ironed' ? [] : fusingProblems(context);
  return [...problems.filter((problem) => problem !== false), ...fusing];
}

const plus = ([width, height]: readonly [number, number], mm: number): [number, number] => [
  width + 2 * mm,
  height + 2 * mm,
];
