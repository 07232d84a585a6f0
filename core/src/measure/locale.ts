/**
 * The locale in which figures are written: the words are English, so what stands beside them (names of months, the 'and' of a
 * list) is English too, by the customs of the reader's own region: `1.204,5` and `3 Dec 2026` in Germany, `1,204.5` and
 * `Dec 3, 2026` in the United States.
 * @param reader a BCP 47 tag, such as the browser's own
 */
export function englishLocale(reader: string): string {
  const { language, region } = new Intl.Locale(reader).maximize();
  if (language === 'en') return reader;
  return region ? `en-${region}` : 'en';
}

/** The reader's own: in a page and its workers the browser's, in a shell the system's. */
export const LOCALE = englishLocale(new Intl.NumberFormat().resolvedOptions().locale);
