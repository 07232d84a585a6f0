import { valueOf } from '../measure/index.ts';
import { workedIn } from '../work/index.ts';
import type { Plan } from '../thread/index.ts';
import { threadTones } from '../colour/index.ts';
import { escapedXml, hoopAboutAll } from '../drawing/index.ts';
import { pathData, type Circle } from '../geometry/index.ts';
import { innerDiameterMm } from '../materials/index.ts';
import { type Piece, colourName } from '../piece/index.ts';
import { frontOf } from './frontRuns.ts';

/** Coordinates are written to a hundredth of a millimetre. */
const mm = (value: number): string => String(Math.round(value * 100) / 100);
const AIR_MM = 8;
/** Nothing at all is shown as large as this, mm. */
const LEAST_MM = 20;
/** The body of a thread within its darker edge. */
const BODY = 0.78;

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
        const { runs, knots } = frontOf(pass, thread.path);
        const attributes = `data-stitch="${pass.stitch}" data-role="${pass.role}" data-strands="${pass.strands}" data-thread="${pass.thread}"`;
        lines.push(`<g ${attributes} fill="none" stroke-linecap="round" stroke-linejoin="round">`);
        for (const { lines: stretches, widthMm } of runs) {
          const d = stretches.map((points) => pathData({ points, closed: false }, 2)).join('');
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
