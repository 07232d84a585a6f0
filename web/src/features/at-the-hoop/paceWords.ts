/** A pace against the usual, in words: `24 % slower`; null: as usual. */
export function paceWords(factor: number): string | null {
  const percent = Math.round(100 * (factor - 1));
  return percent === 0 ? null : `${Math.abs(percent)} % ${percent > 0 ? 'slower' : 'quicker'}`;
}
