import { comesOutInWater, ellipseRoundMm, innerHalvesMm, markOf, type Cloth } from '../materials/index.ts';
import { getsWet, isInWater, runningColours, threadsOf } from '../transfer/index.ts';
import { stepsAfterStitching, type FinishingStep } from './afterStitching.ts';
import type { End } from '../piece/index.ts';
import { CAUTIONS, edgedSize, threadEnds, type FinishContext } from './context.ts';
import { isMade } from './endNames.ts';
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
  'tear-backing': 10,
  'trim-backing': 8,
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

const KEPT_DRY = 'Keep it dry: card warps. Dust it with a soft brush.';

/** How the finished thing is cared for, at what its weakest part bears. */
export function careWords(context: FinishContext): string {
  return context.end === 'card' ? KEPT_DRY : say.careLabel(weakestWash(context), context.cloth.iron === 'hot');
}

/** Ends that are washed before they are finished: loops and cut edges must have shrunk and settled. */
const WASHED: ReadonlySet<End> = new Set<End>(['whitework']);

/**
 * What is done with every piece first: looked over, tails in, what lies behind and the mark out (water before heat where heat sets it),
 * washed where the end asks for it, stretched damp where it is wished or nothing else takes the creases out, pressed.
 */
export function stepsBefore(context: FinishContext): { steps: FinishStep[]; problems: FinishProblem[] } {
  const { piece, plan, behind, finish, end } = context;
  const mark = markOf(piece.mark);
  const isWashable = weakestWash(context) !== 'no';
  const said = stepsAfterStitching(piece, behind, WASHED.has(end) && isWashable);
  const runs = runningColours(piece, plan);
  const isWet = said.some(({ act }) => isInWater(act));
  const problems: FinishProblem[] = [];
  if (getsWet(mark, behind) && !isWashable) {
    const text = comesOutInWater(mark) ? say.markNeedsWater(mark.inSentence) : say.backingNeedsWater(behind.inSentence);
    problems.push({ id: 'water-needed', stops: true, text });
  }
  const isLeftIn = end === 'framed' && finish.mounting === 'left-in';
  if (isLeftIn && isWet)
    problems.push({
      id: 'out-of-the-hoop',
      stops: false,
      text: say.outOfTheHoop(comesOutInWater(mark) ? mark.inSentence : behind.inSentence),
    });
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
  const isDried = isStretched(context, said, isWet);
  const stepFor = ({ act, text, caution }: FinishingStep): FinishStep => {
    const names = [...new Set(runs.map(({ name }) => name))];
    // Where nothing runs, water needs no caution but that it comes before heat.
    const own = isInWater(act) && act !== 'rinse-cold' && names.length === 0 ? null : caution;
    return {
      id: act,
      // Pinned out until it is dry, it is damp no longer.
      text: act === 'press' && isDried ? say.pressStep(context.cloth.iron === 'hot', false) : text,
      amounts: {},
      seconds: 60 * MINUTES[act],
      caution: isInWater(act) && names.length > 0 ? say.mayRun(own, names) : own,
    };
  };
  // What stays in its hoop is neither stretched nor pressed: the hoop holds it flat.
  if (isLeftIn && !isWet) {
    return { steps: [...steps, ...said.filter(({ act }) => act !== 'press').map(stepFor)], problems };
  }
  const stretch = isDried ? stretchSteps(context, isWet) : [];
  // A stretch takes the place of drying, or comes before the iron.
  const drying = said.findIndex(({ act }) => act === 'dry');
  const pressing = said.findIndex(({ act }) => act === 'press');
  const at = drying >= 0 ? drying : pressing >= 0 ? pressing : said.length;
  const after = stretch.length > 0 && drying >= 0 ? at + 1 : at;
  steps.push(...said.slice(0, at).map(stepFor), ...stretch, ...said.slice(after).map(stepFor));
  return { steps, problems };
}

/** Whether it is pinned out damp: as it was chosen, else where it got wet anyway or no iron may take the creases out. */
function isStretched(context: FinishContext, said: readonly FinishingStep[], isWet: boolean): boolean {
  const { finish, end } = context;
  // A garment, and what is hemmed already, is neither pinned nor stretched: it dries as it lies.
  if (weakestWash(context) === 'no' || isMade(end)) return false;
  if (finish.stretching !== 'as-needed') return finish.stretching === 'always';
  return isWet || said.every(({ act }) => act !== 'press');
}

/** What the pins of a damp stretch stand along: the cloth's own shape. Across and upright, mm. */
interface Stretched {
  readonly shape: 'rectangle' | 'circle' | 'oval';
  readonly acrossMm: number;
  readonly uprightMm: number;
}

function stretchedAlong(context: FinishContext): Stretched {
  const { piece, box, circle, finish, end } = context;
  if (end === 'whitework') {
    const [acrossMm, uprightMm] = edgedSize(context);
    const shape = finish.clothShape === 'round' ? 'circle' : finish.clothShape;
    return { shape, acrossMm, uprightMm };
  }
  if (end === 'framed' && piece.hoop) {
    const [a, b] = innerHalvesMm(piece.hoop);
    const roundMm = 2 * (circle.r + OUTSIDE_MM);
    return a === b
      ? { shape: 'circle', acrossMm: roundMm, uprightMm: roundMm }
      : { shape: 'oval', acrossMm: 2 * a, uprightMm: 2 * b };
  }
  return {
    shape: 'rectangle',
    acrossMm: box.maxX - box.minX + 2 * OUTSIDE_MM,
    uprightMm: box.maxY - box.minY + 2 * OUTSIDE_MM,
  };
}

/** A damp stretch along the cloth's own shape. */
function stretchSteps(context: FinishContext, isWet: boolean): FinishStep[] {
  const { shape, acrossMm, uprightMm } = stretchedAlong(context);
  const roundMm = shape === 'rectangle' ? 2 * (acrossMm + uprightMm) : ellipseRoundMm(acrossMm / 2, uprightMm / 2);
  const pins = Math.ceil(roundMm / PINS_MM);
  return [
    {
      id: 'stretch',
      text: say.pinOut(isWet, shape, pins, PINS_MM, [acrossMm, uprightMm]),
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
