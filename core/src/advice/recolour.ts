import { valueOf } from '../measure/index.ts';
import { deltaE, labOf, turnedColour, type Lab } from '../colour/index.ts';
import { isSameShade, refOf, type Shade, type ShadeRef } from '../materials/index.ts';
import { type Piece, colourName, shadesOf } from '../piece/index.ts';
import { leastApart, shortfall, wornColours, type ColourPair, type Worn } from './colourPairs.ts';
import { THRESHOLDS } from './thresholds.ts';

/** One colour of a piece in another shade. */
export interface Recolouring {
  readonly colour: string;
  readonly shade: ShadeRef;
  /** How far the new shade lies from the old one, ΔE2000. */
  readonly moved: number;
}

/** A shade that does any harm elsewhere is as bad as one that lies further off by this and by ten times what it falls short by, ΔE. */
const HARM = { any: 40, each: 10 } as const;

/**
 * The one shade whose change tells a pair apart with the least harm to the rest: it moves little, and brings no other pair and
 * not the cloth nearer than they should be.
 * @param shades that may be taken, those that are owned first: of equally good ones the earlier is taken
 * @param wantsLightness whether the pair is to differ in lightness too
 * @returns null where no shade mends it
 */
export function mendPair(
  piece: Piece,
  pairs: readonly ColourPair[],
  pair: ColourPair,
  shades: readonly Shade[],
  { wantsLightness = false } = {},
): Recolouring | null {
  const worn = wornColours(piece);
  const cloth = piece.cloth.colour;
  const least = leastApart(pair);
  const taken = piece.palette.map((colour) => shadesOf(colour).first);
  const others = pairs.filter(({ a, b }) => a !== pair.a || b !== pair.b);
  let best: { change: Recolouring; cost: number } | null = null;
  for (const colour of [pair.a, pair.b]) {
    const other = labOf(valueOf(worn, colour === pair.a ? pair.b : pair.a));
    const now = labOf(valueOf(worn, colour));
    const options = { only: colour, lightness: wantsLightness };
    const before = shortfall(others, worn, cloth, options);
    for (const shade of shades) {
      const apart = deltaE(shade.lab, other);
      if (apart < least || (wantsLightness && Math.abs(shade.lab.l - other.l) < THRESHOLDS.tooAlikeLightness)) continue;
      const moved = deltaE(shade.lab, now);
      if (best && moved >= best.cost) continue;
      if (taken.some((known) => isSameShade(known, shade))) continue;
      const after = shortfall(others, new Map([...worn, [colour, shade.hex]]), cloth, options);
      const harm = after - before;
      const cost = moved + (harm > 1e-6 ? HARM.any + HARM.each * harm : 0);
      if (!best || cost < best.cost - 1e-9) best = { change: { colour, shade: refOf(shade), moved }, cost };
    }
  }
  return best?.change ?? null;
}

/** A whole palette that keeps all separations. */
export interface Variation {
  readonly name: string;
  readonly shades: ReadonlyMap<string, ShadeRef>;
}

/** Ways in which a palette is turned: its hues by degrees, its colour by a factor. Greys stay. */
const TURNS: readonly { readonly name: string; readonly hueDeg: number; readonly chroma: number }[] = [
  { name: 'Warmer', hueDeg: -25, chroma: 1.05 },
  { name: 'Cooler', hueDeg: 25, chroma: 1 },
  { name: 'Quieter', hueDeg: 0, chroma: 0.55 },
  { name: 'Brighter', hueDeg: 0, chroma: 1.35 },
  { name: 'Hues a quarter of the wheel round', hueDeg: 90, chroma: 1 },
  { name: 'Opposite', hueDeg: 180, chroma: 1 },
  { name: 'Hues a quarter round the other way', hueDeg: -90, chroma: 1 },
  { name: 'Hues a third of the wheel round', hueDeg: 120, chroma: 1 },
];
/** Pairs that are mended before a palette is given up. */
const MOST_MENDED = 24;

/**
 * Whole palettes in other shades in which every pair is told apart as well as wanted, or better than now where it is not yet.
 * @param shades that may be taken
 */
export function varyPalette(piece: Piece, pairs: readonly ColourPair[], shades: readonly Shade[]): Variation[] {
  const now = shortfall(pairs, wornColours(piece), piece.cloth.colour);
  return TURNS.flatMap(({ name, hueDeg, chroma }): Variation[] => {
    let turned: Piece = { ...piece, palette: takeDistinct(piece, shades, hueDeg, chroma) };
    for (let i = 0; i < MOST_MENDED; i++) {
      const worst = worstPair(pairs, wornColours(turned));
      if (!worst) break;
      const change = mendPair(turned, pairs, worst, shades);
      if (!change) break;
      turned = {
        ...turned,
        palette: turned.palette.map((colour) =>
          colour.id === change.colour ? { ...colour, shade: change.shade, second: null } : colour,
        ),
      };
    }
    const left = shortfall(pairs, wornColours(turned), piece.cloth.colour);
    if (left > Math.min(now, 1e-9) && left >= now) return [];
    return [{ name, shades: new Map(turned.palette.map(({ id, shade }) => [id, shade!])) }];
  });
}

/** The palette turned, each colour in the nearest shade that no other has taken. */
function takeDistinct(piece: Piece, shades: readonly Shade[], hueDeg: number, chroma: number): Piece['palette'] {
  const taken = new Set<Shade>();
  return piece.palette.map((colour) => {
    const wanted = labOf(turnedColour(colourName(colour).hex, hueDeg, chroma));
    const free = shades.filter((shade) => !taken.has(shade));
    const shade = nearestOf(wanted, free.length > 0 ? free : shades);
    taken.add(shade);
    return { ...colour, shade: refOf(shade), second: null, lot: null };
  });
}

function nearestOf(wanted: Lab, shades: readonly Shade[]): Shade {
  return shades.reduce((best, shade) => (deltaE(wanted, shade.lab) < deltaE(wanted, best.lab) ? shade : best));
}

function worstPair(pairs: readonly ColourPair[], worn: Worn): ColourPair | null {
  let [worst, most]: [ColourPair | null, number] = [null, 0];
  for (const pair of pairs) {
    const short = leastApart(pair) - deltaE(labOf(valueOf(worn, pair.a)), labOf(valueOf(worn, pair.b)));
    if (short > most) [worst, most] = [pair, short];
  }
  return worst;
}

/** A shade in place of one that cannot be had, and what becomes of its neighbours. */
export interface Substitute {
  readonly shade: Shade;
  /** ΔE2000 from the shade that it stands for. */
  readonly difference: number;
  /** Colours that it would come too near to, with the ΔE that is left. */
  readonly tooNear: readonly { readonly colour: string; readonly difference: number }[];
  /** Whether it would be lost in the cloth. */
  readonly isLost: boolean;
}

/** The shades nearest to what a colour is worked in, with their effect on what it touches: harmless ones first. */
export function substitutes(
  piece: Piece,
  pairs: readonly ColourPair[],
  colourId: string,
  shades: readonly Shade[],
  count = 4,
): Substitute[] {
  const colour = piece.palette.find(({ id }) => id === colourId);
  if (!colour) return [];
  const { first } = shadesOf(colour);
  const wanted = labOf(colourName(colour).hex);
  const worn = wornColours(piece);
  const cloth = labOf(piece.cloth.colour);
  const near = pairs.filter(({ a, b }) => a === colourId || b === colourId);
  return shades
    .filter((shade) => !isSameShade(shade, first))
    .map((shade) => ({ shade, difference: deltaE(wanted, shade.lab) }))
    .sort((a, b) => a.difference - b.difference)
    .slice(0, count * 2)
    .map(({ shade, difference }): Substitute => {
      const tooNear = near.flatMap((pair) => {
        const other = pair.a === colourId ? pair.b : pair.a;
        const apart = deltaE(shade.lab, labOf(valueOf(worn, other)));
        return apart < leastApart(pair) ? [{ colour: other, difference: apart }] : [];
      });
      return { shade, difference, tooNear, isLost: deltaE(shade.lab, cloth) < THRESHOLDS.lostInCloth };
    })
    .sort((a, b) => Number(a.tooNear.length > 0 || a.isLost) - Number(b.tooNear.length > 0 || b.isLost))
    .slice(0, count);
}
