import { USUAL_FACTORS } from '../work/index.ts';
import { readFileSync } from 'node:fs';
import { SaxesParser } from 'saxes';
import { describe, expect, it } from 'vitest';
import { Planner } from '../advice/index.ts';
import { readPiece } from '../piece/index.ts';
import { ownHand, pictureCircle, pictureSvg, practiceSheet, practiceTargets, SHEETS } from './index.ts';

describe('the picture as SVG', () => {
  it('is sound XML at true size, with every part, pass and run of thread', () => {
    const read = readPiece(readFileSync(new URL('../piece/fixtures/version-2.junctura.json', import.meta.url), 'utf8'));
    if (!read.ok) throw new Error(read.problem);
    const { plan } = new Planner().plan(read.value, USUAL_FACTORS);
    const svg = pictureSvg(read.value, plan);
    const counts = new Map<string, number>();
    const parser = new SaxesParser();
    parser.on('error', (error) => {
      throw error;
    });
    parser.on('opentag', ({ name, attributes }) => {
      const kind = 'data-part' in attributes ? 'part' : 'data-stitch' in attributes ? 'pass' : name;
      counts.set(kind, (counts.get(kind) ?? 0) + 1);
      for (const value of Object.values(attributes)) expect(String(value)).not.toMatch(/NaN|undefined|Infinity/);
    });
    parser.write(svg).close();
    expect(counts.get('part')).toBe(plan.parts.filter(({ passes }) => passes.length > 0).length);
    expect(counts.get('pass')).toBe(
      plan.parts.flatMap(({ passes }) => passes.flatMap(({ threads }) => threads)).length,
    );
    expect(counts.get('path')!).toBeGreaterThan(plan.totals.stitches);
    expect(svg).toContain('width="144mm"');
  });
});

describe('what a picture shows', () => {
  it('is all of a piece that no one hoop holds, and what is in the ring of one that does', () => {
    const read = readPiece(
      readFileSync(new URL('../../../demo/pieces/seed-head-cloth.junctura.json', import.meta.url), 'utf8'),
    );
    if (!read.ok) throw new Error(read.problem);
    const piece = read.value;
    const { plan } = new Planner().plan(piece, USUAL_FACTORS);
    const { x, y, r } = pictureCircle(piece, plan);
    for (const { placed } of plan.parts) {
      const { minX, minY, maxX, maxY } = placed.box!;
      for (const [px, py] of [
        [minX, minY],
        [maxX, minY],
        [minX, maxY],
        [maxX, maxY],
      ] as const) {
        expect(Math.hypot(px - x, py - y)).toBeLessThan(r);
      }
    }
    expect(pictureCircle({ ...piece, positions: [] }, plan).r).toBeLessThan(100);
  });
});

describe('practice', () => {
  it('prints within its paper', () => {
    for (const { id, widthMm, heightMm } of SHEETS) {
      const page = practiceSheet(id);
      for (const item of page.items) {
        if (item.type === 'strokes') throw new Error('working drawings are lines');
        const xs = item.type !== 'line' ? [item.x] : [...item.points].filter((_, i) => i % 2 === 0);
        const ys = item.type !== 'line' ? [item.y] : [...item.points].filter((_, i) => i % 2 === 1);
        expect(Math.min(...xs)).toBeGreaterThan(5);
        expect(Math.max(...xs)).toBeLessThan(widthMm - 5);
        expect(Math.max(...ys)).toBeLessThan(heightMm - 5);
      }
    }
  });

  it('turns what was measured into shares of the usual, and the targets into the usual hand', () => {
    const targets = practiceTargets();
    expect(ownHand(targets)).toEqual({ width: 1, stitch: 1 });
    expect(ownHand({ stitches: targets.stitches * 2, satinMm: targets.satinMm * 1.2 })).toEqual({
      width: 1.2,
      stitch: 0.5,
    });
    expect(ownHand({ stitches: 1000, satinMm: 0.001 })).toEqual({ width: 0.5, stitch: 0.5 });
  });
});
