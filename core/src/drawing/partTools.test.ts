import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { flattenPath, mapPoints, polylineLength, regionArea, unite } from '../geometry/index.ts';
import { seededRandom } from '../measure/index.ts';
import {
  newColour,
  applyEdit,
  emptyPiece,
  newPart,
  readPiece,
  type Edit,
  type Part,
  type Piece,
} from '../piece/index.ts';
import {
  cutPart,
  joinParts,
  lineToArea,
  outlineToLine,
  placementMatrix,
  readSvg,
  reimport,
  simplifyParts,
  writeSvg,
} from './index.ts';

function piece(...parts: Part[]): Piece {
  const empty = emptyPiece('x', 'x');
  return { ...empty, palette: [newColour({ id: 'c1', hex: '#aa3344' })], drawing: { ...empty.drawing, parts } };
}
const part = (id: string, kind: Part['kind'], path: string, more: Partial<Part> = {}): Part =>
  newPart({ id, name: id, kind, path, colour: 'c1', ...more });
function after(before: Piece, edit: Edit | null): Piece {
  if (!edit) throw new Error('nothing would change');
  const applied = applyEdit(before, edit);
  if (!applied.ok) throw new Error(applied.problem);
  return applied.value;
}
const areaOf = ({ path, fillRule }: Part): number =>
  regionArea(
    unite(
      flattenPath(path, 0.01).map(({ points }) => points),
      fillRule,
    ),
  );
const lengthOf = ({ path }: Part): number => flattenPath(path, 0.01).reduce((sum, run) => sum + polylineLength(run), 0);
const line = (...points: number[]) => ({ points: Float64Array.from(points), closed: false });
/** Two areas, one with a hole, and a wavy line. */
const AREA = part('area', 'area', 'M0 0H40V30H0ZM10 10V20H20V10Z', { fillRule: 'evenodd' });
const WAVE = part('wave', 'line', 'M0 0C10 20 20 -20 30 0S50 20 60 0', { strokeMm: 2 });

describe('parts', () => {
  it.each([1, 2, 3, 4, 5, 6])('cut in two keep all of their area or length (seed %i)', (seed) => {
    const random = seededRandom(seed);
    const placement = {
      scale: random.between(0.3, 3),
      isSizeSet: true,
      turnDeg: random.between(-90, 90),
      mirrored: seed % 2 === 0,
      xMm: 3,
      yMm: 5,
    };
    for (const whole of [AREA, WAVE]) {
      const before = { ...piece(whole), placement: seed === 1 ? emptyPiece('', '').placement : placement };
      // Down through its middle, wherever it lies on the cloth.
      const across = mapPoints(placementMatrix(before.placement), Float64Array.of(15, -90, 16, 0.1, 15, 90));
      const edit = cutPart(before, whole.id, line(...across));
      const now = after(before, edit!).drawing.parts;
      expect(now).toHaveLength(whole.kind === 'area' ? 2 : now.length);
      expect(now.length).toBeGreaterThan(1);
      const measure = whole.kind === 'area' ? areaOf : lengthOf;
      const sum = now.reduce((total, each) => total + measure(each), 0);
      expect(sum / measure(whole)).toBeCloseTo(1, 2);
    }
  });

  it('are not cut by a line that misses them, nor while they are locked', () => {
    expect(cutPart(piece(AREA), 'area', line(60, -10, 60, 50))).toBeNull();
    expect(cutPart(piece({ ...AREA, locked: true }), 'area', line(20, -10, 20, 50))).toBeNull();
  });

  it('joined cover what they covered, in front of neither', () => {
    const before = piece(AREA, part('b', 'area', 'M30 0H60V30H30Z'), part('c', 'area', 'M0 0H1V1H0Z'));
    const now = after(before, joinParts(before, ['area', 'b'])).drawing.parts;
    expect(now.map(({ id }) => id)).toEqual(['area', 'c']);
    expect(areaOf(now[0]!)).toBeCloseTo(40 * 30 - 100 + 20 * 30, 0);
    expect(joinParts(piece(AREA, WAVE), ['area', 'wave'])).toBeNull();
  });

  it('become outlines and areas', () => {
    const outline = after(piece(AREA), outlineToLine(piece(AREA), ['area']));
    expect(outline.drawing.parts[0]!.kind).toBe('line');
    const back = after(outline, lineToArea(outline, ['area'])).drawing.parts[0]!;
    expect(areaOf(back)).toBeCloseTo(areaOf(AREA), 3);
    const broad = after(piece(WAVE), lineToArea(piece(WAVE), ['wave'])).drawing.parts[0]!;
    expect(areaOf(broad) / (2 * lengthOf(WAVE) + Math.PI)).toBeCloseTo(1, 1);
  });

  it('simplified stay within the tolerance, with fewer corners', () => {
    const jagged = part(
      'j',
      'line',
      `M0 0${Array.from({ length: 300 }, (_, i) => `L${i / 5} ${(i % 2) * 0.05}`).join('')}`,
    );
    const now = after(piece(jagged), simplifyParts(piece(jagged), ['j'], 0.1)).drawing.parts[0]!;
    expect(flattenPath(now.path, 0.01)[0]!.points.length).toBeLessThan(8);
  });
});

const pool = (): Piece => {
  const read = readPiece(
    readFileSync(new URL('../../../demo/pieces/rock-pool.junctura.json', import.meta.url), 'utf8'),
  );
  if (!read.ok) throw new Error(read.problem);
  return read.value;
};
function readBack(svg: string): Piece {
  const read = readSvg(svg, 'again', 'again.svg');
  if (!read.ok) throw new Error(read.problem);
  return read.value;
}

describe('a piece written as SVG', () => {
  it('comes back unchanged', () => {
    const before = pool();
    expect(readBack(writeSvg(before))).toEqual({ ...before, id: 'again' });
  });

  it('comes back also where a line is drawn with a stroke of nothing', () => {
    const { drawing, ...rest } = pool();
    const parts = drawing.parts.map((part) => (part.kind === 'line' ? { ...part, strokeMm: 0 } : part));
    expect(parts.filter(({ strokeMm }) => strokeMm === 0).length).toBeGreaterThan(0);
    const before = { ...rest, drawing: { ...drawing, parts } };
    expect(readBack(writeSvg(before))).toEqual({ ...before, id: 'again' });
  });

  it('is read by its shapes where what it kept is damaged', () => {
    const damaged = writeSvg(pool()).replace('&quot;use&quot;:&quot;framed&quot;', '&quot;use&quot;:&quot;eaten&quot;');
    expect(readBack(damaged).drawing.parts).toHaveLength(pool().drawing.parts.length);
    expect(readBack(damaged).name).toBe('again.svg');
    for (const bad of ['{"piece":{"palette":[null],"drawing":{}}}', '{', '[]', '{"piece":null}']) {
      const svg = writeSvg(pool()).replace(/<svg([^>]*) data-junctura="[^"]*"/, `<svg$1 data-junctura='${bad}'`);
      expect(readBack(svg).drawing.parts.length).toBeGreaterThan(60);
    }
  });
});

describe('a drawing that was changed elsewhere', () => {
  it('keeps what was chosen for parts that are still there', () => {
    const before = pool();
    const parts = before.drawing.parts;
    const fresh: Piece = {
      ...before,
      drawing: {
        ...before.drawing,
        // One gone, one moved a little under a new id, one new; nothing chosen of any.
        parts: [
          ...parts
            .slice(1)
            .map((each, i) => ({ ...each, id: i === 3 ? 'part-900' : each.id, passes: null, name: 'x' })),
          part('newcomer', 'area', 'M500 500h9v9h-9z', { colour: before.palette[2]!.id }),
        ],
      },
    };
    const { edit, kept, added, removed } = reimport(before, fresh);
    expect({ kept, added, removed }).toEqual({ kept: parts.length - 1, added: 1, removed: 1 });
    const now = after(before, edit);
    expect(now.drawing.parts.slice(0, -1)).toEqual(parts.slice(1));
    expect(now.drawing.parts.at(-1)!.id).toBe('newcomer');
  });
});
