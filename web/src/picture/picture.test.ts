import { USUAL_FACTORS } from '@junctura/core/work';
import { Planner } from '@junctura/core/advice';
import { readPiece, type Piece } from '@junctura/core/piece';
import { readFileSync } from 'node:fs';
import { beforeAll, describe, expect, it } from 'vitest';
import { withCanvas } from '../testing/canvas.ts';
import type { Brush } from './brush.ts';
import { paintPicture, type Side } from './paintPicture.ts';
import { toneOf } from './paintRun.ts';
import { sceneOf } from './scene.ts';
import { viewOf, type View } from './view.ts';

beforeAll(withCanvas);

const SIZE = { width: 400, height: 400 };

function piece(name = 'night-tram'): Piece {
  const read = readPiece(readFileSync(new URL(`../../../demo/pieces/${name}.junctura.json`, import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.problem);
  return read.value;
}

interface Stroke {
  readonly style: string;
  readonly width: number;
  readonly points: readonly (readonly [x: number, y: number])[];
}

/** A brush that remembers what it stroked. It has no patterns: cloth is plain, and at this size there are no strands. */
class RecordingBrush {
  readonly canvas = SIZE;
  readonly strokes: Stroke[] = [];
  fills = 0;
  strokeStyle = '';
  fillStyle = '';
  lineWidth = 1;
  lineCap = 'butt';
  lineJoin = 'miter';
  globalAlpha = 1;
  private points: [number, number][] = [];
  private mirrorX = 1;
  private shiftX = 0;

  setTransform(a: number, _b: number, _c: number, _d: number, e: number): void {
    [this.mirrorX, this.shiftX] = [a, e];
  }
  createPattern(): null {
    return null;
  }
  beginPath(): void {
    this.points = [];
  }
  moveTo(x: number, y: number): void {
    this.points.push([x * this.mirrorX + this.shiftX, y]);
  }
  lineTo(x: number, y: number): void {
    this.moveTo(x, y);
  }
  quadraticCurveTo(cx: number, cy: number, x: number, y: number): void {
    this.moveTo(cx, cy);
    this.moveTo(x, y);
  }
  arc(x: number, y: number): void {
    this.moveTo(x, y);
  }
  drawImage(_picture: unknown, x: number, y: number): void {
    this.strokes.push({ style: 'picture', width: 1, points: [[x * this.mirrorX + this.shiftX, y]] });
  }
  stroke(): void {
    this.strokes.push({ style: this.strokeStyle, width: this.lineWidth, points: this.points });
  }
  fill(): void {
    this.fills++;
  }
  fillRect(): void {
    this.fills++;
  }
}

function paint(view: View, side: Side = 'front', only: ReadonlySet<string> | null = null): RecordingBrush {
  const brush = new RecordingBrush();
  const scene = sceneOf(piece(), new Planner().plan(piece(), USUAL_FACTORS), only);
  for (const _ of paintPicture(brush as unknown as Brush, scene, view, SIZE, side));
  return brush;
}

const whole = viewOf(50, SIZE);
const plan = new Planner().plan(piece(), USUAL_FACTORS).plan;

describe('the painter', () => {
  it('paints something of every stitch that is in view, and the same every time', () => {
    const { strokes } = paint(whole);
    // Runs of one tone are stroked together, each with two places or more.
    const places = strokes.reduce((sum, { points }) => sum + points.length, 0);
    expect(places).toBeGreaterThanOrEqual(2 * plan.totals.stitches);
    expect(paint(whole).strokes).toEqual(strokes);
    for (const { points, width } of strokes) {
      expect(width).toBeGreaterThan(0);
      for (const [x, y] of points) expect(Number.isFinite(x + y)).toBe(true);
    }
  });

  it.each(['front', 'back'] as const)('paints no stitch that is out of view (%s)', (side) => {
    const part = { ...whole, centreX: -5, centreY: 2, pxPerMm: 7 };
    const { strokes } = paint(part, side);
    expect(strokes.length).toBeGreaterThan(100);
    const margin = 10.5 * part.pxPerMm;
    for (const { points } of strokes) {
      for (const k of [0, 1] as const) {
        const places = points.map((point) => point[k]);
        expect(Math.max(...places)).toBeGreaterThan(-margin);
        expect(Math.min(...places)).toBeLessThan(400 + margin);
      }
    }
    expect(paint({ ...whole, centreX: 500 }, side).strokes).toEqual([]);
  });

  it('puts stitches where they are on the cloth', () => {
    const rail = plan.parts.find(({ part }) => part.id === 'rail')!;
    const { strokes } = paint(whole, 'front', new Set(['rail']));
    const ys = strokes.flatMap(({ points }) => points.map(([, y]) => y));
    const expected = 200 + rail.placed.box!.minY * whole.pxPerMm;
    for (const y of ys) expect(Math.abs(y - expected)).toBeLessThan(rail.passes[0]!.laidMm * whole.pxPerMm);
  });

  it('shows the back mirrored: what is behind the left lies to the right', () => {
    const middle = (brush: RecordingBrush): number => {
      const xs = brush.strokes.flatMap(({ points }) => points.map(([x]) => x));
      return (Math.min(...xs) + Math.max(...xs)) / 2;
    };
    const lamp = new Set(['window-1']);
    const [front, back] = [middle(paint(whole, 'front', lamp)), middle(paint(whole, 'back', lamp))];
    expect(front).toBeLessThan(200);
    expect(back).toBeCloseTo(400 - front, -1);
  });

  it('keeps a moved view the same on either side: the middle of the window stays', () => {
    const moved = { ...whole, centreX: 10 };
    const xs = (side: Side): number =>
      Math.min(...paint(moved, side, new Set(['window-1'])).strokes.flatMap(({ points }) => points.map(([x]) => x)));
    const still = (side: Side): number =>
      Math.min(...paint(whole, side, new Set(['window-1'])).strokes.flatMap(({ points }) => points.map(([x]) => x)));
    for (const side of ['front', 'back'] as const) expect(xs(side) - still(side)).toBeCloseTo(-10 * whole.pxPerMm, 6);
  });

  it('lets thread shine across the light and not along it', () => {
    const [along, across] = [toneOf(0.55, 0.83), toneOf(0.83, -0.55)];
    expect(along).toBe(0);
    expect(across).toBeGreaterThan(6);
    expect(toneOf(-0.55, -0.83)).toBe(along);
    expect(toneOf(0, 0)).toBe(0);
  });

  it('shows what was planned in a colour that is gone, thread and printed areas, until the plan has followed', () => {
    const moth = piece('moth-on-oak-leaf');
    const planned = new Planner().plan(moth, USUAL_FACTORS);
    const { threads, scraps } = sceneOf(moth, planned);
    const used = new Set(planned.plan.order.map(({ colour }) => colour));
    for (const { id } of moth.palette) {
      const left = sceneOf({ ...moth, palette: moth.palette.filter((colour) => colour.id !== id) }, planned);
      expect(left.scraps.length).toBe(scraps.length);
      const changed = left.threads.filter(({ tones }, i) => tones.edge !== threads[i]!.tones.edge);
      expect(changed.length > 0).toBe(used.has(id));
      expect(new Set(changed.map(({ tones }) => tones.edge)).size).toBeLessThan(2);
    }
  });
});
