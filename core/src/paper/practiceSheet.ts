import {
  DEFAULT_THREAD,
  NEEDLES_ARE_SHARP,
  bundleDiameterMm,
  laidWidthMm,
  threadKind,
  wrappingNeedle,
} from '../materials/index.ts';
import { knotDiameterMm } from '../stitches/index.ts';
import { SHEETS, type Page, type PageItem, type Sheet } from './sheets.ts';
import * as say from './words.ts';

/** What is practised on each line of the sampler, with its target. */
export const PRACTICE = {
  /** A line of back stitch, and the number of stitches that is wanted in 20 mm. */
  lineMm: 20,
  stitchMm: 2.5,
  /** The number of satin stitches side by side that are measured. */
  satinStitches: 10,
  strands: 2,
} as const;

/** Neighbours touch at this share of their width. */
const TOUCHING = 0.9;

/** What a usual hand comes to: stitches in the line, and the width of the satin, mm. */
export function practiceTargets(): { stitches: number; satinMm: number } {
  const laidMm = laidWidthMm(threadKind(DEFAULT_THREAD), PRACTICE.strands);
  return { stitches: PRACTICE.lineMm / PRACTICE.stitchMm, satinMm: PRACTICE.satinStitches * laidMm * TOUCHING };
}

/** A person's own width and stitch length, as shares of the usual, from what she measured. */
export function ownHand(measured: { stitches: number; satinMm: number }): { width: number; stitch: number } {
  const usual = practiceTargets();
  const within = (share: number): number => Math.round(Math.min(2, Math.max(0.5, share)) * 1000) / 1000;
  return { width: within(measured.satinMm / usual.satinMm), stitch: within(usual.stitches / measured.stitches) };
}

const MARGIN_MM = 16;
const HAIR_MM = 0.2;

/** A page of shapes to practise on, at true size: lines, squares, discs and a ring of petals, each with its target. */
export function practiceSheet(sheetId: Sheet['id']): Page {
  const sheet = SHEETS.find(({ id }) => id === sheetId)!;
  const items: PageItem[] = [];
  const text = (x: number, y: number, words: string, sizeMm = 3.2): void =>
    void items.push({ type: 'text', x, y, sizeMm, text: words, align: 'left', grey: 0.1 });
  const line = (points: number[], closed = false, dashMm: number | null = null, grey = 0.25): void =>
    void items.push({ type: 'line', points: Float64Array.from(points), closed, widthMm: HAIR_MM, grey, dashMm });
  const arc = (x: number, y: number, rx: number, ry: number, turn = 0): void => {
    const points = Array.from({ length: 64 }, (_, i) => (2 * Math.PI * i) / 64).flatMap((angle) => {
      const [px, py] = [rx * Math.cos(angle), ry * Math.sin(angle)];
      return [x + px * Math.cos(turn) - py * Math.sin(turn), y + px * Math.sin(turn) + py * Math.cos(turn)];
    });
    line(points, true);
  };
  const right = sheet.widthMm - MARGIN_MM;
  text(MARGIN_MM, MARGIN_MM, 'Practice sampler, at true size', 5.2);
  text(MARGIN_MM, MARGIN_MM + 6, `Two strands of stranded cotton, crewel needle 9. The bar below must measure 100 mm.`);
  line([MARGIN_MM, MARGIN_MM + 10, MARGIN_MM + 100, MARGIN_MM + 10]);
  for (const x of [0, 100]) line([MARGIN_MM + x, MARGIN_MM + 8.5, MARGIN_MM + x, MARGIN_MM + 11.5]);
  let y = MARGIN_MM + 22;
  text(MARGIN_MM, y, say.practiceBack(PRACTICE.lineMm / PRACTICE.stitchMm));
  for (let k = 1; k <= 3; k++) {
    const at = y + 7 * k;
    line([MARGIN_MM, at, right, at]);
    for (const x of [40, 40 + PRACTICE.lineMm]) line([MARGIN_MM + x, at - 2, MARGIN_MM + x, at + 2]);
  }
  y += 32;
  text(
    MARGIN_MM,
    y,
    `2  Stem stitch. Target: a smooth curve; no stitch leaves the line by more than a thread’s width.`,
  );
  line(
    Array.from({ length: 121 }, (_, i) => i).flatMap((i) => [
      MARGIN_MM + ((right - MARGIN_MM) * i) / 120,
      y + 9 + 4 * Math.sin(i / 9),
    ]),
  );
  y += 24;
  const { satinMm } = practiceTargets();
  text(MARGIN_MM, y, say.practiceSatin(satinMm));
  for (let k = 0; k < 3; k++) {
    const [x, size] = [MARGIN_MM + k * 34, [6, 10, 14][k]!];
    line([x, y + 4, x + size, y + 4, x + size, y + 4 + size, x, y + 4 + size], true);
  }
  y += 28;
  text(
    MARGIN_MM,
    y,
    '4  Discs: satin, long-and-short from the edge, packed knots. Target: a round edge, an even middle.',
  );
  for (let k = 0; k < 3; k++) arc(MARGIN_MM + 8 + k * 30, y + 14, [5, 8, 10][k]!, [5, 8, 10][k]!);
  y += 36;
  text(
    MARGIN_MM,
    y,
    '5  A ring of petals. Target: three in each quarter, evenly spaced; the marks only guide your eye.',
  );
  const [cx, cy] = [MARGIN_MM + 26, y + 28];
  arc(cx, cy, 6, 6);
  arc(cx, cy, 22, 22);
  for (let k = 0; k < 12; k++) {
    const turn = (2 * Math.PI * k) / 12;
    arc(cx + 14 * Math.cos(turn), cy + 14 * Math.sin(turn), 7.2, 2.6, turn);
  }
  const bundleMm = bundleDiameterMm(threadKind(DEFAULT_THREAD), PRACTICE.strands);
  const knotMm = knotDiameterMm(2, bundleMm, wrappingNeedle(threadKind(DEFAULT_THREAD), PRACTICE.strands).shaftMm);
  text(cx + 36, y + 8, '6  Knots on the crosses, two wraps.');
  text(cx + 36, y + 13, say.practiceKnots(knotMm));
  for (let k = 0; k < 10; k++) {
    const [x, at] = [cx + 38 + (k % 5) * 8, y + 22 + Math.floor(k / 5) * 8];
    line([x - 1, at, x + 1, at]);
    line([x, at - 1, x, at + 1]);
  }
  text(MARGIN_MM, sheet.heightMm - 10, `Junctura. ${NEEDLES_ARE_SHARP} Rest your eyes and hands.`, 2.8);
  return { widthMm: sheet.widthMm, heightMm: sheet.heightMm, items };
}
