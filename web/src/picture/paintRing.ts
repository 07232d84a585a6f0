import { innerHalvesMm } from '@junctura/core/materials';
import type { Hoop } from '@junctura/core/piece';
import type { Brush, Lens } from './brush.ts';
import { ringBands, ringMm, SCREW, TAPE_TURN_MM } from './ringShape.ts';

/** How far from the middle of the hoop its ring reaches with its screw, mm. */
export function ringReachMm(hoop: Hoop): number {
  const [wide, high] = innerHalvesMm(hoop);
  return Math.max(wide, high) + 1.6 * ringMm(wide);
}

/** What the light makes of wood and brass, from the upper left. */
export interface RingTones {
  readonly wood: string;
  readonly light: string;
  readonly dark: string;
  readonly brass: string;
  /** Tape that is wound round a bound ring. */
  readonly tape: string;
}

/** What lies outside the cloth is cut away; nothing is painted there. */
export function clipToHoop(brush: Brush, hoop: Hoop, lens: Lens): void {
  brush.beginPath();
  ellipse(brush, hoop, lens, 0);
  brush.clip();
}

function ellipse(brush: Brush, hoop: Hoop, { pxPerMm, offsetX, offsetY }: Lens, outMm: number): void {
  const [a, b] = innerHalvesMm(hoop);
  brush.ellipse(
    -offsetX * pxPerMm,
    -offsetY * pxPerMm,
    (a + outMm) * pxPerMm,
    (b + outMm) * pxPerMm,
    0,
    0,
    2 * Math.PI,
  );
}

/** The two rings of the hoop and its screw, a shade inside them; bound ones show the turns of their tape. */
export function paintRing(brush: Brush, hoop: Hoop, lens: Lens, tones: RingTones): void {
  const ring = ringMm(innerHalvesMm(hoop)[0]);
  const { pxPerMm } = lens;
  const band = (style: string, out: number, width: number): void => {
    brush.strokeStyle = style;
    brush.lineWidth = width * ring * pxPerMm;
    brush.beginPath();
    ellipse(brush, hoop, lens, out * ring);
    brush.stroke();
  };
  band('rgba(50, 35, 10, 0.16)', -0.14, 0.3);
  for (const { tone, out, width } of ringBands(hoop)) {
    brush.globalAlpha = tone === 'grain' ? GRAIN_ALPHA : 1;
    band(tones[tone === 'grain' ? 'dark' : tone], out, width);
  }
  brush.globalAlpha = GRAIN_ALPHA;
  if (hoop.bound) paintTape(brush, hoop, lens, ring, tones);
  brush.globalAlpha = 1;
  paintScrew(brush, hoop, lens, ring, tones);
}

const GRAIN_ALPHA = 0.35;

function paintTape(
  brush: Brush,
  hoop: Hoop,
  { pxPerMm, offsetX, offsetY }: Lens,
  ring: number,
  tones: RingTones,
): void {
  const [a, b] = innerHalvesMm(hoop);
  const turns = Math.round((Math.PI * (a + b)) / TAPE_TURN_MM);
  brush.strokeStyle = tones.dark;
  brush.lineWidth = 0.25 * pxPerMm;
  brush.beginPath();
  for (let k = 0; k < turns; k++) {
    for (const [out, lean] of [
      [0.02, 0],
      [0.5, 0.4],
    ] as const) {
      const angle = (2 * Math.PI * (k + lean)) / turns;
      const x = (Math.cos(angle) * (a + out * ring) - offsetX) * pxPerMm;
      const y = (Math.sin(angle) * (b + out * ring) - offsetY) * pxPerMm;
      if (lean === 0) brush.moveTo(x, y);
      else brush.lineTo(x, y);
    }
  }
  brush.stroke();
}

function paintScrew(
  brush: Brush,
  hoop: Hoop,
  { pxPerMm, offsetX, offsetY }: Lens,
  ring: number,
  tones: RingTones,
): void {
  const top = -innerHalvesMm(hoop)[1] - ring;
  brush.fillStyle = tones.brass;
  brush.strokeStyle = tones.dark;
  brush.lineWidth = 0.15 * pxPerMm;
  for (const { x, y, width, height } of SCREW) {
    brush.beginPath();
    brush.roundRect(
      (x * ring - offsetX) * pxPerMm,
      (top + y * ring - offsetY) * pxPerMm,
      width * ring * pxPerMm,
      height * ring * pxPerMm,
      0.1 * ring * pxPerMm,
    );
    brush.fill();
    brush.stroke();
  }
}
