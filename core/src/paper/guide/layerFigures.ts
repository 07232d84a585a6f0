import { formatFine, formatNumber, formatPercent } from '../../measure/index.ts';
import { stitchKind, wrapsToCover } from '../../stitches/index.ts';
import { stitchSays, wholeWidth, type PlannedPart, type PlannedPass } from '../../work/index.ts';
import * as say from './words.ts';

/** A figure by which a layer is worked: “Row spacing: 0.6 mm”. */
export interface LayerFigure {
  readonly label: string;
  readonly value: string;
}

/** A figure as it is read: “Row spacing: 0.6 mm”, or a sentence of its own. */
export function figureText({ label, value }: LayerFigure): string {
  return label === '' ? value : say.figure(label, value);
}

/** Where a setting is this, nothing need be said of it. */
const PLAIN: Readonly<Record<string, number | string>> = { stepMm: 0, stepCount: 1, thinTo: 100 };

/**
 * All figures that a pupil needs for a layer: lengths, spacing, wraps, rows, layers of padding, as they are worked.
 * @param journey which journey of a stitch in two threads; null: all of it
 */
export function layerFigures(pass: PlannedPass, { placed }: PlannedPart, journey: 0 | 1 | null): LayerFigure[] {
  const kind = stitchKind(pass.stitch);
  const figures = Object.entries(kind.params).flatMap(([key, param]): LayerFigure[] => {
    if (journey !== null && (param.ofSecondJourney ?? false) !== (journey === 1)) return [];
    const value = pass.params[key];
    if (value === undefined || value === PLAIN[key]) return [];
    if (key === 'stepCount' && !(Number(pass.params['stepMm']) > 0)) return [];
    if (param.type === 'choice') {
      const chosen = param.options.find((option) => option.value === value);
      return chosen ? [{ label: param.label, value: chosen.label }] : [];
    }
    const number = Number(value);
    // None means as many as the shape takes.
    if (number === 0 && param.unit === 'turns') {
      const text =
        pass.stitch === 'bullion'
          ? formatNumber(wrapsToCover(Number(pass.params['lengthMm']), pass.bundleMm))
          : say.AS_MANY_AS_FIT;
      return [{ label: param.label, value: text }];
    }
    return [{ label: param.label, value: unitText(number, param.unit, key, widthOfOne(pass)) }];
  });
  const isSaid = kind.canShade ? [] : stitchSays(pass, placed);
  return [...figures, ...isSaid.map((value) => ({ label: '', value }))];
}

/** What a spacing in widths counts: the knot of a filling of knots, else the thread as it lies, mm. */
function widthOfOne(pass: PlannedPass): number {
  const isOfKnots = pass.stitch === 'french-fill' || pass.stitch === 'colonial-fill';
  return isOfKnots ? (wholeWidth(pass)?.widthMm ?? pass.laidMm) : pass.laidMm;
}

function unitText(value: number, unit: string, key: string, widthMm: number): string {
  switch (unit) {
    case 'mm':
      return formatFine(value);
    case '°':
      return `${formatNumber(value)}°`;
    case '%':
      return formatPercent(value / 100);
    case 'per cm²':
      return say.perSquareCm(value);
    case 'widths':
      return key === 'together' ? formatNumber(value) : formatFine(value * widthMm);
    default:
      return formatNumber(value);
  }
}

/** Directions nearer than this to upright or level are called so, degrees. */
const NEARLY_DEG = 12;

/** Which way the stitches of a layer run, in words; null: it has none. */
export function directionWords({ stitch, direction, angleDeg }: PlannedPass): string | null {
  const { hasDirection, worksOn } = stitchKind(stitch);
  if (!hasDirection || worksOn !== 'area') return null;
  if (direction === 'guides') return say.DIRECTIONS.guides;
  if (direction !== 'straight') return say.DIRECTIONS.along;
  const deg = ((angleDeg % 180) + 180) % 180;
  if (deg < NEARLY_DEG || deg > 180 - NEARLY_DEG) return say.DIRECTIONS.level;
  if (Math.abs(deg - 90) < NEARLY_DEG) return say.DIRECTIONS.upright;
  return deg < 90 ? say.upToTheRight(deg) : say.upToTheLeft(180 - deg);
}
