import { z } from '../measure/index.ts';

const word = z.string().min(1).max(120);
const price = z.number().min(0).max(100_000);
const days = z.number().int().min(0).max(365);

/** What a thread shop has, as it says itself. Prices are in its coin. */
export const shopSchema = z.object({
  /** The shop that ships with Junctura is a stand-in, and says so. */
  simulated: z.literal(true),
  name: word,
  coin: z.string().min(1).max(4),
  threads: z
    .array(
      z.object({
        range: word,
        code: word,
        price,
        /** Until it is there. */
        days,
        /** Skeins there are, by dye lot; none: out of stock. */
        lots: z.array(z.object({ lot: word, skeins: z.number().int().min(1).max(10_000) })).max(20),
      }),
    )
    .max(5000),
  goods: z
    .array(
      z.object({
        id: word,
        kind: z.enum(['cloth', 'hoop', 'needle', 'mark', 'backing', 'tape']),
        price,
        unit: word,
        days,
        stock: z.number().int().min(0),
      }),
    )
    .max(1000),
});

export type ShopStock = z.infer<typeof shopSchema>;
export type ShopThread = ShopStock['threads'][number];
export type ShopGoods = ShopStock['goods'][number];
