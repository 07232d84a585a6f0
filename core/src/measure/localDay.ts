/** The day of a moment where the person is, as `2026-11-29`: what is noted late in the evening is of that evening, wherever noon in Greenwich is. */
export function localDay(at: Date): string {
  const [month, day] = [at.getMonth() + 1, at.getDate()].map((number) => String(number).padStart(2, '0'));
  return `${at.getFullYear()}-${month}-${day}`;
}
