import type { PlacedShape, ShapePair } from '../drawing/index.ts';
import { boxesMeet, distanceToLines, placeAt, placesOf, type Polyline } from '../geometry/index.ts';
import { stage, type Memory } from '../measure/index.ts';
import type { Part } from '../piece/index.ts';
import { stitchKind } from '../stitches/index.ts';
import { lineKey } from './drawingSense.ts';
import { TREATMENT } from './thresholds.ts';
import { alone, type Proposal } from './treatment.ts';
import * as say from './words.ts';

/**
 * For each line, which longer line of its colour it touches although it was drawn in another width: a leg and the body that it stands
 * below. Null where there is none, and for what is no line.
 * @param shapes one for each part
 * @param scale mm on the cloth for one unit of the drawing
 */
export function touchedLines(
  parts: readonly Part[],
  shapes: readonly PlacedShape[],
  scale: number,
  memory: Memory,
): (number | null)[] {
  const byColour = new Map<string, number[]>();
  parts.forEach(({ kind, colour, dashed, shown }, i) => {
    if (kind !== 'line' || dashed || !shown || !shapes[i]!.box) return;
    byColour.set(colour, [...(byColour.get(colour) ?? []), i]);
  });
  const found: (number | null)[] = parts.map(() => null);
  for (const lines of byColour.values()) {
    const isOneFamily = new Set(lines.map((i) => lineKey(parts[i]!))).size < 2;
    if (isOneFamily || lines.length > MOST_LINES) continue;
    for (const i of lines) {
      const touched = lines.filter((j) => isLeader(j, i, parts, shapes, scale, memory));
      if (touched.length > 0) {
        found[i] = touched.reduce((a, b) => (shapes[b]!.lengthMm > shapes[a]!.lengthMm ? b : a));
      }
    }
  }
  return found;
}

/** More lines than this in one colour are hatching: they are worked as they were drawn. */
const MOST_LINES = 200;

function isLeader(
  j: number,
  i: number,
  parts: readonly Part[],
  shapes: readonly PlacedShape[],
  scale: number,
  memory: Memory,
): boolean {
  const [line, other] = [shapes[i]!, shapes[j]!];
  if (other.lengthMm <= line.lengthMm || lineKey(parts[i]!) === lineKey(parts[j]!)) return false;
  const [thin, wide] = [parts[i]!, parts[j]!].map(({ strokeMm }) => (strokeMm ?? 0) * scale).sort((a, b) => a - b);
  if (wide! > TREATMENT.likeWidths * thin!) return false;
  const nearMm = wide! / 2 + TREATMENT.touchingMm;
  if (!boxesMeet(line.box!, other.box!, nearMm)) return false;
  return memory.made(LINES_THAT_TOUCH, [line.partId, other.partId], { a: line, b: other, nearMm });
}

/** Whether one of two lines ends at the other, or lies beside it: what only crosses it stands for itself. */
export const LINES_THAT_TOUCH = stage<ShapePair & { readonly nearMm: number }>()(
  'lines that touch',
  ['a', 'b', 'nearMm'],
  ({ a, b, nearMm }) => {
    const endsAt = (ends: readonly Polyline[], lines: readonly Polyline[]): boolean =>
      ends.some(({ points, closed }) => {
        const places = closed ? points : Float64Array.of(...placeAt(points, 0), ...placeAt(points, -1));
        return [...placesOf(places)].some(([x, y]) => distanceToLines(lines, x, y) < nearMm);
      });
    return endsAt(a.shape.lines, b.shape.lines) || endsAt(b.shape.lines, a.shape.lines);
  },
);

/** The suggestions for a line so that it is worked like the longer one that it touches. */
export function likeTouched(
  own: readonly Proposal[],
  lead: Proposal | undefined,
  { lengthMm }: PlacedShape,
  touched: Pick<Part, 'name'>,
): readonly Proposal[] {
  const first = own[0];
  if (!first || !lead || stitchKind(lead.pass.stitch).worksOn !== 'line') return own;
  if (stitchKind(first.pass.stitch).worksOn !== 'line' && lengthMm < TREATMENT.strokeMm.most / 2) return own;
  const isSame = ({ pass }: Proposal): boolean =>
    pass.stitch === lead.pass.stitch && pass.strands === lead.pass.strands;
  if (isSame(first)) return own;
  const like = alone({ ...lead.pass, reason: say.likeTouched(touched.name) });
  return [like, ...own.filter((offer) => !isSame(offer))].slice(0, 3);
}
