import { placeAt } from '../geometry/index.ts';
import { valueOf } from '../measure/index.ts';
import { workedIn, type PlannedPass, type WorkedThread } from '../work/index.ts';
import type { Plan } from '../thread/index.ts';
import { threadTones } from '../colour/index.ts';
import { escapedXml, hoopAboutAll } from '../drawing/index.ts';
import type { Circle } from '../geometry/index.ts';
import { innerDiameterMm } from '../materials/index.ts';
import { type Piece, colourName } from '../piece/index.ts';
import { knotDiameterMm, Move, stitchKind } from '../stitches/index.ts';

/** Coordinates are written to a hundredth of a millimetre. */
const mm = (value: number): string => String(Math.round(value * 100) / 100);
const AIR_MM = 8;
/** Nothing at all is shown as large as this, mm. */
const LEAST_MM = 20;
/** The body of a thread within its darker edge. */
const BODY = 0.78;
/** A coil is as wide as its core and the thread wound round it, in bundles. */
const COIL_WIDTHS = 2.1;

/** What a picture that is taken away shows: the inside of the ring, or where none holds all of it the design with some air. */
export function pictureCircle(piece: Piece, { design: { circle } }: Plan): Circle {
  const hoop = hoopAboutAll(piece);
  if (hoop) return { x: 0, y: 0, r: innerDiameterMm(hoop.nominalMm) / 2 };
  return { x: circle?.x ?? 0, y: circle?.y ?? 0, r: (circle?.r ?? LEAST_MM) + AIR_MM };
}

/**
 * The stitched front as an SVG drawing at true size: every run of thread is a stroke, knots are discs. Parts and passes are
 * groups that say what they are in `data-` attributes.
 */
export function pictureSvg(piece: Piece, plan: Plan): string {
  const { x, y, r: reach } = pictureCircle(piece, plan);
  const tones = new Map(piece.palette.map((colour) => [colour.id, threadTones(colourName(colour).hex)]));
  const lines = [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(2 * reach)}mm" height="${mm(2 * reach)}mm" viewBox="${mm(x - reach)} ${mm(y - reach)} ${mm(2 * reach)} ${mm(2 * reach)}">`,
    `<title>${escapedXml(piece.name)}</title>`,
    `<circle cx="${mm(x)}" cy="${mm(y)}" r="${mm(reach)}" fill="${piece.cloth.colour}"/>`,
  ];
  for (const { part, passes } of plan.parts) {
    if (passes.length === 0) continue;
    lines.push(`<g data-part="${escapedXml(part.id)}" data-name="${escapedXml(part.name)}">`);
    for (const layer of passes) {
      for (const thread of layer.threads) {
        const pass = workedIn(layer, thread);
        const { edge, body } = valueOf(tones, thread.colour ?? part.colour);
        const { runs, knots } = drawn(pass, thread);
        const attributes = `data-stitch="${pass.stitch}" data-role="${pass.role}" data-strands="${pass.strands}" data-thread="${pass.thread}"`;
        lines.push(`<g ${attributes} fill="none" stroke-linecap="round" stroke-linejoin="round">`);
        for (const { d, widthMm } of runs) {
          lines.push(`<path d="${d}" stroke="${edge}" stroke-width="${mm(widthMm)}"/>`);
          lines.push(`<path d="${d}" stroke="${body[5]!}" stroke-width="${mm(widthMm * BODY)}"/>`);
        }
        for (const [kx, ky, r] of knots) {
          lines.push(
            `<circle cx="${mm(kx)}" cy="${mm(ky)}" r="${mm(r)}" fill="${body[5]!}" stroke="${edge}" stroke-width="${mm(r * 0.2)}"/>`,
          );
        }
        lines.push('</g>');
      }
    }
    lines.push('</g>');
  }
  return `${lines.join('\n')}\n</svg>\n`;
}

interface Run {
  readonly d: string;
  readonly widthMm: number;
}
/** How thick a wrap between the links of a line is, in laid widths. */
const ON_LINE = 1.25;

type Knot = readonly [x: number, y: number, r: number];

/** What of a thread lies in front: each stretch from where it comes up to where it goes down, and knots. */
function drawn({ bundleMm, laidMm, stitch }: PlannedPass, { path }: WorkedThread): { runs: Run[]; knots: Knot[] } {
  const runs: Run[] = [];
  const knots: Knot[] = [];
  // Wrapped on a line: a knot where the stitch stands up.
  const { isRaised } = stitchKind(stitch);
  let d = '';
  let wrap: { turns: number; coreMm: number; x: number; y: number } | null = null;
  let [x, y, isLoop] = [0, 0, false];
  for (let i = 0; i < path.codes.length; i++) {
    const code = path.codes[i];
    const [mx, my] = placeAt(path.xy, i);
    if (code === Move.travel || code === Move.lift) continue;
    if (code === Move.wrap) {
      wrap = { turns: mx, coreMm: my, x, y };
      continue;
    }
    if (code === Move.up) [d, isLoop] = [`M${mm(mx)} ${mm(my)}`, false];
    else {
      isLoop ||= code !== Move.down;
      // Below an earlier stitch the thread is not seen.
      d += code === Move.under ? `M${mm(mx)} ${mm(my)}` : `L${mm(mx)} ${mm(my)}`;
      if (code === Move.down) {
        const diameter = wrap ? knotDiameterMm(wrap.turns, bundleMm, wrap.coreMm) : 0;
        const isKnot = wrap && !isLoop && Math.hypot(mx - x, my - y) < diameter;
        if (isKnot) knots.push([(x + mx) / 2, (y + my) / 2, diameter / 2]);
        // Wound round a loop: a small knot on the line.
        if (wrap && isLoop) knots.push([wrap.x, wrap.y, (isRaised ? diameter : laidMm * ON_LINE) / 2]);
        if (!isKnot) runs.push({ d, widthMm: wrap && !isLoop ? COIL_WIDTHS * bundleMm : laidMm });
        wrap = null;
      }
    }
    [x, y] = [mx, my];
  }
  return { runs, knots };
}
