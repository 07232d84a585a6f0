import { threadKind, type ShadeRef } from '../materials/index.ts';
import type { ShadeNeed } from '../thread/index.ts';
import type { FinishMaterial } from './kinds.ts';

export interface PriceOptions {
  /** What a skein or ball of a shade costs; null: not known. */
  readonly skeinPrice: (shade: ShadeRef) => number | null;
  /** The same of a colour of the palette, by its id. */
  readonly colourPrice: (colour: string) => number | null;
  /** What one of a shop's goods costs by its id; null: not known. */
  readonly goodsPrice: (id: string) => number | null;
  /** Hours at the piece, by record or plan, and at finishing it. */
  readonly hours: number;
  readonly finishingHours: number;
  readonly perHour: number;
  /** What comes on top, as a share of materials and work. */
  readonly overhead: number;
  /** A price that was named; null: none. */
  readonly asked: number | null;
}

/** What a piece comes to, in the coin of its prices. */
export interface Price {
  /** Thread that is used up, not the skeins that it is cut from. */
  readonly thread: number;
  readonly finishing: number;
  readonly hours: number;
  readonly work: number;
  readonly overhead: number;
  readonly all: number;
  /** What an hour earns at the price that was named, once materials and overhead are paid; null: none was named, or no hour was worked. */
  readonly earned: number | null;
  /** Things of which no price is known. */
  readonly unknown: readonly string[];
}

/** Prices a piece by what it uses: metres of thread, not whole skeins; hours; a share for all that is not counted. */
export function priceOf(
  needs: readonly ShadeNeed[],
  materials: readonly FinishMaterial[],
  options: PriceOptions,
): Price {
  const unknown: string[] = [];
  const thread = needs.reduce((sum, { shade, thread: kind, wholeM }) => {
    const price = options.skeinPrice(shade);
    if (price === null) unknown.push(shade.name);
    return sum + ((price ?? 0) * wholeM) / threadKind(kind).putUpM;
  }, 0);
  const finishing = materials.reduce((sum, { goods, name, quantity, unit, thread: own }) => {
    if (own) {
      const skein = options.colourPrice(own.colour);
      if (skein === null) unknown.push(name);
      return sum + ((skein ?? 0) * quantity) / 1000 / threadKind(own.kind).putUpM;
    }
    const price = goods === null ? null : options.goodsPrice(goods);
    if (price === null) unknown.push(name);
    return sum + (price ?? 0) * (unit === 'pieces' ? quantity : 1);
  }, 0);
  const hours = options.hours + options.finishingHours;
  const work = hours * options.perHour;
  const overhead = (thread + finishing + work) * options.overhead;
  const spent = (thread + finishing) * (1 + options.overhead);
  const earned = options.asked === null || hours <= 0 ? null : (options.asked - spent) / hours;
  return { thread, finishing, hours, work, overhead, all: thread + finishing + work + overhead, earned, unknown };
}
