import { describe, expect, it } from 'vitest';
import { Planner } from '../../advice/index.ts';
import { seededRandom } from '../../measure/index.ts';
import type { Piece } from '../../piece/index.ts';
import { demoPiece, svgPiece } from '../../testing/pieces.ts';
import { USUAL_FACTORS } from '../../work/index.ts';
import { SHEETS } from '../sheets.ts';
import { calloutsFor, type Callout, type Numbered } from './callouts.ts';
import { foldedCuts, makeGuide, type Guide } from './guide.ts';
import { guideHtml } from './guideHtml.ts';
import { guideMap } from './guideMap.ts';
import { widthOf, wrapped } from '../fitting.ts';
import { guidePages, mapBoxOf } from './guidePages.ts';

const guideOf = (piece: Piece): Guide =>
  makeGuide(piece, new Planner().plan(piece, USUAL_FACTORS).plan, { hand: 'right', units: 'metric' });
const PAGE = { minX: 15, minY: 27, maxX: 195, maxY: 256 };

function overlapping(callouts: readonly Callout[]): number {
  let found = 0;
  callouts.forEach((a, i) => {
    for (const b of callouts.slice(i + 1)) if (Math.hypot(a.x - b.x, a.y - b.y) < a.r + b.r) found++;
  });
  return found;
}

describe('callouts', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8])('never lie on each other, and all within the page (seed %i)', (seed) => {
    const random = seededRandom(seed);
    const items = Array.from({ length: 20 + seed * 20 }, (_, i): Numbered => ({
      text: String(i + 1),
      x: random.between(30, 180),
      y: random.between(60, 200),
      roomMm: random.next() < 0.5 ? 0 : random.between(0, 9),
    }));
    const callouts = calloutsFor(items, PAGE);
    expect(overlapping(callouts)).toBe(0);
    for (const { x, y, r } of callouts) {
      expect(
        Math.min(x - r - PAGE.minX, PAGE.maxX - x - r, y - r - PAGE.minY, PAGE.maxY - y - r),
      ).toBeGreaterThanOrEqual(0);
    }
    if (items.length <= 120) expect(callouts).toHaveLength(items.length);
  });

  it('stand inside what has room, and point at the rest', () => {
    const callouts = calloutsFor(
      [
        { text: '1', x: 60, y: 60, roomMm: 6 },
        { text: '2', x: 100, y: 60, roomMm: 1 },
      ],
      PAGE,
    );
    expect(callouts.map(({ text, to }) => [text, to])).toEqual([
      ['1', null],
      ['2', [100, 60]],
    ]);
  });
});

describe('the guide', () => {
  const pool = guideOf(demoPiece('rock-pool'));

  it('tells every step once, in its order, with the number that the map has', () => {
    expect(pool.rows.reduce((sum, { count }) => sum + count, 0)).toBe(pool.plan.order.length);
    expect(pool.rows.map(({ step }) => step)).toEqual(pool.rows.map((_, i) => i + 1));
    const onMap = new Set(guideMap(pool, mapBoxOf(SHEETS[0]!)).callouts.map(({ text }) => text));
    for (const { number } of pool.rows) expect(onMap).toContain(String(number));
  });

  it('names hoop positions where there is more than one', () => {
    const kite = demoPiece('kite');
    expect(guideOf(kite).intro).toContain('Work it in a 10 cm hoop.');
    const twice: Piece = {
      ...kite,
      positions: [
        [-10, 0],
        [10, 0],
      ],
    };
    expect(guideOf(twice).intro).toContain('Work it in a 10 cm hoop, in 2 positions.');
  });

  it('tells of each thread how much, and cuts that add up to what is planned', () => {
    const cuts = pool.cutting.flatMap((line) => /^ +(\d+) lengths? of /.exec(line)?.[1] ?? []).map(Number);
    const planned = pool.plan.colours.reduce((sum, need) => sum + need.cuts, 0);
    expect(cuts.reduce((sum, count) => sum + count, 0)).toBe(planned);
    expect(pool.materials.filter(({ detail }) => /cotton/.test(detail))).toHaveLength(pool.plan.colours.length);
  });

  it('folds like cuts into one line', () => {
    const cut = (parts: string): Parameters<typeof foldedCuts>[0][number] => ({
      number: 1,
      length: '50 cm',
      loads: [{ count: 3, strands: 2, names: [parts], parts }],
      kept: 0,
    });
    expect(foldedCuts(Array.from({ length: 12 }, () => cut('the star')))).toEqual([
      '12 lengths of 50 cm, each making 3 needlefuls of 2 strands, for the star',
    ]);
  });

  it.each(['a4', 'letter'] as const)('keeps everything within its pages (%s)', (id) => {
    const sheet = SHEETS.find((own) => own.id === id)!;
    for (const hand of ['right', 'left'] as const) {
      const pages = guidePages({ ...pool, options: { ...pool.options, hand } }, sheet);
      expect(pages.length).toBeGreaterThan(5);
      for (const { items } of pages) {
        for (const item of items) {
          const places = item.type === 'line' ? [...item.points] : [item.x, item.y];
          places.forEach((value, i) => {
            expect(value).toBeGreaterThan(2);
            expect(value).toBeLessThan((i % 2 ? sheet.heightMm : sheet.widthMm) - 2);
          });
        }
      }
    }
  });

  it('is drawn mirrored for a left hand', () => {
    const strokes = (hand: 'right' | 'left'): string =>
      JSON.stringify(guidePages({ ...pool, options: { ...pool.options, hand } }, SHEETS[0]!).slice(5));
    expect(strokes('left')).not.toBe(strokes('right'));
  });

  it('as one web page lets no name do anything, and fetches nothing', () => {
    const piece = svgPiece('<circle r="9" fill="#a33"/>', { name: '<script>alert(1)</script> & “co”' });
    const parts = piece.drawing.parts.map((part) => ({ ...part, name: '"><img src=x onerror=alert(1)>' }));
    const html = guideHtml(guideOf({ ...piece, drawing: { ...piece.drawing, parts } }), null);
    expect(html).not.toMatch(/<script|<img|onerror=[^&]*>/);
    expect(html).not.toMatch(/(?:src|href)="(?!data:)/);
    expect(html).toContain('&lt;script&gt;');
  });

  it('of a piece without a stitch is still a guide', () => {
    const piece = svgPiece('<circle r="9" fill="#a33"/>');
    const guide = guideOf({ ...piece, drawing: { ...piece.drawing, parts: [] } });
    expect(guidePages(guide, SHEETS[0]!).length).toBeGreaterThan(0);
    expect(guideHtml(guide, null)).toContain('<h1>');
  });

  it('wraps words so that none is lost, however long', () => {
    const random = seededRandom(3);
    for (let i = 0; i < 50; i++) {
      const words = Array.from({ length: 30 }, () => 'x'.repeat(1 + Math.floor(random.next() ** 3 * 90))).join(' ');
      const lines = wrapped(words, 60, 3);
      expect(lines.join('').replace(/ /g, '')).toBe(words.replace(/ /g, ''));
      for (const line of lines) expect(widthOf(line, 3)).toBeLessThanOrEqual(60);
    }
  });
});
