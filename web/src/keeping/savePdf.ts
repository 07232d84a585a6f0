import type { Page } from '@junctura/core/paper';
import { saveFile } from './files.ts';
import * as say from './words.ts';

/**
 * Saves pages as a PDF.
 * @param pictures PNG files, by the names under which pages ask for them
 * @returns what the person should know, where letters could not be printed or nothing could be saved; null: all is well
 */
export async function savePdf(
  pages: readonly Page[],
  title: string,
  file: string,
  pictures: Readonly<Record<string, Uint8Array>> = {},
): Promise<string | null> {
  try {
    const { pagesToPdf } = await import('./pagesToPdf.ts');
    const { bytes, unknown } = await pagesToPdf(pages, title, { pictures });
    saveFile(file, bytes as BlobPart, 'application/pdf');
    return unknown === '' ? null : say.lettersNotPrinted([...unknown].slice(0, 20));
  } catch (error) {
    return say.pdfNotMade(error instanceof Error ? error.message : String(error));
  }
}
