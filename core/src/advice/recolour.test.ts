import { USUAL_FACTORS } from '../work/index.ts';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { deltaE, labOf } from '../colour/index.ts';
import { RANGES, THRUMWICK, type Shade } from '../materials/index.ts';
import { readPiece, setShade, applyEdit, type Piece } from '../piece/index.ts';
import {
  colourPairs,
  judgePairs,
  mendPair,
  Planner,
  shortfall,
  substitutes,
  varyPalette,
  wornColours,
} from './index.ts';
import { THRESHOLDS } from './thresholds.ts';

function demo(name: string): Piece {
  const read = readPiece(readFileSync(new URL(`../../../demo/pieces/${name}.junctura.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.problem);
  return read.value;
}
const pool = demo('rock-pool');
const { plan } = new Planner().plan(pool, USUAL_FACTORS);
const pairs = colourPairs(plan);
const inShade = (piece: Piece, colour: string, shade: Shade): Piece => {
  const outcome = applyEdit(piece, setShade(piece, colour, shade)!);
  if (!outcome.ok) throw new Error(outcome.problem);
  return outcome.value;
};

describe('colours that meet', () => {
  it('are found for parts that touch or lie upon each other, ladders apart', () => {
    expect(pairs.length).toBeGreaterThan(8);
    expect(pairs.some(({ wanted }) => wanted === 'ladder')).toBe(true);
    for (const { a, b, where, widthsMm } of pairs) {
      expect(a < b).toBe(true);
      expect(where.length).toBeGreaterThan(0);
      for (const width of widthsMm) expect(width).toBeGreaterThan(0);
    }
  });

  it('lie nearer from afar and by a lamp never further than they are', () => {
    for (const { separation } of judgePairs(pool, plan)) {
      expect(separation.armsLength).toBeLessThanOrEqual(separation.daylight + 0.5);
      expect(separation.grey).toBeLessThanOrEqual(101);
    }
  });
});

describe('mending', () => {
  const [first] = pairs.filter(({ wanted }) => wanted === 'apart');
  const spoiled = inShade(
    pool,
    first!.a,
    THRUMWICK.shades.reduce((best, shade) => {
      const other = labOf(wornColours(pool).get(first!.b)!);
      return deltaE(shade.lab, other) < deltaE(best.lab, other) ? shade : best;
    }),
  );

  it('moves one shade, and no further than a search of every shade for either colour', () => {
    const change = mendPair(spoiled, pairs, first!, THRUMWICK.shades)!;
    const worn = wornColours(spoiled);
    const after = new Map([...worn, [change.colour, change.shade.hex]]);
    expect(deltaE(labOf(after.get(first!.a)!), labOf(after.get(first!.b)!))).toBeGreaterThanOrEqual(
      THRESHOLDS.tooAlike,
    );
    const before = shortfall(pairs, worn, pool.cloth.colour);
    expect(shortfall(pairs, after, pool.cloth.colour)).toBeLessThan(before);
    const taken = new Set(spoiled.palette.map(({ shade }) => shade?.code));
    const harmless = [first!.a, first!.b].flatMap((colour) =>
      THRUMWICK.shades.flatMap((shade) => {
        const other = labOf(worn.get(colour === first!.a ? first!.b : first!.a)!);
        if (taken.has(shade.code) || deltaE(shade.lab, other) < THRESHOLDS.tooAlike) return [];
        const tried = new Map([...worn, [colour, shade.hex]]);
        const harm =
          shortfall(pairs, tried, pool.cloth.colour, { only: colour }) >
          shortfall(pairs, worn, pool.cloth.colour, { only: colour });
        return harm ? [] : [deltaE(shade.lab, labOf(worn.get(colour)!))];
      }),
    );
    expect(change.moved).toBeLessThanOrEqual(Math.min(...harmless) + 1e-6);
  });

  it('has no answer where no shade is left', () => {
    expect(mendPair(spoiled, pairs, first!, [])).toBeNull();
  });
});

it('whole palettes keep what was apart apart', () => {
  const all = RANGES.flatMap(({ shades }) => [...shades]);
  const now = shortfall(pairs, wornColours(pool), pool.cloth.colour);
  const variations = varyPalette(pool, pairs, all);
  expect(variations.length).toBeGreaterThanOrEqual(4);
  for (const { shades } of variations) {
    expect(shades.size).toBe(pool.palette.length);
    const worn = new Map([...shades].map(([id, { hex }]) => [id, hex]));
    expect(shortfall(pairs, worn, pool.cloth.colour)).toBeLessThanOrEqual(now + 1e-9);
  }
});

it('substitutes are near, not the shade itself, and tell whom they come too near to', () => {
  const colour = pool.palette[0]!;
  const offers = substitutes(pool, pairs, colour.id, THRUMWICK.shades);
  expect(offers).toHaveLength(4);
  for (const { shade, difference, tooNear } of offers) {
    expect(shade.code).not.toBe(colour.shade?.code);
    expect(difference).toBeGreaterThan(0);
    for (const near of tooNear) expect(near.difference).toBeLessThan(THRESHOLDS.tooAlike);
  }
});
