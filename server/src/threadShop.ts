import {
  CLOTHS,
  HOOP_SIZES_MM,
  MARKS,
  RANGES,
  threadKind,
  type ShopGoods,
  type ShopStock,
  type ShopThread,
} from '@junctura/core/materials';
import { seededRandom, seedFrom } from '@junctura/core/measure';

const SEED = 1712;
/** How many of a hundred shades are out of stock. */
const OUT_OF_STOCK = 0.06;
/** Of one skein, by the kind of thread. */
const PRICES: Readonly<Record<string, number>> = {
  'stranded-cotton': 1.35,
  'stranded-silk': 4.2,
  'whitework-cotton': 2.6,
};
const NEEDLES: readonly (readonly [family: string, sizes: readonly number[]])[] = [
  ['crewel', [3, 5, 7, 9, 10]],
  ['chenille', [20, 22]],
  ['tapestry', [20, 22, 24, 26]],
  ['milliner', [3, 5, 7, 9]],
];

const cents = (value: number): number => Math.round(value * 100) / 100;

/** A small thread shop that does not exist: the same shelves every time, some of them empty, some with two lots. */
export function threadShop(): ShopStock {
  const threads = RANGES.flatMap((range) =>
    range.shades.map(({ code }): ShopThread => {
      const random = seededRandom(seedFrom(SEED, `${range.id} ${code}`));
      const isOut = random.next() < OUT_OF_STOCK;
      const lotOf = (): string =>
        String.fromCharCode(65 + Math.floor(random.next() * 8)) + (10 + Math.floor(random.next() * 89));
      const lots = isOut ? [] : [{ lot: lotOf(), skeins: 1 + Math.floor(random.next() * 9) }];
      if (!isOut && random.next() < 0.3) lots.push({ lot: lotOf(), skeins: 1 + Math.floor(random.next() * 5) });
      const days = isOut ? 14 + Math.floor(random.next() * 20) : 2 + Math.floor(random.next() * 4);
      return {
        range: range.id,
        code,
        price: PRICES[range.thread] ?? cents(threadKind(range.thread).putUpM * 0.2),
        days,
        lots,
      };
    }),
  );
  const goods: ShopGoods[] = [
    ...CLOTHS.map(({ id, weightGsm }): ShopGoods => ({
      id: `cloth-${id}`,
      kind: 'cloth',
      price: cents(3 + weightGsm / 40),
      unit: 'cut',
      days: 3,
      stock: 8,
    })),
    ...HOOP_SIZES_MM.map((mm): ShopGoods => ({
      id: `hoop-${mm}`,
      kind: 'hoop',
      price: cents(4 + mm / 40),
      unit: 'hoop',
      days: 3,
      stock: mm === 230 ? 0 : 4,
    })),
    ...NEEDLES.flatMap(([family, sizes]) =>
      sizes.map((size): ShopGoods => ({
        id: `needle-${family}-${size}`,
        kind: 'needle',
        price: 1.9,
        unit: 'packet',
        days: 2,
        stock: 12,
      })),
    ),
    ...MARKS.map(({ id }): ShopGoods => ({
      id: `mark-${id}`,
      kind: 'mark',
      price: 3.4,
      unit: 'piece',
      days: 2,
      stock: 5,
    })),
    { id: 'tape', kind: 'tape', price: 2.2, unit: 'roll', days: 2, stock: 6 },
    { id: 'backing', kind: 'backing', price: 2.8, unit: 'cut', days: 2, stock: 6 },
    { id: 'felt', kind: 'backing', price: 1.6, unit: 'cut', days: 2, stock: 9 },
    { id: 'web', kind: 'backing', price: 2.1, unit: 'cut', days: 3, stock: 4 },
  ];
  return { simulated: true, name: 'Simulated thread shop', coin: '€', threads, goods };
}
