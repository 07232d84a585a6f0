import { labOf } from '../colour/index.ts';
import {
  clothOf,
  comesOutInWater,
  MARKS,
  spoiltByWater,
  threadKind,
  tracingThrough,
  type Cloth,
  type Mark,
  type ThreadKind,
} from '../materials/index.ts';
import { checkRemoval, fadedParts, removalSteps } from '../order/index.ts';
import type { Piece } from '../piece/index.ts';
import { usesColour, type Plan } from '../plan/index.ts';
import { stitchKind } from '../stitches/index.ts';
import { tightestBendMm } from './measures.ts';
import { runningColours } from './running.ts';

/** What speaks for and against a way of marking, for one piece. */
export interface WayAdvice {
  readonly mark: Mark;
  readonly fitness: 'good' | 'fair' | 'poor';
  /** Higher fits better. */
  readonly score: number;
  readonly reasons: readonly string[];
  readonly cautions: readonly string[];
}

const PALE_LIGHTNESS = 70;
const PALE_THREAD = 80;
/** So many colours are named in a caution. */
const MOST_NAMED = 3;
/** Parts smaller than this many line widths are lost in the line. */
const FINE_DETAIL_WIDTHS = 6;

/** Whether a mark, drawn or traced, can be seen on a cloth. */
export function showsOn(mark: Mark, cloth: Cloth, colour: string): boolean {
  const { l } = labOf(colour);
  if (mark.traced) return tracingThrough(cloth, l) !== 'no';
  return mark.onDark || l >= PALE_LIGHTNESS;
}

/** The kinds of thread in which a piece is worked. */
export function threadsOf({ colours }: Plan): ThreadKind[] {
  return [...new Set(colours.map(({ thread }) => threadKind(thread)!))];
}

/** All ways of marking, the fittest first, each with its reasons and cautions for this cloth, thread, detail, washing and pace. */
export function rankWays(piece: Piece, plan: Plan): WayAdvice[] {
  const cloth = clothOf(piece.cloth.kind)!;
  const facts = factsOf(piece, plan, cloth);
  return MARKS.map((mark) => judge(piece, plan, mark, cloth, facts)).sort((a, b) => b.score - a.score);
}

interface Facts {
  readonly lightness: number;
  readonly through: 'window' | 'light-box' | 'no';
  readonly hasPaleThread: boolean;
  /** The narrowest line stitch covers so much, mm. */
  readonly leastCoverMm: number;
  readonly finestMm: number;
  /** Names of colours that may run in water. */
  readonly running: readonly string[];
}

function factsOf(piece: Piece, plan: Plan, cloth: Cloth): Facts {
  const lightness = labOf(piece.cloth.colour).l;
  const worked = piece.palette.filter(({ id }) => plan.parts.some((part) => usesColour(part, id)));
  const covers = plan.parts.flatMap(({ placed, passes }) =>
    placed.kind === 'line' ? passes.map((pass) => stitchKind(pass.stitch).coverWidths * pass.laidMm) : [],
  );
  const finest = plan.parts.flatMap(({ placed }) => {
    if (placed.kind === 'area') return placed.widest ? [placed.widest.r * 2] : [];
    return placed.kind === 'line' ? [2 * tightestBendMm(placed)] : [];
  });
  return {
    lightness,
    through: tracingThrough(cloth, lightness),
    hasPaleThread: worked.some(({ hex }) => labOf(hex).l > PALE_THREAD),
    leastCoverMm: Math.min(Infinity, ...covers),
    finestMm: Math.min(Infinity, ...finest),
    running: runningColours(piece, plan).map(({ name }) => name),
  };
}

function judge(piece: Piece, plan: Plan, mark: Mark, cloth: Cloth, facts: Facts): WayAdvice {
  const reasons: string[] = [];
  const cautions: string[] = [];
  let score = 50;
  const good = (points: number, reason: string): void => {
    score += points;
    reasons.push(reason);
  };
  const bad = (points: number, caution: string): void => {
    score -= points;
    cautions.push(caution);
  };
  const name = cloth.name.toLowerCase();
  if (!showsOn(mark, cloth, piece.cloth.colour)) {
    bad(
      60,
      mark.traced
        ? `The drawing does not show through ${name} in this colour.`
        : `It does not show on ${name} in this colour.`,
    );
  } else if (mark.traced) {
    if (facts.through === 'window') good(18, `${cloth.name} is pale and light enough to trace through at a window.`);
    else good(6, 'A light box shows the drawing through; a window does not.');
  } else if (facts.through === 'no') good(16, 'Nothing has to show through the cloth.');
  if (Number.isFinite(facts.leastCoverMm)) {
    if (facts.leastCoverMm >= mark.lineMm) good(8, `The narrowest line stitch covers its ${mark.lineMm} mm line.`);
    else if (mark.comesOutBy === 'nothing')
      bad(22, `Its ${mark.lineMm} mm line shows beside the narrowest stitch and does not come out.`);
    else bad(6, `Its ${mark.lineMm} mm line is wider than the narrowest stitch, so it must come out.`);
  }
  if (facts.finestMm < FINE_DETAIL_WIDTHS * mark.lineMm) bad(8, `Fine detail is lost in a ${mark.lineMm} mm line.`);
  if (mark.soils && facts.hasPaleThread) bad(12, 'It can soil the pale threads of this piece.');
  if (mark.staysDays !== null) {
    const late = fadedParts(piece, plan, mark.staysDays).length;
    if (late > 0)
      bad(
        Math.min(25, 6 + late),
        `${late} ${late === 1 ? 'part is' : 'parts are'} reached after it may have faded: draw anew as you go.`,
      );
    else good(4, 'It stays for as long as this piece takes.');
  } else good(3, 'It stays until it is taken out.');
  if (comesOutInWater(mark)) {
    const spoilt = spoiltByWater(mark, [cloth, ...threadsOf(plan)]);
    if (spoilt) bad(45, `It comes out in water that ${spoilt.name.toLowerCase()} does not take.`);
    else if (piece.use === 'washed' || piece.use === 'worn')
      good(8, 'It comes out in a wash that the piece gets anyway.');
    const { running } = facts;
    if (running.length > 0)
      bad(
        4,
        `${running.slice(0, MOST_NAMED).join(', ')}${running.length > MOST_NAMED ? ' and others' : ''} may run in that water: try a thread of each first.`,
      );
  }
  if (mark.comesOutBy === 'heat' && cloth.iron === 'no') bad(45, `It comes out by heat, which ${name} does not take.`);
  if (mark.comesOutBy === 'nothing') bad(6, 'What is not covered stays.');
  if (mark.isLaidOn)
    bad(
      mark.id === 'tissue' ? 16 : 7,
      mark.id === 'tissue' ? 'Slow: every line is sewn twice.' : 'It must be tacked down, and is stitched through.',
    );
  if (mark.id === 'printed') bad(30, 'Only for cloth that comes printed.');
  if (mark.id === 'transfer-ink') bad(10, 'Only one try: ironed over it stays.');
  for (const fault of checkRemoval(
    removalSteps({ ...piece, mark: mark.id }).map(({ act }) => act),
    mark,
    cloth,
  )) {
    if (!cautions.some((caution) => caution.includes('water') || caution.includes('heat'))) bad(30, fault);
  }
  cautions.push(`Beware: ${mark.beware}.`);
  const fitness = score >= 60 ? 'good' : score >= 35 ? 'fair' : 'poor';
  return { mark, fitness, score, reasons, cautions };
}
