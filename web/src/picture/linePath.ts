import type { Polyline, Region } from '@junctura/core/geometry';
import { through, type Lens } from './brush.ts';

/** A line as it lies in the picture. */
export function linePath(line: Polyline, lens: Lens): Path2D {
  const path = new Path2D();
  addLine(path, line, lens);
  return path;
}

/** A region as it lies in the picture, to be filled by the even-odd rule. */
export function regionPath(region: Region, lens: Lens): Path2D {
  const path = new Path2D();
  for (const ring of region) addLine(path, { points: ring, closed: true }, lens);
  return path;
}

function addLine(path: Path2D, { points, closed }: Polyline, lens: Lens): void {
  const { toX, toY } = through(lens);
  for (let i = 0; i < points.length; i += 2) {
    if (i === 0) path.moveTo(toX(points[0]!), toY(points[1]!));
    else path.lineTo(toX(points[i]!), toY(points[i + 1]!));
  }
  if (closed) path.closePath();
}
