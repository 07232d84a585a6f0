import { comesOutInWater, type Cloth, type Mark, type Stabiliser } from '../materials/index.ts';

export type RemovalAct =
  | 'untack'
  | 'tear'
  | 'tear-backing'
  | 'trim-backing'
  | 'rinse-cold'
  | 'rinse-warm'
  | 'wash'
  | 'dry'
  | 'heat'
  | 'press'
  | 'check';

/** Whether an act wets the work. */
export function isInWater(act: RemovalAct): boolean {
  return act === 'rinse-cold' || act === 'rinse-warm' || act === 'wash';
}

/** Whether a mark, or what lies behind, leaves in water. */
export function getsWet(mark: Mark, { leavesBy }: Pick<Stabiliser, 'leavesBy'>): boolean {
  return comesOutInWater(mark) || leavesBy === 'water';
}

/**
 * How a mark and what lies behind come off when all is stitched: the acts in their order, with washing and ironing.
 * @param isWashed whether the finish asks for a wash
 */
export function removalActs(mark: Mark, cloth: Cloth, behind: Stabiliser, isWashed = false): RemovalAct[] {
  const by = mark.comesOutBy;
  const isWet = getsWet(mark, behind) || isWashed;
  const acts: (RemovalAct | false)[] = [
    (mark.id === 'film' || (behind.id !== 'none' && !behind.isFused)) && 'untack',
    by === 'tearing' && 'tear',
    behind.leavesBy === 'tearing' && 'tear-backing',
    behind.leavesBy === 'trimming' && 'trim-backing',
    by === 'cold-water' && 'rinse-cold',
    (by === 'warm-water' || behind.leavesBy === 'water') && 'rinse-warm',
    (by === 'washing' || isWashed) && 'wash',
    (isWet || by === 'nothing') && 'check',
    isWet && 'dry',
    by === 'heat' && 'heat',
    cloth.iron !== 'no' && 'press',
  ];
  return acts.filter((act) => act !== false);
}

/** A rule that a sequence of acts breaks. */
export type RemovalFault = 'heat-sets' | 'water-spoils' | 'no-iron' | 'film-before-tacks' | 'dried-too-soon';

/** What is wrong with a sequence of acts: each rule that it breaks. Empty: it is sound. */
export function checkRemoval(acts: readonly RemovalAct[], mark: Mark, cloth: Cloth): RemovalFault[] {
  const at = (act: RemovalAct): number => acts.indexOf(act);
  const firstHot = acts.findIndex((act) => act === 'heat' || act === 'press');
  const wet = acts.filter(isInWater);
  const isRinsedLate = at('rinse-cold') < 0 || at('rinse-cold') > firstHot;
  const faults: (RemovalFault | false)[] = [
    mark.heatSets && firstHot >= 0 && isRinsedLate && 'heat-sets',
    wet.length > 0 && cloth.wash === 'no' && 'water-spoils',
    firstHot >= 0 && cloth.iron === 'no' && 'no-iron',
    at('untack') > 0 && 'film-before-tacks',
    at('dry') >= 0 && wet.some((act) => at(act) > at('dry')) && 'dried-too-soon',
  ];
  return faults.filter((fault) => fault !== false);
}
