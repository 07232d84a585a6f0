import { hexColour } from '../colour/index.ts';
import { CLOTH_IDS } from '../materials/index.ts';
import { z } from '../measure/index.ts';

export const SCRAP_PATTERNS = ['plain', 'stripe', 'check', 'dot', 'sprig'] as const;
export const SCRAP_HELD = ['glue', 'pins', 'tacks'] as const;

/** A piece of another cloth that is laid on and worked down, in place of thread. */
export const scrapSchema = z.strictObject({
  cloth: z.enum(CLOTH_IDS, { error: 'no such cloth' }),
  hex: hexColour,
  pattern: z.enum(SCRAP_PATTERNS),
  /** The colour of its stripes, dots or sprigs. */
  second: hexColour,
  /** Cut as it is, or turned under by 5 mm. */
  edge: z.enum(['raw', 'turned']),
  /** By what it is held until it is worked down. */
  held: z.enum(SCRAP_HELD),
});

export type Scrap = z.infer<typeof scrapSchema>;

/** Quilting cotton in a colour, its edge turned under, held by pins. */
export function plainScrap(hex: string): Scrap {
  return { cloth: 'quilting-cotton', hex, pattern: 'plain', second: '#f6f1e6', edge: 'turned', held: 'pins' };
}
