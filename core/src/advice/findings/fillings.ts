import { least, sum } from 'd3-array';
import { intersect, regionArea, earlierMeeting } from '../../geometry/index.ts';
import { deltaE, labOf, ladder } from '../../colour/index.ts';
import { RANGES, shippedRange, comesIn, refOf } from '../../materials/index.ts';
import { stage, type Memory } from '../../measure/index.ts';
import { isPainting, setHidden, type PlanInput, colourName, colourOf } from '../../piece/index.ts';
import type { ShapePair } from '../../drawing/index.ts';
import { Move, stitchKind, type StitchId, type StitchPath } from '../../stitches/index.ts';
import { shadeParts, type PlannedPart, type PlannedPass } from '../../work/index.ts';
import type { Plan } from '../../thread/index.ts';
import {
  hundredths,
  type Finding,
  type FindingKinds,
  type FindingRemedies,
  type Offer,
  type PartCase,
} from '../finding.ts';
import { THRESHOLDS } from '../thresholds.ts';
import { onPart, switchTo } from './onParts.ts';

/** How the thread of fillings lies: on other thread, behind the cloth, round corners, in one colour where it was meant for several. */
export function fillingFindings(piece: PlanInput, plan: Plan, memory: Memory): Finding[] {
  return [...plan.parts.flatMap((planned) => chosenFindings(planned, memory)), ...denseFindings(piece, plan, memory)];
}

/** What is said of a filling that the person chose: nothing is said against what was suggested. */
function chosenFindings({ part, passes }: PlannedPart, memory: Memory): Finding[] {
  const filling = passes.find(({ role }) => role === 'filling');
  if (!filling || part.passes === null || !part.shown) return [];
  const stitch = stitchKind(filling.stitch).name;
  const found: Finding[] = [];
  const carriedMm = sum(filling.threads, (thread) => thread.carriedMm);
  const ends = sum(filling.threads, ({ breaks }) => breaks.length);
  const isCarried =
    carriedMm > THRESHOLDS.carriedMm && carriedMm > THRESHOLDS.carriedShare * filling.quantities.threadMm;
  if (part.kind === 'area' && (isCarried || ends >= THRESHOLDS.endsWithin)) {
    found.push({
      id: 'carried-within',
      part: part.id,
      figures: { stitch, carriedMm: Math.round(carriedMm), ends },
    });
  }
  if (ACROSS.has(filling.stitch)) {
    const gapMm = hundredths(memory.made(WIDEST_FAN, [part.id], filling));
    if (gapMm > 0) {
      found.push({
        id: 'corner-gapes',
        part: part.id,
        figures: { stitch, gapMm, laidMm: hundredths(filling.laidMm) },
      });
    }
  }
  if (filling.stitch === 'long-short' && filling.shades.length < 2 && !isPainting(filling)) {
    found.push({ id: 'one-shade', part: part.id, figures: { stitch } });
  }
  return found;
}

/** Stitches that lie across what they cover, from edge to edge, and fan out where it turns. */
const ACROSS: ReadonlySet<StitchId> = new Set(['overcast', 'satin', 'satin-surface', 'closed-herringbone']);

type Fanned = Pick<PlannedPass, 'path' | 'laidMm'>;

/** The widest gap between neighbouring stitches at their outer ends where they turn round a corner, mm; 0: none gapes. */
export const WIDEST_FAN = stage<Fanned>()('widest fan', ['path', 'laidMm'], ({ path, laidMm }) =>
  widestFan(path, laidMm),
);

const LEAST_TURN_RAD = (THRESHOLDS.gapes.leastTurnDeg * Math.PI) / 180;

function widestFan({ codes, xy }: StitchPath, laidMm: number): number {
  const spans: [upX: number, upY: number, downX: number, downY: number][] = [];
  for (let i = 1; i < codes.length; i++) {
    if (codes[i] !== Move.down || codes[i - 1] !== Move.up) continue;
    spans.push([xy[2 * i - 2]!, xy[2 * i - 1]!, xy[2 * i]!, xy[2 * i + 1]!]);
  }
  let widest = 0;
  for (let i = 1; i < spans.length; i++) {
    const [ax, ay, bx, by] = spans[i - 1]!;
    const [cx, cy, dx, dy] = spans[i]!;
    const [ups, downs] = [Math.hypot(cx - ax, cy - ay), Math.hypot(dx - bx, dy - by)];
    const [outside, inside] = ups > downs ? [ups, downs] : [downs, ups];
    const middle = Math.hypot(cx + dx - ax - bx, cy + dy - ay - by) / 2;
    const isFan =
      outside > THRESHOLDS.gapes.outside * laidMm && Math.min(inside, middle) < THRESHOLDS.gapes.inside * laidMm;
    const turn = Math.abs(
      Math.atan2((bx - ax) * (dy - cy) - (by - ay) * (dx - cx), (bx - ax) * (dx - cx) + (by - ay) * (dy - cy)),
    );
    if (isFan && turn > LEAST_TURN_RAD && outside > widest) widest = outside;
  }
  return widest;
}

/** Whether stitches of a part hide the cloth below them. */
function isDense({ placed, passes }: PlannedPart): boolean {
  const covered = sum(passes, (pass) => (pass.role === 'filling' ? pass.quantities.frontMm * pass.laidMm : 0));
  return placed.kind === 'area' && covered > THRESHOLDS.dense * placed.areaMm2;
}

/** The area that two parts share, mm². */
export const SHARED_AREA = stage<ShapePair>()('shared area', ['a', 'b'], ({ a, b }) =>
  regionArea(intersect(a.shape.region, b.shape.region)),
);

/** Dense stitches over dense stitches, where what lies below is not cut away. */
function denseFindings({ drawing }: PlanInput, { parts }: Plan, memory: Memory): Finding[] {
  if (drawing.hidden === 'cut' && parts.every(({ part }) => part.opaque || part.kind !== 'area')) return [];
  const dense = parts.filter(isDense);
  const earlier = earlierMeeting(
    dense.map(({ placed }) => placed.box),
    0,
  );
  return dense.flatMap((one, i): Finding[] => {
    for (const j of earlier[i]!) {
      const other = dense[j]!;
      const pair = { a: other.placed, b: one.placed };
      const sharedMm2 = Math.round(memory.made(SHARED_AREA, [other.part.id, one.part.id], pair));
      if (sharedMm2 < THRESHOLDS.denseMm2 || sharedMm2 < THRESHOLDS.denseShare * one.placed.areaMm2) continue;
      return [
        {
          id: 'dense-on-dense',
          part: one.part.id,
          figures: { other: other.part.name, otherId: other.part.id, sharedMm2 },
        },
      ];
    }
    return [];
  });
}

/** A part in three shades about its own: from dark to light. */
function shaded({ piece, planned }: PartCase): Offer {
  const filling = planned.passes.find(({ role }) => role === 'filling')!;
  const colour = colourOf(piece, filling.colour ?? planned.part.colour);
  const range = shippedRange(colour.shade?.range) ?? RANGES.find((one) => comesIn(one, [filling.thread]));
  const { hex } = colourName(colour);
  const shades = range?.shades ?? RANGES[0]!.shades;
  const lab = labOf(hex);
  const nearest = least(shades, (shade) => deltaE(shade.lab, lab))!;
  const rungs = ladder(nearest, shades, 3);
  return ['Shade it in three', rungs.length < 3 ? null : shadeParts(piece, [planned], rungs.map(refOf))];
}

/** Where each is looked at, and how bad it is. */
export const FILLINGS_KINDS = {
  'dense-on-dense': { step: 'stitches', severity: 'warn' },
  'carried-within': { step: 'stitches', severity: 'note' },
  'corner-gapes': { step: 'stitches', severity: 'note' },
  'one-shade': { step: 'stitches', severity: 'note' },
} satisfies Partial<FindingKinds>;

/** What can be done about each, worked out only when it is asked for. */
export const FILLINGS_REMEDIES = {
  'dense-on-dense': (of) =>
    onPart(of, ({ piece }) => [
      ['Cut away what is hidden', piece.drawing.hidden === 'cut' ? null : setHidden(piece, 'cut')],
    ]),
  'carried-within': (of) => onPart(of, (part) => [['Use split stitch filling', switchTo(part, 'split-fill')]]),
  'corner-gapes': (of) =>
    onPart(of, (part) =>
      part.planned.placed.kind === 'line'
        ? [['Use chain stitch', switchTo(part, 'chain')]]
        : [['Use split stitch filling', switchTo(part, 'split-fill')]],
    ),
  'one-shade': (of) => onPart(of, (part) => [shaded(part), ['Use split stitch filling', switchTo(part, 'split-fill')]]),
} satisfies Partial<FindingRemedies>;
