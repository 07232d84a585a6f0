import { stitchKind, withWhatTheyRestOn, type StitchId } from '../../stitches/index.ts';
import type { Block, GuideContext } from './blocks.ts';
import { workingDrawing } from './workingDrawing.ts';
import * as say from './words.ts';
import * as sayPaper from '../words.ts';

/** The working drawing of a stitch on paper, mm. */
const DRAWING_MM = { width: 62, height: 34 } as const;

/** The stitches that a guide teaches: all that are used, on the piece and along its edge, and all that they rest on. */
export function taughtStitches({ plan, finish }: Pick<GuideContext, 'plan' | 'finish'>): StitchId[] {
  const used = plan.order.map(({ depth, layer }) => plan.parts[depth]!.passes[layer]!);
  return withWhatTheyRestOn([...used, ...finish.look.edges.map(({ pass }) => pass)]);
}

/** Each stitch once, in working drawings for the hand, with what goes wrong; then how a thread is started and fastened off. */
export function stitchBlocks(context: GuideContext): Block[] {
  const { options, piece } = context;
  const taught = taughtStitches(context);
  if (taught.length === 0) return [];
  const knots = (['french', 'colonial'] as const).filter((knot) => taught.some((id) => id.startsWith(knot)));
  const hasBullions = taught.includes('bullion');
  const hasKnots = knots.length > 0;
  return [
    { type: 'heading', text: say.HEADINGS.thread },
    {
      type: 'list',
      items: [
        say.STARTS[piece.worker.start],
        hasBullions ? say.STOPS.bullions : hasKnots ? say.STOPS.knots : say.STOPS.plain,
        say.FASTEN_OFF,
        say.UNTWIST,
        ...knots.map((knot) => say.KNOTS[knot]),
      ],
      isNumbered: false,
    },
    { type: 'heading', text: say.HEADINGS.stitches },
    { type: 'paragraph', text: sayPaper.drawingKey(options.hand), tone: 'small' },
    ...taught.map((id): Block => {
      const { name, steps, start, end, faults } = stitchKind(id);
      const { width, height } = DRAWING_MM;
      return {
        type: 'stitch',
        title: name,
        drawing: {
          items: workingDrawing(id, options.hand, 0, 0, width, height),
          widthMm: width,
          heightMm: height,
        },
        steps,
        notes: [
          sayPaper.startWith(start),
          sayPaper.endWith(end),
          ...faults.map(({ fault, cure }) => say.faultAndCure(fault, cure)),
        ],
      };
    }),
  ];
}
