import { clothOf } from '../../materials/index.ts';
import { formatFine } from '../../measure/index.ts';
import type { Rule, RuleId, Step } from '../../order/index.ts';
import { freeOrder, setWorker, type PlanInput } from '../../piece/index.ts';
import { SITTING_SLACK, sittingsOf, type Plan } from '../../thread/index.ts';
import { allowedTravelMm } from '../../work/index.ts';
import {
  hundredths,
  type Case,
  type Finding,
  type FindingKinds,
  type FindingRemedies,
  type Offer,
} from '../finding.ts';

/** What the order of work breaks or must do without, how long its sittings are, and what is carried behind. */
export function orderFindings(piece: PlanInput, plan: Plan): Finding[] {
  return [
    ...brokenFindings(plan),
    ...circleFindings(plan),
    ...longSittings(piece, plan),
    ...carriedFindings(piece, plan),
  ];
}

function namesOf({ parts }: Plan): (step: Step) => string {
  return ({ depth }) => parts[depth]!.part.name;
}

/** What the person's own word broke: each pair of parts once. */
function brokenFindings(plan: Plan): Finding[] {
  const name = namesOf(plan);
  const told = new Set<string>();
  return plan.rules.broken.flatMap(({ id, before, after }): Finding[] => {
    const [late, early] = [plan.order[before]!, plan.order[after]!];
    const pair = `${id} ${late.part} ${early.part}`;
    if (told.has(pair)) return [];
    told.add(pair);
    const figures = { rule: id, early: name(early), late: name(late), lateId: late.part };
    return [{ id: 'before-behind', part: early.part, figures }];
  });
}

/** Rules that cannot all be kept: one line for each kind that gave way. */
function circleFindings(plan: Plan): Finding[] {
  const name = namesOf(plan);
  const byId = new Map<RuleId, Rule[]>();
  for (const rule of plan.rules.gaveWay) byId.set(rule.id, [...(byId.get(rule.id) ?? []), rule]);
  return [...byId].map(([rule, rules]): Finding => {
    const { before, after } = rules[0]!;
    const [early, late] = [plan.order[after]!, plan.order[before]!];
    const figures = { rule, early: name(early), late: name(late), count: rules.length };
    return { id: 'rules-circle', part: early.part, figures };
  });
}

function longSittings(piece: PlanInput, plan: Plan): Finding[] {
  const { sittingMin } = piece.worker;
  const longest = sittingsOf(piece, plan).reduce<{ number: number; seconds: number } | null>(
    (most, sitting) => (most && most.seconds >= sitting.seconds ? most : sitting),
    null,
  );
  if (!longest || longest.seconds <= sittingMin * 60 * (1 + SITTING_SLACK) + 1) return [];
  const minutes = Math.round(longest.seconds / 60);
  return [{ id: 'sitting-long', part: null, figures: { sitting: longest.number, minutes, wantedMin: sittingMin } }];
}

function carriedFindings(piece: PlanInput, { order, work }: Plan): Finding[] {
  const allowedMm = allowedTravelMm(piece);
  const carried = order
    .map(({ part }, i) => ({ part, longestMm: work[i]?.longestCarryMm ?? 0 }))
    .filter(({ longestMm }) => longestMm > allowedMm + 0.05)
    .sort((a, b) => b.longestMm - a.longestMm)[0];
  if (!carried) return [];
  const figures = { longestMm: hundredths(carried.longestMm), allowedMm, cloth: clothOf(piece.cloth.kind)!.name };
  return [{ id: 'carried', part: carried.part, figures }];
}

/** What each rule asks for, said of the part that comes too early and of the one that comes too late. */
const BROKEN: Readonly<Record<RuleId, (early: string, late: string) => string>> = {
  own: (early, late) => `“${early}” is worked before “${late}”, against what was fixed earlier.`,
  layers: (early, late) =>
    early === late
      ? `Of “${early}” an upper layer is worked before the one below it.`
      : `“${early}” is worked before “${late}”, which is a layer below it.`,
  ground: (early, late) => `“${early}” is worked before “${late}”, which it lies on.`,
  fur: (early) => `A patch of “${early}” is worked before the one behind it: the hair will look brushed backwards.`,
  features: (early, late) => `“${early}” is worked before “${late}”: the hair can't go over its rim.`,
  'raised-last': (early, late) => `“${early}” stands up, and the ring is laid on it when “${late}” is worked.`,
  behind: (early, late) => `“${early}” is worked before “${late}”, which lies behind it.`,
  outline: (early, late) => `“${early}” is worked before “${late}”, against the chosen way with outlines.`,
};

/** What is said of each. */
export const ORDER_KINDS = {
  'before-behind': {
    step: 'order',
    severity: 'warn',
    say: ({ rule, early, late }) => BROKEN[rule](early, late),
    why: 'What is worked second lies on top: edges that should be covered stay open to view, and stitches beside them are disturbed.',
  },
  'rules-circle': {
    step: 'order',
    severity: 'note',
    say: ({ rule, early, late, count }) =>
      `Not every rule can be kept: they stand in a circle. ${BROKEN[rule](early, late)}` +
      (count > 1 ? ` So it is in ${count - 1} more ${count === 2 ? 'place' : 'places'}.` : ''),
    why: 'The weakest rule gave way. Put parts in another order in the drawing, or fix what must come first.',
  },
  'sitting-long': {
    step: 'order',
    severity: 'note',
    say: ({ sitting, minutes, wantedMin }) =>
      `Sitting ${sitting} takes about ${minutes} minutes, more than your ${wantedMin}: there is no place to stop before.`,
    why: 'A needle is best put down at the end of a step or of a length of thread. Take a break in between; shorter lengths give more places to stop.',
  },
  carried: {
    step: 'order',
    severity: 'warn',
    say: ({ longestMm, allowedMm, cloth }) =>
      `Thread is carried ${formatFine(longestMm)} behind; ${formatFine(allowedMm)} is as far as ${cloth.toLowerCase()} allows.`,
    why: 'A long thread behind shows through, is caught by the needle, and draws the cloth together.',
  },
} satisfies Partial<FindingKinds>;

function asFound({ piece, finding }: Case<'before-behind'>): Offer[] {
  return finding.part === null ? [] : [['Let its place be found again', freeOrder(piece, finding.part)]];
}

/** What can be done about each, worked out only when it is asked for. */
export const ORDER_REMEDIES = {
  'before-behind': asFound,
  carried: ({ piece }) => [['Carry it no further than the cloth allows', setWorker(piece, { carryMm: null })]],
} satisfies Partial<FindingRemedies>;
