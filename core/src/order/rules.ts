import { valueOf } from '../measure/index.ts';
import { earlierMeeting } from '../geometry/index.ts';
import { markOf } from '../materials/index.ts';
import type { Memory } from '../measure/index.ts';
import { isPainting, type LayerRef, type PlanInput } from '../piece/index.ts';
import type { PlannedPart } from '../work/index.ts';
import { boundsShare, gapBetween } from './meeting.ts';
import { raisedParts } from './positions/crushing.ts';
import type { RuleId } from './ruleIds.ts';
import type { Step } from './steps.ts';

/** One step before another: both by their number among the steps. */
export interface Rule {
  readonly id: RuleId;
  readonly before: number;
  readonly after: number;
}

/** A line that runs along an outline for this share of its length bounds that area. */
const BOUNDS_SHARE = 0.6;

/** Whether outlines come before what they bound: by school, else first for marks that fade and in whitework. */
export function outlinesFirst({ worker, mark, use }: PlanInput): boolean {
  if (worker.outline) return worker.outline === 'first';
  return use === 'whitework' || (markOf(mark).staysDays ?? null) !== null;
}

/** The steps of one part in one position, in the order of their layers; the shades of one zone may come as they like. */
type Chain = readonly (readonly number[])[];

/** Everything that must come before something else. */
export function findRules(
  piece: PlanInput,
  parts: readonly PlannedPart[],
  steps: readonly Step[],
  memory: Memory,
): Rule[] {
  const chains = chainsOf(steps, outlinesFirst(piece));
  return [
    ...ownRules(piece, steps, chains),
    ...layerRules(steps, chains),
    ...raisedRules(piece, parts, steps, memory),
    ...drawingRules(piece, parts, chains, memory),
  ];
}

function chainsOf(steps: readonly Step[], isOutlineFirst: boolean): Map<string, Map<number, Chain>> {
  const links = new Map<string, Map<number, Map<string, number[]>>>();
  steps.forEach(({ part, position, layer, shade, zone }, i) => {
    const ofPart = links.get(part) ?? new Map<number, Map<string, number[]>>();
    links.set(part, ofPart);
    const chain = ofPart.get(position) ?? new Map<string, number[]>();
    ofPart.set(position, chain);
    const name = zone > 0 ? `${layer}:zone ${zone}` : `${layer}:${shade}`;
    const link = chain.get(name);
    if (link) link.push(i);
    else chain.set(name, [i]);
  });
  const inOrder = (chain: ReadonlyMap<string, readonly number[]>): Chain =>
    inLayers(inZones([...chain.values()], steps), steps, isOutlineFirst);
  return new Map(
    [...links].map(([part, ofPart]) => [
      part,
      new Map([...ofPart].map(([position, chain]) => [position, inOrder(chain)])),
    ]),
  );
}

/** Layers as they were laid, zones of each from back to front. */
function inZones(chain: Chain, steps: readonly Step[]): Chain {
  return [...chain].sort(([a], [b]) => {
    const [one, other] = [steps[a!]!, steps[b!]!];
    return one.layer === other.layer ? one.zone - other.zone : 0;
  });
}

/** Layers as they were laid, but the outline before the filling or after it. */
function inLayers(chain: Chain, steps: readonly Step[], isOutlineFirst: boolean): Chain {
  const isOutline = ([i]: readonly number[]): boolean => steps[i!]!.role === 'outline';
  const isFilling = ([i]: readonly number[]): boolean => steps[i!]!.role === 'filling';
  const outlines = chain.filter(isOutline);
  const others = chain.filter((link) => !isOutline(link));
  const at = isOutlineFirst ? others.findIndex(isFilling) : others.findLastIndex(isFilling) + 1;
  if (outlines.length === 0 || !others.some(isFilling)) return chain;
  return [...others.slice(0, at), ...outlines, ...others.slice(at)];
}

function layerRules(steps: readonly Step[], chains: ReadonlyMap<string, ReadonlyMap<number, Chain>>): Rule[] {
  return [...chains.values()].flatMap((ofPart) =>
    [...ofPart.values()].flatMap((chain) =>
      chain.slice(1).flatMap((link, k) =>
        [...pairs(chain[k]!, link)].map(([before, after]): Rule => {
          const [one, other] = [steps[before]!, steps[after]!];
          if (one.layer === other.layer && one.zone > 0) {
            return { id: isPainting(one) ? 'fur' : 'in-turn', before, after };
          }
          const roles = [one.role, other.role];
          const isOutline = roles.includes('outline') && roles.includes('filling');
          return { id: isOutline ? 'outline' : 'layers', before, after };
        }),
      ),
    ),
  );
}

function* pairs(
  before: readonly number[],
  after: readonly number[],
): Generator<readonly [before: number, after: number]> {
  for (const one of before) for (const other of after) yield [one, other];
}

/** One part before another: where both lie in the same positions, there; else altogether. */
function* between(
  before: ReadonlyMap<number, Chain> | undefined,
  after: ReadonlyMap<number, Chain> | undefined,
): Generator<readonly [before: number, after: number]> {
  if (!before || !after) return;
  const shared = [...before.keys()].filter((position) => after.has(position));
  if (shared.length > 0) {
    for (const position of shared) yield* pairs(valueOf(before, position).at(-1)!, valueOf(after, position)[0]!);
    return;
  }
  for (const one of before.values()) for (const other of after.values()) yield* pairs(one.at(-1)!, other[0]!);
}

function ownRules(
  { order }: PlanInput,
  steps: readonly Step[],
  chains: ReadonlyMap<string, ReadonlyMap<number, Chain>>,
): Rule[] {
  const numbers = ({ part, layer, shade }: LayerRef, isBefore: boolean): readonly number[] => {
    const ofPart = [...(chains.get(part)?.values() ?? [])];
    if (layer === null) return ofPart.flatMap((chain) => (isBefore ? chain.at(-1)! : chain[0]!));
    return ofPart.flat(2).filter((i) => steps[i]!.layer === layer && (shade === null || steps[i]!.shade === shade));
  };
  // The newest word counts most.
  return [...order.pairs]
    .reverse()
    .flatMap(({ before, after }) =>
      numbers(before, true).flatMap((one) =>
        numbers(after, false).flatMap((other): Rule[] =>
          one === other ? [] : [{ id: 'own', before: one, after: other }],
        ),
      ),
    );
}

/** Raised work after whatever is worked in a position whose ring would lie on it. */
function raisedRules(
  { hoop, positions }: PlanInput,
  parts: readonly PlannedPart[],
  steps: readonly Step[],
  memory: Memory,
): Rule[] {
  if (!hoop || positions.length < 2) return [];
  const rings = new Map(
    raisedParts(parts, hoop, positions, memory).map(({ partId, underRingOf }) => [partId, underRingOf]),
  );
  const byPosition = positions.map((_, k) => steps.flatMap(({ position }, i) => (position === k ? [i] : [])));
  return steps.flatMap(({ part, position }, after) =>
    (rings.get(part) ?? [])
      .filter((ring) => ring !== position)
      .flatMap((ring) =>
        byPosition[ring]!.filter((before) => steps[before]!.part !== part).map((before): Rule => ({
          id: 'raised-last',
          before,
          after,
        })),
      ),
  );
}

/** What lies behind before what lies in front where they meet; a line that bounds an area as the school says. */
function drawingRules(
  piece: PlanInput,
  parts: readonly PlannedPart[],
  chains: ReadonlyMap<string, ReadonlyMap<number, Chain>>,
  memory: Memory,
): Rule[] {
  const isFirst = outlinesFirst(piece);
  const boxes = parts.map(({ part, placed }) => (chains.has(part.id) ? placed.box : null));
  const widest = Math.max(0, ...parts.flatMap(({ passes }) => passes.map(({ laidMm }) => laidMm)));
  return earlierMeeting(boxes, Math.min(widest, 2)).flatMap((earlier, i) =>
    earlier.flatMap((j): Rule[] => {
      const [back, front] = [parts[j]!, parts[i]!];
      // A line round cloth that is laid on comes after that cloth, whatever the school.
      const bounds = back.part.scrap || front.part.scrap ? null : boundOf(back, front, memory);
      if (!bounds && gapBetween(back.placed, front.placed, memory) > (laidOf(back) + laidOf(front)) / 2) return [];
      const isFeature = !bounds && isFeatureOf(front, back);
      const isTurned = bounds ? (bounds === back) !== isFirst : isFeature;
      const [before, after] = isTurned ? [front, back] : [back, front];
      return [...between(chains.get(before.part.id), chains.get(after.part.id))].map(([one, other]) => ({
        id: bounds ? 'outline' : isFeature ? 'features' : 'behind',
        before: one,
        after: other,
      }));
    }),
  );
}

/** A feature takes at most this share of the area in which it lies. */
const FEATURE_SHARE = 0.25;

/** Whether an area is an eye, a nose, an ear of what is painted about it: that is worked first, and the hair is laid over its rim. */
function isFeatureOf({ placed, passes }: PlannedPart, painted: PlannedPart): boolean {
  const [own, around] = [placed.box, painted.placed.box];
  if (placed.kind !== 'area' || !painted.passes.some(isPainting) || passes.some(isPainting) || !own || !around)
    return false;
  const isWithin =
    own.minX >= around.minX && own.maxX <= around.maxX && own.minY >= around.minY && own.maxY <= around.maxY;
  return isWithin && placed.areaMm2 <= FEATURE_SHARE * painted.placed.areaMm2;
}

/** Which of two parts is a line that bounds the other; null where neither does. */
function boundOf(a: PlannedPart, b: PlannedPart, memory: Memory): PlannedPart | null {
  for (const [line, area] of [
    [a, b],
    [b, a],
  ] as const) {
    if (line.placed.kind !== 'line' || area.placed.kind !== 'area') continue;
    if (gapBetween(line.placed, area.placed, memory) > laidOf(line)) continue;
    if (boundsShare(line.placed, area.placed, laidOf(line), memory) >= BOUNDS_SHARE) return line;
  }
  return null;
}

function laidOf({ passes }: PlannedPart): number {
  return Math.max(0, ...passes.map(({ laidMm }) => laidMm));
}
