import { byCount, formatFine, formatNumber, formatPercent, plural } from '@junctura/core/measure';

export const yoursFits = (cloth: string): string => `${cloth}; your own will fit`;

export const useRing = (ring: string): string => `Use a ${ring} hoop`;

export const tapeFor = (metres: number, widthMm: number): string =>
  `${formatNumber(metres, 1)} m of ${formatFine(widthMm)} tape`;

export const fitTo = (size: string): string => `Fit to the ${size} hoop`;

export const sizesDone = (done: number, all: number): string => `${done} of ${all} sizes`;

export const pieceInHoop = (size: string): string => `The piece in a ${size} hoop`;

export const noPositions = (why: string): string => `The hoop positions could not be found: ${why}`;

export const roundEnough = (limit: number): string => `Within ${formatPercent(limit)}: round enough. Happy stitching.`;

export const useHoop = (size: string): string => `Use a ${size} hoop`;

// What a design loses in a hoop.

export const tooSmall = (parts: number): string => `${plural(parts, 'part')} too small`;

export const merging = (lines: number): string =>
  byCount(lines, { one: 'one line merges', other: `${formatNumber(lines)} lines merge` });

export const satinTooLong = (parts: number): string => `${plural(parts, 'part')} with satin too long`;

/** How a design of a size that is kept lies in a hoop. */
export const clearOfRing = (clearMm: number, clear: string): string =>
  clearMm >= 0 ? `${clear} free all round` : `reaches ${clear} past the ring`;

export const positionsNeeded = (positions: number | null): string =>
  positions === null ? 'too small to reach it all' : plural(positions, 'hoop position');

export const ringLiesOn = (parts: number): string =>
  byCount(parts, { one: 'the ring lies on one part', other: `the ring lies on ${formatNumber(parts)} parts` });

export const keepsSizeOf = (width: string, height: string): string =>
  `Your design keeps its size, ${width} × ${height}: here is how each hoop holds it.`;

/** What the use of a piece decides. */
export const useMeans = (span: string, isWorn: boolean): string =>
  isWorn
    ? `Suggestions keep satin short and flat, and loose loops or stitches over ${span} are pointed out. The finish stays as you chose it.`
    : `Stitches up to ${span} may lie free. The finish stays as you chose it.`;

export const wide = (width: string): string => `${width} wide`;

export const threadAndSkeins = (metres: number, skeins: number): string =>
  `${formatNumber(metres, 1)} m · ${plural(skeins, 'skein')}`;

/** @param sections parts that only partly lie in this position */
export const partsInPosition = (whole: number, sections: number): string =>
  sections > 0 ? `${plural(whole, 'whole part')} and ${plural(sections, 'section')}` : plural(whole, 'whole part');

export function hoopName(size: string, isOval: boolean, isOwned: boolean): string {
  const name = isOval ? `Oval, ${size}` : `Round, ${size}`;
  return isOwned ? `${name} (you own this)` : name;
}

export const fittingMakes = (width: string, now: string, factor: number): string =>
  `Fitting makes it ${width} wide instead of ${now}: ${formatNumber(factor, 2)} times its size.`;

export const roomInHoop = (circle: string, inside: string, clear: string): string =>
  `The smallest circle round the design is ${circle} across, and the hoop is ${inside} inside. That leaves ${clear} free at the closest point.`;

/** @param share by how much the cloth is longer up and down than across */
export const outOfRound = (share: number): string =>
  share > 0
    ? `${formatPercent(share, 1)} out of round (drawn here three times as much). Loosen the screw, ease the cloth back at the top and bottom, even it out along the grain, and tighten it again before the first stitch.`
    : `${formatPercent(-share, 1)} out of round (drawn here three times as much). Loosen the screw, ease the cloth back at the left and right, even it out along the grain, and tighten it again before the first stitch.`;

export const suggestedBehind = (name: string): string => `As suggested: ${name}`;

export const cutBehind = (across: string, upright: string): string => `Cut it ${across} across and ${upright} upright.`;

export const holdKnit = (isHooped: boolean): string =>
  isHooped
    ? 'Close the hoop only until the knit lies flat, never drum-tight: what is stretched puckers when it is let go. Use a ball-point needle.'
    : 'Hold it lightly and unstretched, keep the stitches small, and use a ball-point needle.';
