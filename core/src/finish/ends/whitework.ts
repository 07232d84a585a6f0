import { polylineLength, type Polyline } from '../../geometry/index.ts';
import {
  amount,
  CAUTIONS,
  hexOf,
  USUAL_LENGTHS,
  middleOfBox,
  plainLook,
  ringLine,
  sewingThread,
  TABLE,
  workEdge,
  type EndPlan,
  type FinishContext,
} from '../context.ts';
import type { FinishStep } from '../kinds.ts';
import { rectangleRing } from '../outlines.ts';
import { scallopsAround } from '../scallops.ts';
import { sewn, SEWN_ENDS_MM, whippedAlong } from '../sewing.ts';
import * as say from '../words.ts';

/** Stepped buttonhole: two short, two long, mm. */
const EDGE = { shortMm: 4, longerMm: 2, each: 2 } as const;
/** A fringe is longer than the edge that it is sewn to, so that it turns the corners. */
const EASED = 1.1;
/** Looped fringe: loops to a scallop, strands of yarn together, and what they lose in their knots. */
const LOOPED = { loops: 8, yarns: 4, knots: 1.15 } as const;
/** Knitted fringe: sewn on loop by loop, each over the edge. */
const SEWN_LOOP_MM = 6;
const MINUTES = { cut: 25, bought: 20 } as const;
const SECONDS_A_LOOP = 25;
const SECONDS_A_ROW = 30;
/** Yarn of a knitted row for each mm that it is deep, mm. */
const YARN_A_MM = 3.4;

/** A whitework cloth: scallops in stepped buttonhole stitch, cut close after, and a fringe if one is wished. */
export function whitework(context: FinishContext): EndPlan {
  const { box, finish, cloth } = context;
  const [x, y] = middleOfBox(box);
  const margin = finish.marginMm ?? USUAL_LENGTHS.whitework.marginMm;
  const [width, height] = finish.sizeMm ?? [
    Math.ceil(box.maxX - box.minX + 2 * margin),
    Math.ceil(box.maxY - box.minY + 2 * margin),
  ];
  const scallops = scallopsAround(width, height, finish.scallopMm, x, y);
  const edge = workEdge(
    context,
    [scallops.line],
    'buttonhole',
    (laidMm) => ({
      heightMm: EDGE.shortMm,
      stepMm: EDGE.longerMm,
      stepCount: EDGE.each,
      pitchMm: Math.max(0.3, laidMm),
    }),
    cloth.thicknessMm,
  );
  const edgeMm = polylineLength(scallops.line);
  const fringe = fringeOf(context, 2 * (width + height), scallops.count);
  const isTooWide = finish.scallopMm > Math.min(width, height);
  return {
    first: [
      {
        id: 'scallops',
        text: say.drawScallops(scallops.across, scallops.upright),
        amounts: {
          scallops: scallops.count,
          across: scallops.across,
          upright: scallops.upright,
          widthMm: width / scallops.across,
          deepMm: scallops.deepMm,
          edgeMm,
          ...edge.amounts,
        },
        seconds: edge.seconds,
        caution: null,
      },
    ],
    steps: [
      {
        id: 'cut-close',
        text: 'Cut the cloth away close to the loops, never into them. Do it only after the edge is worked and washed.',
        amounts: { edgeMm },
        seconds: 60 * MINUTES.cut + edgeMm / 10,
        caution: CAUTIONS.scissors,
      },
      ...fringe.steps,
    ],
    materials: [edge.material, ...fringe.materials],
    templates: [
      {
        id: 'scallops',
        name: 'Scalloped edge',
        lines: [{ kind: 'cut', line: scallops.line }, ringLine('mark', rectangleRing(x, y, width, height))],
      },
    ],
    problems: isTooWide
      ? [
          {
            id: 'scallop-too-wide',
            stops: false,
            text: say.wideScallops(finish.scallopMm, Math.min(width, height)),
          },
        ]
      : [],
    look: {
      ...plainLook([scallops.line.points], TABLE),
      edges: [{ pass: edge.pass, colour: hexOf(context, context.colour) }],
      lines: finish.fringe === 'none' ? [] : [{ kind: 'fringe', line: scallops.line, widthMm: finish.fringeMm }],
    },
  };
}

function fringeOf(
  { finish, cloth }: FinishContext,
  edgeMm: number,
  scallops: number,
): { steps: FinishStep[]; materials: EndPlan['materials'] } {
  const { fringeMm: deepMm } = finish;
  const longMm = edgeMm * EASED;
  const line: Polyline = { points: Float64Array.of(0, 0, longMm, 0), closed: false };
  const sewOn = (everyMm: number, text: string, more: Record<string, number>): FinishStep => {
    const whipped = sewn(whippedAlong(line, everyMm, SEWN_LOOP_MM), cloth.thicknessMm, 2);
    const threadMm = whipped.threadMm + SEWN_ENDS_MM;
    return {
      id: 'sew-fringe',
      text,
      amounts: { ...more, stitches: whipped.stitches, threadMm },
      seconds: whipped.seconds,
      caution: 'Sew through the edge, never cut into it.',
    };
  };
  switch (finish.fringe) {
    case 'none':
      return { steps: [], materials: [] };
    case 'bought': {
      const on = sewOn(5, 'Sew the fringe on behind the edge, easing it round the corners.', { longMm });
      return {
        steps: [on],
        materials: [amount('fringe', 'Fringe', longMm, 'mm'), sewingThread(on.amounts['threadMm']!)],
      };
    }
    case 'looped': {
      const loops = scallops * LOOPED.loops;
      const yarnMm = 2 * deepMm * LOOPED.yarns * loops * LOOPED.knots;
      return {
        steps: [
          {
            id: 'fringe',
            text: say.loopFringe(LOOPED.loops, LOOPED.yarns, deepMm),
            amounts: { loops, loopsAScallop: LOOPED.loops, yarns: LOOPED.yarns, yarnMm, deepMm },
            seconds: loops * SECONDS_A_LOOP,
            caution: 'Pull the loops through between the stitches; never cut into the edge.',
          },
        ],
        materials: [amount('yarn', 'Yarn for the fringe', yarnMm, 'mm')],
      };
    }
    case 'knitted': {
      const rows = Math.round((longMm / 100) * finish.rowsIn10Cm);
      const loops = Math.round(rows / 2);
      const yarnMm = rows * deepMm * YARN_A_MM * LOOPED.yarns;
      const on = sewOn(longMm / loops, 'Sew the loops of its upper edge one by one through the buttonhole edge.', {
        loops,
      });
      return {
        steps: [
          {
            id: 'fringe',
            text: say.knitFringe(LOOPED.yarns, rows, finish.rowsIn10Cm),
            amounts: { rows, longMm, deepMm, yarnMm },
            seconds: rows * SECONDS_A_ROW,
            caution: null,
          },
          on,
        ],
        materials: [amount('yarn', 'Yarn for the fringe', yarnMm, 'mm'), sewingThread(on.amounts['threadMm']!)],
      };
    }
  }
}
