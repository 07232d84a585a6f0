import { clothOf, comesOutInWater, markOf, type Cloth, type Mark, type Stabiliser } from '../materials/index.ts';
import type { PlanInput } from '../piece/index.ts';
import { isInWater, removalActs, type RemovalAct } from '../transfer/index.ts';
import * as say from './words.ts';

/** A step by which a mark leaves and the work is made ready. */
export interface FinishingStep {
  readonly act: RemovalAct;
  readonly text: string;
  readonly caution: string | null;
}

type Words = (mark: Mark, cloth: Cloth, isWet: boolean) => Omit<FinishingStep, 'act'>;

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
  'tear-backing': () => ({
    text: 'Turn it over, hold the stitches down with your thumb and tear the backing away from them, a little at a time.',
    caution: null,
  }),
  'trim-backing': () => ({
    text: say.trimBacking(BACKING_LEFT_MM),
    caution: 'Lift the backing away from the cloth before you cut: a snip in the cloth can’t be mended unseen.',
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
  wash: (mark, cloth) => ({
    text: say.washOut(cloth.wash === 'hot', mark.comesOutBy === 'washing'),
    caution: 'Strong colours, and thread dyed by hand, may run: try a thread of each first.',
  }),
  check: (mark) => ({
    text: comesOutInWater(mark)
      ? 'Hold it up to the light while it is wet: any mark you can still see will stay.'
      : 'Look for lines that still show, and cover each with a stitch.',
    caution: null,
  }),
  dry: () => ({
    text: 'Roll it in a towel, never wring it; lay it flat to dry, its grain straight.',
    caution: null,
  }),
  heat: () => ({
    text: 'Pass hot air or an iron over the back until the lines are gone.',
    caution: say.mayComeBack(say.IRON_BURNS),
  }),
  press: (_mark, cloth, isWet) => ({
    text: say.pressStep(cloth.iron === 'hot', isWet),
    caution: say.IRON_BURNS,
  }),
};

/** Backing that stays is cut to this beyond the stitches, mm. */
const BACKING_LEFT_MM = 8;

/**
 * How a mark and what lies behind come off when all is stitched, in order with washing and ironing.
 * @param isWashed whether the finish asks for a wash
 */
export function stepsAfterStitching(
  piece: Pick<PlanInput, 'mark' | 'cloth'>,
  behind: Stabiliser,
  isWashed = false,
): FinishingStep[] {
  const mark = markOf(piece.mark);
  const cloth = clothOf(piece.cloth.kind);
  const acts = removalActs(mark, cloth, behind, isWashed);
  const isWet = acts.some(isInWater);
  return acts.map((act) => ({ act, ...WORDS[act](mark, cloth, isWet) }));
}
