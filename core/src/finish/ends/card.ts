import { regionPerimeter } from '../../geometry/index.ts';
import {
  amount,
  CAUTIONS,
  middleOfBox,
  plainLook,
  ringLine,
  sheet,
  TABLE,
  type EndPlan,
  type FinishContext,
} from '../context.ts';
import { rectangleRing } from '../outlines.ts';
import * as say from '../words.ts';

/** Card that is left round the design, and round a window, mm. */
const ROUND_MM = 8;
const FRAME_MM = 10;
/** Cloth behind a window is larger all round by this; an envelope by this than its card, mm. */
const HELD_MM = 10;
const ENVELOPE_MM = 6;
/** Cards as they are sold, folded: across and upright, mm. General sizes of paper. */
const SIZES: readonly (readonly [number, number])[] = [
  [105, 148],
  [148, 105],
  [120, 170],
  [170, 120],
  [135, 135],
  [148, 210],
  [210, 148],
  [210, 210],
];
const MINUTES = { fold: 5, window: 12, mount: 10 } as const;

/** A card: folded so that it holds the design, in a window or on its whole front. */
export function card(context: FinishContext): EndPlan {
  const { box, finish } = context;
  const [x, y] = middleOfBox(box);
  const design: readonly [number, number] = [box.maxX - box.minX, box.maxY - box.minY];
  const isWindow = finish.cardFace === 'window';
  const window: readonly [number, number] = [design[0] + 2 * ROUND_MM, design[1] + 2 * ROUND_MM];
  const least: readonly [number, number] = isWindow ? [window[0] + 2 * FRAME_MM, window[1] + 2 * FRAME_MM] : window;
  const known = SIZES.filter(([w, h]) => w >= least[0] && h >= least[1]);
  const smallest = known.reduce<readonly [number, number] | null>(
    (best, size) => (best && best[0] * best[1] <= size[0] * size[1] ? best : size),
    null,
  );
  const folded = finish.sizeMm ?? smallest ?? [Math.ceil(least[0] / 5) * 5, Math.ceil(least[1] / 5) * 5];
  const isTooSmall = folded[0] < least[0] || folded[1] < least[1];
  const face = isWindow ? window : folded;
  const opening = rectangleRing(x, y, ...face);
  const front = rectangleRing(x, y, ...folded);
  const panels = isWindow ? 3 : 2;
  const tapeMm = regionPerimeter([opening]);
  const cloth: readonly [number, number] = isWindow ? [window[0] + 2 * HELD_MM, window[1] + 2 * HELD_MM] : folded;
  return {
    steps: [
      {
        id: 'fold',
        text: say.foldCard(panels * folded[0], folded[1], panels),
        amounts: { acrossMm: panels * folded[0], uprightMm: folded[1], panels },
        seconds: 60 * MINUTES.fold,
        caution: CAUTIONS.blade,
      },
      ...(isWindow
        ? [
            {
              id: 'window' as const,
              text: say.cutWindow(window[0], window[1]),
              amounts: { acrossMm: window[0], uprightMm: window[1] },
              seconds: 60 * MINUTES.window,
              caution: CAUTIONS.blade,
            },
          ]
        : []),
      {
        id: 'mount',
        text: isWindow
          ? say.layUnderWindow(HELD_MM)
          : 'Cut the cloth as large as the front, fray or turn in its edge, and stick it on with tape all round.',
        amounts: { tapeMm, acrossMm: cloth[0], uprightMm: cloth[1] },
        seconds: 60 * MINUTES.mount,
        caution: CAUTIONS.glue,
      },
    ],
    materials: [
      sheet('card', 'Card', [panels * folded[0], folded[1]]),
      amount('card-tape', 'Double-sided tape', tapeMm, 'mm'),
      sheet('envelope', 'Envelope', [folded[0] + ENVELOPE_MM, folded[1] + ENVELOPE_MM]),
    ],
    templates: [
      {
        id: 'card',
        name: isWindow ? 'Front of the card with its window' : 'Front of the card',
        lines: [
          ringLine('cut', front),
          ...(isWindow ? [ringLine('cut', opening)] : []),
          ringLine('mark', rectangleRing(x, y, ...design)),
        ],
      },
    ],
    problems: isTooSmall
      ? [
          {
            id: 'card-too-small',
            stops: true,
            text: say.cardTooSmall(folded, ROUND_MM, least),
          },
        ]
      : [],
    look: {
      ...plainLook([opening], TABLE),
      frame: { form: [front, ...(isWindow ? [opening] : [])], colour: '#f4efe4' },
    },
  };
}
