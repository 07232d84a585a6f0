/** The beginning of a text, cut to a length in UTF-16 units; no letter is cut in two. */
export function shortened(text: string, most: number): string {
  if (text.length <= most) return text;
  const cut = text.slice(0, most);
  return /[\uD800-\uDBFF]$/.test(cut) ? cut.slice(0, -1) : cut;
}

/** A text without what no file can hold: control characters other than tabs and line ends, and halves of letters. */
export function soundText(text: string): string {
  return text.replace(/[^\P{Cc}\t\n\r]|[\p{Cs}\uFFFE\uFFFF]/gu, '');
}
