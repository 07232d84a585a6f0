import { shortened } from '@junctura/core/measure';
import { useFileDialog } from '@vueuse/core';

/** Hands a file to the person to save. */
export function saveFile(name: string, content: BlobPart, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** Names under which some systems keep devices, not files. */
const RESERVED = /^(con|prn|aux|nul|com\d|lpt\d)$/;

/** A file name made of a piece's name: letters, digits and hyphens. */
export function fileName(name: string, extension: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase();
  const short = shortened(plain, 60).replace(/-+$/, '') || 'piece';
  return RESERVED.test(short) ? `${short}-piece${extension}` : `${short}${extension}`;
}

/**
 * Lets the person choose a file; where she closes the chooser, nothing is heard.
 * @param capture which camera a phone offers first
 */
export function chooseFile(accept: string, take: (file: File) => void, capture?: 'environment'): void {
  const { open, onChange } = useFileDialog({ accept, multiple: false, reset: true, ...(capture && { capture }) });
  onChange((files) => {
    const file = files?.[0];
    if (file) take(file);
  });
  open();
}

/** What a data address holds; null where it is none. */
export function blobOfAddress(address: string): Blob | null {
  const [, type, data] = /^data:([^;]+);base64,(.*)$/.exec(address) ?? [];
  return type && data ? new Blob([Uint8Array.from(atob(data), (c) => c.charCodeAt(0))], { type }) : null;
}

/** The kinds of picture that are read. */
export const PICTURES = 'image/png,image/jpeg,image/webp';
