import { boxOf, clipToBox, ellipseRing, isInBox, placesOf, type Box, type Polyline } from '../../geometry/index.ts';
import { edgesOf, hoopAt, positionsOf } from '../../drawing/index.ts';
import { innerHalvesMm } from '../../materials/index.ts';
import type { Piece } from '../../piece/index.ts';
import type { Plan } from '../../thread/index.ts';
import type { PageItem } from '../sheets.ts';
import { calloutsFor, type Callout, type Disc, type Numbered } from './callouts.ts';
import type { StepNote } from './stepNotes.ts';
import { placesOfSteps, type StepPlace as Place } from './stepPlaces.ts';

/** The map or a lens: a drawing in mm, from (0, 0). */
export interface MapDrawing {
  readonly items: readonly PageItem[];
  readonly widthMm: number;
  readonly heightMm: number;
  /** How large it is against the cloth. */
  readonly scale: number;
  readonly callouts: readonly Callout[];
}

/** The map of a piece, and a lens for each place where it is crowded. */
export interface GuideMap extends MapDrawing {
  /** By their letters, in their order. */
  readonly lenses: readonly (MapDrawing & { readonly letter: string })[];
}

const TEXT_MM = 2.9;
/** The room that callouts have round the drawing, mm. */
const AROUND_MM = 14;
const DOT_MM = 0.8;
/** The number of corners of the polygons by which a ring and the disc of a number are drawn. */
const [RING_CORNERS, DISC_CORNERS] = [72, 28];
/** A step of more parts than this marks them by dots alone. */
const MOST_LINED = 12;

/**
 * The design with the number of each step at its place, at true size where it goes into the room, smaller where it must. Every number stands
 * once, on the map or in a lens.
 */
export function guideMap(
  piece: Piece,
  plan: Plan,
  notes: readonly StepNote[],
  roomMm: { readonly width: number; readonly height: number },
): GuideMap {
  const { box } = plan.design;
  if (!box || notes.length === 0) {
    return { items: [], widthMm: 0, heightMm: 0, scale: 1, callouts: [], lenses: [] };
  }
  const [across, upright] = [Math.max(1, box.maxX - box.minX), Math.max(1, box.maxY - box.minY)];
  const scale = Math.min(1, (roomMm.width - 2 * AROUND_MM) / across, (roomMm.height - 2 * AROUND_MM) / upright);
  const widthMm = Math.min(roomMm.width, across * scale + 2 * AROUND_MM + 8);
  const heightMm = upright * scale + 2 * AROUND_MM;
  const view = viewOf(box, scale, widthMm, heightMm);
  const places = placesOfSteps(plan, notes);
  const page = { minX: 0, minY: 0, maxX: widthMm, maxY: heightMm };
  const { callouts, left } = calloutsFor(
    places.map((place) => onPage(place, view)),
    page,
  );
  const lenses = lensesFor(plan, places, left);
  return {
    items: [
      ...outlineItems(plan, view, null),
      ...ringItems(piece, view, page),
      ...lenses.flatMap(({ window, letter }) => frameItems(window, letter, view)),
      ...calloutItems(places, callouts, view, null),
    ],
    widthMm,
    heightMm,
    scale,
    callouts,
    lenses,
  };
}

interface View {
  readonly scale: number;
  readonly x: (mm: number) => number;
  readonly y: (mm: number) => number;
}

function viewOf({ minX, minY, maxX, maxY }: Box, scale: number, widthMm: number, heightMm: number): View {
  return {
    scale,
    x: (mm) => widthMm / 2 + (mm - (minX + maxX) / 2) * scale,
    y: (mm) => heightMm / 2 + (mm - (minY + maxY) / 2) * scale,
  };
}

const placedIn = ({ x, y }: View, points: Float64Array): Float64Array => points.map((mm, i) => (i % 2 ? y(mm) : x(mm)));

const onPage = ({ numbers, x, y, roomMm }: Place, view: View): Numbered => ({
  texts: numbers,
  x: view.x(x),
  y: view.y(y),
  roomMm: roomMm * view.scale,
});

/** The sides of what a lens shows, from the largest down, mm on the cloth; and how large it is on paper. */
const WINDOWS_MM = [48, 36, 26, 18, 12, 8, 5, 3] as const;
const LENS_MM = 84;
const LENS_AROUND_MM = 12;

interface Lens extends MapDrawing {
  readonly letter: string;
  readonly window: Box;
}

function lensesFor(plan: Plan, places: readonly Place[], left: readonly number[]): Lens[] {
  const lenses: Lens[] = [];
  let waiting = [...left];
  while (waiting.length > 0) {
    const own = places[waiting[0]!]!;
    let best: { lens: Lens; shown: readonly number[] } | null = null;
    for (const side of WINDOWS_MM) {
      const window = { minX: own.x - side / 2, maxX: own.x + side / 2, minY: own.y - side / 2, maxY: own.y + side / 2 };
      const within = waiting.filter((i) => isInBox(window, places[i]!.x, places[i]!.y));
      const scale = (LENS_MM - 2 * LENS_AROUND_MM) / side;
      const view = viewOf(window, scale, LENS_MM, LENS_MM);
      const page = { minX: 0, minY: 0, maxX: LENS_MM, maxY: LENS_MM };
      const { callouts, left: crowded } = calloutsFor(
        within.map((i) => onPage(places[i]!, view)),
        page,
      );
      const shown = within.filter((_, k) => !crowded.includes(k));
      if (!shown.includes(waiting[0]!)) continue;
      if (best && shown.length <= best.shown.length) continue;
      const letter =
        String.fromCharCode(65 + (lenses.length % 26)) + (lenses.length >= 26 ? Math.floor(lenses.length / 26) : '');
      const items = [...outlineItems(plan, view, window), ...calloutItems(places, callouts, view, window)];
      best = {
        shown,
        lens: { letter, window, scale, callouts, widthMm: LENS_MM, heightMm: LENS_MM, items },
      };
      if (crowded.length === 0) break;
    }
    // A place alone always finds room: what was asked for first is shown.
    if (!best) break;
    lenses.push(best.lens);
    const { shown } = best;
    waiting = waiting.filter((i) => !shown.includes(i));
  }
  return lenses;
}

function outlineItems({ parts }: Plan, view: View, window: Box | null): PageItem[] {
  const items: PageItem[] = [];
  const add = ({ points, closed }: Polyline): void => {
    for (const piece of window ? clipToBox({ points, closed }, window) : [points]) {
      if (piece.length < 4) continue;
      const isWhole = window === null;
      items.push({
        type: 'line',
        points: placedIn(view, piece),
        closed: closed && isWhole,
        widthMm: 0.25,
        grey: 0.45,
        dashMm: null,
      });
    }
  };
  for (const { placed } of parts) {
    if (!placed.box) continue;
    for (const line of edgesOf(placed.shape)) add(line);
    for (const [px, py] of placesOf(placed.shape.spots)) {
      if (!window || isInBox(window, px, py)) items.push(dot(view.x(px), view.y(py), DOT_MM, 0.45));
    }
  }
  return items;
}

function dot(x: number, y: number, widthMm: number, grey: number): PageItem {
  return { type: 'line', points: Float64Array.of(x, y, x + 0.01, y), closed: false, widthMm, grey, dashMm: null };
}

function ringItems(piece: Piece, view: View, page: Box): PageItem[] {
  const { hoop } = piece;
  if (!hoop) return [];
  return positionsOf(piece).flatMap((place): PageItem[] => {
    const [cx, cy] = place;
    const [a, b] = innerHalvesMm(hoopAt(hoop, place));
    const points = ellipseRing(view.x(cx), view.y(cy), a * view.scale, b * view.scale, RING_CORNERS);
    const box = boxOf([points])!;
    const isIn = box.minX >= page.minX && box.maxX <= page.maxX && box.minY >= page.minY && box.maxY <= page.maxY;
    return isIn ? [{ type: 'line', points, closed: true, widthMm: 0.2, grey: 0.6, dashMm: 2 }] : [];
  });
}

function frameItems({ minX, minY, maxX, maxY }: Box, letter: string, view: View): PageItem[] {
  const [x0, y0, x1, y1] = [view.x(minX), view.y(minY), view.x(maxX), view.y(maxY)];
  return [
    {
      type: 'line',
      points: Float64Array.of(x0, y0, x1, y0, x1, y1, x0, y1),
      closed: true,
      widthMm: 0.25,
      grey: 0.3,
      dashMm: 0.9,
    },
    { type: 'text', x: x0 + 0.8, y: y0 + 2.9, sizeMm: 2.7, text: letter, align: 'left', grey: 0.3, isBold: true },
  ];
}

/** @param window what a lens shows; null: the map, which shows all */
function calloutItems(
  places: readonly Place[],
  callouts: readonly Callout[],
  view: View,
  window: Box | null,
): PageItem[] {
  const byNumber = new Map(places.map((place) => [place.numbers[0]!, place]));
  const lines = callouts.flatMap(({ discs, line, box }) => {
    const { others } = byNumber.get(discs[0]!.text)!;
    const items: PageItem[] = [];
    const stroke = (points: readonly number[], grey: number): PageItem => ({
      type: 'line',
      points: Float64Array.from(points),
      closed: false,
      widthMm: 0.2,
      grey,
      dashMm: null,
    });
    if (line) items.push(stroke(line, 0.1), dot(line[2], line[3], DOT_MM, 0.1));
    const [mx, my] = line ? [line[2], line[3]] : [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
    others.forEach(([x, y]) => {
      if (window && !isInBox(window, x, y)) return;
      const [ox, oy] = [view.x(x), view.y(y)];
      if (others.length < MOST_LINED) items.push({ ...stroke([mx, my, ox, oy], 0.55), dashMm: 0.6 } as PageItem);
      items.push(dot(ox, oy, 1.1, 0.1));
    });
    return items;
  });
  // Numbers last: no line and no dot runs over them.
  return [...lines, ...callouts.flatMap(({ discs }) => discs.flatMap(discItems))];
}

function discItems({ x, y, r, text }: Disc): PageItem[] {
  return [
    // White below the number: no line of the drawing runs through it.
    {
      type: 'line',
      points: Float64Array.of(x, y, x + 0.01, y),
      closed: false,
      widthMm: 2 * r,
      grey: 1,
      dashMm: null,
      step: text,
    },
    {
      type: 'line',
      points: ellipseRing(x, y, r, r, DISC_CORNERS),
      closed: true,
      widthMm: 0.25,
      grey: 0.1,
      dashMm: null,
      step: text,
    },
    {
      type: 'text',
      x,
      y: y + TEXT_MM * 0.35,
      sizeMm: TEXT_MM,
      text,
      align: 'centre',
      grey: 0,
      isBold: true,
      step: text,
    },
  ];
}
