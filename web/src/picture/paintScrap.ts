import { clothOf } from '@junctura/core/materials';
import { seededRandom } from '@junctura/core/measure';
import { through, type Brush, type Lens } from './brush.ts';
import { regionPath } from './linePath.ts';
import { paintCloth } from './paintCloth.ts';
import type { PaintedScrap } from './scene.ts';

/** How far a pattern repeats, and how thick its lines and dots are, mm. */
const PATTERN = { everyMm: 5, lineMm: 1.3, dotMm: 0.9 } as const;
/** Frayed threads of a raw edge: how far apart, how long, mm. */
const FRAYED = { everyMm: 0.7, longMm: 0.9 } as const;
/** Ink sinks into the weave: it is seen through. */
const INK = 0.78;

/** Paints a scrap in its form with weave, pattern and edge, or what is printed on the cloth. */
export function paintScrap(brush: Brush, { region, scrap, hex }: PaintedScrap, lens: Lens): void {
  const px = lens.pxPerMm;
  const form = regionPath(region, lens);
  brush.save();
  if (!scrap) {
    brush.globalAlpha = INK;
    brush.fillStyle = hex;
    brush.fill(form, 'evenodd');
    brush.restore();
    return;
  }
  // It lies on the cloth: a thin shadow to the lower right.
  brush.shadowColor = 'rgb(38 26 10 / 40%)';
  brush.shadowBlur = 0.7 * px;
  [brush.shadowOffsetX, brush.shadowOffsetY] = [0.25 * px, 0.4 * px];
  brush.fillStyle = hex;
  brush.fill(form, 'evenodd');
  brush.restore();
  if (scrap.edge === 'raw') paintFrayed(brush, region, hex, lens);
  brush.save();
  brush.clip(form, 'evenodd');
  paintCloth(brush, clothOf(scrap.cloth), hex, lens);
  paintPattern(brush, scrap.pattern, scrap.second, lens);
  if (scrap.edge === 'turned') {
    // The fold is round: darker towards its edge.
    brush.strokeStyle = 'rgb(30 20 8 / 16%)';
    brush.lineWidth = 0.9 * px;
    brush.stroke(form);
  }
  brush.restore();
}

function paintPattern(brush: Brush, pattern: string, colour: string, lens: Lens): void {
  if (pattern === 'plain') return;
  const { toX, toY } = through(lens);
  const { everyMm, lineMm, dotMm } = PATTERN;
  const px = lens.pxPerMm;
  const from = (mm: number): number => Math.floor(mm / everyMm) * everyMm;
  brush.globalAlpha = 0.85;
  brush.fillStyle = brush.strokeStyle = colour;
  const { minX, minY, maxX, maxY } = lens;
  if (pattern === 'stripe' || pattern === 'check') {
    if (pattern === 'check') brush.globalAlpha = 0.5;
    for (let x = from(minX); x <= maxX; x += everyMm) brush.fillRect(toX(x), 0, lineMm * px, brush.canvas.height);
    if (pattern === 'check') {
      for (let y = from(minY); y <= maxY; y += everyMm) brush.fillRect(0, toY(y), brush.canvas.width, lineMm * px);
    }
    return;
  }
  for (let y = from(minY); y <= maxY + everyMm; y += everyMm) {
    const shift = Math.round(y / everyMm) % 2 === 0 ? 0 : everyMm / 2;
    for (let x = from(minX) + shift; x <= maxX + everyMm; x += everyMm) {
      brush.beginPath();
      if (pattern === 'dot') brush.arc(toX(x), toY(y), dotMm * px, 0, 2 * Math.PI);
      else {
        // A sprig: three small leaves from one place.
        for (const turn of [-0.9, 0, 0.9]) {
          const [dx, dy] = [Math.sin(turn) * 1.1, -Math.cos(turn) * 1.1];
          brush.ellipse(toX(x + dx * 0.6), toY(y + dy * 0.6), 0.35 * px, 0.75 * px, turn, 0, 2 * Math.PI);
        }
      }
      brush.fill();
    }
  }
}

/** Ends of threads that stand out of an edge that was cut. */
function paintFrayed(brush: Brush, region: PaintedScrap['region'], hex: string, lens: Lens): void {
  const { toX, toY } = through(lens);
  const random = seededRandom(9);
  brush.strokeStyle = hex;
  brush.lineWidth = Math.max(0.5, 0.16 * lens.pxPerMm);
  brush.beginPath();
  for (const ring of region) {
    for (let i = 0; i < ring.length; i += 2) {
      const j = (i + 2) % ring.length;
      const [dx, dy] = [ring[j]! - ring[i]!, ring[j + 1]! - ring[i + 1]!];
      const length = Math.hypot(dx, dy);
      for (let mm = random.between(0, FRAYED.everyMm); mm < length; mm += FRAYED.everyMm) {
        const [x, y] = [ring[i]! + (dx * mm) / length, ring[i + 1]! + (dy * mm) / length];
        // Threads of the weave run across and upright, whatever the edge does.
        const along = random.between(-1, 1) * FRAYED.longMm;
        const isWarp = random.next() < 0.5;
        brush.moveTo(toX(x), toY(y));
        brush.lineTo(toX(x + (isWarp ? 0 : along)), toY(y + (isWarp ? along : 0)));
      }
    }
  }
  brush.stroke();
}
