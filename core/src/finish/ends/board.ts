import {
  amount,
  CAUTIONS,
  USUAL_LENGTHS,
  middleOfBox,
  plainLook,
  ringLine,
  sewingThread,
  sheet,
  WALL,
  type EndPlan,
  type FinishContext,
} from '../context.ts';
import { rectangleRing } from '../outlines.ts';
import { laced, sewn, SEWN_ENDS_MM } from '../sewing.ts';
import * as say from '../words.ts';

/** Cloth is turned over so far behind, and laced so far apart both ways, mm. */
const TURNED_MM = 50;
const LACE_EVERY_MM = 12;
/** Narrower boards leave no room between what is turned over from both sides, mm. */
const NARROWEST_MM = 2 * TURNED_MM + 10;
const MINUTES = { board: 15, pad: 10, lace: 10 } as const;

/** Mounted on a board: padded, the cloth turned over its edges and laced behind, there and back, both ways. */
export function mounted(context: FinishContext): EndPlan {
  const { box, cloth, finish } = context;
  const margin = finish.marginMm ?? USUAL_LENGTHS.board.marginMm;
  const [x, y] = middleOfBox(box);
  const [width, height] = finish.sizeMm ?? [box.maxX - box.minX + 2 * margin, box.maxY - box.minY + 2 * margin];
  const isNarrow = Math.min(width, height) < NARROWEST_MM;
  // On a small board less is turned over, so that there is a gap to lace across.
  const turnedMm = isNarrow ? Math.min(width, height) / 2 - 5 : TURNED_MM;
  const [upright, across] = [
    sewn(laced(height, width, turnedMm, LACE_EVERY_MM), cloth.thicknessMm),
    sewn(laced(width, height, turnedMm, LACE_EVERY_MM), cloth.thicknessMm),
  ];
  const threadMm = upright.threadMm + across.threadMm + 2 * SEWN_ENDS_MM;
  const cut: readonly [number, number] = [width + 2 * turnedMm, height + 2 * turnedMm];
  const board = rectangleRing(x, y, width, height);
  return {
    steps: [
      {
        id: 'board',
        text: 'Cut the board, and padding the same size; lay the padding on the board and the work over it, face up, with the grain straight.',
        amounts: { acrossMm: width, uprightMm: height },
        seconds: 60 * (MINUTES.board + MINUTES.pad),
        caution: CAUTIONS.blade,
      },
      {
        id: 'cut-out',
        text: say.turnOver(turnedMm),
        amounts: { acrossMm: cut[0], uprightMm: cut[1], turnedMm },
        seconds: 900,
        caution: CAUTIONS.pins,
      },
      {
        id: 'lace',
        text: say.lace(LACE_EVERY_MM),
        amounts: { threads: upright.stitches + across.stitches, everyMm: LACE_EVERY_MM, threadMm },
        seconds: upright.seconds + across.seconds + 60 * MINUTES.lace,
        caution: `Take the pins out of the edge and count them. ${CAUTIONS.pins}`,
      },
    ],
    materials: [
      sheet('board', 'Acid-free board', [width, height]),
      sheet('padding', 'Thin padding', [width, height]),
      amount('lacing-thread', 'Strong thread for lacing', threadMm, 'mm'),
      sewingThread(SEWN_ENDS_MM),
    ],
    templates: [
      {
        id: 'board',
        name: 'Board and cloth',
        lines: [ringLine('fold', board), ringLine('cut', rectangleRing(x, y, ...cut))],
      },
    ],
    problems: isNarrow
      ? [
          {
            id: 'board-too-small',
            stops: false,
            text: say.smallBoard(turnedMm),
          },
        ]
      : [],
    clothMm: cut,
    look: plainLook([board], WALL),
  };
}
