import cyrillic from '@fontsource/source-sans-3/files/source-sans-3-cyrillic-400-normal.woff?url';
import cyrillicBold from '@fontsource/source-sans-3/files/source-sans-3-cyrillic-600-normal.woff?url';
import greek from '@fontsource/source-sans-3/files/source-sans-3-greek-400-normal.woff?url';
import greekBold from '@fontsource/source-sans-3/files/source-sans-3-greek-600-normal.woff?url';
import latin from '@fontsource/source-sans-3/files/source-sans-3-latin-400-normal.woff?url';
import latinBold from '@fontsource/source-sans-3/files/source-sans-3-latin-600-normal.woff?url';
import latinMore from '@fontsource/source-sans-3/files/source-sans-3-latin-ext-400-normal.woff?url';
import latinMoreBold from '@fontsource/source-sans-3/files/source-sans-3-latin-ext-600-normal.woff?url';

/** Some letters of the face that is printed: where its files are. */
export interface PrintFont {
  readonly plain: string;
  readonly bold: string;
}

/** The face that is printed, in the parts in which it ships: most pages need the first alone. */
export const PRINT_FONTS: readonly PrintFont[] = [
  { plain: latin, bold: latinBold },
  { plain: latinMore, bold: latinMoreBold },
  { plain: greek, bold: greekBold },
  { plain: cyrillic, bold: cyrillicBold },
];

/** Reads a file that ships with the application. */
export async function readShipped(address: string): Promise<Uint8Array> {
  const answer = await fetch(address);
  if (!answer.ok) throw new Error(`the printed letters could not be read (${answer.status})`);
  return new Uint8Array(await answer.arrayBuffer());
}
