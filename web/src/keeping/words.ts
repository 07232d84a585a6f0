import { NO_NEW_THREAD } from '@junctura/core/transfer';
import { formatList, formatNumber, plural } from '@junctura/core/measure';

export const notPacked = (why: string): string => `The backup could not be made. ${why}`;

/** What is kept: what can be done when it can't be is another thing for each. */
export type KeptThing = 'piece' | 'box' | 'other';

/** What is said of a storage that takes nothing, by what was to be kept. */
type SaidOfThing = Readonly<Record<KeptThing, string>>;

export const STORAGE_FULL: SaidOfThing = {
  piece:
    'This browser’s storage is full, so your last change was not saved. Save the piece to a file, then remove pieces you don’t need.',
  box: 'This browser’s storage is full, so your last change of the box was not saved. Export the box as CSV, then remove pieces you don’t need.',
  other: 'This browser’s storage is full. Save your pieces to files, then remove those you don’t need.',
};

export const STORAGE_SILENT: SaidOfThing = {
  piece:
    'The browser’s storage does not answer. Saving is tried again; if this lasts, save the piece to a file and restart the browser.',
  box: 'The browser’s storage does not answer. Saving the box is tried again; if this lasts, export it as CSV and restart the browser.',
  other: 'The browser’s storage does not answer. If this lasts, restart the browser.',
};

export const STORAGE_DENIED: SaidOfThing = {
  piece:
    'The browser doesn’t let Junctura save anything (a private window, or storage is switched off). Save the piece to a file before you close it.',
  box: 'The browser doesn’t let Junctura save the box (a private window, or storage is switched off). Export the box as CSV before you close it.',
  other: 'The browser doesn’t let Junctura save anything (a private window, or storage is switched off).',
};

export const STORAGE_FAULTY: SaidOfThing = {
  piece: 'The browser’s storage has a fault. Saving is tried again; save the piece to a file to be safe.',
  box: 'The browser’s storage has a fault. Saving the box is tried again; export it as CSV to be safe.',
  other: 'The browser’s storage has a fault.',
};

export const tooMuch = (files: number): string =>
  `This file would unpack to more than a bench can hold (${plural(files, 'file')}).`;

export const needles = (needles: readonly string[]): string => `Needles: ${formatList(needles)}.`;

export const positions = (positions: readonly number[]): string => `Hoop position: ${positions.join(', then ')}.`;

export const finishes = (parts: readonly string[]): string => `You will finish: ${formatList(parts)}.`;

export const sittingOf = (piece: string, sitting: number): string => `${piece}: sitting ${sitting}`;

export const demoNotLoaded = (demo: string): string => `“${demo}” could not be loaded. ${CHECK_RUNNING}`;

export const fileTooLarge = (megabytes: number): string =>
  `the file is too large (${formatNumber(megabytes)} MB); drawings up to 16 MB can be read.`;

export const lettersNotPrinted = (letters: readonly string[]): string =>
  `Saved, but these letters come out as question marks: ${letters.join(' ')}. The printed fonts have Latin, Greek and Cyrillic letters.`;

export const pdfNotMade = (why: string): string => `The PDF could not be made. ${why}`;

/** @param file of a piece within a backup, named for the piece */
export const pieceUnread = (file: string, why: string): string =>
  `${file.replace(/^.*\/(\d+-)?/, '').replace(/\.junctura\.json$/, '')}: ${why}`;

/** What to lay out for a sitting, in the calendar. */
export const layOut = (lengths: readonly { count: number; name: string; strands: number }[]): string =>
  lengths.length === 0
    ? NO_NEW_THREAD
    : `Cut: ${formatList(lengths.map(({ count, name, strands }) => `${plural(count, 'length')} of ${name} in ${plural(strands, 'strand')}`))}.`;

export const calendarNotMade = (why: string): string => `The calendar file could not be made. ${why}`;

// What simulated stand-ins do not answer.

/** What helps where the application's own server does not answer. */
export const CHECK_RUNNING = 'Check that Junctura is still running, then try again.';

export const NO_ANSWER = {
  printer: `The simulated printer doesn’t answer. ${CHECK_RUNNING}`,
  shop: `The simulated thread shop doesn’t answer. ${CHECK_RUNNING}`,
  scale: `The simulated kitchen scale doesn’t answer. ${CHECK_RUNNING}`,
} as const;

export const BAD_ANSWER = {
  printer: 'The simulated printer sent an answer that can’t be read.',
  shop: 'The simulated thread shop sent an answer that can’t be read.',
  scale: 'The simulated kitchen scale sent an answer that can’t be read.',
} as const;

export const LATER_BACKUP = 'This backup was made by a later version of Junctura. Reload the page to get it.';

export const LATER_PIECES = 'The stored pieces were saved by a later version of Junctura. Reload the page to get it.';
