import type { FinishLook, Heights } from '@junctura/core/finish';
import type { Polyline, Region } from '@junctura/core/geometry';
import type { Workings } from '@junctura/core/advice';
import { seededRandom } from '@junctura/core/measure';
import type { Piece } from '@junctura/core/piece';
import { through, type Brush, type Lens } from './brush.ts';
import { linePath, regionPath } from './linePath.ts';
import { paintCloth } from './paintCloth.ts';
import { paintFront } from './paintPass.ts';
import { paintWork } from './paintPicture.ts';
import { looseThreads, sceneOf, type PaintedThread, type Scene } from './scene.ts';

/** Light comes from the upper left: shadows fall this far to the lower right, mm. */
const SHADOW = { x: 1.2, y: 1.9, blur: 3.6, colour: 'rgb(38 26 10 / 42%)' } as const;
/** Where the light comes from over stuffed work: to the left, up, towards the eye. */
const LIGHT = { x: -0.45, y: -0.55, z: 0.7 } as const;
/** How strong light and shade are on stuffed work. */
const SHADE = { dark: 190, light: 110 } as const;
/** Bunches of yarns, one for every other point of a scallop's arc, in the direction of the edge over a whole scallop to either side. */
const FRINGE = {
  bunchPoints: 2,
  overPoints: 16,
  yarns: 6,
  spreadMm: 3.4,
  widthMm: 0.7,
  colours: ['#d9cdb6', '#efe7d6', '#e6dcc8', '#f6f0e2'],
} as const;
const SLOPE_CELLS = 2;
const STEEPEST = 1.7;
const SEAM = { hollow: 'rgb(30 24 16 / 22%)', stitch: 'rgb(255 252 244 / 55%)' } as const;
const CORD = { dark: '#7c5a34', light: '#b98d57' } as const;
const GRAIN = { lines: 90, colour: 'rgb(52 34 16 / 14%)' } as const;

/** The piece as it will be when it is finished. */
export function finishedScene(piece: Piece, workings: Workings, look: FinishLook): Scene {
  const scene = sceneOf(piece, workings);
  const edges = look.edges.flatMap(({ pass, colour }) => looseThreads([pass], colour));
  return { ...scene, otherwise: (brush, lens) => paintFinished(brush, scene, look, edges, lens) };
}

/** What it lies on, its shadow, the cloth in its form with what is stitched, its edge, cords and frames. */
function* paintFinished(
  brush: Brush,
  scene: Scene,
  look: FinishLook,
  edges: readonly PaintedThread[],
  lens: Lens,
): Generator<void> {
  paintGround(brush, look, lens);
  for (const { kind, line, widthMm } of look.lines) if (kind === 'fringe') paintFringe(brush, line, widthMm, lens);
  if (look.frame) castShadow(brush, look.frame.form, look.frame.colour, lens);
  else if (!look.isHooped) castShadow(brush, look.form, scene.clothColour, lens, look.heights ? 2.2 : 1);
  yield;
  // What is stitched lies within the form: only the cloth is cut, as strokes are painted several times as fast uncut.
  const within = (paint: () => void): void => {
    brush.save();
    if (look.form.length > 0) brush.clip(regionPath(look.form, lens), 'evenodd');
    paint();
    brush.restore();
  };
  within(() => paintCloth(brush, scene.cloth, scene.clothColour, lens));
  for (const { kind, line, widthMm } of look.lines) if (kind === 'seam') paintSeam(brush, line, widthMm, lens);
  yield;
  yield* paintWork(brush, scene, lens);
  const { heights } = look;
  if (heights) within(() => paintHeights(brush, heights, lens));
  if (look.frame) within(() => paintRecess(brush, look.form, lens));
  for (const edge of edges) {
    yield* paintFront(brush, edge, lens);
    yield;
  }
  for (const { kind, line, widthMm } of look.lines) if (kind === 'cord') paintCord(brush, line, widthMm, lens);
}

function paintGround(brush: Brush, { ground }: FinishLook, lens: Lens): void {
  const { width, height } = brush.canvas;
  if (ground.cloth) return paintCloth(brush, ground.cloth, ground.colour, lens);
  brush.fillStyle = ground.colour;
  brush.fillRect(0, 0, width, height);
  if (ground.kind !== 'table') return;
  // The grain of the wood stays where it is when the view moves.
  const random = seededRandom(11);
  const { toX, toY } = through(lens);
  brush.strokeStyle = GRAIN.colour;
  for (let i = 0; i < GRAIN.lines; i++) {
    const y = random.between(-320, 320);
    const bow = random.between(-6, 6);
    brush.lineWidth = random.between(0.15, 0.9) * lens.pxPerMm;
    brush.beginPath();
    brush.moveTo(toX(-500), toY(y));
    brush.bezierCurveTo(toX(-160), toY(y + bow), toX(160), toY(y - bow), toX(500), toY(y + bow / 2));
    brush.stroke();
  }
}

function castShadow(brush: Brush, form: Region, colour: string, lens: Lens, height = 1): void {
  const px = lens.pxPerMm * height;
  brush.save();
  brush.shadowColor = SHADOW.colour;
  brush.shadowBlur = SHADOW.blur * px;
  brush.shadowOffsetX = SHADOW.x * px;
  brush.shadowOffsetY = SHADOW.y * px;
  brush.fillStyle = colour;
  brush.fill(regionPath(form, lens), 'evenodd');
  brush.restore();
}

/** The card about a window throws its shadow onto the cloth below it. */
function paintRecess(brush: Brush, form: Region, lens: Lens): void {
  const { width, height } = brush.canvas;
  const around = new Path2D();
  around.rect(-width, -height, 3 * width, 3 * height);
  around.addPath(regionPath(form, lens));
  brush.shadowColor = SHADOW.colour;
  brush.shadowBlur = 1.6 * lens.pxPerMm;
  brush.shadowOffsetX = 0.5 * lens.pxPerMm;
  brush.shadowOffsetY = 0.8 * lens.pxPerMm;
  brush.fillStyle = '#000';
  brush.fill(around, 'evenodd');
}

/** Light and shade over stuffed work, from how it slopes. */
function paintHeights(brush: Brush, { x0, y0, cellMm, columns, rows, mm }: Heights, lens: Lens): void {
  const shade = new OffscreenCanvas(columns, rows);
  const small = shade.getContext('2d')!;
  const image = small.createImageData(columns, rows);
  const at = (c: number, r: number): number =>
    mm[Math.min(rows - 1, Math.max(0, r)) * columns + Math.min(columns - 1, Math.max(0, c))]!;
  // The rim is as steep as a wall, and its steps are those of the grid: slopes are taken over some cells, and no steeper than this.
  const within = (slope: number): number => Math.max(-STEEPEST, Math.min(STEEPEST, slope));
  for (let r = 0; r < rows; r++) {
    for (let c = 0; c < columns; c++) {
      // Half of the thickness stands up in front.
      const over = 4 * SLOPE_CELLS * cellMm;
      const dx = within((at(c + SLOPE_CELLS, r) - at(c - SLOPE_CELLS, r)) / over);
      const dy = within((at(c, r + SLOPE_CELLS) - at(c, r - SLOPE_CELLS)) / over);
      const length = Math.sqrt(dx * dx + dy * dy + 1);
      const light = (-dx * LIGHT.x - dy * LIGHT.y + LIGHT.z) / length - LIGHT.z;
      const i = 4 * (r * columns + c);
      image.data.set(light > 0 ? [255, 250, 238] : [34, 22, 12], i);
      image.data[i + 3] = Math.min(170, Math.abs(light) * (light > 0 ? SHADE.light : SHADE.dark));
    }
  }
  small.putImageData(image, 0, 0);
  const { toX, toY } = through(lens);
  const cellPx = cellMm * lens.pxPerMm;
  brush.save();
  brush.imageSmoothingQuality = 'high';
  brush.filter = `blur(${(1.2 * cellPx).toFixed(1)}px)`;
  brush.drawImage(shade, toX(x0), toY(y0), columns * cellPx, rows * cellPx);
  brush.restore();
}

/**
 * Yarns that hang outward from a scalloped edge with the cloth on its left: each bunch from one place, in the direction of the whole side,
 * not of its scallop.
 */
function paintFringe(brush: Brush, { points }: Polyline, deepMm: number, lens: Lens): void {
  const { toX, toY } = through(lens);
  const random = seededRandom(5);
  const count = points.length / 2;
  const at = (i: number): [number, number] => {
    const k = ((i % count) + count) % count;
    return [points[2 * k]!, points[2 * k + 1]!];
  };
  brush.lineWidth = Math.max(0.6, FRINGE.widthMm * lens.pxPerMm);
  brush.lineCap = 'round';
  const paths = FRINGE.colours.map(() => new Path2D());
  for (let i = 0; i < count; i += FRINGE.bunchPoints) {
    const [[ax, ay], [bx, by]] = [at(i - FRINGE.overPoints), at(i + FRINGE.overPoints)];
    const along = Math.hypot(bx - ax, by - ay) || 1;
    const [tx, ty] = [(bx - ax) / along, (by - ay) / along];
    const [x, y] = at(i);
    for (let yarn = 0; yarn < FRINGE.yarns; yarn++) {
      const spread = (yarn / (FRINGE.yarns - 1) - 0.5) * FRINGE.spreadMm + random.between(-0.5, 0.5);
      const reach = deepMm * random.between(0.93, 1);
      const wave = random.between(-1.4, 1.4);
      const place = (share: number, aside: number): [number, number] => [
        toX(x - ty * reach * share + tx * aside),
        toY(y + tx * reach * share + ty * aside),
      ];
      const path = paths[Math.floor(random.next() * paths.length)]!;
      path.moveTo(...place(0, 0.25 * spread));
      path.bezierCurveTo(...place(0.35, spread + wave), ...place(0.7, spread - wave), ...place(1, spread * 1.15));
    }
  }
  paths.forEach((path, i) => {
    brush.strokeStyle = FRINGE.colours[i]!;
    brush.stroke(path);
  });
}

/** A seam: the cloth sinks along it, and its stitches catch the light. */
function paintSeam(brush: Brush, line: Polyline, widthMm: number, lens: Lens): void {
  const path = linePath(line, lens);
  const px = widthMm * lens.pxPerMm;
  brush.save();
  brush.lineWidth = px;
  brush.strokeStyle = SEAM.hollow;
  brush.stroke(path);
  brush.lineWidth = 0.35 * px;
  brush.strokeStyle = SEAM.stitch;
  brush.setLineDash([2.2 * px, 0.9 * px]);
  brush.stroke(path);
  brush.restore();
}

function paintCord(brush: Brush, line: Polyline, widthMm: number, lens: Lens): void {
  const path = linePath(line, lens);
  brush.save();
  brush.lineCap = brush.lineJoin = 'round';
  brush.lineWidth = widthMm * lens.pxPerMm;
  brush.strokeStyle = CORD.dark;
  brush.stroke(path);
  brush.lineWidth = 0.45 * widthMm * lens.pxPerMm;
  brush.strokeStyle = CORD.light;
  brush.setLineDash([1.1 * widthMm * lens.pxPerMm, 0.7 * widthMm * lens.pxPerMm]);
  brush.stroke(path);
  brush.restore();
}
