import { differenceInCalendarDays, parseISO } from 'date-fns';

/** The hours at the hoop from today to a day, both of them counted, at a person's pace; 0 where the day is over. */
export function hoursUntil(
  day: string,
  today: string,
  { sittingMin, sittingsPerWeek }: { readonly sittingMin: number; readonly sittingsPerWeek: number },
): number {
  const days = differenceInCalendarDays(parseISO(day), parseISO(today)) + 1;
  return Math.max(0, ((days / 7) * sittingsPerWeek * sittingMin) / 60);
}
