import { deltaE, labOf } from '../colour/index.ts';
import { likeSets } from '../drawing/index.ts';
import { bestWithin, type Choice } from '../measure/index.ts';
import {
  applyEdit,
  colourName,
  colourOf,
  setLevels,
  type Level,
  type Part,
  type PartLevel,
  type Piece,
  PART_LEVELS,
} from '../piece/index.ts';
import { secondsByPart, type Plan } from '../thread/index.ts';
import type { OwnFactors, PlannedPart } from '../work/index.ts';
import type { Pictures } from '../painting/index.ts';
import type { Planner } from './planner.ts';

/** The level of a piece, of the parts that differ from it, and the colours that are shaded. */
export interface LevelChoice {
  readonly level: Level;
  readonly of: ReadonlyMap<string, PartLevel>;
  readonly shaded: ReadonlySet<string>;
}

/** A piece stitched as much as a level says, or as much as some hours allow. */
export interface Version {
  readonly level: Level;
  /** What makes it of the piece, in whatever else it changes: see {@link setLevels}. */
  readonly choice: LevelChoice;
  readonly piece: Piece;
  readonly plan: Plan;
}

/** A version within some hours. */
export interface WithinHours extends Version {
  /** The hours that it is within; more than were asked for where the simplest takes more. */
  readonly withinHours: number;
  /** The names of parts that are stitched less than usual, and of those that would be stitched more in one hour more. */
  readonly less: readonly string[];
  readonly nextHour: readonly string[];
}

/** How versions are made: by whom they are worked, and who plans them. */
export interface VersionWays {
  readonly own: OwnFactors;
  readonly pictures: Pictures;
  readonly planner: Planner;
}

/** Simple work takes up to this, hours; rich work up to this many times as long as usual. */
const SIMPLE_HOURS = 3;
const RICH_TIMES = 2.5;
/** Times are rounded up to steps of this, s. */
const STEP_SECONDS = 15;
/** Of the hours of simple work this share is filled, as what is added is only estimated. */
const KEPT_BACK = 0.95;

/** What a part gives at each level, of what it gives where it is usually worked. */
const GIVES: Readonly<Record<PartLevel, number>> = { bare: 0.3, outline: 0.4, light: 0.6, usual: 1, rich: 1.2 };
const LINE_GIVES: Readonly<Record<PartLevel, number>> = { bare: 0, outline: 0.9, light: 0.9, usual: 1, rich: 1.03 };
/** What lies upon other things is looked at first: eyes, berries, the thing itself before its ground. */
const FOCAL = 1.5;

/** Like parts, which are worked alike: what is chosen for one is chosen for all. */
interface LikeSet {
  readonly parts: readonly Part[];
  /** What it takes and gives at each level that it can have, from the least to the most. */
  readonly choices: readonly (Choice & { readonly level: PartLevel })[];
}

/** A level for all parts of a piece. */
export function choiceOfLevel(piece: Piece, level: Level): LevelChoice {
  return { level, of: new Map(), shaded: level === 'rich' ? shadedColours(piece) : new Set() };
}

/** A piece at one level, as every part has it of itself. */
export function atLevelAlone(piece: Piece, level: Level, ways: VersionWays): Version {
  return versionWith(piece, choiceOfLevel(piece, level), ways);
}

function versionWith(piece: Piece, choice: LevelChoice, { own, pictures, planner }: VersionWays): Version {
  const now = edited(piece, choice);
  return { level: choice.level, choice, piece: now, plan: planner.plan(now, own, { pictures }).plan };
}

/** Any colour may be shaded: those of areas. */
function shadedColours({ drawing }: Piece): Set<string> {
  return new Set(
    drawing.parts.flatMap(({ kind, colour, passes }) => (kind === 'area' && passes === null ? [colour] : [])),
  );
}

function edited(piece: Piece, { level, of, shaded }: LevelChoice): Piece {
  const edit = setLevels(piece, level, of, shaded);
  if (!edit) return piece;
  const outcome = applyEdit(piece, edit);
  if (!outcome.ok) throw new Error(outcome.problem);
  return outcome.value;
}

/** All levels of a piece planned, from which versions are put together: asked once, and used for any hours. */
export interface LevelPlans {
  readonly piece: Piece;
  readonly simple: Version;
  readonly usual: Version;
  readonly sets: readonly LikeSet[];
  /** What a plan takes beside its steps, s: the cloth mounted, the hoop moved. */
  readonly besideSeconds: number;
}

/** Plans a piece at each level of its parts. @param first hears the usual version at once */
export function planLevels(piece: Piece, ways: VersionWays, first?: (usual: Version) => void): LevelPlans {
  const usual = atLevelAlone(piece, 'usual', ways);
  first?.(usual);
  const simple = atLevelAlone(piece, 'simple', ways);
  const open = piece.drawing.parts.filter((part) => part.shown && part.passes === null && part.marking === null);
  const all = (level: PartLevel): Plan => {
    const of = new Map(open.map(({ id }): [string, PartLevel] => [id, level]));
    const { shaded } = choiceOfLevel(piece, level === 'rich' ? 'rich' : 'usual');
    return ways.planner.planRoughly(edited(piece, { level: 'usual', of, shaded }), ways.own, ways.pictures);
  };
  const plans: [PartLevel | null, Plan][] = [
    [null, simple.plan],
    ['light', all('light')],
    ['usual', usual.plan],
    ['rich', all('rich')],
  ];
  const seconds = plans.map(([, plan]) => secondsByPart(plan));
  const steps = [...seconds[2]!.values()].reduce((sum, value) => sum + value, 0);
  const sets = likeSets(open).map((parts): LikeSet => {
    const weight = parts.reduce((sum, part) => sum + weightOf(piece, usual.plan, part), 0);
    const choices = plans.map(([level, plan], i): LikeSet['choices'][number] => {
      const cost = parts.reduce((sum, { id }) => sum + (seconds[i]!.get(id) ?? 0), 0);
      const own = level ?? levelAsPlanned(plan.parts.find(({ part }) => part.id === parts[0]!.id));
      const gives = parts[0]!.kind === 'line' ? LINE_GIVES : GIVES;
      return { level: own, cost, gain: weight * gives[own] };
    });
    return { parts, choices: worthWhile(choices) };
  });
  return { piece, simple, usual, sets, besideSeconds: usual.plan.totals.hours.p50 * 3600 - steps };
}

/** Choices that give more than any that takes no longer, from the least to the most. */
function worthWhile(choices: LikeSet['choices']): LikeSet['choices'] {
  const sorted = [...choices].sort((a, b) => a.cost - b.cost || b.gain - a.gain);
  return sorted.filter(({ gain }, i) => sorted.slice(0, i).every((before) => before.gain < gain));
}

/** What a part is given by itself in simple work. */
function levelAsPlanned(planned: PlannedPart | undefined): PartLevel {
  const passes = planned?.passes ?? [];
  if (passes.length === 0) return 'bare';
  if (planned!.part.kind === 'line') return 'outline';
  return passes.some(({ role }) => role === 'filling') ? 'usual' : 'outline';
}

/** How much there is to see of a part: its size, how far it stands out from the cloth, whether it lies upon other things. */
function weightOf(piece: Piece, plan: Plan, part: Part): number {
  const planned = plan.parts.find((one) => one.part.id === part.id);
  if (!planned?.placed.box) return 0;
  const { placed } = planned;
  const seenMm2 = placed.kind === 'area' ? placed.areaMm2 : Math.max(2, 1.5 * placed.lengthMm);
  const contrast = deltaE(labOf(colourName(colourOf(piece, part.colour)).hex), labOf(piece.cloth.colour));
  return Math.sqrt(seenMm2) * (0.5 + Math.min(1, contrast / 60)) * (placed.behind.length > 0 ? 1 : FOCAL);
}

/** The richest version that does not pass some hours. */
export function withinHours(levels: LevelPlans, hours: number, ways: VersionWays, base: Level = 'usual'): WithinHours {
  const asked = Math.max(hours, levels.simple.plan.totals.hours.p50);
  const least = levels.sets.map(() => 0);
  let [version, picked, budget]: [Version, readonly number[], number] = [levels.simple, least, 0];
  const seen = new Set<string>();
  for (const tried of budgetsFor(asked * 3600 - levels.besideSeconds)) {
    const choice = chosenWithin(levels, tried);
    const key = choice?.join() ?? '';
    if (!choice || seen.has(key)) continue;
    seen.add(key);
    const found = versionOf(levels, choice, ways, base);
    if (found.plan.totals.hours.p50 > asked + 1e-6) continue;
    [version, picked, budget] = [found, choice, tried];
    break;
  }
  const more = chosenWithin(levels, budget + 3600) ?? picked;
  return {
    ...version,
    withinHours: asked,
    less: lessThanUsual(levels, picked),
    nextHour: raised(levels, picked, more),
  };
}

/**
 * Budgets to choose by for what is to take some time, the largest first. They lie on one scale for all times: of the budgets whose version is within the
 * time the largest is the choice, so that more time never leads to a smaller one.
 */
function* budgetsFor(seconds: number): Generator<number> {
  const from = Math.floor(Math.log(Math.max(1, seconds * BUDGETS.above)) / Math.log(BUDGETS.ratio));
  const to = Math.log(Math.max(1, seconds * BUDGETS.below)) / Math.log(BUDGETS.ratio);
  for (let k = from; k >= to; k--) yield BUDGETS.ratio ** k;
}
/** What a choice takes lies between these shares of what its parts take by themselves: threads are shared or not. */
const BUDGETS = { above: 1.15, below: 0.6, ratio: 1.02 } as const;

function chosenWithin({ sets }: LevelPlans, budgetSeconds: number): number[] | null {
  return bestWithin(
    sets.map(({ choices }) => choices),
    budgetSeconds,
    STEP_SECONDS,
  );
}

function versionOf({ piece, sets }: LevelPlans, picked: readonly number[], ways: VersionWays, base: Level): Version {
  const of = new Map<string, PartLevel>();
  const shaded = new Set<string>();
  sets.forEach(({ parts, choices }, i) => {
    const { level } = choices[picked[i]!]!;
    for (const part of parts) {
      if (level !== base) of.set(part.id, level);
      if (level === 'rich' && part.kind === 'area') shaded.add(part.colour);
    }
  });
  return versionWith(piece, { level: base, of, shaded }, ways);
}

const rank = (level: PartLevel): number => PART_LEVELS.indexOf(level);

function lessThanUsual({ sets }: LevelPlans, picked: readonly number[]): string[] {
  return sets.flatMap(({ parts, choices }, i) => {
    const isLess = rank(choices[picked[i]!]!.level) < rank('usual');
    return isLess && parts[0]!.kind === 'area' ? [parts[0]!.name] : [];
  });
}

function raised({ sets }: LevelPlans, picked: readonly number[], more: readonly number[]): string[] {
  return sets.flatMap(({ parts, choices }, i) => {
    const [now, then] = [picked, more].map((which) => rank(choices[which[i]!]!.level));
    return then! > now! ? [parts[0]!.name] : [];
  });
}

/** The simple version: within three hours the smallest areas are filled lightly as well, as far as the hours go. */
export function simpleVersion(levels: LevelPlans, ways: VersionWays): Version {
  const { simple, sets, piece } = levels;
  let left = SIMPLE_HOURS * 3600 * KEPT_BACK - simple.plan.totals.hours.p50 * 3600;
  const of = new Map<string, PartLevel>();
  const raisable = sets.flatMap(({ parts, choices }) => {
    const light = choices.find(({ level }) => level === 'light');
    return light && choices[0]!.level === 'outline' && parts[0]!.kind === 'area'
      ? [{ parts, seconds: light.cost - choices[0]!.cost }]
      : [];
  });
  raisable.sort((a, b) => a.seconds - b.seconds);
  for (const { parts, seconds } of raisable) {
    if (seconds > left) break;
    left -= seconds;
    for (const { id } of parts) of.set(id, 'light');
  }
  if (of.size === 0) return simple;
  return versionWith(piece, { level: 'simple', of, shaded: new Set() }, ways);
}

/** The rich version: two and a half times the usual hours at most, what is looked at first before the rest. */
export function richVersion(levels: LevelPlans, ways: VersionWays): Version {
  const hours = RICH_TIMES * levels.usual.plan.totals.hours.p50;
  const all = atLevelAlone(levels.piece, 'rich', ways);
  if (all.plan.totals.hours.p50 <= hours) return all;
  const sets = levels.sets.map((set) => {
    const choices = set.choices.filter(({ level }) => rank(level) >= rank('usual'));
    return { ...set, choices: choices.length > 0 ? choices : set.choices.slice(-1) };
  });
  return withinHours({ ...levels, sets, simple: levels.usual }, hours, ways, 'rich');
}
