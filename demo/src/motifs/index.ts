import { colourWords } from '@junctura/core/colour';
import { ANIMALS } from './animals.ts';
import type { Motif } from './colours.ts';
import { PLANTS } from './plants.ts';
import { FOOD, FRAMES, THINGS, WEATHER } from './things.ts';

/** The motifs to begin with, drawn for Junctura and free to use. */
export const MOTIFS: readonly Motif[] = [...PLANTS, ...ANIMALS, ...FOOD, ...WEATHER, ...THINGS, ...FRAMES];

/** Each thing that is drawn with a name of its colour and kind, so that lists and guides can speak of it; several are numbered. */
function named(body: string): string {
  const nameOf = (tag: string): string => {
    const hex = /(?:fill|stroke)="(#[^"]+)"/.exec(tag)![1]!;
    const [colour] = colourWords(hex);
    const kind = tag.includes('stroke=') ? 'line' : 'area';
    return `${colour![0]!.toUpperCase()}${colour!.slice(1)} ${kind}`;
  };
  const tags = body.match(DRAWN) ?? [];
  const counts = new Map<string, number>();
  for (const tag of tags) counts.set(nameOf(tag), (counts.get(nameOf(tag)) ?? 0) + 1);
  const used = new Map<string, number>();
  return body.replace(DRAWN, (tag) => {
    const name = nameOf(tag);
    const at = (used.get(name) ?? 0) + 1;
    used.set(name, at);
    return tag.replace(/^<(\w+)/, `<$1 aria-label="${counts.get(name)! > 1 ? `${name} ${at}` : name}"`);
  });
}
const DRAWN = /<(?:path|circle|ellipse)[^>]*\/>/g;

/** A motif as a drawing that a person could have brought. */
export const motifSvg = ({ name, body }: Motif): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><title>${name}</title>\n${named(body).replaceAll('/><', '/>\n<')}\n</svg>\n`;
