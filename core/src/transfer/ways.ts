import { labOf } from '../colour/index.ts';
import {
  clothOf,
  comesOutInWater,
  MARKS,
  PALE_LIGHTNESS,
  spoiltByWater,
  threadKind,
  tracingThrough,
  type Cloth,
  type Mark,
  type ThreadKind,
} from '../materials/index.ts';
import type { PlanInput } from '../piece/index.ts';
import { tightestBendMm } from '../propose/index.ts';
import { stitchKind } from '../stitches/index.ts';
import type { Plan } from '../thread/index.ts';
import { usesColour } from '../work/index.ts';
import { fadedParts } from './redraw.ts';
import { runningColours } from './running.ts';
import type { WayReason } from './wayReason.ts';
import { sayWay } from './words.ts';

/** What speaks for and against a way of marking, for one piece. */
export interface WayAdvice {
  readonly mark: Mark;
  readonly fitness: 'good' | 'fair' | 'poor';
  /** Higher fits better. */
  readonly score: number;
  readonly reasons: readonly string[];
  readonly cautions: readonly string[];
}

/** Where nothing speaks for or against a way; from where on it fits well, and fairly. Craft judgement, as all points below. */
const SCORE = { start: 50, good: 60, fair: 35 } as const;
const PALE_THREAD = 80;
/** Parts smaller than this many line widths are lost in the line. */
const FINE_DETAIL_WIDTHS = 6;
/** What each part that is reached late counts against a way, and the most that all of them count. */
const LATE = { least: 6, most: 25 } as const;

/** Whether a mark, drawn or traced, can be seen on a cloth. */
export function showsOn(mark: Mark, cloth: Cloth, colour: string): boolean {
  const { l } = labOf(colour);
  if (mark.traced) return tracingThrough(cloth, l) !== 'no';
  if (mark.isPale) return l < PALE_LIGHTNESS;
  return mark.onDark || l >= PALE_LIGHTNESS;
}

/** The kinds of thread in which a piece is worked. */
export function threadsOf({ colours }: Plan): ThreadKind[] {
  return [...new Set(colours.map(({ thread }) => threadKind(thread)))];
}

/** All ways of marking, the fittest first, each with its reasons and cautions for this cloth, thread, detail, washing and pace. */
export function rankWays(piece: PlanInput, plan: Plan): WayAdvice[] {
  const facts = factsOf(piece, plan);
  return MARKS.map((mark) => judge(mark, facts)).sort((a, b) => b.score - a.score);
}

interface Facts {
  readonly cloth: Cloth;
  readonly clothColour: string;
  readonly threads: readonly ThreadKind[];
  readonly isWashed: boolean;
  /** Whether some of the design is on the cloth already. */
  readonly isPrinted: boolean;
  readonly through: 'window' | 'light-box' | 'no';
  readonly hasPaleThread: boolean;
  /** What the narrowest line stitch covers, mm; Infinity where there is none. */
  readonly leastCoverMm: number;
  readonly finestMm: number;
  /** Names of colours that may run in water. */
  readonly running: readonly string[];
  /** How many parts are reached only after a mark is gone, by the days that it stays. */
  readonly late: (staysDays: number) => number;
}

function factsOf(piece: PlanInput, plan: Plan): Facts {
  const cloth = clothOf(piece.cloth.kind);
  const worked = piece.palette.filter(({ id }) => plan.parts.some((part) => usesColour(part, id)));
  const covers = plan.parts.flatMap(({ placed, passes }) =>
    placed.kind === 'line' ? passes.map((pass) => stitchKind(pass.stitch).coverWidths * pass.laidMm) : [],
  );
  const finest = plan.parts.flatMap(({ placed }) => {
    if (placed.kind === 'area') return placed.widest ? [placed.widest.r * 2] : [];
    return placed.kind === 'line' ? [2 * tightestBendMm(placed)] : [];
  });
  return {
    cloth,
    clothColour: piece.cloth.colour,
    threads: threadsOf(plan),
    isPrinted: plan.parts.some(({ part }) => part.printed),
    isWashed: piece.use === 'washed' || piece.use === 'worn',
    through: tracingThrough(cloth, labOf(piece.cloth.colour).l),
    hasPaleThread: worked.some(({ hex }) => labOf(hex).l > PALE_THREAD),
    leastCoverMm: Math.min(Infinity, ...covers),
    finestMm: Math.min(Infinity, ...finest),
    running: runningColours(piece, plan).map(({ name }) => name),
    late: (staysDays) => fadedParts(piece, plan, staysDays).length,
  };
}

/** What a rule makes of a way: points for it, or (negative) against it. */
interface Verdict {
  readonly points: number;
  readonly reason: WayReason;
}
type Rule = (mark: Mark, facts: Facts) => Verdict | null;

/** A verdict whose reason needs no figures. */
function verdict(
  points: number,
  code: Extract<WayReason, { mark: Mark }>['code'],
  mark: Mark,
  { cloth }: Facts,
): Verdict {
  return { points, reason: { code, mark, cloth } };
}

/** What counts in choosing a way; what speaks for it is told as a reason, what speaks against it as a caution. */
const RULES: readonly Rule[] = [
  function seen(mark, facts) {
    if (!showsOn(mark, facts.cloth, facts.clothColour)) {
      return verdict(-60, mark.traced ? 'not-through' : 'not-seen', mark, facts);
    }
    if (mark.traced) {
      return facts.through === 'window'
        ? verdict(18, 'by-window', mark, facts)
        : verdict(6, 'by-light-box', mark, facts);
    }
    return facts.through === 'no' ? verdict(16, 'nothing-to-trace', mark, facts) : null;
  },
  function covered(mark, facts) {
    if (!Number.isFinite(facts.leastCoverMm)) return null;
    if (facts.leastCoverMm >= mark.lineMm) return verdict(8, 'line-covered', mark, facts);
    return mark.comesOutBy === 'nothing'
      ? verdict(-22, 'line-stays-in-view', mark, facts)
      : verdict(-6, 'line-must-come-out', mark, facts);
  },
  (mark, facts) => (facts.finestMm < FINE_DETAIL_WIDTHS * mark.lineMm ? verdict(-8, 'detail-lost', mark, facts) : null),
  (mark, facts) => (mark.soils && facts.hasPaleThread ? verdict(-12, 'soils', mark, facts) : null),
  function lasts(mark, facts) {
    if (mark.staysDays === null) return verdict(3, 'stays', mark, facts);
    const parts = facts.late(mark.staysDays);
    if (parts === 0) return verdict(4, 'stays-long-enough', mark, facts);
    return { points: -Math.min(LATE.most, LATE.least + parts), reason: { code: 'fades', parts } };
  },
  function inWater(mark, facts) {
    if (!comesOutInWater(mark)) return null;
    const spoilt = spoiltByWater(mark, [facts.cloth, ...facts.threads]);
    if (spoilt) return { points: -45, reason: { code: 'water-spoils', spoilt: spoilt.inSentence } };
    return facts.isWashed ? verdict(8, 'washed-anyway', mark, facts) : null;
  },
  (mark, { running }) =>
    comesOutInWater(mark) && running.length > 0 ? { points: -4, reason: { code: 'may-run', colours: running } } : null,
  (mark, facts) =>
    mark.comesOutBy === 'heat' && facts.cloth.iron === 'no' ? verdict(-45, 'heat-spoils', mark, facts) : null,
  (mark, facts) => (mark.comesOutBy === 'nothing' ? verdict(-6, 'uncovered-stays', mark, facts) : null),
  function laidOn(mark, facts) {
    if (!mark.isLaidOn) return null;
    return mark.id === 'tissue' ? verdict(-16, 'sewn-twice', mark, facts) : verdict(-7, 'tacked', mark, facts);
  },
  function printed(mark, facts) {
    if (mark.id !== 'printed') return null;
    return facts.isPrinted ? verdict(60, 'is-printed', mark, facts) : verdict(-30, 'comes-printed', mark, facts);
  },
  function onKnits(mark, facts) {
    if (!facts.cloth.stretches) return null;
    if (mark.id === 'film') return verdict(20, 'holds-knit', mark, facts);
    return mark.isLaidOn || mark.id === 'printed' ? null : verdict(-10, 'drags-knit', mark, facts);
  },
  (mark, facts) => (mark.id === 'transfer-ink' ? verdict(-10, 'one-try', mark, facts) : null),
];

function judge(mark: Mark, facts: Facts): WayAdvice {
  const verdicts = RULES.flatMap((rule): readonly Verdict[] => [rule(mark, facts)].filter((found) => found !== null));
  const score = verdicts.reduce((sum, { points }) => sum + points, SCORE.start as number);
  return {
    mark,
    score,
    fitness: score >= SCORE.good ? 'good' : score >= SCORE.fair ? 'fair' : 'poor',
    reasons: verdicts.filter(({ points }) => points > 0).map(({ reason }) => sayWay(reason)),
    cautions: [...verdicts.filter(({ points }) => points < 0).map(({ reason }) => sayWay(reason)), mark.beware],
  };
}
