import { USUAL_FACTORS } from '../work/index.ts';
import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { readSvg } from '../drawing/index.ts';
import type { Template } from '../finish/index.ts';
import { polylineLength } from '../geometry/index.ts';
import { numberedSteps } from '../order/index.ts';
import { plainHoop, plainPass, plainScrap, type Piece } from '../piece/index.ts';
import { svgPiece } from '../testing/pieces.ts';
import {
  filmSheet,
  patternPages,
  printerScale,
  SHEETS,
  templateKey,
  templatePages,
  TRUE_PRINTER,
  type Page,
  type PatternOptions,
} from './index.ts';

const OPTIONS: PatternOptions = {
  sheet: SHEETS[0]!,
  printer: TRUE_PRINTER,
  outlines: true,
  grain: false,
  mirrored: false,
  numbers: false,
  directions: false,
  shades: false,
  ring: false,
};

function pages(body: string, options: Partial<PatternOptions> = {}, change: Partial<Piece> = {}): Page[] {
  const read = readSvg(
    `<svg xmlns="http://www.w3.org/2000/svg" width="600mm" height="600mm" viewBox="0 0 600 600">${body}</svg>`,
    'x',
    'Name',
  );
  if (!read.ok) throw new Error(read.problem);
  const piece = { ...read.value, ...change };
  return patternPages(piece, new Planner().plan(piece, USUAL_FACTORS).plan, { ...OPTIONS, ...options });
}
const lines = (page: Page): Extract<Page['items'][number], { type: 'line' }>[] =>
  page.items.filter((item) => item.type === 'line');
const drawn = (page: Page): number =>
  lines(page)
    .filter((item) => item.widthMm > 0.2)
    .reduce((sum, item) => sum + polylineLength(item), 0);

describe('the pattern on paper', () => {
  it('of a design of 11.8 cm in a hoop of 20 cm is one page; the ring is drawn only where it asks for no more', () => {
    const body = '<circle cx="100" cy="100" r="59" fill="#a33"/>';
    const inRing = { ring: true };
    const ringed = (hoopMm: number): [pages: number, dashed: number] => {
      const made = pages(body, inRing, { hoop: plainHoop(hoopMm, 5) });
      return [made.length, lines(made[0]!).filter(({ dashMm, closed }) => dashMm === 3 && closed).length];
    };
    expect(ringed(200)).toEqual([1, 0]);
    expect(ringed(150)).toEqual([1, 1]);
  });

  it('tells lines that are stitched, cut, folded, sewn and edges of scraps apart, and says how', () => {
    const squares = [0, 1, 2, 3, 4].map((i) => `<rect x="${30 * i}" width="20" height="20" fill="#a33"/>`).join('');
    const read = svgPiece(squares);
    const marks = [null, 'cut', 'fold', 'sew', null] as const;
    const parts = read.drawing.parts.map((part, i) => ({
      ...part,
      marking: marks[i]!,
      scrap: i === 4 ? plainScrap('#aa7744') : null,
    }));
    const piece = { ...read, drawing: { ...read.drawing, parts } };
    const [page] = patternPages(piece, new Planner().plan(piece, USUAL_FACTORS).plan, OPTIONS);
    const kinds = new Set(
      lines(page!)
        .filter(({ closed }) => closed)
        .map(({ widthMm, dashMm }) => `${widthMm.toFixed(2)} ${dashMm}`),
    );
    expect(kinds.size).toBe(5);
    const said = page!.items.flatMap((item) => (item.type === 'text' ? [item.text] : [])).join(' ');
    for (const word of ['stitch', 'cut', 'fold', 'sew along', 'edge of a scrap']) expect(said).toContain(word);
  });

  it('numbers steps as the guide does, each once, none on another', () => {
    const body = Array.from(
      { length: 12 },
      (_, i) => `<circle cx="${20 * (i % 4)}" cy="${20 * Math.floor(i / 4)}" r="7" fill="#a3${i % 10}"/>`,
    ).join('');
    const piece = svgPiece(body);
    const { plan } = new Planner().plan(piece, USUAL_FACTORS);
    const [page] = patternPages(piece, plan, { ...OPTIONS, numbers: true });
    const texts = page!.items.filter((item) => item.type === 'text').filter(({ text }) => /^\d+$/.test(text));
    expect(texts.map(({ text }) => Number(text)).sort((a, b) => a - b)).toEqual(
      numberedSteps(plan).map(({ number }) => number),
    );
    texts.forEach((a, i) => {
      for (const b of texts.slice(i + 1)) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(4);
    });
  });

  it.each([...SHEETS, filmSheet(180, 260)].map((sheet) => [sheet.id, sheet] as const))(
    'has true size on one page of %s',
    (_id, sheet) => {
      const [page, ...more] = pages('<rect x="5" y="5" width="60" height="40"/>', { sheet });
      expect(more).toEqual([]);
      expect([page!.widthMm, page!.heightMm]).toEqual([sheet.widthMm, sheet.heightMm]);
      expect(drawn(page!)).toBeCloseTo(200, 6);
    },
  );

  it('marks lines that are not stitched too, each with its own dashes', () => {
    const dashes = (['guide', 'cut', 'sew', 'fold', null] as const).map((marking) => {
      const read = readSvg(
        '<svg xmlns="http://www.w3.org/2000/svg" width="99mm" viewBox="0 0 99 99"><path d="M0 0H60" stroke="#a33"/></svg>',
        'x',
        'X',
      );
      if (!read.ok) throw new Error(read.problem);
      const parts = [{ ...read.value.drawing.parts[0]!, marking }];
      const piece = { ...read.value, drawing: { ...read.value.drawing, parts } };
      const [page] = patternPages(piece, new Planner().plan(piece, USUAL_FACTORS).plan, OPTIONS);
      expect(drawn(page!)).toBeCloseTo(60, 6);
      return lines(page!).find(({ widthMm }) => widthMm > 0.2)!.dashMm;
    });
    const [guide, cut, sew, fold, stitched] = dashes;
    expect([cut, stitched]).toEqual([null, null]);
    expect(new Set([guide, sew, fold, null]).size).toBe(4);
  });

  it('marks the two rings of a daisy and its compass points', () => {
    const read = svgPiece('<circle cx="20" cy="20" r="0.3" fill="#a33"/>');
    const daisy = { ...plainPass('daisy-ring', 'stranded-cotton', 2), params: { innerMm: 3, outerMm: 8, petals: 13 } };
    const parts = [{ ...read.drawing.parts[0]!, kind: 'spot' as const, path: 'M20 20h0', passes: [daisy] }];
    const piece = { ...read, drawing: { ...read.drawing, parts } };
    const [page] = patternPages(piece, new Planner().plan(piece, USUAL_FACTORS).plan, OPTIONS);
    const marks = lines(page!).filter(({ dashMm }) => dashMm !== null);
    const [inner, outer, ...points] = marks.map(polylineLength);
    expect(inner! / (2 * Math.PI * 3)).toBeCloseTo(1, 2);
    expect(outer! / (2 * Math.PI * 8)).toBeCloseTo(1, 2);
    expect(points).toHaveLength(4);
  });

  it('marks what two parts share once, whichever of them was drawn with it', () => {
    const square = (x: number): string => `<rect x="${x}" y="10" width="30" height="30"/>`;
    const [page] = pages(square(10) + square(40));
    expect(drawn(page!)).toBeCloseTo(7 * 30, 0);
    // Half of a side, by a part that overhangs; a line that only crosses is whole.
    const [half] = pages(`${square(10)}<rect x="40" y="25" width="30" height="30"/>`);
    expect(drawn(half!)).toBeCloseTo(8 * 30 - 15, 0);
    const [crossed] = pages(`${square(10)}<path d="M0 25H60" fill="none" stroke="#222"/>`);
    expect(drawn(crossed!)).toBeCloseTo(4 * 30 + 60, 6);
    // Apart by more than the mark is wide, both are drawn.
    const [apart] = pages(square(10) + square(41));
    expect(drawn(apart!)).toBeCloseTo(8 * 30, 6);
  });

  it('measures 100 mm across and 50 mm down on every page, all on the paper', () => {
    for (const page of pages('<circle cx="250" cy="250" r="240"/>').slice(1)) {
      const lengths = lines(page).map((item) => polylineLength(item));
      expect(lengths).toContain(100);
      expect(lengths).toContain(50);
      for (const { points } of lines(page)) {
        points.forEach((value, i) => {
          expect(value).toBeGreaterThanOrEqual(0);
          expect(value).toBeLessThanOrEqual(i % 2 ? page.heightMm : page.widthMm);
        });
      }
    }
  });

  it('is tiled with overlaps: every line is on some page, and joins carry crosses', () => {
    const [map, ...tiles] = pages('<path d="M10 100H410M10 150H410" stroke="#000"/>');
    expect(map!.items.filter((item) => item.type === 'text').map(({ text }) => text)).toEqual([
      expect.stringContaining('map of the 3 pages'),
      '1',
      '2',
      '3',
    ]);
    expect(tiles).toHaveLength(3);
    // Two lines of 400 mm, and 10 mm of each twice at each of two joins.
    expect(tiles.reduce((sum, tile) => sum + drawn(tile), 0)).toBeCloseTo(2 * 400 + 4 * 10, 3);
    expect(tiles.map((tile) => lines(tile).filter((item) => polylineLength(item) === 8).length)).toEqual([4, 8, 4]);
  });

  it.each([
    [97.2, 49.1],
    [102, 50.5],
    [95, 51],
  ])('comes out true on a printer that makes %d of 100 and %d of 50', (acrossMm, downMm) => {
    const scale = printerScale(acrossMm, downMm);
    if (!scale.ok) throw new Error(scale.problem);
    const [page] = pages('<rect x="5" y="5" width="60" height="40"/>', { printer: scale.value });
    const printed = {
      ...page!,
      items: lines(page!).map((item) => ({
        ...item,
        points: item.points.map((v, i) => v * (i % 2 ? scale.value.down : scale.value.across)),
      })),
    };
    expect(drawn(printed)).toBeCloseTo(200, 6);
    expect(lines(printed).map((item) => Math.round(polylineLength(item) * 1e6) / 1e6)).toEqual(
      expect.arrayContaining([100, 50]),
    );
    for (const { points } of lines(page!)) {
      points.forEach((value, i) => expect(value).toBeLessThanOrEqual(i % 2 ? page!.heightMm : page!.widthMm));
    }
  });

  it.each([
    [NaN, 50],
    [0, 50],
    [3.9, 1.97],
    [100, 80],
    [-100, 50],
    [Infinity, 50],
  ])('refuses a calibration of %d and %d in a sentence', (acrossMm, downMm) => {
    const scale = printerScale(acrossMm, downMm);
    expect(scale.ok ? '' : scale.problem).toMatch(/can’t be right/);
  });

  it('is mirrored left to right only when asked, and says so', () => {
    const corner = (page: Page): Float64Array => lines(page).find((item) => item.widthMm > 0.2)!.points;
    const [plain] = pages('<path d="M10 10L60 20" stroke="#000"/>');
    const [mirrored] = pages('<path d="M10 10L60 20" stroke="#000"/>', { mirrored: true });
    expect(corner(mirrored!)[2]! - corner(mirrored!)[0]!).toBeCloseTo(-(corner(plain!)[2]! - corner(plain!)[0]!), 9);
    const texts = (page: Page): string => page.items.map((item) => (item.type === 'text' ? item.text : '')).join(' ');
    expect(texts(mirrored!)).toContain('MIRRORED');
    expect(texts(plain!)).not.toContain('MIRRORED');
  });

  it('adds numbers, directions and the ring when asked', () => {
    const body = '<rect x="-10" y="-10" width="20" height="20"/>';
    const hoop = plainHoop(100, 12);
    const [plain] = pages(body, {}, { hoop });
    const [full] = pages(body, { numbers: true, directions: true, ring: true }, { hoop });
    expect(full!.items.length).toBe(plain!.items.length + 3);
  });
});

describe('templates on paper', () => {
  const line = (kind: Template['lines'][number]['kind'], r: number): Template['lines'][number] => ({
    kind,
    line: {
      points: Float64Array.from(
        { length: 720 },
        (_, i) => r * (i % 2 ? Math.sin : Math.cos)((i >> 1) / (180 / Math.PI)),
      ),
      closed: true,
    },
  });
  const template: Template = {
    id: 't',
    name: 'Ornament',
    lines: [line('cut', 60), line('seam', 54), line('mark', 20)],
  };

  it.each([TRUE_PRINTER, { across: 0.97, down: 1.02 }])(
    'have true size on a printer that makes %o of a length',
    (printer) => {
      const [page, ...more] = templatePages([template], { sheet: SHEETS[0]!, printer }, 'Boat');
      expect(more).toEqual([]);
      for (const [widthMm, r] of [
        [0.5, 60],
        [0.35, 54],
      ] as const) {
        const { points } = lines(page!).find((item) => item.widthMm === widthMm && item.closed)!;
        const across = points.filter((_, i) => i % 2 === 0);
        const down = points.filter((_, i) => i % 2 === 1);
        const span = (values: Float64Array): number => Math.max(...values) - Math.min(...values);
        // What the printer makes of it is the true size.
        expect(Math.abs(span(across) * printer.across - 2 * r)).toBeLessThan(0.2);
        expect(Math.abs(span(down) * printer.down - 2 * r)).toBeLessThan(0.2);
      }
    },
  );

  it('tell cutting, sewing and mere marks apart by dashes and weight, and say how', () => {
    const [page] = templatePages([template], { sheet: SHEETS[0]!, printer: TRUE_PRINTER }, 'Boat');
    const looks = lines(page!)
      .filter(({ closed }) => closed)
      .map(({ widthMm, dashMm }) => `${widthMm} ${dashMm}`);
    expect(new Set(looks).size).toBe(3);
    const said = page!.items.flatMap((item) => (item.type === 'text' ? [item.text] : [])).join(' ');
    expect(said).toContain(templateKey(template));
    expect(templateKey(template)).toBe('whole: cut, dashes: sew, fine: only a mark');
  });
});
