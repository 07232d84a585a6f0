import { rankWays } from '../transfer/index.ts';
import { coveringStrands } from '../propose/index.ts';
import type { Plan } from '../thread/index.ts';
import { passesAsWorked, type PlannedPart } from '../work/index.ts';
import { fitToHoop, joinParts, nudgeParts, onTheGrain, outlineToLine } from '../drawing/index.ts';
import { AIR_MM, markOf, strandChoices, threadKind } from '../materials/index.ts';
import { crushedParts, findPositions, orderPositions, drawingOrder } from '../order/index.ts';
import {
  groupMembers,
  plainPass,
  setGuides,
  setHoop,
  setMark,
  setPasses,
  setPositions,
  setShown,
  type Edit,
  type Part,
  type Pass,
  type Piece,
} from '../piece/index.ts';
import { stitchKind, type StitchId } from '../stitches/index.ts';
import { tooClose, wayOut } from './closeness.ts';
import { colourRemedies } from './colourFindings.ts';
import type { Finding, FindingId } from './finding.ts';

/** What can be done about a finding, in one action that can be undone. */
export interface Remedy {
  readonly label: string;
  readonly edit: Edit;
}

/** A remedy that may turn out not to be one: null where it would change nothing. */
type Offer = readonly [label: string, edit: Edit | null];

interface Case {
  readonly piece: Piece;
  readonly plan: Plan;
  readonly finding: Finding;
}

/** A case that is about one part. */
interface PartCase extends Case {
  readonly planned: PlannedPart;
}

/** Turned by this much, stitches stand out from any neighbour that they lie like, degrees. */
const STANDS_OUT_DEG = 50;

/** What can be done about a finding, computed for the piece as it is. */
export function remediesFor(piece: Piece, plan: Plan, finding: Finding): Remedy[] {
  const planned = plan.parts.find(({ part }) => part.id === finding.part);
  const offers = [
    ...(FOR_PIECE[finding.id]?.({ piece, plan, finding }) ?? []),
    ...(planned ? (FOR_PART[finding.id]?.({ piece, plan, finding, planned }) ?? []) : []),
  ];
  return offers.flatMap(([label, edit]) => (edit ? [{ label, edit }] : []));
}

const FOR_PIECE: Readonly<Partial<Record<FindingId, (of: Case) => Offer[]>>> = {
  grain: ({ piece }) => [
    ['Turn it to the grain', setHoop(piece, piece.hoop, onTheGrain(piece.placement), 'Turn to the grain')],
  ],
  crushed: inAnotherOrder,
  'outside-hoop': (of) => [...inPositions(of), ...fitted(of)],
  'near-ring': fitted,
  "can't-trace": markedBetter,
  'fades-first': markedBetter,
  'water-spoils': markedBetter,
  'heat-sets': markedBetter,
  'too-alike': ({ piece, plan, finding }) => colourRemedies(piece, plan, finding),
  'lots-mixed': ({ piece, plan, finding }) => colourRemedies(piece, plan, finding),
};

const FOR_PART: Readonly<Partial<Record<FindingId, (of: PartCase) => Offer[]>>> = {
  'span-too-long': (of) => [['Fill with split stitch', switchTo(of, 'split-fill')]],
  'span-too-short': (of) => [['Fill with split stitch', switchTo(of, 'split-fill')]],
  'line-not-covered': (of) => [['Add a strand', withStrands(of, 1)]],
  'too-many-strands': (of) => [['Take a strand out', withStrands(of, -1)]],
  'part-too-small': (of) => [
    ['Take a strand out', withStrands(of, -1)],
    ...(of.planned.part.kind === 'area'
      ? [['Work its outline as a line', outlineToLine(of.piece, [of.planned.part.id])] as const]
      : []),
    leftOut(of),
  ],
  'line-too-close': (of) => [
    leftOut(of),
    ...movedAway(of),
    ['Join the two', joinParts(of.piece, [String(of.finding.figures['otherId']), of.planned.part.id])],
    ['Take a strand out', withStrands(of, -1)],
  ],
  'cloth-shows': (of) => {
    const close = (pass: Pass): Pass => ({ ...pass, params: without(pass.params, 'spacingMm') });
    return [['Let neighbours touch', changeFilling(of, close, 'Close the rows')]];
  },
  'direction-vanishes': ({ piece, planned }) => {
    const turn = (pass: Pass): Pass =>
      pass.role === 'filling' ? { ...pass, angleDeg: ((pass.angleDeg ?? 0) + STANDS_OUT_DEG) % 180 } : pass;
    const turned = passesAsWorked(planned).map(turn);
    return [['Turn its stitches', setPasses(piece, new Map([[planned.part.id, turned]]), 'Turn the stitches')]];
  },
  'too-many-shades': (of) => {
    const room = Number(of.finding.figures['room']);
    const fewer = (pass: Pass): Pass => ({ ...pass, shades: room < 2 ? [] : pass.shades.slice(0, room) });
    return [['Work in fewer shades', changeFilling(of, fewer, 'Work in fewer shades')]];
  },
  'too-large-for-direction': (of) => {
    const straight = (pass: Pass): Pass => ({ ...pass, direction: 'straight', points: [] });
    return [['Lay them straight', changeFilling(of, straight, 'Lay stitches straight')]];
  },
  'guide-outside': ({ piece, planned }) => [
    ['Remove the strokes', setGuides(piece, [planned.part.id], [], 'Remove the direction strokes')],
  ],
  snags: (of) => (of.planned.placed.kind === 'line' ? [['Work in back stitch', switchTo(of, 'back')]] : []),
};

function inAnotherOrder({ piece, plan }: Case): Offer[] {
  if (!piece.hoop) return [];
  const better = orderPositions(plan.parts, piece.hoop, piece.positions);
  const crushed = (middles: Piece['positions']): number =>
    crushedParts(drawingOrder(plan.parts, piece.hoop, middles), plan.parts, piece.hoop!, middles).length;
  const isBetter = crushed(better) < crushed(piece.positions);
  if (!isBetter) return [];
  return [['Move the hoop in another order', setPositions(piece, better, 'Order the hoop positions')]];
}

function inPositions({ piece, plan }: Case): Offer[] {
  const found = piece.hoop && findPositions(plan.parts, piece.hoop);
  if (!found || found.length < 2) return [];
  return [[`Work it in ${found.length} hoop positions`, setPositions(piece, found, 'Find hoop positions')]];
}

function fitted({ piece, plan, finding }: Case): Offer[] {
  if (!piece.hoop || !plan.design.circle) return [];
  const wanted = finding.figures['raised'] ? AIR_MM.raised : AIR_MM.usual;
  const hoop = { ...piece.hoop, airMm: Math.max(piece.hoop.airMm, wanted) };
  const edit = setHoop(piece, hoop, fitToHoop(piece, hoop), 'Fit to the hoop');
  return [[`Fit it with ${hoop.airMm} mm of air`, edit]];
}

function markedBetter({ piece, plan }: Case): Offer[] {
  const [best] = rankWays(piece, plan);
  if (!best || best.mark.id === piece.mark) return [];
  return [[`Mark with: ${best.mark.name.toLowerCase()}`, setMark(piece, best.mark.id)]];
}

function leftOut({ piece, planned }: PartCase): Offer {
  return ['Leave it out', setShown(piece, [planned.part.id], false)];
}

function movedAway({ piece, plan, finding, planned }: PartCase): Offer[] {
  const close = tooClose(plan).find(
    ({ a, b }) => a.part.id === planned.part.id && b.part.id === finding.figures['otherId'],
  );
  const way = close && wayOut(plan, close);
  if (!way) return [];
  const edit = nudgeParts(piece, [planned.part.id], ...way);
  return [[`Move it ${Math.ceil(Math.hypot(...way) * 10) / 10} mm away`, edit]];
}

function switchTo(of: PartCase, stitch: StitchId): Edit | null {
  const toPass = ({ thread, strands }: Pass): Pass => {
    const isLine = stitchKind(stitch).worksOn === 'line' && thread === 'stranded-cotton';
    const enough = isLine ? coveringStrands(stitch, strands, markOf(of.piece.mark)!.lineMm) : strands;
    return plainPass(stitch, thread, Math.max(strands, enough));
  };
  return changeFilling(of, toPass, `Work in ${stitchKind(stitch).name.toLowerCase()}`);
}

function withStrands(of: PartCase, by: 1 | -1): Edit | null {
  const filling = of.planned.passes.find(({ role }) => role === 'filling');
  if (!filling || nextStrands(filling, by) === null) return null;
  const change = (pass: Pass): Pass => ({ ...pass, strands: nextStrands(pass, by) ?? pass.strands });
  return changeFilling(of, change, by > 0 ? 'Add a strand' : 'Take a strand out');
}

function without(params: Pass['params'], key: string): Pass['params'] {
  return Object.fromEntries(Object.entries(params).filter(([name]) => name !== key));
}

/** The same change of the filling for a part and its group, each from its own passes: like parts may be turned. */
function changeFilling({ piece, plan, planned }: PartCase, change: (pass: Pass) => Pass, label: string): Edit | null {
  const members = new Set(groupMembers(piece, planned.part).map(({ id }: Part) => id));
  const changed = plan.parts
    .filter(({ part }) => members.has(part.id))
    .map((member) => {
      const passes = passesAsWorked(member).map((pass) => (pass.role === 'filling' ? change(pass) : pass));
      return [member.part.id, passes] as const;
    });
  return setPasses(piece, new Map(changed), label);
}

/** The next strand count that a thread can give, up or down; null where there is none. */
function nextStrands({ thread, strands }: { thread: string; strands: number }, by: 1 | -1): number | null {
  const choices = strandChoices(threadKind(thread)!);
  return choices[choices.indexOf(strands) + by] ?? null;
}
