import { comesOutInWater, type Cloth, type Mark } from '../materials/index.ts';
import type { FinishAct, FinishStep } from './kinds.ts';

const WET = ['rinse-cold', 'rinse-warm', 'wash', 'stretch'] as const satisfies readonly FinishAct[];
const HOT = ['heat', 'press', 'web', 'iron-on'] as const satisfies readonly FinishAct[];
/** What closes the back, or leaves nothing to stretch or wash. */
const CLOSING = ['gather', 'disc', 'lace', 'web', 'backing', 'mount', 'seam'] as const satisfies readonly FinishAct[];

/** Why one thing is done before another. */
interface FinishRule {
  readonly id: string;
  readonly before: readonly FinishAct[];
  readonly after: readonly FinishAct[];
  readonly holdsFor?: (mark: Mark, cloth: Cloth) => boolean;
}

/** What must come before what, whatever the piece ends as. */
export const FINISH_RULES: readonly FinishRule[] = [
  { id: 'look-first', before: ['look-over'], after: ['tails', ...WET, ...HOT, ...CLOSING] },
  { id: 'tails-before-the-back-is-closed', before: ['tails'], after: [...CLOSING, 'tear-backing', 'trim-backing'] },
  { id: 'ends-held-before-water', before: ['anchor-knots'], after: [...WET, 'trim-backing'] },
  { id: 'tacks-before-water', before: ['untack'], after: ['rinse-cold', 'rinse-warm', 'wash'] },
  { id: 'water-before-heat', before: ['rinse-cold'], after: HOT, holdsFor: (mark) => mark.heatSets },
  { id: 'mark-before-web', before: ['rinse-cold', 'rinse-warm', 'wash', 'tear', 'heat'], after: ['web'] },
  { id: 'peel-before-iron', before: ['tear', 'tear-backing'], after: ['press'] },
  { id: 'paper-before-ironing-on', before: ['cut-close', 'peel'], after: ['iron-on'] },
  { id: 'ironed-before-held', before: ['iron-on'], after: ['corners'] },
  { id: 'scallops-before-knots', before: ['scallops'], after: ['scallop-knots'] },
  { id: 'wash-before-cutting-close', before: ['wash'], after: ['cut-close'] },
  { id: 'wash-before-closing', before: WET, after: CLOSING },
  {
    id: 'wet-before-stretch',
    before: ['rinse-cold', 'rinse-warm', 'wash'],
    after: ['stretch'],
    holdsFor: comesOutInWater,
  },
  { id: 'pins-out', before: ['stretch'], after: ['pins-out'] },
  { id: 'pins-out-before-iron', before: ['pins-out'], after: ['press', ...CLOSING] },
  { id: 'press-before-closing', before: ['press'], after: CLOSING },
  { id: 'edge-before-cutting-close', before: ['edge', 'scallops'], after: ['cut-close', 'sew-on'] },
  { id: 'backed-before-edge', before: ['web', 'backing'], after: ['edge'] },
  { id: 'cut-close-before-sewing-on', before: ['cut-close'], after: ['sew-on', 'sew-fringe'] },
  { id: 'ring-first', before: ['bind-ring'], after: ['trim', 'gather'] },
  { id: 'gather-before-disc', before: ['gather'], after: ['disc'] },
  { id: 'seam-before-turning', before: ['seam', 'notch'], after: ['turn', 'stuff', 'close'] },
  { id: 'turn-before-stuffing', before: ['turn'], after: ['stuff'] },
  { id: 'stuff-before-closing', before: ['stuff'], after: ['close'] },
];

/** The ids of the rules that a sequence of steps breaks; empty: it is sound. */
export function brokenFinishRules(steps: readonly Pick<FinishStep, 'id'>[], mark: Mark, cloth: Cloth): string[] {
  const isBroken = ({ before, after, holdsFor }: FinishRule): boolean => {
    if (holdsFor && !holdsFor(mark, cloth)) return false;
    const last = steps.findLastIndex(({ id }) => before.includes(id));
    const first = steps.findIndex(({ id }) => after.includes(id));
    return last >= 0 && first >= 0 && first < last;
  };
  const broken = FINISH_RULES.filter(isBroken).map(({ id }) => id);
  const isHot = steps.some(({ id }) => HOT.some((hot) => hot === id));
  return isHot && cloth.iron === 'no' ? [...broken, 'no-iron'] : broken;
}
