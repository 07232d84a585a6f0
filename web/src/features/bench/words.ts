import { byCount, formatList, formatNumber, plural } from '@junctura/core/measure';

export const backupSaved = (size: string): string => `Saved: ${size}. Keep a copy on another device.`;

export const benchReplaced = (pieces: number): string =>
  byCount(pieces, {
    one: 'The bench is now as in the backup: 1 piece.',
    other: `The bench is now as in the backup: ${formatNumber(pieces)} pieces.`,
  });

export const unreadFiles = (count: number, why: string): string =>
  byCount(count, {
    one: `One file in the backup can’t be read and is left out. ${why}`,
    other: `${count} files in the backup can’t be read and are left out. ${why}`,
  });

export const willBeRemoved = (pieces: readonly string[]): string => `These will be removed: ${formatList(pieces)}.`;

export const savedOn = (day: string): string => `Saved on ${day}`;

export const pieceRemoved = (name: string): string => `“${name}” was removed.`;

/** What merging a backup adds to what is here. */
export function willAdd(added: { pieces: number; entries: number; photographs: number; threads: number }): string {
  const { pieces, entries, photographs, threads } = added;
  const words = [
    pieces > 0 && plural(pieces, 'piece'),
    entries > 0 && plural(entries, 'record entry', 'record entries'),
    photographs > 0 && plural(photographs, 'photograph'),
    threads > 0 && plural(threads, 'thread box entry', 'thread box entries'),
  ].filter((word) => word !== false);
  return words.length === 0 ? 'Everything in it is here already.' : `This adds ${formatList(words)}.`;
}

/** @param threads entries of the thread box; null: the backup has none */
export function inBackup(pieces: number, photographs: number, threads: number | null): string {
  const both = [plural(pieces, 'piece'), plural(photographs, 'photograph')];
  return formatList(threads === null ? both : [...both, plural(threads, 'thread box entry', 'thread box entries')]);
}

export const drawingsStay = (count: number): string =>
  byCount(count, {
    one: 'One piece has another drawing here: it stays, and the one in the backup is saved among its earlier versions.',
    other: `${formatNumber(count)} pieces have other drawings here: they stay, and those in the backup are saved among their earlier versions.`,
  });
