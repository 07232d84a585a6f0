import { NO_NEW_THREAD } from '@junctura/core/transfer';
import { formatList, formatNumber, plural } from '@junctura/core/measure';

export const notPacked = (why: string): string => `The backup could not be made. ${why}`;

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
