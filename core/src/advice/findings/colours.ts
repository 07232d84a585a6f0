import { least } from 'd3-array';
import { edgesOf, type PlacedShape } from '../../drawing/index.ts';
import { boxesMeet, distanceToLines, isInside, placesOf, segmentsOf, type Place } from '../../geometry/index.ts';
import { WORN_USES } from '../../propose/index.ts';
import { runningColours } from '../../transfer/index.ts';
import { usesColour, topmostBelow, laidScraps, passesAsWorked } from '../../work/index.ts';
import { type Plan } from '../../thread/index.ts';
import { deltaE, labOf, separation } from '../../colour/index.ts';
import { comesIn, isSameShade, RANGES, strandChoices, threadKind, type Shade } from '../../materials/index.ts';
import { roundTo, type Memory, valueOf } from '../../measure/index.ts';
import {
  setColour,
  setPasses,
  setShade,
  COLOUR_NAME,
  colourName,
  type Part,
  type Pass,
  type PlanInput,
  colourOf,
} from '../../piece/index.ts';
import { colourPairs, isConfusable, wornColours } from '../colourPairs.ts';
import {
  hundredths,
  type Finding,
  type Case,
  type Offer,
  type FindingKinds,
  type FindingRemedies,
  type FiguresOf,
} from '../finding.ts';
import { mendPair } from '../recolour.ts';
import { THRESHOLDS } from '../thresholds.ts';
import * as say from '../words.ts';

/** Colours that meet and cannot be told apart, lots that are mixed, dyes that may run. */
export function colourFindings(piece: PlanInput, plan: Plan, memory: Memory): Finding[] {
  if (piece.use === 'whitework') return [];
  const worn = wornColours(piece);
  const labs = new Map([...worn].map(([id, hex]) => [id, labOf(hex)]));
  const name = (id: string): string => memory.made(COLOUR_NAME, [], colourOf(piece, id), id).name;
  const found: Finding[] = [];
  const pairs = colourPairs(plan, memory);
  let confusable: { a: string; b: string; kind: FiguresOf['confusable']['kind'] } | null = null;
  let confusions = 0;
  for (const { a, b, wanted, where, widthsMm } of pairs) {
    const [labA, labB] = [valueOf(labs, a), valueOf(labs, b)];
    const difference = roundTo(deltaE(labA, labB), 1);
    const lightness = roundTo(Math.abs(labA.l - labB.l), 1);
    const [part, other] = where[0]!;
    const figures = { colour: name(a), other: name(b), a, b, difference, lightness };
    const isSame = sameShade(piece, a, b);
    if (isSame) {
      const [lot, otherLot] = [a, b].map((id) => colourOf(piece, id).lot);
      if (lot !== otherLot) {
        found.push({
          id: 'lots-mixed',
          part,
          figures: { colour: name(a), a, b, lot: lot ?? '?', otherLot: otherLot ?? '?' },
        });
      }
      continue;
    }
    if (wanted === 'ladder') {
      if (difference < THRESHOLDS.ladderStep) found.push({ id: 'too-alike', part, figures: { ...figures, ladder: 1 } });
    } else if (
      difference < THRESHOLDS.tooAlike ||
      (difference < THRESHOLDS.clearColour && lightness < THRESHOLDS.tooAlikeLightness)
    ) {
      found.push({ id: 'too-alike', part: part === other ? part : other, figures });
    }
    if (wanted === 'apart') {
      const apart = separation(valueOf(worn, a), valueOf(worn, b), widthsMm);
      if (isConfusable(apart)) {
        confusions++;
        const kind = apart.tritan < Math.min(apart.protan, apart.deutan) ? 'blue and yellow' : 'red and green';
        confusable ??= { a: name(a), b: name(b), kind };
      }
    }
  }
  if (confusable) found.push({ id: 'confusable', part: null, figures: { ...confusable, pairs: confusions } });
  return [...found, ...blendFindings(piece, plan), ...runningFindings(piece, plan)];
}

/** Colours that vanish into the cloth. */
export function clothColourFindings(piece: PlanInput, plan: Plan, memory: Memory): Finding[] {
  if (piece.use === 'whitework') return [];
  const grounds = groundsOf(piece, plan, memory);
  const hexes = [...new Set([piece.cloth.colour, ...[...grounds.values()].map(({ hex }) => hex)])];
  return piece.palette.flatMap((colour): Finding[] => {
    const { name, hex } = memory.made(COLOUR_NAME, [], colour, colour.id);
    const lab = labOf(hex);
    const differences = new Map(hexes.map((ground) => [ground, hundredths(deltaE(labOf(ground), lab))]));
    const difference = (depth: number): number => valueOf(differences, grounds.get(depth)?.hex ?? piece.cloth.colour);
    // Parts are looked through only for a colour that some ground would swallow.
    if ([...differences.values()].every((apart) => apart >= THRESHOLDS.closeToCloth)) return [];
    const lost = plan.parts.findIndex(
      (planned, depth) =>
        // The edge of a scrap may hide in it.
        !planned.part.scrap &&
        difference(depth) < THRESHOLDS.closeToCloth &&
        usesColour(planned, colour.id) &&
        !isSurrounded(plan, depth) &&
        !planned.passes.some(({ role, colour: own }) => role === 'outline' && own !== null && own !== colour.id),
    );
    if (lost < 0) return [];
    return [
      {
        id: 'lost-in-cloth',
        part: plan.parts[lost]!.part.id,
        figures: {
          colour: name,
          a: colour.id,
          difference: difference(lost),
          ground: grounds.get(lost)?.kind ?? 'cloth',
        },
      },
    ];
  });
}

/** Looked at this far outside a part, and in steps of this along its edge, mm. */
const BESIDE_MM = 0.6;
const EDGE_STEP_MM = 1.5;

/** Whether stitches of other parts lie round a part, so that it is seen against them and not against the cloth. */
function isSurrounded({ parts }: Plan, depth: number): boolean {
  const { placed } = parts[depth]!;
  const { box } = placed;
  if (!box) return false;
  const around = parts.filter(
    (other, i) =>
      i !== depth &&
      !other.part.scrap &&
      other.passes.length > 0 &&
      other.placed.box &&
      boxesMeet(other.placed.box, box, BESIDE_MM),
  );
  if (around.length === 0) return false;
  const places = placesBeside(placed);
  const hidden = places.filter(([x, y]) =>
    around.some(({ placed: { kind, shape } }) =>
      kind === 'area' ? isInside(shape.region, x, y) : distanceToLines(shape.lines, x, y) < BESIDE_MM,
    ),
  );
  return hidden.length >= THRESHOLDS.surrounded * places.length;
}

/** Places just outside an area or on both sides of a line; round a dot. */
function placesBeside({ shape }: PlacedShape): Place[] {
  const places: Place[] = [];
  for (const line of [...edgesOf(shape)]) {
    for (const [[ax, ay], [bx, by]] of segmentsOf(line)) {
      const length = Math.hypot(bx - ax, by - ay);
      if (length === 0) continue;
      const [nx, ny] = [(BESIDE_MM * (by - ay)) / length, (BESIDE_MM * (ax - bx)) / length];
      const count = Math.max(1, Math.round(length / EDGE_STEP_MM));
      for (let i = 0; i < count; i++) {
        const share = (i + 0.5) / count;
        const [x, y] = [ax + share * (bx - ax), ay + share * (by - ay)];
        for (const side of [1, -1]) {
          const place: Place = [x + side * nx, y + side * ny];
          if (!isInside(shape.region, ...place)) places.push(place);
        }
      }
    }
  }
  for (const [x, y] of placesOf(shape.spots)) places.push([x - BESIDE_MM, y], [x + BESIDE_MM, y]);
  return places;
}

/** What a part is seen against, where that is not the cloth. */
interface Ground {
  readonly kind: 'scrap' | 'print';
  readonly hex: string;
}

/** The scrap or print that a part lies upon, by its place from back to front; none where it lies on the cloth. */
function groundsOf(piece: PlanInput, { parts }: Plan, memory: Memory): ReadonlyMap<number, Ground> {
  const scraps = laidScraps(
    parts.map(({ part }) => part),
    parts.map(({ placed }) => placed),
    memory,
  );
  if (scraps.length === 0) return new Map();
  return new Map(
    parts.flatMap(({ placed }, depth): [number, Ground][] => {
      const below = topmostBelow(scraps, placed, depth);
      if (below === null) return [];
      const { part } = parts[below]!;
      if (part.scrap) return [[depth, { kind: 'scrap', hex: part.scrap.hex }]];
      return [[depth, { kind: 'print', hex: colourName(colourOf(piece, part.colour)).hex }]];
    }),
  );
}

function sameShade(piece: PlanInput, a: string, b: string): boolean {
  const [one, other] = [a, b].map((id) => colourOf(piece, id));
  return one!.shade !== null && isSameShade(one!.shade, other!.shade);
}

/** Two shades in one needle that are worked in strands which can't be shared out between them. */
function blendFindings(piece: PlanInput, { parts }: Plan): Finding[] {
  return piece.palette.flatMap((colour): Finding[] => {
    if (!colour.second) return [];
    for (const { part, passes } of parts) {
      const single = passes.find((pass) => inUnevenBlend(pass, part, colour.id));
      if (!single) continue;
      const figures = { colour: colourName(colour).name, a: colour.id, strands: single.strands };
      return [{ id: 'blend-strands', part: part.id, figures }];
    }
    return [];
  });
}

/** Whether a pass works a colour in an odd number of strands of a thread that has strands. */
function inUnevenBlend(pass: Pass, part: Part, colour: string): boolean {
  const isIn = (pass.shades.length > 0 ? pass.shades : [pass.colour ?? part.colour]).includes(colour);
  return isIn && pass.strands % 2 === 1 && strandChoices(threadKind(pass.thread)).includes(pass.strands + 1);
}

function inPairs({ piece, plan, finding }: Case<'blend-strands'>): Offer[] {
  const { a } = finding.figures;
  const changed = plan.parts.flatMap((planned): [string, Pass[]][] => {
    const { part } = planned;
    const passes = passesAsWorked(planned);
    if (!passes.some((pass) => inUnevenBlend(pass, part, a))) return [];
    return [
      [part.id, passes.map((pass) => (inUnevenBlend(pass, part, a) ? { ...pass, strands: pass.strands + 1 } : pass))],
    ];
  });
  const strands = finding.figures.strands + 1;
  return [[say.useStrands(strands), setPasses(piece, new Map(changed), 'A strand of each shade')]];
}

/** Strong dyes on pale cloth that will be washed. */
function runningFindings(piece: PlanInput, plan: Plan): Finding[] {
  if (!WORN_USES.has(piece.use)) return [];
  const running = runningColours(piece, plan);
  if (running.length === 0) return [];
  const colours = running.map(({ name }) => name).join(', ');
  return [{ id: 'may-run', part: running[0]!.part, figures: { colours } }];
}

function fromOneLot({ piece, finding }: Case<'lots-mixed'>): Offer[] {
  const { a, b } = finding.figures;
  return [['Use one dye lot for both', setColour(piece, b, { lot: colourOf(piece, a).lot })]];
}

/** One of two colours that meet in another shade, where one tells them apart. */
function toldApart({ piece, plan, finding, memory }: Case<'too-alike'>): Offer[] {
  const { a, b, ladder, lightness } = finding.figures;
  const pairs = colourPairs(plan, memory);
  const pair = pairs.find((entry) => entry.a === a && entry.b === b);
  const wantsLightness = !ladder && lightness < THRESHOLDS.tooAlikeLightness;
  const change = pair ? mendPair(piece, pairs, pair, shadesFor(plan, a, b), { wantsLightness }) : null;
  if (!change) return [];
  return [[say.useShade(change.shade.name), setShade(piece, change.colour, change.shade)]];
}

/** The nearest shade that stands out from the cloth; or the part is left to it. */
function offTheCloth({ piece, plan, finding, memory }: Case<'lost-in-cloth'>): Offer[] {
  const { a } = finding.figures;
  const depth = plan.parts.findIndex(({ part }) => part.id === finding.part);
  const part = plan.parts[depth]?.part;
  if (!part) return [];
  const ground = labOf(groundsOf(piece, plan, memory).get(depth)?.hex ?? piece.cloth.colour);
  const lab = labOf(colourName(colourOf(piece, a)).hex);
  const standingOut = shadesFor(plan, a, a).filter((shade) => deltaE(shade.lab, ground) >= THRESHOLDS.closeToCloth);
  const nearest = least(standingOut, (shade) => deltaE(shade.lab, lab));
  const offers: Offer[] = nearest ? [[say.useShade(nearest.name), setShade(piece, a, nearest)]] : [];
  if (part.kind === 'area') offers.push([LEFT_TO_CLOTH, setPasses(piece, new Map([[part.id, []]]), LEFT_TO_CLOTH)]);
  return offers;
}
const LEFT_TO_CLOTH = 'Leave it to the cloth';

/** The shades that come in the thread in which two colours are worked; where they differ, all. */
function shadesFor({ colours }: Plan, a: string, b: string): Shade[] {
  const threads = new Set(colours.flatMap(({ colour, thread }) => (colour === a || colour === b ? [thread] : [])));
  const ranges = RANGES.filter((range) => comesIn(range, [...threads]));
  return (ranges.length > 0 ? ranges : RANGES).flatMap(({ shades }) => [...shades]);
}

/** Where each is looked at, and how bad it is. */
export const COLOURS_KINDS = {
  'lost-in-cloth': {
    step: 'colours',
    severity: ({ difference }) => (difference < THRESHOLDS.lostInCloth ? 'warn' : 'note'),
  },
  'too-alike': {
    step: 'colours',
    severity: ({ difference, ladder }) => (ladder || difference >= THRESHOLDS.tooAlike ? 'note' : 'warn'),
  },
  'lots-mixed': { step: 'thread', severity: 'warn' },
  'blend-strands': { step: 'stitches', severity: 'warn' },
  'may-run': { step: 'colours', severity: 'note' },
  confusable: { step: 'colours', severity: 'note' },
} satisfies Partial<FindingKinds>;

/** What can be done about each, worked out only when it is asked for. */
export const COLOURS_REMEDIES = {
  'lost-in-cloth': offTheCloth,
  'too-alike': toldApart,
  'lots-mixed': fromOneLot,
  'blend-strands': inPairs,
} satisfies Partial<FindingRemedies>;
