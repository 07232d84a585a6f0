import { TONE_STEPS } from '@junctura/core/colour';
import type { Brush } from './brush.ts';
import { LIGHT_X, LIGHT_Y } from './light.ts';
import { paintStrands, ROUND_FROM_PX, STRANDS_FROM_PX, toneOf } from './paintRun.ts';
import type { ThreadLook } from './threadLook.ts';

/** The number of runs of one tone that are stroked together: enough to be quick, few enough that the order on top stays true. */
const MOST_RUNS = 32;
/** Widths of the laid thread in pixels from which more of it is drawn. */
export const DETAIL_PX = { edged: 1.6, sheen: 2.6, round: ROUND_FROM_PX, strands: STRANDS_FROM_PX } as const;
/** What shines less has no sheen. */
const SHEEN_FROM = 0.3;
/** How far round ends are drawn in, in widths: thread narrows where it dives into the cloth. */
const ROUND_IN = 0.36;
/** Runs over padding are shaded this far in from either end, as a share of their length. */
const RISES = 0.2;

/**
 * Straight runs of one thread, painted from simple to rich as they are seen larger: a stroke, an edged stroke with its sheen,
 * strands with their twist. Runs that follow each other in one tone are stroked together.
 */
export class RunBatch {
  private readonly ends: number[] = [];
  private readonly shades: number[] = [];
  private tone = 0;
  /** The number of runs of the batch, with those that are out of sight. */
  private together = 0;

  constructor(
    private readonly brush: Brush,
    private readonly tones: ThreadLook,
    private readonly width: number,
    private readonly strands: number,
  ) {}

  /** @param isRaised whether it lies over padding */
  add(x0: number, y0: number, x1: number, y1: number, isRaised: boolean): void {
    if (this.width >= DETAIL_PX.strands) {
      paintStrands(this.brush, { x0, y0, x1, y1, width: this.width, strands: this.strands }, this.tones, isRaised);
      return;
    }
    this.join(x1 - x0, y1 - y0);
    this.ends.push(x0, y0, x1, y1);
    if (isRaised) this.shadeEnds(x0, y0, x1, y1);
  }

  /** Counts a run that is out of sight, so that what is seen is painted alike however much of the picture is. */
  pass(dx: number, dy: number): void {
    if (this.width < DETAIL_PX.strands) this.join(dx, dy);
  }

  private join(dx: number, dy: number): void {
    const tone = toneOf(dx, dy);
    if (tone !== this.tone || this.together >= MOST_RUNS) this.flush();
    this.tone = tone;
    this.together++;
  }

  flush(): void {
    this.together = 0;
    if (this.ends.length === 0) return;
    const { brush, tones, width, tone } = this;
    if (width < DETAIL_PX.edged) {
      this.stroke(tones.body[tone]!, Math.max(width, 0.7), 0, 0);
    } else {
      const isRound = width >= DETAIL_PX.round;
      if (isRound) brush.lineCap = 'round';
      const inset = isRound ? width * ROUND_IN : 0;
      this.stroke(tones.edge, width, inset, 0);
      this.stroke(tones.body[tone]!, width * 0.78, inset, 0);
      // The sheen along the side that faces the light.
      if (width > DETAIL_PX.sheen && tones.lustre > SHEEN_FROM)
        this.stroke(tones.body[Math.min(TONE_STEPS - 1, tone + 2)]!, width * 0.26, inset, width * 0.13);
      if (isRound) brush.lineCap = 'butt';
    }
    this.strokeShades();
    this.ends.length = 0;
  }

  private shadeEnds(x0: number, y0: number, x1: number, y1: number): void {
    const [dx, dy] = [(x1 - x0) * RISES, (y1 - y0) * RISES];
    this.shades.push(x0, y0, x0 + dx, y0 + dy, x1, y1, x1 - dx, y1 - dy);
  }

  private strokeShades(): void {
    if (this.shades.length === 0) return;
    const { brush, shades } = this;
    brush.strokeStyle = 'rgba(24, 16, 8, 0.17)';
    brush.lineWidth = this.width;
    brush.beginPath();
    for (let i = 0; i < shades.length; i += 4) {
      brush.moveTo(shades[i]!, shades[i + 1]!);
      brush.lineTo(shades[i + 2]!, shades[i + 3]!);
    }
    brush.stroke();
    shades.length = 0;
  }

  /** @param inset how far the ends are drawn in @param aside how far towards the light it lies, px */
  private stroke(style: string, width: number, inset: number, aside: number): void {
    const { brush, ends } = this;
    brush.strokeStyle = style;
    brush.lineWidth = width;
    brush.beginPath();
    for (let i = 0; i < ends.length; i += 4) {
      let [x0, y0, x1, y1] = [ends[i]!, ends[i + 1]!, ends[i + 2]!, ends[i + 3]!];
      if (inset > 0 || aside > 0) {
        const [wayX, wayY] = [x1 - x0, y1 - y0];
        const length = Math.sqrt(wayX * wayX + wayY * wayY) || 1;
        const drawnIn = Math.min(inset, length * 0.4) / length;
        const side = ((wayX * LIGHT_Y - wayY * LIGHT_X > 0 ? -1 : 1) * aside) / length;
        [x0, y0] = [x0 + wayX * drawnIn - wayY * side, y0 + wayY * drawnIn + wayX * side];
        [x1, y1] = [x1 - wayX * drawnIn - wayY * side, y1 - wayY * drawnIn + wayX * side];
      }
      brush.moveTo(x0, y0);
      brush.lineTo(x1, y1);
    }
    brush.stroke();
  }
}
