import { ellipseRing, polylineLength, type Polyline } from '../../geometry/index.ts';
import { ellipseRoundMm } from '../../materials/index.ts';
import {
  amount,
  CAUTIONS,
  edgedSize,
  hexOf,
  middleOfBox,
  plainLook,
  ringLine,
  sewingThread,
  TABLE,
  workEdge,
  workKnots,
  type EndPlan,
  type FinishContext,
} from '../context.ts';
import type { FinishMaterial, FinishStep } from '../kinds.ts';
import { rectangleRing } from '../outlines.ts';
import { knotPlaces, scallopsAround, scallopsRound } from '../scallops.ts';
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
/** Four yarns together are stiff to knit. */
const SECONDS_A_KNIT_STITCH = 6;
/** Stitches along the upper edge of a knitted fringe, which hold it together. */
const KEPT_STITCHES = 3;
/** Yarn of a knitted stitch for each mm that it is wide, mm. */
const YARN_A_MM = 3.4;

/** A whitework cloth: scallops in stepped buttonhole stitch, cut close after, and a fringe if one is wished. */
export function whitework(context: FinishContext): EndPlan {
  const { box, finish, cloth } = context;
  const [x, y] = middleOfBox(box);
  const [width, height] = edgedSize(context);
  const isRound = finish.clothShape !== 'rectangle';
  const scallops = (isRound ? scallopsRound : scallopsAround)(width, height, finish.scallopMm, x, y);
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
  const roundMm = isRound ? ellipseRoundMm(width / 2, height / 2) : 2 * (width + height);
  const fringe = fringeOf(context, roundMm, scallops.count);
  const knots = finish.knotted ? workKnots(context, knotPlaces(scallops), cloth.thicknessMm) : null;
  const isTooWide = finish.scallopMm > Math.min(width, height);
  const outside = ringLine(
    'mark',
    isRound ? ellipseRing(x, y, width / 2, height / 2) : rectangleRing(x, y, width, height),
  );
  const roomMm = 2 * (scallops.deepMm + OUTSIDE_MM);
  return {
    first: [
      {
        id: 'scallops',
        text: isRound ? say.drawRoundScallops(scallops.count) : say.drawScallops(scallops.across, scallops.upright),
        amounts: {
          scallops: scallops.count,
          across: scallops.across,
          upright: scallops.upright,
          widthMm: isRound ? roundMm / scallops.count : width / scallops.across,
          deepMm: scallops.deepMm,
          edgeMm,
          ...edge.amounts,
        },
        seconds: edge.seconds,
        caution: null,
      },
      ...(knots
        ? [
            {
              id: 'scallop-knots' as const,
              text: say.scallopKnots(scallops.count),
              amounts: knots.amounts,
              seconds: knots.seconds,
              caution: null,
            },
          ]
        : []),
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
    materials: [knots ? withMore(edge.material, knots.material) : edge.material, ...fringe.materials],
    templates: [
      {
        id: 'scallops',
        name: 'Scalloped edge',
        lines: [{ kind: 'cut', line: scallops.line }, outside],
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
    clothMm: [width + roomMm, height + roomMm],
    look: {
      ...plainLook([scallops.line.points], TABLE),
      edges: [edge, ...(knots ? [knots] : [])].map(({ pass }) => ({ pass, colour: hexOf(context, context.colour) })),
      lines: finish.fringe === 'none' ? [] : [{ kind: 'fringe', line: scallops.line, widthMm: finish.fringeMm }],
    },
  };
}

/** Cloth left outside the scallops until they are cut close, mm. */
const OUTSIDE_MM = 10;

/** Thread of one kind and colour for both. */
function withMore(one: FinishMaterial, other: FinishMaterial): FinishMaterial {
  const thread = one.thread && { ...one.thread, loads: one.thread.loads + (other.thread?.loads ?? 0) };
  return { ...one, quantity: one.quantity + other.quantity, thread };
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
      const { rowsIn10Cm, stitchesIn10Cm } = finish;
      const rows = Math.round((longMm / 100) * rowsIn10Cm);
      const loops = Math.round(rows / 2);
      // A dropped stitch gives back its yarn: two rows of them hang down as one loop, as deep as the yarn of a row.
      const stitchMm = (YARN_A_MM * 100) / stitchesIn10Cm;
      const dropped = Math.max(1, Math.round(deepMm / stitchMm));
      const castOn = KEPT_STITCHES + dropped;
      const yarnMm = rows * castOn * stitchMm * LOOPED.yarns;
      const fringe = { castOn, dropped, rows, rowsIn10Cm, yarns: LOOPED.yarns };
      const on = sewOn(longMm / loops, 'Sew the loops of its upper edge one by one through the buttonhole edge.', {
        loops,
      });
      return {
        steps: [
          {
            id: 'fringe',
            text: [say.castOn(fringe), say.knitRows(fringe)].join(' '),
            amounts: { castOn, dropped, rows, longMm, deepMm, yarnMm },
            seconds: rows * castOn * SECONDS_A_KNIT_STITCH,
            caution: null,
          },
          on,
        ],
        materials: [
          amount('yarn', 'Yarn for the fringe', yarnMm, 'mm'),
          amount('knitting-needles', 'Metal knitting needles of about 3 mm', 2, 'pieces'),
          sewingThread(on.amounts['threadMm']!),
        ],
      };
    }
  }
}
