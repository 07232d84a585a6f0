import { ANIMALS } from './animals.ts';
import type { Motif } from './colours.ts';
import { PLANTS } from './plants.ts';
import { FOOD, FRAMES, THINGS, WEATHER } from './things.ts';

/** The motifs to begin with, drawn for Junctura and free to use. */
export const MOTIFS: readonly Motif[] = [...PLANTS, ...ANIMALS, ...FOOD, ...WEATHER, ...THINGS, ...FRAMES];

/** A motif as a drawing that a person could have brought. */
export const motifSvg = ({ name, body }: Motif): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><title>${name}</title>\n${body.replaceAll('/><', '/>\n<')}\n</svg>\n`;
