import { channelsOf, hexOf } from '../../colour/index.ts';
import { failure, shortened, soundText, success, type Outcome } from '../../measure/index.ts';
import type { ShadeRef } from '../ranges.ts';
import type { OwnCard } from './schema.ts';
import * as say from '../words.ts';

/** The shades of a card that were read of a file, and what was left out of it. */
export interface ReadCard {
  readonly shades: OwnCard['shades'];
  readonly notes: readonly string[];
}

const MAGIC = 'GIMP Palette';

/**
 * Reads a GPL palette: its first line says what it is, then `Name: …`, then red, green, blue and a name in each line.
 * A name that ends in a code in brackets, as they are written here, is taken apart again.
 */
export function readGpl(text: string, fileName: string): Outcome<ReadCard> {
  const lines = text.replace(/^\uFEFF/, '').split(/\r?\n/);
  if (lines[0]?.trim() !== MAGIC) return failure(say.notGpl(MAGIC));
  const name =
    lines
      .find((line) => line.startsWith('Name:'))
      ?.slice(5)
      .trim() || fileName;
  const shades = new Map<string, ShadeRef>();
  let isLeftOut = 0;
  for (const line of lines.slice(1)) {
    if (/^\s*(#|Name:|Columns:|$)/.test(line)) continue;
    const match = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/.exec(line);
    const channels = match?.slice(1, 4).map(Number) ?? [];
    if (!match || channels.some((value) => value > 255)) {
      isLeftOut++;
      continue;
    }
    const hex = hexOf(channels[0]! / 255, channels[1]! / 255, channels[2]! / 255);
    const [, plain, code] = /^(.*?)\s*\(([^()]+)\)\s*$/.exec(match[4] ?? '') ?? [];
    const called = oneLine(plain ?? match[4] ?? '') || hex;
    const key = shortened(code === undefined ? called : oneLine(code) || called, 60);
    if (!shades.has(key)) shades.set(key, { range: shortened(name, 80), code: key, name: shortened(called, 200), hex });
    else isLeftOut++;
  }
  if (shades.size === 0) return failure('there are no colours in this palette.');
  const notes = isLeftOut > 0 ? [say.linesLeftOut(isLeftOut)] : [];
  return success({ shades: [...shades.values()], notes });
}

/** A name as it may stand in a line: what is a line of its own by itself would be read as another. */
function oneLine(text: string): string {
  return soundText(text).replace(/\s+/g, ' ').trim();
}

/** Shades as a GPL palette. */
export function writeGpl(name: string, shades: readonly ShadeRef[]): string {
  const rows = shades.map(({ hex, name: called, code }) => {
    const channels = channelsOf(hex).map((value) => String(value).padStart(3));
    // A code stands in brackets, so it has none itself.
    return `${channels.join(' ')}\t${oneLine(called)} (${oneLine(code.replace(/[()]/g, ' '))})`;
  });
  return `${MAGIC}\nName: ${oneLine(name)}\n#\n${rows.join('\n')}\n`;
}
