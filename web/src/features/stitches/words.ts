import { NEEDLES_ARE_SHARP } from '@junctura/core/materials';
import type { PlacedShape } from '@junctura/core/drawing';
import { byCount, formatFine, formatList, formatNumber, formatPercent, plural } from '@junctura/core/measure';
import type { PictureFault, PictureJudgement } from '@junctura/core/painting';

export const paintInShades = (count: number): string => `Paint it in ${plural(count, 'shade')}`;

export const strokesLead = (count: number): string =>
  byCount(count, { one: 'One stroke sets the direction.', other: `${formatNumber(count)} strokes set the direction.` });

export const eyesMarked = (count: number): string =>
  byCount(count, {
    one: 'You marked one place as important. Choose the shades again to take this into account.',
    other: `You marked ${count} places as important. Choose the shades again to take this into account.`,
  });

export const addLines = (count: number): string => `Add ${plural(count, 'line')} on top`;

export const addLinesLast = (count: number): string => `Add ${plural(count, 'line')}, worked last`;

export const keepShade = (shade: string): string => `Always keep ${shade}`;

export const leaveOutShade = (shade: string): string => `Leave out ${shade}`;

export const waysFailed = (why: string): string => `The ways could not be worked out: ${why}`;

export const flatIn = (shades: number): string => `Flat areas in ${plural(shades, 'shade')}`;

export const paintedIn = (shades: number): string => `Painted in ${plural(shades, 'shade')}`;

export const wayFigures = (stitches: number, difference: number, least: number): string =>
  `${plural(stitches, 'stitch', 'stitches')}; difference ${formatNumber(difference, 1)} from the picture at arm’s length. The shades alone allow ${formatNumber(least, 1)} at best.`;

export const selectLikeOnes = (count: number): string =>
  byCount(count, {
    one: 'Select the one of this shape in another colour too',
    other: `Select ${formatNumber(count)} of this shape in other colours too`,
  });

export const allInGroup = (size: number): string => `All ${size} in the group`;

export const onlyThisOfGroup = (picked: number, size: number): string =>
  byCount(picked, {
    one: `Only this one of ${formatNumber(size)} in the group`,
    other: `Only these ${formatNumber(picked)} of ${formatNumber(size)} in their groups`,
  });

export const oneInGroup = (size: number): string => `one of ${size} in a group`;

export const needleInUse = (needle: string, size: number, shaft: string): string =>
  `${needle} needle ${size} (${shaft})`;

export const threadThat = (does: string): string => `Thread that ${does}`;

export const strokesDrawn = (count: number): string =>
  byCount(count, { one: 'One stroke drawn.', other: `${formatNumber(count)} strokes drawn.` });

export const pointsPlaced = (count: number): string =>
  byCount(count, { one: 'One placed.', other: `${formatNumber(count)} placed.` });

export const shadeN = (number: number): string => `Shade ${number}`;

export const LEFT_TO_CLOTH = 'This part is not stitched: the cloth shows. It still hides what lies behind it.';
export const HIDDEN = 'This part is not stitched: it lies entirely behind others.';

export const strandsOfShade = (number: number): string => `Strands, shade ${number}`;

export const removeShade = (number: number): string => `Remove shade ${number}`;

/** @param needles in the order in which they are taken up */
export const needlesUsed = (needles: readonly string[]): string =>
  `Use a ${needles.join(', then a ')}. ${NEEDLES_ARE_SHARP}`;

/** What was set and stays, and what the new stitch has no use for. */
export function useStitchKeeping(stitch: string, kept: readonly string[], dropped: readonly string[]): string {
  const [stays, goes] = [formatList(kept.map(quoted)), formatList(dropped.map(quoted))];
  if (kept.length > 0 && dropped.length > 0) return `Use ${stitch}: ${stays} kept, ${goes} dropped`;
  if (kept.length > 0) return `Use ${stitch}: ${stays} kept`;
  return dropped.length > 0 ? `Use ${stitch}: ${goes} dropped` : `Use ${stitch}`;
}

const quoted = (label: string): string => `“${label}”`;

export const addLayer = (layer: string): string => `Add: ${layer}`;

/** A layer of one part or of several: its stitch, where they have one, its thread and its time. */
export const layerInShort = (stitch: string | null, thread: string, time: string): string =>
  [stitch ?? 'several stitches', thread, time].join(' · ');

/** How large some parts are together. */
export const pickedTogether = (parts: readonly { readonly placed: PlacedShape }[]): string => {
  const of = (kind: PlacedShape['kind']): PlacedShape[] =>
    parts.map(({ placed }) => placed).filter((placed) => placed.kind === kind);
  const [areas, lines, spots] = [of('area'), of('line'), of('spot')];
  const cm2 = areas.reduce((sum, { areaMm2 }) => sum + areaMm2, 0) / 100;
  const mm = lines.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  return formatList([
    ...(areas.length > 0 ? [`${plural(areas.length, 'area')}, ${formatNumber(cm2, 1)} cm² together`] : []),
    ...(lines.length > 0 ? [`${plural(lines.length, 'line')}, ${formatFine(mm)} together`] : []),
    ...(spots.length > 0 ? [plural(spots.length, 'dot')] : []),
  ]);
};

export const layerTakes = (thread: string, stitches: number, time: string): string =>
  `${thread} of thread, ${plural(stitches, 'stitch', 'stitches')}, ${time}`;

export const useStrands = (strands: number): string => `Use ${plural(strands, 'strand')}`;

export const changeParam = (label: string): string => `Change “${label}”`;

export const judged = (difference: number, least: number, shades: number, lonelyShare: number): string =>
  `From arm’s length the difference from the picture is ${formatNumber(difference, 1)} on average; these shades allow ${formatNumber(least, 1)} at best. ${plural(shades, 'shade')} in use; ${formatPercent(lonelyShare, 1)} of the stitches stand in patches of fewer than four.`;

export const wayTakes = (hours: string, metres: number, skeins: number): string =>
  `${hours} · ${formatNumber(metres)} m · ${plural(skeins, 'skein')}`;

export const waysDone = (done: number, all: number): string => `${done} of ${all}`;

/** Names of thin lines on top, as parts of their own. */
export const ridge = {
  light: (number: number): string => `Highlight ${number}`,
  hair: (number: number): string => `Hair ${number}`,
} as const;

export const shadesForFew = (few: number, all: number): string =>
  byCount(few, {
    one: `One of its ${all} shades would be for fewer than four stitches in one place.`,
    other: `${formatNumber(few)} of its ${all} shades would be for fewer than four stitches in one place.`,
  });

/** What is wrong with a picture to paint from, and what to do about it. */
export function pictureFault(fault: PictureFault): string {
  switch (fault.id) {
    case 'coarse':
      return `It has ${formatNumber(fault.pxPerMm, 1)} pixels per millimetre at this size, but a strand can show ${formatNumber(fault.wantedPxPerMm, 1)}: use a larger picture or a smaller hoop.`;
    case 'blurred':
      return `Its sharpest edges would be ${formatNumber(fault.edgeMm, 1)} mm wide in thread: use a sharper picture, especially of the eyes.`;
    case 'dark':
      return `${formatPercent(fault.share)} of it is too dark to make anything out: use better light, or lighten it first.`;
    case 'bright':
      return `${formatPercent(fault.share)} of it is overexposed: use softer light.`;
    case 'out-of-reach':
      return `No thread comes close to ${formatPercent(fault.share)} of its colours, such as this one: they will look duller.`;
    case 'cast':
      return 'Its highlights are tinted, as under a lamp: set its white balance from a grey spot before you import it.';
    case 'beside':
      return `About ${formatPercent(fault.share)} of the part lies outside the picture; there, the colours at the picture’s edge are used.`;
    case 'plain':
      return 'It is a single colour: there is nothing to paint.';
  }
}

export const detail = ({ detailMm, detailPx }: PictureJudgement): string =>
  `Details smaller than ${formatNumber(detailMm, 1)} mm (${plural(Math.round(detailPx), 'pixel')} of the picture) are finer than three strands.`;
