import type { PaletteColour } from './schema.ts';

/** A text as an id: small letters, digits and dashes, and not among those taken. */
export function freeId(wanted: string, taken: ReadonlySet<string>): string {
  const base =
    wanted
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 80) || 'part';
  let id = base;
  for (let k = 2; taken.has(id); k++) id = `${base}-${k}`;
  return id;
}

/** An id that no colour of a palette has yet. */
export function freeColourId(palette: readonly PaletteColour[]): string {
  const taken = new Set(palette.map((colour) => colour.id));
  let n = palette.length + 1;
  while (taken.has(`c${n}`)) n++;
  return `c${n}`;
}
