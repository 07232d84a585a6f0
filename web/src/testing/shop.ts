import { RANGES, type ShopStock } from '@junctura/core/materials';

/** A thread shop whose shelves hold one lot of each shade, but for every ninth, which is out of stock. */
export function simulatedShop(): ShopStock {
  const threads = RANGES.flatMap(({ id, shades }) =>
    shades.map(({ code }, i) => ({
      range: id,
      code,
      price: 1.5,
      days: 2,
      lots: i % 9 === 4 ? [] : [{ lot: 'A1', skeins: 6 }],
    })),
  );
  return { simulated: true, name: 'A stand-in', coin: '€', threads: threads.slice(0, 5000), goods: [] };
}
