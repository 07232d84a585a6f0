import { clothOf } from '../../materials/index.ts';
import { orderOfWork, outlinesFirst, type Rule, type RuleId, type Step } from '../../order/index.ts';
import { freeOrder, LET_PLANNER_PLACE, setWorker, type PlanInput } from '../../piece/index.ts';
import { SITTING_SLACK, sittingsOf, type Plan } from '../../thread/index.ts';
import { allowedTravelMm } from '../../work/index.ts';
import { inLargerHoop } from './hoop.ts';
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
  const figures = { longestMm: hundredths(carried.longestMm), allowedMm, cloth: clothOf(piece.cloth.kind).name };
  return [{ id: 'carried', part: carried.part, figures }];
}

/** Where each is looked at, and how bad it is. */
export const ORDER_KINDS = {
  'before-behind': { step: 'order', severity: 'warn' },
  'rules-circle': { step: 'order', severity: 'note' },
  'sitting-long': { step: 'order', severity: 'note' },
  carried: { step: 'order', severity: 'warn' },
} satisfies Partial<FindingKinds>;

function asFound({ piece, finding }: Case<'before-behind'>): Offer[] {
  return finding.part === null ? [] : [[LET_PLANNER_PLACE, freeOrder(piece, finding.part)]];
}

/** Outlines before what they bound, or after it: the other way round, where more rules can be kept then. */
function inOtherSchool({ piece, plan }: Case<'rules-circle'>): Offer[] {
  const outline = outlinesFirst(piece) ? 'last' : 'first';
  const { gaveWay } = orderOfWork({ ...piece, worker: { ...piece.worker, outline } }, plan.parts);
  if (gaveWay.length >= plan.rules.gaveWay.length) return [];
  return [[OUTLINES[outline], setWorker(piece, { outline })]];
}
const OUTLINES = {
  first: 'Work outlines before what they surround',
  last: 'Work outlines after what they surround',
} as const;

/** What can be done about each, worked out only when it is asked for. */
export const ORDER_REMEDIES = {
  'before-behind': asFound,
  'rules-circle': (of) => [
    ...inOtherSchool(of),
    ...(of.finding.figures.rule === 'raised-last' ? inLargerHoop(of) : []),
  ],
  carried: ({ piece }) => [['Carry thread no further than this cloth allows', setWorker(piece, { carryMm: null })]],
} satisfies Partial<FindingRemedies>;
