import { USUAL_FACTORS } from '@junctura/core/work';
import { createCanvas } from '@napi-rs/canvas';
import { Planner } from '@junctura/core/advice';
import { finishPlan } from '@junctura/core/finish';
import { readSvg } from '@junctura/core/drawing';
import {
  guidePages,
  makeGuide,
  patternPages,
  printerScale,
  SHEETS,
  TRUE_PRINTER,
  type PrinterScale,
} from '@junctura/core/paper';
import { PDFDocument } from 'pdf-lib';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { readFile } from 'node:fs/promises';
import { describe, expect, it } from 'vitest';
import { pagesToPdf } from './pagesToPdf.ts';

const readFont = async (address: string): Promise<Uint8Array> =>
  readFile(new URL(`../../..${address.replace(/\?.*$/, '')}`, import.meta.url));

const DPI = 300;
const PX_PER_MM = DPI / 25.4;

interface Printed {
  readonly width: number;
  readonly height: number;
  isDark(x: number, y: number): boolean;
}

/** A page of a PDF as a printer would put it on paper. */
async function print(bytes: Uint8Array, number = 1): Promise<Printed> {
  const pdf = await getDocument({ data: bytes.slice(), disableFontFace: true, verbosity: 0 }).promise;
  const page = await pdf.getPage(number);
  const viewport = page.getViewport({ scale: DPI / 72 });
  const [width, height] = [Math.round(viewport.width), Math.round(viewport.height)];
  const canvas = createCanvas(width, height);
  await page.render({ canvasContext: canvas.getContext('2d') as never, viewport }).promise;
  const { data } = canvas.getContext('2d').getImageData(0, 0, width, height);
  await pdf.destroy();
  return { width, height, isDark: (x, y) => data[(y * width + x) * 4]! < 160 && data[(y * width + x) * 4 + 3]! > 128 };
}

/** Bars are hairlines with round ends: what these add, mm. */
const HAIR_MM = 0.15;

/** The longest dark run in a row or column, mm. */
function longestRun(count: number, isDark: (i: number) => boolean): number {
  let [best, run] = [0, 0];
  for (let i = 0; i < count; i++) {
    run = isDark(i) ? run + 1 : 0;
    best = Math.max(best, run);
  }
  return best / PX_PER_MM;
}
const barAcross = ({ width, height, isDark }: Printed): number =>
  -HAIR_MM +
  Math.max(
    ...Array.from({ length: Math.round(30 * PX_PER_MM) }, (_, k) =>
      longestRun(width, (x) => isDark(x, height - 1 - k)),
    ),
  );
const barDown = ({ width, height, isDark }: Printed): number =>
  -HAIR_MM +
  Math.max(
    ...Array.from({ length: Math.round(12 * PX_PER_MM) }, (_, k) =>
      longestRun(height, (y) => isDark(width - 1 - k, y)),
    ),
  );

async function pattern(diameterMm: number, sheet: (typeof SHEETS)[number], printer: PrinterScale): Promise<Uint8Array> {
  const read = readSvg(
    `<svg xmlns="http://www.w3.org/2000/svg" width="200mm" viewBox="0 0 200 200"><circle r="${diameterMm / 2}"/></svg>`,
    'x',
    'Disc',
  );
  if (!read.ok) throw new Error(read.problem);
  const options = {
    sheet,
    printer,
    outlines: true,
    grain: false,
    mirrored: false,
    numbers: false,
    directions: false,
    shades: false,
    ring: false,
  };
  const pages = patternPages(read.value, new Planner().plan(read.value, USUAL_FACTORS).plan, options);
  return (await pagesToPdf(pages, 'Disc', { readFont })).bytes;
}

describe('the printed pattern, read back', () => {
  it.each(SHEETS.map((sheet) => [sheet.name, sheet] as const))('measures true on %s', async (_name, sheet) => {
    const paper = await print(await pattern(120, sheet, TRUE_PRINTER));
    expect(Math.abs(paper.width / PX_PER_MM - sheet.widthMm)).toBeLessThan(0.2);
    expect(Math.abs(barAcross(paper) - 100)).toBeLessThan(0.2);
    expect(Math.abs(barDown(paper) - 50)).toBeLessThan(0.2);
    let [left, right] = [Infinity, -Infinity];
    // Between the circle’s top and the foot of the page nothing else is drawn.
    const foot = paper.height - Math.round(42 * PX_PER_MM);
    for (let y = Math.round(12 * PX_PER_MM); y < foot; y++) {
      for (let x = 0; x < paper.width - Math.round(8 * PX_PER_MM); x++) {
        if (paper.isDark(x, y)) [left, right] = [Math.min(left, x), Math.max(right, x)];
      }
    }
    // From the outside of the line on one side to that on the other: the pencil’s 0.4 mm is drawn on the circle.
    expect(Math.abs((right - left + 1) / PX_PER_MM - 120 - 0.4)).toBeLessThan(0.2);
  });

  it('comes out true on a printer that shrinks, once it is corrected', async () => {
    const printer = printerScale(97.2, 49.2);
    if (!printer.ok) throw new Error(printer.problem);
    const paper = await print(await pattern(120, SHEETS[0]!, printer.value));
    expect(Math.abs(barAcross(paper) * printer.value.across - 100)).toBeLessThan(0.2);
    expect(Math.abs(barDown(paper) * printer.value.down - 50)).toBeLessThan(0.2);
  });

  it('has a page for each page, of its own size, whatever the name holds', async () => {
    const read = await PDFDocument.load(
      await pattern(
        700,
        SHEETS.find(({ id }) => id === 'letter')!,
        TRUE_PRINTER,
      ),
    );
    expect(read.getPageCount()).toBeGreaterThan(3);
    expect(read.getPage(0).getWidth()).toBeCloseTo(8.5 * 72, 3);
    await expect(pagesToPdf([], 'Kite – «Ł»', { readFont })).resolves.toBeDefined();
  });
});

describe('the printed guide, read back', () => {
  it('has its numbers where they were laid', async () => {
    const body = Array.from(
      { length: 24 },
      (_, i) =>
        `<circle cx="${(i % 6) * 30}" cy="${Math.floor(i / 6) * 30}" r="${i % 3 ? 3 : 11}" fill="#a3${i % 10}"/>`,
    ).join('');
    const read = readSvg(
      `<svg xmlns="http://www.w3.org/2000/svg" width="200mm" viewBox="0 0 200 200">${body}</svg>`,
      'x',
      'Discs – Ελλάς, Кот, Łąka, 花',
    );
    if (!read.ok) throw new Error(read.problem);
    const { plan } = new Planner().plan(read.value, USUAL_FACTORS);
    const finish = finishPlan(read.value, plan, USUAL_FACTORS);
    const guide = makeGuide(read.value, plan, finish, { hand: 'right', units: 'metric' });
    const sheet = SHEETS[0]!;
    const pages = guidePages(guide, sheet);
    const { bytes, unknown } = await pagesToPdf(pages, guide.title, { readFont });
    expect(unknown).toBe('花');
    // The numbers of the map, as they were laid: each in its ring.
    const rings = pages.flatMap(({ items }, page) =>
      items.flatMap((item) => {
        if (item.type !== 'line' || item.step === undefined || !item.closed || item.widthMm !== 0.25) return [];
        const xs = [...item.points].filter((_, i) => i % 2 === 0);
        const ys = [...item.points].filter((_, i) => i % 2 === 1);
        const [left, right, top] = [Math.min(...xs), Math.max(...xs), Math.min(...ys)];
        const r = (right - left) / 2;
        return [{ page, x: left + r, y: top + r, r }];
      }),
    );
    expect(rings.length).toBeGreaterThan(20);
    const paper = await print(bytes, rings[0]!.page + 1);
    const first = rings.filter(({ page }) => page === rings[0]!.page);
    expect(first.length).toBeGreaterThan(10);
    for (const { x, y, r } of first) {
      const angles = Array.from({ length: 60 }, (_, i) => (2 * Math.PI * i) / 60);
      const isRing = (angle: number): boolean =>
        [-1, 0, 1].some((off) =>
          paper.isDark(
            Math.round((x + r * Math.cos(angle)) * PX_PER_MM) + off,
            Math.round((y + r * Math.sin(angle)) * PX_PER_MM),
          ),
        );
      expect(angles.filter(isRing).length).toBeGreaterThan(54);
    }
  });
});
