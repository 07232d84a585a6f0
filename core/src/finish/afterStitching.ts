import { clothOf, comesOutInWater, markOf, type Cloth, type Mark } from '../materials/index.ts';
import type { PlanInput } from '../piece/index.ts';
import { removalActs, type RemovalAct } from '../transfer/index.ts';
import * as say from './words.ts';

/** A step by which a mark leaves and the work is made ready. */
export interface FinishingStep {
  readonly act: RemovalAct;
  readonly text: string;
  readonly caution: string | null;
}

type Words = (mark: Mark, cloth: Cloth) => Omit<FinishingStep, 'act'>;

/** What is said of each act. */
const WORDS: Readonly<Record<RemovalAct, Words>> = {
  untack: () => ({
    text: 'Take out every tack and count them: the same number that went in.',
    caution: 'Count needles and pins back in, too.',
  }),
  tear: () => ({
    text: 'Tear the tissue away along the stitches, holding them down; pick out what is left with tweezers.',
    caution: null,
  }),
  'rinse-cold': () => ({
    text: 'Rinse in cold water, moving it about, until no mark is left; then rinse once more.',
    caution: say.beforeHeat(say.MAKER_FIRST),
  }),
  'rinse-warm': () => ({
    text: 'Lay it in warm water until the film is gone and the threads feel soft, then in fresh water again.',
    caution:
      'Strong reds, blues and blacks, and thread dyed by hand, may run: try a thread of each in warm water first.',
  }),
  wash: (_mark, cloth) => ({
    text: say.washOut(cloth.wash === 'hot'),
    caution: 'Strong colours, and thread dyed by hand, may run: try a thread of each first.',
  }),
  check: (mark) => ({
    text: comesOutInWater(mark)
      ? 'Hold it up to the light while it is wet: any mark you can still see will stay.'
      : 'Look for lines that still show, and cover each with a stitch.',
    caution: null,
  }),
  dry: () => ({
    text: 'Roll it in a towel, never wring it; lay it flat to dry, or stretch it damp on a board with the grain straight.',
    caution: null,
  }),
  heat: () => ({
    text: 'Pass hot air or an iron over the back until the lines are gone.',
    caution: say.mayComeBack(say.IRON_BURNS),
  }),
  press: (mark, cloth) => ({
    text: say.pressStep(cloth.iron === 'hot', comesOutInWater(mark)),
    caution: say.IRON_BURNS,
  }),
};

/** How a mark comes off when all is stitched, in order with washing and ironing, for the cloth and way of a piece. */
export function stepsAfterStitching(piece: Pick<PlanInput, 'mark' | 'cloth'>): FinishingStep[] {
  const mark = markOf(piece.mark);
  const cloth = clothOf(piece.cloth.kind);
  return removalActs(mark, cloth).map((act) => ({ act, ...WORDS[act](mark, cloth) }));
}
