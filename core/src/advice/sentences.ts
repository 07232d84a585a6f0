import { formatFine } from '../measure/index.ts';
import type { Figures, Finding, FindingId } from './finding.ts';
import { THRESHOLDS } from './thresholds.ts';

export type Severity = 'stop' | 'warn' | 'note';

interface Sentence {
  readonly severity: Severity | ((figures: Figures) => Severity);
  readonly text: (figures: Figures) => string;
  /** Why it matters. */
  readonly why: string;
}

const mm = (value: number | string | undefined): string => formatFine(Number(value));

/** What is said of each finding; the one place where figures become words. */
export const SENTENCES: Readonly<Record<FindingId, Sentence>> = {
  'outside-hoop': {
    severity: 'stop',
    text: ({ overMm, innerMm }) =>
      `The design reaches ${mm(overMm)} beyond the inside of the ring (${mm(innerMm)} across).`,
    why: 'What lies under the ring cannot be stitched.',
  },
  'near-ring': {
    severity: 'warn',
    text: ({ clearMm, wantedMm, raised }) =>
      `Only ${mm(clearMm)} between ${raised ? 'raised work' : 'the design'} and the ring; ${mm(wantedMm)} is wanted.`,
    why: 'Close to the ring the needle is cramped and the ring leaves its mark.',
  },
  grain: {
    severity: 'note',
    text: ({ offDeg }) => `The design lies ${Number(offDeg).toFixed(1)}° off the grain of the cloth.`,
    why: 'Uprights that lean a little look like a mistake, and cloth gives off the grain.',
  },
  warp: {
    severity: 'warn',
    text: ({ share, uprightMm, acrossMm }) =>
      `The drawn circle measures ${mm(uprightMm)} up and down and ${mm(acrossMm)} across: ${Math.abs(Number(share)).toFixed(1)} % out of true.`,
    why: 'Stitched so, the design springs back crooked. Loosen the cloth the long way, even it out, and tighten again.',
  },
  crushed: {
    severity: 'warn',
    text: ({ workedIn, crushedBy }) =>
      `It is raised work of hoop position ${workedIn}, and the ring lies on it at position ${crushedBy}.`,
    why: 'A ring crushes what stands up. Work it after the last position that touches it, or pad the ring.',
  },
  'line-too-close': {
    severity: 'note',
    text: ({ other, gapMm, laidMm }) =>
      `It comes within ${mm(gapMm)} of “${other}”; the thread is ${mm(laidMm)} wide, so they merge.`,
    why: 'No cloth shows between them. Move them apart, join them, take strands out, or leave one out.',
  },
  "can't-trace": {
    severity: 'warn',
    text: ({ mark, cloth, grams }) =>
      `${mark}: the drawing does not show well enough on ${String(cloth).toLowerCase()} (${grams} g/m²) in this colour.`,
    why: 'Lines that are not seen are guessed.',
  },
  'fades-first': {
    severity: 'warn',
    text: ({ mark, day, staysDays }) =>
      `${mark}: it is reached about day ${Math.ceil(Number(day))}; the mark can be trusted for ${staysDays} days.`,
    why: 'Draw only what the next sittings reach, or take a mark that stays.',
  },
  'heat-sets': {
    severity: 'warn',
    text: ({ mark, cloth }) =>
      `${mark} must be rinsed out before ironing, and ${String(cloth).toLowerCase()} cannot be rinsed.`,
    why: 'An iron sets the mark for good. Take another way, or leave the piece unpressed.',
  },
  'water-spoils': {
    severity: 'warn',
    text: ({ mark, spoilt }) => `${mark} comes out in water that ${String(spoilt).toLowerCase()} does not take.`,
    why: 'Water marks or shrinks such cloth, felts wool and takes colour and shine from silk. Take a way that needs none.',
  },
  'part-too-small': {
    severity: 'warn',
    text: ({ widestMm, lengthMm, wantedMm }) =>
      widestMm === undefined
        ? `The line is ${mm(lengthMm)} long; two stitches take ${mm(wantedMm)}.`
        : `It is ${mm(widestMm)} at its widest; the thread wants ${mm(wantedMm)}.`,
    why: 'Smaller than its thread, a part is a blot. Enlarge the design, take out strands, or leave it out.',
  },
  'line-not-covered': {
    severity: 'warn',
    text: ({ coverMm, markMm, strands }) =>
      `The drawn line is ${mm(markMm)} wide, the stitch in ${strands} covers ${mm(coverMm)}.`,
    why: 'A mark that is wider than its stitch stays in view unless it comes out.',
  },
  'span-too-long': {
    severity: 'warn',
    text: ({ spanMm, limitMm }) => `Satin spans ${mm(spanMm)}; up to ${mm(limitMm)} lies well for this use.`,
    why: 'Long spans gape, snag and buckle.',
  },
  'span-too-short': {
    severity: 'note',
    text: ({ spanMm, leastMm }) => `Satin spans ${mm(spanMm)} at most, under ${mm(leastMm)}.`,
    why: 'So short, satin turns ragged: a line stitch is cleaner.',
  },
  'cloth-shows': {
    severity: 'note',
    text: ({ spacingMm, laidMm }) =>
      `Rows lie ${mm(spacingMm)} apart and the thread ${mm(laidMm)} wide: cloth shows between.`,
    why: 'Good for a light filling, a fault in a solid one.',
  },
  'direction-vanishes': {
    severity: 'note',
    text: ({ other, apartDeg }) =>
      `It touches “${other}” in a near-equal colour, and their stitches lie only ${apartDeg}° apart.`,
    why: 'Without a line between them two such areas look like one. Turn one of them, or outline it.',
  },
  'too-many-shades': {
    severity: 'note',
    text: ({ shades, room, spanMm }) => `${shades} shades over ${mm(spanMm)}: there is room for ${room}.`,
    why: 'A shade needs a row of its own, about 3 mm, to be seen.',
  },
  'too-large-for-direction': {
    severity: 'note',
    text: ({ areaCm2, mostCm2 }) =>
      `It measures ${areaCm2} cm²: up to ${mostCm2} cm² stitches follow a direction that turns.`,
    why: 'No hoop holds so much. Its stitches lie straight; divide it to turn them.',
  },
  'guide-outside': {
    severity: 'note',
    text: ({ outside }) =>
      (outside === 1 ? 'A direction stroke lies' : `${outside} direction strokes lie`) + ' outside the part.',
    why: 'It still turns the stitches, but less than one drawn inside.',
  },
  'too-many-strands': {
    severity: 'warn',
    text: ({ radiusMm, laidMm }) => `It bends at ${mm(radiusMm)} radius; the thread is ${mm(laidMm)} wide.`,
    why: 'A bundle cannot draw what is finer than itself.',
  },
  snags: {
    severity: 'note',
    text: ({ stitch }) => `${stitch} stands up and can catch on a thing in use.`,
    why: 'Loops and knots pull out when they catch.',
  },
  'needle-hole': {
    severity: 'warn',
    text: ({ shaftMm, cloth }) =>
      `The needle is ${mm(shaftMm)} thick: it leaves holes in ${String(cloth).toLowerCase()}.`,
    why: 'Holes in fine cloth do not close again. Fewer strands take a finer needle.',
  },
  pull: {
    severity: 'warn',
    text: ({ stitch, cloth }) => `${stitch} is dense for ${String(cloth).toLowerCase()}, which stretches.`,
    why: 'Without a backing the shape draws in. Follow the backing’s own instructions for heat and time.',
  },
  'lost-in-cloth': {
    severity: 'warn',
    text: ({ colour, difference }) => `${colour} is only ΔE ${Number(difference).toFixed(1)} from the cloth.`,
    why: 'At arm’s length it vanishes into the cloth.',
  },
  'too-alike': {
    severity: ({ difference, ladder }) => (ladder || Number(difference) >= THRESHOLDS.tooAlike ? 'note' : 'warn'),
    text: ({ colour, other, difference, lightness, ladder }) => {
      if (ladder) return `${colour} and ${other} are neighbours of one shading, only ΔE ${difference} apart.`;
      return Number(difference) < THRESHOLDS.tooAlike
        ? `${colour} touches ${other}, only ΔE ${difference} away.`
        : `${colour} touches ${other} and is as light as it: ${lightness} steps of 100 apart.`;
    },
    why: 'Two that differ on the card are one at arm’s length or in dim light. Move one of them, or draw a line between.',
  },
  'lots-mixed': {
    severity: 'warn',
    text: ({ colour, lot, otherLot }) => `${colour} of lot ${lot} touches the same of lot ${otherLot}.`,
    why: 'Lots differ, and side by side it shows. Change lots at a border, or take all from one.',
  },
  'may-run': {
    severity: 'note',
    text: ({ colours }) => `On cloth so pale, these may run when it is washed: ${colours}.`,
    why: 'Strong reds, blues and blacks hold spare dye. Press a wet white scrap on the thread first; wash cool, by the maker’s sheet.',
  },
  confusable: {
    severity: 'note',
    text: ({ a, b, pairs, kind }) =>
      `${a} and ${b}${Number(pairs) > 1 ? ` (and ${Number(pairs) - 1} more)` : ''} look alike to those who do not tell ${kind} apart.`,
    why: 'About one in twenty people. For a guide that others work from, name the shades as well, or choose others.',
  },
  'runs-out': {
    severity: 'warn',
    text: ({ colour, ownedM, needM, percent }) =>
      `You own ${ownedM} m of ${colour}; ${needM} m and what is unpicked will be cut: it reaches in ${percent} of 100 cases.`,
    why: 'The next lot may differ. Buy it together, or save where it does not show.',
  },
  'all-hidden': {
    severity: 'note',
    text: ({ name }) => `“${name}” lies wholly behind other parts, so nothing of it is stitched.`,
    why: 'Bring it forward, keep hidden portions, or remove it.',
  },
  'no-stitches': {
    severity: 'warn',
    text: () => 'No stitch of this kind finds room in it.',
    why: 'The part would stay bare. Choose another stitch or a smaller one.',
  },
  'not-read': {
    severity: 'note',
    text: ({ note }) => String(note),
    why: 'It was in the file that you brought in.',
  },
};

export function severityOf(finding: Finding): Severity {
  const { severity } = SENTENCES[finding.id];
  return typeof severity === 'function' ? severity(finding.figures) : severity;
}

export function sayFinding(finding: Finding): string {
  return SENTENCES[finding.id].text(finding.figures);
}
