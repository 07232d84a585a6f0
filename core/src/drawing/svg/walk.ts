import { compose, farthestCoordinate, meanScale, movedPath, type Matrix } from '../../geometry/index.ts';
import { FARTHEST_MM } from '../../piece/index.ts';
import { LIMITS } from './limits.ts';
import { userUnits } from './lengths.ts';
import { outlineOf, type Viewport } from './outlines.ts';
import { fraction, readPaint, type Paint } from './paints.ts';
import { ROOT_STYLE, StyleSheets, type Style } from './styles.ts';
import { readTransform, viewBoxTransform } from './transforms.ts';
import type { SvgElement } from './xmlTree.ts';
import * as say from '../words.ts';

/** A shape as it is drawn: its path in mm, absolute, of M L H V C Q Z only. */
export interface DrawnShape {
  readonly id: string | null;
  readonly label: string | null;
  readonly line: number;
  readonly path: string;
  readonly fill: Paint | null;
  readonly stroke: Paint | null;
  readonly strokeMm: number;
  readonly dashed: boolean;
  readonly roundCaps: boolean;
  readonly fillRule: 'nonzero' | 'evenodd';
  readonly clips: readonly ClipShape[];
  /** What Junctura wrote beside it when it wrote the file. */
  readonly kept: string | null;
}

/** Path data of a clip path's shapes in mm. */
export interface ClipShape {
  readonly paths: readonly { readonly path: string; readonly rule: 'nonzero' | 'evenodd' }[];
}

/** Kinds of content that cannot be stitched as they are, with how many there were. */
export type Told = Map<
  'text' | 'image' | 'mask' | 'filter' | 'gradient' | 'pattern' | 'marker' | 'hidden' | 'embedded page',
  number
>;

/** Thrown for a drawing that must be refused; its message is for the person. */
export class DrawingFault extends Error {}

interface Context {
  readonly matrix: Matrix;
  readonly style: Style;
  readonly opacity: number;
  readonly viewport: Viewport;
  readonly useDepth: number;
  readonly clips: readonly ClipShape[];
  readonly label: string | null;
}

const DRAWN = new Set(['path', 'circle', 'ellipse', 'rect', 'line', 'polyline', 'polygon']);
const CONTAINERS = new Set(['g', 'a', 'switch', 'symbol']);
/** Coordinates are kept to a ten-thousandth of a millimetre. */
const DECIMALS = 4;

/** Follows a drawing from its root and collects what is drawn, from back to front. */
export class SvgWalker {
  readonly shapes: DrawnShape[] = [];
  readonly told: Told = new Map();
  private readonly byId = new Map<string, SvgElement>();
  private readonly sheets: StyleSheets;

  constructor(private readonly root: SvgElement) {
    const sheets: string[] = [];
    const visit = (element: SvgElement): void => {
      const id = element.attributes['id'];
      if (id !== undefined && !this.byId.has(id)) this.byId.set(id, element);
      if (element.name === 'style') sheets.push(element.text);
      element.children.forEach(visit);
    };
    visit(root);
    this.sheets = new StyleSheets(sheets);
  }

  /** @param matrix from user units of the root to mm */
  walk(matrix: Matrix, viewport: Viewport): void {
    const style = this.sheets.styleOf(this.root, ROOT_STYLE);
    const context = { matrix, style, opacity: 1, viewport, useDepth: 0, clips: [], label: null };
    this.children(this.root, context);
  }

  private children(element: SvgElement, context: Context): void {
    for (const child of element.children) this.visit(child, context);
  }

  private visit(element: SvgElement, outer: Context): void {
    const { name } = element;
    if (name === 'text' || name === 'image') return this.tell(name);
    if (name === 'foreignObject') return this.tell('embedded page');
    if (!DRAWN.has(name) && !CONTAINERS.has(name) && name !== 'use' && name !== 'svg') return;
    if (name === 'symbol' && outer.useDepth === 0) return;
    const style = this.sheets.styleOf(element, outer.style);
    if (style['display'] === 'none') return this.tell('hidden');
    const matrix = compose(outer.matrix, readTransform(element.attributes['transform']));
    const context: Context = {
      ...outer,
      matrix,
      style,
      opacity: outer.opacity * fraction(style['opacity'], 1),
      clips: this.withClip(outer.clips, style, matrix, outer.viewport),
      label: labelOf(element) ?? outer.label,
    };
    if (refersTo(style['mask'])) this.tell('mask');
    if (refersTo(style['filter'])) this.tell('filter');
    if (name === 'use') this.followUse(element, context);
    else if (name === 'svg') this.nested(element, context, null);
    else if (DRAWN.has(name)) this.draw(element, context);
    else this.children(element, context);
  }

  private followUse(element: SvgElement, context: Context): void {
    const target = this.byId.get((element.attributes['href'] ?? '').replace(/^\s*#/, ''));
    if (!target) return;
    if (context.useDepth >= LIMITS.useDepth) {
      throw new DrawingFault(say.reusedWithin(element.line, LIMITS.useDepth));
    }
    const { width, height } = context.viewport;
    const x = userUnits(element.attributes['x'], width, 0);
    const y = userUnits(element.attributes['y'], height, 0);
    const moved = {
      ...context,
      matrix: compose(context.matrix, [1, 0, 0, 1, x, y]),
      useDepth: context.useDepth + 1,
    };
    if (target.name === 'symbol' || target.name === 'svg') {
      const style = this.sheets.styleOf(target, context.style);
      this.nested(target, { ...moved, style }, element);
    } else this.visit(target, moved);
  }

  /** An inner viewport: an svg in an svg, or a symbol that is used. */
  private nested(element: SvgElement, context: Context, user: SvgElement | null): void {
    const { viewport } = context;
    const size = (key: 'width' | 'height'): number =>
      userUnits(user?.attributes[key] ?? element.attributes[key], viewport[key], viewport[key]);
    const place = {
      x: user ? 0 : userUnits(element.attributes['x'], viewport.width, 0),
      y: user ? 0 : userUnits(element.attributes['y'], viewport.height, 0),
      width: size('width'),
      height: size('height'),
    };
    const box = readViewBox(element);
    const inner = box
      ? viewBoxTransform(box, place, element.attributes['preserveAspectRatio'])
      : ([1, 0, 0, 1, place.x, place.y] as const);
    this.children(element, {
      ...context,
      matrix: compose(context.matrix, inner),
      viewport: box ? { width: box[2], height: box[3] } : place,
    });
  }

  private draw(element: SvgElement, { matrix, style, opacity, viewport, clips, label }: Context): void {
    if (style['visibility'] === 'hidden' || style['visibility'] === 'collapse') return this.tell('hidden');
    const outline = outlineOf(element, viewport);
    if (outline === null) return;
    const find = (id: string): SvgElement | undefined => this.byId.get(id);
    const fill = readPaint(style, 'fill', opacity, find, this.sheets);
    const drawnStroke = readPaint(style, 'stroke', opacity, find, this.sheets);
    const strokeUnits = userUnits(style['stroke-width'], Math.hypot(viewport.width, viewport.height) / Math.SQRT2, 1);
    const stroke = strokeUnits > 0 ? drawnStroke : null;
    if (!fill && !stroke) return;
    for (const paint of [fill, stroke]) if (paint?.standsFor) this.tell(paint.standsFor);
    if (['marker', 'marker-start', 'marker-mid', 'marker-end'].some((key) => refersTo(style[key]))) this.tell('marker');
    if (this.shapes.length >= LIMITS.shapes) {
      throw new DrawingFault(say.tooManyShapes(LIMITS.shapes));
    }
    this.shapes.push({
      id: element.attributes['id'] ?? null,
      label,
      line: element.line,
      path: placePath(element, outline, matrix),
      fill,
      stroke,
      strokeMm: strokeUnits * meanScale(matrix),
      dashed: /[1-9]/.test(style['stroke-dasharray'] ?? ''),
      roundCaps: style['stroke-linecap'] !== 'butt',
      fillRule: style['fill-rule'] === 'evenodd' ? 'evenodd' : 'nonzero',
      clips,
      kept: element.attributes['data-junctura'] ?? null,
    });
  }

  private withClip(
    clips: readonly ClipShape[],
    style: Style,
    matrix: Matrix,
    viewport: Viewport,
  ): readonly ClipShape[] {
    const id = /url\(\s*['"]?#([^'")]+)/.exec(style['clip-path'] ?? '')?.[1];
    const clip = id === undefined ? undefined : this.byId.get(id);
    if (clip?.name !== 'clipPath' || clip.attributes['clipPathUnits'] === 'objectBoundingBox') return clips;
    const base = compose(matrix, readTransform(clip.attributes['transform']));
    const paths = clip.children.flatMap((child) => {
      const target = child.name === 'use' ? this.byId.get((child.attributes['href'] ?? '').slice(1)) : child;
      const outline = target && DRAWN.has(target.name) ? outlineOf(target, viewport) : null;
      if (!target || outline === null) return [];
      const own = compose(base, readTransform(child.attributes['transform']));
      const rule: 'nonzero' | 'evenodd' =
        this.sheets.styleOf(target, ROOT_STYLE)['clip-rule'] === 'evenodd' ? 'evenodd' : 'nonzero';
      return [{ path: placePath(target, outline, own), rule }];
    });
    return [...clips, { paths }];
  }

  private tell(what: Parameters<Told['set']>[0]): void {
    this.told.set(what, (this.told.get(what) ?? 0) + 1);
  }
}

export function readViewBox(element: SvgElement): [number, number, number, number] | null {
  const text = element.attributes['viewBox'];
  if (text === undefined) return null;
  const numbers = text
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (numbers.length !== 4 || numbers.some((n) => !Number.isFinite(n)) || numbers[2]! <= 0 || numbers[3]! <= 0) {
    throw new DrawingFault(say.badViewBox(element.line, text.slice(0, 40)));
  }
  return numbers as [number, number, number, number];
}

function refersTo(value: string | undefined): boolean {
  return value !== undefined && value.includes('url(');
}

/** A name that a person gave: the title, or an editor's label. */
function labelOf(element: SvgElement): string | null {
  const title = element.children.find((child) => child.name === 'title')?.text.trim();
  return title || element.attributes['label']?.trim() || element.attributes['aria-label']?.trim() || null;
}

/** The outline under its transforms, in mm; refuses what cannot be drawn. */
function placePath(element: SvgElement, outline: string, matrix: Matrix): string {
  const { line, name } = element;
  if (/nan|infinity/i.test(outline)) throw new DrawingFault(say.notANumber(line, name));
  let placed: string;
  try {
    placed = movedPath(outline, matrix, DECIMALS);
  } catch (error) {
    const fault = error instanceof Error ? error.message.replace(/^SvgPath: /, '') : 'unknown';
    throw new DrawingFault(say.badPath(line, name, fault));
  }
  // Moved by too much, a place is written as no number.
  if (/nan|infinity/i.test(placed) || !(farthestCoordinate(placed) < FARTHEST_MM)) {
    throw new DrawingFault(say.farAway(line, name));
  }
  return placed;
}
