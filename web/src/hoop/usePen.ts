import { passesAsWorked, type PlannedPart } from '@junctura/core/work';
import { onDrawing } from '@junctura/core/drawing';
import { inverse, mapPoints, pathData, polylineLength } from '@junctura/core/geometry';
import {
  setBorders,
  setGuides,
  setPainting,
  setPasses,
  setVein,
  type Edit,
  type Part,
  type Pass,
} from '@junctura/core/piece';
import { computed, ref, watch, type ComputedRef, type Ref } from 'vue';
import { useOpenedPiece } from '../session/openedPiece.ts';
import { useWorkings } from '../session/workings.ts';
import { useSelection } from '../session/selection.ts';
import type * as PenTools from './penTools.ts';
import { usePictureBelow } from './usePictureBelow.ts';

/** A stroke is kept by places at least this far apart on the cloth, mm. */
const STEP_MM = 0.6;
/** What is marked as mattering most reaches at least so far, mm on the drawing. */
const LEAST_EYE_MM = 1;
/** Shorter than this a stroke was a slip, mm. */
const SHORTEST_MM = 1.5;
/** A press this near to the vein takes hold of it, mm on the cloth at the most. */
const HOLD_MM = 3;
/** Moving one place of a vein takes this share of it along, less and less with distance. */
const TAKES_ALONG = 0.3;
const DECIMALS = 3;

/** What a hand’s tremble is smoothed by, and how near ends set themselves upon what is there, mm. */
const SMOOTH_MM = 0.35;
const SNAP_MM = 2;
const DRAW_LABELS = { area: 'Draw an area', line: 'Draw a line', spot: 'Draw a dot' } as const;

/** What each pen is for, told while it is out. */
export const PEN_WORDS = {
  guides: 'Draw strokes in the direction the stitches should follow.',
  eye: 'Press in the middle of an eye, or of whatever matters most, and drag to its edge.',
  vein: 'Drag the vein to move it, or draw it again from base to tip.',
  borders: 'Draw the lines between the shades, from edge to edge.',
  points: 'Press where each one should go: highlights, or both ends of an outline.',
  centre: 'Press on the point the stitches should run to.',
  area: 'Draw round an area; it closes by itself.',
  line: 'Draw a line. Its ends snap to whatever is near.',
  spot: 'Press where each dot should go.',
  knife: 'Draw a line right across the selected part to cut it in two.',
} as const;

/** Pens that draw or cut parts, as against those that say how a part is worked. */
export const DRAWING_PENS: ReadonlySet<string> = new Set(['area', 'line', 'spot', 'knife']);

interface Stroke {
  /** Places on the cloth, `x, y` flat. */
  readonly points: Ref<number[]>;
  readonly planned: ComputedRef<PlannedPart | null>;
  start(x: number, y: number): void;
  move(x: number, y: number): void;
  end(): void;
  /** Lets go of a stroke that was begun by mistake. */
  drop(): void;
}

/**
 * What is drawn on the hoop for a part: guides, borders between shades, its vein, points; or as a part itself. Places are mm on the
 * cloth.
 * @param pxPerMm how large the cloth is shown
 */
export function usePen(pxPerMm: () => number): Stroke {
  const opened = useOpenedPiece();
  const workings = useWorkings();
  const selection = useSelection();
  const below = usePictureBelow();
  const points = ref<number[]>([]);
  /** Where the vein was taken hold of, and how it lay then. */
  let held: { at: number; x: number; y: number; vein: Float64Array } | null = null;

  const planned = computed(() => workings.plannedOf(selection.pen?.part));
  let tools: Promise<typeof PenTools> | null = null;
  let veinLineOf: (typeof PenTools)['veinLineOf'] | null = null;
  watch(
    () => selection.pen,
    async (pen) => {
      if (pen) ({ veinLineOf } = await (tools ??= import('./penTools.ts')));
    },
    { immediate: true },
  );

  function start(x: number, y: number): void {
    points.value = [x, y];
    held = selection.pen?.draws === 'vein' ? holdOfVein(x, y) : null;
    if (held) points.value = [...held.vein];
  }

  function holdOfVein(x: number, y: number): typeof held {
    const vein = planned.value && veinLineOf?.(planned.value.placed);
    if (!vein) return null;
    let [at, nearest] = [0, HOLD_MM];
    for (let i = 0; i < vein.points.length; i += 2) {
      const distance = Math.hypot(vein.points[i]! - x, vein.points[i + 1]! - y);
      if (distance < nearest) [at, nearest] = [i / 2, distance];
    }
    return nearest < HOLD_MM ? { at, x, y, vein: vein.points } : null;
  }

  function move(x: number, y: number): void {
    if (held) points.value = movedVein(held, x - held.x, y - held.y);
    else {
      const [lastX, lastY] = [points.value.at(-2) ?? x, points.value.at(-1) ?? y];
      if (Math.hypot(x - lastX, y - lastY) >= STEP_MM) points.value = [...points.value, x, y];
    }
  }

  function end(): void {
    const draws = selection.pen?.draws;
    if (draws === 'knife' && points.value.length >= 2) {
      void cut(selection.pen!.part, points.value);
      selection.pen = null;
    } else if ((draws === 'area' || draws === 'line' || draws === 'spot') && points.value.length >= 2) {
      void addDrawn(draws, points.value);
    } else if (selection.pen && planned.value && points.value.length >= 2) {
      // The part as it is by now: the plan may not have caught up with the stroke before.
      const part = opened.partOf(planned.value.part.id);
      if (part) opened.edit(editFor(part, planned.value, selection.pen.draws, points.value));
      const pass = part && passesAsWorked({ part, passes: planned.value.passes })[selection.pen.pass];
      const isLastEnd = selection.pen.draws === 'points' && pass?.role === 'outline' && pass.points.length === 1;
      if (selection.pen.draws === 'centre' || isLastEnd) selection.pen = null;
    }
    points.value = [];
    held = null;
  }

  async function cut(part: string, drawn: readonly number[]): Promise<void> {
    const { id } = opened.piece;
    const { cutPart } = await tools!;
    if (opened.piece.id !== id) return;
    opened.edit(cutPart(opened.piece, part, { points: Float64Array.from(drawn), closed: false }));
  }

  /** A stroke that is a part itself, led along the edges of the picture below it. */
  async function addDrawn(kind: keyof typeof DRAW_LABELS, drawn: readonly number[]): Promise<void> {
    const { id } = opened.piece;
    const [edges, picture, { addParts, colourBelow, drawFreehand }] = await Promise.all([
      below.edges(pxPerMm()),
      below.picture(),
      tools!,
    ]);
    if (opened.piece.id !== id) return;
    const there = workings.current?.plan.parts.map(({ placed }) => placed) ?? [];
    const part = drawFreehand(kind, drawn, there, { smoothMm: SMOOTH_MM, snapMm: SNAP_MM, edges });
    if (!part) return;
    // Over a picture it has the colour that is there; else that of the part that is picked.
    const hex = picture && colourBelow(part.kind, part.path, picture);
    const alike = opened.piece.drawing.parts.filter(({ name }) => name.replace(/ \d+$/, '') === part.name).length;
    const named = { ...part, name: `${part.name} ${alike + 1}`, ...(hex ? { hex } : {}) };
    opened.edit(addParts(opened.piece, [named], [0, 0], DRAW_LABELS[kind], selection.pickedPart?.colour ?? null));
  }

  function editFor(
    part: Part,
    { placed, passes }: PlannedPart,
    draws: NonNullable<typeof selection.pen>['draws'],
    drawn: number[],
  ): Edit | null {
    if (draws === 'points' || draws === 'centre') {
      const [x, y] = onDrawing(placed.toCloth, drawn.at(-2)!, drawn.at(-1)!);
      const changed = passesAsWorked({ part, passes }).map((pass, i) => {
        if (i !== selection.pen!.pass) return pass;
        return draws === 'centre'
          ? { ...pass, direction: 'radial' as const, points: [[x, y] as [number, number]] }
          : { ...pass, points: [...placesBefore(pass), [x, y] as [number, number]] };
      });
      const isOutline = passes[selection.pen!.pass]?.role === 'outline';
      const added = isOutline ? 'Set where the outline goes' : 'Add a highlight';
      return setPasses(
        opened.piece,
        new Map([[part.id, changed]]),
        draws === 'centre' ? 'Move the centre point' : added,
      );
    }
    if (draws === 'eye') return withEye(part, placed, drawn);
    const stroke = { points: Float64Array.from(drawn), closed: false };
    if (polylineLength(stroke) < SHORTEST_MM) return null;
    const path = pathData({ ...stroke, points: mapPoints(inverse(placed.toCloth), stroke.points) }, DECIMALS);
    if (draws === 'guides')
      return setGuides(opened.piece, [part.id], [...part.guides, path], 'Draw a direction stroke');
    if (draws === 'borders')
      return setBorders(opened.piece, [part.id], [...part.borders, path], 'Draw a border of shades');
    return setVein(opened.piece, [part.id], path);
  }

  /** What matters most: from its middle to its rim. */
  function withEye(part: Part, { toCloth }: PlannedPart['placed'], drawn: number[]): Edit | null {
    const [x, y] = onDrawing(toCloth, drawn[0]!, drawn[1]!);
    const [rimX, rimY] = onDrawing(toCloth, drawn.at(-2)!, drawn.at(-1)!);
    const { eyes } = part.painting ?? { eyes: [] };
    const eye: (typeof eyes)[number] = [x, y, Math.max(LEAST_EYE_MM, Math.hypot(rimX - x, rimY - y))];
    return setPainting(opened.piece, part.id, { eyes: [...eyes, eye] }, 'Mark an important place');
  }

  function drop(): void {
    points.value = [];
    held = null;
  }

  return { points, planned, start, move, end, drop };
}

/** An outline has two ends: with both set, it is begun anew. Highlights are added without end. */
function placesBefore({ role, points }: Pass): Pass['points'] {
  return role === 'outline' && points.length >= 2 ? [] : points;
}

function movedVein({ at, vein }: { at: number; vein: Float64Array }, dx: number, dy: number): number[] {
  const count = vein.length / 2;
  return [...vein].map((value, k) => {
    const away = Math.abs((k >> 1) - at) / (count * TAKES_ALONG);
    const share = away >= 1 ? 0 : 0.5 + 0.5 * Math.cos(Math.PI * away);
    return value + share * (k % 2 ? dy : dx);
  });
}
