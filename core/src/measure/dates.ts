import { LOCALE } from './locale.ts';

const DAY = new Intl.DateTimeFormat(LOCALE, { dateStyle: 'medium' });
const DAY_AND_TIME = new Intl.DateTimeFormat(LOCALE, { dateStyle: 'medium', timeStyle: 'short' });
const MONTH = new Intl.DateTimeFormat(LOCALE, { month: 'long', year: 'numeric' });
const WEEKDAY_AND_DAY = new Intl.DateTimeFormat(LOCALE, { weekday: 'short', day: 'numeric', month: 'short' });
const WEEKDAY = new Intl.DateTimeFormat(LOCALE, { weekday: 'short', timeZone: 'UTC' });

/** A day: `3 Dec 2026`. */
export const formatDay = (at: Date): string => DAY.format(at);

/** A moment: `3 Dec 2026, 19:30`. */
export const formatMoment = (at: Date): string => DAY_AND_TIME.format(at);

/** A month: `December 2026`. */
export const formatMonth = (at: Date): string => MONTH.format(at);

/** A day of the coming weeks: `Thu, 3 Dec`. */
export const formatWeekday = (at: Date): string => WEEKDAY_AND_DAY.format(at);

/** The moment at which a local day such as `2026-12-03` is at noon. */
export const noonOf = (localDay: string): Date => new Date(`${localDay}T12:00`);

/** Short names of the days of the week, Sunday first. */
export const WEEKDAYS: readonly string[] = [0, 1, 2, 3, 4, 5, 6].map((day) =>
  // The fourth of January 1970 was a Sunday.
  WEEKDAY.format(Date.UTC(1970, 0, 4 + day)),
);
