import {
  byCount,
  formatDuration,
  formatFine,
  formatLength,
  formatList,
  formatNumber,
  formatPercent,
  plural,
  type UnitSystem,
} from '@junctura/core/measure';
import type { PlacedShape } from '@junctura/core/drawing';
import type { PassRole } from '@junctura/core/piece';
import { wholeWidth, type PlannedPass } from '@junctura/core/work';
import type { WorkTime } from '@junctura/core/thread';

export const USE_OTHER_TAB = 'Use the other tab’s version';

export const KEEP_THIS_TAB = 'Keep this tab’s version';

export const notedUnkept = (count: number): string =>
  byCount(count, {
    one: '1 thing that you noted at the hoop is not saved yet. Junctura tries again while this page is open.',
    other: `${formatNumber(count)} things that you noted at the hoop are not saved yet. Junctura tries again while this page is open.`,
  });

export const leaveAll = (count: number): string => `Leave all ${count} like this as they are`;

export const moreAlike = (count: number): string =>
  byCount(count, { one: 'Show one more like this', other: `Show ${formatNumber(count)} more like this` });

export const moreKinds = (count: number): string =>
  byCount(count, { one: 'Show one more thing to check', other: `Show ${formatNumber(count)} more things to check` });

export const partsPicked = (count: number): string => `${plural(count, 'part')} selected`;

export const finishingFailed = (why: string): string => `The finishing could not be worked out. ${why}`;

export const beyondLimits = (edit: string, place: string): string =>
  `“${edit}” can’t be done: it would go beyond what a piece can hold, in ${place}.`;

export const pictureTooLarge = (name: string, megabytes: number): string =>
  `${name}: the picture is too large (${formatNumber(megabytes)} MB); up to 80 MB can be read.`;

export const piecesAdded = (count: number): string =>
  byCount(count, { one: '1 piece added to your bench.', other: `${formatNumber(count)} pieces added to your bench.` });

export const drawingUpdated = (kept: number, added: number, removed: number): string =>
  `${plural(kept, 'part')} kept their stitches, ${formatNumber(added)} new, ${formatNumber(removed)} removed. Undo brings the old drawing back.`;

export const storageFull = (share: number): string =>
  `This browser’s storage is ${formatPercent(share)} full. Save your pieces to files before there is no more room.`;

export const redone = (edit: string): string => `Redone: ${edit}`;

export const planFailed = (why: string): string => `The piece could not be planned. ${why}`;

/** The size of a part in words: an area by its area and widest place, a line by its length. */
export function partSize(placed: PlacedShape, units: UnitSystem): string {
  if (!placed.box) return 'entirely hidden';
  if (placed.kind === 'area') {
    const area =
      placed.areaMm2 >= 1000
        ? `${formatNumber(placed.areaMm2 / 100, 1)} cm²`
        : `${formatNumber(placed.areaMm2, placed.areaMm2 < 10 ? 1 : 0)} mm²`;
    return `${area}, ${formatFine((placed.widest?.r ?? 0) * 2)} at its widest`;
  }
  if (placed.kind === 'line') return `${formatLength(placed.lengthMm, units)} long`;
  const count = placed.shape.spots.length / 2;
  return plural(count, 'dot');
}

// Said in more than one feature.

export const pageOf = (page: number, pages: number): string => `Page ${page} of ${pages}`;

export const lengthsToLayOut = (colour: string, count: number, strands: number, length: string): string =>
  `${colour}: ${plural(count, 'length')} of ${plural(strands, 'strand')}, ${length}`;

export const redrawFirst = (parts: readonly string[]): string => `Redraw first: ${formatList(parts)}`;

/** How wide a layer lies: its line or coil as a whole, and its thread. How large a knot becomes is said with its wraps. */
export function widthsOf(pass: PlannedPass): string {
  const [whole, thread] = [wholeWidth(pass), formatFine(pass.laidMm)];
  if (whole?.of === 'line') return `The line is ${formatFine(whole.widthMm)} wide, its thread ${thread}.`;
  if (whole?.of === 'coil') return `The coil is ${formatFine(whole.widthMm)} thick, its thread ${thread} wide.`;
  return `The thread lies ${thread} wide.`;
}

/** How long it takes: the stitches themselves, and the threading that comes with them. */
export const stitchingAndThreading = ({ stitchSeconds, aroundSeconds }: WorkTime): string =>
  `${formatDuration(stitchSeconds / 3600)} of stitching, ${formatDuration(aroundSeconds / 3600)} of threading`;

/** All of it. */
export const wholeTime = ({ stitchSeconds, aroundSeconds }: WorkTime): string =>
  formatDuration((stitchSeconds + aroundSeconds) / 3600);

export const useStitch = (stitch: string): string => `Use ${stitch}`;

export const stitchAndStrands = (stitch: string, strands: number): string => `${stitch}, ${plural(strands, 'strand')}`;

/** Several parts in words: by the name that they share but for its number (“6 × Petal”), else as parts; one by its own name. */
export function partsInWords(names: readonly string[]): string {
  if (names.length === 1) return names[0]!;
  const stems = new Set(names.map((name) => name.replace(/[\s,]*\d+$/, '')));
  const [stem] = stems;
  return stems.size === 1 && stem ? sharedName(names.length, stem) : plural(names.length, 'part');
}

/** A name is as the person wrote it: nothing of it is turned into small letters, or given an ending. */
const sharedName = (count: number, stem: string): string => `${formatNumber(count)} × ${stem}`;

export const KIND_WORDS = { area: 'Area', line: 'Line', spot: 'Dot' } as const;

type Kind = PlacedShape['kind'];

/** The layers of a part: what each is called on the card, and in the list of what can be added. */
export const ROLE_WORDS: Readonly<Record<PassRole, { readonly name: (kind: Kind) => string; readonly add: string }>> = {
  padding: { name: () => 'Padding', add: 'Padding underneath' },
  edge: { name: () => 'Firm edge', add: 'Firm edge, under the filling' },
  filling: { name: (kind) => ({ area: 'Filling', line: 'Line', spot: 'Dot' })[kind], add: 'Filling' },
  beside: { name: () => 'Second line', add: 'Second line, on it or beside it' },
  outline: { name: () => 'Outline', add: 'Outline, over the edge' },
  vein: { name: () => 'Vein', add: 'Vein along the middle' },
  accent: { name: () => 'Highlights', add: 'Single highlights' },
};

/** A difference with its sign: `+1.4 m`, `−25 min`. */
export const signed = (value: number, amount: string): string => (value > 0 ? `+${amount}` : `−${amount}`);

export const toCut = (value: number, length: string): string => `${signed(value, length)} to cut`;

export const checksChanged = (by: number): string =>
  by > 0
    ? byCount(by, { one: '1 more thing to check', other: `${formatNumber(by)} more things to check` })
    : byCount(-by, { one: '1 thing fewer to check', other: `${formatNumber(-by)} things fewer to check` });

export const showPart = (part: string): string => `Show “${part}”`;

export const editPicked = (count: number): string => byCount(count, { one: 'Edit it', other: 'Edit them' });
