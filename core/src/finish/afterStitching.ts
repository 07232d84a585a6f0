import { clothOf, comesOutInWater, markOf, type Cloth, type Mark } from '../materials/index.ts';
import type { PlanInput } from '../piece/index.ts';
import { removalActs, type RemovalAct } from '../transfer/index.ts';

/** A step by which a mark leaves and the work is made ready. */
export interface FinishingStep {
  readonly act: RemovalAct;
  readonly text: string;
  readonly caution: string | null;
}

const MAKER = 'The maker’s instructions come first.';
const IRON = 'An iron burns, and so does its steam: keep hands clear, never leave it standing on. ' + MAKER;

type Words = (mark: Mark, cloth: Cloth) => Omit<FinishingStep, 'act'>;

/** What is said of each act. */
const WORDS: Readonly<Record<RemovalAct, Words>> = {
  untack: () => ({
    text: 'Take every tack out and count them: as many as went in.',
    caution: 'Count needles and pins in, too.',
  }),
  tear: () => ({
    text: 'Tear the tissue away along the stitches, holding them down; tweezers fetch what is left.',
    caution: null,
  }),
  'rinse-cold': () => ({
    text: 'Rinse in cold water, moving it about, until no mark is left; once more than seems needed.',
    caution: `Before anything hot: heat sets this mark. ${MAKER}`,
  }),
  'rinse-warm': () => ({
    text: 'Lay it in warm water until the film is gone and the threads feel soft, then in fresh water again.',
    caution:
      'Strong reds, blues and blacks, and thread dyed by hand, may run: try a thread of each in warm water first.',
  }),
  wash: (_mark, cloth) => ({
    text: `Wash ${cloth.wash === 'hot' ? 'warm' : 'cool'} with a mild soap until the lines are gone.`,
    caution: 'Strong colours, and thread dyed by hand, may run: try a thread of each first.',
  }),
  check: (mark) => ({
    text: comesOutInWater(mark)
      ? 'Look at it wet against the light: what is left of the mark now stays.'
      : 'Look for lines that still show, and cover them with a stitch.',
    caution: null,
  }),
  dry: () => ({
    text: 'Roll it in a towel, never wring; lay it flat to dry, or stretch it damp on a board with the grain straight.',
    caution: null,
  }),
  heat: () => ({
    text: 'Pass hot air or an iron over the back until the lines are gone.',
    caution: `They may come back in the cold. ${IRON}`,
  }),
  press: (mark, cloth) => ({
    text: `Press face down on a folded towel, ${cloth.iron === 'hot' ? 'hot' : 'no more than warm'}${comesOutInWater(mark) ? ', while still a little damp' : ''}.`,
    caution: IRON,
  }),
};

/** How a mark comes off when all is stitched, in order with washing and ironing, for the cloth and way of a piece. */
export function stepsAfterStitching(piece: Pick<PlanInput, 'mark' | 'cloth'>): FinishingStep[] {
  const mark = markOf(piece.mark)!;
  const cloth = clothOf(piece.cloth.kind)!;
  return removalActs(mark, cloth).map((act) => ({ act, ...WORDS[act](mark, cloth) }));
}
