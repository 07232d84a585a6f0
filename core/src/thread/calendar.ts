import { addDays, differenceInCalendarDays, format, isValid, parseISO } from 'date-fns';
import type { SittingCalendar } from '../piece/index.ts';
import { chanceWithin, hoursNeeded } from './odds.ts';

const iso = (date: Date): string => format(date, 'yyyy-MM-dd');

/**
 * The day of each sitting, as `2026-11-29`: on the person's days of the week, or spread evenly over the weeks; those that were moved on the day
 * that was chosen for them.
 * @param today where the first day is not said
 */
export function sittingDays(
  { days, begin, moved }: SittingCalendar,
  perWeek: number,
  count: number,
  today: string,
): string[] {
  const first = parseISO(begin ?? today);
  const chosen = new Map(moved.map(({ sitting, on }) => [sitting, on]));
  const regular: string[] = [];
  if (days.length === 0) {
    for (let i = 0; i < count; i++) regular.push(iso(addDays(first, Math.floor((i * 7) / perWeek))));
  } else {
    for (let day = first; regular.length < count; day = addDays(day, 1)) {
      if (days.includes(day.getDay())) regular.push(iso(day));
    }
  }
  return regular.map((day, i) => chosen.get(i + 1) ?? day);
}

/** What a day to be done by asks for. */
export type DoneBy =
  | { readonly type: 'past' }
  | {
      readonly type: 'ahead';
      readonly days: number;
      /** Sittings a week that do in half of all cases, and in nine of ten. */
      readonly perWeekP50: number;
      readonly perWeekP90: number;
      /** In how many cases it is done by then at the pace of now, 0–1. */
      readonly odds: number;
    };

/**
 * Whether a piece is done by a day.
 * @param hours as reckoned: half of all cases take no more
 * @returns null where there is no such day
 */
export function doneBy(
  day: string,
  today: string,
  hours: number,
  { sittingMin, sittingsPerWeek }: { readonly sittingMin: number; readonly sittingsPerWeek: number },
): DoneBy | null {
  const [wanted, now] = [parseISO(day), parseISO(today)];
  if (!isValid(wanted) || !isValid(now)) return null;
  const days = differenceInCalendarDays(wanted, now);
  if (days < 0) return { type: 'past' };
  const weeks = (days + 1) / 7;
  const perWeek = (share: number): number =>
    Math.ceil(((hoursNeeded(hours, share) * 60) / sittingMin / weeks) * 10) / 10;
  return {
    type: 'ahead',
    days,
    perWeekP50: perWeek(0.5),
    perWeekP90: perWeek(0.9),
    odds: chanceWithin(hours, (weeks * sittingsPerWeek * sittingMin) / 60),
  };
}

/** How long and how often a person sits at a piece. */
interface Evenings {
  readonly sittingMin: number;
  readonly sittingsPerWeek: number;
}

/** The hours at the hoop from today to a day, both of them counted, at a person's pace; 0 where the day is over. */
export function hoursUntil(day: string, today: string, { sittingMin, sittingsPerWeek }: Evenings): number {
  const days = differenceInCalendarDays(parseISO(day), parseISO(today)) + 1;
  return Math.max(0, ((days / 7) * sittingsPerWeek * sittingMin) / 60);
}

/** The first day by which some hours are to be had from today on, as `2026-12-09`. */
export function dayFor(hours: number, today: string, { sittingMin, sittingsPerWeek }: Evenings): string {
  const days = Math.ceil((hours * 60 * 7) / (sittingMin * sittingsPerWeek) - 1e-9);
  return iso(addDays(parseISO(today), Math.max(0, days - 1)));
}
