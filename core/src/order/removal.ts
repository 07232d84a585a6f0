import { clothOf, comesOutInWater, markOf, type Cloth, type Mark } from '../materials/index.ts';
import type { Piece } from '../piece/index.ts';

export type RemovalAct = 'untack' | 'tear' | 'rinse-cold' | 'rinse-warm' | 'wash' | 'dry' | 'heat' | 'press' | 'check';

/** A step by which a mark leaves and the work is made ready. */
export interface RemovalStep {
  readonly act: RemovalAct;
  readonly text: string;
  readonly caution: string | null;
}

const MAKER = 'The maker’s instructions come first.';
const IRON = 'An iron burns, and so does its steam: keep hands clear, never leave it standing on. ' + MAKER;

/** How a mark comes off when all is stitched, in order with washing and ironing, for the cloth and way of a piece. */
export function removalSteps(piece: Piece): RemovalStep[] {
  const mark = markOf(piece.mark)!;
  const cloth = clothOf(piece.cloth.kind)!;
  const steps: RemovalStep[] = [];
  const add = (act: RemovalAct, text: string, caution: string | null = null): void =>
    void steps.push({ act, text, caution });
  if (mark.id === 'film')
    add('untack', 'Take every tack out and count them: as many as went in.', 'Count needles and pins in, too.');
  if (mark.comesOutBy === 'tearing')
    add('tear', 'Tear the tissue away along the stitches, holding them down; tweezers fetch what is left.');
  if (mark.comesOutBy === 'cold-water') {
    add(
      'rinse-cold',
      'Rinse in cold water, moving it about, until no mark is left; once more than seems needed.',
      `Before anything hot: heat sets this mark. ${MAKER}`,
    );
  }
  if (mark.comesOutBy === 'warm-water') {
    add(
      'rinse-warm',
      'Lie it in warm water until the film is gone and the threads feel soft, then in fresh water again.',
      'Strong reds, blues and blacks, and thread dyed by hand, may run: try a thread of each in warm water first.',
    );
  }
  if (mark.comesOutBy === 'washing')
    add(
      'wash',
      `Wash ${cloth.wash === 'hot' ? 'warm' : 'cool'} with a mild soap until the lines are gone.`,
      'Strong colours, and thread dyed by hand, may run: try a thread of each first.',
    );
  const isWet = comesOutInWater(mark);
  if (isWet) add('check', 'Look at it wet against the light: what is left of the mark now stays.');
  if (isWet)
    add(
      'dry',
      'Roll it in a towel, never wring; lay it flat to dry, or stretch it damp on a board with the grain straight.',
    );
  if (mark.comesOutBy === 'heat')
    add(
      'heat',
      'Pass hot air or an iron over the back until the lines are gone.',
      `They may come back in the cold. ${IRON}`,
    );
  if (mark.comesOutBy === 'nothing') add('check', 'Look for lines that still show, and cover them with a stitch.');
  if (cloth.iron !== 'no') {
    add(
      'press',
      `Press face down on a folded towel, ${cloth.iron === 'hot' ? 'hot' : 'no more than warm'}${isWet ? ', while still a little damp' : ''}.`,
      IRON,
    );
  }
  return steps;
}

/** What is wrong with a sequence of steps: each rule that it breaks, in a sentence. Empty: it is sound. */
export function checkRemoval(acts: readonly RemovalAct[], mark: Mark, cloth: Cloth): string[] {
  const at = (act: RemovalAct): number => acts.indexOf(act);
  const firstHot = acts.findIndex((act) => act === 'heat' || act === 'press');
  const wet = acts.filter((act) => act === 'rinse-cold' || act === 'rinse-warm' || act === 'wash');
  const faults: string[] = [];
  if (mark.heatSets && firstHot >= 0 && (at('rinse-cold') < 0 || at('rinse-cold') > firstHot)) {
    faults.push('Heat comes before the mark is rinsed out, and sets it.');
  }
  if (wet.length > 0 && cloth.wash === 'no') faults.push(`Water spoils ${cloth.name.toLowerCase()}.`);
  if (firstHot >= 0 && cloth.iron === 'no') faults.push(`${cloth.name} takes no iron.`);
  if (at('untack') > 0) faults.push('Tacks must come out before the film goes.');
  if (wet.length > 0 && at('dry') >= 0 && wet.some((act) => at(act) > at('dry')))
    faults.push('It is dried before it is rinsed.');
  return faults;
}
