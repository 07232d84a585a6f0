import { byCount, formatDay, formatFine, formatNumber, formatPercent, noonOf, plural } from '../measure/index.ts';
import { CLOTHS, THREAD_KINDS } from '../materials/index.ts';
import type { RuleId } from '../order/index.ts';
import { STITCHES } from '../stitches/index.ts';
import { enoughTimes } from '../thread/index.ts';
import { OWN, type FiguresOf, type FindingId } from './finding.ts';
import { THRESHOLDS } from './thresholds.ts';

const mm = formatFine;

/**
 * How names stand within a sentence. Figures hold the names themselves: by its figures an accepted finding is known again,
 * whatever the words and the reader's locale.
 */
const IN_SENTENCE: ReadonlyMap<string, string> = new Map(
  [...CLOTHS, ...THREAD_KINDS, ...Object.values(STITCHES)].map(({ name, inSentence }) => [name, inSentence]),
);
const within = (name: string): string => IN_SENTENCE.get(name) ?? name;

/**
 * What is said of a kind of finding: what is wrong, with its figures, and why it matters.
 * `part` is the name of the part that it is about; empty where it is about the whole piece.
 */
export interface FindingWords<Id extends FindingId> {
  readonly say: (figures: FiguresOf[Id], part: string) => string;
  readonly why: string | ((figures: FiguresOf[Id]) => string);
}

/** What a colour is seen against. */
const GROUNDS = { cloth: 'the cloth', scrap: 'the scrap below it', print: 'the print below it' } as const;

/** What each rule of the order asks for, said of the part that comes too early and of the one that comes too late. */
const BROKEN: Readonly<Record<RuleId, (early: string, late: string) => string>> = {
  own: (early, late) => `“${early}” is worked before “${late}”, although you fixed them the other way round.`,
  layers: (early, late) =>
    early === late
      ? `“${early}”: an upper layer is worked before the one below it.`
      : `“${early}” is worked before “${late}”, which is a layer below it.`,
  ground: (early, late) => `“${early}” is worked before “${late}”, which goes under it.`,
  fur: (early) => `“${early}”: one zone is worked before the zone behind it, so the hair will look brushed backwards.`,
  'in-turn': (early) => `“${early}”: one zone is worked before the zone that comes before it.`,
  features: (early, late) => `“${early}” is worked before “${late}”, so its hair can’t go over the rim of “${late}”.`,
  'raised-last': (early, late) => `“${early}” is raised, and the hoop will press on it while you work “${late}”.`,
  behind: (early, late) => `“${early}” is worked before “${late}”, which lies behind it.`,
  outline: (early, late) => `“${early}” is worked before “${late}”, against the order you chose for outlines.`,
};

const TOO_CLOSE = 'No cloth will show between them. Move them apart, join them, use fewer strands, or leave one out.';
const FEWER_COLOURS_ALIKE = 'Shades that differ on the card can look the same from arm’s length.';

/** The sentences of every kind of finding. One that is missing does not compile. */
export const FINDING_WORDS: { readonly [Id in FindingId]: FindingWords<Id> } = {
  // The drawing.
  'not-read': {
    say: ({ note }) => note,
    why: 'It was in the file you imported.',
  },
  'too-large': {
    say: ({ names, count, mostMm }) =>
      byCount(count, {
        one: `${names} is larger than ${formatNumber(mostMm / 1000, 1)} m at this size, and is left out.`,
        other: `${names} are larger than ${formatNumber(mostMm / 1000, 1)} m at this size, and are left out.`,
      }),
    why: 'No hoop piece is that large. Make the design smaller, or look for a stray point in the drawing.',
  },
  'too-many-stitches': {
    say: ({ names, count, thousands, mostThousands }) =>
      byCount(count, {
        one: `${names} would take about ${formatNumber(1000 * thousands)} stitches. A piece can have ${formatNumber(1000 * mostThousands)}, so it is left out.`,
        other: `${names} would take about ${formatNumber(1000 * thousands)} stitches. A piece can have ${formatNumber(1000 * mostThousands)}, so they are left out.`,
      }),
    why: 'That is years of stitching. Make the design smaller, or leave some of it bare.',
  },
  'not-worked': {
    say: ({ reason }, part) => `${part}: its stitches could not be worked out, so it is left out for now. ${reason}`,
    why: 'All other parts are safe. Another stitch or a simpler outline may help; the fault is in Junctura, not in your drawing.',
  },
  'part-too-small': {
    say: ({ widestMm, lengthMm, wantedMm }, part) =>
      widestMm === undefined
        ? `${part} is ${mm(lengthMm)} long, and two stitches need ${mm(wantedMm)}.`
        : `${part} is ${mm(widestMm)} at its widest, and this thread needs ${mm(wantedMm)}.`,
    why: 'A part smaller than its thread is just a blob. Use fewer strands, enlarge the design, or leave the part out.',
  },
  'all-hidden': {
    say: ({ names, count }) =>
      byCount(count, {
        one: `${names} lies entirely behind other parts, so none of it is stitched.`,
        other: `${count} parts lie entirely behind others, so none of them is stitched: ${names}.`,
      }),
    why: 'Bring it forward, keep hidden areas, or remove it.',
  },
  'line-too-close': {
    say: ({ other, otherId, gapMm, laidMm }, part) =>
      otherId === OWN
        ? `${part}: two of its lines are ${mm(gapMm)} apart and will be ${mm(laidMm)} wide, so they merge. They stay apart at ${formatNumber(Math.ceil((10 * laidMm) / gapMm) / 10, 1)} times this size.`
        : `${part} is ${mm(gapMm)} from “${other}” and will be ${mm(laidMm)} wide, so they merge.`,
    why: TOO_CLOSE,
  },
  'drawn-twice': {
    say: ({ other, percent }, part) =>
      `${part}: ${formatPercent(percent / 100)} of it lies on “${other}”, so the same line is drawn twice.`,
    why: 'It would be marked and stitched twice, one thread on top of the other. Leave one of them out.',
  },
  'drawn-wider': {
    say: ({ drawnMm, coverMm, percent }, part) =>
      `${part} is drawn ${mm(drawnMm)} wide; its stitch covers ${mm(coverMm)}, which is ${formatPercent(percent / 100)} of that.`,
    why: 'If you want the drawn width, work it wider or as an area; if not, draw it thinner.',
  },

  // The hoop.
  'outside-hoop': {
    say: ({ overMm, innerMm }) =>
      `The design reaches ${mm(overMm)} beyond the inside of the hoop, which is ${mm(innerMm)} across.`,
    why: 'Nothing under the hoop can be stitched.',
  },
  'near-ring': {
    say: ({ clearMm, wantedMm, raised }) =>
      raised
        ? `Raised stitches come within ${mm(clearMm)} of the hoop; they need ${mm(wantedMm)}.`
        : `The design comes within ${mm(clearMm)} of the hoop; it needs ${mm(wantedMm)}.`,
    why: 'Close to the hoop the needle is cramped, and the hoop leaves its mark.',
  },
  grain: {
    say: ({ offDeg }) => `The design is ${formatNumber(offDeg, 1)}° off the grain of the cloth.`,
    why: 'Uprights that lean a little look like a mistake, and cloth stretches off the grain.',
  },
  warp: {
    say: ({ share, uprightMm, acrossMm }) =>
      `The drawn circle measures ${mm(uprightMm)} up and down and ${mm(acrossMm)} across: ${formatPercent(Math.abs(share) / 100, 1)} out of round.`,
    why: 'Stitched like this, the design springs back crooked. Loosen the cloth the long way, even it out, and tighten it again.',
  },
  crushed: {
    say: ({ workedIn, crushedBy }, part) =>
      `${part} is raised and stitched in hoop position ${workedIn}; the hoop presses on it in position ${crushedBy}.`,
    why: 'A hoop crushes raised stitches. Work them after the last position that touches them, or pad the hoop.',
  },

  // The stitches.
  'no-stitches': {
    say: (_, part) => `${part}: there is no room for even one stitch of this kind.`,
    why: 'The part would stay bare. Choose another stitch or a smaller one.',
  },
  'span-too-long': {
    say: ({ stitch, spanMm, limitMm }, part) =>
      `${part}: ${within(stitch)} reaches ${mm(spanMm)}; for this use, ${mm(limitMm)} holds.`,
    why: 'Longer stitches gape, snag and buckle.',
  },
  'span-too-short': {
    say: ({ spanMm, leastMm }, part) =>
      `${part}: the satin stitches are ${mm(spanMm)} long at most; they need ${mm(leastMm)}.`,
    why: 'Satin this short looks ragged: a line stitch is cleaner.',
  },
  'cloth-shows': {
    say: ({ spacingMm, laidMm }, part) =>
      `${part}: the rows are ${mm(spacingMm)} apart and the thread is ${mm(laidMm)} wide, so cloth shows between them.`,
    why: 'That is right for a light filling, but a fault in a solid one.',
  },
  'too-many-shades': {
    say: ({ shades, room, spanMm }, part) => `${part}: ${shades} shades over ${mm(spanMm)}, where ${room} have room.`,
    why: 'A shade needs a row of its own, about 3 mm, to be seen.',
  },
  'too-large-for-direction': {
    say: ({ areaCm2, mostCm2 }, part) =>
      `${part} measures ${formatNumber(areaCm2)} cm²; stitches can follow a turning direction up to ${formatNumber(mostCm2)} cm².`,
    why: 'No hoop holds that much, so its stitches run straight. Divide the part to turn them.',
  },
  'guide-outside': {
    say: ({ outside }, part) =>
      byCount(outside, {
        one: `${part}: a direction stroke lies outside the part.`,
        other: `${part}: ${outside} direction strokes lie outside the part.`,
      }),
    why: 'It still turns the stitches, but less than a stroke drawn inside.',
  },
  'too-many-strands': {
    say: ({ radiusMm, widthMm, laidMm }, part) =>
      widthMm === undefined
        ? `${part} bends at a radius of ${mm(radiusMm)}, and the thread is ${mm(laidMm)} wide.`
        : `${part} is ${mm(widthMm)} wide on average, and so is the thread: ${mm(laidMm)}.`,
    why: 'Thread can’t show what is finer than itself. Use fewer strands.',
  },
  snags: {
    say: ({ stitch }, part) => `${part}: ${within(stitch)} is raised and can catch when the piece is used.`,
    why: 'Loops and knots pull out when they catch.',
  },
  'needle-hole': {
    say: ({ shaftMm, cloth }, part) =>
      `${part}: the needle is ${mm(shaftMm)} thick, so it leaves holes in ${within(cloth)}.`,
    why: 'Holes in fine cloth don’t close again. Fewer strands need a finer needle.',
  },
  'needle-eye': {
    say: ({ needle, bundleMm }, part) =>
      `${part}: at ${mm(bundleMm)} the thread is too thick for any straight needle. Ease the wraps over the eye of a ${needle} needle.`,
    why: 'Wraps catch on an eye that is wider than the shaft. Use fewer strands, a finer thread or another stitch.',
  },
  'knot-size': {
    say: ({ knotMm, acrossMm }, part) =>
      `${part}: the knot will be ${mm(knotMm)} across, and the dot is ${mm(acrossMm)}.`,
    why: 'One knot has to fill its dot: a smaller one leaves cloth bare, a larger one covers its neighbours.',
  },
  pull: {
    say: ({ stitch, cloth }, part) =>
      `${part}: ${within(stitch)} is dense for ${within(cloth)}, which will draw in: nothing lies behind it.`,
    why: 'What lies behind keeps its shape. Follow its own instructions for heat and time.',
  },
  'dense-on-dense': {
    say: ({ other, sharedMm2 }, part) =>
      `${part} lies on “${other}”, and both are solid: ${formatNumber(sharedMm2 / 100, 1)} cm² get two layers of stitches.`,
    why: 'A needle is hard to push through solid stitches, and the upper ones slide about. Cut away the lower area, or fill it lightly.',
  },
  'carried-within': {
    say: ({ stitch, carriedMm, ends }, part) =>
      ends > 0
        ? `${part}: in ${within(stitch)} the thread ends ${plural(ends, 'time')} on its way, as the next stitch is too far off.`
        : `${part}: in ${within(stitch)} ${formatNumber(carriedMm / 1000, 1)} m of thread is carried across the back.`,
    why: 'Thread on the back shows through pale cloth, and each end takes time. Set the stitches closer, or choose another filling.',
  },
  'corner-gapes': {
    say: ({ stitch, gapMm, laidMm }, part) =>
      `${part}: at a corner the outer ends of the ${within(stitch)} are ${mm(gapMm)} apart, and the thread is ${mm(laidMm)} wide.`,
    why: 'Cloth shows through the fan. Stop at the corner and start again at an angle, or work the part in rows.',
  },
  'one-shade': {
    say: ({ stitch }, part) => `${part}: ${within(stitch)} in a single shade.`,
    why: 'Its uneven ends are there to blend shades. In one shade it is slower than rows and looks no better.',
  },
  'too-much': {
    say: ({ hours, hoopMm, usualHours, heaviest, partHours }) =>
      `${formatNumber(hours)} h in a ${formatNumber(hoopMm / 10, 1)} cm hoop, where up to ${formatNumber(usualHours)} h is usual: “${heaviest}” takes ${formatNumber(partHours, 1)} h.`,
    why: 'Pieces this slow are often left unfinished. Stitch only the outline of the largest areas, or fill them lightly.',
  },
  joined: {
    say: ({ laidMm, heldMm, lengths }, part) =>
      `${part}: ${mm(laidMm)} of thread is laid in one piece, and one length holds ${mm(heldMm)}. It will take ${formatNumber(lengths)} lengths, joined.`,
    why: 'Start each new length where the last one goes down, under a tie, so that the join doesn’t show. Or cut one longer length: laid thread isn’t pulled through the cloth, so it doesn’t wear.',
  },
  'coils-meet': {
    say: ({ crossings, pressed, thickMm }, part) => {
      const crossing = byCount(crossings, { one: 'one bullion crosses', other: `${crossings} bullions cross` });
      const pressing = byCount(pressed, { one: 'one bullion presses', other: `${pressed} bullions press` });
      if (pressed === 0) return `${part}: ${crossing} another; in this thread each is ${mm(thickMm)} thick.`;
      if (crossings === 0) return `${part}: ${pressing} into another; in this thread each is ${mm(thickMm)} thick.`;
      return `${part}: ${crossing} another and ${pressing} into another; in this thread each is ${mm(thickMm)} thick.`;
    },
    why: 'The upper one gets pushed aside. In a rose you may want this: work the lower ones first. Otherwise turn them, move them, or use one strand fewer.',
  },
  'direction-vanishes': {
    say: ({ other, apartDeg }, part) =>
      `${part} touches “${other}” in almost the same colour, and their directions differ by only ${formatNumber(apartDeg)}°.`,
    why: 'Without a line between them, two such areas look like one. Turn the stitches of one, or outline it.',
  },
  'picture-gone': {
    say: (_, part) => `${part} should be painted from a picture, but there is no picture any more: it is in one shade.`,
    why: 'Bring the picture back with Undo, place another under the drawing, or choose another stitch.',
  },
  'picture-beside': {
    say: ({ percent }, part) =>
      `${part}: about ${formatPercent(percent / 100)} of it lies outside the picture; there, the colours at the picture’s edge are used.`,
    why: 'Draw the part within the picture, or move the picture so that it covers the part.',
  },
  'scrap-frays': {
    say: (_, part) => `${part}: a raw edge frays in use and in the wash.`,
    why: 'Turn it under, or hold it with close buttonhole stitch.',
  },
  'scrap-small': {
    say: ({ acrossMm, leastMm }, part) =>
      `${part}: a scrap ${mm(acrossMm)} across is hard to cut, turn and hold; ${mm(leastMm)} is the least.`,
    why: 'Stitch it instead, or make it larger.',
  },
  'scrap-stretches': {
    say: ({ cloth }, part) => `${part}: ${within(cloth)} stretches, so back it before you cut it, or it will bubble.`,
    why: 'The cloth below does not stretch with it.',
  },
  'scrap-layers': {
    say: ({ layersMm, mostMm }, part) =>
      `${part}: the needle goes through ${mm(layersMm)} of cloth here; more than ${mm(mostMm)} is hard to push through.`,
    why: 'A thinner cloth, or a hole cut below it, is kinder to needle and fingers.',
  },
  'scrap-hidden': {
    say: (_, part) => `${part}: none of this scrap shows, because other parts cover all of it.`,
    why: 'It would cost cloth and thickness for nothing.',
  },

  // Colours.
  'lost-in-cloth': {
    say: ({ colour, difference, ground }) =>
      difference < THRESHOLDS.lostInCloth
        ? `${colour} is very close to ${GROUNDS[ground]} (difference ${formatNumber(difference)}).`
        : `${colour} is close to ${GROUNDS[ground]} (difference ${formatNumber(difference)}).`,
    why: ({ difference, ground }) =>
      difference < THRESHOLDS.lostInCloth
        ? `From arm’s length it disappears into ${GROUNDS[ground]}.`
        : 'From arm’s length its edge is hard to see. Outline it, or choose a deeper shade.',
  },
  'too-alike': {
    say: ({ colour, other, difference, lightness, ladder }) => {
      if (ladder)
        return `${colour} and ${other} are next to each other in one shading and very close (difference ${formatNumber(difference)}).`;
      return difference < THRESHOLDS.tooAlike
        ? `${colour} touches ${other} and is very close to it (difference ${formatNumber(difference)}).`
        : `${colour} touches ${other} and is as light as it: ${formatNumber(lightness)} of 100 steps apart.`;
    },
    why: ({ difference, ladder }) =>
      ladder || difference < THRESHOLDS.tooAlike
        ? `${FEWER_COLOURS_ALIKE} Change one, or put a line between them.`
        : 'In dim light they merge. Make one lighter or darker, or put a line between them.',
  },
  'lots-mixed': {
    say: ({ colour, lot, otherLot }) => `${colour} from dye lot ${lot} touches ${colour} from dye lot ${otherLot}.`,
    why: 'Dye lots vary, and it shows side by side. Change lots where two areas meet at a line, or use one lot throughout.',
  },
  'blend-strands': {
    say: ({ colour, strands }) =>
      byCount(strands, {
        one: `${colour} is two shades in one needle, but is worked in one strand.`,
        other: `${colour} is two shades in one needle, but is worked in ${strands} strands.`,
      }),
    why: 'A blend has as many strands of one shade as of the other.',
  },
  'may-run': {
    say: ({ colours }) => `On cloth this pale, these colours may run in the wash: ${colours}.`,
    why: 'Strong reds, blues and blacks hold spare dye. Press a wet white scrap on the thread first; wash cool, as the maker says.',
  },
  confusable: {
    say: ({ a, b, pairs, kind }) => {
      const eyes =
        kind === 'blue and yellow' ? 'people who can’t tell blue from yellow' : 'people who can’t tell red from green';
      return byCount(pairs, {
        one: `${a} and ${b} look alike to ${eyes}.`,
        other: `${a} and ${b}, and ${plural(pairs - 1, 'more pair')}, look alike to ${eyes}.`,
      });
    },
    why: ({ kind }) =>
      kind === 'blue and yellow'
        ? 'That is very few people. For a guide that others work from, name the shades as well.'
        : 'That is about one person in twenty. For a guide that others work from, name the shades as well, or choose others.',
  },

  // Thread, transfer, order, record.
  'runs-out': {
    say: ({ colour, ownedM, needM, percent }) =>
      `You own ${formatNumber(ownedM, 1)} m of ${colour} and need about ${formatNumber(needM, 1)} m: ${enoughTimes(percent / 100)}.`,
    why: 'The next dye lot may differ. Buy it together, or save thread where it doesn’t show.',
  },
  'line-not-covered': {
    say: ({ coverMm, markMm, strands }, part) =>
      byCount(strands, {
        one: `${part}: the marked line is ${mm(markMm)} wide, and the stitch in one strand covers ${mm(coverMm)}.`,
        other: `${part}: the marked line is ${mm(markMm)} wide, and the stitch in ${strands} strands covers ${mm(coverMm)}.`,
      }),
    why: 'This mark doesn’t come out, so what is wider than its stitch stays in view.',
  },
  "can't-trace": {
    say: (figures) =>
      figures.lost === undefined
        ? `${figures.mark}: the drawing doesn’t show well enough on ${within(figures.cloth)} (${formatNumber(figures.grams)} g/m²) in this colour.`
        : byCount(figures.lost, {
            one: `${figures.mark}: one part, ${mm(figures.narrowestMm)} wide, is lost in its line of ${mm(figures.lineMm)}.`,
            other: `${figures.mark}: ${figures.lost} parts are lost in its line of ${mm(figures.lineMm)}; the narrowest is ${mm(figures.narrowestMm)} wide.`,
          }),
    why: 'Lines you can’t see, or that run together, have to be guessed.',
  },
  'fades-first': {
    say: ({ mark, day, staysDays }, part) =>
      `${part} is finished about day ${Math.ceil(day)}, but this mark lasts ${plural(staysDays, 'day')}: ${mark}.`,
    why: 'Draw only what you will stitch in the next sittings, or use a mark that stays.',
  },
  'heat-sets': {
    say: ({ mark, cloth }) => `${mark}: rinse it out before ironing; but ${within(cloth)} can’t be rinsed.`,
    why: 'Ironing sets the mark for good. Use another transfer method, or don’t press the piece.',
  },
  'water-spoils': {
    say: ({ mark, spoilt }) => `${mark}: it comes out in water, and ${within(spoilt)} can’t take water.`,
    why: 'Water spots or shrinks such cloth, felts wool, and takes colour and shine from silk. Use a method that needs no water.',
  },
  'before-behind': {
    say: ({ rule, early, late }) => BROKEN[rule](early, late),
    why: 'Whatever is stitched second lies on top: edges that should be covered show, and neighbouring stitches get pushed about.',
  },
  'rules-circle': {
    say: ({ rule, early, late, count }) => {
      const first = `Not every rule can be kept, because some contradict each other. ${BROKEN[rule](early, late)}`;
      return byCount(count, { one: first, other: `${first} It happens in ${plural(count - 1, 'more place')}.` });
    },
    why: 'The weakest rule gave way. Change the order of parts in the drawing, or fix what must come first.',
  },
  'sitting-long': {
    say: ({ sitting, minutes, wantedMin }) =>
      `Sitting ${sitting} takes about ${minutes} min, more than your ${wantedMin} min: there is no earlier place to stop.`,
    why: 'The best place to stop is at the end of a step or of a length of thread. Take a break in the middle; shorter lengths give you more places to stop.',
  },
  carried: {
    say: ({ longestMm, allowedMm, cloth }, part) =>
      `${part}: thread is carried ${mm(longestMm)} across the back; on ${within(cloth)} the most is ${mm(allowedMm)}.`,
    why: 'A long thread on the back shows through, catches the needle and puckers the cloth.',
  },
  'needle-count': {
    say: ({ missing }) =>
      byCount(missing, {
        one: 'One needle was not counted in at the end of the last sitting.',
        other: `${missing} needles were not counted in at the end of the last sitting.`,
      }),
    why: 'A needle in a cushion hurts whoever sits on it. Search with a magnet and a lamp held low before anyone sits down there.',
  },
  'hoop-left': {
    say: ({ since, mostDays, cloth }) =>
      `You last stitched on ${formatDay(noonOf(since))}. If the piece is still in its hoop, take it out: after about ${plural(mostDays, 'day')}, ${within(cloth)} keeps the hoop’s mark.`,
    why: 'Cloth left in the hoop stretches, collects dust along the edge and keeps a crease that may never press out.',
  },
};

// What a remedy does, as its button and its undo say it.

export const useShade = (shade: string): string => `Use ${shade}`;

export const useStrands = (strands: number): string => `Use ${plural(strands, 'strand')}`;

export const useStitch = (stitch: string): string => `Use ${stitch}`;

export const TIE_ALONG = 'Tie it with a line along the middle';

export const useMark = (mark: string): string => `Use ${mark}`;

export const largerHoop = (nominalMm: number, clothMm: number, moves: number): string =>
  `Use a ${formatNumber(nominalMm / 10)} cm hoop: ${formatNumber(Math.ceil(clothMm / 10))} cm of cloth, ${plural(moves, 'hoop move')} fewer`;

export const usePositions = (count: number): string => `Use ${plural(count, 'hoop position')}`;

export const fitWithRoom = (airMm: number): string => `Fit with ${mm(airMm)} to the hoop`;

export const leaveAllOut = (count: number): string => `Leave all ${count} out`;

export const moveAway = (distanceMm: number): string => `Move it ${mm(distanceMm)} away`;

/** Names of parts that share one finding: the first few, and how many more there are. */
export function partNames(names: readonly string[], rest: number): string {
  const list = names.map((name) => `“${name}”`).join(', ');
  return rest > 0 ? `${list} and ${rest} more` : list;
}
