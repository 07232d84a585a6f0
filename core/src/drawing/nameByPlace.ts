import { colourWords, labOf } from '../colour/index.ts';
import { aroundBoxes, placeWithin, type Box } from '../geometry/index.ts';
import type { Part } from '../piece/index.ts';
import * as say from './words.ts';

/** A part that was read, and what it covers of the drawing, mm. */
export interface ReadPart {
  readonly part: Part;
  readonly hex: string;
  readonly box: Box;
  /** The number of the area whose outline it is, where it was drawn as one shape with it. */
  readonly outlined: number | null;
  /** Whether the drawing gave it no name that a person would say. */
  readonly isNameless: boolean;
  /** Whether its name came with it from a piece. */
  readonly isKept: boolean;
}

/** What drawing programs call what nobody named: “path1234”, “Layer 3”, “g-12”. */
const MADE_UP =
  /^(?:path|rect|circle|ellipse|polygon|polyline|line|g|group|shape|layer|svg|use|vector|object|area|spot|part|xmlid|id|text)?(?:[-_ ]?\d+)+$/i;

/** Whether a name is none that a person would say. */
export function isMadeUpName(name: string): boolean {
  return name.trim() === '' || MADE_UP.test(name.trim());
}

/** Larger than this share of the drawing’s longer side is long or large, smaller is small. */
const SIZES = { long: 0.5, large: 0.4, small: 0.08 } as const;
/** Something is long that is this many times as long as it is wide. */
const LONG_FORM = 2.5;
/** What is nearer than this to a part with a name is told by it, as a share of the drawing’s longer side. */
const NEAR = 0.3;
/** Colours lighter and darker than this are called so (CIELAB); what is bright is not pale. */
const TONES = { pale: 75, dark: 32, bright: 45, grey: 10, white: 86, black: 26 } as const;

/**
 * Parts without a name are called by what and where they are: “Long blue line, left of “Boat””, “Small red area, top right, 2 of 3”.
 * Names that a drawing gave stay as they are.
 */
export function namedByPlace(parts: readonly ReadPart[]): Part[] {
  const whole = parts.map(({ box }) => box).reduce(aroundBoxes, EMPTY);
  const sideMm = Math.max(whole.maxX - whole.minX, whole.maxY - whole.minY);
  const landmarks = parts.filter(({ part, isNameless }) => !isNameless && part.kind === 'area');
  // What is alone is large or small against nothing, and nowhere but where it is.
  const isAlone = parts.filter(({ outlined }) => outlined === null).length === 1;
  const colours = new Map<string, ColourCalled>();
  const called = parts.map((one): string | null => {
    if (!one.isNameless || one.outlined !== null) return null;
    const what = whatItIs(one, isAlone ? Infinity : sideMm, colours);
    return isAlone ? what : say.whatAndWhere(what, whereItIs(one, landmarks, whole, sideMm));
  });
  const alike = new Map<string, number[]>();
  called.forEach((name, i) => {
    if (name === null) return;
    const members = alike.get(name);
    if (members) members.push(i);
    else alike.set(name, [i]);
  });
  const names = new Map<number, string>();
  for (const [name, members] of alike) {
    const places = inReadingOrder(members.map((i) => parts[i]!.box));
    members.forEach((i, k) =>
      names.set(i, members.length === 1 ? name : say.oneOfAlike(name, places[k]!, members.length)),
    );
  }
  const nameAt = (i: number): string => names.get(i) ?? parts[i]!.part.name;
  return parts.map(({ part, outlined, isKept }, i) => ({
    ...part,
    name: isKept ? part.name : outlined === null ? nameAt(i) : say.outlineOf(nameAt(outlined)),
  }));
}

const EMPTY: Box = { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity };

const middleOf = ({ minX, minY, maxX, maxY }: Box): [number, number] => [(minX + maxX) / 2, (minY + maxY) / 2];

/** What a colour is called, and whether it is pale or dark. */
interface ColourCalled {
  readonly name: string;
  readonly tone: 'pale' | 'dark' | null;
}

/** @param colours those that were asked for before, by their hex */
function whatItIs({ part, hex, box }: ReadPart, sideMm: number, colours: Map<string, ColourCalled>): string {
  const colour = colours.get(hex) ?? { name: colourWords(hex)[0]!, tone: toneOf(hex) };
  colours.set(hex, colour);
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const [longer, shorter] = [Math.max(width, height), Math.min(width, height)];
  const isLong = part.kind === 'line' ? longer > SIZES.long * sideMm : longer > LONG_FORM * shorter;
  const size =
    part.kind === 'spot' || !Number.isFinite(sideMm)
      ? null
      : longer < SIZES.small * sideMm
        ? 'small'
        : isLong
          ? 'long'
          : shorter > SIZES.large * sideMm
            ? 'large'
            : null;
  return say.whatPart(size, colour.tone, colour.name, part.kind);
}

function toneOf(hex: string): 'pale' | 'dark' | null {
  const { l, a, b } = labOf(hex);
  const chroma = Math.hypot(a, b);
  // White and black are as pale and as dark as can be.
  if (chroma < TONES.grey && (l > TONES.white || l < TONES.black)) return null;
  return l > TONES.pale && chroma < TONES.bright ? 'pale' : l < TONES.dark ? 'dark' : null;
}

/** By the nearest part with a name, else by its place in the drawing. */
function whereItIs({ box }: ReadPart, landmarks: readonly ReadPart[], whole: Box, sideMm: number): string {
  const [x, y] = middleOf(box);
  let [nearest, nearestMm]: [ReadPart | null, number] = [null, NEAR * sideMm];
  for (const one of landmarks) {
    const [dx, dy] = [Math.max(one.box.minX - x, 0, x - one.box.maxX), Math.max(one.box.minY - y, 0, y - one.box.maxY)];
    const mm = Math.hypot(dx, dy);
    if (mm < nearestMm) [nearest, nearestMm] = [one, mm];
  }
  if (!nearest) return say.inDrawing(placeWithin(whole, x, y));
  if (nearestMm === 0) return say.onPart(nearest.part.name, placeWithin(nearest.box, x, y));
  const [nx, ny] = middleOf(nearest.box);
  const isBeside = Math.abs(x - nx) > Math.abs(y - ny);
  return say.besidePart(nearest.part.name, isBeside ? (x < nx ? 'left' : 'right') : y < ny ? 'above' : 'below');
}

/** The place of each box from the left, or from the top where they lie below one another; from 1. */
function inReadingOrder(boxes: readonly Box[]): number[] {
  const middles = boxes.map(middleOf);
  const [xs, ys] = [middles.map(([x]) => x), middles.map(([, y]) => y)];
  const isAcross = Math.max(...xs) - Math.min(...xs) >= Math.max(...ys) - Math.min(...ys);
  const order = middles.map((_, i) => i).sort((a, b) => (isAcross ? xs[a]! - xs[b]! : ys[a]! - ys[b]!));
  const places = boxes.map(() => 0);
  order.forEach((i, k) => (places[i] = k + 1));
  return places;
}
