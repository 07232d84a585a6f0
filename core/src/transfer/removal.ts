import { comesOutInWater, type Cloth, type Mark } from '../materials/index.ts';

export type RemovalAct = 'untack' | 'tear' | 'rinse-cold' | 'rinse-warm' | 'wash' | 'dry' | 'heat' | 'press' | 'check';

/** How a mark comes off when all is stitched: the acts in their order, with washing and ironing. */
export function removalActs(mark: Mark, cloth: Cloth): RemovalAct[] {
  const by = mark.comesOutBy;
  const isWet = comesOutInWater(mark);
  const acts: (RemovalAct | false)[] = [
    mark.id === 'film' && 'untack',
    by === 'tearing' && 'tear',
    by === 'cold-water' && 'rinse-cold',
    by === 'warm-water' && 'rinse-warm',
    by === 'washing' && 'wash',
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
  const wet = acts.filter((act) => act === 'rinse-cold' || act === 'rinse-warm' || act === 'wash');
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
