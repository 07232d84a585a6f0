import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { finishPlan } from '../finish/index.ts';
import { demoPiece } from '../testing/pieces.ts';
import { USUAL_FACTORS } from '../work/index.ts';
import { fitted, widthOf } from './fitting.ts';
import {
  cuttingPages,
  guidePages,
  labelPage,
  makeGuide,
  patternPages,
  SHEETS,
  shoppingList,
  shoppingPages,
  TRUE_PRINTER,
  type Page,
} from './index.ts';

const NAMES = ['Wwmwwmwwmwwmwwmwwmw', 'W'.repeat(160), 'a '.repeat(80), 'Ж'.repeat(160), '針'.repeat(160)];

/** Text that goes beyond the right edge of its page. */
function beyond({ widthMm, items }: Page): string[] {
  return items.flatMap((item) => {
    if (item.type !== 'text') return [];
    const width = widthOf(item.text, item.sizeMm);
    const right = item.align === 'left' ? item.x + width : item.x + width / 2;
    return right > widthMm ? [`${item.text.slice(0, 40)}… to ${Math.round(right)} of ${widthMm}`] : [];
  });
}

describe('on paper, a name of any length', () => {
  it.each(NAMES)('stays on the page: %.19s', (name) => {
    const piece = { ...demoPiece('kite'), name };
    const { plan } = new Planner().plan(piece, USUAL_FACTORS);
    const finish = finishPlan(piece, plan, USUAL_FACTORS);
    const shows = { outlines: true, grain: true, numbers: true, directions: true, shades: true, ring: true };
    const pages = [
      ...SHEETS.flatMap((sheet) => [
        ...guidePages(makeGuide(piece, plan, finish, { hand: 'right', units: 'metric' }), sheet),
        ...patternPages(piece, plan, { ...shows, mirrored: false, sheet, printer: TRUE_PRINTER }),
      ]),
      ...cuttingPages(piece, plan.colours, 'metric'),
      ...shoppingPages(piece, shoppingList(piece, plan, [], null, 'metric'), '€'),
      labelPage({ name, maker: name.slice(0, 60), care: 'Wash by hand.', made: `Linen, ${name}`, price: '24 €' }),
    ];
    expect(pages.length).toBeGreaterThan(8);
    expect(pages.flatMap(beyond)).toEqual([]);
  });

  it.each(NAMES)('is cut where there is no room, and not before: %.19s', (name) => {
    for (const room of [20, 60, 120, 4000]) {
      const fits = fitted(name, room, 3);
      expect(widthOf(fits, 3)).toBeLessThanOrEqual(room);
      expect(fits === name).toBe(widthOf(name, 3) <= room);
    }
  });
});
