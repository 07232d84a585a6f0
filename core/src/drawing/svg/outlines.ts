import { userUnits } from './lengths.ts';
import type { SvgElement } from './xmlTree.ts';

/** The size of the viewport, of which percentages are taken. */
export interface Viewport {
  readonly width: number;
  readonly height: number;
}

/** An ellipse as two arcs. */
function ellipsePath(cx: number, cy: number, rx: number, ry: number): string {
  return `M${cx - rx} ${cy}A${rx} ${ry} 0 1 1 ${cx + rx} ${cy}A${rx} ${ry} 0 1 1 ${cx - rx} ${cy}Z`;
}

/** The path data of a basic shape or path, or null where it draws nothing. */
export function outlineOf(element: SvgElement, { width, height }: Viewport): string | null {
  const { attributes } = element;
  const diagonal = Math.hypot(width, height) / Math.SQRT2;
  const x = (key: string): number => userUnits(attributes[key], width, 0);
  const y = (key: string): number => userUnits(attributes[key], height, 0);
  switch (element.name) {
    case 'path':
      return attributes['d']?.trim() || null;
    case 'circle': {
      const r = userUnits(attributes['r'], diagonal, 0);
      return r > 0 ? ellipsePath(x('cx'), y('cy'), r, r) : null;
    }
    case 'ellipse': {
      const rx = userUnits(attributes['rx'], width, userUnits(attributes['ry'], height, 0));
      const ry = userUnits(attributes['ry'], height, rx);
      return rx > 0 && ry > 0 ? ellipsePath(x('cx'), y('cy'), rx, ry) : null;
    }
    case 'rect':
      return rectPath(element, x('x'), y('y'), x('width'), y('height'));
    case 'line':
      return `M${x('x1')} ${y('y1')}L${x('x2')} ${y('y2')}`;
    case 'polyline':
    case 'polygon':
      return polyPath(attributes['points'] ?? '', element.name === 'polygon');
    default:
      return null;
  }
}

function rectPath({ attributes }: SvgElement, x: number, y: number, w: number, h: number): string | null {
  if (!(w > 0 && h > 0)) return null;
  const given = { rx: userUnits(attributes['rx'], w, NaN), ry: userUnits(attributes['ry'], h, NaN) };
  const rx = Math.min(w / 2, Math.max(0, Number.isNaN(given.rx) ? given.ry || 0 : given.rx));
  const ry = Math.min(h / 2, Math.max(0, Number.isNaN(given.ry) ? rx : given.ry));
  if (rx === 0 || ry === 0) return `M${x} ${y}H${x + w}V${y + h}H${x}Z`;
  const corner = `A${rx} ${ry} 0 0 1`;
  return (
    `M${x + rx} ${y}H${x + w - rx}${corner} ${x + w} ${y + ry}V${y + h - ry}${corner} ${x + w - rx} ${y + h}` +
    `H${x + rx}${corner} ${x} ${y + h - ry}V${y + ry}${corner} ${x + rx} ${y}Z`
  );
}

function polyPath(points: string, closed: boolean): string | null {
  const numbers = points.match(/[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?|nan|infinity/gi) ?? [];
  if (numbers.length < 4) return null;
  const pairs = Array.from({ length: numbers.length >> 1 }, (_, i) => `${numbers[2 * i]} ${numbers[2 * i + 1]}`);
  return `M${pairs.join('L')}${closed ? 'Z' : ''}`;
}
