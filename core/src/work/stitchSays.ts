import { formatFine } from '../measure/index.ts';
import type { PlacedShape } from '../drawing/index.ts';
import { formOf, roomForShades } from '../propose/index.ts';
import { flyAdvanceMm, stitchKind, wrapsToCover } from '../stitches/index.ts';
import type { PlannedPass } from './plannedPart.ts';
import { KNOTS, wholeWidth } from './wholeWidth.ts';
import * as say from './words.ts';

/** A coil whose wraps are this share of those that cover its span lies sparse under the first, and stands up in a loop over the second. */
const COIL = { sparse: 0.88, stands: 1.15 } as const;

/** What a layer becomes in its own thread, where a person would otherwise find it out on the cloth: a coil, a knot, room for shades. */
export function stitchSays(pass: PlannedPass, placed: PlacedShape): string[] {
  const said: string[] = [];
  if (pass.stitch === 'bullion') said.push(coilSays(pass));
  if (KNOTS.has(pass.stitch)) said.push(knotSays(pass));
  if (pass.stitch === 'daisy-ring') said.push(petalsSay(pass));
  if (pass.stitch === 'fly-leaf') said.push(fliesSay(pass));
  const isShaded = stitchKind(pass.stitch).canShade && pass.role === 'filling' && placed.kind === 'area';
  if (isShaded) said.push(...shadesSay(pass, placed));
  return said;
}

function coilSays({ params, bundleMm }: PlannedPass): string {
  const spanMm = Number(params['lengthMm']);
  const covers = wrapsToCover(spanMm, bundleMm);
  const wraps = Math.round(Number(params['wraps'])) || covers;
  const share = wraps / covers;
  const lie = share < COIL.sparse ? 'sparse' : share > COIL.stands ? 'arched' : 'close';
  return say.coil[lie](covers, formatFine(spanMm), wraps);
}

/** How many petals each quarter of a ring takes, and whether they have room on its inside. */
function petalsSay({ params, laidMm }: PlannedPass): string {
  const petals = Math.round(Number(params['petals']));
  const inQuarters = [0, 0, 0, 0];
  for (let k = 0; k < petals; k++) inQuarters[Math.floor((4 * k) / petals)]!++;
  const fit = Math.floor((2 * Math.PI * Number(params['innerMm'])) / laidMm);
  return fit > 0 && fit < petals ? say.petalsCrowd(inQuarters, fit) : say.petals(inQuarters);
}

function fliesSay({ params }: PlannedPass): string {
  const advanceMm = flyAdvanceMm(Number(params['spacingMm']), Number(params['angleDeg']));
  return say.flies(formatFine(advanceMm), formatFine(Math.min(advanceMm, Number(params['tieMm']))));
}

function knotSays(pass: PlannedPass): string {
  return say.knotAcross(formatFine(wholeWidth(pass)!.widthMm));
}

function shadesSay({ params }: PlannedPass, placed: PlacedShape): string[] {
  const { lengthMm, widthMm } = formOf(placed);
  if (widthMm <= 0) return [];
  const [along, across] = [roomForShades(lengthMm, params), roomForShades(widthMm, params)];
  return [along === across ? say.roomAlong(along) : say.roomAlongAcross(along, across)];
}
