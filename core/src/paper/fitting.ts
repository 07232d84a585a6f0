/** How wide letters of the printed face are, about, as shares of their size: narrow ones, wide ones, capitals, all others. */
const NARROW = /[iljtf.,:;'’“”"|!()[\]\s-]/;
const WIDE = /[mwMW@%—…]/;
/** Scripts other than Latin have letters as wide as they are high, or nearly. */
const LAST_OF_LATIN = 0x24f;
const CAPITAL = /\p{Lu}/u;
const SHARES = { narrow: 0.34, wide: 0.92, capital: 0.7, other: 0.56 } as const;

function letterShare(letter: string): number {
  if (NARROW.test(letter)) return SHARES.narrow;
  if (WIDE.test(letter) || letter.codePointAt(0)! > LAST_OF_LATIN) return SHARES.wide;
  return CAPITAL.test(letter) ? SHARES.capital : SHARES.other;
}

/** How wide words are printed, mm: about, and rather too wide than too narrow. */
export function widthOf(words: string, sizeMm: number): number {
  let shares = 0;
  for (const letter of words) shares += letterShare(letter);
  return shares * sizeMm;
}

/** Words in lines that fit a width; a word that is wider is parted. No letter is lost. */
export function wrapped(words: string, widthMm: number, sizeMm: number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of words.split(/\s+/).filter((one) => one !== '')) {
    if (line !== '' && widthOf(`${line} ${word}`, sizeMm) > widthMm) {
      lines.push(line);
      line = '';
    }
    line = line === '' ? word : `${line} ${word}`;
    while (widthOf(line, sizeMm) > widthMm) {
      const part = startOf(line, widthMm, sizeMm);
      lines.push(part);
      line = line.slice(part.length);
    }
  }
  return line === '' ? lines : [...lines, line];
}

/** Words that fit a width: as much as there is room for, and dots for the rest. */
export function fitted(words: string, widthMm: number, sizeMm: number): string {
  if (widthOf(words, sizeMm) <= widthMm) return words;
  return `${startOf(words, widthMm - widthOf('…', sizeMm), sizeMm).trimEnd()}…`;
}

/** As many letters of a text as fit a width: one at least. */
function startOf(words: string, widthMm: number, sizeMm: number): string {
  let [start, width] = ['', 0];
  for (const letter of words) {
    width += letterShare(letter) * sizeMm;
    if (width > widthMm && start !== '') break;
    start += letter;
  }
  return start;
}
