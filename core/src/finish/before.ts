import { valueOf } from '../measure/index.ts';
import { comesOutInWater, ellipseRoundMm, markOf, type Cloth } from '../materials/index.ts';
import { removalActs, runningColours, threadsOf, type RemovalAct } from '../transfer/index.ts';
import { stepsAfterStitching } from './afterStitching.ts';
import { CAUTIONS, threadEnds, type FinishContext } from './context.ts';
import type { FinishProblem, FinishStep } from './kinds.ts';
import * as say from './words.ts';

/** Pins of a damp stretch stand so far apart, and so far outside the work, mm. */
const PINS_MM = 20;
const OUTSIDE_MM = 10;
const SECONDS_A_PIN = 6;
/** Most tails are in already, as each length is fastened off: this long each is looked at. */
const SECONDS_A_TAIL = 2;

/** Minutes that are spent on each of what every piece goes through. */
const MINUTES = {
  untack: 3,
  tear: 15,
  'rinse-cold': 10,
  'rinse-warm': 20,
  wash: 15,
  dry: 5,
  heat: 5,
  press: 8,
  check: 3,
} as const;

/** What the weakest of cloth, backing and threads bears. */
export function weakestWash({ cloth, plan }: FinishContext): Cloth['wash'] {
  const washes = [cloth, ...threadsOf(plan)].map(({ wash }) => wash);
  return washes.includes('no') ? 'no' : washes.includes('cool') ? 'cool' : 'hot';
}

const WASHING = {
  hot: 'Wash warm with mild soap; iron on the back.',
  cool: 'Hand-wash cool with mild soap, dry flat; iron on the back, warm at most.',
  no: 'Do not wash: the cloth, backing or thread can’t take it. Brush it or air it.',
} as const;

/** How the finished thing is cared for, at what its weakest part bears. */
export function careWords(context: FinishContext): string {
  return WASHING[weakestWash(context)];
}

/**
 * What is done with every piece first: looked over, tails in, the mark out (water before heat where heat sets it), stretched damp where
 * water may come near it, pressed.
 */
export function stepsBefore(context: FinishContext): { steps: FinishStep[]; problems: FinishProblem[] } {
  const { piece, plan, cloth } = context;
  const mark = markOf(piece.mark);
  const acts = removalActs(mark, cloth);
  const said = new Map(stepsAfterStitching(piece).map((step) => [step.act, step]));
  const runs = runningColours(piece, plan);
  const isWet = comesOutInWater(mark);
  const problems: FinishProblem[] = [];
  if (isWet && weakestWash(context) === 'no') {
    problems.push({
      id: 'water-needed',
      stops: true,
      text: say.markNeedsWater(mark.inSentence),
    });
  }
  const tails = threadEnds(plan);
  const steps: FinishStep[] = [
    {
      id: 'look-over',
      text: 'Look it over in good light, front and back: places you marked to look at again, gaps, loose loops, bare spots.',
      amounts: { parts: plan.parts.length },
      seconds: 300 + 5 * plan.parts.length,
      caution: null,
    },
    {
      id: 'tails',
      text: 'Check the back: weave in every tail that is still loose under the stitches and trim it; leave none longer than 5 mm.',
      amounts: { tails },
      seconds: 120 + SECONDS_A_TAIL * tails,
      caution: CAUTIONS.scissors,
    },
  ];
  const stretch = stretchSteps(context, isWet);
  const stepFor = (act: RemovalAct): FinishStep => {
    const { text, caution } = valueOf(said, act);
    const warns =
      (act === 'wash' || act === 'rinse-warm' || act === 'rinse-cold') && runs.length > 0
        ? say.mayRun(caution, [...new Set(runs.map(({ name }) => name))])
        : caution;
    return { id: act, text, amounts: {}, seconds: 60 * MINUTES[act], caution: warns };
  };
  // A stretch takes the place of drying, or comes before the iron.
  const dry = acts.indexOf('dry');
  const press = acts.indexOf('press');
  const at = dry >= 0 ? dry : press >= 0 ? press : acts.length;
  if (!stretch) steps.push(...acts.map(stepFor));
  else steps.push(...acts.slice(0, at).map(stepFor), ...stretch, ...acts.slice(dry >= 0 ? at + 1 : at).map(stepFor));
  return { steps, problems };
}

/** A damp stretch over a true rectangle or circle round the work; null where water would spoil it, and on a garment. */
function stretchSteps(context: FinishContext, isWet: boolean): FinishStep[] | null {
  const { piece, box, circle } = context;
  // A garment is neither pinned nor stretched: it dries as it lies.
  if (weakestWash(context) === 'no' || context.end === 'garment') return null;
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const isRound = piece.hoop !== null && 2 * circle.r < 1.15 * Math.min(width, height);
  const roundMm = isRound
    ? ellipseRoundMm(circle.r + OUTSIDE_MM, circle.r + OUTSIDE_MM)
    : 2 * (width + height) + 8 * OUTSIDE_MM;
  const pins = Math.ceil(roundMm / PINS_MM);
  return [
    {
      id: 'stretch',
      text: say.pinOut(isWet, isRound, pins, PINS_MM),
      amounts: { pins, pinsEveryMm: PINS_MM, roundMm },
      seconds: pins * SECONDS_A_PIN,
      caution: CAUTIONS.pins,
    },
    {
      id: 'pins-out',
      text: say.pinsOut(pins),
      amounts: { pins },
      seconds: (pins * SECONDS_A_PIN) / 2,
      caution: null,
    },
  ];
}
