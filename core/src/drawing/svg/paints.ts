import { hexOf, readCssColour } from '../../colour/index.ts';
import type { SvgElement } from './xmlTree.ts';
import { ROOT_STYLE, type Style, type StyleSheets } from './styles.ts';

/** What fills or strokes a shape. */
export interface Paint {
  readonly hex: string;
  readonly isOpaque: boolean;
  /** Set where the colour stands for something that thread cannot show. */
  readonly standsFor: 'gradient' | 'pattern' | null;
}

/** Below this a shape is as good as not there. */
const LEAST_ALPHA = 0.02;

/** Reads `fill` or `stroke`; null where nothing is painted. */
export function readPaint(
  style: Style,
  property: 'fill' | 'stroke',
  opacity: number,
  find: (id: string) => SvgElement | undefined,
  sheets: StyleSheets,
): Paint | null {
  const value = (style[property] ?? '').trim();
  const alpha = opacity * fraction(style[`${property}-opacity`], 1);
  if (alpha < LEAST_ALPHA) return null;
  const server = /^url\(\s*['"]?#([^'")]+)['"]?\s*\)\s*(.*)$/i.exec(value);
  if (server) {
    const element = find(server[1]!);
    if (element) return fromServer(element, alpha, find, sheets);
    return server[2] ? fromColour(server[2], style, alpha) : null;
  }
  return fromColour(value, style, alpha);
}

function fromColour(value: string, style: Style, alpha: number): Paint | null {
  if (value === '' || value === 'none' || value === 'transparent') return null;
  const text = /^(currentcolor|context-fill|context-stroke)$/i.test(value) ? (style['color'] ?? '#000') : value;
  const colour = readCssColour(text) ?? { hex: '#000000', alpha: 1 };
  const whole = colour.alpha * alpha;
  return whole < LEAST_ALPHA ? null : { hex: colour.hex, isOpaque: whole > 0.98, standsFor: null };
}

/** A gradient is taken as the mean of its stops, a pattern as grey; both are told. */
function fromServer(
  element: SvgElement,
  alpha: number,
  find: (id: string) => SvgElement | undefined,
  sheets: StyleSheets,
): Paint {
  if (!element.name.endsWith('Gradient')) return { hex: '#808080', isOpaque: alpha > 0.98, standsFor: 'pattern' };
  const stops = stopsOf(element, find, 0);
  let [r, g, b, count, isOpaque] = [0, 0, 0, 0, alpha > 0.98];
  for (const stop of stops) {
    const style = sheets.styleOf(stop, ROOT_STYLE);
    const colour = readCssColour(style['stop-color'] ?? '#000');
    if (!colour) continue;
    isOpaque &&= colour.alpha * fraction(style['stop-opacity'], 1) > 0.98;
    const value = Number.parseInt(colour.hex.slice(1), 16);
    r += (value >> 16) & 255;
    g += (value >> 8) & 255;
    b += value & 255;
    count++;
  }
  const hex = count === 0 ? '#808080' : hexOf(r / count / 255, g / count / 255, b / count / 255);
  return { hex, isOpaque, standsFor: 'gradient' };
}

function stopsOf(gradient: SvgElement, find: (id: string) => SvgElement | undefined, depth: number): SvgElement[] {
  const own = gradient.children.filter((child) => child.name === 'stop');
  const linked = gradient.attributes['href']?.replace(/^#/, '');
  const other = linked === undefined || depth > 5 ? undefined : find(linked);
  return own.length > 0 || !other ? own : stopsOf(other, find, depth + 1);
}

/** A number or percentage in 0–1. */
export function fraction(text: string | undefined, fallback: number): number {
  const value = Number.parseFloat(text ?? '');
  if (!Number.isFinite(value)) return fallback;
  return Math.min(1, Math.max(0, text!.trim().endsWith('%') ? value / 100 : value));
}
