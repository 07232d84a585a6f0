import { formatNumber } from './numbers.ts';

/** A duration, from eight minutes on to the nearest five: `40 s`, `25 min`, `1 h 40 min`, `12 h`. */
export function formatDuration(hours: number): string {
  const minutes = Math.abs(hours * 60);
  if (minutes < 1) return `${Math.round(minutes * 60)} s`;
  if (minutes < 8) return `${Math.round(minutes)} min`;
  const rounded = Math.round(minutes / 5) * 5;
  if (rounded < 60) return `${rounded} min`;
  const whole = Math.floor(rounded / 60);
  const rest = rounded % 60;
  return rest === 0 || whole >= 10 ? `${formatNumber(rounded / 60)} h` : `${whole} h ${rest} min`;
}

/** A range of durations, in one unit where it can: `5–8 h`, `40–55 min`, `50 min – 1 h 40 min`. */
export function formatDurationRange(lowHours: number, highHours: number): string {
  if (highHours * 60 < 57.5) {
    const [low, high] = [lowHours, highHours].map((hours) => Math.round(hours * 60));
    return low === high ? `${low} min` : `${low}–${high} min`;
  }
  if (highHours < 4) {
    const [low, high] = [formatDuration(lowHours), formatDuration(highHours)];
    return low === high ? high : `${low} – ${high}`;
  }
  const [low, high] = [formatNumber(lowHours), formatNumber(highHours)];
  return low === high ? `${high} h` : `${low}–${high} h`;
}
