import { shopSchema, type ShopStock } from '@junctura/core/materials';
import { failure, success, z, type Outcome } from '@junctura/core/measure';
import * as say from './words.ts';

/** Devices and services outside, simulated by Junctura's own server: what they answer is checked all the same. */

const PATIENCE_MS = 4000;
const TRIES = 2;

/** Asks a stand-in, once more where it stays silent. */
async function ask<T>(path: keyof typeof say.NO_ANSWER, schema: z.ZodType<T>): Promise<Outcome<T>> {
  for (let i = 0; i < TRIES; i++) {
    try {
      const response = await fetch(`/stand-ins/${path}`, { signal: AbortSignal.timeout(PATIENCE_MS) });
      const answer = schema.safeParse(await response.json());
      return answer.success ? success(answer.data) : failure(say.BAD_ANSWER[path]);
    } catch {
      // It may only have been slow.
    }
  }
  return failure(say.NO_ANSWER[path]);
}

const printerSchema = z.object({
  simulated: z.literal(true),
  name: z.string().max(80),
  across: z.number().min(0.5).max(1.5),
  down: z.number().min(0.5).max(1.5),
});
export type SimulatedPrinter = z.infer<typeof printerSchema>;

/** What the simulated printer makes of a page. */
export function askPrinter(): Promise<Outcome<SimulatedPrinter>> {
  return ask('printer', printerSchema);
}

/** What the simulated thread shop has now. */
export function askShop(): Promise<Outcome<ShopStock>> {
  return ask('shop', shopSchema);
}

const scaleSchema = z.object({
  simulated: z.literal(true),
  name: z.string().max(80),
  grams: z.number().min(0).max(100_000),
  stepGrams: z.number().positive().max(100),
});

/** What the simulated kitchen scale shows. */
export function askScale(): Promise<Outcome<z.infer<typeof scaleSchema>>> {
  return ask('scale', scaleSchema);
}

/** The picture that the simulated camera takes. */
export const CAMERA_URL = '/stand-ins/camera';
