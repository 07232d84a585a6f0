import { byCount, formatFine, formatList, formatNumber } from '../measure/index.ts';

export const veryShort = (spans: string): string => `Very short stitches, ${spans} at most.`;

export const satinHolds = (spans: string, spanDeg: number, limitMm: number, use: string): string =>
  `Stitches stay within ${spans} at ${spanDeg}°: smooth and bright (up to ${limitMm} mm holds ${use}).`;

export const satinTooLong = (spans: string, limitMm: number, use: string): string =>
  `Bright and quick, but stitches reach ${spans}; up to ${limitMm} mm holds ${use}.`;

export const flatDisc = (across: string): string => `Flat instead of raised, ${across} across.`;

export const severalKnots = (across: string): string =>
  `${across} across: several knots side by side leave none of it bare.`;

export const oneKnot = (across: string, strands: string, knot: string): string =>
  `Round and ${across} across: one knot of two wraps in ${strands} measures ${knot}.`;

export const stemRound = (across: string): string =>
  `Round and round in stem stitch, from the edge to the middle: firm at ${across}.`;

export const narrowForSatin = (width: string, wanted: string): string =>
  `Only ${width} wide, and satin needs ${wanted}: a row or two of stem stitch along it.`;

export const background = (cm2: string): string =>
  `The background, ${cm2} cm²: a light scatter stays in the background and takes little thread.`;

export const runningRows = (cm2: string): string => `Rows of running stitch over ${cm2} cm²: a quiet background.`;

export const chainAlong = (cm2: string, width: string): string =>
  `${cm2} cm² and ${width} wide: chain stitch along its middle covers it fast and follows the shape.`;

export const chainRound = (cm2: string): string =>
  `${cm2} cm²: chain stitch round and round, from the outline inwards, follows the shape.`;

export const stemRoundArea = (cm2: string): string =>
  `${cm2} cm²: stem stitch round and round, from the outline inwards; firm, and follows the shape.`;

export const laidWork = (cm2: string): string => `${cm2} cm²: laid threads tied down cover a lot in little time.`;

export const padding = (width: string): string => `Padding laid across it: at ${width} it is wide enough to be raised.`;

export const vein = (length: string): string => `${length} long: a line of stem stitch over the middle draws its vein.`;

export const chainBody = (drawn: string): string => `Drawn ${drawn} wide: chain stitch makes a line that broad.`;

export const whippedCord = (drawn: string): string =>
  `Drawn ${drawn} wide: whipping turns a back stitch into a round cord.`;

export const satinBand = (width: string, use: string): string =>
  `Drawn ${width} wide, which is a band: satin across it, as wide as it is drawn, holds ${use}.`;

export const plaitBand = (width: string): string =>
  `Drawn ${width} wide and straight, which is a band: stitches that cross at both sides plait it firmly from edge to edge.`;

export const standsOut = (reason: string, deg: number): string =>
  `${reason} Turned to ${formatNumber(deg)}° so that it stands out from what it touches.`;

export const scrapButtonhole = (use: string): string => `Close buttonhole stitch round it holds any edge ${use}.`;

export const mirrorImage = (reason: string, deg: number, name: string): string =>
  `${reason} At ${formatNumber(deg)}°, as the mirror image of ${name}.`;

/** Why long-and-short, by the direction of its rows, for an area of some width. */
export const longShort: Readonly<Record<'along' | 'radial' | 'straight', (width: string) => string>> = {
  along: (width) =>
    `Wide enough (${width}) for soft rows along its middle, with no line between them; one strand blends best.`,
  radial: (width) =>
    `Wide enough (${width}) for soft rows towards the centre of the flower, with no line between them; one strand blends best.`,
  straight: (width) =>
    `Wide enough (${width}) for soft rows along its length, with no line between them; one strand blends best.`,
};

export const paddedDisc = (across: string): string =>
  `A disc ${across} across: padding underneath lifts the satin, as for a berry or a moon.`;

export const chainDisc = (across: string): string =>
  `A disc ${across} across, too wide for satin: chain stitch round and round, from the edge to the middle.`;

export const knottedDisc = (across: string): string =>
  `A disc ${across} across, a little too wide for satin: closely packed knots stand up like the middle of a flower or a berry.`;

/** A band that turns by some degrees, or strokes and rings where there is no one turn. */
interface Band {
  readonly turnDeg: number | null;
  readonly width: string;
}

const bandText = ({ turnDeg, width }: Band): string =>
  turnDeg === null
    ? `Strokes and rings, ${width} wide`
    : `A band ${width} wide that turns by ${formatNumber(turnDeg)}°`;

export const bandInStem = (band: Band): string =>
  `${bandText(band)}: rows of stem stitch along it, ropy and firm in use.`;

export const bandInSatin = (band: Band, limitMm: number, use: string): string =>
  `${bandText(band)}: satin across it turns with it (up to ${limitMm} mm holds ${use}).`;

export const bandInChain = (band: Band): string => `${bandText(band)}: too wide for satin, so chain stitch along it.`;

export const bandTied = (band: Band, half: string): string =>
  `${bandText(band)}: long stitches across it, each tied in its middle, hold like two of ${half}.`;

export const straightBandTied = (width: string, half: string): string =>
  `A straight band ${width} wide: long stitches across it, each tied in its middle, hold like two of ${half}.`;

export const narrowSplit = (width: string): string => `Only ${width} wide: rows of split stitch along it.`;

export const satinLeaf = (width: string, spans: string): string =>
  `A leaf ${width} wide: two slanting halves that meet at its vein, in stitches of ${spans}.`;

export const chainRows = (cm2: string): string =>
  `${cm2} cm² with straight sides: level or upright rows of chain stitch go fast and lie flat.`;

export const likeTouched = (part: string): string => `Worked like “${part}”, which it touches: they read as one line.`;

export const oneTexture = (part: string): string => `Worked like “${part}”: one colour, one texture.`;

export const flyLeaf = (width: string): string =>
  `A slender leaf, ${width} wide: closed fly stitches, tied along the vein.`;

export const petal = (length: string, hasFlower: boolean, limitMm: number, use: string): string =>
  hasFlower
    ? `A petal ${length} long: satin towards the centre of its flower; up to ${limitMm} mm holds ${use}.`
    : `A petal ${length} long: satin along it; up to ${limitMm} mm holds ${use}.`;

export const latticeBackground = (cm2: string): string =>
  `A background with straight sides, ${cm2} cm²: a lattice of laid threads, tied where they cross.`;

export const overLimit = (limitMm: number, use: string): string => `more than the ${limitMm} mm that hold ${use}`;

export const bricks = (span: string, tooLong: string): string =>
  `Straight sides ${span} apart, ${tooLong}: bricks of short satin, row by row.`;

export const woven = (span: string, tooLong: string): string =>
  `Straight sides ${span} apart, ${tooLong}: threads laid one way and woven the other, as in a basket or a window.`;

/** How tightly a line bends, before what that asks for. */
const bendText = (radiusMm: number): string =>
  Number.isFinite(radiusMm) ? `Curves as tight as ${formatFine(radiusMm)} in radius` : 'No curves';

export const splitCurves = (radiusMm: number): string => `${bendText(radiusMm)}: split stitch takes the tightest ones.`;

export const stemCurves = (radiusMm: number): string => `${bendText(radiusMm)}: stem stitch follows as a smooth cord.`;

/**
 * Why a line is worked as it is.
 * @param count how many lines of one colour and width are worked alike
 * @param width what the stitch covers with that many strands
 */
export function lineReason(why: string, strands: number, width: string, count: number): string {
  const covers = byCount(strands, {
    one: `${why} One strand covers ${width}.`,
    other: `${why} ${strands} strands cover ${width}.`,
  });
  if (count < 2) return covers;
  return count === 2
    ? `${covers} Both lines of this colour and width are worked alike.`
    : `${covers} All ${count} lines of this colour and width are worked alike.`;
}

export const oneBullion = (length: string, width: string): string =>
  `Only ${length} long and drawn ${width} wide: one bullion knot lies there like a grain of rice.`;

export const oneLoop = (length: string): string => `Only ${length} long: a single loop, held at its end.`;

export const oneStroke = (length: string): string => `Only ${length} long: a single straight stitch.`;

export const dot = (strands: string): string => `A dot: one knot of two wraps in ${strands}.`;

/** What somebody of another school would do, by what sets that school apart. */
export const otherSchool = {
  plain: (suggestion: string): string => `If you work plainly: ${suggestion}.`,
  rich: (suggestion: string): string => `If you like rich work: ${suggestion}.`,
  fine: (suggestion: string): string => `If you like fine work: ${suggestion}.`,
  bold: (suggestion: string): string => `If you like bold work: ${suggestion}.`,
  french: (suggestion: string): string => `If you prefer French knots: ${suggestion}.`,
  colonial: (suggestion: string): string => `If you prefer colonial knots: ${suggestion}.`,
} as const;

/** A suggestion within a sentence: its stitch, strands and what lies under and over it. */
export const suggestion = (stitch: string, strands: string, besides: readonly string[]): string =>
  besides.length > 0 ? `${stitch}, ${strands}, with ${formatList(besides)}` : `${stitch}, ${strands}`;
