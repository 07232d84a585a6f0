import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { describe, expect, it } from 'vitest';
import { distanceToOutline, flattenPath, isInside, regionArea, unite, type Region } from '../../geometry/index.ts';
import { applyEdit, emptyPiece, pieceSchema, type Piece } from '../../piece/index.ts';
import { designCircle } from '../designCircle.ts';
import { ShapePlacer } from '../shapePlacer.ts';
import {
  addParts,
  HELPERS,
  layOutLetters,
  leastHeightMm,
  lineFont,
  outlineFont,
  type HelperPart,
  type LetterFont,
} from './index.ts';

const helper = (id: string) => HELPERS.find((entry) => entry.id === id)!;
const draw = (id: string, params: Record<string, number> = {}): HelperPart[] => {
  const usual = Object.fromEntries(Object.entries(helper(id).params).map(([key, param]) => [key, param.usual]));
  return helper(id).draw({ ...usual, ...params }, [], [0, 0]);
};
const regionOf = (path: string): Region =>
  unite(
    flattenPath(path, 0.005).map(({ points }) => points),
    'evenodd',
  );
function withParts(drawn: readonly HelperPart[], from: Piece = emptyPiece('x', 'x')): Piece {
  const applied = applyEdit(from, addParts(from, drawn, [3, -4], 'Add')!);
  if (!applied.ok) throw new Error(applied.problem);
  return applied.value;
}

describe('helpers', () => {
  it.each(HELPERS.map(({ id }) => id))('%s draws parts that a piece can keep, at every limit', (id) => {
    for (const side of ['usual', 'min', 'max'] as const) {
      const params = Object.fromEntries(Object.entries(helper(id).params).map(([key, param]) => [key, param[side]]));
      const drawn = helper(id).draw(params, [], [0, 0]);
      if (drawn.length === 0) continue;
      expect(pieceSchema.safeParse(withParts(drawn)).error?.issues).toBeUndefined();
    }
    expect(draw(id).length).toBeGreaterThan(0);
  });

  it.each([3, 5, 8, 17])('%i petals come out even: alike in area, evenly round, within their ring', (petals) => {
    const drawn = draw('rosette', { petals, innerMm: 5, outerMm: 20, widthMm: 4 });
    const regions = drawn.filter(({ kind }) => kind === 'area').map(({ path }) => regionOf(path));
    expect(regions).toHaveLength(petals);
    const areas = regions.map(regionArea);
    for (const area of areas) expect(area / areas[0]!).toBeCloseTo(1, 2);
    const circle = designCircle(withParts(drawn))!;
    expect(circle.r).toBeCloseTo(20, 1);
    const whole = regionArea(unite(regions.flat(), 'nonzero'));
    if (petals < 9)
      expect(whole).toBeCloseTo(
        areas.reduce((sum, area) => sum + area, 0),
        0,
      );
  });

  it('seeds keep their distance from each other and from every part', () => {
    const piece = withParts(draw('leaf', { lengthMm: 40, widthMm: 20 }));
    const shapes = new ShapePlacer().place(piece);
    const [scatter] = helper('seeds').draw({ radiusMm: 50, apartMm: 4, clearMm: 3, seed: 7 }, shapes, [0, 0]);
    const places = flattenPath(scatter!.path, 0.1).map(({ points }) => [points[0]!, points[1]!] as const);
    expect(places.length).toBeGreaterThan(150);
    const { region } = shapes[0]!.shape;
    places.forEach(([x, y], i) => {
      expect(isInside(region, x, y)).toBe(false);
      expect(distanceToOutline(region, x, y)).toBeGreaterThan(2.99);
      for (const [u, v] of places.slice(0, i)) expect(Math.hypot(x - u, y - v)).toBeGreaterThan(3.99);
    });
  });

  it('hexagons tile without overlap', () => {
    const regions = draw('hexagons', { sideMm: 6, radiusMm: 30 }).map(({ path }) => regionOf(path));
    const sum = regions.reduce((total, region) => total + regionArea(region), 0);
    expect(sum / regions.length).toBeCloseTo(1.5 * Math.sqrt(3) * 36, 0);
    expect(regionArea(unite(regions.flat(), 'nonzero'))).toBeCloseTo(sum, 0);
  });

  it('lie true to size on the cloth, whatever the drawing’s scale and turn', () => {
    const placement = { scale: 0.4, isSizeSet: true, turnDeg: 33, mirrored: true, xMm: 7, yMm: -2 };
    const piece = withParts(draw('border-rings', { radiusMm: 40, rings: 1 }), { ...emptyPiece('x', 'x'), placement });
    const circle = designCircle(piece)!;
    expect([circle.x, circle.y, circle.r].map((v) => Math.round(v * 10) / 10)).toEqual([3, -4, 40]);
  });
});

const require = createRequire(new URL('../../../../web/package.json', import.meta.url));
function bytesOf(file: string): ArrayBuffer {
  return Uint8Array.from(readFileSync(file)).buffer;
}
const open = (outcome: ReturnType<typeof lineFont>): LetterFont => {
  if (!outcome.ok) throw new Error(outcome.problem);
  return outcome.value;
};
const serif = open(outlineFont(bytesOf(require.resolve('@fontsource/lora/files/lora-latin-400-normal.woff'))));
const plain = open(
  lineFont(
    readFileSync(new URL('../../../../web/src/features/drawing/lettering/EMSReadability.svg', import.meta.url), 'utf8'),
  ),
);
const STRAIGHT = { heightMm: 10, spacingMm: 0, along: null, arcMm: 0 };
const laid = (font: LetterFont, text: string, more = {}): HelperPart[] => {
  const outcome = layOutLetters(font, text, { ...STRAIGHT, ...more });
  if (!outcome.ok) throw new Error(outcome.problem);
  return outcome.value;
};
const boxOfParts = (parts: readonly HelperPart[]) => {
  const values = parts.flatMap(({ path }) => flattenPath(path, 0.01).flatMap(({ points }) => [...points]));
  const [xs, ys] = [values.filter((_, i) => i % 2 === 0), values.filter((_, i) => i % 2)];
  return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) };
};

describe('lettering', () => {
  it.each([
    ['outlines', serif],
    ['single lines', plain],
  ])('in %s is as high as asked for, about the middle', (_name, font) => {
    const box = boxOfParts(laid(font, 'HH'));
    expect(box.bottom - box.top).toBeCloseTo(10, 0);
    expect(box.left + box.right).toBeCloseTo(0, -0.5);
    expect(laid(font, 'SLACK WATER')).toHaveLength(10);
    expect(new Set(laid(font, 'Ab').map(({ kind }) => kind))).toEqual(new Set([font.kind]));
  });

  it('stands on an arc: every foot at its radius', () => {
    for (const arcMm of [40, -40]) {
      for (const { path } of laid(plain, 'IIIIIII', { arcMm })) {
        const reach = flattenPath(path, 0.01).flatMap(({ points }) =>
          Array.from({ length: points.length / 2 }, (_, i) => Math.hypot(points[2 * i]!, points[2 * i + 1]!)),
        );
        if (arcMm > 0) expect(Math.min(...reach)).toBeCloseTo(40, 0);
        else expect(Math.max(...reach)).toBeCloseTo(40, 0);
      }
    }
  });

  it('follows a line', () => {
    const line = { points: Float64Array.of(0, 0, 0, 100), closed: false };
    const box = boxOfParts(laid(plain, 'HHHH', { along: line }));
    expect(box.bottom - box.top).toBeGreaterThan(2 * (box.right - box.left));
  });

  it('says which letters an alphabet lacks, and what is no font', () => {
    const lacking = layOutLetters(plain, 'a☃b☂', STRAIGHT);
    expect(lacking.ok ? '' : lacking.problem).toMatch(/no “☃” and “☂”/);
    expect(layOutLetters(plain, '   ', STRAIGHT).ok).toBe(false);
    expect(outlineFont(new ArrayBuffer(20)).ok).toBe(false);
    expect(lineFont('<svg/>').ok).toBe(false);
  });

  it('has as much more room between letters as is asked for, and stays about the middle', () => {
    for (const font of [serif, plain]) {
      const [close, wide] = [0, 3].map((spacingMm) =>
        laid(font, 'HIH', { spacingMm }).map((part) => boxOfParts([part])),
      );
      // The last moves on by half of both gaps, the first back by as much.
      expect(wide![2]!.left - close![2]!.left).toBeCloseTo(3, 2);
      expect(wide![0]!.left - close![0]!.left).toBeCloseTo(-3, 2);
      expect(wide![1]!.left - close![1]!.left).toBeCloseTo(0, 2);
    }
  });

  it('needs more height for a thicker thread, in proportion', () => {
    for (const font of [serif, plain]) {
      const [one, two] = [leastHeightMm(font, 'Rock a', 0.3), leastHeightMm(font, 'Rock a', 0.6)];
      expect(two / one).toBeCloseTo(2, 1);
      expect(one).toBeGreaterThan(0.6);
      expect(one).toBeLessThan(15);
    }
  });
});
