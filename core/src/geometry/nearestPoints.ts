import { placeAt } from './points.ts';
import Flatbush from 'flatbush';

/** Points of which one asks for the nearest and takes it away. */
export class NearestPoints {
  private readonly index: Flatbush | null;
  private readonly isThere: Uint8Array;

  /** @param points `x0, y0, x1, y1, …` */
  constructor(points: Float64Array) {
    const count = points.length / 2;
    this.isThere = new Uint8Array(count).fill(1);
    this.index = count > 0 ? new Flatbush(count) : null;
    for (let i = 0; i < count; i++) this.index!.add(...placeAt(points, i));
    this.index?.finish();
  }

  /** The number of the nearest point that is still there, or null. */
  nearest(x: number, y: number): number | null {
    const [found] = this.index?.neighbors(x, y, 1, Infinity, (i) => this.isThere[i] === 1) ?? [];
    return found ?? null;
  }

  remove(point: number): void {
    this.isThere[point] = 0;
  }
}
