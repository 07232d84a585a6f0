import {
  byCount,
  formatFine,
  formatLength,
  formatList,
  formatNumber,
  formatThread,
  plural,
  type UnitSystem,
} from '../measure/index.ts';
import type { FinishStep } from './kinds.ts';

export const beforeHeat = (maker: string): string => `Do this before anything hot: heat sets this mark. ${maker}`;

export const mayComeBack = (caution: string): string => `The lines may come back in the cold. ${caution}`;

export const markNeedsWater = (mark: string): string =>
  `This mark comes out in water, which the cloth or thread can’t take: ${mark}. Choose another method at Transfer.`;

export const pinsOut = (pins: number): string => `Take the pins out and count them: ${pins}.`;

export const turnOver = (turnedMm: number): string =>
  `Cut the cloth ${formatFine(Math.round(turnedMm))} larger all round, turn it over and pin it into the board’s edge, working outwards from the middle of each side.`;

export const lace = (everyMm: number): string =>
  `Lace it across the back from side to side, every ${formatFine(everyMm)}, first the long way, then the short; tighten from the middle and fold the corners flat.`;

export const smallBoard = (turnedMm: number): string =>
  `On a board this small only ${formatFine(Math.floor(turnedMm))} can be turned over; a wider margin holds better.`;

export const cutWindow = (width: number, height: number): string =>
  `Cut the window, ${Math.round(width)} × ${Math.round(height)} mm, in the middle panel.`;

export const layUnderWindow = (heldMm: number): string =>
  `Cut the cloth ${formatFine(heldMm)} larger than the window all round, put tape along the inside edge of the window, lay the work on it straight, and close the panel behind it.`;

export function dressRing(isBound: boolean, isKnit: boolean): string {
  const back = isKnit
    ? 'Then put the work back in: screw at the top, flat and not stretched.'
    : 'Then put the work back in: screw at the top, grain straight, drum-tight.';
  return isBound
    ? `Bind or paint the outer hoop and let it dry completely. ${back}`
    : `If you don’t want the outer hoop bare, paint, oil or bind it and let it dry completely. ${back}`;
}

export const trimRound = (trimMm: number, isGathered: boolean): string =>
  isGathered
    ? `Trim what stands out beyond the gathering, ${formatFine(trimMm)} outside the hoop.`
    : `Trim the cloth to a round, ${formatFine(trimMm)} outside the hoop.`;

export const whipDisc = (disc: string, whipMm: number): string =>
  `Cut a disc of ${disc} from its template and whip it over the gathered cloth at the back, one stitch every ${formatFine(whipMm)}.`;

export const cutFront = (seamMm: number): string =>
  `Cut the front from its template with a seam allowance of ${formatFine(seamMm)}, and a back the same size, flipped left to right.`;

export const seamOpening = (openMm: number): string =>
  `Pin them right sides together and back stitch along the seam line; leave ${formatFine(Math.round(openMm))} open on the straightest side.`;

export const notches = (count: number): string =>
  byCount(count, {
    one: 'Cut one notch into the seam where it bends, as the template shows; stop 2 mm before the stitches.',
    other: `Cut ${count} notches into the seam where it bends, as the template shows; stop 2 mm before the stitches.`,
  });

export const stuff = (grams: number): string =>
  `Stuff it with about ${formatNumber(grams, grams < 10 ? 1 : 0)} g of filling, small pieces first, edges before the middle.`;

export const careStep = (care: string): string => `Write its care label: ${care}`;

export const joinBack = (overlapMm: number, seamMm: number): string =>
  `Lay the back halves on the front, right sides together, overlapping by ${formatFine(overlapMm)}, and sew all round, ${formatFine(seamMm)} from the edge. Trim the corners and turn it.`;

export const roughCut = (borderMm: number, roughMm: number): string =>
  `Draw the outline from its template, ${formatFine(borderMm)} outside the work, and cut the cloth roughly ${formatFine(roughMm)} beyond it.`;

export const sewOn = (everyMm: number): string =>
  `Sew it on with two holding stitches, then one every ${formatFine(everyMm)} along the inside of the edge.`;

export const islands = (islands: number): string =>
  `The stitching forms ${islands} separate islands, further apart than the border reaches. Join them with a bridge, or make ${islands} patches?`;

export const drawScallops = (across: number, upright: number): string =>
  `Draw ${across} scallops across and ${upright} down from the template, so that they meet at the corners. Work them in buttonhole stitch with the loops on the line, two short and two long stitches in turn.`;

export const wideScallops = (scallopMm: number, sideMm: number): string =>
  `Scallops of ${formatFine(scallopMm)} are wider than the side of ${formatFine(sideMm)}: one is worked on each side.`;

export const loopFringe = (loops: number, yarns: number, deepMm: number): string =>
  `Pull ${loops} loops of ${yarns} yarns through each scallop, between the stitches, knot them and trim them to ${formatFine(deepMm)}.`;

export const sizeMm = (across: number, upright: number): string =>
  `${formatNumber(across)} × ${formatNumber(upright)} mm`;

export const sizeCm = (across: number, upright: number): string =>
  `${formatNumber(across / 10, 1)} × ${formatNumber(upright / 10, 1)} cm`;

const plainMm = (mm: number): string => formatNumber(Math.ceil(mm));

export function washOut(isWarm: boolean, hasMarks: boolean): string {
  if (hasMarks) {
    return isWarm
      ? 'Wash it warm with mild soap until the lines are gone.'
      : 'Wash it cool with mild soap until the lines are gone.';
  }
  return isWarm
    ? 'Wash it warm with mild soap, so that the edge settles before it is cut.'
    : 'Wash it cool with mild soap, so that the edge settles before it is cut.';
}

export function pressStep(isHot: boolean, isDamp: boolean): string {
  if (isHot) {
    return isDamp
      ? 'Press it face down on a folded towel with a hot iron, while it is still a little damp.'
      : 'Press it face down on a folded towel with a hot iron.';
  }
  return isDamp
    ? 'Press it face down on a folded towel, warm at most, while it is still a little damp.'
    : 'Press it face down on a folded towel, warm at most.';
}

export function mayRun(caution: string | null, colours: readonly string[]): string {
  const runs = `These may run: ${formatList(colours)}.`;
  return caution === null ? runs : `${caution} ${runs}`;
}

/** Sizes are [across, upright] in mm. */
export function pinOut(
  isWet: boolean,
  shape: 'rectangle' | 'circle' | 'oval',
  pins: number,
  everyMm: number,
  [across, upright]: readonly [number, number],
): string {
  const along = shape === 'circle' ? `${plainMm(across)} mm across` : `${plainMm(across)} × ${plainMm(upright)} mm`;
  const how = `grain straight: ${plural(pins, 'pin')}, one every ${formatFine(everyMm)}. Leave it until it is dry.`;
  return isWet
    ? `While it is damp, pin it out face up on a padded board along a true ${shape} of ${along}, ${how}`
    : `Dampen it and pin it out face up on a padded board along a true ${shape} of ${along}, ${how}`;
}

export const trimBacking = (leftMm: number): string =>
  `Cut the backing away ${formatFine(leftMm)} beyond the stitches, with round corners. What lies behind the stitches stays.`;

export const backingNeedsWater = (backing: string): string =>
  `What lies behind leaves only in water, which the cloth or thread can’t take: ${backing}. Choose another at Hoop.`;

export const outOfTheHoop = (leaves: string): string =>
  `Water takes this out, so the work has to leave its hoop once: ${leaves}. Mount it again when it is dry, or change it at Transfer or Hoop.`;

export const edgeThread = (thread: string): string => `${thread} for the edge`;

export const sewnInstead = (cloth: string, bearsWarm: boolean): string =>
  bearsWarm
    ? `This cloth takes only a warm iron, which can’t melt fusible web: ${cloth}. The backing is sewn on instead.`
    : `This cloth can’t be ironed, so nothing can be fused to it: ${cloth}. The backing is sewn on instead.`;

export const foldCard = (acrossMm: number, uprightMm: number, panels: number): string =>
  panels === 3
    ? `Cut card ${plainMm(acrossMm)} × ${plainMm(uprightMm)} mm and fold it in three, along scored lines.`
    : `Cut card ${plainMm(acrossMm)} × ${plainMm(uprightMm)} mm and fold it in two, along a scored line.`;

/** Sizes are [across, upright] in mm. */
export const cardTooSmall = (
  folded: readonly [number, number],
  roundMm: number,
  least: readonly [number, number],
): string =>
  `With ${formatFine(roundMm)} round the design the card must be ${plainMm(least[0])} × ${plainMm(least[1])} mm; yours is ${plainMm(folded[0])} × ${plainMm(folded[1])} mm. Use the suggested size, or make the design smaller at Hoop.`;

export function gather(isDouble: boolean, stitchMm: number, outsideMm: number): string {
  const along = `${formatFine(outsideMm)} outside the hoop, in stitches of ${formatFine(stitchMm)} with gaps as long.`;
  const pulled = 'Pull it up at the back until the cloth lies flat, and tie it off.';
  return isDouble ? `Run a strong thread, doubled, ${along} ${pulled}` : `Run a strong thread ${along} ${pulled}`;
}

export const cutPanels = (front: readonly [number, number], half: readonly [number, number]): string =>
  `Cut the front ${plainMm(front[0])} × ${plainMm(front[1])} mm with the work in its middle, and two back halves ${plainMm(half[0])} × ${plainMm(half[1])} mm; hem one long side of each.`;

export const panelTooSmall = (panel: readonly [number, number], design: readonly [number, number]): string =>
  `A panel of ${plainMm(panel[0])} × ${plainMm(panel[1])} mm is smaller than the design, which is ${plainMm(design[0])} × ${plainMm(design[1])} mm.`;

/** The edge of a patch, as it is worked through all its layers. */
interface PatchEdge {
  readonly isOvercast: boolean;
  /** What the needle goes through besides the cloth. */
  readonly layers: 'felt' | 'web-and-felt' | 'web';
  /** Whether it is whipped over an edge that is cut already. */
  readonly isCut: boolean;
  /** Narrow inlets that are worked first. */
  readonly bays: number;
  /** Corners that are fanned round. */
  readonly corners: number;
  readonly strands: number;
  readonly borderMm: number;
}

const LAYERS = {
  felt: 'cloth and felt',
  'web-and-felt': 'cloth, web and felt',
  web: 'cloth, web and its paper',
} as const;

export function workEdge({ isOvercast, layers, isCut, bays, corners, strands, borderMm }: PatchEdge): string {
  const stitch = isOvercast ? 'overcast stitch' : 'buttonhole stitch';
  const how = `${stitch} with ${plural(strands, 'strand')}, close together and ${formatFine(borderMm)} deep, through ${LAYERS[layers]}.`;
  const edge = isCut
    ? `Whip the raw edge over and over in ${how} Each stitch goes round the edge to the back.`
    : `Work the edge in ${how}`;
  return [
    edge,
    ...(bays > 0
      ? [byCount(bays, { one: 'Start in the narrow inlet.', other: `Start in the ${bays} narrow inlets.` })]
      : []),
    ...(corners > 0 ? ['At the tip of a corner set three stitches into one hole, like a fan.'] : []),
  ].join(' ');
}

export const cutExactly = (borderMm: number): string =>
  `Draw the outline from its template, ${formatFine(borderMm)} outside the work, and cut cloth and felt along it together, the tips of the corners a little round.`;

export const ironOn = (onto: string): string =>
  `Lay the patch where it belongs, turn the cloth inside out (${onto}), and press from the inside, straight down through a damp cloth. Let it cool before you lift it.`;

export const holdCorners = (stitches: number): string =>
  byCount(stitches, {
    one: 'Hold it with one small stitch through edge and cloth: heat alone lets go in time.',
    other: `Hold corners and sides with ${stitches} small stitches through edge and cloth: heat alone lets go in time.`,
  });

export const notIroned = (onto: string): string =>
  `A patch can’t be ironed onto ${onto}: it doesn’t bear a hot iron. It is sewn on instead.`;

export const closedInlets = (count: number): string =>
  byCount(count, {
    one: 'The border closes an inlet too narrow for a needle: it becomes part of the patch. A narrower border keeps more of the shape.',
    other: `The border closes ${count} inlets too narrow for a needle: they become part of the patch. A narrower border keeps more of the shape.`,
  });

export const ofSize = (count: number, size: string): string => `${formatNumber(count)} of ${size}`;

export const MAKER_FIRST = 'Follow the maker’s instructions first.';

export const IRON_BURNS = `Irons and steam burn: keep your hands clear, and never leave the iron on unattended. ${MAKER_FIRST}`;

/** Which of a step’s amounts are told beside its text, in this order. */
const TOLD: Readonly<Record<string, (value: number, units: UnitSystem) => string>> = {
  stitches: (value) => plural(Math.round(value), 'stitch', 'stitches'),
  threads: (value) => `${formatNumber(value)} threads across`,
  threadMm: (value, units) => `${formatThread(value, units)} of thread`,
  loads: (value) => plural(Math.round(value), 'needleful'),
  skeins: (value) => plural(Math.round(value), 'skein'),
  outlineMm: (value, units) => `${formatLength(value, units)} round`,
  edgeMm: (value, units) => `${formatLength(value, units)} of edge`,
  areaMm2: (value) => `${formatNumber(value / 100, value > 10_000 ? 0 : 1)} cm²`,
  volumeMm3: (value) => `${formatNumber(value / 1000)} cm³`,
  yarnMm: (value, units) => `${formatThread(value, units)} of yarn`,
  longMm: (value, units) => `${formatLength(value, units)} long`,
  tapeMm: (value, units) => `${formatLength(value, units)} of tape`,
  cordMm: (value, units) => `${formatLength(value, units)} of cord`,
  rows: (value) => plural(Math.round(value), 'row'),
  tails: (value) => `about ${plural(Math.round(value), 'tail')}`,
};

/** The amounts of a step in words; what lies on an edge is told from what is cut for it. */
export function amountsInWords({ amounts }: Pick<FinishStep, 'amounts'>, units: UnitSystem): string {
  const { cutMm = 0, threadMm = 0, ...others } = amounts;
  const told = cutMm > 0 ? others : { ...others, threadMm };
  return [
    ...(cutMm > 0 ? [cutAndLying(formatThread(cutMm, units), formatThread(threadMm, units))] : []),
    ...Object.entries(TOLD)
      .filter(([name]) => (told[name as keyof typeof told] ?? 0) > 0)
      .map(([name, words]) => words(told[name as keyof typeof told]!, units)),
  ].join(' · ');
}

const cutAndLying = (cut: string, lying: string): string => `${cut} of thread cut, ${lying} of it on the edge`;

/** @param isFramed whether it would hang in a hoop that is smaller than the design */
export const cutsInto = (isFramed: boolean, lostCm2: number): string =>
  isFramed
    ? `The design is larger than the hoop: ${formatNumber(Math.max(1, lostCm2))} cm² of stitching would be folded behind or cut off. Mount it on a board, or use a larger hoop.`
    : `The design is larger than this: ${formatNumber(Math.max(1, lostCm2))} cm² of stitching would be cut off or hidden. Make it larger, or choose another end.`;

/** Cloth by its sides, rounded up to whole centimetres. */
const sidesCm = ([across, upright]: readonly [number, number]): string =>
  `${plainMm(across / 10)} × ${plainMm(upright / 10)} cm`;

export const cutLarger = (needed: readonly [number, number], usual: readonly [number, number]): string =>
  `It takes ${sidesCm(needed)} of the stitched cloth, more than the ${sidesCm(usual)} that the hoop needs: cut the cloth larger before you start.`;

export const fuseSoft = (isHot: boolean): string =>
  isHot
    ? 'Iron a soft fusible backing over the back of the work, through a cloth. It can’t be removed.'
    : 'Iron a soft fusible backing over the back of the work, through a cloth, at low heat and without stretching the knit. It can’t be removed.';

export const sewBacking = (everyMm: number): string =>
  `Lay a soft backing behind the work and sew it down all round, a small stitch every ${formatFine(everyMm)}, so that none shows on the front.`;

export const drawRoundScallops = (count: number): string =>
  `Draw ${formatNumber(count)} scallops all round from the template. Work them in buttonhole stitch with the loops on the line, two short and two long stitches in turn.`;

export const scallopKnots = (count: number): string =>
  `Work one French knot in the middle of each scallop: ${plural(count, 'knot')}. Slide the thread under the back of the edge from one to the next.`;

/** A fringe that is knitted lengthwise. */
interface KnittedFringe {
  readonly castOn: number;
  readonly dropped: number;
  readonly rows: number;
  readonly rowsIn10Cm: number;
  readonly yarns: number;
}

export const castOn = ({ castOn: stitches, dropped, yarns }: KnittedFringe): string =>
  `Cast on ${plural(stitches, 'stitch', 'stitches')} with ${yarns} yarns together on metal needles of about 3 mm: ${dropped} of them become the fringe.`;

export const knitRows = ({ rows, rowsIn10Cm, dropped, castOn: stitches }: KnittedFringe): string =>
  `Knit ${formatNumber(rows)} rows, ${rowsIn10Cm} in 10 cm. Cast off ${plural(stitches - dropped, 'stitch', 'stitches')}, drop the other ${dropped} and let them run down to the first row.`;

export function careLabel(wash: 'hot' | 'cool' | 'no', isHotIron: boolean): string {
  if (wash === 'no') return 'Do not wash: the cloth, backing or thread can’t take it. Brush it or air it.';
  if (wash === 'cool') return 'Hand-wash cool with mild soap, dry flat; iron on the back, warm at most.';
  return isHotIron
    ? 'Wash warm with mild soap; iron on the back.'
    : 'Wash warm with mild soap; iron on the back, warm at most.';
}
