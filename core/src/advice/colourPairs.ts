import { touch, TREATMENT } from '../propose/index.ts';
import type { PlannedPart, PlannedPass } from '../work/index.ts';
import type { Plan } from '../thread/index.ts';
import { deltaE, labOf, separation, type Lab, type Separation } from '../colour/index.ts';
import { edgesOf, type PlacedShape, type ShapePair } from '../drawing/index.ts';
import { boxesMeet, earlierMeeting, isInside, narrowestGap, placesOf } from '../geometry/index.ts';
import { Memory, stage, valueOf } from '../measure/index.ts';
import { colourName, type PlanInput } from '../piece/index.ts';
import { stitchKind } from '../stitches/index.ts';
import { THRESHOLDS } from './thresholds.ts';

/** Two colours of a piece that meet somewhere. */
export interface ColourPair {
  /** Ids in the palette, the first before the second. */
  readonly a: string;
  readonly b: string;
  /** Whether they are to be told apart, or are shades of one ladder, which only want to be worth two skeins. */
  readonly wanted: 'apart' | 'ladder';
  /** Parts that meet in them: one in the first colour, one in the second; the same part for a ladder. */
  readonly where: readonly (readonly [string, string])[];
  /** How wide the narrower stretches of each are where they meet, mm. */
  readonly widthsMm: readonly [number, number];
}

/** What of a part is seen at its edge, and how wide it lies there. */
interface SeenColour {
  readonly colour: string;
  readonly widthMm: number;
}

/** How wide a knot stands, about, in laid widths. */
const KNOT_WIDTHS = 2.2;

function seenColours({ part, placed, passes }: PlannedPart): SeenColour[] {
  const widthOf = (pass: PlannedPass, isLine: boolean): number => {
    if (isLine) return pass.laidMm * Math.max(1, stitchKind(pass.stitch).coverWidths);
    return placed.kind === 'spot' ? pass.laidMm * KNOT_WIDTHS : placed.meanWidthMm;
  };
  const outline = passes.find(({ role }) => role === 'outline');
  const pass = outline ?? passes.find(({ role }) => role === 'filling');
  if (!pass) return [];
  const widthMm = widthOf(pass, outline !== undefined || placed.kind === 'line');
  const colours = new Set(pass.threads.map(({ colour }) => colour ?? part.colour));
  return [...colours].map((colour) => ({ colour, widthMm: widthMm / colours.size }));
}

/** Whether two parts touch, or one lies upon the other. */
export const MEETING = stage<ShapePair>()('meeting', ['a', 'b'], ({ a, b }, memory): boolean => {
  if (a.kind === 'area' && b.kind === 'area') return touch(a, b, memory);
  if (a.kind === 'area' && liesUpon(b, a)) return true;
  if (b.kind === 'area' && liesUpon(a, b)) return true;
  if (a.kind === 'spot' || b.kind === 'spot') return false;
  return narrowestGap(edgesOf(a.shape), edgesOf(b.shape), TREATMENT.touchingMm) !== null;
});

function liesUpon({ shape }: PlacedShape, { shape: area }: PlacedShape): boolean {
  const points = [...shape.lines.map((line) => line.points), shape.spots];
  return points.some((places) => {
    for (const [x, y] of placesOf(places)) if (isInside(area.region, x, y)) return true;
    return false;
  });
}

/**
 * The pairs of colours that meet in a piece.
 * @param isWorth passes over pairs of colours that are not asked about, before anything is measured
 */
export function colourPairs(
  { parts }: Plan,
  memory = new Memory(),
  isWorth: (a: string, b: string) => boolean = () => true,
): ColourPair[] {
  const found = new Map<string, { pair: ColourPair; where: (readonly [string, string])[] }>();
  const note = (one: SeenColour, other: SeenColour, wanted: ColourPair['wanted'], where: [string, string]): void => {
    const isTurned = one.colour > other.colour;
    const [a, b] = isTurned ? [other, one] : [one, other];
    const parts_: [string, string] = isTurned ? [where[1], where[0]] : where;
    const key = `${a.colour}\n${b.colour}`;
    const before = found.get(key);
    // Colours of a ladder that also meet elsewhere are to be told apart there.
    const isApart = before?.pair.wanted === 'apart' || wanted === 'apart';
    const list = [...(before?.where ?? []), parts_] as (readonly [string, string])[];
    const widths = before?.pair.widthsMm ?? [Infinity, Infinity];
    found.set(key, {
      where: list,
      pair: {
        a: a.colour,
        b: b.colour,
        wanted: isApart ? 'apart' : 'ladder',
        where: list,
        widthsMm: [Math.min(widths[0], a.widthMm), Math.min(widths[1], b.widthMm)],
      },
    });
  };
  const seen = parts.map(seenColours);
  const earlier = earlierMeeting(
    parts.map(({ placed }) => placed.box),
    TREATMENT.touchingMm,
  );
  parts.forEach((part, i) => {
    laddersOf(part).forEach(([one, other]) => {
      if (one.colour !== other.colour && isWorth(one.colour, other.colour)) {
        note(one, other, 'ladder', [part.part.id, part.part.id]);
      }
    });
    for (const j of earlier[i]!) {
      const other = parts[j]!;
      for (const one of seen[i]!) {
        for (const two of seen[j]!) {
          if (one.colour === two.colour || isOneLadder(part, other, one.colour, two.colour)) continue;
          if (!isWorth(one.colour, two.colour) || !isNear(part.placed, other.placed)) continue;
          const pair = { a: part.placed, b: other.placed };
          if (memory.made(MEETING, [part.part.id, other.part.id], pair))
            note(one, two, 'apart', [part.part.id, other.part.id]);
        }
      }
    }
  });
  return [...found.values()].map(({ pair }) => pair);
}

function isNear(a: PlacedShape, b: PlacedShape): boolean {
  return a.box !== null && b.box !== null && boxesMeet(a.box, b.box, TREATMENT.touchingMm);
}

/** Neighbouring shades of the passes of a part. */
function laddersOf(planned: PlannedPart): [SeenColour, SeenColour][] {
  const widthMm = planned.placed.meanWidthMm;
  return planned.passes.flatMap(({ shades }) =>
    shades.slice(1).map((shade, i): [SeenColour, SeenColour] => [
      { colour: shades[i]!, widthMm: widthMm / shades.length },
      { colour: shade, widthMm: widthMm / shades.length },
    ]),
  );
}

/** Like parts that are shaded with the same colours meet in shades of one ladder. */
function isOneLadder(one: PlannedPart, other: PlannedPart, a: string, b: string): boolean {
  const holds = ({ passes }: PlannedPart): boolean =>
    passes.some(({ shades }) => shades.includes(a) && shades.includes(b));
  return holds(one) || holds(other);
}

/** What a palette looks like: the colour that each entry is worked in. */
export type Worn = ReadonlyMap<string, string>;

export function wornColours({ palette }: PlanInput): Worn {
  return new Map(palette.map((colour) => [colour.id, colourName(colour).hex]));
}

/** A pair with how far apart its colours are in every way of seeing. */
export interface JudgedPair extends ColourPair {
  readonly separation: Separation;
  /** What falls short of what is wanted; empty: nothing. */
  readonly short: readonly ('colour' | 'lightness' | 'ladder' | 'armsLength' | 'lamp' | 'blind')[];
}

/** All pairs of a piece, the nearest first. */
export function judgePairs(piece: PlanInput, plan: Plan, memory = new Memory()): JudgedPair[] {
  const worn = wornColours(piece);
  return colourPairs(plan, memory)
    .map((pair): JudgedPair => {
      const apart = separation(valueOf(worn, pair.a), valueOf(worn, pair.b), pair.widthsMm);
      return { ...pair, separation: apart, short: shortcomings(pair, apart) };
    })
    .sort((a, b) => b.short.length - a.short.length || a.separation.daylight - b.separation.daylight);
}

function shortcomings({ wanted }: ColourPair, apart: Separation): JudgedPair['short'] {
  if (wanted === 'ladder') return apart.daylight < THRESHOLDS.ladderStep ? ['ladder'] : [];
  const short: JudgedPair['short'][number][] = [];
  if (apart.daylight < THRESHOLDS.tooAlike) short.push('colour');
  if (apart.daylight < THRESHOLDS.clearColour && apart.lightness < THRESHOLDS.tooAlikeLightness)
    short.push('lightness');
  if (short.includes('colour')) return short;
  if (apart.armsLength < THRESHOLDS.tooAlike) short.push('armsLength');
  if (apart.lamp < THRESHOLDS.tooAlike) short.push('lamp');
  if (isConfusable(apart)) short.push('blind');
  return short;
}

/** Distinct for most, alike for one of the common kinds of colour blindness. */
export function isConfusable({ daylight, protan, deutan, tritan }: Separation): boolean {
  return daylight >= THRESHOLDS.tooAlike && Math.min(protan, deutan, tritan) < THRESHOLDS.confusable;
}

export interface ShortfallOptions {
  /** Only what this colour has to do with. */
  readonly only?: string;
  /** Whether pairs are to differ in lightness too. */
  readonly lightness?: boolean;
}

/** How far apart the colours of a pair are wanted, ΔE2000. */
export function leastApart({ wanted }: Pick<ColourPair, 'wanted'>): number {
  return wanted === 'apart' ? THRESHOLDS.tooAlike : THRESHOLDS.ladderStep;
}

/** How far a palette falls short of what its pairs and its cloth want, in ΔE2000; nought: of nothing. */
export function shortfall(
  pairs: readonly ColourPair[],
  worn: Worn,
  clothHex: string,
  { only, lightness = false }: ShortfallOptions = {},
): number {
  const labs = new Map<string, Lab>();
  const lab = (id: string): Lab => {
    const known = labs.get(id) ?? labOf(valueOf(worn, id));
    labs.set(id, known);
    return known;
  };
  let sum = 0;
  for (const pair of pairs) {
    const { a, b } = pair;
    if (only !== undefined && a !== only && b !== only) continue;
    sum += Math.max(0, leastApart(pair) - deltaE(lab(a), lab(b)));
    if (lightness && pair.wanted === 'apart') {
      sum += Math.max(0, THRESHOLDS.tooAlikeLightness - Math.abs(lab(a).l - lab(b).l));
    }
  }
  const cloth = labOf(clothHex);
  for (const id of only === undefined ? usedIn(pairs) : [only]) {
    if (worn.has(id)) sum += Math.max(0, THRESHOLDS.lostInCloth - deltaE(lab(id), cloth));
  }
  return sum;
}

function usedIn(pairs: readonly ColourPair[]): Set<string> {
  return new Set(pairs.flatMap(({ a, b }) => [a, b]));
}
