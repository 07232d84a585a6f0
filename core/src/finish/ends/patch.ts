import { polylineLength, regionArea, type Polyline } from '../../geometry/index.ts';
import { clothOf } from '../../materials/index.ts';
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
import { edgeLine, narrowBays, outerRings, patchOutline, sizeOf } from '../outlines.ts';
import { sewn, SEWN_ENDS_MM, sewnOn, together } from '../sewing.ts';
import * as say from '../words.ts';

/** What is laid behind, mm thick. */
const WEB_MM = 0.1;
/** Cloth left outside the edge until it is worked, and how wide beyond the outline web and felt are cut, mm. */
const ROUGH_MM = 10;
/** Each stitch goes through patch and cloth together, with a thimble: 8 to 10 minutes for sixteen through denim, s. */
const SEW_ON = { everyMm: 25, biteMm: 3, findSeconds: 30 } as const;
const MINUTES = { web: 10, backing: 8, sewnBacking: 12, cut: 12 } as const;
const LEAST_PITCH_MM = 0.3;

/** A patch: backed, edged through all its layers by the piece's own thread, cut close, sewn on. */
export function patch(context: FinishContext): EndPlan {
  const { finish, cloth } = context;
  const { form, islands, closedBays } = patchOutline(
    context,
    finish.borderMm,
    finish.islands === 'bridge',
    finish.cornerMm,
  );
  const outer = new Set(outerRings(form));
  const lines = form.map((ring): Polyline => edgeLine(ring, !outer.has(ring)));
  const felt = clothOf('felt');
  const throughMm = cloth.thicknessMm + WEB_MM + felt.thicknessMm;
  const isOvercast = finish.edge === 'overcast';
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
  const ontoMm = throughMm + clothOf(finish.onto).thicknessMm;
  const sewing = together(
    lines.map((line) => sewn(sewnOn(line, SEW_ON.everyMm, SEW_ON.biteMm), ontoMm, SEW_ON.findSeconds)),
  );
  const sewOnMm = sewing.threadMm + SEWN_ENDS_MM;
  const bays = narrowBays(form);
  const areaMm2 = regionArea(form);
  const isFusible = isFused(context);
  const steps: FinishStep[] = [
    {
      id: 'cut-out',
      text: say.roughCut(finish.borderMm, ROUGH_MM),
      amounts: { outlineMm, beyondMm: ROUGH_MM },
      seconds: 300,
      caution: CAUTIONS.scissors,
    },
    isFusible
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
        },
    {
      id: 'edge',
      text: say.workEdge({ isOvercast, isFusible, bays, strands: edge.pass.strands, borderMm: finish.borderMm }),
      amounts: { ...edge.amounts, outlineMm, heightMm: finish.borderMm, throughMm, bays },
      seconds: edge.seconds,
      caution: 'Use a thimble and short lengths: the needle goes through all the layers.',
    },
    {
      id: 'cut-close',
      text: 'Cut all layers close to the edge stitches, never into one. Do it only after the edge is worked.',
      amounts: { outlineMm },
      seconds: 60 * MINUTES.cut,
      caution: CAUTIONS.scissors,
    },
    {
      id: 'sew-on',
      text: say.sewOn(SEW_ON.everyMm),
      amounts: { stitches: sewing.stitches, everyMm: SEW_ON.everyMm, threadMm: sewOnMm },
      seconds: sewing.seconds,
      caution: CAUTIONS.pins,
    },
  ];
  return {
    steps,
    materials: [
      edge.material,
      sheet('felt', 'Felt for the back', plus(sizeOf(form), ROUGH_MM), { goods: 'felt' }),
      ...(isFusible ? [sheet('web', 'Fusible web', plus(sizeOf(form), ROUGH_MM), { goods: 'web' })] : []),
      sewingThread(sewOnMm),
    ],
    templates: [{ id: 'patch', name: 'Outline of the patch', lines: lines.map((line) => ({ kind: 'cut', line })) }],
    problems: problemsOf(context, islands, closedBays),
    clothMm: plus(sizeOf(form), ROUGH_MM),
    look: {
      ...plainLook(form, {
        kind: 'cloth',
        cloth: clothOf(finish.onto),
        colour: finish.onto === 'denim' ? '#33465f' : '#a89878',
      }),
      edges: [{ pass: edge.pass, colour: hexOf(context, context.colour) }],
    },
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
  return [...problems.filter((problem) => problem !== false), ...fusingProblems(context)];
}

const plus = ([width, height]: readonly [number, number], mm: number): [number, number] => [
  width + 2 * mm,
  height + 2 * mm,
];
